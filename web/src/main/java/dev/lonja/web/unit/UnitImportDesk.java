package dev.lonja.web.unit;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.AuditLog;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Takes many units into the fleet at once, after showing what would come in. */
@Service
@Allowed.ToKeepStore
public class UnitImportDesk {

  private static final int MOST_LINES = 5_000;

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  /** What a table would add, and what is wrong with it. */
  record Preview(List<Row> rows, List<Problem> problems, List<String> classes) {}

  record Row(
      String code, String name, String unitClass, String variant, String day, String meters) {}

  public UnitImportDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** What would come in; nothing is changed. */
  @Allowed.ToKeepStore
  Preview preview(String table) {
    return store.read(
        session -> {
          UnitImport units = read(session, table);
          return new Preview(
              units.units().stream().map(UnitImportDesk::row).toList(),
              units.problems(),
              session.classes().all().stream()
                  .map(stored -> stored.unitClass().code() + " " + stored.unitClass().name())
                  .toList());
        });
  }

  private UnitImport read(Session session, String table) {
    UnitImport units = new UnitImport(session, clock.today());
    List<String> lines = table.lines().toList();
    for (int i = 0; i < lines.size(); i++) {
      units.line(i + 1, lines.get(i));
    }
    return units;
  }

  private static Row row(UnitImport.NewUnit unit) {
    return new Row(
        unit.code(),
        unit.name(),
        unit.unitClass().name(),
        unit.variant().display(),
        unit.inService().toString(),
        unit.meters().entrySet().stream()
            .map(meter -> meter.getKey() + " " + meter.getValue().display())
            .collect(Collectors.joining(", ")));
  }

  /** Takes them in: all of them, or none if a line is wrong. */
  @Allowed.ToKeepStore
  public Outcome take(Sent sent, String table) {
    return once.run(
        sent,
        session -> {
          if (table.lines().count() > MOST_LINES) {
            return Outcome.refused(
                new Problem(
                    "table",
                    "The table has "
                        + table.lines().count()
                        + " lines; allowed are "
                        + MOST_LINES
                        + "."));
          }
          UnitImport units = read(session, table);
          if (!units.problems().isEmpty()) {
            return new Outcome.Refused(units.problems());
          }
          if (units.units().isEmpty()) {
            return Outcome.refused(Problem.ofWhole("There is no unit to take in."));
          }
          units.units().forEach(unit -> add(session, sent, unit));
          return new Outcome.Done("/fleet");
        });
  }

  private void add(Session session, Sent sent, UnitImport.NewUnit unit) {
    UnitId id =
        session
            .fleet()
            .addUnit(
                unit.code(),
                unit.name(),
                unit.unitClass().id(),
                unit.variant().id(),
                unit.inService());
    unit.meters().forEach((meter, start) -> session.fleet().addMeter(id, meter, start));
    AuditLog.Line line =
        new AuditLog.Line("added", "", unit.code() + ", by a table", sent.actor(), clock.now());
    session.audit().add("unit", id.value(), line);
  }
}
