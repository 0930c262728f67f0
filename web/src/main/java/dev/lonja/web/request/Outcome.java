package dev.lonja.web.request;

import java.util.List;

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

  static Outcome refused(Problem problem) {
    return new Refused(List.of(problem));
  }
}
