package dev.lonja.desk.request;

import java.util.List;

/** What became of a request. */
public sealed interface Outcome {

  /** Carried out, now or when it was first sent; {@code answer} names what was made, or nothing. */
  record Done(String answer) implements Outcome {}

  /** Nothing was changed. */
  record Refused(List<? extends Refusal> reasons) implements Outcome {
    public Refused {
      reasons = List.copyOf(reasons);
    }
  }

  /** Carried out; there is nothing to name. */
  static Outcome done() {
    return new Done("");
  }

  /** Carried out; this was made, named as its {@code toString} has it. */
  static Outcome done(Object made) {
    return new Done(made.toString());
  }

  static Outcome refused(Refusal reason) {
    return new Refused(List.of(reason));
  }

  /** True if it was refused for this among other things. */
  default boolean isRefusedFor(Refusal reason) {
    return this instanceof Refused refused && refused.reasons().contains(reason);
  }
}
