package dev.lonja.web.variant;

import dev.lonja.core.cases.Cases;
import dev.lonja.desk.variant.VariantRefusal;
import dev.lonja.store.fleet.Use;
import dev.lonja.web.fluid.FluidAdvice;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import java.util.stream.Collectors;

/** Why a variant is not changed, in words. */
final class VariantRefusals {

  static final RefusalWording WORDS =
      RefusalWording.of(
              VariantRefusal.class,
              Cases.<VariantRefusal, Problem>over(VariantRefusal.class)
                  .when(
                      VariantRefusal.NameTaken.class, taken -> taken("name", taken.by().display()))
                  .when(
                      VariantRefusal.NoOriginal.class,
                      none -> new Problem("like", "The variant to copy is not on file any more."))
                  .when(VariantRefusal.MadeLike.class, VariantRefusals::madeLike)
                  .when(
                      VariantRefusal.CompartmentTaken.class,
                      taken -> taken("name", "a compartment " + taken.name()))
                  .when(
                      VariantRefusal.PositionTaken.class,
                      taken -> taken("name", "a position " + taken.name()))
                  .when(
                      VariantRefusal.TaskTaken.class,
                      taken ->
                          new Problem(
                              "name",
                              taken.service() + " has a task " + taken.name() + " already."))
                  .when(
                      VariantRefusal.CapacitiesDisagree.class,
                      not ->
                          new Problem(
                              "withFilter",
                              "The capacities do not agree: dry takes no less than a drain with"
                                  + " the filter, and that no less than one without."))
                  .when(
                      VariantRefusal.FillingDisagrees.class,
                      not ->
                          new Problem(
                              "level",
                              "Nothing is held back where it runs out at the fill hole or an exact"
                                  + " amount goes in, and an exact amount is no range."))
                  .when(
                      VariantRefusal.MayNot.class,
                      not ->
                          new Problem(
                              "item",
                              FluidAdvice.words(not.objection())
                                  + " If its book asks for something else, leave the fluid empty,"
                                  + " state its spec, then choose."))
                  .when(
                      VariantRefusal.UnknownCompartment.class,
                      none ->
                          new Problem("compartment", "Choose one of its compartments, or none."))
                  .when(
                      VariantRefusal.UnknownSubject.class,
                      none ->
                          new Problem("subject", "Choose one of its compartments or positions."))
                  .when(
                      VariantRefusal.BadLead.class,
                      bad -> new Problem("lead", "Choose another task that is not led itself."))
                  .when(
                      VariantRefusal.LeadsOthers.class,
                      leads ->
                          new Problem(
                              "lead", "This task leads others, so it cannot be led itself."))
                  .when(
                      VariantRefusal.UnknownMeter.class,
                      none ->
                          new Problem(
                              "meter",
                              "The units of this variant have no meter \""
                                  + none.meter()
                                  + "\"; they have "
                                  + String.join(", ", none.known())
                                  + "."))
                  .when(
                      VariantRefusal.UnknownHazard.class,
                      none ->
                          new Problem(
                              "hazards",
                              "There is no caution \""
                                  + none.code()
                                  + "\"; there are "
                                  + String.join(", ", none.known())
                                  + "."))
                  .when(
                      VariantRefusal.UnknownFluidClass.class,
                      none ->
                          new Problem(
                              "byFluid",
                              "\""
                                  + none.name()
                                  + "\" is no class of fluids; write one that the store knows, such"
                                  + " as ACEA E9. Setup lists them under Standards."))
                  .when(
                      VariantRefusal.NoSuchFlush.class,
                      none ->
                          new Problem(
                              "flushItem",
                              "No fluid has this number, or several do; write the make before it."))
                  .when(VariantRefusal.InUse.class, VariantRefusals::inUse)
                  .all())
          .and(ItemNames.at("item"));

  private VariantRefusals() {}

  private static Problem taken(String field, String what) {
    return new Problem(field, "There is " + what + " already.");
  }

  private static Problem madeLike(VariantRefusal.MadeLike made) {
    return Problem.ofWhole(
        made.variant().variant().display()
            + " cannot be deleted: "
            + String.join(", ", made.variant().units())
            + " are made like it. Retired units count too, since their history refers to it.");
  }

  private static Problem inUse(VariantRefusal.InUse used) {
    return Problem.ofWhole(
        "It cannot be deleted: "
            + used.uses().stream()
                .map(use -> use.count() + " " + words(use.kind()))
                .collect(Collectors.joining(", "))
            + " refer to it. On a unit it can be noted as absent.");
  }

  private static String words(Use.Kind kind) {
    return switch (kind) {
      case POSITIONS -> "positions";
      case TASKS -> "tasks";
      case LED_TASKS -> "tasks that it leads";
      case DEVIATIONS -> "deviations";
      case RECORDS -> "records";
      case MOVES -> "moves";
      case FILLS -> "fills";
      case TOP_UPS -> "top-ups";
      case SIGN_OFFS -> "sign-offs";
      case TRAYS -> "trays";
      case TRAY_LINES -> "lines of trays";
      case STUDIES -> "studies";
    };
  }
}
