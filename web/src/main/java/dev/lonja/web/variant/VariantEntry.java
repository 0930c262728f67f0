package dev.lonja.web.variant;

import dev.lonja.core.fleet.Arrow;
import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Engine;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Filling;
import dev.lonja.core.fleet.Mounting;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.item.Item;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.quantity.Power;
import dev.lonja.core.quantity.Spoken;
import dev.lonja.core.quantity.TorqueRange;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.variant.MakeUpDesk;
import dev.lonja.desk.variant.VariantDesk;
import dev.lonja.web.request.Typed;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reads the forms of a variant's compartments and positions; what is wrong is in {@code typed}. */
final class VariantEntry {

  private static final int LONGEST_NAME = Lengths.NAME;
  private static final int LONGEST_SHORT = Lengths.SHORT;
  private static final int LONGEST_NOTE = Lengths.REASON;

  private static final String POWER_ALLOWED = "1 W to 100,000 kW";

  private final Map<String, String> form;
  private final Typed typed;

  VariantEntry(Map<String, String> form, Typed typed) {
    this.form = form;
    this.typed = typed;
  }

  private String text(String field) {
    return form.getOrDefault(field, "").strip();
  }

  private String optionalText(String field, String what, int longest) {
    return text(field).isEmpty() ? "" : typed.text(field, what, text(field), longest).orElse("");
  }

  private Optional<String> filled(String field) {
    return Optional.of(text(field)).filter(text -> !text.isEmpty());
  }

  /** What the variant is called; its own name may be empty. */
  Optional<VariantDesk.Name> name() {
    Optional<String> make = typed.text("make", "The make", text("make"), LONGEST_NAME);
    Optional<String> model = typed.text("model", "The model", text("model"), LONGEST_NAME);
    if (text("name").length() > LONGEST_NAME) {
      typed.refuse("name", "The variant's name is longer than " + LONGEST_NAME + " characters.");
    }
    Optional<Power> power =
        filled("power")
            .flatMap(
                text ->
                    typed.spoken("power", "The engine's power", text, POWER_ALLOWED, Spoken.POWER));
    Engine engine = new Engine(optionalText("engine", "The engine's code", LONGEST_NAME), power);
    return typed.all(
        () -> new VariantDesk.Name(make.orElseThrow(), model.orElseThrow(), text("name"), engine));
  }

  /** The compartment of the form; empty if something is wrong. */
  Optional<MakeUpDesk.CompartmentDraft> compartment() {
    Optional<String> name = typed.text("name", "The name", text("name"), LONGEST_NAME);
    Optional<Compartment.Kind> kind =
        constant("kind", "kind of compartment", Compartment.Kind.values());
    String hint = optionalText("hint", "The hint", LONGEST_NOTE);
    Map<FillCondition, Capacity> capacities = new EnumMap<>(FillCondition.class);
    capacity(capacities, FillCondition.DRY, "dry");
    capacity(capacities, FillCondition.WITH_FILTER, "withFilter");
    capacity(capacities, FillCondition.WITHOUT_FILTER, "withoutFilter");
    Optional<Filling> filling = FillingEntry.filling(typed, form);
    Optional<MakeUpDesk.FlushDraft> flush = flush();
    return typed.all(
        () ->
            new MakeUpDesk.CompartmentDraft(
                name.orElseThrow(),
                kind.orElseThrow(),
                filled("item"),
                capacities,
                filling.orElseThrow(),
                flush,
                hint));
  }

  private Optional<MakeUpDesk.FlushDraft> flush() {
    if (text("flushItem").isEmpty() && text("flushLitres").isEmpty()) {
      return Optional.empty();
    }
    if (text("flushItem").isEmpty()) {
      typed.refuse("flushItem", "With what it is flushed is missing.");
    }
    return typed
        .litres("flushLitres", "How much it is flushed with", text("flushLitres"), Limits.LITRES)
        .map(volume -> new MakeUpDesk.FlushDraft(text("flushItem"), volume));
  }

  private void capacity(
      Map<FillCondition, Capacity> capacities, FillCondition condition, String field) {
    if (!text(field).isEmpty()) {
      FillingEntry.capacity(typed, field, "The capacity, " + condition.words() + ",", text(field))
          .ifPresent(capacity -> capacities.put(condition, capacity));
    }
  }

  /** The position of the form; empty if something is wrong. */
  Optional<MakeUpDesk.PositionDraft> position() {
    Optional<String> name = typed.text("name", "The name", text("name"), LONGEST_NAME);
    Optional<Position.Kind> kind = constant("kind", "kind of position", Position.Kind.values());
    Optional<CompartmentId> compartment =
        filled("compartment")
            .flatMap(
                id -> typed.chosen("compartment", "the compartment", id, CompartmentId::valueOf));
    Optional<Integer> quantity =
        typed.wholeBetween("quantity", "The number of pieces", text("quantity"), 1, Limits.PIECES);
    Optional<Integer> strokes = strokes(kind);
    Optional<TorqueRange> torque =
        filled("torque").flatMap(text -> PartEntry.torque(typed, "torque", text));
    Optional<Mounting> mounting =
        filled("mounting").flatMap(text -> constant("mounting", "mounting", Mounting.values()));
    Optional<Arrow> arrow =
        filled("arrow").flatMap(text -> constant("arrow", "way of the arrow", Arrow.values()));
    String thread = optionalText("thread", "The thread", LONGEST_SHORT);
    String drive = optionalText("drive", "What turns it", LONGEST_SHORT);
    String note = optionalText("note", "The note", LONGEST_NOTE);
    Position.Limits limits = limits();
    return typed.all(
        () ->
            new MakeUpDesk.PositionDraft(
                kind.orElseThrow(),
                filled("item"),
                (id, item) ->
                    new Position(
                        id,
                        name.orElseThrow(),
                        kind.orElseThrow(),
                        compartment,
                        item.map(Item::id),
                        quantity.orElseThrow(),
                        strokes,
                        torque,
                        mounting,
                        thread,
                        drive,
                        note,
                        Optional.empty(),
                        limits,
                        arrow)));
  }

  private Optional<Integer> strokes(Optional<Position.Kind> kind) {
    if (text("strokes").isEmpty()) {
      return Optional.empty();
    }
    if (kind.filter(k -> k != Position.Kind.GREASE_POINT).isPresent()) {
      typed.refuse("strokes", "Only a grease point takes strokes.");
    }
    return typed.wholeBetween(
        "strokes", "The strokes at each point", text("strokes"), 1, Limits.PIECES);
  }

  private Position.Limits limits() {
    return new Position.Limits(
        PartEntry.length(typed, "mostHeight", "The height", text("mostHeight")),
        PartEntry.length(typed, "mostOuter", "The width", text("mostOuter")),
        text("separator").equals("yes"),
        PartEntry.materials(typed, "materials", text("materials")));
  }

  private <E extends Enum<E>> Optional<E> constant(String field, String what, E[] values) {
    Optional<E> chosen =
        List.of(values).stream().filter(value -> value.name().equals(text(field))).findFirst();
    if (chosen.isEmpty()) {
      typed.refuse(field, "Choose the " + what + ".");
    }
    return chosen;
  }
}
