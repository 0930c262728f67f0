package dev.lonja.web.item;

import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.place.BinId;
import dev.lonja.web.book.MovementRow;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import java.util.List;
import java.util.Optional;

/**
 * Everything the item page shows, in words.
 *
 * @param places what lies where; empty if there is but one place
 */
public record ItemView(
    Plate plate,
    Head head,
    Shelf shelf,
    List<AtPlace> places,
    Keeping keeping,
    List<UseRow> usedOn,
    List<LotRow> lots,
    List<MovementRow> movements) {

  /**
   * What it is, and what is out of the ordinary.
   *
   * @param usedAgain true if one that came off a machine may be kept
   */
  public record Head(
      Optional<Drum> drum,
      Optional<ProductId> productId,
      String description,
      boolean kit,
      boolean usedAgain,
      List<String> cautions,
      List<String> kept,
      Optional<Plate> successor) {}

  /**
   * What there is of it; value and average only for those who see money.
   *
   * @param used what is not new; empty if all is
   * @param usedFree used, good ones that may be issued; empty if none
   */
  public record Shelf(
      String measure,
      String homeBin,
      boolean needsLot,
      String onHand,
      String free,
      String held,
      String used,
      String usedFree,
      String value,
      String average) {}

  /**
   * What lies at one place of the store.
   *
   * @param id as a form sends it; empty for the main store
   */
  public record AtPlace(String id, String name, String there) {}

  /** How it is kept, and who sells it. */
  public record Keeping(
      List<String> barcodes, List<BinRow> bins, List<SupplyRow> supplies, boolean hasPicture) {}

  /** A bin with what it should hold. */
  public record BinRow(String bin, String least, String most) {}

  /** Who sells it, and how. */
  public record SupplyRow(
      String supplier, String orderNumber, String price, String pack, String least, String lead) {}

  /** A unit that takes it: the next use, and what the coming half year takes. */
  public record UseRow(String unit, String next, String halfYear) {}

  /** What lies of a lot in a bin. */
  public record LotRow(
      LotId lotId,
      BinId binId,
      String bin,
      String lot,
      String received,
      String expires,
      String quantity,
      List<State> states) {}
}
