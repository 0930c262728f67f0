package dev.lonja.core.waste;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ContainerStandTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");

  /** A tote of 1,000 L whose collector comes seven days after the call. */
  private static WasteContainer tote(Optional<Integer> limitDays) {
    return new WasteContainer(
        new ContainerId(1),
        "Used oil",
        new WasteStream(
            new StreamId(1), WasteKind.USED_OIL, "Used oil", "13 02 05", Measure.LITRES, limitDays),
        Quantity.litres("1000"),
        "behind the wash bay",
        7);
  }

  private static Instant at(String day) {
    return LocalDate.parse(day).atTime(9, 0).toInstant(ZoneOffset.UTC);
  }

  private static WasteEntry put(String day, String litres) {
    return new WasteEntry(
        new WasteEntryId(1), at(day), Quantity.litres(litres), Optional.empty(), "", "keeper");
  }

  private static WasteCollection fetched(String day, String litres, String left) {
    return new WasteCollection(
        at(day), Quantity.litres(litres), Quantity.litres(left), "carrier", "D-1", "keeper");
  }

  private static ContainerStand stand(
      Optional<Integer> limit, List<WasteEntry> entries, List<WasteCollection> collections) {
    return ContainerStand.of(
        tote(limit), entries, collections, TODAY, at -> LocalDate.ofInstant(at, ZoneOffset.UTC));
  }

  /**
   * 700 L in it, 160 of them in the last eight weeks, so 20 a week; 150 L more make 850, that is 85
   * %, in 52.5 days: 7 May. Seven days before is 30 April.
   */
  @Test
  void itIsFullByWhatComesAWeek() {
    ContainerStand stand =
        stand(
            Optional.empty(),
            List.of(put("2026-11-02", "540"), put("2027-02-01", "60"), put("2027-03-01", "100")),
            List.of());
    assertThat(stand.contents()).isEqualTo(Quantity.litres("700"));
    assertThat(stand.percent()).isEqualTo(70);
    assertThat(stand.weekly()).isEqualTo(Quantity.litres("20"));
    assertThat(stand.call())
        .contains(
            new ContainerStand.Call(
                LocalDate.parse("2027-04-30"),
                LocalDate.parse("2027-05-07"),
                ContainerStand.Call.Why.FULL));
  }

  /** First filled on 2 November, 180 days are over on 1 May: earlier than full. */
  @Test
  void whatMayNotBeStoredLongerIsFetchedEarlier() {
    ContainerStand stand =
        stand(
            Optional.of(180),
            List.of(put("2026-11-02", "540"), put("2027-02-01", "60"), put("2027-03-01", "100")),
            List.of());
    assertThat(stand.firstFilled()).contains(LocalDate.parse("2026-11-02"));
    assertThat(stand.call().orElseThrow().why()).isEqualTo(ContainerStand.Call.Why.LIMIT);
    assertThat(stand.call().orElseThrow().by()).isEqualTo(LocalDate.parse("2027-04-24"));
  }

  /** What a collection left in it is still there and as old as before. */
  @Test
  void aCollectionStartsAnewOnlyIfNothingIsLeft() {
    List<WasteEntry> entries = List.of(put("2026-11-02", "540"), put("2027-03-01", "100"));
    ContainerStand emptied =
        stand(Optional.of(180), entries, List.of(fetched("2027-02-10", "545", "0")));
    assertThat(emptied.contents()).isEqualTo(Quantity.litres("100"));
    assertThat(emptied.firstFilled()).contains(LocalDate.parse("2027-03-01"));
    ContainerStand part =
        stand(Optional.of(180), entries, List.of(fetched("2027-02-10", "400", "140")));
    assertThat(part.contents()).isEqualTo(Quantity.litres("240"));
    assertThat(part.firstFilled()).contains(LocalDate.parse("2026-11-02"));
  }

  /** It is 86 % full today; the collector should have been called a week ago. */
  @Test
  void aFullOneIsLate() {
    ContainerStand stand = stand(Optional.empty(), List.of(put("2026-11-02", "860")), List.of());
    assertThat(stand.call().orElseThrow().by()).isEqualTo(LocalDate.parse("2027-03-08"));
    assertThat(stand.call().orElseThrow().isLate(TODAY)).isTrue();
  }

  @Test
  void anEmptyOneThatNothingComesToIsNotCalledFor() {
    ContainerStand stand = stand(Optional.of(180), List.of(), List.of());
    assertThat(stand.call()).isEmpty();
    assertThat(stand.firstFilled()).isEmpty();
  }
}
