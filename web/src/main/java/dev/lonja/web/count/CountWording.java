package dev.lonja.web.count;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.count.AbcClass;
import dev.lonja.core.count.CountPlan;
import dev.lonja.core.item.Item;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.count.CountDesk;
import dev.lonja.desk.count.CountRefusal;
import dev.lonja.store.count.CountRepository;
import dev.lonja.store.count.CountRepository.Count;
import dev.lonja.store.ledger.LedgerLine;
import dev.lonja.web.book.LedgerWording;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.sign.PersonProblems;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Says what is to be counted, and why a count is not taken. */
final class CountWording {

  private final StoreClock clock;

  CountWording(StoreClock clock) {
    this.clock = clock;
  }

  RefusalWording refusals() {
    return LedgerWording.at(item -> "counted-" + item.id())
        .and(PersonProblems.SECOND)
        .and(RefusalWording.of(CountRefusal.class, words()));
  }

  private Cases<CountRefusal, Problem> words() {
    return Cases.<CountRefusal, Problem>over(CountRefusal.class)
        .when(
            CountRefusal.NothingCounted.class,
            none -> Problem.ofWhole("Nothing was counted. Where nothing lies, write 0."))
        .when(
            CountRefusal.NothingThere.class,
            none ->
                new Problem(
                    "counted-" + none.item(), "Nothing of it lies or belongs there any more."))
        .when(
            CountRefusal.MovedMeanwhile.class,
            moved ->
                new Problem(
                    "counted-" + moved.item(),
                    "Some of it moved since this list was opened. Count it again."))
        .when(
            CountRefusal.CountedAlready.class,
            already ->
                new Problem(
                    "counted-" + already.item(),
                    "It is counted already. Empty the field; if it has to be counted once more, say so"
                        + " on the page of the stocktake."))
        .when(
            CountRefusal.NotWhole.class,
            part ->
                new Problem(
                    "counted-" + part.item(),
                    "Counted is " + part.counted().display() + "; pieces are counted whole."))
        .when(CountRefusal.NeedsReason.class, this::needsReason)
        .when(
            CountRefusal.SamePerson.class,
            same ->
                new Problem(
                    "counted-" + same.item(),
                    "You counted it first; somebody else makes the second count."))
        .when(
            CountRefusal.UnknownNumber.class,
            unknown ->
                new Problem(
                    "found",
                    "No item of the store has the number \""
                        + unknown.number()
                        + "\". What is not known is set aside and asked about."))
        .when(
            CountRefusal.SeveralOfNumber.class,
            several ->
                new Problem(
                    "found",
                    "\""
                        + several.number()
                        + "\" is "
                        + several.items().stream()
                            .map(item -> item.make() + " " + item.number())
                            .collect(Collectors.joining(" or "))
                        + "; scan its label or write the maker's barcode."))
        .when(
            CountRefusal.OnTheList.class,
            known ->
                new Problem(
                    "found",
                    known.item().number() + " belongs here: write its figure in its own row."))
        .when(
            CountRefusal.NeverReceived.class,
            never ->
                new Problem(
                    "counted-" + never.item().id(),
                    never.item().number()
                        + " was never received, so that nobody knows its lot or its worth."
                        + " Receive it at the door."))
        .when(
            CountRefusal.StocktakeOpen.class,
            open -> Problem.ofWhole("A stocktake is open already."))
        .when(CountRefusal.NoStocktake.class, none -> Problem.ofWhole("No stocktake is open."))
        .when(
            CountRefusal.BinsLeft.class,
            left ->
                Problem.ofWhole(
                    Words.count(left.bins(), "bin is", "bins are")
                        + " not counted yet. Where nothing lies, 0 is counted."))
        .when(
            CountRefusal.NotOpen.class,
            closed -> Problem.ofWhole("This difference does not wait any more."))
        .all();
  }

  private Problem needsReason(CountRefusal.NeedsReason needs) {
    Quantity change = needs.counted().minus(needs.book());
    return new Problem(
        "why-" + needs.item(),
        needs.counted().display()
            + " counted, the book has "
            + needs.book().display()
            + ": "
            + differs(change)
            + ", "
            + needs.worth().abs().display()
            + "."
            + needs.moved().map(this::moved).orElse("")
            + " Count again, then say why.");
  }

  private String moved(LedgerLine line) {
    return " Last moved "
        + Stream.of(
                Words.day(clock.dayOf(line.at()), clock.today()),
                line.kind().words(),
                line.cause().reference())
            .filter(part -> !part.isEmpty())
            .collect(Collectors.joining(", "))
        + ".";
  }

