package dev.lonja.web.unit;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.forecast.UnitPlan;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.meter.Reading;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.service.Due;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.fleet.ReadingRepository;
import dev.lonja.web.due.DueRuler;
import dev.lonja.web.due.DueWording;
import dev.lonja.web.due.UnitRuler;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import dev.lonja.web.meter.MeterEntry;
import dev.lonja.web.request.Typed;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Answers what each machine is and when it is due, and takes meter readings. */
@Service
@Allowed.ToSeeMachines
public class FleetDesk {

  private static final int MOST_EVENTS = 60;

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  /**
   * A reading as typed.
   *
   * @param keepFlagged whether the person wants it kept even if it is set aside
   */
  public record ReadingForm(MeterId meterId, String value, String day, boolean keepFlagged) {}

  public FleetDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** All units, the next due first. */
  public FleetView all() {
    LocalDate today = clock.today();
    FleetPicture fleet = store.read(session -> FleetPicture.load(session, today));
    List<FleetView.Row> rows =
        fleet.plans(fleet.horizon()).stream()
            .sorted(Comparator.comparing(FleetDesk::firstDay).thenComparing(UnitPlan::unitCode))
            .map(plan -> row(fleet, plan))
            .toList();
    long overdue = rows.stream().filter(row -> row.state().style().equals("short")).count();
    return new FleetView(
        Words.count(rows.size(), "unit", "units") + ", " + overdue + " overdue",
        DueRuler.scale(today, UnitRuler.WEEKS),
        rows);
  }

  private static LocalDate firstDay(UnitPlan plan) {
    return plan.occurrences().isEmpty() ? LocalDate.MAX : plan.occurrences().get(0).date();
  }

  private FleetView.Row row(FleetPicture fleet, UnitPlan plan) {
    Unit unit =
        fleet.units().stream().filter(u -> u.id().equals(plan.unitId())).findFirst().orElseThrow();
    LocalDate today = fleet.today();
    String meters =
        fleet.metersOf(unit).stream()
            .map(meter -> meter.expectedToShow(today).display())
            .collect(Collectors.joining(", "));
    String next =
        plan.occurrences().isEmpty() ? "nothing planned" : plan.occurrences().get(0).title();
    Optional<Due> first = plan.occurrences().stream().findFirst().map(UnitRuler::leading);
    return new FleetView.Row(
        unit.code(),
        unit.name(),
        unit.variant().display(),
        meters,
        UnitRuler.draw(unit.code(), plan.occurrences(), today),
        next,
        first.map(due -> DueWording.state(due, today)).orElse(State.open("nothing planned")));
  }

  /** True for a unit in service, as its code is written. */
  boolean hasUnit(String code) {
    return store.read(
        session ->
            session
                .fleet()
                .unitByCode(code)
                .filter(unit -> unit.code().equals(code) && unit.retiredOn().isEmpty())
                .isPresent());
  }

  /** The page of a unit in service; empty for any other code. */
  public Optional<UnitView> unit(String code) {
    return store.read(
        session ->
            session
                .fleet()
                .unitByCode(code)
                .filter(unit -> unit.retiredOn().isEmpty())
                .map(unit -> new UnitPage(session, unit, clock.today()).view()));
  }

  /** What is kept of a unit that has left the fleet; empty for any other code. */
  Optional<UnitView.Retired> retired(String code) {
    return store.read(
        session ->
            session
                .fleet()
                .unitByCode(code)
                .filter(unit -> unit.retiredOn().isPresent())
                .map(unit -> retired(session, unit)));
  }

  private UnitView.Retired retired(Session session, Unit unit) {
    LocalDate today = clock.today();
    return new UnitView.Retired(
        unit.code(),
        unit.name(),
        unit.variant().display(),
        "In service since "
            + Words.day(unit.inServiceOn(), today)
            + ". Retired on "
            + Words.day(unit.retiredOn().orElseThrow(), today)
            + ".",
        session.audit().latest("unit", unit.id().value(), MOST_EVENTS).stream()
            .map(
                line ->
                    new UnitView.Event(
                        Words.day(clock.dayOf(line.at()), today),
                        line.action(),
                        line.after(),
                        line.actor()))
            .toList());
  }

  /** Notes a reading. One that would be set aside is refused unless the person wants it kept. */
  @Allowed.ToReadMeters
  public Outcome addReading(Sent sent, String unitCode, ReadingForm form) {
    return once.run(sent, session -> addReading(session, sent, unitCode, form));
  }

  private Outcome addReading(Session session, Sent sent, String unitCode, ReadingForm form) {
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    Optional<MeterStanding> meter = Optional.ofNullable(fleet.meters().get(form.meterId()));
    if (meter.filter(m -> m.file().unit().code().equals(unitCode)).isEmpty()) {
      return Outcome.refused(Problem.ofWhole(unitCode + " has no such meter."));
    }
    Typed typed = new Typed();
    Optional<MeterValue> value =
        MeterEntry.value(
            typed, "value", "The reading", form.value(), meter.get().file().meter().measure());
    Optional<LocalDate> day = typed.dayUpTo("day", form.day(), clock.today());
    if (!typed.problems().isEmpty()) {
      return new Outcome.Refused(typed.problems());
    }
    Reading reading =
        new Reading(Long.MAX_VALUE, day.orElseThrow(), Optional.empty(), value.orElseThrow());
    List<String> objections =
        MeterEntry.objections(FleetPicture.judged(session, meter.get()), reading);
    if (!objections.isEmpty() && !form.keepFlagged()) {
      return new Outcome.Refused(
          objections.stream().map(text -> new Problem("value", text)).toList());
    }
    session
        .readings()
        .add(form.meterId(), reading, ReadingRepository.Source.ENTERED, sent.actor(), clock.now());
    return new Outcome.Done("/fleet/" + unitCode);
  }
}
