package dev.lonja.web.pour;

import dev.lonja.core.text.Lengths;
import dev.lonja.web.request.Typed;
import java.util.Optional;

/** Why something is poured, and who answers for it, as typed; both may be empty. */
record SignatureForm(String why, String signedBy) {

  private static final int LONGEST_NAME = Lengths.NAME;
  private static final int LONGEST_WHY = Lengths.REASON;

  Optional<String> why(Typed typed) {
    return filled(why).flatMap(text -> typed.text("why", "The reason", text, LONGEST_WHY));
  }

  Optional<String> signedBy(Typed typed) {
    return filled(signedBy)
        .flatMap(text -> typed.text("signedBy", "Who signs for it", text, LONGEST_NAME));
  }

  private static Optional<String> filled(String text) {
    return Optional.ofNullable(text).filter(t -> !t.isBlank());
  }
}
