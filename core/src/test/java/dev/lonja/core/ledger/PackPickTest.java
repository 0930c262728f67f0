package dev.lonja.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Cans of 5 L: from which of them a tray's fluids will be taken. */
class PackPickTest {

  private static final LocalDate TODAY = LocalDate.of(2027, 3, 15);
  private static final Quantity CAN = Quantity.litres("5");

  private static StockedLot lot(int id, String litres, boolean open, int goodForDays) {
    return new StockedLot(
        new LotInBin(new ItemId(7), new LotId(id), new BinId(1)),
        LotCondition.NEW,
        TODAY.minusDays(30),
        Optional.of(TODAY.plusDays(goodForDays)),
        false,
        open ? Optional.of(TODAY.minusDays(5)) : Optional.empty(),
        Quantity.litres(litres));
  }

  /** "2 OPEN 1.6" for each pick, with the number of packs behind one that leaves whole. */
  private static List<String> picks(List<StockedLot> lots, String... litres) {
    List<Quantity> wanted = Arrays.stream(litres).map(Quantity::litres).toList();
    return PackPick.of(lots, wanted, CAN, TODAY).stream()
        .map(picks -> picks.stream().map(PackPickTest::words).collect(Collectors.joining(", ")))
        .toList();
  }

  private static String words(PackPick pick) {
    return pick.from().place().lotId()
        + " "
        + pick.kind()
        + " "
        + pick.quantity().amount().stripTrailingZeros().toPlainString()
        + (pick.packs() > 0 ? " of " + pick.packs() : "");
  }

  /** 2.4 L are open and keep for 60 days; 1.5 L come from there, and no new can is opened. */
  @Test
  void noNewCanWhileOneHoldsEnough() {
    List<StockedLot> lots = List.of(lot(1, "20", false, 900), lot(2, "2.4", true, 60));
    assertThat(picks(lots, "1.5")).containsExactly("2 OPEN 1.5");
  }

  /** 13 L: 2.4 open, 10.6 left: two whole cans of 5 and 0.6 L of a third. */
  @Test
  void theOpenOneThenWholeOnesThenTheNextIsOpened() {
    List<StockedLot> lots = List.of(lot(1, "20", false, 900), lot(2, "2.4", true, 60));
    assertThat(picks(lots, "13")).containsExactly("2 OPEN 2.4, 1 WHOLE 10 of 2, 1 OPENED 0.6");
  }

  /** Two sumps of 4 L out of sealed cans: the second is filled first from what the first left. */
  @Test
  void whatIsOpenedForOneLineServesTheNext() {
    assertThat(picks(List.of(lot(1, "20", false, 900)), "4", "4"))
        .containsExactly("1 OPENED 4", "1 OPEN 1, 1 OPENED 3");
  }

  /** Sealed cans that expire before the open one go first. */
  @Test
  void firstExpiredFirstOut() {
    List<StockedLot> lots = List.of(lot(1, "10", false, 10), lot(2, "2.4", true, 60));
    assertThat(picks(lots, "5")).containsExactly("1 WHOLE 5 of 1");
  }

  /** All of a lot leaves though its last can is not full; what is expired or not there does not. */
  @Test
  void theLastOfALotLeavesAsItIs() {
    List<StockedLot> lots = List.of(lot(1, "7", false, 10), lot(2, "5", false, -1));
    assertThat(picks(lots, "7")).containsExactly("1 WHOLE 7 of 2");
    assertThat(picks(lots, "9")).containsExactly("1 WHOLE 7 of 2");
    assertThat(picks(List.of(), "9")).containsExactly("");
  }
}
