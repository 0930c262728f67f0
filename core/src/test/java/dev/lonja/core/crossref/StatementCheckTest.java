package dev.lonja.core.crossref;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.crossref.StatementCheck.Refusal;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What may not be stated. */
class StatementCheckTest {

  private final Parts parts = new Parts();

  private List<Refusal> refusals(String subject, StatementKind kind, String object, String note) {
    NewStatement made =
        new NewStatement(
            parts.id(subject),
            kind,
            parts.id(object),
            Source.HEARD,
            LocalDate.of(2027, 3, 15),
            Source.HEARD.confidence(),
            note);
    return StatementCheck.refusals(made, parts);
  }

  @Test
  void ofAPartWithItself() {
    assertThat(refusals("A", StatementKind.SAME, "A", "")).containsExactly(new Refusal.OfItself());
  }

  @Test
  void neverWithoutAReason() {
    assertThat(refusals("A", StatementKind.NEVER, "B", " "))
        .containsExactly(new Refusal.NeverWithoutReason());
    assertThat(refusals("A", StatementKind.NEVER, "B", "other bypass")).isEmpty();
  }

  /** B replaces A, C replaces B; then A cannot replace C. */
  @Test
  void replacesInACircle() {
    parts.say("B", StatementKind.REPLACES, "A", "0.98");
    parts.say("C", StatementKind.REPLACES, "B", "0.98");
    assertThat(refusals("A", StatementKind.REPLACES, "C", ""))
        .containsExactly(
            new Refusal.ReplacesInACircle(List.of(parts.id("A"), parts.id("B"), parts.id("C"))));
    assertThat(refusals("C", StatementKind.REPLACES, "A", "")).isEmpty();
  }

  /** Said twice by one source, either way round where it holds both ways. */
  @Test
  void whatStandsAlready() {
    parts.say("A", StatementKind.INTERCHANGE, "B", "0.6", Source.HEARD, "");
    assertThat(refusals("B", StatementKind.INTERCHANGE, "A", ""))
        .hasOnlyElementsOfType(Refusal.StandsAlready.class);
    parts.say("N", StatementKind.STANDS_IN, "O", "0.6", Source.HEARD, "");
    assertThat(refusals("O", StatementKind.STANDS_IN, "N", "")).isEmpty();
    assertThat(refusals("N", StatementKind.STANDS_IN, "O", "")).hasSize(1);
  }

  @ParameterizedTest
  @ValueSource(strings = {"0", "-0.5", "1.0001"})
  void aConfidenceThatIsNone(String value) {
    assertThatThrownBy(() -> Confidence.of(value)).hasMessageContaining(value);
  }

  @Test
  void aConfidenceIsNeverShownHigherThanItIs() {
    assertThat(Confidence.of("0.8999").display()).isEqualTo("0.89");
  }
}
