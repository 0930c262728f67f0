package dev.lonja.desk.replay;

import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.reorder.Position;
import dev.lonja.core.replay.Course;
import dev.lonja.core.replay.Past;
import dev.lonja.core.replay.Replay;
import dev.lonja.core.replay.Span;
import dev.lonja.desk.fleet.PastFleet;
import dev.lonja.desk.forecast.PastForecast;
import dev.lonja.desk.reorder.Proposal;
import dev.lonja.desk.reorder.Proposals;
import dev.lonja.desk.supplier.ItemPrices;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.order.OrderRepository.Came;
import dev.lonja.store.order.OrderRepository.Source;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Currency;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** One replay of all things of the store, week by week. */
final class ReplayRun {

  /** Fewer than for a forecast of today, since they are drawn anew for every week. */
  private static final int TRIALS = 250;

  /** As far as the longest lead time and cover that are asked for reach. */
  private static final int WEEKS = 26;

  private static final int DAYS = 7;
  private static final int WHOLE = 100;

  private final LonjaStore store;
  private final Replayed.Asked asked;
  private final Span span;
  private final LocalDate today;
  private final Map<Proposals.Manner, Money> freights = new HashMap<>();
  private volatile boolean cancelled;
  private volatile int percent;

  ReplayRun(LonjaStore store, Replayed.Asked asked, LocalDate today) {
    this.store = store;
    this.asked = asked;
    this.span = asked.span();
    this.today = today;
  }

  void cancel() {
    cancelled = true;
  }

  int percent() {
    return percent;
  }

  /**
   * What is known before the first step.
   *
   * @param subjects by the first of their items
   * @param lowest price of one, by the same
   * @param freight of the orders that were really sent within the span
   */
  private record Known(
      PastFleet fleet,
      List<Item> items,
      Map<ItemId, Subject> subjects,
      Map<ItemId, UnitPrice> lowest,
      StorePast past,
      Proposals.Known buying,
      List<Came> came,
      Currency currency,
      Money freight) {}

  /** A thing on its way through the span. */
  private record Thing(ItemId key, Past past, Map<Proposals.Manner, Replay> replays) {

    static Thing of(ItemId key, Past past, Replayed.Asked asked) {
      Map<Proposals.Manner, Replay> replays = new LinkedHashMap<>();
      asked.manners().forEach(manner -> replays.put(manner, new Replay(asked.span(), past)));
      return new Thing(key, past, replays);
    }
  }

  private Known load(Session session) {
    List<Item> items = session.items().all();
    Map<ItemId, Subject> subjects = byKey(nothing(items));
    Map<ItemId, UnitPrice> prices = ItemPrices.of(session, items.stream().map(Item::id).toList());
    Map<ItemId, UnitPrice> lowest = new HashMap<>();
    subjects.forEach(
        (key, subject) ->
            subject.items().stream()
                .map(item -> prices.get(item.id()))
                .filter(price -> price != null)
                .min(Comparator.comparing(UnitPrice::tenThousandthsOfMinor))
                .ifPresent(price -> lowest.put(key, price)));
    return new Known(
        PastFleet.load(session, today),
        items,
        subjects,
        lowest,
        new StorePast(
            span, session.past().movements(), session.past().shortLines(span.last().plusDays(1))),
        Proposals.Known.load(session),
        session.orders().came(),
        session.settings().currency(),
        freight(session));
  }

  private Money freight(Session session) {
    Currency currency = session.settings().currency();
    return session.orders().since(LocalDate.EPOCH).stream()
        .filter(order -> order.sentOn().filter(span::holds).isPresent())
        .map(order -> order.freight(currency))
        .reduce(Money.zero(currency), Money::plus);
  }

  private List<Subject> nothing(List<Item> items) {
    return Subject.all(items, new Subject.There(Map.of(), Map.of()), List.of(), span.first());
  }

  private static Map<ItemId, Subject> byKey(List<Subject> subjects) {
    return subjects.stream()
        .collect(Collectors.toMap(subject -> subject.items().get(0).id(), subject -> subject));
  }

