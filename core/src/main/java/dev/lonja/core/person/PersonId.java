package dev.lonja.core.person;

import dev.lonja.core.quantity.RowNumber;

/** The number of a person, 1 or more; who is not stored yet has none. */
public record PersonId(long value) {

  public PersonId {
    RowNumber.check("person", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static PersonId valueOf(String digits) {
    return new PersonId(Long.parseLong(digits));
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}
