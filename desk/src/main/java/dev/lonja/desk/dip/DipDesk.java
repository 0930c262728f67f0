package dev.lonja.desk.dip;

import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.Levelling;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.tank.Dip;
import dev.lonja.core.tank.DipId;
import dev.lonja.core.tank.TankId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.ledger.SignedPostings;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.tank.TankRefusal;
import dev.lonja.desk.tank.TankStand;
import dev.lonja.store.Session;
import dev.lonja.store.tank.TankRepository;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Notes dips, and closes what they differ from the book by. */
@Service
@Allowed.ToKeepStore
public class DipDesk extends KeepersDesk {

  private final OnceOnly once;
  private final StoreClock clock;
  private final SignedPostings signed;

  DipDesk(OnceOnly once, StoreClock clock, SignedPostings signed) {
    this.once = once;
    this.clock = clock;
    this.signed = signed;
  }

  /**
   * How high the fluid stood.
   *
   * @param at empty for now
   * @param temperature empty if nobody measured it
   */
  public record Reading(Optional<Instant> at, Length height, Optional<Temperature> temperature) {}

  /** Notes a dip by stick or tape. */
  @Allowed.ToKeepStore
  public Outcome dip(Sent sent, TankId tank, Reading reading) {
    return once.run(sent, session -> dip(session, sent, tank, reading));
  }

  private Outcome dip(Session session, Sent sent, TankId id, Reading reading) {
    Optional<TankStand> stand = TankStand.of(session, id, clock);
    if (stand.isEmpty()) {
      return Outcome.refused(new TankRefusal.NoSuchTank(id));
    }
    Instant at = reading.at().orElse(clock.now());
    List<TankRefusal> refusals = objections(session, stand.get(), at, reading);
    if (!refusals.isEmpty()) {
      return new Outcome.Refused(refusals);
    }
    session
        .tanks()
        .addDip(
            id,
            at,
            reading.height(),
            reading.temperature(),
            false,
            new TankRepository.Noted(sent.actor(), clock.now()));
    return Outcome.done();
  }

  private List<TankRefusal> objections(
      Session session, TankStand stand, Instant at, Reading reading) {
    List<TankRefusal> refusals = new ArrayList<>();
    if (reading.height().compareTo(stand.tank().shape().height()) > 0) {
      refusals.add(new TankRefusal.AboveTank(stand.tank(), reading.height()));
    }
    reading
        .temperature()
        .filter(Dip::isOutside)
        .map(TankRefusal.NoSuchWarmth::new)
        .ifPresent(refusals::add);
    if (at.isAfter(clock.now())) {
      refusals.add(new TankRefusal.DippedAhead(at, clock.now()));
    }
    session
        .tanks()
        .lastCleaned(stand.tank().id())
        .filter(cleaned -> !at.isAfter(cleaned))
        .map(cleaned -> new TankRefusal.CleanedSince(at, cleaned))
        .ifPresent(refusals::add);
    if (stand.dips().stream().anyMatch(dip -> dip.at().equals(at))) {
      refusals.add(new TankRefusal.DippedThen(at));
    }
    return refusals;
  }

  /** A dip counts no more, since it was read wrongly. */
  @Allowed.ToKeepStore
  public Outcome withdraw(Sent sent, TankId tank, DipId id, String why) {
    return once.run(
        sent,
        session -> {
          Optional<Dip> dip =
              TankStand.of(session, tank, clock).stream()
                  .flatMap(stand -> stand.dips().stream())
                  .filter(one -> one.id().equals(id))
                  .findFirst();
          if (dip.isEmpty()) {
            return Outcome.refused(new TankRefusal.NoSuchDip());
          }
          if (dip.get().agreed()) {
            return Outcome.refused(new TankRefusal.AgreedAlready());
          }
          session.tanks().withdraw(id, why);
          return Outcome.done();
        });
  }

  /** Closes the difference between the latest dip and the book by an adjustment. */
  @Allowed.ToKeepStore
  public Outcome agree(
      Sent sent, TankId tank, DipId id, String why, SecondPerson.Signature signature) {
    return once.run(
        sent,
        session -> {
          Optional<TankStand> stand = TankStand.of(session, tank, clock);
          Optional<Dip> latest =
              stand.flatMap(s -> s.level().lastDip()).filter(dip -> dip.id().equals(id));
          if (latest.isEmpty()) {
            return Outcome.refused(new TankRefusal.NotTheLatest());
          }
          if (latest.get().agreed()) {
            return Outcome.refused(new TankRefusal.AgreedAlready());
          }
          Outcome booked = level(session, stand.orElseThrow(), sent, why, signature);
          if (booked instanceof Outcome.Done) {
            session.tanks().agree(id, why);
          }
          return booked;
        });
  }

  /** What is in it now by the dip becomes what the book says. */
  private Outcome level(
      Session session, TankStand stand, Sent sent, String why, SecondPerson.Signature signature) {
    Quantity change = Quantity.of(stand.level().now()).minus(Quantity.of(stand.level().book()));
    if (change.isZero()) {
      return Outcome.done();
    }
    Booking booking =
        Levelling.of(
            session.ledger().stockOf(StockKey.ofNew(stand.item().id())),
            stand.tank().binId(),
            change,
            Levelling.As.ADJUSTMENT);
    return signed.write(session, stand.item().id(), booking, sent, why, signature);
  }
}
