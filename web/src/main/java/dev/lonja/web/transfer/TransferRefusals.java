package dev.lonja.web.transfer;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.transfer.TransferState;
import dev.lonja.desk.transfer.TransferRefusal;
import dev.lonja.web.book.LedgerWording;
import dev.lonja.web.book.StockForms;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;

/** Why a transfer does not go on so, in words. */
final class TransferRefusals {

  /** Each reason at the field of its item: amount, picked or came, and the item's number. */
  static RefusalWording at(String amount) {
    return RefusalWording.of(TransferRefusal.class, words(amount))
        .and(LedgerWording.at(item -> amount + item.id()))
        .and(StockForms.refusals("bin"));
  }

  private TransferRefusals() {}

  private static java.util.function.Function<TransferRefusal, Problem> words(String amount) {
    return Cases.<TransferRefusal, Problem>over(TransferRefusal.class)
        .when(
            TransferRefusal.Unknown.class,
            none -> Problem.ofWhole("There is no transfer TF-" + none.id() + "."))
        .when(
            TransferRefusal.StandsElsewhere.class,
            other ->
                Problem.ofWhole(
                    "TF-"
                        + other.id()
                        + " is "
                        + word(other.state())
                        + " by now. Nothing was changed."))
        .when(
            TransferRefusal.NoSuchWay.class,
            none -> new Problem("to", "Choose two different places of this store, from and to."))
        .when(
            TransferRefusal.Nothing.class,
            none -> Problem.ofWhole("No amount is written. Write at least one."))
        .when(
            TransferRefusal.NothingPicked.class,
            none -> Problem.ofWhole("Nothing is picked yet. Scan it, or write what you took."))
        .when(
            TransferRefusal.NoItem.class,
            none ->
                new Problem(
                    "code",
                    none.found() == 0
                        ? "\"" + none.code() + "\" is no number of the store."
                        : "\""
                            + none.code()
                            + "\" is a number of "
                            + none.found()
                            + " things. Write its barcode."))
        .when(
            TransferRefusal.NotAskedFor.class,
            not -> new Problem("code", not.item().number() + " is not asked for."))
        .when(
            TransferRefusal.NotSoMuch.class,
            not ->
                new Problem(
                    amount + not.item().id(),
                    not.amount().display()
                        + " of "
                        + not.item().number()
                        + "; allowed is more than nothing, pieces in whole ones."))
        .when(
            TransferRefusal.NotFree.class,
            not ->
                new Problem(
                    amount + not.item().id(),
                    not.wanted().display()
                        + " of "
                        + not.item().number()
                        + " wanted, "
                        + not.free().display()
                        + " free there."))
        .when(
            TransferRefusal.InTank.class,
            in ->
                new Problem(
                    amount + in.item().id(),
                    in.item().number() + " lies in a tank: it is poured, not carried."))
        .when(
            TransferRefusal.NotABinThere.class,
            not ->
                new Problem(
                    "bin-" + not.item(), not.address() + " is no bin of the place it goes to."))
        .when(
            TransferRefusal.NothingOnTheWay.class,
            none -> Problem.ofWhole("Nothing of it is on its way."))
        .all();
  }

  static String word(TransferState state) {
    return switch (state) {
      case ASKED -> "asked for";
      case SENT -> "on its way";
      case CLOSED -> "closed";
      case DROPPED -> "given up";
    };
  }
}
