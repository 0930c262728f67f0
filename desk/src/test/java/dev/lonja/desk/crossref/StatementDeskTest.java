package dev.lonja.desk.crossref;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.crossref.Confidence;
import dev.lonja.core.crossref.Source;
import dev.lonja.core.crossref.Statement;
import dev.lonja.core.crossref.StatementCheck;
import dev.lonja.core.crossref.StatementKind;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.core.part.PartKey;
import dev.lonja.desk.Cage;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What is said of part 10, Osmere OS 118; part 9 is Pellam PL 4122-M. */
class StatementDeskTest {

  private static final PartId OSMERE = new PartId(10);
  private static final PartId PELLAM = new PartId(9);

  @RegisterExtension private final Cage cage = new Cage();
  private StatementDesk desk;

  @BeforeEach
  void open() {
    desk = new StatementDesk(cage.once(), cage.clock());
  }

  private static StatementDesk.Claim said(StatementKind kind, LocalDate on, String note) {
    return new StatementDesk.Claim(kind, Source.SUPPLIER, on, Confidence.of("0.8"), note);
  }

  private Outcome make(Optional<String> make, String number, StatementDesk.Claim claim) {
    return desk.make(cage.sent(), OSMERE, new StatementDesk.Other(make, number, true), claim);
  }

  private Outcome replaces(String number) {
    return make(Optional.empty(), number, said(StatementKind.REPLACES, Cage.TODAY, ""));
  }

  private boolean knows(String number) {
    return !cage.read(s -> s.parts().byKey(PartKey.of(number).orElseThrow(), 1)).isEmpty();
  }

  @Test
  void aNumberIsNamedAsPeopleTypeIt() {
    for (String name : List.of("pl4122m", "Pellam PL 4122-M")) {
      List<Part> meant = cage.read(s -> PartNaming.meant(s, name));
      assertThat(meant).extracting(Part::id).containsExactly(PELLAM);
    }
    assertThat(replaces("PL 4122-M")).isInstanceOf(Outcome.Done.class);
    List<Statement> standing = cage.read(s -> s.statements().standing(List.of(OSMERE)));
    assertThat(standing).anyMatch(s -> s.subject().equals(PELLAM) && s.object().equals(OSMERE));
  }

  @Test
  void anUnknownNumberAndADayToComeAreToldTogether() {
    LocalDate tomorrow = Cage.TODAY.plusDays(1);
    List<Refusal> reasons =
        Cage.reasons(make(Optional.empty(), "Z 99", said(StatementKind.REPLACES, tomorrow, "")));
    assertThat(reasons)
        .isEqualTo(
            List.of(
                new StatementDesk.SaidInFuture(tomorrow, Cage.TODAY),
                new StatementDesk.NoSuchPart(new PartNaming.Unknown("Z 99"))));
  }

  @Test
  void aNumberNobodyKnowsComesInWithItsMake() {
    assertThat(
            make(Optional.of("Nortrap"), "NT 77", said(StatementKind.INTERCHANGE, Cage.TODAY, "")))
        .isInstanceOf(Outcome.Done.class);
    assertThat(knows("NT 77")).isTrue();
  }

  /** A veto without a reason is refused, and the number that it brought is not kept. */
  @Test
  void aRefusedStatementLeavesNoNumberBehind() {
    List<Refusal> reasons =
        Cage.reasons(
            make(Optional.of("Nortrap"), "NT 77", said(StatementKind.NEVER, Cage.TODAY, "")));
    assertThat(reasons)
        .extracting(reason -> ((StatementDesk.Objection) reason).reason())
        .isEqualTo(List.of(new StatementCheck.Refusal.NeverWithoutReason()));
    assertThat(knows("NT 77")).isFalse();
  }

  /** A circle is told with every part in it: 9 replaces 10, so 10 may not replace 9. */
  @Test
  void whatIsNamedInARefusalComesWithIt() {
    replaces("PL 4122-M");
    Outcome circle =
        desk.make(
            cage.sent(),
            OSMERE,
            new StatementDesk.Other(Optional.empty(), "PL 4122-M", false),
            said(StatementKind.REPLACES, Cage.TODAY, ""));
    assertThat(Cage.reasons(circle))
        .singleElement()
        .isInstanceOfSatisfying(
            StatementDesk.Objection.class,
            objection -> {
              assertThat(objection.reason())
                  .isInstanceOf(StatementCheck.Refusal.ReplacesInACircle.class);
              assertThat(objection.parts()).containsOnlyKeys(OSMERE, PELLAM);
            });
  }

  @Test
  void aStatementIsWithdrawnOnce() {
    assertThat(desk.withdraw(cage.sent(), 1, "list was wrong")).isInstanceOf(Outcome.Done.class);
    assertThat(Cage.reasons(desk.withdraw(cage.sent(), 1, "list was wrong")))
        .isEqualTo(List.of(new StatementDesk.WithdrawnAlready()));
  }
}
