package dev.lonja.web.variant;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Mounting;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.TorqueRange;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.UnitNeeds;
import dev.lonja.store.Session;
import dev.lonja.web.fluid.FluidAdvice;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reads the forms of a variant's compartments and positions; what is wrong is in {@code typed}. */
final class VariantEntry {

  private static final int LONGEST_NAME = 60;
  private static final int LONGEST_SHORT = 40;
  private static final int LONGEST_NOTE = 200;
  private static final BigDecimal MOST_LITRES = BigDecimal.valueOf(100_000);
  private static final BigDecimal MOST_PIECES = BigDecimal.valueOf(200);

  private final Session session;
  private final Map<String, String> form;
  private final Typed typed;
  private final LocalDate today;

  VariantEntry(Session session, Map<String, String> form, Typed typed, LocalDate today) {
    this.session = session;
    this.form = form;
    this.typed = typed;
    this.today = today;
  }

  private String text(String field) {
    return form.getOrDefault(field, "").strip();
  }

  private String optionalText(String field, String what, int longest) {
    return text(field).isEmpty() ? "" : typed.text(field, what, text(field), longest).orElse("");
  }

  /** The spec that is on file; a new compartment demands what its kind usually holds. */
  private static Spec spec(CompartmentId id, Compartment.Kind kind, UnitNeeds needs) {
    return needs.compartments().stream()
        .filter(compartment -> compartment.id().equals(id))
        .findFirst()
        .map(Compartment::spec)
        .orElse(Spec.ofKind(kind.usualFluid()));
  }

  /** The compartment of the form; empty if something is wrong. */
  Optional<Compartment> compartment(CompartmentId id, UnitNeeds needs) {
    Optional<String> name = typed.text("name", "The name", text("name"), LONGEST_NAME);
    name.filter(
            n ->
                needs.compartments().stream()
                    .anyMatch(c -> !c.id().equals(id) && c.name().equals(n)))
        .ifPresent(n -> typed.refuse("name", "There is a compartment " + n + " already."));
    Optional<Compartment.Kind> kind =
        constant("kind", "kind of compartment", Compartment.Kind.values());
    String hint = optionalText("hint", "The hint", LONGEST_NOTE);
    Optional<ItemId> item = item("item", Measure.LITRES);
    Map<FillCondition, Volume> capacities = new EnumMap<>(FillCondition.class);
    capacity(capacities, FillCondition.DRY, "dry");
    capacity(capacities, FillCondition.WITH_FILTER, "withFilter");
    capacity(capacities, FillCondition.WITHOUT_FILTER, "withoutFilter");
    if (!typed.problems().isEmpty()) {
      return Optional.empty();
    }
    Compartment compartment =
        new Compartment(
            id,
            name.orElseThrow(),
            kind.orElseThrow(),
            spec(id, kind.orElseThrow(), needs),
            item,
            capacities,
            hint,
            Optional.empty());
    if (!compartment.capacitiesAgree()) {
      typed.refuse(
          "withFilter",
          "The capacities do not agree: dry takes no less than a drain with the filter, and that"
              + " no less than one without.");
      return Optional.empty();
    }
    Optional<String> refusal =
        item.flatMap(chosen -> FluidAdvice.refusal(session, today, compartment.spec(), chosen));
    refusal.ifPresent(text -> typed.refuse("item", text));
    return refusal.isPresent() ? Optional.empty() : Optional.of(compartment);
  }

  private void capacity(
      Map<FillCondition, Volume> capacities, FillCondition condition, String field) {
    if (!text(field).isEmpty()) {
      typed
          .decimalUpTo(field, "The capacity, " + condition.words() + ",", text(field), MOST_LITRES)
          .ifPresent(litres -> capacities.put(condition, Volume.ofLitres(litres)));
    }
  }

  /** The position of the form; empty if something is wrong. */
  Optional<Position> position(PositionId id, UnitNeeds needs) {
    Optional<String> name = typed.text("name", "The name", text("name"), LONGEST_NAME);
    name.filter(
            n -> needs.positions().stream().anyMatch(p -> !p.id().equals(id) && p.name().equals(n)))
        .ifPresent(n -> typed.refuse("name", "There is a position " + n + " already."));
    Optional<Position.Kind> kind = constant("kind", "kind of position", Position.Kind.values());
    Optional<CompartmentId> compartment = compartmentOf(needs);
    Optional<ItemId> item = item("item", Measure.PIECES);
    Optional<BigDecimal> quantity =
        typed.decimalUpTo("quantity", "The number of pieces", text("quantity"), MOST_PIECES);
    if (quantity.filter(pieces -> pieces.stripTrailingZeros().scale() > 0).isPresent()) {
      typed.refuse(
          "quantity", "The number of pieces is " + text("quantity") + "; write whole ones.");
    }
    Optional<TorqueRange> torque =
        text("torque").isEmpty()
            ? Optional.empty()
            : PartEntry.torque(typed, "torque", text("torque"));
    Optional<Mounting> mounting =
        text("mounting").isEmpty()
            ? Optional.empty()
            : constant("mounting", "mounting", Mounting.values());
    String thread = optionalText("thread", "The thread", LONGEST_SHORT);
    String drive = optionalText("drive", "What turns it", LONGEST_SHORT);
    String note = optionalText("note", "The note", LONGEST_NOTE);
    Position.Limits limits =
        new Position.Limits(
            PartEntry.length(typed, "mostHeight", "The height", text("mostHeight")),
            PartEntry.length(typed, "mostOuter", "The width", text("mostOuter")),
            text("separator").equals("yes"),
            PartEntry.materials(typed, "materials", text("materials")));
    if (!typed.problems().isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        new Position(
            id,
            name.orElseThrow(),
            kind.orElseThrow(),
            compartment,
            item,
            quantity.orElseThrow().intValueExact(),
            torque,
            mounting,
            thread,
            drive,
            note,
            Optional.empty(),
            limits));
  }

  private Optional<CompartmentId> compartmentOf(UnitNeeds needs) {
    if (text("compartment").isEmpty()) {
      return Optional.empty();
    }
    Optional<CompartmentId> chosen =
        needs.compartments().stream()
            .map(Compartment::id)
            .filter(id -> String.valueOf(id).equals(text("compartment")))
            .findFirst();
    if (chosen.isEmpty()) {
      typed.refuse("compartment", "Choose one of its compartments, or none.");
    }
    return chosen;
  }

  private Optional<ItemId> item(String field, Measure measure) {
    return text(field).isEmpty()
        ? Optional.empty()
        : PartEntry.item(session, typed, field, text(field), measure).map(Item::id);
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
