package dev.lonja.web.unit;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.meter.Meter;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.AuditLog;
import dev.lonja.store.fleet.ClassRepository.StoredClass;
import dev.lonja.store.tray.Tray;
import dev.lonja.web.meter.MeterEntry;
import dev.lonja.web.request.Typed;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.stereotype.Service;

/** Takes units into the fleet, each like one that is there, and out of it. */
@Service
@Allowed.ToKeepStore
public class UnitDesk {

  private static final int LONGEST_NAME = 60;
  private static final int LONGEST_REASON = 200;
  private static final String CODE = "[A-Z0-9][A-Z0-9-]{0,19}";

  /** Words that lead to pages of the fleet and so cannot name a unit. */
  private static final Set<String> TAKEN =
      Set.of("BURST", "CLASSES", "DUE", "IMPORT", "METERS", "NEW", "VARIANTS");

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  /**
   * A new unit as typed.
   *
   * @param like the code of the unit whose class, variant and meters it shares
   * @param starts by meter name, what each stands at on the first day
   */
  public record Form(
      String like, String code, String name, String inService, Map<String, String> starts) {}

  /** A unit as it is edited. */
  public record EditForm(String name, String unitClass, String inService) {}

  /** The page for a new unit: what it may be like, and the meters it then has. */
  record NewUnitView(List<Like> likes, String variant, List<MeterField> meters, String today) {

    record Like(String code, String words, boolean chosen) {}

    record MeterField(String name, String measure) {}
  }

  public UnitDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** The page for a unit like the one of this code, or like the first if there is none. */
  @Allowed.ToKeepStore
  NewUnitView newUnit(String like) {
    return store.read(
        session -> {
          List<Unit> units = session.fleet().units();
          Optional<Unit> chosen =
              units.stream()
                  .filter(unit -> unit.code().equalsIgnoreCase(like))
                  .findFirst()
                  .or(() -> units.stream().findFirst());
          return new NewUnitView(
              units.stream()
                  .map(
                      unit ->
                          new NewUnitView.Like(
                              unit.code(),
                              unit.code() + ", " + unit.variant().display(),
                              chosen.filter(unit::equals).isPresent()))
                  .toList(),
              chosen.map(unit -> unit.variant().display()).orElse(""),
              chosen.map(unit -> meterFields(session, unit)).orElse(List.of()),
              clock.today().toString());
        });
  }

  /** True for what may name a unit. */
  static boolean isCode(String code) {
    return code.matches(CODE) && !TAKEN.contains(code);
  }

  private static List<NewUnitView.MeterField> meterFields(Session session, Unit unit) {
    return meters(session, unit).stream()
        .map(meter -> new NewUnitView.MeterField(meter.name(), meter.measure().symbol()))
        .toList();
  }

  private static List<Meter> meters(Session session, Unit unit) {
    return session.fleet().meters().stream().filter(m -> m.unitId().equals(unit.id())).toList();
  }

  /** Takes a unit into the fleet. */
  @Allowed.ToKeepStore
  public Outcome add(Sent sent, Form form) {
    return once.run(sent, session -> add(session, sent, form));
  }

  private Outcome add(Session session, Sent sent, Form form) {
    Typed typed = new Typed();
    Optional<Unit> like =
        session.fleet().unitByCode(form.like()).filter(unit -> unit.retiredOn().isEmpty());
    if (like.isEmpty()) {
      typed.refuse("like", "Choose a unit that the new one is like.");
    }
    String code = form.code().strip().toUpperCase(Locale.ROOT);
    if (!isCode(code)) {
      typed.refuse(
          "code",
          "\""
              + code
              + "\" cannot be a code; write up to 20 letters, digits and hyphens, such as"
              + " RT-11.");
    } else if (session.fleet().unitByCode(code).isPresent()) {
      typed.refuse("code", "There is a unit " + code + " already.");
    }
    Optional<String> name = typed.text("name", "The name", form.name(), LONGEST_NAME);
    Optional<LocalDate> day = typed.dayUpTo("inService", form.inService(), clock.today());
    Map<String, MeterValue> starts = new TreeMap<>();
    like.ifPresent(
        unit -> meters(session, unit).forEach(meter -> start(typed, form, meter, starts)));
    if (!typed.problems().isEmpty()) {
      return new Outcome.Refused(typed.problems());
    }
    Unit model = like.orElseThrow();
    UnitId id =
        session
            .fleet()
            .addUnit(
                code,
                name.orElseThrow(),
                model.unitClass().id(),
                model.variant().id(),
                day.orElseThrow());
    starts.forEach((meter, value) -> session.fleet().addMeter(id, meter, value));
    audit(session, sent, id, "added", "", code + ", like " + model.code());
    return new Outcome.Done("/fleet/" + code);
  }

