package dev.lonja.web.due;

import dev.lonja.core.service.TaskId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.service.DueDesk;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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

  private static final MediaType CALENDAR =
      new MediaType("text", "calendar", StandardCharsets.UTF_8);

  private final DueDesk desk;
  private final StoreClock clock;

  CalendarFeed(DueDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  @GetMapping("/feeds/{secret:[0-9a-f]{32}}.ics")
  ResponseEntity<String> feed(@PathVariable String secret) {
    return desk.feed(secret)
        .map(planned -> ResponseEntity.ok().contentType(CALENDAR).body(calendar(planned)))
        .orElseGet(() -> ResponseEntity.status(HttpStatus.NOT_FOUND).build());
  }

  /** The n-th occurrence of a task keeps its identity when its day moves. */
  private String calendar(List<DueDesk.Planned> planned) {
    Calendar calendar = new Calendar();
    calendar.add(new ProdId("-//Lonja//Planned services//EN"));
    calendar.add(ImmutableVersion.VERSION_2_0);
    calendar.add(ImmutableCalScale.GREGORIAN);
    Map<String, Integer> count = new HashMap<>();
    for (DueDesk.Planned next : planned) {
      TaskId lead = next.occurrence().tasks().get(0).task().id();
      String identity = "unit-" + next.unit().id() + "-task-" + lead;
      int number = count.merge(identity, 1, Integer::sum);
      calendar.add(event(next, identity + "-" + number + "@lonja"));
    }
    return calendar.toString();
  }

  private VEvent event(DueDesk.Planned planned, String identity) {
    VEvent event =
        new VEvent(
            planned.occurrence().date(),
            planned.unit().code() + " " + planned.occurrence().title());
    event.add(new Uid(identity));
    event.replace(new DtStamp(clock.now()));
    event.add(ImmutableTransp.TRANSPARENT);
    event.add(
        new Description(
            planned.occurrence().tasks().stream()
                .map(task -> task.task().name())
                .collect(Collectors.joining(", "))));
    return event;
  }
}
