package dev.lonja.core.grade;

import dev.lonja.core.quantity.Temperature;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Which grades there are, and down to what cold an oil with a W grade still serves where the
 * machine has no chart: the cranking temperature of SAE J300 for engine oils, the temperature of
 * 150,000 mPa·s of SAE J306 for gear oils. ISO 3448 lists the hydraulic grades, DIN 51818 the
 * consistencies of greases.
 *
 * @param engineCold by W grade, such as "15W"
 * @param engineHot such as "40"
 */
public record GradeTable(
    Map<String, Temperature> engineCold,
    Set<String> engineHot,
    Map<String, Temperature> gearCold,
    Set<String> gearHot,
    Set<String> hydraulic,
    Set<String> consistencies) {

  private static final Pattern WINTER_AND_SUMMER = Pattern.compile("(\\d+W)?(\\d+)?");

  public GradeTable {
    engineCold = Map.copyOf(engineCold);
    engineHot = Set.copyOf(engineHot);
    gearCold = Map.copyOf(gearCold);
    gearHot = Set.copyOf(gearHot);
    hydraulic = Set.copyOf(hydraulic);
    consistencies = Set.copyOf(consistencies);
  }

  /** True if there is such a grade for this kind of fluid. */
  public boolean isGrade(FluidKind kind, Grade grade) {
    return switch (kind) {
      case ENGINE_OIL -> isOf(grade, engineCold, engineHot);
      case GEAR_OIL -> isOf(grade, gearCold, gearHot);
      case HYDRAULIC_OIL -> hydraulic.contains(grade.key());
      case GREASE -> consistencies.contains(grade.key().replace("NLGI", ""));
      case COOLANT, BRAKE_FLUID, EXHAUST_FLUID, WASHER_FLUID, DIESEL, PETROL -> false;
    };
  }

  /** The lowest ambient temperature of an engine or gear oil's W grade; empty without one. */
  public Optional<Temperature> coldLimit(FluidKind kind, Grade grade) {
    Matcher parts = WINTER_AND_SUMMER.matcher(grade.key());
    if (!parts.matches() || parts.group(1) == null) {
      return Optional.empty();
    }
    Map<String, Temperature> limits = kind == FluidKind.GEAR_OIL ? gearCold : engineCold;
    return Optional.ofNullable(limits.get(parts.group(1)));
  }

  private static boolean isOf(Grade grade, Map<String, Temperature> cold, Set<String> hot) {
    Matcher parts = WINTER_AND_SUMMER.matcher(grade.key());
    if (!parts.matches() || grade.key().isEmpty()) {
      return false;
    }
    boolean winter = parts.group(1) == null || cold.containsKey(parts.group(1));
    boolean summer = parts.group(2) == null || hot.contains(parts.group(2));
    return winter && summer;
  }
}
