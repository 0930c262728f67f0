package dev.lonja.web.crossref;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.crossref.PartNaming;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Typed;
import java.util.Optional;

/** Part numbers as people type them. */
public final class PartNumbers {

  private static final int LONGEST = Lengths.NAME;

  private PartNumbers() {}

  /** A part number as printed, with at least one letter or digit. */
  public static Optional<String> number(Typed typed, String field, String text) {
    Optional<String> number = typed.text(field, "The number", text, LONGEST);
    if (number.isPresent() && PartKey.of(number.get()).isEmpty()) {
      typed.refuse(
          field, "\"" + number.get() + "\" holds no letter and no digit, so it is not a number.");
      return Optional.empty();
    }
    return number;
  }

  /** Why a name does not lead to one part. */
  public static Problem problem(String field, PartNaming.Refusal why) {
    return Cases.<PartNaming.Refusal, Problem>over(PartNaming.Refusal.class)
        .when(
            PartNaming.Unknown.class,
            none -> new Problem(field, "No part has the number \"" + none.name() + "\"."))
        .when(
            PartNaming.Several.class,
            several ->
                new Problem(
                    field, several.count() + " parts have that number; write the make before it."))
        .all()
        .apply(why);
  }
}
