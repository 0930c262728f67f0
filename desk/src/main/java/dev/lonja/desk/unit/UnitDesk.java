package dev.lonja.desk.unit;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.RequestRefusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.fleet.ClassRepository.StoredClass;
import dev.lonja.store.fleet.VariantRepository.StoredVariant;
import dev.lonja.store.query.UnitScope;
import dev.lonja.store.service.DeviationRepository;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;

/** Takes units into the fleet, edits them, and takes them out of it. */
@Service
@Allowed.ToKeepStore
public class UnitDesk extends KeepersDesk {

  private static final String CODE = "[A-Z0-9][A-Z0-9-]{0,19}";

  /** Words that lead to pages of the fleet and so cannot name a unit. */
  private static final Set<String> TAKEN =
      Set.of("BURST", "CLASSES", "COSTS", "DUE", "IMPORT", "METERS", "NEW", "VARIANTS", "WORK");

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public UnitDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /**
   * What a new unit may be.
   *
   * @param classes by code
   * @param chosen the variant that was asked for
   * @param like a unit of it, whose class the new one may share
   * @param meters that a unit of it has, by name
   * @param absences what machines like it turned out not to have
   */
  public record Models(
      List<Unit.UnitClass> classes,
      List<StoredVariant> variants,
      Optional<StoredVariant> chosen,
      Optional<Unit> like,
      Map<String, MeterMeasure> meters,
      List<DeviationRepository.Absence> absences) {}

  /**
   * @param like the code of a unit that the new one is to be like; may be of none
   * @param variant the number of a variant, looked at if there is no such unit; empty for the
   *     first, anything else for one that is not there yet
   */
  public Models models(String like, String variant) {
    return store.read(
        session -> {
          List<Unit> units = session.fleet().serving(clock.today());
          List<StoredVariant> variants = session.variants().all();
          Optional<Unit> named =
              units.stream().filter(unit -> unit.code().equalsIgnoreCase(like)).findFirst();
          String wanted = named.map(unit -> String.valueOf(unit.variant().id())).orElse(variant);
          Optional<StoredVariant> chosen =
              variants.stream()
                  .filter(
                      stored ->
                          wanted.isEmpty() || String.valueOf(stored.variant().id()).equals(wanted))
                  .findFirst();
          Optional<Unit> one =
              named.or(
                  () ->
                      units.stream()
                          .filter(
                              unit ->
                                  chosen
                                      .filter(c -> c.variant().id() == unit.variant().id())
                                      .isPresent())
                          .findFirst());
          return new Models(
              session.classes().all().stream().map(StoredClass::unitClass).toList(),
              variants,
              chosen,
              one,
              one.map(unit -> meters(session, unit)).orElseGet(Map::of),
              chosen
                  .map(stored -> session.deviations().absences(stored.variant().id()))
                  .orElse(List.of()));
        });
  }

  private static Map<String, MeterMeasure> meters(Session session, Unit unit) {
    Map<String, MeterMeasure> meters = new LinkedHashMap<>();
    session
        .fleet()
        .meters(UnitScope.of(unit.id()))
        .forEach(meter -> meters.put(meter.name(), meter.measure()));
    return meters;
  }

  /** True for what may name a unit. */
  static boolean isCode(String code) {
    return code.matches(CODE) && !TAKEN.contains(code);
  }

  /** Takes a unit into the fleet; answers its code. */
  @Allowed.ToKeepStore
  public Outcome add(Sent sent, NewUnit asked) {
    return once.run(sent, session -> new UnitAdding(session, clock, sent).add(asked));
  }

  private Optional<UnitRefusal> inFuture(LocalDate day) {
    return day.isAfter(clock.today())
        ? Optional.of(new UnitRefusal.InFuture(day, clock.today()))
        : Optional.empty();
  }

  /**
   * Takes a unit out of the fleet from a day on, past or to come; until then it is planned for. A
   * day to come can be changed as long as it is one. A tray that is open beyond it has to be put
   * back first.
   */
  @Allowed.ToKeepStore
  public Outcome retire(Sent sent, String code, long version, LocalDate day, String why) {
    return once.run(
        sent,
        session -> {
          Unit unit = session.fleet().unitByCode(code).orElseThrow();
          if (!unit.serves(clock.today())) {
            return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
          }
          List<UnitRefusal> refusals = new ArrayList<>(outlasting(session, unit, day));
          if (day.isBefore(unit.inServiceOn())) {
            refusals.add(new UnitRefusal.LeavesTooSoon(day, unit.inServiceOn()));
          }
          if (!refusals.isEmpty()) {
            return new Outcome.Refused(refusals);
          }
          if (!session.fleet().retire(unit.id(), version, day)) {
            return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
          }
          audit(
              session,
              sent,
              unit.id(),
              Deed.RETIRED,
              Facts.NONE,
              Facts.of("retired_on", day).with("reason", why));
          return Outcome.done();
        });
  }

  /** Trays of a unit that would still be open once it has left. */
  private List<UnitRefusal> outlasting(Session session, Unit unit, LocalDate day) {
    boolean leavesNow = !day.isAfter(clock.today());
    return session.trays().standing().stream()
        .filter(tray -> tray.isFor(unit.id()))
        .filter(tray -> leavesNow || !tray.plannedOn().isBefore(day))
        .<UnitRefusal>map(tray -> new UnitRefusal.TrayOpen(tray.number()))
        .toList();
  }

  /** What a unit is called, the code of its class, and its first day of service. */
  public record Edit(String name, String unitClass, LocalDate inServiceOn) {}

  /** Edits a unit, unless it was changed since {@code version} was shown. */
  @Allowed.ToKeepStore
  public Outcome edit(Sent sent, String code, long version, Edit edit) {
    return once.run(sent, session -> edit(session, sent, code, version, edit));
  }

  private Outcome edit(Session session, Sent sent, String code, long version, Edit edit) {
    Unit unit = session.fleet().unitByCode(code).orElseThrow();
    if (!unit.serves(clock.today())) {
      return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
    }
    List<UnitRefusal> refusals = new ArrayList<>();
    Optional<Unit.UnitClass> unitClass =
        session.classes().byCode(edit.unitClass()).map(StoredClass::unitClass);
    if (unitClass.isEmpty()) {
      refusals.add(new UnitRefusal.UnknownClass(edit.unitClass(), List.of()));
    }
    inFuture(edit.inServiceOn()).ifPresent(refusals::add);
    if (!refusals.isEmpty()) {
      return new Outcome.Refused(refusals);
    }
    Unit.UnitClass chosen = unitClass.orElseThrow();
    if (!session
        .fleet()
        .editUnit(unit.id(), version, edit.name(), chosen.id(), edit.inServiceOn())) {
      return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
    }
    audit(
        session,
        sent,
        unit.id(),
        Deed.EDITED,
        facts(unit.name(), unit.unitClass(), unit.inServiceOn()),
        facts(edit.name(), chosen, edit.inServiceOn()));
    return Outcome.done();
  }

  private static Facts facts(String name, Unit.UnitClass unitClass, LocalDate inServiceOn) {
    return Facts.of("name", name)
        .with("class", unitClass.code())
        .with("in_service_on", inServiceOn);
  }

  private void audit(Session session, Sent sent, UnitId id, Deed deed, Facts before, Facts after) {
    session.audit().add(sent.line(clock.now(), Matter.UNIT, id, deed, before, after));
  }
}
