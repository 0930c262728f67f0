package dev.lonja.web.replay;

import dev.lonja.core.item.Criticality;
import dev.lonja.core.part.Family;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.replay.Course;
import dev.lonja.core.replay.Span;
import dev.lonja.desk.replay.ReplayDesk;
import dev.lonja.desk.replay.Replayed;
import dev.lonja.web.document.CsvAnswer;
import dev.lonja.web.frame.DrawingView;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.Words;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Stream;

/** Says what the rules would have changed. */
final class ReplayWording {

  private static final int WEEK = 7;
  private static final int WHOLE = 100;

  private ReplayWording() {}

  static ReplayView view(ReplayDesk.State state, ReplayView.Form form) {
    return new ReplayView(
        form,
        running(state),
        state.last().map(ReplayWording::summary).orElse(""),
        state.last().map(ReplayWording::totals).orElse(List.of()),
        state.last().stream()
            .flatMap(last -> last.things().stream())
            .map(ReplayWording::row)
            .toList(),
        state.last().stream().flatMap(last -> last.leftOut().stream()).map(Plate::of).toList(),
        new ReplayView.Tried(
            state.last().map(ReplayWording::covers).orElse(List.of()),
            state.last().map(ReplayWording::coverAdvice).orElse(""),
            state.last().stream()
                .flatMap(last -> last.betterCriticalities().stream())
                .map(ReplayWording::better)
                .toList()));
  }

  static DrawingView running(ReplayDesk.State state) {
    String words = "";
    if (state.percent().isPresent()) {
      words = "The past is being stepped through.";
    } else if (state.failed()) {
      words = "The past could not be stepped through; the log of the server says why.";
    }
    return new DrawingView(words, state.percent().isPresent(), state.percent().orElse(WHOLE));
  }

  /** For how many days orders may be asked to last, the store's own among them, in order. */
  static List<Integer> covers(int own) {
    return Stream.concat(Replayed.COVERS.stream(), Stream.of(own)).distinct().sorted().toList();
  }

  static ReplayView.Form form(Map<String, String> typed, Span usual, int own) {
    String cover = typed.getOrDefault("cover", String.valueOf(own));
    String criticality = typed.getOrDefault("criticality", "");
    return new ReplayView.Form(
        typed.getOrDefault("first", usual.first().toString()),
        typed.getOrDefault("last", usual.last().toString()),
        covers(own).stream()
            .map(
                days ->
                    new ReplayView.Option(
                        days.toString(), days / WEEK + " weeks", days.toString().equals(cover)))
            .toList(),
        Stream.concat(
                Stream.of(new ReplayView.Option("", "as each is", criticality.isEmpty())),
                Arrays.stream(Criticality.values())
                    .map(
                        one ->
                            new ReplayView.Option(
                                one.name(), "all: " + one.words(), one.name().equals(criticality))))
            .toList(),
        "yes".equals(typed.get("others")));
  }

  /** "16 Mar 2026 to 14 Mar 2027, orders to last 8 weeks, each thing as critical as it is". */
  static String span(Replayed.Asked asked) {
    return asked.span().first()
        + " to "
        + asked.span().last()
        + ", orders to last "
        + asked.manner().coverDays() / WEEK
        + " weeks, "
        + asked
            .manner()
            .criticality()
            .map(one -> "everything as what " + one.words())
            .orElse("each thing as critical as it is");
  }

  /** What orders of another length would have come to, the shortest first; none if not tried. */
  private static List<ReplayView.Cover> covers(Replayed replayed) {
    if (replayed.others().isEmpty() || replayed.things().isEmpty()) {
      return List.of();
    }
    return replayed.all().stream()
        .filter(
            other -> other.manner().criticality().equals(replayed.asked().manner().criticality()))
        .sorted(Comparator.comparing(other -> other.manner().coverDays()))
        .map(
            other ->
                new ReplayView.Cover(
                    other.manner().coverDays() / WEEK + " weeks",
                    sums(other.courses().values().stream().map(Sum::of).reduce(Sum::and).get())))
        .toList();
  }

