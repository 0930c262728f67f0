package dev.lonja.core.take;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fleet.Variant;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.Boxes;
import dev.lonja.core.machine.Ways;
import dev.lonja.core.policy.Choice;
import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.InForce;
import dev.lonja.core.policy.Policies;
import dev.lonja.core.policy.School;
import dev.lonja.core.policy.UnitPolicies;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.service.TaskId;
import java.math.BigDecimal;
import java.util.Currency;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/**
 * A filter at 10.00 and a washer at 0.50 that are replaced every time, and a plug at 4.00 that is
 * replaced in 3 of 10 looks. A kit holds one of each.
 */
class KitChoiceTest {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final ItemId FILTER = new ItemId(1);
  private static final ItemId WASHER = new ItemId(2);
  private static final ItemId PLUG = new ItemId(3);
  private static final ItemId CLIP = new ItemId(4);
  private static final ItemId KIT = new ItemId(9);
  private static final ItemId SMALL_KIT = new ItemId(8);

  private static final TakeLine NEW_FILTER = replaced(11, FILTER);
  private static final TakeLine NEW_WASHER = replaced(12, WASHER);
  private static final TakeLine LOOK_AT_PLUG =
      new TakeLine(
          new TaskId(13),
          PLUG,
          "Plug",
          Destination.position(new PositionId(13)),
          Quantity.pieces(1).times(new BigDecimal("0.3")),
          Quantity.pieces(1),
          new TakeLine.Reason.OnInspection(ReplacementChance.UNKNOWN, ""));

  private static final List<TakeLine> SERVICE = List.of(NEW_FILTER, NEW_WASHER, LOOK_AT_PLUG);

  private static TakeLine replaced(long task, ItemId item) {
    return new TakeLine(
        new TaskId(task),
        item,
        "Place " + task,
        Destination.position(new PositionId(task)),
        Quantity.pieces(1),
        Quantity.pieces(1),
        new TakeLine.Reason.Part(""));
  }

  private static InForce inForce(School school) {
    return new InForce(Choice.of(school), Holder.Level.STORE);
  }

  /** How things are done on a carrier whose engine is not noted. */
  private static Ways way(School school) {
    return new Ways(
        new UnitPolicies(
            Policies.USUAL.with(Holder.STORE, Choice.of(school)), List.of(Holder.STORE)),
        Map.of(),
        Optional.of(new Variant(1, "Lintrel", "Duo 700", "")));
  }

  private static Boxes.Content one(ItemId item) {
    return new Boxes.Content(Set.of(item), 1);
  }

  private static UnitPrice cents(long cents) {
    return new UnitPrice(cents * 10_000, EUR);
  }

  /** A shelf with one kit of these contents, on which a plug and a clip are worth 3.00 and 0.40. */
  private static KitShelf shelf(long kitCents, Map<ItemId, Quantity> yearUse, ItemId... contents) {
    Map<ItemId, UnitPrice> prices = new HashMap<>();
    prices.put(FILTER, cents(1_000));
    prices.put(WASHER, cents(50));
    prices.put(PLUG, cents(400));
    prices.put(KIT, cents(kitCents));
    return new KitShelf(
        Map.of(KIT, List.of(contents).stream().map(KitChoiceTest::one).toList()),
        Map.of(),
        prices,
        Map.of(PLUG, cents(300), CLIP, cents(40)),
        yearUse);
  }

  private static List<ItemId> taken(List<TakeLine> lines, School school, KitShelf shelf) {
    return KitChoice.of(lines, way(school), shelf).stream().map(TakeLine::itemId).toList();
  }

  /** Loose 10.00 + 0.50 + 0.3 × 4.00 = 11.70 is used; a kit of 11.69 costs less, of 11.70 not. */
  @Test
  void theCostOfWhatIsUsedDecides() {
    KitShelf cheaper = shelf(1_169, Map.of(), FILTER, WASHER, PLUG);
    assertThat(taken(SERVICE, School.CHEAPEST_COVER, cheaper)).containsExactly(KIT);
    KitShelf tie = shelf(1_170, Map.of(), FILTER, WASHER, PLUG);
    assertThat(taken(SERVICE, School.CHEAPEST_COVER, tie)).containsExactly(FILTER, WASHER, PLUG);
  }

