package dev.lonja.core.crossref;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.part.Family;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.Properties;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Sources that contradict each other, or the metal. */
class ConflictTest {

  private static final RubberTable NO_RUBBERS = new RubberTable(Map.of());
  private final Parts parts = new Parts();

  private Statement said(int which) {
    return parts.all().get(which);
  }

  private Optional<Conflict> vetoed() {
    return Conflict.withVeto(said(0), parts);
  }

  private List<String> sides(Conflict conflict) {
    return conflict.sides().stream()
        .map(
            side ->
                parts.part(side.subject()).number()
                    + " "
                    + side.kind().words()
                    + " "
                    + parts.part(side.object()).number())
        .toList();
  }

  /** 0.9 × 0.9 = 0.81 over A, B and C; never A for C. The veto is named first, then the way. */
  @Test
  void aPathAgainstAVetoIsAConflict() {
    parts
        .say("A", StatementKind.NEVER, "C", "0.9")
        .say("A", StatementKind.INTERCHANGE, "B", "0.9")
        .say("B", StatementKind.INTERCHANGE, "C", "0.9");
    Conflict conflict = vetoed().orElseThrow();
    assertThat(conflict.one().number()).isEqualTo("C");
    assertThat(conflict.other().number()).isEqualTo("A");
    assertThat(sides(conflict).get(0)).isEqualTo("A never for C");
    assertThat(sides(conflict))
        .containsExactlyInAnyOrder(
            "A never for C", "A interchanges with B", "B interchanges with C");
  }

  /** 0.7 × 0.7 = 0.49 is below 0.50: no path, so nothing to settle; 0.71 × 0.71 = 0.5041 is one. */
  @Test
  void aPathBelowAHalfClaimsNothing() {
    assertThat(afterTwoStepsOf("0.7")).isEmpty();
    assertThat(afterTwoStepsOf("0.71")).isPresent();
  }

  private static Optional<Conflict> afterTwoStepsOf(String confidence) {
    Parts said =
        new Parts()
            .say("A", StatementKind.NEVER, "C", "0.9")
            .say("A", StatementKind.INTERCHANGE, "B", confidence)
            .say("B", StatementKind.INTERCHANGE, "C", confidence);
    return Conflict.withVeto(said.all().get(0), said);
  }

  /**
   * "Never A for C" is denied too by a claim that C may stand for A: the two exclude each other.
   */
  @Test
  void aClaimTheOtherWayContradictsAVetoToo() {
    parts.say("A", StatementKind.NEVER, "C", "0.9").say("C", StatementKind.REPLACES, "A", "0.8");
    Conflict conflict = vetoed().orElseThrow();
    assertThat(conflict.one().number()).isEqualTo("A");
    assertThat(sides(conflict)).containsExactly("A never for C", "C replaces A");
  }

  @Test
  void aVetoThatNobodyContradictsIsNoConflict() {
    parts.say("A", StatementKind.NEVER, "C", "0.9").say("C", StatementKind.SAME, "D", "0.9");
    assertThat(vetoed()).isEmpty();
  }

  /** M20×1.5 cannot be screwed on where M18×1.5 sits, in whichever direction it is claimed. */
  @Test
  void aClaimAgainstTheMetalIsAConflict() {
    Part wide = filter("A", "M20×1.5");
    Part narrow = filter("B", "M18×1.5");
    parts.say("A", StatementKind.INTERCHANGE, "B", "0.9");
    Conflict conflict = againstMetal(wide, narrow).orElseThrow();
    assertThat(conflict.one()).isEqualTo(narrow);
    assertThat(conflict.other()).isEqualTo(wide);
    assertThat(conflict.sides()).containsExactly(said(0));
    assertThat(conflict.cause())
        .isInstanceOfSatisfying(
            Conflict.Metal.class, metal -> assertThat(metal.comparison().contradicts()).isTrue());
  }

  @Test
  void whatAgreesOrIsUnknownDeniesNothing() {
    Part one = filter("A", "M20×1.5");
    Part like = filter("B", "M20×1.5");
    parts.say("A", StatementKind.INTERCHANGE, "B", "0.9");
    assertThat(againstMetal(one, like)).isEmpty();
    Part unknown = new Part(like.id(), like.make(), "B", like.family(), Properties.NONE);
    assertThat(againstMetal(one, unknown)).isEmpty();
  }

  private Optional<Conflict> againstMetal(Part one, Part other) {
    return Conflict.withMetal(said(0), Map.of(one.id(), one, other.id(), other), NO_RUBBERS);
  }

  private Part filter(String number, String thread) {
    return parts.add(
        "Pellam",
        number,
        Optional.of(Family.SPIN_ON_FILTER),
        Properties.NONE.withWritten("thread", thread));
  }
}
