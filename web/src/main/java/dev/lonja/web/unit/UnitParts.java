package dev.lonja.web.unit;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Mounting;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.pour.FillPolicy;
import dev.lonja.core.quantity.TorqueRange;
import dev.lonja.core.service.Deviation;
import dev.lonja.core.service.Due;
import dev.lonja.store.Session;
import dev.lonja.web.due.DueWording;
import dev.lonja.web.frame.Plate;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What a unit is made of, in words, with where each deviating value comes from. */
final class UnitParts {

  private final FillPolicy fills;
  private final Session session;
  private final String unitCode;
  private final List<Deviation> deviations;
  private final LocalDate today;

  UnitParts(
      Session session,
      String unitCode,
      List<Deviation> deviations,
      FillPolicy fills,
      LocalDate today) {
    this.fills = fills;
    this.unitCode = unitCode;
    this.session = session;
    this.deviations = deviations;
    this.today = today;
  }

  /**
   * A compartment.
   *
   * @param number of its block in the drawing
   * @param changed when its fluid is changed, if a task does
   */
  UnitView.CompartmentRow compartment(
      Compartment compartment, int number, List<Position> positions, Optional<Due> changed) {
    List<Position> own =
        positions.stream().filter(position -> position.belongsTo(compartment)).toList();
    return new UnitView.CompartmentRow(
        compartment.id(),
        number,
        compartment.name(),
        compartment.spec().shortText(),
        plate(compartment.itemId()),
        source(
            change ->
                change instanceof Deviation.Change.OtherFluid other
                    && other.compartmentId().equals(compartment.id())),
        Arrays.stream(FillCondition.values())
            .filter(condition -> compartment.capacity(condition).isPresent())
            .map(condition -> capacity(compartment, condition))
            .toList(),
        compartment
            .capacity(FillCondition.WITH_FILTER)
            .or(() -> compartment.capacity(FillCondition.WITHOUT_FILTER))
            .map(fills::firstPour)
            .map(p -> "first pour " + p.pour().display() + ", keep " + p.reserve().display())
            .orElse(""),
        compartment.hint(),
        seals(own),
        own.stream()
            .filter(position -> position.kind() == Position.Kind.DRAIN_PLUG)
            .map(
                position ->
                    Stream.of(
                            position.thread(),
                            position.drive(),
                            position.torque().map(TorqueRange::display).orElse(""))
                        .filter(words -> !words.isEmpty())
                        .collect(Collectors.joining(", ")))
            .collect(Collectors.joining("; ")),
        changed.map(due -> DueWording.lastDone(due.standing().origin(), today)).orElse(""),
        changed.map(due -> DueWording.state(due, today)));
  }

  private String seals(List<Position> own) {
    return own.stream()
        .filter(position -> position.kind() == Position.Kind.DRAIN_SEAL)
        .map(
            position ->
                (position.quantity() > 1 ? position.quantity() + " × " : "")
                    + plate(position.itemId()).map(Plate::number).orElse("none chosen"))
        .collect(Collectors.joining(", "));
  }

  private UnitView.CapacityRow capacity(Compartment compartment, FillCondition condition) {
    return new UnitView.CapacityRow(
        compartment.capacity(condition).orElseThrow().display(),
        condition.words(),
        source(
            change ->
                change instanceof Deviation.Change.OtherCapacity other
                    && other.compartmentId().equals(compartment.id())
                    && other.condition() == condition));
  }

  UnitView.PositionRow position(Position position) {
    return new UnitView.PositionRow(
        position.kind() == Position.Kind.DRAIN_PLUG || position.kind() == Position.Kind.DRAIN_SEAL,
        position.name(),
        position.kind().words(),
        Stream.of(
                position.thread(),
                position.drive(),
                position.mounting().map(Mounting::words).orElse(""))
            .filter(words -> !words.isEmpty())
            .collect(Collectors.joining(", ")),
        position.itemId().isEmpty() && !position.kind().opensCompartment(),
        "/fleet/" + unitCode + "/fits/" + position.id(),
        plate(position.itemId()),
        position.quantity(),
        position.torque().map(TorqueRange::display).orElse(""),
        source(
            change ->
                (change instanceof Deviation.Change.OtherPart part
                        && part.positionId().equals(position.id()))
                    || (change instanceof Deviation.Change.OtherTorque torque
                        && torque.positionId().equals(position.id()))),
        position.note());
  }

  private String source(Predicate<Deviation.Change> about) {
    return deviations.stream()
        .filter(deviation -> about.test(deviation.change()))
        .map(deviation -> DeviationWording.source(deviation, today))
        .collect(Collectors.joining("; "));
  }

  private Optional<Plate> plate(Optional<ItemId> itemId) {
    return itemId.flatMap(id -> session.items().byId(id)).map(Plate::of);
  }
}
