package dev.lonja.web.tray;

import dev.lonja.core.mixture.Mix;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.quantity.Volume;
import dev.lonja.web.frame.Beside;
import java.math.BigDecimal;

/** What a fill is mixed of, in words. */
public final class MixWording {

  private MixWording() {}

  /** "Mix with 7.25 L of demineralised water: 50 %, protects to −34 °C, by the general table." */
  public static String of(Mix mix) {
    String strength = percent(mix.share()) + protection(mix);
    return mix.water().equals(Volume.ZERO)
        ? "Goes in as it comes: " + strength + "."
        : "Mix with " + Beside.of(mix.water()) + " of demineralised water: " + strength + ".";
  }

  private static String protection(Mix mix) {
    return mix.protectsTo()
        .map(
            frost ->
                ", protects to "
                    + frost.display()
                    + (mix.isGeneral() ? " by the general table" : ""))
        .orElse(", its freeze point is not known");
  }

  /** "50 %", "52.2 %". */
  public static String percent(BigDecimal share) {
    return PlainDecimal.of(share.movePointRight(2)) + " %";
  }
}
