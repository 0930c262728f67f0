package dev.lonja.desk.reorder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import dev.lonja.core.forecast.Demand;
import dev.lonja.core.forecast.Subject;
import dev.lonja.core.forecast.UnplannedDemand;
import dev.lonja.core.forecast.UnplannedUse;
import dev.lonja.core.item.Criticality;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.reorder.LeadTime;
import dev.lonja.core.reorder.OrderTerms;
import dev.lonja.core.reorder.Reordering;
import dev.lonja.core.supplier.Deliveries;
import dev.lonja.core.supplier.Prices;
import dev.lonja.core.supplier.Supplier;
import dev.lonja.core.supplier.SupplierId;
import dev.lonja.core.supplier.Supply;
import dev.lonja.desk.Cage;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * Ola of the example store, of which 210 L are wanted and 20 L a week are used: the drum of 205 L
 * at 3.00 a litre, 615.00, the can of 20 L at 3.60, 72.00.
 */
class PackMixesTest {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final ItemId DRUM = new ItemId(1);
  private static final ItemId CAN = new ItemId(2);
  private static final Supplier ISLA =
      new Supplier(new SupplierId(2), "Isla", 7, Deliveries.ANY_DAY, Optional.empty());

  @RegisterExtension private final Cage cage = new Cage();

  private Item item(ItemId id) {
    return cage.<Optional<Item>>read(session -> session.items().byId(id)).orElseThrow();
  }

  private static Supply supply(String price, String litres) {
    Quantity pack = Quantity.litres(litres);
    return new Supply(
        ISLA, "", new Prices(UnitPrice.of(new BigDecimal(price), EUR), List.of()), pack, pack);
  }

  private static final Supply DRUMS = supply("3.00", "205");
  private static final Supply CANS = supply("3.60", "20");

  /** Eleven cans, 220 L for 792.00, cost least at once. */
  private Proposal elevenCans(Optional<Quantity> most) {
    UnplannedUse use = new UnplannedUse(CAN, Place.MAIN, List.of(Quantity.litres("20")), 1);
    List<Demand> demands =
        IntStream.range(0, 52)
            .<Demand>mapToObj(
                week ->
                    new UnplannedDemand(use, Cage.TODAY.plusDays(7L * week), Quantity.litres("20")))
            .toList();
    Subject subject =
        Subject.all(
                List.of(item(DRUM), item(CAN)),
                new Subject.There(Map.of(), Map.of()),
                demands,
                Cage.TODAY)
            .get(0);
    OrderTerms terms =
        new OrderTerms(
            LeadTime.of(List.of(), 7),
            Deliveries.ANY_DAY,
            Criticality.NORMAL,
            CANS.prices(),
            CANS.pack(),
            CANS.least(),
            new OrderTerms.Room(Quantity.litres("0"), most, Optional.empty()),
            56);
    LocalDate arrival = Cage.TODAY.plusDays(7);
    Reordering reordering =
        new Reordering(
            Quantity.litres("60"),
            true,
            new Reordering.Timing(Optional.empty(), true, Quantity.litres("20"), arrival),
            Quantity.litres("220"),
            Quantity.litres("210"),
            Optional.empty());
    return new Proposal(
        subject, item(CAN), CANS, terms, reordering, CANS.costOf(Quantity.litres("220")));
  }

  /** Drums are sold three together, one at least: two of them cannot be ordered. */
  @Test
  void whatIsNotSoldSoIsNotProposed() {
    Supply three =
        new Supply(ISLA, "", DRUMS.prices(), Quantity.litres("615"), Quantity.litres("205"));
    PackMixes mixes = new PackMixes(Map.of(DRUM, List.of(three), CAN, List.of(CANS)), Cage.TODAY);
    Proposal cans = elevenCans(Optional.empty());
    assertThat(mixes.of(cans)).isEqualTo(cans);
  }

  private static PackMixes mixes() {
    return new PackMixes(Map.of(DRUM, List.of(DRUMS), CAN, List.of(CANS)), Cage.TODAY);
  }

  /**
   * Two drums are 1,230.00 for 410 L, all of which is used within the year: 3.00 a litre. A drum
   * and a can would be 687.00 for 225 L, 3.05 a litre.
   */
  @Test
  void whatIsLeftOverCountsIfItIsUsed() {
    Proposal proposal = mixes().of(elevenCans(Optional.empty()));
    assertThat(proposal.mix().orElseThrow().parts())
        .extracting(part -> part.item().id(), Proposal.Part::quantity)
        .containsExactly(tuple(DRUM, Quantity.litres("410")));
    assertThat(proposal.cost()).isEqualTo(new Money(123_000, EUR));
    assertThat(proposal.mix().orElseThrow().perLitre())
        .isEqualTo(UnitPrice.of(new BigDecimal("3.00"), EUR));
    // what comes along for the freight is reckoned in the packs of before
    assertThat(proposal.inOnePack().cost()).isEqualTo(new Money(79_200, EUR));
  }

  /** There is room for 300 L: one drum and one can, 687.00 instead of 792.00. */
  @Test
  void severalPacksAreMixedWhereThatCostsLess() {
    Proposal proposal = mixes().of(elevenCans(Optional.of(Quantity.litres("300"))));
    Proposal.Mix mix = proposal.mix().orElseThrow();
    assertThat(mix.parts())
        .extracting(part -> part.item().id(), Proposal.Part::quantity)
        .containsExactly(tuple(DRUM, Quantity.litres("205")), tuple(CAN, Quantity.litres("20")));
    assertThat(mix.cost()).isEqualTo(new Money(68_700, EUR));
    assertThat(mix.beside(item(CAN))).isEqualTo(Quantity.litres("205"));
    Proposal drum = proposal.of(mix.parts().get(0));
    assertThat(drum.amount()).isEqualTo(Quantity.litres("205"));
    assertThat(drum.cost()).isEqualTo(new Money(61_500, EUR));
  }
}
