package dev.lonja.core.crossref;

import dev.lonja.core.quantity.Length;
import java.math.BigDecimal;
import java.util.List;

/** How far an offered part may differ in a property from the one that is asked for. */
public sealed interface Allowance {

  /** The very same value. */
  record Equal() implements Allowance {}

  /** Up to and with this much more or less. */
  record Within(Length tolerance) implements Allowance {}

  /** Up to and with so much less, so much more. */
  record Between(Length less, Length more) implements Allowance {}

  /** Up to and with this much more or less. */
  record WithinBar(BigDecimal tolerance) implements Allowance {}

  /** Up to and with so many times the value. */
  record AtMostTimes(BigDecimal factor) implements Allowance {}

  /** The same or more. */
  record AtLeast() implements Allowance {}

  /** The same or less. */
  record AtMost() implements Allowance {}

  /** Up to and with so many more or less. */
  record WithinPoints(int points) implements Allowance {}

  /** If the asked-for part has it, the offered one must too. */
  record IfAsked() implements Allowance {}

  /** What the position takes at most. */
  record UpTo(Length most) implements Allowance {}

  /** What the position demands whatever was asked for. */
  record Demanded() implements Allowance {}

  /** What the position allows. */
  record OneOf(List<String> values) implements Allowance {}

  /** What withstands the fluid at the position. */
  record Withstands(String fluid) implements Allowance {}
}
