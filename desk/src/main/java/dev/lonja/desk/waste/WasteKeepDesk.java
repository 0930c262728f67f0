package dev.lonja.desk.waste;

import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.waste.ContainerId;
import dev.lonja.core.waste.ContainerStand;
import dev.lonja.core.waste.NewWasteEntry;
import dev.lonja.core.waste.StreamId;
import dev.lonja.core.waste.WasteCollection;
import dev.lonja.core.waste.WasteContainer;
import dev.lonja.core.waste.WasteEntryId;
import dev.lonja.core.waste.WasteKind;
import dev.lonja.core.waste.WasteStream;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import org.springframework.stereotype.Service;

/** Puts waste into its container, notes who fetched it, and sets the containers up. */
@Service
@Allowed.ToKeepStore
public class WasteKeepDesk extends KeepersDesk {

  private final OnceOnly once;
  private final StoreClock clock;

  WasteKeepDesk(OnceOnly once, StoreClock clock) {
    this.once = once;
    this.clock = clock;
  }

  /**
   * Something to be put in.
   *
   * @param kind what it is
   * @param amount in the measure of the container's stream
   * @param from where it comes from; may be empty
   */
  public record Waste(WasteKind kind, BigDecimal amount, String from) {}

  /** Puts something into a container. */
  @Allowed.ToKeepStore
  public Outcome put(Sent sent, ContainerId id, Waste waste) {
    return once.run(
        sent,
        session ->
            into(
                session,
                id,
                (stand, quantity) -> put(session, sent, stand, waste, quantity, Optional.empty()),
                waste.amount()));
  }

  /** Puts into a container what came back of a job. */
  @Allowed.ToKeepStore
  public Outcome putOfJob(Sent sent, ContainerId id, TrayId tray, Waste waste) {
    return once.run(
        sent,
        session -> {
          Optional<CameBack> open =
              CameBack.open(session, clock).stream()
                  .filter(one -> one.tray().equals(tray) && one.kind() == waste.kind())
                  .findFirst();
          if (open.isEmpty()) {
            return Outcome.refused(new WasteRefusal.InAlready(waste.kind()));
          }
          return into(
              session,
              id,
              (stand, quantity) -> put(session, sent, stand, waste, quantity, Optional.of(tray)),
              waste.amount());
        });
  }

  private Outcome into(
      Session session,
      ContainerId id,
      BiFunction<ContainerStand, Quantity, Outcome> work,
      BigDecimal amount) {
    return WasteDesk.stands(session, clock).stream()
        .filter(stand -> stand.container().id().equals(id))
        .findFirst()
        .map(
            stand -> work.apply(stand, Quantity.of(stand.container().capacity().measure(), amount)))
        .orElseGet(() -> Outcome.refused(new WasteRefusal.NoSuchContainer(id)));
  }

  private Outcome put(
      Session session,
      Sent sent,
      ContainerStand stand,
      Waste waste,
      Quantity quantity,
      Optional<TrayId> tray) {
    WasteContainer container = stand.container();
    Optional<WasteKind> other = container.stream().refuses(waste.kind());
    if (other.isPresent()) {
      return Outcome.refused(new WasteRefusal.NeverMixed(container, other.get()));
    }
    Quantity room = container.capacity().minus(stand.contents()).atLeastZero();
    if (quantity.compareTo(room) > 0) {
      return Outcome.refused(new WasteRefusal.NoRoom(container, room, quantity));
    }
    session
        .waste()
        .put(
            container.id(),
            new NewWasteEntry(clock.now(), quantity, tray, waste.from(), sent.actor()),
            clock.now());
    return Outcome.done();
  }

