package dev.lonja.core.service;

import java.math.BigDecimal;

/**
 * How dust, heat or heavy duty shorten a meter interval: a factor above 0 and up to 1, with the
 * reason, which only a factor of 1 may leave open.
 */
public record Severity(BigDecimal factor, String reason) {

  public static final Severity NONE = new Severity(BigDecimal.ONE, "");

  public Severity {
    if (!(factor.signum() > 0 && factor.compareTo(BigDecimal.ONE) <= 0)) {
      throw new IllegalArgumentException("factor is " + factor + "; allowed is above 0, up to 1");
    }
    if (factor.compareTo(BigDecimal.ONE) < 0 && reason.isBlank()) {
      throw new IllegalArgumentException("reason is empty; a factor below 1 needs one");
    }
  }

  public boolean shortens() {
    return factor.compareTo(BigDecimal.ONE) < 0;
  }
}
