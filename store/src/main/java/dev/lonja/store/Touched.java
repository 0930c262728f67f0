package dev.lonja.store;

import dev.lonja.core.fleet.UnitId;
import java.util.HashSet;
import java.util.Set;

/**
 * What writes have touched that says what a fleet is and when it is due.
 *
 * @param units whose own files changed
 * @param variants whose parts, tasks or names changed
 * @param classes whose names or months changed
 * @param common true if something changed that may concern any unit: a product, a box, a policy,
 *     how inspections ended
 */
public record Touched(Set<UnitId> units, Set<Long> variants, Set<Long> classes, boolean common) {

  public static final Touched NOTHING = new Touched(Set.of(), Set.of(), Set.of(), false);

  public Touched {
    units = Set.copyOf(units);
    variants = Set.copyOf(variants);
    classes = Set.copyOf(classes);
  }

  public boolean isNothing() {
    return equals(NOTHING);
  }

  /** What both have touched. */
  public Touched and(Touched other) {
    return new Touched(
        union(units, other.units),
        union(variants, other.variants),
        union(classes, other.classes),
        common || other.common);
  }

  private static <T> Set<T> union(Set<T> one, Set<T> other) {
    Set<T> all = new HashSet<>(one);
    all.addAll(other);
    return all;
  }
}
