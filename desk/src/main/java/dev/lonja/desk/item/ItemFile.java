package dev.lonja.desk.item;

import dev.lonja.core.forecast.ServiceDemand;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemBin;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.part.Part;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.supplier.Supply;
import dev.lonja.desk.crossref.PartFile;
import dev.lonja.desk.fluid.Hazards;
import dev.lonja.store.ledger.LedgerLine;
import dev.lonja.store.ledger.LotFacts;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Everything on file of an item. Who may not see money gets neither values nor suppliers nor
 * movements.
 *
 * @param successor what replaces it, if somebody says so
 * @param uses the units that take it
 */
public record ItemFile(
    Item item,
    Shelf shelf,
    Keeping keeping,
    Optional<Successor> successor,
    List<Hazards.Text> hazards,
    List<Use> uses,
    List<LotFacts> lots,
    List<LedgerLine> movements,
    PartFile part) {

  /**
   * What there is of it.
   *
   * @param onHand new ones, of which some are free and some on trays
   * @param used what is not new, by condition; a condition of which there is none is absent
   * @param usedFree used, good ones that may be issued
   * @param worth of the new ones, only for those who may see money
   * @param places what lies where, if there are satellites
   */
  public record Shelf(
      Quantity onHand,
      Quantity free,
      Quantity held,
      Map<LotCondition, Quantity> used,
      Quantity usedFree,
      Optional<Worth> worth,
      List<AtPlace> places) {}

  /**
   * What of it is new and good at one place.
   *
   * @param held of it, what lies on trays or goes to another place
   */
  public record AtPlace(Place place, String name, Quantity there, Quantity held) {

    public Quantity free() {
      return there.minus(held).atLeastZero();
    }
  }

  /** What it is worth: all of it, and one of its measure on the average. */
  public record Worth(Money value, UnitPrice average) {}

  /** How it is kept, and who sells it. */
  public record Keeping(
      List<String> barcodes, List<ItemBin> bins, List<Supply> supplies, boolean hasPicture) {}

  /** A part that replaces it; the item where it is stocked. */
  public record Successor(Part part, Optional<Item> stocked) {}

  /** A unit that takes it, with what the coming half year takes, in order of date. */
  public record Use(String unit, List<ServiceDemand> demands) {}
}
