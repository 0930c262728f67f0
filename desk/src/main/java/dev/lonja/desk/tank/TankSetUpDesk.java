package dev.lonja.desk.tank;

import dev.lonja.core.item.BulkStand;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemBin;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.tank.NewTank;
import dev.lonja.core.tank.Tank;
import dev.lonja.core.tank.TankId;
import dev.lonja.core.tank.TankShape;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.tank.TankRepository;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Puts up tanks, changes them, and records that one was emptied and cleaned. */
@Service
@Allowed.ToKeepStore
public class TankSetUpDesk extends KeepersDesk {

  private final OnceOnly once;
  private final StoreClock clock;

  TankSetUpDesk(OnceOnly once, StoreClock clock) {
    this.once = once;
    this.clock = clock;
  }

  /** A tank as somebody wants it. */
  public record Wish(
      String name,
      String bin,
      ItemId item,
      TankShape shape,
      int safeFillPercent,
      Length dipError,
      boolean gauged) {

    private NewTank at(BinId bin) {
      return new NewTank(name, bin, item, shape, safeFillPercent, dipError, gauged);
    }
  }

  /** Puts one up; answers its number. */
  @Allowed.ToKeepStore
  public Outcome add(Sent sent, Wish wish) {
    return once.run(
        sent,
        session -> {
          List<TankRefusal> refusals = objections(session, wish, Optional.empty());
          if (!refusals.isEmpty()) {
            return new Outcome.Refused(refusals);
          }
          Item.Bin bin = session.items().binByAddress(wish.bin()).orElseThrow();
          TankId id = session.tanks().add(wish.at(bin.id()));
          setMost(session, session.tanks().byId(id).orElseThrow(), bin);
          return Outcome.done(id);
        });
  }

  /** Changes one. What it holds changes only once it is emptied and cleaned. */
  @Allowed.ToKeepStore
  public Outcome change(Sent sent, TankId id, Wish wish, long version) {
    return once.run(
        sent,
        session -> {
          Optional<Tank> tank = session.tanks().byId(id);
          if (tank.isEmpty()) {
            return Outcome.refused(new TankRefusal.NoSuchTank(id));
          }
          List<TankRefusal> refusals = objections(session, wish, tank);
          if (!refusals.isEmpty()) {
            return new Outcome.Refused(refusals);
          }
          Item.Bin bin = session.items().binByAddress(wish.bin()).orElseThrow();
          if (!session.tanks().change(id, wish.at(bin.id()), version)) {
            return Outcome.refused(new TankRefusal.ChangedMeanwhile());
          }
          Tank changed = session.tanks().byId(id).orElseThrow();
          release(session, tank.get(), changed);
          setMost(session, changed, bin);
          return Outcome.done();
        });
  }

  /** Where it stood, or of what it held, nothing is said any more. */
  private static void release(Session session, Tank before, Tank now) {
    if (!before.binId().equals(now.binId()) || !before.itemId().equals(now.itemId())) {
      session
          .keeping()
          .setBins(
              before.itemId(),
              session.keeping().bins(before.itemId()).stream()
                  .filter(its -> !its.binId().equals(before.binId()))
                  .toList());
    }
  }

  /**
   * What the bin is to hold follows from the tank, so that no more is ordered than fits. Where not
   * even two packs fit, one is put up when the other is empty, and a full one may wait elsewhere.
   */
  private static void setMost(Session session, Tank tank, Item.Bin bin) {
    Quantity safe = Quantity.of(tank.safeFill());
    Volume pack = session.items().byId(tank.itemId()).flatMap(Item::litres).orElse(Volume.ZERO);
    if (Quantity.of(pack.plus(pack)).compareTo(safe) > 0) {
      return;
    }
    List<ItemBin> bins = new ArrayList<>();
    Quantity least = Quantity.zero(safe.measure());
    for (ItemBin other : session.keeping().bins(tank.itemId())) {
      if (other.binId().equals(bin.id())) {
        least = other.least().min(safe);
      } else {
        bins.add(other);
      }
    }
    bins.add(new ItemBin(bin.id(), bin.address(), least, safe));
    session.keeping().setBins(tank.itemId(), bins);
  }

  private static List<TankRefusal> objections(Session session, Wish wish, Optional<Tank> before) {
    List<TankRefusal> refusals = new ArrayList<>();
    List<Tank> others =
        session.tanks().all().stream()
            .filter(tank -> before.filter(its -> its.id().equals(tank.id())).isEmpty())
            .toList();
    if (others.stream().anyMatch(tank -> tank.name().equalsIgnoreCase(wish.name()))) {
      refusals.add(new TankRefusal.NameTaken(wish.name()));
    }
    Optional<Item> item = session.items().byId(wish.item());
    if (item.filter(BulkStand::isBulk).isEmpty()) {
      refusals.add(new TankRefusal.NoBulkFluid());
    }
    Optional<Item.Bin> bin = session.items().binByAddress(wish.bin());
    if (bin.isEmpty()) {
      refusals.add(new TankRefusal.NoSuchBin(wish.bin()));
    }
    bin.ifPresent(there -> refusals.addAll(objections(session, there, wish, others)));
    before.ifPresent(tank -> refusals.addAll(objections(session, tank, wish, bin)));
    return refusals;
  }

  private static List<TankRefusal> objections(
      Session session, Item.Bin bin, Wish wish, List<Tank> others) {
    List<TankRefusal> refusals = new ArrayList<>();
    others.stream()
        .filter(tank -> tank.binId().equals(bin.id()))
        .map(tank -> new TankRefusal.BinTaken(bin.address(), tank))
        .forEach(refusals::add);
    session.items().byIds(session.ledger().itemsIn(bin.id())).values().stream()
        .filter(other -> !other.id().equals(wish.item()))
        .limit(1)
        .map(other -> new TankRefusal.BinHoldsOther(bin.address(), other))
        .forEach(refusals::add);
    return refusals;
  }

  private static List<TankRefusal> objections(
      Session session, Tank before, Wish wish, Optional<Item.Bin> bin) {
    List<TankRefusal> refusals = new ArrayList<>();
    boolean moves = bin.filter(there -> !there.id().equals(before.binId())).isPresent();
    Volume book = session.tanks().books().getOrDefault(before.id(), Volume.ZERO);
    if (moves && book.compareTo(Volume.ZERO) > 0) {
      refusals.add(new TankRefusal.NotEmpty(before, book));
    }
    if (!wish.item().equals(before.itemId()) && !session.tanks().isClean(before)) {
      refusals.add(new TankRefusal.NotCleaned(before));
    }
    Volume safe = wish.at(before.binId()).as(before.id(), 0).safeFill();
    if (!moves && book.compareTo(safe) > 0) {
      refusals.add(new TankRefusal.TooSmall(safe, book));
    }
    return refusals;
  }

  /** Records that a tank was emptied and cleaned, after which it may hold something else. */
  @Allowed.ToKeepStore
  public Outcome clean(Sent sent, TankId id, String note) {
    return once.run(
        sent,
        session -> {
          Optional<Tank> tank = session.tanks().byId(id);
          if (tank.isEmpty()) {
            return Outcome.refused(new TankRefusal.NoSuchTank(id));
          }
          Volume book = session.tanks().books().getOrDefault(id, Volume.ZERO);
          if (book.compareTo(Volume.ZERO) > 0) {
            return Outcome.refused(new TankRefusal.NotEmpty(tank.get(), book));
          }
          session
              .tanks()
              .clean(tank.get(), note, new TankRepository.Noted(sent.actor(), clock.now()));
          return Outcome.done();
        });
  }
}
