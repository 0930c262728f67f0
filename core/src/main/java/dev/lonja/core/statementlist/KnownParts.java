package dev.lonja.core.statementlist;

import dev.lonja.core.part.PartId;
import dev.lonja.core.part.PartKey;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * The parts that a list may name, by make and key, and those that it names for the first time. New
 * ones get the numbers after the highest known, which are theirs if the list is taken in.
 */
public final class KnownParts {

  private record MakeAndKey(String make, String key) {}

  private record Known(PartId id, String number) {}

  /** A part that the store does not know yet; {@code id} is the number it will get. */
  public record NewPart(PartId id, String make, String number) {}

  private final Map<MakeAndKey, List<Known>> known = new HashMap<>();
  private final List<NewPart> fresh = new ArrayList<>();
  private long highest;

  /** Adds a part of the store. */
  public void add(PartId id, String make, String number, String key) {
    highest = Math.max(highest, id.value());
    known
        .computeIfAbsent(
            new MakeAndKey(make.toLowerCase(Locale.ROOT), key), k -> new ArrayList<>(1))
        .add(new Known(id, number));
  }

  /**
   * The part of a make and number: by key, or as printed where one make prints a key in several
   * ways; empty if it is none of those. A number of a new key becomes a new part.
   */
  Optional<PartId> idOf(String make, String number) {
    String key = PartKey.of(number).orElseThrow().text();
    List<Known> same =
        known.computeIfAbsent(
            new MakeAndKey(make.toLowerCase(Locale.ROOT), key), k -> new ArrayList<>(1));
    if (same.isEmpty()) {
      PartId id = new PartId(++highest);
      fresh.add(new NewPart(id, make, number));
      same.add(new Known(id, number));
    }
    if (same.size() == 1) {
      return Optional.of(same.get(0).id());
    }
    return same.stream().filter(k -> k.number().equals(number)).map(Known::id).findFirst();
  }

  /** The parts that were named for the first time, in order. */
  public List<NewPart> fresh() {
    return List.copyOf(fresh);
  }
}