  /** 0.7 of a plug is left over; worth 2.10 where so much is used in a year: up to 13.80 less. */
  @Test
  void whatIsLeftOverCountsIfItWillBeUsed() {
    Map<ItemId, Quantity> enough = Map.of(PLUG, Quantity.pieces(1));
    assertThat(taken(SERVICE, School.CHEAPEST_COVER, shelf(1_379, enough, FILTER, WASHER, PLUG)))
        .containsExactly(KIT);
    assertThat(taken(SERVICE, School.CHEAPEST_COVER, shelf(1_380, enough, FILTER, WASHER, PLUG)))
        .containsExactly(FILTER, WASHER, PLUG);
    Map<ItemId, Quantity> less = Map.of(PLUG, Quantity.pieces(1).times(new BigDecimal("0.6")));
    assertThat(taken(SERVICE, School.CHEAPEST_COVER, shelf(1_379, less, FILTER, WASHER, PLUG)))
        .containsExactly(FILTER, WASHER, PLUG);
  }

  /** A clip that nobody asked for is worth its 0.40 only if the fleet uses one in the year. */
  @Test
  void whatIsNotAskedForIsWorthWhatTheFleetUses() {
    List<TakeLine> lines = List.of(NEW_FILTER, NEW_WASHER);
    KitShelf kit = shelf(1_080, Map.of(CLIP, Quantity.pieces(1)), FILTER, WASHER, CLIP);
    assertThat(taken(lines, School.CHEAPEST_COVER, kit)).containsExactly(KIT);
    KitShelf unused = shelf(1_080, Map.of(), FILTER, WASHER, CLIP);
    assertThat(taken(lines, School.CHEAPEST_COVER, unused)).containsExactly(FILTER, WASHER);
  }

  @Test
  void withoutAPriceNobodySaysThatAKitCostsLess() {
    KitShelf shelf = shelf(100, Map.of(), FILTER, WASHER, CLIP);
    TakeLine clip = replaced(14, CLIP);
    assertThat(taken(List.of(NEW_FILTER, clip), School.CHEAPEST_COVER, shelf))
        .containsExactly(FILTER, CLIP);
  }

  @Test
  void theOtherSchools() {
    KitShelf withClip = shelf(9_999, Map.of(), FILTER, WASHER, CLIP);
    assertThat(taken(SERVICE, School.KIT_IF_ALL_NEEDED, withClip))
        .containsExactly(FILTER, WASHER, PLUG);
    assertThat(taken(SERVICE, School.ALWAYS_KIT, withClip)).containsExactly(KIT, PLUG);
    KitShelf exact = shelf(9_999, Map.of(), FILTER, WASHER);
    assertThat(taken(SERVICE, School.KIT_IF_ALL_NEEDED, exact)).containsExactly(KIT, PLUG);
    assertThat(taken(SERVICE, School.ALWAYS_LOOSE, shelf(1, Map.of(), FILTER, WASHER)))
        .containsExactly(FILTER, WASHER, PLUG);
    // one line is no reason for a kit
    assertThat(taken(List.of(NEW_FILTER), School.ALWAYS_KIT, exact)).containsExactly(FILTER);
  }

  /** Two engines take two of the kit for one. */
  @Test
  void asManyKitsAsTheLinesTake() {
    List<TakeLine> twins =
        List.of(NEW_FILTER, NEW_WASHER, replaced(21, FILTER), replaced(22, WASHER));
    List<TakeLine> lines =
        KitChoice.of(twins, way(School.ALWAYS_KIT), shelf(500, Map.of(), FILTER, WASHER));
    assertThat(lines).extracting(TakeLine::itemId).containsExactly(KIT, KIT);
    assertThat(lines.get(0).reason())
        .isEqualTo(new TakeLine.Reason.Kit(2, Set.of(new TaskId(11), new TaskId(12)), Map.of()));
    assertThat(lines.get(1).reason())
        .isEqualTo(new TakeLine.Reason.Kit(2, Set.of(new TaskId(21), new TaskId(22)), Map.of()));
  }

