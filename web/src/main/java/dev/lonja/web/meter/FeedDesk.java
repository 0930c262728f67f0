package dev.lonja.web.meter;

import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.meter.Reading;
import dev.lonja.core.meter.ReadingLog;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.meter.MeterFeed;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.fleet.ReadingRepository;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/**
 * Takes in what machines reported themselves. All of it is kept; what does not fit is flagged like
 * any reading, for a person to look at.
 */
@Service
@Allowed.ToReadMeters
public class FeedDesk {

  private static final String ACTOR = "telematics";

  private final OnceOnly once;
  private final StoreClock clock;
  private final MeterFeed feed;

  public FeedDesk(OnceOnly once, StoreClock clock, MeterFeed feed) {
    this.once = once;
    this.clock = clock;
    this.feed = feed;
  }

  int waiting() {
    return feed.waiting().size();
  }

  /** Stores every waiting report of a meter that is on file, then lets go of them. */
  @Allowed.ToReadMeters
  public Outcome takeIn(Sent sent) {
    List<MeterFeed.Report> reports = feed.waiting();
    Outcome outcome = once.run(sent, session -> takeIn(session, reports));
    if (outcome instanceof Outcome.Done) {
      feed.acknowledge(reports);
    }
    return outcome;
  }

  private Outcome takeIn(Session session, List<MeterFeed.Report> reports) {
    if (reports.isEmpty()) {
      return Outcome.refused(Problem.ofWhole("No machine has reported anything new."));
    }
    Map<MeterId, List<Reading>> byMeter = new HashMap<>();
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    for (MeterFeed.Report report : reports) {
      meter(fleet, report).ifPresent(meter -> add(session, byMeter, meter, report));
    }
    long taken = byMeter.values().stream().mapToLong(List::size).sum();
    long flagged =
        byMeter.entrySet().stream()
            .mapToLong(entry -> flagged(session, entry.getKey(), entry.getValue()))
            .sum();
    return new Outcome.Done(
        "/fleet/meters?noted="
            + taken
            + "&flagged="
            + flagged
            + "&unknown="
            + (reports.size() - taken));
  }

  private static Optional<MeterStanding> meter(FleetPicture fleet, MeterFeed.Report report) {
    return fleet.meters().values().stream()
        .filter(meter -> meter.file().unit().code().equals(report.unitCode()))
        .filter(meter -> meter.file().meter().name().equals(report.meter()))
        .findFirst();
  }

  private void add(
      Session session,
      Map<MeterId, List<Reading>> byMeter,
      MeterStanding meter,
      MeterFeed.Report report) {
    MeterId meterId = meter.file().meter().id();
    MeterValue shown = MeterValue.of(report.value(), meter.file().meter().measure());
    Reading reading = new Reading(0, clock.dayOf(report.at()), Optional.of(report.at()), shown);
    long id =
        session.readings().add(meterId, reading, ReadingRepository.Source.FEED, ACTOR, clock.now());
    byMeter
        .computeIfAbsent(meterId, key -> new ArrayList<>())
        .add(new Reading(id, reading.day(), reading.at(), shown));
  }

  private static long flagged(Session session, MeterId meterId, List<Reading> added) {
    ReadingLog log = ReadingLog.judge(session.readings().of(meterId));
    Set<Long> ids = added.stream().map(Reading::id).collect(Collectors.toSet());
    return log.readings().stream()
        .filter(judged -> ids.contains(judged.reading().id()) && !judged.accepted())
        .count();
  }
}
