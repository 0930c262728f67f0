package dev.lonja.desk.place;

import dev.lonja.core.item.Item;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.BinWalk;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.RequestRefusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Arranges bins: the order in which they are walked, and how they are called. */
@Service
@Allowed.ToKeepStore
public class ArrangeDesk extends KeepersDesk {

  private final LonjaStore store;
  private final OnceOnly once;
  private final StoreClock clock;

  ArrangeDesk(LonjaStore store, OnceOnly once, StoreClock clock) {
    this.store = store;
    this.once = once;
    this.clock = clock;
  }

  /**
   * All bins as they stand.
   *
   * @param walk in walking order
   * @param used which may not be taken down
   */
  public record Arrangement(List<Item.Bin> walk, Set<BinId> used) {

    /** Tells whether somebody else arranged them meanwhile. */
    public String stamp() {
      return Integer.toHexString(
          walk.stream().map(bin -> bin.id() + "=" + bin.address()).toList().hashCode());
    }
  }

  public Arrangement arrangement() {
    return store.read(ArrangeDesk::arrangement);
  }

  private static Arrangement arrangement(Session session) {
    return new Arrangement(session.items().bins(), session.bins().used());
  }

  /**
   * What becomes of a bin.
   *
   * @param at its place on the walk, from 1
   * @param isTakenDown true if there is to be none any more
   */
  public record Wanted(BinId bin, String address, int at, boolean isTakenDown) {}

  /**
   * Arranges all bins.
   *
   * @param stamp of the arrangement as it was shown
   */
  @Allowed.ToKeepStore
  public Outcome arrange(Sent sent, String stamp, List<Wanted> wanted) {
    return once.run(
        sent,
        session -> {
          Arrangement before = arrangement(session);
          if (!before.stamp().equals(stamp)) {
            return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
          }
          List<ArrangeRefusal> refusals = refusals(before, wanted);
          if (!refusals.isEmpty()) {
            return new Outcome.Refused(refusals);
          }
          arrange(session, sent, before, wanted);
          return Outcome.done();
        });
  }

  private static List<ArrangeRefusal> refusals(Arrangement before, List<Wanted> wanted) {
    Set<BinId> named = wanted.stream().map(Wanted::bin).collect(Collectors.toSet());
    Set<BinId> there = before.walk().stream().map(Item.Bin::id).collect(Collectors.toSet());
    if (named.size() != wanted.size() || !named.equals(there)) {
      return List.of(new ArrangeRefusal.OtherBins());
    }
    List<ArrangeRefusal> refusals = new ArrayList<>();
    Set<String> taken = new HashSet<>();
    for (Wanted one : wanted) {
      if (one.isTakenDown()) {
        if (before.used().contains(one.bin())) {
          refusals.add(new ArrangeRefusal.Used(one.bin(), one.address()));
        }
      } else if (!isAddress(one.address())) {
        refusals.add(new ArrangeRefusal.BadAddress(one.bin(), one.address(), Lengths.ADDRESS));
      } else if (!taken.add(one.address())) {
        refusals.add(new ArrangeRefusal.SameAddress(one.bin(), one.address()));
      }
    }
    return refusals;
  }

  /** A list of addresses is written with a blank between two. */
  private static boolean isAddress(String text) {
    return !text.isEmpty()
        && text.length() <= Lengths.ADDRESS
        && text.chars().noneMatch(Character::isWhitespace);
  }

  private void arrange(Session session, Sent sent, Arrangement before, List<Wanted> wanted) {
    Map<BinId, Item.Bin> bins = new LinkedHashMap<>();
    before.walk().forEach(bin -> bins.put(bin.id(), bin));
    List<BinId> walk = List.copyOf(bins.keySet());
    Set<BinId> down = new HashSet<>();
    Map<BinId, String> renamed = new HashMap<>();
    List<BinWalk.Placed> placed = new ArrayList<>();
    for (Wanted one : wanted) {
      String was = bins.get(one.bin()).address();
      if (one.isTakenDown()) {
        down.add(one.bin());
        audit(session, sent, was, Deed.DELETED, Facts.NONE, Facts.NONE);
        continue;
      }
      placed.add(new BinWalk.Placed(one.bin(), walk.indexOf(one.bin()) + 1, one.at()));
      if (!was.equals(one.address())) {
        renamed.put(one.bin(), one.address());
        audit(
            session,
            sent,
            one.address(),
            Deed.EDITED,
            Facts.of("address", was),
            Facts.of("address", one.address()));
      }
    }
    session.bins().takeDown(down);
    session.bins().rename(renamed);
    List<BinId> order = BinWalk.of(placed);
    if (!order.equals(walk)) {
      session.bins().walk(order);
      audit(
          session,
          sent,
          "walk",
          Deed.EDITED,
          Facts.of("walk", addresses(before.walk())),
          Facts.of("walk", addresses(session.items().bins())));
    }
  }

  private static String addresses(List<Item.Bin> bins) {
    return bins.stream().map(Item.Bin::address).collect(Collectors.joining(" "));
  }

  private void audit(
      Session session, Sent sent, String subject, Deed deed, Facts before, Facts after) {
    session.audit().add(sent.line(clock.now(), Matter.BIN, subject, deed, before, after));
  }
}
