package dev.lonja.web.count;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.count.AbcClass;
import dev.lonja.core.count.CountPlan;
import dev.lonja.desk.count.CountDesk;
import dev.lonja.desk.count.CountRefusal;
import dev.lonja.web.book.LedgerWording;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.sign.PersonProblems;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Says what is to be counted today, and why a count is not taken. */
final class CountWording {

  static final RefusalWording REFUSALS =
      LedgerWording.at("counted")
          .and(PersonProblems.SECOND)
          .and(
              RefusalWording.of(
                  CountRefusal.class,
                  Cases.<CountRefusal, Problem>over(CountRefusal.class)
                      .when(
                          CountRefusal.NothingThere.class,
                          none -> Problem.ofWhole("Nothing of it lies or belongs there any more."))
                      .when(
                          CountRefusal.MovedMeanwhile.class,
                          moved ->
                              new Problem(
                                  "counted",
                                  "Some of it moved since this list was opened. Count it again."))
                      .when(
                          CountRefusal.NotWhole.class,
                          part ->
                              new Problem(
                                  "counted",
                                  "Counted is "
                                      + part.counted().display()
                                      + "; pieces are counted whole."))
                      .when(
                          CountRefusal.NeedsReason.class,
                          needs ->
                              new Problem(
                                  "why",
                                  "The book says "
                                      + needs.book().display()
                                      + ", you counted "
                                      + needs.counted().display()
                                      + ". Count once more, then say why."))
                      .when(
                          CountRefusal.SamePerson.class,
                          same ->
                              new Problem(
                                  "counted",
                                  "You counted it first; somebody else makes the second count."))
                      .all()));

  private final LocalDate today;

  CountWording(LocalDate today) {
    this.today = today;
  }

  CountView view(CountDesk.Today list, boolean withBook) {
    Map<String, List<CountView.Row>> bins = new LinkedHashMap<>();
    for (CountDesk.Due due : list.due()) {
      bins.computeIfAbsent(due.bin().address(), address -> new ArrayList<>())
          .add(row(due, withBook));
    }
    return new CountView(
        Words.count(bins.size(), "bin", "bins")
            + " to count, "
            + list.binsDone()
            + " of "
            + CountPlan.BINS_A_DAY
            + " a day begun",
        bins.entrySet().stream()
            .map(entry -> new CountView.OneBin(entry.getKey(), entry.getValue()))
            .toList(),
        withBook);
  }

  private CountView.Row row(CountDesk.Due due, boolean withBook) {
    return new CountView.Row(
        "c" + due.kept().item() + "b" + due.kept().bin(),
        "/stores/counts/" + due.kept().bin() + "/" + due.kept().item(),
        Plate.of(due.item()),
        due.item().description(),
        due.book().measure().symbol(),
        why(due.kept()),
        due.first()
            .map(first -> State.note("second count; " + first.actor() + " made the first"))
            .orElse(State.open("")),
        withBook ? "book: " + due.book().display() : "",
        due.stamp());
  }

  private String why(CountPlan.Kept kept) {
    String often = words(kept.abc()) + ", every " + kept.abc().days() + " days; ";
    return often
        + kept.last().map(day -> "counted last " + Words.day(day, today)).orElse("never counted");
  }

  private static String words(AbcClass abc) {
    return switch (abc) {
      case A -> "A: among what makes up most of the year's value";
      case B -> "B: used a good deal";
      case C -> "C: used little or not at all";
    };
  }
}
