package dev.lonja.core.part;

import java.util.Optional;

/**
 * A part as its maker numbers it, stocked here or not.
 *
 * @param number as printed
 * @param family empty if it is not known, as for a number that only a list named
 */
public record Part(
    PartId id, String make, String number, Optional<Family> family, Properties properties) {

  /** By which its number is searched. */
  public PartKey key() {
    return PartKey.of(number).orElseThrow();
  }
}
