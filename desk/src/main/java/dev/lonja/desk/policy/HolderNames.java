package dev.lonja.desk.policy;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.Question;
import dev.lonja.desk.fleet.FleetPicture;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Who may have a choice of its own, as the store calls them. */
final class HolderNames {

  private final Map<Holder, HolderName> names = new LinkedHashMap<>();
  private final Map<Holder, Position.Kind> kinds = new LinkedHashMap<>();

  private HolderNames() {}

  /** Of the fleet as it serves: classes and variants without a machine have nothing to say. */
  static HolderNames of(FleetPicture fleet) {
    HolderNames all = new HolderNames();
    for (Unit unit : fleet.units()) {
      all.put(new Holder.OfClass(unit.unitClass().id()), unit.unitClass().name(), "");
      all.put(new Holder.OfUnit(unit.id()), unit.code(), unit.name());
      all.addPlaces(unit.variant().display(), fleet.variants().get(unit.variant().id()));
    }
    return all;
  }

  private void addPlaces(String machine, UnitNeeds needs) {
    for (Compartment compartment : needs.compartments()) {
      put(new Holder.OfCompartment(compartment.id()), machine, compartment.name());
    }
    for (Position position : needs.positions()) {
      Holder holder = new Holder.OfPosition(position.id());
      put(holder, machine, position.name());
      kinds.put(holder, position.kind());
    }
  }

  private void put(Holder holder, String name, String part) {
    names.put(holder, new HolderName(holder, name, part));
  }

  /** What a holder is called; empty if there is none such. */
  Optional<HolderName> of(Holder holder) {
    return holder.equals(Holder.STORE)
        ? Optional.of(new HolderName(holder, "", ""))
        : Optional.ofNullable(names.get(holder));
  }

  /** True if the question may be answered by this one for itself. */
  boolean isAsked(Question question, Holder holder) {
    return of(holder).isPresent()
        && question.isAskedOf(holder.level())
        && (!kinds.containsKey(holder) || question.kinds().contains(kinds.get(holder)));
  }

  /** All but the store who may answer a question for themselves: the widest first. */
  List<HolderName> asked(Question question) {
    List<HolderName> asked = new ArrayList<>();
    for (Holder.Level level : Holder.Level.values()) {
      names.values().stream()
          .filter(name -> name.holder().level() == level)
          .filter(name -> isAsked(question, name.holder()))
          .forEach(asked::add);
    }
    return asked;
  }
}