  private static void start(Typed typed, Form form, Meter meter, Map<String, MeterValue> starts) {
    String field = "start-" + meter.name();
    String text = form.starts().getOrDefault(meter.name(), "");
    String what = "What the " + meter.name() + " meter stands at";
    MeterEntry.value(typed, field, what, text, meter.measure())
        .ifPresent(value -> starts.put(meter.name(), value));
  }

  /** Takes a unit out of the fleet; a tray that is open for it has to be put back first. */
  @Allowed.ToKeepStore
  public Outcome retire(Sent sent, String code, long version, String why) {
    return once.run(
        sent,
        session -> {
          Unit unit = session.fleet().unitByCode(code).orElseThrow();
          Typed typed = new Typed();
          Optional<String> reason = typed.text("why", "The reason", why, LONGEST_REASON);
          session.trays().open().stream()
              .filter(tray -> tray.unitId().equals(unit.id()))
              .map(Tray::number)
              .forEach(
                  number ->
                      typed.refuse("", "Tray " + number + " is open for it. Put it back first."));
          if (!typed.problems().isEmpty()) {
            return new Outcome.Refused(typed.problems());
          }
          if (!session.fleet().retire(unit.id(), version, clock.today())) {
            return Outcome.refused(
                Problem.ofWhole("The unit has changed since this page was shown. Look again."));
          }
          audit(session, sent, unit.id(), "retired", unit.code(), reason.orElseThrow());
          return new Outcome.Done("/fleet");
        });
  }

  /**
   * Edits what a unit is called, its class and its first day of service.
   *
   * @param version of the unit when the form was shown
   */
  @Allowed.ToKeepStore
  public Outcome edit(Sent sent, String code, long version, EditForm form) {
    return once.run(
        sent,
        session -> {
          Unit unit = session.fleet().unitByCode(code).orElseThrow();
          Typed typed = new Typed();
          Optional<String> name = typed.text("name", "The name", form.name(), LONGEST_NAME);
          Optional<LocalDate> day = typed.dayUpTo("inService", form.inService(), clock.today());
          Optional<StoredClass> unitClass = session.classes().byCode(form.unitClass());
          if (unitClass.isEmpty()) {
            typed.refuse("unitClass", "Choose a class of units.");
          }
          if (!typed.problems().isEmpty()) {
            return new Outcome.Refused(typed.problems());
          }
          Unit.UnitClass chosen = unitClass.orElseThrow().unitClass();
          if (!session
              .fleet()
              .editUnit(unit.id(), version, name.orElseThrow(), chosen.id(), day.orElseThrow())) {
            return Outcome.refused(
                Problem.ofWhole("The unit has changed since this page was shown. Look again."));
          }
          audit(
              session,
              sent,
              unit.id(),
              "edited",
              unit.name() + ", " + unit.unitClass().name() + ", " + unit.inServiceOn(),
              name.get() + ", " + chosen.name() + ", " + day.get());
          return new Outcome.Done("/fleet/" + unit.code());
        });
  }

  private void audit(
      Session session, Sent sent, UnitId unitId, String action, String before, String after) {
    session
        .audit()
        .add(
            "unit",
            unitId.value(),
            new AuditLog.Line(action, before, after, sent.actor(), clock.now()));
  }
}
