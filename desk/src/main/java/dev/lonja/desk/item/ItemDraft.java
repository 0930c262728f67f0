package dev.lonja.desk.item;

import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.item.Criticality;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.Properties;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * An item as somebody wants it: what can be read without the store is read, bins, suppliers and
 * parts stand as they are named.
 *
 * @param product the fluid in it
 * @param pack what a container of it holds
 * @param runningOut use what is left, buy no more
 */
public record ItemDraft(
    Identity identity,
    String description,
    String homeBin,
    Optional<ProductId> product,
    Optional<Quantity> pack,
    Optional<Volume> filterVolume,
    Keeping keeping,
    Rows rows,
    News news) {

  /**
   * Which part it is, and what is recorded of it.
   *
   * @param apart true if somebody says that it is none of those whose numbers read alike
   */
  public record Identity(
      String make, String number, Family family, Properties properties, boolean apart) {}

  /** How long it keeps, in days, whether it runs out, and what it means if it is not there. */
  public record Keeping(
      Optional<Integer> shelfLifeDays,
      Optional<Integer> openLifeDays,
      boolean runningOut,
      Criticality criticality) {}

  /**
   * What may come along with it if it is not there yet.
   *
   * @param bins true if bins are put up
   * @param leadDays of suppliers who are taken on; empty if none are
   */
  public record News(boolean bins, Optional<Integer> leadDays) {

    /** Everything that is named is there. */
    public static final News NONE = new News(false, Optional.empty());
  }

  /** What there may be several of. */
  public record Rows(
      List<String> barcodes, List<Bin> bins, List<Offer> offers, List<Content> box) {}

  /** A bin with what it should hold; {@code row} is its line of the form. */
  public record Bin(int row, String address, Quantity least, Quantity most) {}

  /** Who sells it, and how; the price is in the store's currency for one of its measure. */
  public record Offer(
      int row,
      String supplier,
      String orderNumber,
      BigDecimal price,
      List<Break> breaks,
      Quantity pack,
      Quantity least) {}

  /** From how much on one costs something else. */
  public record Break(Quantity from, BigDecimal price) {}

  /** Something that comes in its box. */
  public record Content(int row, String part, int quantity) {}

  /** How the item is counted. */
  Measure measure() {
    return identity.family().measure();
  }
}
