package dev.lonja.core.forecast;

import static dev.lonja.core.forecast.Demands.fill;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.entry;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.order.Coming;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.PartId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A fluid in a drum (item 1) and a can (item 2), another fluid (3), and a filter (4). */
class SubjectTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final Item DRUM = fluid(1, product(1));
  private static final Item CAN = fluid(2, product(1));
  private static final Item OTHER = fluid(3, product(2));
  private static final Item FILTER = item(4, Optional.empty());
  private static final List<Item> ITEMS = List.of(DRUM, OTHER, CAN, FILTER);

  private static final Coming LATE = coming("2027-03-01", "5");
  private static final Coming SOON = coming("2027-03-20", "8");

  private static Coming coming(String day, String litres) {
    return new Coming(
        LocalDate.parse(day), Quantity.litres(litres), new OrderId(1), "Isla Lubricants");
  }

  private static List<Subject> subjects(Demand... demands) {
    return Subject.all(
        ITEMS,
        new Subject.There(
            Map.of(DRUM.id(), Quantity.litres("20"), CAN.id(), Quantity.litres("3")),
            Map.of(CAN.id(), List.of(LATE, SOON))),
        List.of(demands),
        TODAY);
  }

  /** 23 L are free; 8 come on the 20th, and what is overdue is not reckoned with. */
  @Test
  void whatIsPromisedCountsFromItsDay() {
    Subject oil =
        subjects(fill(DRUM.id(), 1, "2027-03-18", "20"), fill(DRUM.id(), 1, "2027-03-21", "11"))
            .get(0);
    assertThat(oil.coming()).containsExactly(LATE, SOON);
    assertThat(oil.cover().shortOn()).isEmpty();
    assertThat(oil.usedBy(LocalDate.parse("2027-03-20"))).isEqualTo(Quantity.litres("20"));
    Subject early =
        subjects(fill(DRUM.id(), 1, "2027-03-18", "24"), fill(DRUM.id(), 1, "2027-03-21", "11"))
            .get(0);
    assertThat(early.cover().shortOn()).contains(LocalDate.parse("2027-03-18"));
    // 35 - 23 - 8
    assertThat(early.cover().lacking()).isEqualTo(Quantity.litres("4"));
  }

  @Test
  void aFluidIsOneSubjectInAllItsPacks() {
    List<Subject> all = subjects();
    assertThat(all)
        .extracting(Subject::items)
        .containsExactly(List.of(DRUM, CAN), List.of(OTHER), List.of(FILTER));
    assertThat(all.get(0).free()).isEqualTo(Quantity.litres("23"));
    assertThat(all.get(1).free()).isEqualTo(Quantity.litres("0"));
    assertThat(all.get(2).free()).isEqualTo(Quantity.pieces(0));
  }

  /** 8 L from the can in April, 6 from the drum in March and 6 more in the same week of April. */
  @Test
  void whatIsExpectedOfAnyPackCountsByDayAndWeek() {
    Subject fluid =
        subjects(
                fill(CAN.id(), 2, "2027-04-06", "8"),
                fill(DRUM.id(), 1, "2027-03-16", "6"),
                fill(DRUM.id(), 1, "2027-04-08", "6"))
            .get(0);
    assertThat(fluid.demands())
        .extracting(demand -> demand.date().toString())
        .containsExactly("2027-03-16", "2027-04-06", "2027-04-08");
    assertThat(fluid.byWeek())
        .containsExactly(
            entry(IsoWeek.of(LocalDate.parse("2027-03-15")), Quantity.litres("6")),
            entry(IsoWeek.of(LocalDate.parse("2027-04-05")), Quantity.litres("14")));
  }

  /** The first fill is from the can, but most is drawn from the drum: 6 + 6 against 8. */
  @Test
  void thePackOfWhichMostIsUsedLeads() {
    assertThat(
            subjects(
                    fill(CAN.id(), 2, "2027-03-16", "8"),
                    fill(DRUM.id(), 1, "2027-03-20", "6"),
                    fill(DRUM.id(), 1, "2027-04-08", "6"))
                .get(0)
                .lead())
        .isEqualTo(DRUM);
    assertThat(subjects(fill(CAN.id(), 2, "2027-03-16", "8")).get(0).lead()).isEqualTo(CAN);
    assertThat(subjects().get(0).lead()).isEqualTo(DRUM);
  }

  private static Product product(long id) {
    return new Product(
        new ProductId(id),
        "Maretta",
        "Oil " + id,
        FluidKind.ENGINE_OIL,
        "15W-40",
        "",
        List.of(),
        Product.Data.UNKNOWN,
        0);
  }

  private static Item fluid(long id, Product product) {
    return item(id, Optional.of(product));
  }

  private static Item item(long id, Optional<Product> product) {
    return new Item(
        new ItemId(id),
        new PartId(id),
        "Maretta",
        "M " + id,
        "",
        product.isPresent() ? Family.FLUID : Family.SPIN_ON_FILTER,
        product.isPresent() ? Measure.LITRES : Measure.PIECES,
        product,
        product.map(fluid -> Quantity.litres("20")),
        Optional.empty(),
        new Item.Bin(new BinId(1), "D-01", 1),
        Item.Keeping.PLAIN,
        0);
  }
}
