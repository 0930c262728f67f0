package dev.lonja.web.item;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.quantity.Measure;
import dev.lonja.desk.item.ItemRefusal;
import dev.lonja.store.item.ItemRepository;
import dev.lonja.web.crossref.PartNumbers;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import java.util.stream.Collectors;

/** Why an item was not written, each reason at its field of the form. */
final class ItemRefusals {

  private static final String APART = "apart";

  static final RefusalWording WORDS =
      RefusalWording.of(
          ItemRefusal.class,
          Cases.<ItemRefusal, Problem>over(ItemRefusal.class)
              .when(ItemRefusal.UnknownHome.class, home -> unknownBin("homeBin", home.address()))
              .when(ItemRefusal.OtherMeasure.class, ItemRefusals::otherMeasure)
              .when(
                  ItemRefusal.UnknownProduct.class,
                  none -> new Problem("product", "Choose the fluid that is in it."))
              .when(
                  ItemRefusal.BarcodeTaken.class,
                  taken ->
                      new Problem(
                          "barcodes",
                          "The barcode "
                              + taken.code()
                              + " is that of "
                              + taken.by().number()
                              + " already."))
              .when(
                  ItemRefusal.UnknownBin.class,
                  none -> unknownBin("bin-" + none.row(), none.address()))
              .when(
                  ItemRefusal.BinTwice.class,
                  twice ->
                      new Problem(
                          "bin-" + twice.row(), "Bin " + twice.address() + " is listed twice."))
              .when(ItemRefusal.LeastAboveMost.class, ItemRefusals::leastAboveMost)
              .when(ItemRefusal.AboveSafeFill.class, ItemRefusals::aboveSafeFill)
              .when(
                  ItemRefusal.UnknownSupplier.class,
                  none ->
                      new Problem(
                          "supplier-" + none.row(),
                          "There is no supplier \""
                              + none.name()
                              + "\"; say below in how many days a new one delivers."))
              .when(
                  ItemRefusal.SupplierTwice.class,
                  twice ->
                      new Problem("supplier-" + twice.row(), twice.name() + " is listed twice."))
              .when(
                  ItemRefusal.UnknownContent.class,
                  none -> PartNumbers.problem("content-" + none.row(), none.why()))
              .when(
                  ItemRefusal.ContentTwice.class,
                  twice ->
                      new Problem(
                          "content-" + twice.row(),
                          twice.name() + " is in the box twice; write how many once."))
              .when(
                  ItemRefusal.InOwnBox.class,
                  own ->
                      new Problem(
                          "content-" + own.row(), own.number() + " cannot come in its own box."))
              .when(
                  ItemRefusal.StockedAlready.class,
                  already ->
                      new Problem(
                          "number",
                          already.make()
                              + " "
                              + already.number()
                              + " is stocked already. Edit that one."))
              .when(
                  ItemRefusal.ReadsAlike.class,
                  alike ->
                      new Problem(
                          APART,
                          "The store keeps "
                              + alike.items().stream()
                                  .map(item -> item.make() + " " + item.number())
                                  .collect(Collectors.joining(", "))
                              + ", which reads like it. Is it the same? Then edit that one."))
              .when(
                  ItemRefusal.NumberTaken.class,
                  taken ->
                      new Problem(
                          "number",
                          "The store knows another part "
                              + taken.make()
                              + " "
                              + taken.number()
                              + "; say that they are the same instead."))
              .when(ItemRefusal.InUse.class, ItemRefusals::inUse)
              .all());

  private ItemRefusals() {}

  private static Problem unknownBin(String field, String address) {
    return new Problem(
        field,
        "There is no bin \""
            + address
            + "\"; write one such as A-03, or tick below that it is put up.");
  }

  private static Problem otherMeasure(ItemRefusal.OtherMeasure other) {
    return new Problem(
        "family",
        other.counted() == Measure.LITRES
            ? "A fluid stays a fluid: it is counted in litres. Make a new item instead."
            : "What is counted in pieces cannot become a fluid. Make a new item instead.");
  }

  private static Problem aboveSafeFill(ItemRefusal.AboveSafeFill refused) {
    return new Problem(
        "most-" + refused.row(),
        refused.tank().name()
            + " is filled up to "
            + refused.tank().safeFill().display()
            + " at most, not "
            + refused.bin().most().display()
            + ".");
  }

  private static Problem leastAboveMost(ItemRefusal.LeastAboveMost refused) {
    return new Problem(
        "least-" + refused.row(),
        "Bin "
            + refused.bin().address()
            + " should hold at least "
            + refused.bin().least().display()
            + ", which is more than its most, "
            + refused.bin().most().display()
            + ".");
  }

  private static Problem inUse(ItemRefusal.InUse used) {
    return Problem.ofWhole(
        used.item().number()
            + " cannot be deleted: it has "
            + used.uses().stream().map(ItemRefusals::words).collect(Collectors.joining(", "))
            + ". Retire it instead.");
  }

  private static String words(ItemRepository.Use use) {
    return switch (use) {
      case MOVEMENTS -> "movements";
      case TRAYS -> "places on trays";
      case MACHINES -> "machines that take it";
      case FILLS -> "records of fills";
    };
  }
}
