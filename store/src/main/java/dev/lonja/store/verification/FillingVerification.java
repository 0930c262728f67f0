package dev.lonja.store.verification;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.machine.ShelfFacts;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.service.UnitFile;
import dev.lonja.store.fleet.FleetRepository;
import dev.lonja.store.query.UnitScope;
import dev.lonja.store.service.DeviationRepository;
import dev.lonja.store.verification.Verification.Finding;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jooq.DSLContext;

/** Checks that what compartments take and how they are filled agrees, also with what deviates. */
final class FillingVerification {

  private final List<Finding> findings = new ArrayList<>();

  private FillingVerification() {}

  static List<Finding> findings(DSLContext context) {
    FillingVerification verification = new FillingVerification();
    FleetRepository fleet = new FleetRepository(context);
    Map<Long, UnitNeeds> variants = fleet.needs(ShelfFacts.NONE);
    variants.forEach(
        (id, needs) -> verification.check("capacities", "variant " + id, needs.compartments()));
    var deviations = new DeviationRepository(context).of(UnitScope.ALL);
    for (Unit unit : fleet.units(UnitScope.ALL)) {
      if (deviations.containsKey(unit.id())) {
        UnitNeeds needs =
            UnitFile.of(
                    variants.getOrDefault(unit.variant().id(), UnitNeeds.NOTHING),
                    List.of(),
                    deviations.get(unit.id()))
                .needs();
        verification.check("deviations", unit.code(), needs.compartments());
      }
    }
    return verification.findings;
  }

  private void check(String table, String whose, List<Compartment> compartments) {
    for (Compartment compartment : compartments) {
      if (!compartment.capacitiesAgree()) {
        add(table, whose, compartment, "its capacities do not agree");
      }
      if (!compartment.fillingAgrees()) {
        add(table, whose, compartment, "an exact amount or one that runs out says otherwise too");
      }
    }
  }

  private void add(String table, String whose, Compartment compartment, String what) {
    findings.add(new Finding(table, whose + ", " + compartment.name() + ": " + what));
  }
}
