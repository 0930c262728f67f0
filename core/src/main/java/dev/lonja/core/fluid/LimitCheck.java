package dev.lonja.core.fluid;

import dev.lonja.core.quantity.AshContent;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Holds a product's data against the limits of a spec. What the data do not tell is a doubt. */
final class LimitCheck {

  private LimitCheck() {}

  /** Reasons against a product, none if nothing stands against it. */
  static List<Reason> reasons(Spec.Limits limits, ProductClaims product) {
    if (limits.equals(Spec.Limits.NONE)) {
      return List.of();
    }
    List<Reason> reasons = new ArrayList<>(2);
    Product.Data data = product.product().data();
    if (limits.chemistry().isPresent() && !limits.chemistry().equals(data.chemistry())) {
      Chemistry wanted = limits.chemistry().get();
      reasons.add(
          data.chemistry()
              .<Reason>map(actual -> new Reason.ChemistryDiffers(wanted, actual))
              .orElse(new Reason.LimitUnknown(Reason.Limit.CHEMISTRY)));
    }
    if (limits.base().isPresent() && !limits.base().equals(data.base())) {
      BrakeBase wanted = limits.base().get();
      reasons.add(
          data.base()
              .<Reason>map(actual -> new Reason.BaseDiffers(wanted, actual))
              .orElse(new Reason.LimitUnknown(Reason.Limit.BASE)));
    }
    limits.mostAsh().flatMap(most -> ash(most, data)).ifPresent(reasons::add);
    limits.leastZincMilligrams().flatMap(least -> zinc(least, data)).ifPresent(reasons::add);
    frictionModifier(limits, product).ifPresent(reasons::add);
    if (limits.wetClutch() && !product.isForWetClutches()) {
      reasons.add(new Reason.NotForWetClutch());
    }
    if (limits.biodegradable() && !data.biodegradable().equals(Optional.of(true))) {
      reasons.add(
          data.biodegradable().isPresent()
              ? new Reason.NotBiodegradable()
              : new Reason.LimitUnknown(Reason.Limit.BIODEGRADABLE));
    }
    return reasons;
  }

  private static Optional<Reason> ash(AshContent most, Product.Data data) {
    if (data.ash().isEmpty()) {
      return Optional.of(new Reason.LimitUnknown(Reason.Limit.ASH));
    }
    return data.ash()
        .filter(actual -> actual.compareTo(most) > 0)
        .map(actual -> new Reason.AshTooHigh(most, actual));
  }

  private static Optional<Reason> zinc(int least, Product.Data data) {
    if (data.zincMilligrams().isEmpty()) {
      return Optional.of(new Reason.LimitUnknown(Reason.Limit.ZINC));
    }
    return data.zincMilligrams()
        .filter(actual -> actual < least)
        .map(actual -> new Reason.ZincTooLow(least, actual));
  }

  /** A wet clutch forbids friction modifiers whatever else the spec says of them. */
  private static Optional<Reason> frictionModifier(Spec.Limits limits, ProductClaims product) {
    boolean forbidden =
        limits.wetClutch() || limits.frictionModifier() == Spec.FrictionModifier.FORBIDDEN;
    boolean required = limits.frictionModifier() == Spec.FrictionModifier.REQUIRED;
    if (!forbidden && !required) {
      return Optional.empty();
    }
    if (product.frictionModifier().isEmpty()) {
      return Optional.of(new Reason.LimitUnknown(Reason.Limit.FRICTION_MODIFIER));
    }
    boolean holds = product.frictionModifier().get();
    if (holds && forbidden) {
      return Optional.of(new Reason.HoldsFrictionModifier());
    }
    return !holds && required ? Optional.of(new Reason.LacksFrictionModifier()) : Optional.empty();
  }
}
