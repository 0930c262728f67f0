package dev.lonja.web.fleet;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Mounting;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.quantity.TorqueRange;
import dev.lonja.core.service.Deviation;
import dev.lonja.core.service.FirstPour;
import dev.lonja.store.Session;
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

  private final Session session;
  private final List<Deviation> deviations;
  private final LocalDate today;

  UnitParts(Session session, List<Deviation> deviations, LocalDate today) {
    this.session = session;
    this.deviations = deviations;
    this.today = today;
  }

  UnitView.CompartmentRow compartment(Compartment compartment) {
    return new UnitView.CompartmentRow(
        compartment.name(),
        compartment.grade(),
        plate(compartment.itemId()),
        source(
            change ->
                change instanceof Deviation.Change.OtherFluid other
                    && other.compartmentId() == compartment.id()),
        Arrays.stream(FillCondition.values())
            .filter(condition -> compartment.capacity(condition).isPresent())
            .map(condition -> capacity(compartment, condition))
            .toList(),
        compartment
            .capacity(FillCondition.WITH_FILTER)
            .or(() -> compartment.capacity(FillCondition.WITHOUT_FILTER))
            .map(FirstPour::of)
            .map(p -> "first pour " + p.pour().display() + ", keep " + p.reserve().display())
            .orElse(""),
        compartment.hint());
  }

  private UnitView.CapacityRow capacity(Compartment compartment, FillCondition condition) {
    return new UnitView.CapacityRow(
        compartment.capacity(condition).orElseThrow().display(),
        condition.words(),
        source(
            change ->
                change instanceof Deviation.Change.OtherCapacity other
                    && other.compartmentId() == compartment.id()
                    && other.condition() == condition));
  }

  UnitView.PositionRow position(Position position) {
    return new UnitView.PositionRow(
        position.name(),
        position.kind().words(),
        Stream.of(
                position.thread(),
                position.drive(),
                position.mounting().map(Mounting::words).orElse(""))
            .filter(words -> !words.isEmpty())
            .collect(Collectors.joining(", ")),
        position.itemId().isEmpty() && !position.kind().opensCompartment(),
        plate(position.itemId()),
        position.quantity(),
        position.torque().map(TorqueRange::display).orElse(""),
        source(
            change ->
                (change instanceof Deviation.Change.OtherPart part
                        && part.positionId() == position.id())
                    || (change instanceof Deviation.Change.OtherTorque torque
                        && torque.positionId() == position.id())),
        position.note());
  }

  private String source(Predicate<Deviation.Change> about) {
    return deviations.stream()
        .filter(deviation -> about.test(deviation.change()))
        .map(deviation -> DeviationWording.source(deviation, today))
        .collect(Collectors.joining("; "));
  }

  private Optional<Plate> plate(Optional<Long> itemId) {
    return itemId.flatMap(id -> session.items().byId(id)).map(Plate::of);
  }
}
