package dev.lonja.web.variant;

import dev.lonja.core.fleet.Arrow;
import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Filling;
import dev.lonja.core.fleet.LevelMethod;
import dev.lonja.core.fleet.Mounting;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fleet.Variant;
import dev.lonja.core.inspection.InspectedValue;
import dev.lonja.core.inspection.ValueKind;
import dev.lonja.core.inspection.ValueLimits;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.Property;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.quantity.Power;
import dev.lonja.core.quantity.TorqueRange;
import dev.lonja.core.service.TaskId;
import dev.lonja.desk.variant.VariantDesk;
import dev.lonja.store.fleet.VariantRepository.StoredVariant;
import dev.lonja.store.fleet.VariantTasks.LayUpSide;
import dev.lonja.store.fleet.VariantTasks.StoredTask;
import dev.lonja.web.frame.AbsenceWording;
import dev.lonja.web.frame.Words;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Says what is on file of a variant, as its forms show it. */
final class VariantWording {

  /** What a new position and a new task begin with. */
  private static final Map<String, String> BLANK = Map.of("quantity", "1", "severity", "1");

  private final VariantDesk.VariantFile file;

  private VariantWording(VariantDesk.VariantFile file) {
    this.file = file;
  }

  static VariantView.All all(List<StoredVariant> variants) {
    return new VariantView.All(
        variants.stream()
            .map(
                stored ->
                    new VariantView.Variant(
                        stored.variant().id(),
                        stored.variant().display(),
                        String.join(", ", stored.units()),
                        stored.units().size()))
            .toList());
  }

  static VariantView view(VariantDesk.VariantFile file) {
    return new VariantWording(file).view();
  }

  private VariantView view() {
    Variant variant = file.stored().variant();
    return new VariantView(
        variant.id(),
        variant.display(),
        file.stored().version(),
        named(variant),
        new VariantView.Machines(
            file.stored().units(), file.absences().stream().map(AbsenceWording::of).toList()),
        file.needs().compartments().stream().map(this::compartment).toList(),
        file.needs().positions().stream().map(this::position).toList(),
        file.tasks().stream().map(this::task).toList(),
        choices(),
        BLANK);
  }

  private static VariantView.Named named(Variant variant) {
    return new VariantView.Named(
        variant.make(),
        variant.model(),
        variant.name(),
        variant.engine().code(),
        variant.engine().power().map(Power::exactText).orElse(""));
  }

  private VariantView.Choices choices() {
    return new VariantView.Choices(
        Arrays.stream(Compartment.Kind.values()).map(k -> choice(k.name(), k.words())).toList(),
        Arrays.stream(Position.Kind.values()).map(k -> choice(k.name(), k.words())).toList(),
        Arrays.stream(Mounting.values()).map(m -> choice(m.name(), m.words())).toList(),
        Arrays.stream(Arrow.values()).map(a -> choice(a.name(), a.words())).toList(),
        new VariantView.Levels(
            Arrays.stream(LevelMethod.Kind.values()).map(k -> choice(k.name(), k.words())).toList(),
            Arrays.stream(LevelMethod.Warmth.values())
                .map(w -> choice(w.name(), w.words()))
                .toList(),
            Arrays.stream(LevelMethod.Seat.values()).map(s -> choice(s.name(), s.words())).toList(),
            Arrays.stream(LevelMethod.Stance.values())
                .map(s -> choice(s.name(), s.words()))
                .toList()),
        Stream.concat(
                file.needs().compartments().stream()
                    .map(c -> choice("compartment-" + c.id(), c.name())),
                file.needs().positions().stream().map(p -> choice("position-" + p.id(), p.name())))
            .toList(),
        file.stored().meters().entrySet().stream()
            .map(meter -> choice(meter.getKey(), meter.getKey() + ", " + meter.getValue()))
            .toList(),
        file.tasks().stream()
            .filter(task -> task.lead().isEmpty())
            .map(task -> choice(String.valueOf(task.id()), task.name()))
            .toList(),
        Arrays.stream(ValueKind.values())
            .map(k -> choice(k.name(), k.words() + ": " + k.units()))
            .toList());
  }

  private static VariantView.Choice choice(String value, String words) {
    return new VariantView.Choice(value, words);
  }

  private VariantView.Row<CompartmentId> compartment(Compartment c) {
    String capacities =
        Arrays.stream(FillCondition.values())
            .flatMap(k -> c.range(k).map(v -> v.display() + " " + k.words()).stream())
            .collect(Collectors.joining(", "));
    return new VariantView.Row<>(
        c.id(),
        joined(c.name(), c.spec().shortText(), number(c.itemId()), capacities, level(c)),
        fields(c));
  }

  private static String level(Compartment compartment) {
    return compartment.filling().level().map(level -> level.kind().words()).orElse("");
  }

  private Map<String, String> fields(Compartment c) {
    Map<String, String> fields = FillingEntry.fields(c.filling());
    fields.put("name", c.name());
    fields.put("kind", c.kind().name());
    fields.put("item", number(c.itemId()));
    fields.put("flushItem", number(c.filling().flush().map(Filling.Flush::itemId)));
    fields.put("dry", litres(c, FillCondition.DRY));
    fields.put("withFilter", litres(c, FillCondition.WITH_FILTER));
    fields.put("withoutFilter", litres(c, FillCondition.WITHOUT_FILTER));
    fields.put("hint", c.hint());
    return fields;
  }

