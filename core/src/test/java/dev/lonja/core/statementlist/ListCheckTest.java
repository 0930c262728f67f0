package dev.lonja.core.statementlist;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.crossref.Confidence;
import dev.lonja.core.crossref.NewStatement;
import dev.lonja.core.crossref.Source;
import dev.lonja.core.crossref.Statement;
import dev.lonja.core.crossref.StatementKind;
import dev.lonja.core.part.PartId;
import dev.lonja.core.part.PartKey;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;

/** A supplier's list against what stands: parts 1 and 2 interchange, 3 replaces 2. */
class ListCheckTest {

  private static final LocalDate DAY = LocalDate.of(2027, 3, 1);

  private final KnownParts parts = new KnownParts();
  private final ListCheck check = new ListCheck(parts);

  private void store(PartId id, String make, String number) {
    parts.add(id, make, number, PartKey.of(number).orElseThrow().text());
  }

  ListCheckTest() {
    store(new PartId(1), "Pellam", "PL 1");
    store(new PartId(2), "Ravelin", "RV 2");
    store(new PartId(3), "Ravelin", "RV 3");
    standing(new PartId(1), StatementKind.INTERCHANGE, new PartId(2));
    standing(new PartId(3), StatementKind.REPLACES, new PartId(2));
  }

  private void standing(PartId subject, StatementKind kind, PartId object) {
    check.standing(
        new Statement(1, subject, kind, object, Source.SUPPLIER, DAY, Confidence.of("0.85"), ""));
  }

  private void row(long line, String one, StatementKind kind, String other, String note) {
    check.add(
        new ListRow(
            line,
            one.substring(0, one.indexOf(' ')),
            one.substring(one.indexOf(' ') + 1),
            kind,
            other.substring(0, other.indexOf(' ')),
            other.substring(other.indexOf(' ') + 1),
            Source.SUPPLIER,
            DAY,
            Confidence.of("0.85"),
            note));
  }

  @Test
  void newKnownAndSaidTwice() {
    row(2, "Ravelin rv-2", StatementKind.INTERCHANGE, "PELLAM PL1", "");
    row(3, "Pellam PL 1", StatementKind.SAME, "Osmere OS 9", "");
    row(4, "Osmere OS9", StatementKind.SAME, "Pellam PL-1", "");
    row(5, "Nortrap NT 4", StatementKind.STANDS_IN, "Osmere OS 9", "");
    row(6, "Osmere OS 9", StatementKind.STANDS_IN, "Nortrap NT 4", "");
    ListCheck.Result result = check.result();
    assertThat(result.rows()).isEqualTo(5);
    assertThat(result.known()).isEqualTo(1);
    assertThat(result.doubles()).isEqualTo(1);
    assertThat(result.fresh()).hasSize(3);
    assertThat(result.newParts())
        .containsExactly(
            new KnownParts.NewPart(new PartId(4), "Osmere", "OS 9"),
            new KnownParts.NewPart(new PartId(5), "Nortrap", "NT 4"));
    assertThat(result.problemCount()).isZero();
  }

  @Test
  void whatContradictsIsNamedAndTaken() {
    row(2, "Pellam PL 1", StatementKind.NEVER, "Ravelin RV 2", "starves the pump");
    row(3, "Pellam PL 1", StatementKind.NEVER, "Osmere OS 9", "no valve");
    row(4, "Osmere OS 9", StatementKind.INTERCHANGE, "Pellam PL 1", "");
    ListCheck.Result result = check.result();
    assertThat(result.fresh()).hasSize(3);
    assertThat(result.contradictions())
        .extracting(ListCheck.Contradiction::line, ListCheck.Contradiction::against)
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple(2L, StatementKind.INTERCHANGE),
            org.assertj.core.groups.Tuple.tuple(4L, StatementKind.NEVER));
  }

  @Test
  void whatCannotBeTaken() {
    row(2, "Pellam PL 1", StatementKind.SAME, "pellam P-L1", "");
    row(3, "Pellam PL 1", StatementKind.NEVER, "Ravelin RV 2", " ");
    assertThat(check.result().problems())
        .extracting(ListProblem::line, ListProblem::column)
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple(2L, "other_number"),
            org.assertj.core.groups.Tuple.tuple(3L, "note"));
  }

  /** RV 3 replaces RV 2 already; RV 2 for X and X for RV 3 would close the circle. */
  @Test
  void aCircleOfReplacements() {
    row(2, "Ravelin RV 2", StatementKind.REPLACES, "Osmere OS 9", "");
    row(3, "Osmere OS 9", StatementKind.REPLACES, "Ravelin RV 3", "");
    row(4, "Osmere OS 9", StatementKind.REPLACES, "Nortrap NT 4", "");
    assertThat(check.result().problems()).extracting(ListProblem::line).containsExactly(2L, 3L);
  }

  /** One make prints a key in two ways: only the number as printed tells them apart. */
  @Test
  void aKeyThatOneMakePrintsInTwoWays() {
    store(new PartId(8), "Osmere", "OS 7-7");
    store(new PartId(9), "Osmere", "OS 77");
    row(2, "Osmere OS 77", StatementKind.SAME, "Pellam PL 1", "");
    row(3, "Osmere OS77", StatementKind.SAME, "Pellam PL 1", "");
    ListCheck.Result result = check.result();
    assertThat(result.fresh()).extracting(NewStatement::subject).containsExactly(new PartId(9));
    assertThat(result.problems()).extracting(ListProblem::line).containsExactly(3L);
  }
}
