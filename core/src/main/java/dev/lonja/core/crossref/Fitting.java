package dev.lonja.core.crossref;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.Mounting;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.quantity.Length;
import java.util.List;
import java.util.Optional;

/**
 * What the place where a part goes demands of it.
 *
 * @param mostHeight how high it may be
 * @param mostOuterDiameter how wide it may be
 * @param needsAntiDrainValve true where a spin-on oil filter does not hang upright
 * @param materials a seal may be of; empty if there is no list
 * @param fluid what an O-ring must withstand, as {@link RubberTable} names it if it does; empty
 *     where none is near
 */
public record Fitting(
    Optional<Length> mostHeight,
    Optional<Length> mostOuterDiameter,
    boolean needsAntiDrainValve,
    boolean needsWaterSeparator,
    List<String> materials,
    Optional<String> fluid) {

  /** No place in particular. */
  public static final Fitting ANYWHERE =
      new Fitting(Optional.empty(), Optional.empty(), false, false, List.of(), Optional.empty());

  /**
   * What a position demands of whatever goes there: its own limits; a valve where a spin-on oil
   * filter does not stand upright; of rubber, that it withstands the fluid in the compartment.
   *
   * @param compartment that the position belongs to, if any
   * @param fluid that is in it, if it is known
   */
  public static Fitting of(
      Position position, Optional<Compartment> compartment, Optional<Product> fluid) {
    Position.Limits limits = position.limits();
    boolean hangs = position.mounting().filter(m -> m != Mounting.UPRIGHT).isPresent();
    return new Fitting(
        limits.mostHeight(),
        limits.mostOuterDiameter(),
        hangs && position.kind() == Position.Kind.OIL_FILTER,
        limits.waterSeparator(),
        limits.materials(),
        fluid
            .map(RubberTable::fluid)
            .or(() -> compartment.map(Compartment::spec).map(RubberTable::fluid)));
  }

  public Fitting {
    materials = List.copyOf(materials);
  }
}