  private static String litres(Compartment compartment, FillCondition condition) {
    return compartment.range(condition).map(Capacity::exactText).orElse("");
  }

  private VariantView.Row<PositionId> position(Position p) {
    Map<String, String> fields = new HashMap<>();
    fields.put("name", p.name());
    fields.put("kind", p.kind().name());
    fields.put("compartment", p.compartmentId().map(String::valueOf).orElse(""));
    fields.put("item", number(p.itemId()));
    fields.put("quantity", String.valueOf(p.quantity()));
    fields.put("strokes", p.strokes().map(String::valueOf).orElse(""));
    fields.put("torque", p.torque().map(VariantWording::newtonMetres).orElse(""));
    fields.put("arrow", p.arrow().map(Arrow::name).orElse(""));
    fields.put("mounting", p.mounting().map(Mounting::name).orElse(""));
    fields.put("thread", p.thread());
    fields.put("drive", p.drive());
    fields.put("note", p.note());
    fields.put("mostHeight", p.limits().mostHeight().map(Property.HEIGHT::print).orElse(""));
    fields.put("mostOuter", p.limits().mostOuterDiameter().map(Property.HEIGHT::print).orElse(""));
    fields.put("separator", p.limits().waterSeparator() ? "yes" : "");
    fields.put("materials", String.join(", ", p.limits().materials()));
    return new VariantView.Row<>(
        p.id(),
        joined(
            p.name(),
            p.kind().words(),
            number(p.itemId()),
            p.strokes().map(strokes -> Words.strokes(p.quantity(), strokes)).orElse(""),
            p.torque().map(TorqueRange::display).orElse("")),
        fields);
  }

  private static String newtonMetres(TorqueRange torque) {
    return torque.low().equals(torque.high())
        ? torque.low().exactText()
        : torque.low().exactText() + "-" + torque.high().exactText();
  }

  private VariantView.Row<TaskId> task(StoredTask t) {
    Map<String, String> fields = new HashMap<>();
    fields.put("service", t.service());
    fields.put("name", t.name());
    fields.put("action", t.action().name());
    fields.put(
        "subject",
        t.compartment()
            .map(id -> "compartment-" + id)
            .orElseGet(() -> "position-" + t.position().orElseThrow()));
    fields.put("valueKind", t.limits().map(limits -> limits.kind().name()).orElse(""));
    fields.put("valueLow", exact(t.limits().flatMap(ValueLimits::low)));
    fields.put("valueHigh", exact(t.limits().flatMap(ValueLimits::high)));
    fields.put("steps", t.steps());
    fields.put("meter", t.meter().orElse(""));
    fields.put("run", VariantFormat.run(t.interval()));
    fields.put("months", VariantFormat.months(t.interval()));
    fields.put("firstRun", VariantFormat.run(t.first()));
    fields.put("firstMonths", VariantFormat.months(t.first()));
    fields.put("severity", PlainDecimal.of(t.severity()));
    fields.put("severityReason", t.severityReason());
    fields.put("lead", t.lead().map(TaskId::toString).orElse(""));
    fields.put("nth", t.nth().map(String::valueOf).orElse(""));
    fields.put("season", t.season().map(day -> day.toString().substring(2)).orElse(""));
    fields.put("leadDays", t.leadDays().map(String::valueOf).orElse(""));
    fields.put(
        "byFluid",
        t.byFluid().stream().map(VariantFormat::words).collect(Collectors.joining("\n")));
    fields.put("hazards", String.join(", ", t.hazards()));
    t.layUp()
        .ifPresent(
            side -> fields.put(side == LayUpSide.BEFORE ? "beforeLayUp" : "afterLayUp", "true"));
    return new VariantView.Row<>(
        t.id(),
        joined(
            t.service(),
            t.name(),
            t.limits().map(limits -> "sound: " + limits.display()).orElse(""),
            when(t)),
        fields);
  }

  private static String exact(Optional<InspectedValue> value) {
    return value.map(InspectedValue::exactText).orElse("");
  }

  private String when(StoredTask t) {
    if (t.lead().isPresent()) {
      String lead =
          file.tasks().stream()
              .filter(other -> t.lead().equals(Optional.of(other.id())))
              .findFirst()
              .map(StoredTask::name)
              .orElse("");
      return "every " + Words.ordinal(t.nth().orElse(0)) + " time of " + lead;
    } else if (t.layUp().isPresent()) {
      return t.layUp().get() == LayUpSide.BEFORE
          ? t.leadDays().orElse(0) + " days before a lay-up"
          : "back from a lay-up";
    }
    return t.season()
        .map(day -> t.leadDays().orElse(0) + " days before " + day.toString().substring(2))
        .orElseGet(
            () ->
                "every "
                    + VariantFormat.words(t.interval()).replace(", ", " or ")
                    + t.meter().map(meter -> " by " + meter).orElse(""));
  }

  /** The number of a preferred item, with its make where other makes use the number too. */
  private String number(Optional<ItemId> itemId) {
    return itemId
        .map(file.items()::get)
        .map(
            item ->
                file.shared().contains(item.id())
                    ? item.make() + " " + item.number()
                    : item.number())
        .orElse("");
  }

  private static String joined(String... parts) {
    return Stream.of(parts).filter(part -> !part.isEmpty()).collect(Collectors.joining(" · "));
  }
}
