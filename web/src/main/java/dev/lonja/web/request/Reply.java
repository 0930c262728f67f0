package dev.lonja.web.request;

import dev.lonja.desk.request.Outcome;
import java.util.List;
import java.util.function.Function;

/** The page that follows a request: on to what was made, or back with what was wrong. */
public final class Reply {

  private final Outcome outcome;
  private final Function<String, String> path;
  private final RefusalWording wording;

  private Reply(Outcome outcome, Function<String, String> path, RefusalWording wording) {
    this.outcome = outcome;
    this.path = path;
    this.wording = wording;
  }

  /** To an outcome whose answer is the path to go to. */
  public static Reply to(Outcome outcome) {
    return new Reply(outcome, Function.identity(), RefusalWording.OF_REQUESTS);
  }

  /** Where it goes on when it was done, whatever was made. */
  public Reply onto(String place) {
    return onto(made -> place);
  }

  /** Where it goes on when it was done; given what was made. */
  public Reply onto(Function<String, String> place) {
    return new Reply(outcome, place, wording);
  }

  public Reply worded(RefusalWording words) {
    return new Reply(outcome, path, words.and(RefusalWording.OF_REQUESTS));
  }

  /** The next page; {@code page} shows the form again with what was wrong. */
  public String or(Function<List<Problem>, String> page) {
    return outcome instanceof Outcome.Refused refused
        ? page.apply(wording.problems(refused.reasons()))
        : "redirect:" + path.apply(((Outcome.Done) outcome).answer());
  }

  /** What was wrong; nothing if it was done. */
  public List<Problem> problems() {
    return outcome instanceof Outcome.Refused refused
        ? wording.problems(refused.reasons())
        : List.of();
  }
}
