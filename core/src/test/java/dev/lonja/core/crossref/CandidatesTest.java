package dev.lonja.core.crossref;

import static dev.lonja.core.crossref.StatementKind.INTERCHANGE;
import static dev.lonja.core.crossref.StatementKind.NEVER;
import static dev.lonja.core.crossref.StatementKind.REPLACES;
import static dev.lonja.core.crossref.StatementKind.STANDS_IN;
import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.part.Family;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.core.part.Properties;
import dev.lonja.core.quantity.Quantity;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Verdicts with their reasons. */
class CandidatesTest {

  private static final String WHOLE = "length=300; width=200; height=";

  private final Parts parts = new Parts();

  private Part panel(String number, String height) {
    Properties properties = Properties.NONE;
    for (String one : (WHOLE + height).split("; *")) {
      properties = properties.withWritten(one.split("=")[0], one.split("=")[1]);
    }
    return parts.add("Ravelin", number, Optional.of(Family.PANEL_AIR_FILTER), properties);
  }

  @Test
  void fitsFromNinetyOn() {
    panel("A", "40");
    panel("B", "40");
    panel("C", "40");
    parts.say("A", INTERCHANGE, "B", "0.90").say("A", INTERCHANGE, "C", "0.8999");
    assertThat(verdict("A", "B")).isEqualTo(Verdict.FITS);
    assertThat(verdict("A", "C")).isEqualTo(Verdict.CHECK);
  }

  @Test
  void anUnknownPartIsToBeChecked() {
    panel("A", "40");
    parts.say("A", INTERCHANGE, "U", "0.98");
    assertThat(verdict("A", "U")).isEqualTo(Verdict.CHECK);
  }

  @Test
  void aStopgapIsNoMoreThanThat() {
    panel("A", "40");
    panel("S", "40");
    parts.say("S", STANDS_IN, "A", "0.99");
    assertThat(verdict("A", "S")).isEqualTo(Verdict.STOPGAP);
    assertThat(parts.candidate("S", "A")).isEmpty();
  }

  /** Paper says yes, the metal says no: it does not fit, and somebody has to settle it. */
  @Test
  void theMetalOverrulesThePaper() {
    panel("A", "40");
    panel("B", "43");
    parts.say("A", INTERCHANGE, "B", "0.98");
    Candidate candidate = parts.candidate("A", "B").orElseThrow();
    assertThat(candidate.verdict()).isEqualTo(Verdict.DOES_NOT_FIT);
    assertThat(candidate.conflict()).isTrue();
    assertThat(candidate.veto()).isEmpty();
  }

  /** A veto that nobody contradicts is no conflict; one against a claim of 0.50 is. */
  @Test
  void aVetoWithAndWithoutAClaim() {
    panel("A", "40");
    parts.say("A", NEVER, "B", "1", Source.HEARD, "tore its gasket");
    Candidate alone = parts.candidate("A", "B").orElseThrow();
    assertThat(alone.verdict()).isEqualTo(Verdict.DOES_NOT_FIT);
    assertThat(alone.veto().orElseThrow().note()).isEqualTo("tore its gasket");
    assertThat(alone.conflict()).isFalse();

    parts.say("A", INTERCHANGE, "C", "0.8").say("C", INTERCHANGE, "B", "0.624");
    // 0.8 × 0.624 = 0.4992
    assertThat(parts.candidate("A", "B").orElseThrow().conflict()).isFalse();
    parts.say("C", INTERCHANGE, "B", "0.625");
    assertThat(parts.candidate("A", "B").orElseThrow().conflict()).isTrue();
  }

  /** One-way: what replaces the old number is offered, the old one is not. */
  @Test
  void oneWayChains() {
    panel("O", "40");
    panel("N", "40");
    parts.say("N", REPLACES, "O", "0.98");
    assertThat(verdict("O", "N")).isEqualTo(Verdict.FITS);
    assertThat(parts.candidates("N").others()).isEmpty();
  }

  /** Verdict, confidence, then stock, then the key. */
  @Test
  void bestFirst() {
    panel("A", "40");
    PartId bare = panel("B", "40").id();
    PartId stocked = panel("C", "40").id();
    panel("D", "43");
    panel("E", "40");
    parts.say("A", INTERCHANGE, "B", "0.92").say("A", INTERCHANGE, "C", "0.92");
    parts.say("A", INTERCHANGE, "D", "0.99").say("A", INTERCHANGE, "E", "0.85");
    Candidates all =
        Candidates.of(
            parts.around("A"),
            Fitting.ANYWHERE,
            new RubberTable(Map.of()),
            parts ->
                Map.of(
                    stocked,
                    new Candidates.Shelf(Quantity.pieces(4), Optional.empty()),
                    bare,
                    new Candidates.Shelf(Quantity.pieces(1), Optional.empty())));
    assertThat(all.others().stream().map(candidate -> candidate.part().number()))
        .containsExactly("C", "B", "E", "D");
  }

  private Verdict verdict(String asked, String offered) {
    return parts.candidate(asked, offered).orElseThrow().verdict();
  }
}