  /** What it came to; empty if it was broken off. */
  Optional<Replayed> result() {
    Known known = store.read(this::load);
    List<Thing> things = new ArrayList<>();
    List<Item> leftOut = new ArrayList<>();
    known
        .subjects()
        .forEach(
            (key, subject) -> {
              if (known.lowest().containsKey(key)) {
                Past past = known.past().of(subject, known.lowest().get(key));
                if (past.saysEnough()) {
                  things.add(Thing.of(key, past, asked));
                } else if (!past.asked().isEmpty() || !past.came().isEmpty()) {
                  leftOut.add(subject.items().get(0));
                }
              }
            });
    long weeks = ChronoUnit.DAYS.between(span.first(), span.last()) / DAYS + 1;
    LocalDate week = span.first();
    for (int done = 0; !week.isAfter(span.last()) && !cancelled; done++) {
      step(known, things, week);
      percent = (int) (WHOLE * (done + 1) / (weeks + 1));
      week = week.plusDays(DAYS).with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }
    return cancelled ? Optional.empty() : Optional.of(replayed(known, things, leftOut));
  }

  private void step(Known known, List<Thing> things, LocalDate week) {
    if (week.getDayOfWeek() != DayOfWeek.MONDAY) {
      things.stream()
          .flatMap(thing -> thing.replays().values().stream())
          .forEach(replay -> replay.week(Optional.empty()));
      return;
    }
    PastForecast forecast =
        store.read(
            session -> PastForecast.of(session, known.fleet(), known.items(), week, TRIALS, WEEKS));
    Map<ItemId, Subject> subjects = byKey(forecast.subjects());
    Proposals.Known buying = known.buying().learning(leadDays(known, week));
    MondayOrders orders = new MondayOrders(week, known.currency(), known.lowest(), known.came());
    for (Proposals.Manner manner : asked.manners()) {
      Proposals proposals = new Proposals(forecast.bands(), buying, manner);
      List<Proposal> all =
          things.parallelStream()
              .takeWhile(thing -> !cancelled)
              .flatMap(
                  thing -> {
                    Position now = thing.replays().get(manner).position();
                    Subject subject = subjects.get(thing.key());
                    return proposals.of(subject.having(now.free(), now.coming())).stream();
                  })
              .toList();
      MondayOrders.Placed placed = orders.of(all);
      freights.merge(manner, placed.freight(), Money::plus);
      things.forEach(
          thing ->
              thing
                  .replays()
                  .get(manner)
                  .week(Optional.ofNullable(placed.lines().get(thing.key()))));
    }
  }

  /** What had been learned by a day. */
  private static Map<Source, List<Integer>> leadDays(Known known, LocalDate day) {
    return known.came().stream()
        .filter(came -> !came.cameOn().isAfter(day))
        .collect(
            Collectors.groupingBy(
                Came::source, Collectors.mapping(Came::days, Collectors.toList())));
  }

  private Replayed replayed(Known known, List<Thing> things, List<Item> leftOut) {
    List<Replayed.Thing> all =
        things.stream()
            .map(
                thing -> {
                  Subject subject = known.subjects().get(thing.key());
                  UnitPrice lowest = known.lowest().get(thing.key());
                  return new Replayed.Thing(
                      subject.items().get(0),
                      Replay.asItHappened(
                          span, thing.past(), known.past().received(subject, lowest)),
                      thing.replays().get(asked.manner()).course());
                })
            .sorted(Comparator.comparing(thing -> thing.item().number()))
            .toList();
    return new Replayed(
        asked,
        all,
        new Replayed.Freights(
            known.freight(), freights.getOrDefault(asked.manner(), Money.zero(known.currency()))),
        leftOut.stream().sorted(Comparator.comparing(Item::number)).toList(),
        asked.manners().stream()
            .skip(1)
            .map(manner -> new Replayed.Other(manner, courses(things, manner)))
            .toList());
  }

  private static Map<ItemId, Course> courses(List<Thing> things, Proposals.Manner manner) {
    Map<ItemId, Course> courses = new HashMap<>();
    things.forEach(thing -> courses.put(thing.key(), thing.replays().get(manner).course()));
    return courses;
  }
}
