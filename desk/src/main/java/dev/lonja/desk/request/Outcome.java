package dev.lonja.desk.request;

import java.util.List;
import java.util.function.Function;

/** What became of a request. */
public sealed interface Outcome {

  /** Carried out, now or when it was first sent; {@code answer} is where to go next. */
  record Done(String answer) implements Outcome {}

  /** Nothing was changed. */
  record Refused(List<Problem> problems) implements Outcome {
    public Refused {
      problems = List.copyOf(problems);
    }
  }

  /** Where to go next: on to the answer, or back to the page with what was wrong. */
  default String next(Function<List<Problem>, String> page) {
    return this instanceof Refused refused
        ? page.apply(refused.problems())
        : "redirect:" + ((Done) this).answer();
  }

  static Outcome refused(Problem problem) {
    return new Refused(List.of(problem));
  }
}
