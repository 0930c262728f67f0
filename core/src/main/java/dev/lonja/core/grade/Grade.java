package dev.lonja.core.grade;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/**
 * A viscosity or consistency grade, as printed. Two are the same grade if their keys are equal: in
 * upper case and without SAE, ISO, VG, spaces and hyphens, so that "SAE 15W-40" is "15w40" and "ISO
 * VG 46" is "46".
 */
public record Grade(String text) {

  public Grade {
    if (text.isBlank()) {
      throw new IllegalArgumentException("text is blank; allowed is a grade such as 15W-40");
    }
  }

  /** The grades of a label that may name several, with a comma, slash or semicolon between. */
  public static List<Grade> all(String label) {
    return Arrays.stream(label.split("[,/;]"))
        .map(String::strip)
        .filter(text -> !text.isEmpty())
        .map(Grade::new)
        .toList();
  }

  /** By which grades are compared: upper case, without SAE, ISO, VG, spaces and hyphens. */
  public String key() {
    return text.toUpperCase(Locale.ROOT).replaceAll("SAE|ISO|VG|[\\s\\p{Pd}]", "");
  }

  /** True if both have one key. */
  public boolean isSameAs(Grade other) {
    return key().equals(other.key());
  }
}
