package dev.lonja.web.due;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.service.Occurrence;
import dev.lonja.core.service.TaskId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.store.LonjaStore;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableTransp;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/**
 * The planned services of one class as a calendar (RFC 5545), a day each, for half a year. Who
 * knows the address may read it; that is all it gives.
 */
@RestController
class CalendarFeed {

  private static final int WEEKS = 26;
  private static final MediaType CALENDAR =
      new MediaType("text", "calendar", StandardCharsets.UTF_8);

  private final LonjaStore store;
  private final StoreClock clock;

  CalendarFeed(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  @GetMapping("/feeds/{secret:[0-9a-f]{32}}.ics")
  ResponseEntity<String> feed(@PathVariable String secret) {
    Optional<String> calendar =
        store.read(
            session ->
                session
                    .classes()
                    .bySecret(secret)
                    .map(
                        unitClass ->
                            calendar(FleetPicture.load(session, clock.today()), unitClass)));
    return calendar
        .map(text -> ResponseEntity.ok().contentType(CALENDAR).body(text))
        .orElseGet(() -> ResponseEntity.status(HttpStatus.NOT_FOUND).build());
  }

  private String calendar(FleetPicture fleet, Unit.UnitClass unitClass) {
    Calendar calendar = new Calendar();
    calendar.add(new ProdId("-//Lonja//Planned services//EN"));
    calendar.add(ImmutableVersion.VERSION_2_0);
    calendar.add(ImmutableCalScale.GREGORIAN);
    LocalDate until = fleet.today().plusWeeks(WEEKS);
    for (Unit unit : fleet.units()) {
      if (unit.unitClass().equals(unitClass)) {
        addUnit(calendar, unit, fleet.planOf(unit, until).occurrences());
      }
    }
    return calendar.toString();
  }

  /** The n-th occurrence of a task keeps its identity when its day moves. */
  private void addUnit(Calendar calendar, Unit unit, Iterable<Occurrence> occurrences) {
    Map<TaskId, Integer> count = new HashMap<>();
    for (Occurrence occurrence : occurrences) {
      TaskId lead = occurrence.tasks().get(0).task().id();
      int number = count.merge(lead, 1, Integer::sum);
      VEvent event = new VEvent(occurrence.date(), unit.code() + " " + occurrence.title());
      event.add(new Uid("unit-" + unit.id() + "-task-" + lead + "-" + number + "@lonja"));
      event.replace(new DtStamp(clock.now()));
      event.add(ImmutableTransp.TRANSPARENT);
      event.add(
          new Description(
              occurrence.tasks().stream()
                  .map(task -> task.task().name())
                  .collect(Collectors.joining(", "))));
      calendar.add(event);
    }
  }
}
