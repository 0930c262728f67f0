package dev.lonja.desk.meter;

import dev.lonja.core.meter.JudgedMeter;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.meter.NewReading;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.fleet.ReadingRepository;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Takes readings, one or many at once. */
@Service
@Allowed.ToReadMeters
public class MeterDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public MeterDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** Refuses whoever may not read meters, before anything they typed is read. */
  @Allowed.ToReadMeters
  public void admit() {
    // the grant answers
  }

  /** A reading of one of many meters. */
  public record Entry(MeterId meterId, LocalDate day, MeterValue value) {}

  /** One of many that is not noted; {@code entry} is its place among them. */
  public record Bad(int entry, ReadingRefusal why) implements Refusal {}

  /** Nothing was left to be noted. */
  public record NothingToNote() implements Refusal {}

  /** All meters of units in service, by unit. */
  @Allowed.ToSeeMachines
  public List<MeterStanding> meters() {
    FleetPicture fleet = store.read(session -> FleetPicture.load(session, clock.today()));
    return fleet.units().stream().flatMap(unit -> fleet.metersOf(unit).stream()).toList();
  }

  /** Everything that is wrong with readings that come in together. */
  public List<Bad> check(List<Entry> entries) {
    return store.read(session -> new Batch(session, clock.today(), entries).bad());
  }

  /**
   * Notes readings that come in together; answers how many.
   *
   * @param keepGood whether the good ones are kept though others are refused
   */
  @Allowed.ToReadMeters
  public Outcome note(Sent sent, List<Entry> entries, boolean keepGood) {
    return once.run(
        sent,
        session -> {
          Batch batch = new Batch(session, clock.today(), entries);
          if (!batch.bad().isEmpty() && !keepGood) {
            return new Outcome.Refused(batch.bad());
          }
          if (batch.good().isEmpty()) {
            return Outcome.refused(new NothingToNote());
          }
          batch.good().forEach(entry -> add(session, sent, entry));
          return Outcome.done(batch.good().size());
        });
  }

  /**
   * Notes one reading of a unit's meter. One that would be set aside, or set others aside, is
   * refused unless the person wants it kept.
   */
  @Allowed.ToReadMeters
  public Outcome note(Sent sent, String unitCode, Entry entry, boolean keepFlagged) {
    return once.run(sent, session -> note(session, sent, unitCode, entry, keepFlagged));
  }

  private Outcome note(
      Session session, Sent sent, String unitCode, Entry entry, boolean keepFlagged) {
    Optional<MeterStanding> meter =
        Optional.ofNullable(FleetPicture.load(session, clock.today()).meters().get(entry.meterId()))
            .filter(m -> m.file().unit().code().equals(unitCode));
    if (meter.isEmpty()) {
      return Outcome.refused(new ReadingRefusal.UnknownMeter(entry.meterId()));
    }
    if (entry.day().isAfter(clock.today())) {
      return Outcome.refused(
          new ReadingRefusal.InFuture(entry.meterId(), entry.day(), clock.today()));
    }
    JudgedMeter.Trial trial =
        FleetPicture.judged(session, meter.get())
            .trying(new NewReading(entry.day(), Optional.empty(), entry.value()));
    if (!trial.isClean() && !keepFlagged) {
      return new Outcome.Refused(ReadingRefusal.of(entry.meterId(), trial));
    }
    add(session, sent, entry);
    return Outcome.done();
  }

  private void add(Session session, Sent sent, Entry entry) {
    session
        .readings()
        .add(
            entry.meterId(),
            new NewReading(entry.day(), Optional.empty(), entry.value()),
            ReadingRepository.Source.ENTERED,
            sent.actor(),
            clock.now());
  }
}