  /** "13 short", "2 too many". */
  static String differs(Quantity change) {
    return change.isNegative()
        ? change.negated().display() + " short"
        : change.display() + " too many";
  }

  CountView view(CountDesk.Sheet sheet, boolean withBook, String at) {
    Map<String, List<CountDesk.Due>> bins = new LinkedHashMap<>();
    for (CountDesk.Due due : sheet.due()) {
      bins.computeIfAbsent(due.bin().address(), address -> new ArrayList<>()).add(due);
    }
    boolean isAll = sheet.progress().stocktake().isPresent();
    int before = isAll ? sheet.progress().binsDone() : 0;
    int all = isAll ? sheet.progress().binsOf() : bins.size();
    List<CountView.OneBin> cards = new ArrayList<>();
    for (Map.Entry<String, List<CountDesk.Due>> bin : bins.entrySet()) {
      CountDesk.Due first = bin.getValue().get(0);
      cards.add(
          new CountView.OneBin(
              "b" + first.bin().id(),
              "/stores/counts/" + first.bin().id(),
              bin.getKey(),
              (before + cards.size() + 1) + " of " + all,
              bin.getValue().stream().map(due -> row(due, withBook)).toList()));
    }
    return new CountView(head(sheet, withBook, at, bins.size()), cards, done(sheet));
  }

  private CountView.Head head(CountDesk.Sheet sheet, boolean withBook, String at, int bins) {
    CountDesk.Progress progress = sheet.progress();
    boolean isKnown =
        at.isBlank() || sheet.addresses().stream().anyMatch(at.strip()::equalsIgnoreCase);
    return new CountView.Head(
        progress
            .stocktake()
            .map(
                open ->
                    progress.binsDone()
                        + " of "
                        + Words.count(progress.binsOf(), "bin", "bins")
                        + " counted; begun by "
                        + open.begunBy()
                        + " "
                        + Words.day(clock.dayOf(open.begunAt()), clock.today()))
            .orElseGet(
                () ->
                    Words.count(bins, "bin", "bins")
                        + ", "
                        + progress.binsDone()
                        + " of "
                        + progress.binsOf()
                        + " a day begun"),
        Words.day(clock.today(), clock.today()),
        progress.stocktake().map(open -> open.id().number()).orElse(""),
        withBook,
        isKnown ? at.strip() : "",
        isKnown ? "" : "No bin is called \"" + at.strip() + "\".",
        String.join(" ", sheet.addresses()));
  }

  private CountView.Row row(CountDesk.Due due, boolean withBook) {
    Item item = due.item();
    return new CountView.Row(
        item.id().toString(),
        Stream.concat(
                due.barcodes().stream().map(code -> PartKey.of(code).map(PartKey::text).orElse("")),
                Stream.of(item.key().text()))
            .collect(Collectors.joining(" ")),
        Plate.of(item),
        item.description(),
        due.book().measure().symbol(),
        why(due.kept())
            + due.onTrays()
                .map(laid -> "; " + laid.display() + " more on trays, not to be counted")
                .orElse(""),
        due.first()
            .map(first -> State.note("second count; " + first.count().actor() + " made the first"))
            .orElse(State.open("")),
        withBook ? "book: " + due.book().display() : "",
        due.stamp());
  }

  private String why(CountPlan.Kept kept) {
    String often = words(kept.abc()) + ", every " + kept.abc().days() + " days; ";
    return often
        + kept.last()
            .map(day -> "counted last " + Words.day(day, clock.today()))
            .orElse("never counted");
  }

  private static String words(AbcClass abc) {
    return switch (abc) {
      case A -> "A: among what makes up most of the year's value";
      case B -> "B: used a good deal";
      case C -> "C: used little or not at all";
    };
  }

  /** By bin; what agrees is said once. */
  private static List<CountView.DoneBin> done(CountDesk.Sheet sheet) {
    Map<String, List<State>> bins = new LinkedHashMap<>();
    for (CountDesk.Done done : sheet.done()) {
      List<State> said = bins.computeIfAbsent(done.bin().address(), address -> new ArrayList<>());
      State state = state(done);
      if (!said.contains(state)) {
        said.add(state);
      }
    }
    return bins.entrySet().stream()
        .map(entry -> new CountView.DoneBin(entry.getKey(), entry.getValue()))
        .toList();
  }

  private static State state(CountDesk.Done done) {
    Count count = done.count().count();
    return count.state() == CountRepository.State.AGREED
        ? State.ready("agrees")
        : State.note(done.item().number() + " " + differs(count.counted().minus(count.book())));
  }
}
