package dev.lonja.web.crossref;

import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartKey;
import dev.lonja.store.Session;
import dev.lonja.web.request.Typed;
import java.util.List;
import java.util.Optional;

/** Parts as people type them: a number, or make and number where several makes use the number. */
public final class PartPick {

  private static final int MOST = 20;
  private static final int LONGEST = 60;

  private PartPick() {}

  /** The part that is meant; a problem if none or several may be. */
  public static Optional<Part> known(Session session, Typed typed, String field, String text) {
    List<Part> meant = meant(session, text);
    if (meant.size() == 1) {
      return Optional.of(meant.get(0));
    }
    typed.refuse(
        field,
        meant.isEmpty()
            ? "No part has the number \"" + text.strip() + "\"."
            : meant.size() + " parts have that number; write the make before it.");
    return Optional.empty();
  }

  /** Parts of this number, or the one of this make and number. */
  static List<Part> meant(Session session, String text) {
    List<Part> byNumber =
        PartKey.of(text).map(key -> session.parts().byKey(key, MOST)).orElse(List.of());
    if (!byNumber.isEmpty()) {
      return byNumber;
    }
    // "Pellam PL 4107-B": every way to part the make from the number
    String[] words = text.strip().split("\\s+");
    for (int first = 1; first < words.length; first++) {
      String make = String.join(" ", List.of(words).subList(0, first));
      String number = String.join(" ", List.of(words).subList(first, words.length));
      List<Part> ofMake =
          PartKey.of(number).map(key -> session.parts().byKey(key, MOST)).orElse(List.of()).stream()
              .filter(part -> part.make().equalsIgnoreCase(make))
              .toList();
      if (!ofMake.isEmpty()) {
        return ofMake;
      }
    }
    return List.of();
  }

  /** Like {@link #known}, but a number that nobody knows yet is added where its make is given. */
  public static Optional<Part> knownOrNew(
      Session session, Typed typed, String field, String make, String number) {
    if (make.isBlank()) {
      return known(session, typed, field, number);
    }
    Optional<String> ofMake = typed.text("make", "The make", make, LONGEST);
    Optional<String> printed = number(typed, field, number);
    if (ofMake.isEmpty() || printed.isEmpty()) {
      return Optional.empty();
    }
    Optional<Part> already =
        session.parts().byKey(PartKey.of(printed.get()).orElseThrow(), MOST).stream()
            .filter(part -> part.make().equalsIgnoreCase(ofMake.get()))
            .findFirst();
    return already.or(
        () ->
            session
                .parts()
                .byId(session.parts().add(ofMake.get(), printed.get(), Optional.empty())));
  }

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
}
