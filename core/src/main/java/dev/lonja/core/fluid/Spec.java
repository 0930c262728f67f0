package dev.lonja.core.fluid;

import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.grade.GradeChart;
import dev.lonja.core.mixture.Protection;
import dev.lonja.core.quantity.AshContent;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What a compartment demands of a fluid; never a product.
 *
 * @param classGroups any of these groups will do, each needing all of its classes
 * @param approvals any of these
 */
public record Spec(
    FluidKind kind,
    GradeChart chart,
    List<Set<ServiceClass>> classGroups,
    List<ApprovalCode> approvals,
    ApprovalMode mode,
    Limits limits) {

  /** What an approval is demanded for. */
  public enum ApprovalMode {
    /** The product must carry one of them, listed. */
    LISTED("listed only"),
    /** An approval or the classes suffice. */
    OR_CLASS("approval or class");

    private final String words;

    ApprovalMode(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** What is demanded of friction modifiers. */
  public enum FrictionModifier {
    ANY,
    FORBIDDEN,
    REQUIRED
  }

  /**
   * Limits beside grade and class.
   *
   * @param mostAsh sulphated, this included
   * @param leastZincMilligrams per kilogram, this included
   * @param wetClutch true if the fluid runs on a wet clutch
   * @param biodegradable true if it must be readily biodegradable
   * @param chemistry of a coolant
   * @param base of a brake fluid
   * @param protection of a coolant or a screen wash, against frost
   */
  public record Limits(
      Optional<AshContent> mostAsh,
      Optional<Integer> leastZincMilligrams,
      FrictionModifier frictionModifier,
      boolean wetClutch,
      boolean biodegradable,
      Optional<Chemistry> chemistry,
      Optional<BrakeBase> base,
      Protection protection) {

    public static final Limits NONE =
        new Limits(
            Optional.empty(),
            Optional.empty(),
            FrictionModifier.ANY,
            false,
            false,
            Optional.empty(),
            Optional.empty(),
            Protection.UNSAID);
  }

  public Spec {
    chart = new GradeChart(chart.rows());
    classGroups = classGroups.stream().map(Set::copyOf).toList();
    approvals = List.copyOf(approvals);
  }

  /** A spec that demands nothing but a kind. */
  public static Spec ofKind(FluidKind kind) {
    return new Spec(
        kind, GradeChart.NONE, List.of(), List.of(), ApprovalMode.OR_CLASS, Limits.NONE);
  }

  /** The shortest that tells it apart: the grades, else the family, else the first class. */
  public String shortText() {
    if (!chart.isEmpty()) {
      return chart.rows().stream()
          .map(row -> row.grade().text())
          .distinct()
          .collect(Collectors.joining(", "));
    }
    return limits
        .chemistry()
        .map(Chemistry::words)
        .orElseGet(
            () ->
                classGroups.stream()
                    .flatMap(group -> group.stream().sorted())
                    .map(ServiceClass::name)
                    .findFirst()
                    .orElse(""));
  }
}
