package dev.lonja.web.fluid;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.pour.TopUp;
import dev.lonja.desk.fluid.TopUpJudgement;
import dev.lonja.web.frame.Beside;
import dev.lonja.web.frame.State;
import java.util.List;
import java.util.stream.Stream;

/** Puts what speaks against a top-up into words. */
public final class TopUpWording {

  private static final Cases<TopUp.Concern, String> LINE =
      Cases.<TopUp.Concern, String>over(TopUp.Concern.class)
          .when(TopUp.Concern.Unsuitable.class, any -> "it may not go in here at all")
          .when(
              TopUp.Concern.MustNotMix.class,
              c -> c.present().display() + " is in there: " + apart(c.why()))
          .when(
              TopUp.Concern.BelowMeets.class,
              c -> "its verdict here is " + c.level().words() + " only")
          .when(
              TopUp.Concern.TooMuchOfOthers.class,
              c ->
                  "that makes "
                      + Beside.of(c.others())
                      + " of other products since the drain; up to "
                      + Beside.of(c.most())
                      + " is free, a tenth of the fill")
          .when(
              TopUp.Concern.FamilyUnknown.class,
              c ->
                  "whether it mixes with "
                      + c.present().display()
                      + " is not known: "
                      + apart(c.about()))
          .when(TopUp.Concern.ContentsUnknown.class, c -> "what is in there is not on file")
          .all();

  private TopUpWording() {}

  public static State state(TopUp.Answer answer) {
    return switch (answer) {
      case ALLOWED -> State.ready("may be added");
      case SIGN_OFF -> State.note("with a signature");
      case NEVER -> State.ofShort("never");
    };
  }

  /** One reason, as part of a sentence. */
  public static String line(TopUp.Concern concern) {
    return LINE.apply(concern);
  }

  /** The verdict with its reasons, as one is told it. */
  public static String told(TopUpJudgement judged) {
    return state(judged.verdict().answer()).word()
        + ": "
        + String.join("; ", lines(judged.verdict(), judged.suitability()));
  }

  /** What speaks against it, or for it if nothing does. */
  public static List<String> lines(TopUp.Verdict verdict, Suitability suitability) {
    return verdict.concerns().isEmpty()
        ? ReasonWording.lines(suitability)
        : Stream.concat(
                verdict.concerns().stream().map(TopUpWording::line),
                ReasonWording.against(suitability).stream())
            .toList();
  }

  private static String apart(TopUp.Mixture mixture) {
    return switch (mixture) {
      case KIND -> "another kind of fluid";
      case COOLANT_FAMILY -> "coolants of different families never mix";
      case BRAKE_BASE -> "brake fluids of different bases never mix";
      case POLYGLYCOL -> "polyglycol never mixes with mineral oil";
    };
  }
}
