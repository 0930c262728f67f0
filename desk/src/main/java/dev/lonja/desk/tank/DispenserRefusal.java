package dev.lonja.desk.tank;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.tank.Dispenser;
import dev.lonja.desk.request.Refusal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/** Why a fluid is not poured with something, or that is not set up. */
public sealed interface DispenserRefusal extends Refusal {

  /** There is none such in use. */
  record NoSuchDispenser() implements DispenserRefusal {}

  /** Another is called so. */
  record NameTaken(String name) implements DispenserRefusal {}

  /**
   * A rest of something else is in it, and it was not cleaned since.
   *
   * @param on the day of its last use, {@code by} whom and for which tray
   */
  record HoldsOther(
      Dispenser dispenser, Product rest, LocalDate on, String by, Optional<String> tray)
      implements DispenserRefusal {}

  /** No such fluid is known. */
  record UnknownFluid() implements DispenserRefusal {}

  /** No fluid is laid on the tray that could be in it. */
  record NoFluidLaid(Dispenser dispenser) implements DispenserRefusal {}

  /** Several fluids of the tray are in nothing yet. */
  record SeveralFluids(Dispenser dispenser, List<Product> fluids) implements DispenserRefusal {}
}