  /**
   * Of two kits the one that saves more: 10.50 + 1.20 - 9.00 = 2.70 against 10.50 - 8.00 = 2.50.
   */
  @Test
  void theKitThatSavesMost() {
    KitShelf one = shelf(900, Map.of(), FILTER, WASHER, PLUG);
    Map<ItemId, List<Boxes.Content>> kits = new HashMap<>(one.kits());
    kits.put(SMALL_KIT, List.of(one(FILTER), one(WASHER)));
    Map<ItemId, UnitPrice> prices = new HashMap<>(one.prices());
    prices.put(SMALL_KIT, cents(800));
    KitShelf both = new KitShelf(kits, Map.of(), prices, one.averages(), one.yearUse());
    assertThat(taken(SERVICE, School.CHEAPEST_COVER, both)).containsExactly(KIT);
  }

  /**
   * What might be in a kit says by which school it is not; a line of which no kit knows does not.
   */
  @Test
  void theLinesNameTheSchool() {
    InForce way = inForce(School.ALWAYS_LOOSE);
    List<TakeLine> lines =
        KitChoice.of(SERVICE, way(School.ALWAYS_LOOSE), shelf(900, Map.of(), FILTER, WASHER));
    assertThat(lines)
        .extracting(TakeLine::ways)
        .containsExactly(List.of(way), List.of(way), List.of());
    TakeLine kit =
        KitChoice.of(SERVICE, way(School.ALWAYS_KIT), shelf(900, Map.of(), FILTER, WASHER)).get(0);
    assertThat(kit.ways()).containsExactly(inForce(School.ALWAYS_KIT));
    assertThat(kit.toLay()).isEqualTo(Quantity.pieces(1));
  }

  /** Two of three plugs come in the kit: of the third 0.3 is expected as before. */
  @Test
  void ofWhatIsLeftTheSameShareIsExpected() {
    TakeLine plugs =
        new TakeLine(
            new TaskId(13),
            PLUG,
            "Plugs",
            Destination.position(new PositionId(13)),
            Quantity.pieces(3).times(new BigDecimal("0.3")),
            Quantity.pieces(3),
            new TakeLine.Reason.OnInspection(ReplacementChance.UNKNOWN, ""));
    List<TakeLine> lines =
        KitChoice.of(
            List.of(NEW_FILTER, plugs),
            way(School.ALWAYS_KIT),
            shelf(900, Map.of(), FILTER, PLUG, PLUG));
    assertThat(lines).extracting(TakeLine::itemId).containsExactly(KIT, PLUG);
    assertThat(lines.get(1).toLay()).isEqualTo(Quantity.pieces(1));
    assertThat(lines.get(1).expected()).isEqualTo(Quantity.pieces(1).times(new BigDecimal("0.3")));
  }

  /** 0.7 of the plug that is looked at, and the clip that nobody asked for. */
  @Test
  void whatIsExpectedBack() {
    TakeLine kit =
        KitChoice.of(
                SERVICE, way(School.ALWAYS_KIT), shelf(900, Map.of(), FILTER, WASHER, PLUG, CLIP))
            .get(0);
    assertThat(((TakeLine.Reason.Kit) kit.reason()).back())
        .isEqualTo(
            Map.of(
                PLUG, Quantity.pieces(1).times(new BigDecimal("0.7")), CLIP, Quantity.pieces(1)));
  }

  /** Of another make, or of an engine that nobody noted, it stays on the shelf; of its own not. */
  @Test
  void aKitThatIsMadeForOtherMachinesIsNotChosen() {
    KitShelf kit = shelf(900, Map.of(), FILTER, WASHER);
    assertThat(taken(SERVICE, School.ALWAYS_KIT, madeFor(kit, "Corvane", "")))
        .containsExactly(FILTER, WASHER, PLUG);
    assertThat(taken(SERVICE, School.ALWAYS_KIT, madeFor(kit, "Lintrel", "LD 70")))
        .containsExactly(FILTER, WASHER, PLUG);
    assertThat(taken(SERVICE, School.ALWAYS_KIT, madeFor(kit, "Lintrel", "")))
        .containsExactly(KIT, PLUG);
  }

  private static KitShelf madeFor(KitShelf shelf, String make, String engine) {
    KitRange range = new KitRange(make, "", engine, Optional.empty(), Optional.empty());
    return new KitShelf(
        shelf.kits(),
        Map.of(KIT, List.of(range)),
        shelf.prices(),
        shelf.averages(),
        shelf.yearUse());
  }
}
