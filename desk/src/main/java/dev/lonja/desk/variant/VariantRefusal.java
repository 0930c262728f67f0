package dev.lonja.desk.variant;

import dev.lonja.core.fleet.Variant;
import dev.lonja.desk.fluid.FluidObjection;
import dev.lonja.desk.request.Refusal;
import dev.lonja.store.fleet.Use;
import dev.lonja.store.fleet.VariantRepository.StoredVariant;
import java.util.List;

/** Why a variant is not changed. */
public sealed interface VariantRefusal extends Refusal {

  /** A variant is called so already. */
  record NameTaken(Variant by) implements VariantRefusal {}

  /** The variant to copy is not on file any more. */
  record NoOriginal() implements VariantRefusal {}

  /** Units are made like it, retired ones counted. */
  record MadeLike(StoredVariant variant) implements VariantRefusal {}

  /** It has a compartment of this name. */
  record CompartmentTaken(String name) implements VariantRefusal {}

  /** It has a position of this name. */
  record PositionTaken(String name) implements VariantRefusal {}

  /** Its service has a task of this name. */
  record TaskTaken(String service, String name) implements VariantRefusal {}

  /** Dry takes no less than a drain with the filter, and that no less than one without. */
  record CapacitiesDisagree() implements VariantRefusal {}

  /** Something is held back where all goes in at once, or an exact amount is a range. */
  record FillingDisagrees() implements VariantRefusal {}

  /** The preferred fluid may not go in there. */
  record MayNot(FluidObjection objection) implements VariantRefusal {}

  /** A position names a compartment that the variant does not have. */
  record UnknownCompartment() implements VariantRefusal {}

  /** A task is about something that the variant does not have. */
  record UnknownSubject() implements VariantRefusal {}

  /** What is to lead a task is not there, or is led itself. */
  record BadLead() implements VariantRefusal {}

  /** The task leads others, so it cannot be led itself. */
  record LeadsOthers() implements VariantRefusal {}

  /** The units of the variant have no such meter. */
  record UnknownMeter(String meter, List<String> known) implements VariantRefusal {}

  /** Other things refer to it, so that it cannot be deleted. */
  record InUse(List<Use> uses) implements VariantRefusal {}

  /** No fluid claims a class that is called so. */
  record UnknownFluidClass(String name) implements VariantRefusal {}

  /** The store words no such hazard. */
  record UnknownHazard(String code, List<String> known) implements VariantRefusal {}

  /** No fluid, or more than one, is called what it is to be flushed with. */
  record NoSuchFlush() implements VariantRefusal {}
}
