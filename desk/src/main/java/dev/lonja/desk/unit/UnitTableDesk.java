package dev.lonja.desk.unit;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fleet.Variant;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.fleet.ClassRepository.StoredClass;
import dev.lonja.store.fleet.VariantRepository.StoredVariant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Takes many units into the fleet at once, after showing what would come in. */
@Service
@Allowed.ToKeepStore
public class UnitTableDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public UnitTableDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /**
   * A row of a table, its class and variant as they are named.
   *
   * @param meters by name, what each starts at
   */
  public record Row(
      String code,
      String name,
      String unitClass,
      String make,
      String model,
      String variant,
      LocalDate inServiceOn,
      Map<String, MeterValue> meters) {

    String variantName() {
      return (make + " " + model + " " + variant).strip();
    }

    Map<String, MeterMeasure> measures() {
      Map<String, MeterMeasure> measures = new LinkedHashMap<>();
      meters.forEach((meter, start) -> measures.put(meter, start.measure()));
      return measures;
    }
  }

  /** A unit that would come in. */
  public record Incoming(Row row, Unit.UnitClass unitClass, Variant variant) {}

  /**
   * What a table would add.
   *
   * @param classes all that there are
   */
  public record Preview(
      List<Incoming> units, List<UnitRefusal.BadRow> refusals, List<Unit.UnitClass> classes) {}

  /** What would come in; nothing is changed. */
  public Preview preview(List<Row> rows) {
    return store.read(session -> new Table(session).check(rows));
  }

  /** Takes them in: all of them, or none if a row is wrong. */
  @Allowed.ToKeepStore
  public Outcome take(Sent sent, List<Row> rows) {
    return once.run(
        sent,
        session -> {
          Preview checked = new Table(session).check(rows);
          if (!checked.refusals().isEmpty()) {
            return new Outcome.Refused(checked.refusals());
          }
          if (checked.units().isEmpty()) {
            return Outcome.refused(new UnitRefusal.Nothing());
          }
          checked.units().forEach(unit -> add(session, sent, unit));
          return Outcome.done();
        });
  }

  private void add(Session session, Sent sent, Incoming unit) {
    Row row = unit.row();
    UnitId id =
        session
            .fleet()
            .addUnit(
                row.code(),
                row.name(),
                unit.unitClass().id(),
                unit.variant().id(),
                row.inServiceOn());
    row.meters().forEach((meter, start) -> session.fleet().addMeter(id, meter, start));
    Facts after = Facts.of("code", row.code()).with("name", row.name());
    session.audit().add(sent.line(clock.now(), Matter.UNIT, id, Deed.ADDED, Facts.NONE, after));
  }

  /** What rows are held against. */
  private final class Table {
    private final Set<String> codes = new HashSet<>();
    private final Map<String, Unit.UnitClass> classes = new LinkedHashMap<>();
    private final Map<String, StoredVariant> variants = new HashMap<>();
    private final Map<Long, Set<String>> metersNeeded = new HashMap<>();

    Table(Session session) {
      for (StoredClass stored : session.classes().all()) {
        classes.put(key(stored.unitClass().code()), stored.unitClass());
      }
      for (StoredVariant stored : session.variants().all()) {
        Variant variant = stored.variant();
        variants.put(key(variant.make() + "|" + variant.model() + "|" + variant.name()), stored);
        stored.units().forEach(code -> codes.add(key(code)));
        metersNeeded.put(
            variant.id(),
            session.variants().tasks().of(variant.id()).stream()
                .flatMap(task -> task.meter().stream())
                .collect(Collectors.toSet()));
      }
    }

    Preview check(List<Row> rows) {
      List<Incoming> units = new ArrayList<>();
      List<UnitRefusal.BadRow> bad = new ArrayList<>();
      for (int i = 0; i < rows.size(); i++) {
        Row row = rows.get(i);
        List<UnitRefusal> refusals = refusals(row);
        if (refusals.isEmpty()) {
          units.add(
              new Incoming(row, classes.get(key(row.unitClass())), variant(row).get().variant()));
        }
        for (UnitRefusal refusal : refusals) {
          bad.add(new UnitRefusal.BadRow(i, refusal));
        }
      }
      return new Preview(units, bad, List.copyOf(classes.values()));
    }

    private Optional<StoredVariant> variant(Row row) {
      return Optional.ofNullable(
          variants.get(key(row.make() + "|" + row.model() + "|" + row.variant())));
    }

    private List<UnitRefusal> refusals(Row row) {
      List<UnitRefusal> refusals = new ArrayList<>();
      if (!UnitDesk.isCode(row.code())) {
        refusals.add(new UnitRefusal.BadCode(row.code()));
      } else if (!codes.add(key(row.code()))) {
        refusals.add(new UnitRefusal.CodeTaken(row.code()));
      }
      if (!classes.containsKey(key(row.unitClass()))) {
        refusals.add(
            new UnitRefusal.UnknownClass(
                row.unitClass(),
                classes.values().stream().map(Unit.UnitClass::code).sorted().toList()));
      }
      if (row.inServiceOn().isAfter(clock.today())) {
        refusals.add(new UnitRefusal.InFuture(row.inServiceOn(), clock.today()));
      }
      variant(row)
          .ifPresentOrElse(
              variant ->
                  refusals.addAll(
                      UnitAdding.meterRefusals(
                          metersNeeded.get(variant.variant().id()), variant, row.measures())),
              () -> refusals.add(new UnitRefusal.UnknownVariant(row.variantName())));
      return refusals;
    }

    private static String key(String text) {
      return text.toUpperCase(Locale.ROOT);
    }
  }
}
