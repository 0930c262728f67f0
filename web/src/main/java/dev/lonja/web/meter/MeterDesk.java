package dev.lonja.web.meter;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.meter.JudgedReading;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
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
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Service;

/** Takes many readings at once: typed down a list of meters, or pasted as a table. */
@Service
@Allowed.ToSeeMachines
public class MeterDesk {

  private static final int MOST_LINES = 10_000;

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public MeterDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** All meters of units in service, by unit; those that have been silent longest come first. */
  @Allowed.ToReadMeters
  public MetersView view() {
    LocalDate today = clock.today();
    FleetPicture fleet = store.read(session -> FleetPicture.load(session, today));
    List<MeterStanding> silent =
        fleet.meters().values().stream().filter(meter -> meter.isStale(today)).toList();
    List<MetersView.Row> rows = new ArrayList<>();
    silent.forEach(meter -> rows.add(row(meter, today)));
    for (Unit unit : fleet.units()) {
      fleet.metersOf(unit).stream()
          .filter(meter -> !meter.isStale(today))
          .forEach(meter -> rows.add(row(meter, today)));
    }
    return new MetersView(
        Words.count(rows.size(), "meter", "meters") + ", " + silent.size() + " silent",
        today.toString(),
        rows);
  }

  private static MetersView.Row row(MeterStanding meter, LocalDate today) {
    return new MetersView.Row(
        meter.file().meter().id(),
        meter.file().unit().code(),
        meter.file().unit().name(),
        meter.file().meter().name(),
        meter.file().meter().measure().symbol(),
        meter
            .lastAccepted()
            .map(JudgedReading::reading)
            .map(last -> last.value().display() + " on " + Words.day(last.day(), today))
            .orElse("never read"),
        meter.expectedToShow(today).display(),
        meter.isStale(today)
            ? Optional.of(State.note(meter.silentDays(today) + " days silent"))
            : Optional.empty());
  }

  /**
   * Notes what was typed down the list; empty fields are passed over.
   *
   * @param values by meter id, as typed
   * @param keepGood whether the good ones are kept though others are refused
   */
  @Allowed.ToReadMeters
  public Outcome enter(Sent sent, String day, Map<MeterId, String> values, boolean keepGood) {
    return once.run(
        sent,
        session -> {
          Map<MeterId, MeterStanding> meters = FleetPicture.load(session, clock.today()).meters();
          ReadingBatch batch = new ReadingBatch(session, clock.today());
          new TreeMap<>(values)
              .forEach(
                  (id, value) -> {
                    MeterStanding meter = meters.get(id);
                    if (meter != null && !value.isBlank()) {
                      batch.add(MeterEntry.field(id), label(meter), meter, value, day);
                    }
                  });
          return finish(session, sent, batch, keepGood);
        });
  }

  private static String label(MeterStanding meter) {
    return meter.file().unit().code() + " " + meter.file().meter().name();
  }

  /**
   * Notes a pasted table: unit, meter where there are several, value and, unless it was today, day;
   * a line each, cells set apart by tabs, semicolons or commas.
   */
  @Allowed.ToReadMeters
  public Outcome paste(Sent sent, String table, boolean keepGood) {
    return once.run(
        sent,
        session -> {
          List<String> lines = table.lines().toList();
          if (lines.size() > MOST_LINES) {
            return Outcome.refused(
                new Problem(
                    "table",
                    "The table has " + lines.size() + " lines; allowed are " + MOST_LINES + "."));
          }
          ReadingBatch batch = new ReadingBatch(session, clock.today());
          PastedReadings pasted =
              new PastedReadings(FleetPicture.load(session, clock.today()), batch);
          for (int i = 0; i < lines.size(); i++) {
            pasted.line(i + 1, lines.get(i));
          }
          return finish(session, sent, batch, keepGood);
        });
  }

  private Outcome finish(Session session, Sent sent, ReadingBatch batch, boolean keepGood) {
    List<ReadingBatch.Good> good = batch.judge();
    if (!batch.problems().isEmpty() && !keepGood) {
      return new Outcome.Refused(batch.problems());
    }
    if (good.isEmpty()) {
      return Outcome.refused(Problem.ofWhole("There is no reading to note."));
    }
    for (ReadingBatch.Good reading : good) {
      session
          .readings()
          .add(
              reading.meterId(),
              reading.reading(),
              ReadingRepository.Source.ENTERED,
              sent.actor(),
              clock.now());
    }
    return new Outcome.Done("/fleet/meters?noted=" + good.size());
  }
}
