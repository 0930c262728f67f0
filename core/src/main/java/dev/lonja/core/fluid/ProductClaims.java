package dev.lonja.core.fluid;

import dev.lonja.core.grade.Grade;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A product with its label read, once for many specs.
 *
 * @param claimed classes that the label names
 * @param met those and everything they cover
 * @param notUnderstood what of the label claims nothing
 * @param frictionModifier as the data tell, else as JASO MB or MA on the label implies
 * @param grades with their keys
 */
public record ProductClaims(
    Product product,
    Set<ServiceClass> claimed,
    Set<ServiceClass> met,
    List<String> notUnderstood,
    Optional<Boolean> frictionModifier,
    List<KeyedGrade> grades,
    Set<String> listedKeys,
    Set<String> suitableKeys) {

  private static final ServiceClass WET_CLUTCH = new ServiceClass("JASO", "MA");
  private static final ServiceClass NO_WET_CLUTCH = new ServiceClass("JASO", "MB");

  /** A grade with its key. */
  record KeyedGrade(Grade grade, String key) {}

  static ProductClaims of(Product product, FluidReference reference) {
    ClassList.Reading label = reference.classes().read(product.classes());
    Set<ServiceClass> met = reference.coverage().of(label.claimed());
    return new ProductClaims(
        product,
        label.claimed(),
        met,
        label.notUnderstood(),
        product.data().frictionModifier().or(() -> implied(met)),
        product.grades().stream().map(g -> new KeyedGrade(g, g.key())).toList(),
        keys(product, true),
        keys(product, false));
  }

  private static Optional<Boolean> implied(Set<ServiceClass> met) {
    boolean wetClutch = met.contains(WET_CLUTCH);
    boolean noWetClutch = met.contains(NO_WET_CLUTCH);
    return wetClutch == noWetClutch ? Optional.empty() : Optional.of(noWetClutch);
  }

  private static Set<String> keys(Product product, boolean listed) {
    return product.approvals().stream()
        .filter(approval -> approval.listed() == listed)
        .map(approval -> approval.code().key())
        .collect(Collectors.toUnmodifiableSet());
  }

  /** True if JASO MA is claimed or implied. */
  boolean isForWetClutches() {
    return met.contains(WET_CLUTCH);
  }
}