  private static String coverAdvice(Replayed replayed) {
    if (replayed.others().isEmpty()) {
      return "";
    }
    return replayed
        .betterCover()
        .map(
            days ->
                "Orders that last "
                    + days / WEEK
                    + " weeks would have done best: fewest lines would have waited, and of spans equal"
                    + " in that it was short on fewest days with least money on the shelves. The"
                    + " store's own span is set under Setup, The store.")
        .orElse("None of the others would have done better than the span that was asked for.");
  }

  private static ReplayView.Better better(Replayed.Better better) {
    Course own = better.thing().ruled();
    Course then = better.course();
    int fewer = waiting(own) - waiting(then);
    long less = own.stock().minor() - then.stock().minor();
    return new ReplayView.Better(
        Plate.of(better.thing().item()),
        better.thing().item().keeping().criticality().words(),
        better.criticality().words(),
        (fewer > 0 ? Words.count(fewer, "line", "lines") + " fewer would have waited, " : "")
            + (fewer == 0 && own.daysShort() > then.daysShort()
                ? Words.count(own.daysShort() - then.daysShort(), "day", "days") + " less short, "
                : "")
            + new Money(Math.abs(less), own.stock().currency()).display()
            + (less >= 0 ? " less on the shelf" : " more on the shelf"));
  }

  private static String summary(Replayed replayed) {
    if (replayed.things().isEmpty()) {
      return span(replayed.asked()) + ": too little happened to say anything.";
    }
    Sum was = sum(replayed.things(), Replayed.Thing::happened);
    Sum would = sum(replayed.things(), Replayed.Thing::ruled);
    return span(replayed.asked())
        + ": by the rules "
        + would.atOnce()
        + " of "
        + would.lines()
        + " lines would have been served at once instead of "
        + was.atOnce()
        + ", with "
        + would.stock().display()
        + " on the shelves in the mean instead of "
        + was.stock().display()
        + ", and "
        + Words.count(would.orders().count(), "order line", "order lines")
        + " for "
        + would.orders().cost().display()
        + " instead of "
        + was.orders().count()
        + " for "
        + was.orders().cost().display()
        + ". Freight, as it is asked today, would have been "
        + replayed.freights().ruled().display()
        + " instead of "
        + replayed.freights().happened().display()
        + ".";
  }

  /** Figures of several things together. */
  private record Sum(int lines, int atOnce, int daysShort, Money stock, Course.Orders orders) {

    Sum and(Sum other) {
      return new Sum(
          lines + other.lines,
          atOnce + other.atOnce,
          daysShort + other.daysShort,
          stock.plus(other.stock),
          new Course.Orders(
              orders.count() + other.orders.count(),
              orders.cost().plus(other.orders.cost()),
              orders.dear().plus(other.orders.dear())));
    }

    static Sum of(Course course) {
      return new Sum(
          course.lines().all(),
          course.lines().atOnce(),
          course.daysShort(),
          course.stock(),
          course.orders());
    }
  }

  private static Sum sum(List<Replayed.Thing> things, Function<Replayed.Thing, Course> side) {
    return things.stream().map(side).map(Sum::of).reduce(Sum::and).orElseThrow();
  }

  private static List<ReplayView.Total> totals(Replayed replayed) {
    Map<Family, List<Replayed.Thing>> families = new TreeMap<>();
    replayed
        .things()
        .forEach(
            thing ->
                families.computeIfAbsent(thing.item().family(), f -> new ArrayList<>()).add(thing));
    List<ReplayView.Total> totals = new ArrayList<>();
    families.forEach((family, things) -> totals.add(total(Words.capital(family.words()), things)));
    if (families.size() > 1) {
      totals.add(total("All", replayed.things()));
    }
    return totals;
  }

  private static ReplayView.Total total(String what, List<Replayed.Thing> things) {
    return new ReplayView.Total(
        what,
        sums(sum(things, Replayed.Thing::happened)),
        sums(sum(things, Replayed.Thing::ruled)));
  }

