package dev.lonja.core.fluid;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** The chemistry family of a coolant; only the same family mixes. */
public enum Chemistry {
  IAT("IAT"),
  OAT("OAT"),
  SI_OAT("Si-OAT"),
  /** Phosphated; "P-HOAT" on a label is the same. */
  P_OAT("P-OAT"),
  N_HOAT("N-HOAT");

  private final String words;

  Chemistry(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** The family that a label names; plain "HOAT" and anything else leaves it unknown. */
  public static Optional<Chemistry> ofLabel(String label) {
    String wanted = label.strip().toUpperCase(Locale.ROOT).replaceAll("\\s", "");
    if (wanted.equals("P-HOAT")) {
      return Optional.of(P_OAT);
    }
    return Arrays.stream(values())
        .filter(family -> family.words.toUpperCase(Locale.ROOT).equals(wanted))
        .findFirst();
  }
}