  /** Takes an entry back that was noted wrongly; what was fetched since stays as it was. */
  @Allowed.ToKeepStore
  public Outcome withdraw(Sent sent, ContainerId id, WasteEntryId entry, String why) {
    return once.run(
        sent,
        session -> {
          var last =
              session.waste().collections().getOrDefault(id, List.of()).stream()
                  .map(WasteCollection::at)
                  .max(Comparator.naturalOrder());
          boolean counts =
              session.waste().entries(WasteDesk.lately(clock)).getOrDefault(id, List.of()).stream()
                  .filter(one -> last.filter(at -> !one.at().isAfter(at)).isEmpty())
                  .anyMatch(one -> one.id().equals(entry));
          if (!counts) {
            return Outcome.refused(new WasteRefusal.NoSuchEntry());
          }
          session.waste().withdraw(entry, why);
          return Outcome.done();
        });
  }

  /**
   * What a collector took.
   *
   * @param taken by the collector's measure
   * @param left what stayed in it
   */
  public record Fetched(BigDecimal taken, BigDecimal left, String carrier, String document) {}

  /** Notes that a container was fetched or emptied. */
  @Allowed.ToKeepStore
  public Outcome collect(Sent sent, ContainerId id, Fetched fetched) {
    return once.run(
        sent,
        session ->
            into(
                session,
                id,
                (stand, taken) -> collect(session, sent, stand, taken, fetched),
                fetched.taken()));
  }

  private Outcome collect(
      Session session, Sent sent, ContainerStand stand, Quantity taken, Fetched fetched) {
    WasteContainer container = stand.container();
    Quantity left = Quantity.of(taken.measure(), fetched.left());
    if (taken.plus(left).compareTo(container.capacity()) > 0) {
      return Outcome.refused(new WasteRefusal.MoreThanFits(container, taken.plus(left)));
    }
    session
        .waste()
        .collect(
            container.id(),
            new WasteCollection(
                clock.now(), taken, left, fetched.carrier(), fetched.document(), sent.actor()),
            clock.now());
    return Outcome.done();
  }

  /** A stream as somebody wants it. */
  public record NewStream(
      WasteKind kind, String name, String code, Measure measure, Optional<Integer> limitDays) {}

  /** Sets up a stream. */
  @Allowed.ToKeepStore
  public Outcome addStream(Sent sent, NewStream wish) {
    return once.run(
        sent,
        session -> {
          List<WasteRefusal> refusals = new ArrayList<>();
          for (WasteStream stream : session.waste().streams()) {
            if (stream.kind() == wish.kind()) {
              refusals.add(new WasteRefusal.KindTaken(wish.kind()));
            }
            if (stream.name().equalsIgnoreCase(wish.name())) {
              refusals.add(new WasteRefusal.NameTaken(wish.name()));
            }
          }
          if (!refusals.isEmpty()) {
            return new Outcome.Refused(refusals);
          }
          session
              .waste()
              .addStream(wish.kind(), wish.name(), wish.code(), wish.measure(), wish.limitDays());
          return Outcome.done();
        });
  }

  /** A container as somebody wants it; the capacity in its stream's measure. */
  public record NewContainer(
      StreamId stream, String name, BigDecimal capacity, String place, int leadDays) {}

  /** Sets up a container; answers its number. */
  @Allowed.ToKeepStore
  public Outcome addContainer(Sent sent, NewContainer wish) {
    return once.run(
        sent,
        session -> {
          Optional<WasteStream> stream =
              session.waste().streams().stream()
                  .filter(one -> one.id().equals(wish.stream()))
                  .findFirst();
          if (stream.isEmpty()) {
            return Outcome.refused(new WasteRefusal.NoSuchStream());
          }
          boolean taken =
              session.waste().containers().stream()
                  .anyMatch(one -> one.name().equalsIgnoreCase(wish.name()));
          if (taken) {
            return Outcome.refused(new WasteRefusal.NameTaken(wish.name()));
          }
          return Outcome.done(
              session
                  .waste()
                  .addContainer(
                      wish.stream(),
                      wish.name(),
                      Quantity.of(stream.get().measure(), wish.capacity()),
                      wish.place(),
                      wish.leadDays()));
        });
  }
}
