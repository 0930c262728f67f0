package dev.lonja.desk.crossref;

import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartKey;
import dev.lonja.store.Session;
import java.util.List;
import java.util.Optional;

/** Parts as people name them: a number, or make and number where several makes use the number. */
public final class PartNaming {

  private static final int MOST = 20;

  private PartNaming() {}

  /** Why a name does not lead to one part. */
  public sealed interface Refusal extends dev.lonja.desk.request.Refusal {}

  /** No part has this number. */
  public record Unknown(String name) implements Refusal {}

  /** Several parts have this number; the make decides. */
  public record Several(String name, int count) implements Refusal {}

  /** Every part that may be meant. */
  public static List<Part> meant(Session session, String name) {
    List<Part> byNumber =
        PartKey.of(name).map(key -> session.parts().byKey(key, MOST)).orElse(List.of());
    if (!byNumber.isEmpty()) {
      return byNumber;
    }
    // "Pellam PL 4107-B": every way to part the make from the number
    String[] words = name.strip().split("\\s+");
    for (int first = 1; first < words.length; first++) {
      String make = String.join(" ", List.of(words).subList(0, first));
      String number = String.join(" ", List.of(words).subList(first, words.length));
      List<Part> ofMake = ofMake(session, make, number);
      if (!ofMake.isEmpty()) {
        return ofMake;
      }
    }
    return List.of();
  }

  private static List<Part> ofMake(Session session, String make, String number) {
    return PartKey.of(number)
        .map(key -> session.parts().byKey(key, MOST))
        .orElse(List.of())
        .stream()
        .filter(part -> part.make().equalsIgnoreCase(make))
        .toList();
  }

  /** Why a name does not lead to one part; empty if it does. */
  public static Optional<Refusal> refusal(Session session, String name) {
    int count = meant(session, name).size();
    return count == 1
        ? Optional.empty()
        : Optional.of(count == 0 ? new Unknown(name.strip()) : new Several(name.strip(), count));
  }

  /**
   * The part of this make and number, added if nobody knows it yet.
   *
   * @param number with a letter or a digit at least
   */
  public static Part knownOrNew(Session session, String make, String number) {
    return ofMake(session, make, number).stream()
        .findFirst()
        .orElseGet(
            () ->
                session
                    .parts()
                    .byId(session.parts().add(make, number, Optional.empty()))
                    .orElseThrow());
  }
}
