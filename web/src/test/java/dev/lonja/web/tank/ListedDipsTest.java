package dev.lonja.web.tank;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.quantity.Length;
import dev.lonja.core.tank.Dip;
import dev.lonja.core.tank.DipId;
import dev.lonja.core.tank.Reconciliation;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ListedDipsTest {

  private static final Dip BY_HAND = dip(1, "2027-03-13T07:00:00Z", false, false);
  private static final Dip MORNING = dip(2, "2027-03-14T06:00:00Z", true, false);
  private static final Dip CLOSED = dip(3, "2027-03-14T07:00:00Z", true, true);
  private static final Dip NOON = dip(4, "2027-03-14T12:00:00Z", true, false);
  private static final Dip EVENING = dip(5, "2027-03-14T20:00:00Z", true, false);
  private static final Dip TODAY = dip(6, "2027-03-15T06:00:00Z", true, false);

  private final ListedDips listed =
      new ListedDips(
          List.of(BY_HAND, MORNING, CLOSED, NOON, EVENING, TODAY),
          at -> LocalDate.ofInstant(at, ZoneOffset.UTC));

  @Test
  void ofAGaugeTheLastOfADayIsListedAndEachByHandOrClosed() {
    assertThat(listed.dips()).containsExactly(BY_HAND, CLOSED, EVENING, TODAY);
    assertThat(listed.leftOut()).isEqualTo(2);
  }

  @Test
  void whatDoesNotAgreeIsListedWheneverItWas() {
    assertThat(listed.lists(span(MORNING, CLOSED, 100))).isTrue();
    assertThat(listed.lists(span(CLOSED, NOON, 100))).isFalse();
    // eight litres are missing, three are tolerated
    assertThat(listed.lists(span(CLOSED, NOON, 92))).isTrue();
  }

  private static Reconciliation.Span span(Dip from, Dip to, double closing) {
    return new Reconciliation.Span(
        from, to, 100, new Reconciliation.Moved(0, 0, 0), closing, 3, closing - 100, 3);
  }

  private static Dip dip(long id, String at, boolean byGauge, boolean agreed) {
    return new Dip(
        new DipId(id),
        Instant.parse(at),
        Length.ofMillimetres(new BigDecimal("640")),
        Optional.empty(),
        byGauge,
        agreed);
  }
}
