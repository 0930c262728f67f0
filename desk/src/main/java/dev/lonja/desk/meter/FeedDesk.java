package dev.lonja.desk.meter;

import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.meter.NewReading;
import dev.lonja.core.meter.ReadingLog;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.fleet.ReadingRepository;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
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

  /** How many reports were taken, how many of them are flagged, how many are of no known meter. */
  public record Taken(long taken, long flagged, long unknown) {

    private static final String SEPARATOR = "/";

    /** As {@link #toString} writes it. */
    public static Taken of(String text) {
      String[] parts = text.split(SEPARATOR);
      return new Taken(
          Long.parseLong(parts[0]), Long.parseLong(parts[1]), Long.parseLong(parts[2]));
    }

    @Override
    public String toString() {
      return taken + SEPARATOR + flagged + SEPARATOR + unknown;
    }
  }

  /** No machine has reported anything new. */
  public record NothingReported() implements Refusal {}

  public int waiting() {
    return feed.waiting().size();
  }

  /**
   * Stores every waiting report of a meter that is on file, then lets go of them; answers {@link
   * Taken}.
   */
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
      return Outcome.refused(new NothingReported());
    }
    Map<MeterId, Set<Long>> added = new HashMap<>();
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    for (MeterFeed.Report report : reports) {
      meter(fleet, report)
          .ifPresent(
              meter ->
                  added
                      .computeIfAbsent(meter.file().meter().id(), id -> new HashSet<>())
                      .add(add(session, meter, report)));
    }
    long taken = added.values().stream().mapToLong(Set::size).sum();
    long flagged =
        added.entrySet().stream()
            .mapToLong(entry -> flagged(session, entry.getKey(), entry.getValue()))
            .sum();
    return Outcome.done(new Taken(taken, flagged, reports.size() - taken));
  }

  private static Optional<MeterStanding> meter(FleetPicture fleet, MeterFeed.Report report) {
    return fleet.meters().values().stream()
        .filter(meter -> meter.file().unit().code().equals(report.unitCode()))
        .filter(meter -> meter.file().meter().name().equals(report.meter()))
        .findFirst();
  }

  private long add(Session session, MeterStanding meter, MeterFeed.Report report) {
    MeterValue shown = MeterValue.of(report.value(), meter.file().meter().measure());
    return session
        .readings()
        .add(
            meter.file().meter().id(),
            new NewReading(clock.dayOf(report.at()), Optional.of(report.at()), shown),
            ReadingRepository.Source.FEED,
            ACTOR,
            clock.now());
  }

  private static long flagged(Session session, MeterId meterId, Set<Long> added) {
    return ReadingLog.judge(session.readings().of(meterId)).readings().stream()
        .filter(judged -> added.contains(judged.reading().id()) && !judged.accepted())
        .count();
  }
}
