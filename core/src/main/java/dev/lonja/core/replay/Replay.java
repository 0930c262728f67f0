package dev.lonja.core.replay;

import dev.lonja.core.order.Coming;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.reorder.Position;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;

/**
 * Steps through the past of one thing (rules §13). On each day comes what arrives, first for what
 * is owed; on a Monday what is ordered is decided on then; then counts and scraps act and what is
 * asked for is served, in part if need be. What is lacking is owed until the next arrival.
 */
public final class Replay {

  private static final OrderId SIMULATED = new OrderId(1);

  private final Span span;
  private final Past past;
  private final Deque<Past.On> asked;
  private final Deque<Past.On> changes;
  private final List<Coming> coming = new ArrayList<>();
  private final List<Course.Week> weeks = new ArrayList<>();
  private Quantity there;
  private Quantity owed;
  private Quantity lacked;
  private int daysShort;
  private int atOnce;
  private Course.Orders orders;
  private Quantity askedThisWeek;
  private Quantity orderedThisWeek;
  private Quantity cameThisWeek;

  private LocalDate next;
  private int lines;

  /** Before the first day. */
  public Replay(Span span, Past past) {
    this.span = span;
    this.past = past;
    this.asked = new ArrayDeque<>(past.asked());
    this.changes = new ArrayDeque<>(past.changes());
    this.there = past.atStart();
    Quantity none = Quantity.zero(there.measure());
    this.owed = none;
    this.lacked = none;
    this.askedThisWeek = none;
    this.orderedThisWeek = none;
    this.cameThisWeek = none;
    this.orders = Course.Orders.none(past.worth().currency());
    this.next = span.first();
  }

  /** How it would have gone with other orders; what is asked for beyond the span is left aside. */
  public static Course of(Span span, Past past, Ordering ordering) {
    Replay replay = new Replay(span, past);
    while (replay.goesOn()) {
      LocalDate day = replay.next();
      replay.week(
          day.getDayOfWeek() == DayOfWeek.MONDAY
              ? ordering.on(day, replay.position())
              : Optional.empty());
    }
    return replay.course();
  }

  /**
   * How it went: with what really came, and what stood short until it was served.
   *
   * @param orders that were really placed
   */
  public static Course asItHappened(Span span, Past past, Course.Orders orders) {
    Replay replay = new Replay(span, past);
    past.came().forEach(one -> replay.coming.add(arrival(one.day(), one.quantity())));
    while (replay.goesOn()) {
      replay.week(Optional.empty());
    }
    Course course = replay.course();
    List<Past.ShortLine> lines =
        past.lines().stream().filter(line -> span.holds(line.from())).toList();
    int daysShort = 0;
    for (LocalDate day = span.first(); !day.isAfter(span.last()); day = day.plusDays(1)) {
      LocalDate on = day;
      daysShort +=
          lines.stream().anyMatch(line -> !line.from().isAfter(on) && line.until().isAfter(on))
              ? 1
              : 0;
    }
    Quantity lacked =
        lines.stream()
            .map(Past.ShortLine::lacking)
            .reduce(Quantity.zero(past.atStart().measure()), Quantity::plus);
    int all = course.lines().all();
    return new Course(
        course.weeks(),
        daysShort,
        lacked,
        new Course.Lines(all, Math.max(0, all - lines.size())),
        course.stock(),
        orders);
  }

  private static Coming arrival(LocalDate day, Quantity quantity) {
    return new Coming(day, quantity, SIMULATED, "");
  }

  /** True while there are days left. */
  public boolean goesOn() {
    return !next.isAfter(span.last());
  }

  /** The day that comes next. */
  public LocalDate next() {
    return next;
  }

  /** What there is on the day that comes next, once what arrives on it has come. */
  public Position position() {
    arrive(next);
    return new Position(there.minus(owed), coming);
  }

  /**
   * Goes through the days up to the next Sunday, or to the last of the span.
   *
   * @param placed what is ordered on the first of them, a Monday; nothing on any other day
   */
  public void week(Optional<Ordering.Placed> placed) {
    LocalDate sunday = next.with(TemporalAdjusters.nextOrSame(DayOfWeek.SUNDAY));
    LocalDate end = sunday.isBefore(span.last()) ? sunday : span.last();
    LocalDate first = next;
    placed.ifPresent(this::order);
    for (; !next.isAfter(end); next = next.plusDays(1)) {
      arrive(next);
      change(next);
      serve(next);
      daysShort += owed.isPositive() ? 1 : 0;
    }
    endWeek(first);
  }

  /** How it went so far; at least one week has to be gone through. */
  public Course course() {
    Money value =
        weeks.stream()
            .map(week -> past.worth().valueOf(week.there()))
            .reduce(Money.zero(past.worth().currency()), Money::plus);
    return new Course(
        weeks,
        daysShort,
        lacked,
        new Course.Lines(lines, atOnce),
        new Money(Math.round((double) value.minor() / weeks.size()), value.currency()),
        orders);
  }

  private void arrive(LocalDate day) {
    for (Coming one : List.copyOf(coming)) {
      if (!one.on().isAfter(day)) {
        coming.remove(one);
        cameThisWeek = cameThisWeek.plus(one.quantity());
        there = there.plus(one.quantity());
      }
    }
    settle();
  }

  private void settle() {
    Quantity now = owed.min(there);
    there = there.minus(now);
    owed = owed.minus(now);
  }

  private void order(Ordering.Placed placed) {
    coming.add(arrival(placed.arrives(), placed.quantity()));
    orderedThisWeek = orderedThisWeek.plus(placed.quantity());
    orders = orders.and(placed.cost(), placed.dear());
  }

  /** What is not there cannot be scrapped or counted away; what is found goes to what is owed. */
  private void change(LocalDate day) {
    while (!changes.isEmpty() && !changes.peek().day().isAfter(day)) {
      there = there.plus(changes.poll().quantity()).atLeastZero();
    }
    settle();
  }

  private void serve(LocalDate day) {
    while (!asked.isEmpty() && !asked.peek().day().isAfter(day)) {
      Quantity wanted = asked.poll().quantity();
      Quantity given = wanted.min(there);
      Quantity missing = wanted.minus(given);
      there = there.minus(given);
      owed = owed.plus(missing);
      lacked = lacked.plus(missing);
      askedThisWeek = askedThisWeek.plus(wanted);
      atOnce += missing.isZero() ? 1 : 0;
      lines++;
    }
  }

  private void endWeek(LocalDate first) {
    weeks.add(new Course.Week(first, askedThisWeek, orderedThisWeek, cameThisWeek, there, owed));
    Quantity none = Quantity.zero(there.measure());
    askedThisWeek = none;
    orderedThisWeek = none;
    cameThisWeek = none;
  }
}
