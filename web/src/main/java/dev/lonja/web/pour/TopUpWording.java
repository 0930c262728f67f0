package dev.lonja.web.pour;

import dev.lonja.core.pour.TopUp;
import dev.lonja.web.frame.State;

/** Puts what speaks against a top-up into words. */
final class TopUpWording {

  private TopUpWording() {}

  static State state(TopUp.Answer answer) {
    return switch (answer) {
      case ALLOWED -> State.ready("may be added");
      case SIGN_OFF -> State.note("with a signature");
      case NEVER -> State.ofShort("never");
    };
  }

  static String line(TopUp.Concern concern) {
    if (concern instanceof TopUp.Concern.Unsuitable) {
      return "it may not go in here at all";
    } else if (concern instanceof TopUp.Concern.MustNotMix c) {
      return c.present().display() + " is in there: " + apart(c.why());
    } else if (concern instanceof TopUp.Concern.BelowMeets c) {
      return "its verdict here is " + c.level().words() + " only";
    } else if (concern instanceof TopUp.Concern.TooMuchOfOthers c) {
      return "that makes "
          + c.others().display()
          + " of other products since the drain; up to "
          + c.most().display()
          + " is free, a tenth of the fill";
    } else if (concern instanceof TopUp.Concern.FamilyUnknown c) {
      return "whether it mixes with "
          + c.present().display()
          + " is not known: "
          + apart(c.about());
    }
    return "what is in there is not on file";
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
