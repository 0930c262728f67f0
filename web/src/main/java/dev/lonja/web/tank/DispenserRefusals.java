package dev.lonja.web.tank;

import dev.lonja.core.cases.Cases;
import dev.lonja.desk.tank.DispenserRefusal;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import java.util.stream.Collectors;

/** Says why a fluid is not poured with a jug, a funnel or a pump. */
public final class DispenserRefusals {

  private DispenserRefusals() {}

  /**
   * @param field where it was scanned or chosen
   */
  public static RefusalWording at(String field) {
    return RefusalWording.of(
        DispenserRefusal.class,
        Cases.<DispenserRefusal, Problem>over(DispenserRefusal.class)
            .when(
                DispenserRefusal.NoSuchDispenser.class,
                none -> Problem.ofWhole("There is none such in use any more."))
            .when(
                DispenserRefusal.NameTaken.class,
                taken ->
                    new Problem(
                        "name",
                        "\""
                            + taken.name()
                            + "\" is in use, or has no letter and no digit. Each has a name of its"
                            + " own."))
            .when(
                DispenserRefusal.HoldsOther.class,
                other ->
                    new Problem(
                        field,
                        other.dispenser().name()
                            + " had "
                            + other.rest().display()
                            + " in it on "
                            + other.on()
                            + ", by "
                            + other.by()
                            + other.tray().map(tray -> ", " + tray).orElse("")
                            + ". Take a clean one, or clean it and note that under Stores."))
            .when(
                DispenserRefusal.UnknownFluid.class,
                none -> new Problem(field, "Choose what was poured."))
            .when(
                DispenserRefusal.NoFluidLaid.class,
                none ->
                    new Problem(
                        field,
                        "No fluid is laid on this tray. Lay it first, then scan "
                            + none.dispenser().name()
                            + "."))
            .when(
                DispenserRefusal.SeveralFluids.class,
                several ->
                    new Problem(
                        field,
                        several.fluids().stream()
                                .map(fluid -> fluid.display())
                                .collect(Collectors.joining(" or "))
                            + ": which goes into "
                            + several.dispenser().name()
                            + "? Scan each fluid and then what it is poured with, or note it under"
                            + " Stores."))
            .all());
  }
}