  private static ReplayView.Sums sums(Sum sum) {
    return new ReplayView.Sums(
        sum.atOnce() + " of " + sum.lines(),
        Words.count(sum.daysShort(), "day", "days"),
        sum.stock().display(),
        sum.orders().count() + " for " + sum.orders().cost().display(),
        sum.orders().dear().minor() == 0 ? "" : sum.orders().dear().display() + " dear");
  }

  private static ReplayView.Row row(Replayed.Thing thing) {
    return new ReplayView.Row(
        Plate.of(thing.item()),
        thing.item().family().words(),
        sums(Sum.of(thing.happened())),
        sums(Sum.of(thing.ruled())),
        better(thing));
  }

  /** "7.40 EUR less on the shelf, 2 more lines would have waited". */
  private static String better(Replayed.Thing thing) {
    long less = thing.happened().stock().minor() - thing.ruled().stock().minor();
    int waiting = waiting(thing.ruled()) - waiting(thing.happened());
    String shelf =
        less == 0
            ? "as much on the shelf"
            : new Money(Math.abs(less), thing.ruled().stock().currency()).display()
                + (less > 0 ? " less" : " more")
                + " on the shelf";
    return waiting == 0
        ? shelf
        : shelf
            + ", "
            + Words.count(Math.abs(waiting), "line", "lines")
            + (waiting > 0 ? " more" : " fewer")
            + " would have waited";
  }

  private static int waiting(Course course) {
    return course.lines().all() - course.lines().atOnce();
  }

  static Optional<ReplayView.OfThing> thing(Replayed replayed, String itemId) {
    return replayed.things().stream()
        .filter(thing -> thing.item().id().toString().equals(itemId))
        .findFirst()
        .map(thing -> thing(replayed, thing));
  }

  private static ReplayView.OfThing thing(Replayed replayed, Replayed.Thing thing) {
    List<ReplayView.Week> weeks = new ArrayList<>();
    for (int i = 0; i < thing.ruled().weeks().size(); i++) {
      Course.Week was = thing.happened().weeks().get(i);
      Course.Week would = thing.ruled().weeks().get(i);
      weeks.add(
          new ReplayView.Week(
              would.monday().toString(),
              orNone(would.asked().isZero(), would.asked().display()),
              orNone(was.came().isZero(), was.came().display()),
              was.there().display(),
              orNone(would.ordered().isZero(), would.ordered().display()),
              orNone(would.came().isZero(), would.came().display()),
              would.there().display(),
              orNone(would.owed().isZero(), would.owed().display() + " owed")));
    }
    return new ReplayView.OfThing(
        Plate.of(thing.item()),
        span(replayed.asked()),
        new TwoCourses(thing.happened(), thing.ruled()).draw(thing.item().number()),
        total("", List.of(thing)),
        weeks);
  }

  private static String orNone(boolean none, String words) {
    return none ? "" : words;
  }

  /** A row for each thing. */
  static CsvAnswer csv(Replayed replayed) {
    CsvAnswer csv =
        new CsvAnswer(
            "make",
            "number",
            "lines",
            "at_once",
            "at_once_by_rules",
            "days_short",
            "days_short_by_rules",
            "lacked",
            "lacked_by_rules",
            "mean_stock",
            "mean_stock_by_rules",
            "orders",
            "orders_by_rules",
            "cost",
            "cost_by_rules",
            "currency");
    replayed.things().stream()
        .sorted(Comparator.comparing(thing -> thing.item().number()))
        .forEach(
            thing -> {
              Course was = thing.happened();
              Course would = thing.ruled();
              csv.row(
                  thing.item().make(),
                  thing.item().number(),
                  String.valueOf(would.lines().all()),
                  String.valueOf(was.lines().atOnce()),
                  String.valueOf(would.lines().atOnce()),
                  String.valueOf(was.daysShort()),
                  String.valueOf(would.daysShort()),
                  was.lacked().exactText(),
                  would.lacked().exactText(),
                  was.stock().exactText(),
                  would.stock().exactText(),
                  String.valueOf(was.orders().count()),
                  String.valueOf(would.orders().count()),
                  was.orders().cost().exactText(),
                  would.orders().cost().exactText(),
                  would.stock().currency().getCurrencyCode());
            });
    return csv;
  }
}
