package dev.lonja.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ExpiryOutlookTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final LocalDate YEAR = LocalDate.parse("2028-03-15");

  private static StockedLot lot(long id, int pieces, String expires, boolean quarantined) {
    return new StockedLot(
        new LotInBin(new ItemId(1), new LotId(id), new BinId(1)),
        LotCondition.NEW,
        LocalDate.parse("2026-01-01"),
        expires.isEmpty() ? Optional.empty() : Optional.of(LocalDate.parse(expires)),
        quarantined,
        Optional.empty(),
        Quantity.pieces(pieces));
  }

  /** One on the 1st of each month from April on. */
  private static Quantity oneAMonth(LocalDate day) {
    long months =
        java.time.temporal.ChronoUnit.MONTHS.between(
            LocalDate.parse("2027-03-01"), day.withDayOfMonth(1));
    return Quantity.pieces((int) months);
  }

  private static List<ExpiryOutlook.Left> left(StockedLot... lots) {
    return ExpiryOutlook.of(List.of(lots), ExpiryOutlookTest::oneAMonth, TODAY, YEAR);
  }

  /**
   * Through 30 June three are used: two of five are left of the first lot. Through 31 August five
   * are, of which the first lot took three, so that two of the second's three are used.
   */
  @Test
  void whatExpiresFirstIsUsedFirst() {
    StockedLot first = lot(1, 5, "2027-06-30", false);
    StockedLot second = lot(2, 3, "2027-08-31", false);
    assertThat(left(second, first))
        .containsExactly(
            new ExpiryOutlook.Left(first, Quantity.pieces(2)),
            new ExpiryOutlook.Left(second, Quantity.pieces(1)));
  }

  /** A lot good through 1 April still serves that day's use. */
  @Test
  void aLotIsGoodThroughItsLastDay() {
    assertThat(left(lot(1, 1, "2027-04-01", false))).isEmpty();
    assertThat(left(lot(1, 1, "2027-03-31", false))).hasSize(1);
  }

  /** Expired, set aside, good for ever or beyond what is expected: none of them is looked at. */
  @Test
  void onlyWhatMayBeIssuedAndExpiresInTimeIsLookedAt() {
    assertThat(
            left(
                lot(1, 9, "2027-03-14", false),
                lot(2, 9, "2027-06-30", true),
                lot(3, 9, "", false),
                lot(4, 9, "2028-03-16", false)))
        .isEmpty();
  }
}
