package dev.lonja.web.variant;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Mounting;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.Property;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.quantity.Torque;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.UnitNeeds;
import dev.lonja.store.Session;
import dev.lonja.store.fleet.VariantRepository.StoredVariant;
import dev.lonja.store.fleet.VariantTasks.StoredTask;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Builds the page of one variant. */
final class VariantPage {

  private final Session session;
  private final StoredVariant stored;
  private final UnitNeeds needs;
  private final List<StoredTask> tasks;

  VariantPage(Session session, StoredVariant stored) {
    this.session = session;
    this.stored = stored;
    this.needs = session.fleet().needs().get(stored.variant().id());
    this.tasks = session.variants().tasks().of(stored.variant().id());
  }

  VariantView view() {
    return new VariantView(
        stored.variant().id(),
        stored.variant().make(),
        stored.variant().model(),
        stored.variant().name(),
        stored.variant().display(),
        stored.version(),
        stored.units(),
        needs.compartments().stream().map(this::compartment).toList(),
        needs.positions().stream().map(this::position).toList(),
        tasks.stream().map(this::task).toList(),
        Arrays.stream(Compartment.Kind.values()).map(k -> choice(k.name(), k.words())).toList(),
        Arrays.stream(Position.Kind.values()).map(k -> choice(k.name(), k.words())).toList(),
        Arrays.stream(Mounting.values()).map(m -> choice(m.name(), m.words())).toList(),
        subjects(),
        stored.meters().entrySet().stream()
            .map(meter -> choice(meter.getKey(), meter.getKey() + ", " + meter.getValue()))
            .toList(),
        tasks.stream()
            .filter(task -> task.lead().isEmpty())
            .map(task -> choice(String.valueOf(task.id()), task.name()))
            .toList());
  }

  private static VariantView.Choice choice(String value, String words) {
    return new VariantView.Choice(value, words);
  }

  private List<VariantView.Choice> subjects() {
    List<VariantView.Choice> subjects = new ArrayList<>();
    needs.compartments().forEach(c -> subjects.add(choice("compartment-" + c.id(), c.name())));
    needs.positions().forEach(p -> subjects.add(choice("position-" + p.id(), p.name())));
    return subjects;
  }

  private VariantView.CompartmentForm compartment(Compartment c) {
    String capacities =
        Arrays.stream(FillCondition.values())
            .flatMap(k -> c.capacity(k).map(v -> v.display() + " " + k.words()).stream())
            .collect(Collectors.joining(", "));
    return new VariantView.CompartmentForm(
        c.id(),
        joined(c.name(), c.spec().shortText(), number(c.itemId()), capacities),
        c.name(),
        c.kind().name(),
        number(c.itemId()),
        litres(c, FillCondition.DRY),
        litres(c, FillCondition.WITH_FILTER),
        litres(c, FillCondition.WITHOUT_FILTER),
        c.hint());
  }

  private static String litres(Compartment compartment, FillCondition condition) {
    return compartment.capacity(condition).map(volume -> volume.exactText()).orElse("");
  }

  private VariantView.PositionForm position(Position p) {
    return new VariantView.PositionForm(
        p.id(),
        joined(
            p.name(),
            p.kind().words(),
            number(p.itemId()),
            p.torque().map(torque -> torque.display()).orElse("")),
        p.name(),
        p.kind().name(),
        p.compartmentId().map(String::valueOf).orElse(""),
        number(p.itemId()),
        String.valueOf(p.quantity()),
        p.torque()
            .map(
                torque ->
                    torque.low().equals(torque.high())
                        ? newtonMetres(torque.low())
                        : newtonMetres(torque.low()) + "-" + newtonMetres(torque.high()))
            .orElse(""),
        p.mounting().map(Mounting::name).orElse(""),
        p.thread(),
        p.drive(),
        p.note(),
        p.limits().mostHeight().map(Property.HEIGHT::print).orElse(""),
        p.limits().mostOuterDiameter().map(Property.HEIGHT::print).orElse(""),
        p.limits().waterSeparator() ? "yes" : "",
        String.join(", ", p.limits().materials()));
  }

  private static String newtonMetres(Torque torque) {
    return torque.exactText();
  }

  private VariantView.TaskForm task(StoredTask t) {
    String subject =
        t.compartment()
            .map(id -> "compartment-" + id)
            .orElseGet(() -> "position-" + t.position().orElseThrow());
    return new VariantView.TaskForm(
        t.id(),
        joined(t.service(), t.name(), when(t)),
        t.service(),
        t.name(),
        t.action().name(),
        subject,
        t.meter().orElse(""),
        VariantFormat.run(t.interval()),
        VariantFormat.months(t.interval()),
        VariantFormat.run(t.first()),
        VariantFormat.months(t.first()),
        PlainDecimal.of(t.severity()),
        t.severityReason(),
        t.lead().map(TaskId::toString).orElse(""),
        t.nth().map(String::valueOf).orElse(""),
        t.season().map(day -> day.toString().substring(2)).orElse(""),
        t.beforeLayUp(),
        t.leadDays().map(String::valueOf).orElse(""),
        t.byFluid().stream().map(VariantFormat::words).collect(Collectors.joining("\n")));
  }

  private String when(StoredTask t) {
    if (t.lead().isPresent()) {
      String lead =
          tasks.stream()
              .filter(other -> t.lead().equals(Optional.of(other.id())))
              .findFirst()
              .map(StoredTask::name)
              .orElse("");
      return "every " + t.nth().orElse(0) + ". time of " + lead;
    } else if (t.beforeLayUp()) {
      return t.leadDays().orElse(0) + " days before a lay-up";
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
        .flatMap(id -> session.items().byId(id))
        .map(item -> isShared(item) ? item.make() + " " + item.number() : item.number())
        .orElse("");
  }

  private boolean isShared(Item item) {
    return session.items().byKey(item.key()).size() > 1;
  }

  private static String joined(String... parts) {
    return Stream.of(parts).filter(part -> !part.isEmpty()).collect(Collectors.joining(" · "));
  }
}
