package dev.lonja.web.crossref;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.statementlist.ListCheck;
import dev.lonja.core.statementlist.ListProblem;
import dev.lonja.core.statementlist.ListRow;
import dev.lonja.desk.crossref.ListDesk;
import dev.lonja.web.request.Problem;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A list on its way in, or the last one.
 *
 * @param state in a word for the template; "none" if there is none
 */
public record ListView(
    String state,
    String fileName,
    String actor,
    long rows,
    String trouble,
    Optional<Summary> summary,
    String today) {

  /** What a check found; the lists are cut where the counts go on. */
  public record Summary(Counts counts, List<String> problems, List<String> contradictions) {}

  /** How many rows of each sort. */
  public record Counts(
      long rows,
      long fresh,
      long newParts,
      long known,
      long doubles,
      long problems,
      long contradictions) {}

  /** How far it is, for the page to ask every second. */
  public record Progress(String state, long rows, boolean running) {}

  static ListView of(Optional<ListDesk.Progress> progress, LocalDate today) {
    return progress
        .map(
            p ->
                new ListView(
                    word(p.state()),
                    p.fileName(),
                    p.actor(),
                    p.rows(),
                    p.trouble().map(ListView::words).orElse(""),
                    p.result().map(ListView::summary),
                    today.toString()))
        .orElseGet(() -> new ListView("none", "", "", 0, "", Optional.empty(), today.toString()));
  }

  static Progress progress(Optional<ListDesk.Progress> progress) {
    return progress
        .map(p -> new Progress(word(p.state()), p.rows(), p.state().isRunning()))
        .orElse(new Progress("none", 0, false));
  }

  private static String word(ListDesk.State state) {
    return state.name().toLowerCase(Locale.ROOT);
  }

  private static String words(ListDesk.Trouble trouble) {
    return switch (trouble) {
      case UNREADABLE -> "The list could not be read to its end.";
      case STATED_MEANWHILE -> "Something else was stated meanwhile; check it again.";
      case NOT_WRITTEN -> "The store could not write it; nothing was taken in.";
    };
  }

  /** Why a list was not begun or not taken in. */
  static Problem problem(ListDesk.Refused refusal) {
    return Cases.<ListDesk.Refused, Problem>over(ListDesk.Refused.class)
        .when(
            ListDesk.Busy.class,
            busy -> new Problem("file", "Another list is on its way. Wait for it, or cancel it."))
        .when(
            ListDesk.SaidInFuture.class,
            day -> Problem.inFuture("saidOn", day.saidOn(), day.today()))
        .when(
            ListDesk.StatedMeanwhile.class,
            meanwhile -> Problem.ofWhole(words(ListDesk.Trouble.STATED_MEANWHILE)))
        .when(
            ListDesk.NothingToApply.class,
            nothing -> Problem.ofWhole("No list without problems waits to be taken in."))
        .all()
        .apply(refusal);
  }

  private static Summary summary(ListCheck.Result result) {
    return new Summary(
        new Counts(
            result.rows(),
            result.fresh().size(),
            result.newParts().size(),
            result.known(),
            result.doubles(),
            result.problemCount(),
            result.contradictionCount()),
        result.problems().stream().map(ListProblem::display).toList(),
        result.contradictions().stream().map(ListView::words).toList());
  }

  private static String words(ListCheck.Contradiction contradiction) {
    ListRow row = contradiction.row();
    return "line "
        + contradiction.line()
        + ": "
        + row.make()
        + " "
        + row.number()
        + " "
        + row.kind().words()
        + " "
        + row.otherMake()
        + " "
        + row.otherNumber()
        + ", but “"
        + contradiction.against().words()
        + "” stands between the two";
  }
}
