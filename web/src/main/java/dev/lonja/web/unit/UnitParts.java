package dev.lonja.web.unit;

import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Mounting;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.pour.FirstPour;
import dev.lonja.core.quantity.TorqueRange;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.Deviation;
import dev.lonja.core.service.Due;
import dev.lonja.desk.unit.UnitRecord;
import dev.lonja.web.due.DueWording;
import dev.lonja.web.frame.Beside;
import dev.lonja.web.frame.LevelWording;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What a unit is made of, in words, with where each deviating value comes from. */
final class UnitParts {

  private final UnitRecord unit;
  private final LocalDate today;

  UnitParts(UnitRecord unit, LocalDate today) {
    this.unit = unit;
    this.today = today;
  }

  List<UnitView.CompartmentRow> compartments() {
    List<UnitView.CompartmentRow> rows = new ArrayList<>();
    for (Compartment compartment : unit.planned().needs().compartments()) {
      rows.add(compartment(compartment, rows.size() + 1));
    }
    return rows;
  }

  private UnitView.CompartmentRow compartment(Compartment compartment, int number) {
    List<Position> own =
        unit.planned().needs().positions().stream()
            .filter(position -> position.belongsTo(compartment))
            .toList();
    Optional<Due> changed = unit.change(compartment.id());
    return new UnitView.CompartmentRow(
        compartment.id(),
        number,
        compartment.name(),
        compartment.spec().shortText(),
        fill(compartment),
        new UnitView.Drain(seals(own), plugs(own)),
        new UnitView.Change(
            changed.map(due -> DueWording.lastDone(due.standing().origin(), today)).orElse(""),
            changed.map(due -> DueWording.state(due, today))),
        compartment.hint(),
        compartment.spec().kind().isMixed());
  }

  private UnitView.Fill fill(Compartment compartment) {
    return new UnitView.Fill(
        plate(compartment.itemId()),
        source(
            change ->
                change instanceof Deviation.Change.OtherFluid other
                    && other.compartmentId().equals(compartment.id())),
        Arrays.stream(FillCondition.values())
            .filter(condition -> compartment.capacity(condition).isPresent())
            .map(condition -> capacity(compartment, condition))
            .toList(),
        Stream.of(
                compartment
                    .range(FillCondition.WITH_FILTER)
                    .or(() -> compartment.range(FillCondition.WITHOUT_FILTER))
                    .map(capacity -> poured(compartment, capacity))
                    .orElse(""),
                LevelWording.of(compartment))
            .filter(words -> !words.isEmpty())
            .collect(Collectors.joining(" ")));
  }

  private String poured(Compartment compartment, Capacity capacity) {
    FirstPour pour =
        unit.machine()
            .file()
            .needs()
            .firstPour(compartment, capacity, capacity.high(), Volume.ZERO);
    return pour.reserve().equals(Volume.ZERO)
        ? "Poured at once."
        : "First pour " + Beside.of(pour.pour()) + ", keep " + Beside.of(pour.reserve()) + ".";
  }

  private UnitView.CapacityRow capacity(Compartment compartment, FillCondition condition) {
    return new UnitView.CapacityRow(
        Beside.of(compartment.range(condition).orElseThrow()),
        condition.words(),
        source(
            change ->
                change instanceof Deviation.Change.OtherCapacity other
                    && other.compartmentId().equals(compartment.id())
                    && other.condition() == condition));
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

  private static String plugs(List<Position> own) {
    return own.stream()
        .filter(position -> position.kind() == Position.Kind.DRAIN_PLUG)
        .map(
            position ->
                joined(
                    position.thread(),
                    position.drive(),
                    position.torque().map(UnitParts::torque).orElse("")))
        .collect(Collectors.joining("; "));
  }

  /** "38–42 N·m · 28.0–31.0 lbf·ft, set to 40 N·m". */
  private static String torque(TorqueRange torque) {
    String setTo =
        torque
            .range()
            .flatMap(range -> torque.setTo())
            .map(value -> ", set to " + value.newtonMetres())
            .orElse("");
    return torque.display() + setTo;
  }

  private static String joined(String... words) {
    return Stream.of(words).filter(word -> !word.isEmpty()).collect(Collectors.joining(", "));
  }

  List<UnitView.PositionRow> positions() {
    return unit.planned().needs().positions().stream().map(this::position).toList();
  }

  private UnitView.PositionRow position(Position position) {
    return new UnitView.PositionRow(
        position.kind() == Position.Kind.DRAIN_PLUG || position.kind() == Position.Kind.DRAIN_SEAL,
        position.name(),
        position.kind().words(),
        joined(
            position.strokes().map(s -> Words.strokes(position.quantity(), s)).orElse(""),
            position.thread(),
            position.drive(),
            position.mounting().map(Mounting::words).orElse(""),
            position.arrow().map(arrow -> "arrow " + arrow.words()).orElse("")),
        new UnitView.Part(
            plate(position.itemId()),
            position.itemId().isEmpty() && !position.kind().opensCompartment(),
            position.kind() == Position.Kind.GREASE_POINT ? 1 : position.quantity(),
            "/fleet/" + unit.unit().code() + "/fits/" + position.id()),
        position.torque().map(UnitParts::torque).orElse(""),
        source(
            change ->
                (change instanceof Deviation.Change.OtherPart part
                        && part.positionId().equals(position.id()))
                    || (change instanceof Deviation.Change.OtherTorque torque
                        && torque.positionId().equals(position.id()))),
        position.note());
  }

  private String source(Predicate<Deviation.Change> about) {
    return unit.machine().file().deviations().stream()
        .filter(deviation -> about.test(deviation.change()))
        .map(deviation -> DeviationWording.source(deviation, today))
        .collect(Collectors.joining("; "));
  }

  private Optional<Plate> plate(Optional<ItemId> itemId) {
    return unit.item(itemId).map(Plate::of);
  }
}
