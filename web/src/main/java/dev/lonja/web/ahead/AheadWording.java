package dev.lonja.web.ahead;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.forecast.CertainDemand;
import dev.lonja.core.forecast.Cover;
import dev.lonja.core.forecast.Demand;
import dev.lonja.core.forecast.IsoWeek;
import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.forecast.ServiceDemand;
import dev.lonja.core.forecast.Subject;
import dev.lonja.core.forecast.TopUpDemand;
import dev.lonja.core.forecast.UnplannedDemand;
import dev.lonja.core.item.Item;
import dev.lonja.core.place.Place;
import dev.lonja.core.policy.InForce;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.trial.Band;
import dev.lonja.desk.forecast.AheadDesk;
import dev.lonja.desk.forecast.Drawn;
import dev.lonja.desk.forecast.DrawnTrial;
import dev.lonja.desk.forecast.Forecast;
import dev.lonja.desk.reorder.Proposal;
import dev.lonja.web.buy.ReorderWording;
import dev.lonja.web.document.CsvAnswer;
import dev.lonja.web.due.DueWording;
import dev.lonja.web.frame.DrawingView;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.GapWording;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.TopUpUseWording;
import dev.lonja.web.frame.WantedWording;
import dev.lonja.web.frame.WayWording;
import dev.lonja.web.frame.Words;
import dev.lonja.web.tray.TrayWording;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.SortedMap;
import java.util.stream.Collectors;

/** Says in words what will be used, between what, and when each item runs short. */
final class AheadWording {

  private static final int BAR_WEEKS = 8;
  private static final List<Integer> HORIZONS = List.of(8, 26, 52);
  private static final int SOON_DAYS = 28;
  private static final int WHOLE = 100;

  /** The band that is shown: one trial of ten lies below, one above. */
  static final double LOW = 0.1;

  static final double HIGH = 0.9;
  private static final double MIDDLE = 0.5;
  private static final double WORTH_SAYING = 0.01;

  private final LocalDate today;
  private final Drawn drawn;
  private final SortedMap<Place, String> places;
  private final Optional<Place> only;

  /**
   * @param places of the store
   * @param only the place that is looked at by itself; empty for all of the store
   */
  AheadWording(
      LocalDate today, Drawn drawn, SortedMap<Place, String> places, Optional<Place> only) {
    this.today = today;
    this.drawn = drawn;
    this.places = places;
    this.only = only;
  }

  /** What stands by the chances while newer ones are drawn. */
  static DrawingView drawing(Drawn drawn) {
    return DrawingView.of(
        drawn,
        "The chances are being drawn.",
        "The chances were drawn before the last change; newer ones are on their way.");
  }

  /** The band of a subject, unless it was drawn on another day. */
  private Optional<Band> band(Subject subject) {
    return drawn.of(today).map(bands -> only.map(bands::at).orElse(bands).of(subject));
  }

  private AheadView.Use use(Subject subject, List<IsoWeek> weeks, Map<IsoWeek, Quantity> use) {
    int last = weeks.size() - 1;
    Optional<Band> band = band(subject).filter(b -> last < b.weeks());
    return new AheadView.Use(
        sum(subject, weeks, use).display(),
        band.map(b -> between(b.quantile(last, LOW), b.quantile(last, HIGH))).orElse(""),
        band.map(b -> b.chanceOfMoreThan(subject.thereBy(weeks.get(last).sunday()), last))
            .filter(chance -> chance >= WORTH_SAYING)
            .map(chance -> percent(chance) + " short")
            .orElse(""));
  }

  /** "0 to 14", "12.50 to 41.58 L"; nothing where both are the same. */
  private static String between(Quantity low, Quantity high) {
    String unit = " " + high.measure().symbol();
    String from = low.display();
    String bare =
        from.endsWith(unit) && high.display().endsWith(unit)
            ? from.substring(0, from.length() - unit.length())
            : from;
    return low.equals(high) ? "" : bare + " to " + high.display();
  }

  /** "34 %"; what is not certain never reads as certain. */
  private static String percent(double chance) {
    long rounded = Math.round(chance * WHOLE);
    if (chance > 0 && rounded == 0) {
      return "<1 %";
    }
    return chance < 1 && rounded == WHOLE ? ">99 %" : rounded + " %";
  }

  /** What is shown of all items that are expected to be used, the shortest first. */
  AheadView all(Forecast forecast, AheadDesk.Sellers sellers, AheadFilter filter) {
    int weeks = forecast.plan().weeks();
    List<Subject> inUse =
        forecast.subjects().stream().filter(subject -> !subject.demands().isEmpty()).toList();
    List<Subject> used =
        inUse.stream()
            .filter(subject -> filter.takes(subject, sellers.byItem()))
            .sorted(
                Comparator.comparing(
                    (Subject subject) -> subject.cover().shortOn().orElse(LocalDate.MAX)))
            .toList();
    long shortCount = used.stream().filter(s -> s.cover().shortOn().isPresent()).count();
    return new AheadView(
        (filter.isAny() ? used.size() + " of " : "")
            + Words.count(inUse.size(), "item", "items")
            + " in use, "
            + shortCount
            + " run short within "
            + weeks
            + " weeks",
        weeks,
        HORIZONS.stream()
            .map(w -> new AheadView.Horizon(filter.address("/ahead", w), w + " weeks", w == weeks))
            .toList(),
        filter.address("/ahead.csv", weeks),
        filter.view(
            inUse.stream().map(subject -> subject.lead().family()).distinct().sorted().toList(),
            sellers.suppliers(),
            places),
        Math.min(BAR_WEEKS, weeks),
        "week " + IsoWeek.of(today).number(),
        forecast.plan().gaps().stream().map(AheadWording::gap).toList(),
        drawing(drawn),
        used.stream().map(subject -> row(forecast, subject)).toList());
  }

  /** The weeks in which anything is used, with what is used up to their ends. */
  CsvAnswer csv(Forecast forecast, AheadDesk.Sellers sellers, AheadFilter filter) {
    CsvAnswer csv =
        new CsvAnswer(
            "make",
            "number",
            "week",
            "unit",
            "use",
            "p10_so_far",
            "p50_so_far",
            "p90_so_far",
            "free",
            "promised_by_then",
            "chance_short");
    List<IsoWeek> weeks = forecast.plan().horizon();
    for (Subject subject : forecast.subjects()) {
      if (!filter.takes(subject, sellers.byItem())) {
        continue;
      }
      Map<IsoWeek, Quantity> use = subject.byWeek();
      for (int week = 0; week < weeks.size(); week++) {
        Quantity used = use.get(weeks.get(week));
        if (used != null) {
          row(csv, subject, weeks.get(week), week, used);
        }
      }
    }
    return csv;
  }

  private void row(CsvAnswer csv, Subject subject, IsoWeek name, int week, Quantity used) {
    Optional<Band> band = band(subject).filter(b -> week < b.weeks());
    csv.row(
        subject.lead().make(),
        subject.lead().number(),
        name.display(),
        used.measure().symbol(),
        used.exactText(),
        band.map(b -> b.quantile(week, LOW).exactText()).orElse(""),
        band.map(b -> b.quantile(week, MIDDLE).exactText()).orElse(""),
        band.map(b -> b.quantile(week, HIGH).exactText()).orElse(""),
        subject.free().exactText(),
        subject.thereBy(name.sunday()).minus(subject.free()).exactText(),
        band.map(
                b ->
                    PlainDecimal.of(
                        share(b.chanceOfMoreThan(subject.thereBy(name.sunday()), week))))
            .orElse(""));
  }

  /** " + 12 on 25 Mar + 5 overdue"; nothing if no order is open. */
  private String coming(Subject subject) {
    return awaited(subject).stream().map(words -> " " + words).collect(Collectors.joining());
  }

  /** "+ 12 on 25 Mar", "+ 5 overdue", for each open order. */
  private List<String> awaited(Subject subject) {
    return subject.coming().stream()
        .map(
            coming ->
                "+ "
                    + coming.quantity().display()
                    + (coming.isOverdue(today)
                        ? " overdue"
                        : " on " + Words.day(coming.on(), today)))
        .toList();
  }

  private static BigDecimal share(double chance) {
    return BigDecimal.valueOf(chance).setScale(4, RoundingMode.HALF_UP);
  }

  private AheadView.Row row(Forecast forecast, Subject subject) {
    List<IsoWeek> weeks = forecast.plan().horizon();
    List<IsoWeek> near = weeks.subList(0, Math.min(BAR_WEEKS, weeks.size()));
    Map<IsoWeek, Quantity> use = subject.byWeek();
    Item lead = subject.lead();
    return new AheadView.Row(
        subject.product().map(product -> "fluid").orElse(lead.family().words()),
        Plate.of(lead),
        subject.product().map(Drum::of),
        WeekBars.draw(near, use, "Expected use of " + lead.number() + " by week"),
        use(subject, near, use),
        subject.free().display(),
        awaited(subject),
        lasts(subject.cover(), weeks.size()),
        state(subject.cover()));
  }

  /** One item, or the fluid it is a pack of, with the lines behind a week or behind all of them. */
  AheadItemView item(AheadDesk.OfItem of, Optional<Proposal> proposal, Optional<IsoWeek> chosen) {
    Subject subject = of.subject();
    List<Demand> lines =
        subject.demands().stream()
            .filter(d -> chosen.isEmpty() || IsoWeek.of(d.date()).equals(chosen.get()))
            .toList();
    Quantity total =
        lines.stream()
            .map(Demand::quantity)
            .reduce(Quantity.zero(subject.free().measure()), Quantity::plus);
    return new AheadItemView(
        Plate.of(subject.lead()),
        subject.product().map(Drum::of),
        subject.product().map(Product::id),
        subject.free().display() + " free" + coming(subject) + ", " + summary(subject.cover()),
        new TideLine(of.plan().horizon(), subject, band(subject), proposal).draw(),
        drawing(drawn),
        weeks(of.plan().horizon(), subject, chosen),
        proposal.map(p -> ReorderWording.sentence(p, today)).orElse(""),
        new AheadItemView.Drill(
            chosen
                .map(w -> "What week " + w.number() + " is for")
                .orElse("What it is for, all weeks"),
            together(lines).stream().map(line -> line(line, subject)).toList(),
            exact(total)));
  }

  /** The trial that set a quantile, with what is used in it. */
  AheadTrialView trial(AheadDesk.OfTrial of, IsoWeek week, int percent) {
    Measure measure = of.subject().free().measure();
    IsoWeek first = IsoWeek.of(today);
    return new AheadTrialView(
        Plate.of(of.subject().lead()),
        "In "
            + percent
            + " of 100 trials no more than "
            + of.trial().used().display()
            + " is used up to the end of week "
            + week.number()
            + ". Trial "
            + (of.trial().number() + 1)
            + " uses just so much:",
        of.trial().uses().stream().map(use -> trialLine(of, use, first, measure)).toList(),
        exact(of.trial().used()));
  }

  private static AheadTrialView.Line trialLine(
      AheadDesk.OfTrial of, DrawnTrial.Use use, IsoWeek first, Measure measure) {
    IsoWeek week = IsoWeek.of(first.monday().plusWeeks(use.week()));
    String number =
        of.subject().items().stream()
            .filter(item -> item.id().equals(use.item()))
            .map(Item::number)
            .findFirst()
            .orElseThrow();
    return new AheadTrialView.Line(
        week.display(),
        use.unit().map(unit -> of.codes().getOrDefault(unit, "")).orElse(""),
        number,
        exact(Quantity.of(measure, BigDecimal.valueOf(use.thousandths(), 3))));
  }

  private List<AheadItemView.Week> weeks(
      List<IsoWeek> horizon, Subject subject, Optional<IsoWeek> chosen) {
    Optional<Band> band = band(subject);
    List<AheadItemView.Week> rows = new ArrayList<>();
    Quantity used = Quantity.zero(subject.free().measure());
    for (Map.Entry<IsoWeek, Quantity> week : subject.byWeek().entrySet()) {
      used = used.plus(week.getValue());
      Quantity there = subject.thereBy(week.getKey().sunday());
      Quantity left = there.minus(used);
      rows.add(
          new AheadItemView.Week(
              week.getKey().display(),
              week.getKey().monday().toString(),
              Words.day(week.getKey().monday(), today),
              exact(week.getValue()),
              left.display(),
              band.map(b -> b.chanceOfMoreThan(there, horizon.indexOf(week.getKey())))
                  .filter(chance -> chance > 0)
                  .map(AheadWording::percent)
                  .orElse(""),
              band.map(b -> b.quantile(horizon.indexOf(week.getKey()), HIGH).display()).orElse(""),
              left.isNegative(),
              chosen.filter(week.getKey()::equals).isPresent()));
    }
    return rows;
  }

  /**
   * The same with what is expected from week to week on one line, on the first of its days: what a
   * compartment is topped up with, and what is used beside services. Nobody reads a year of them.
   */
  private static List<Demand> together(List<Demand> lines) {
    Map<List<Object>, Demand> together = new LinkedHashMap<>();
    for (Demand line : lines) {
      List<Object> key = List.of(together.size());
      if (line instanceof TopUpDemand topUp) {
        key = List.of(topUp.ofUnit(), topUp.place(), topUp.itemId());
      } else if (line instanceof UnplannedDemand unplanned) {
        key = List.of(unplanned.itemId(), unplanned.use().place());
      }
      together.merge(key, line, AheadWording::and);
    }
    return List.copyOf(together.values());
  }

  private static Demand and(Demand one, Demand more) {
    return one instanceof TopUpDemand topUp
        ? topUp.and((TopUpDemand) more)
        : ((UnplannedDemand) one).and((UnplannedDemand) more);
  }

  private AheadItemView.Line line(Demand demand, Subject subject) {
    String pack =
        subject.items().size() > 1
            ? subject.items().stream()
                    .filter(item -> item.id().equals(demand.itemId()))
                    .findFirst()
                    .orElseThrow()
                    .number()
                + ", "
            : "";
    Why why = why(demand);
    return new AheadItemView.Line(
        Words.day(demand.date(), today),
        demand.unitCode().orElse(""),
        why.what(),
        pack + why.reason(),
        why.due(),
        why.held(),
        exact(demand.quantity()));
  }

  /** Why something is drawn. */
  private record Why(String what, String reason, String due, String held) {}

  private Why why(Demand demand) {
    return Cases.<Demand, Why>over(Demand.class)
        .when(ServiceDemand.class, this::why)
        .when(TopUpDemand.class, AheadWording::why)
        .when(UnplannedDemand.class, this::why)
        .when(
            CertainDemand.class,
            certain -> {
              WantedWording.Why why = WantedWording.why(certain.because());
              return new Why(why.what(), join(certain.place(), why.words()), "", "");
            })
        .all()
        .apply(demand);
  }

  private static Why why(TopUpDemand demand) {
    return new Why("top-ups", join(demand.place(), TopUpUseWording.of(demand.use())), "", "");
  }

  private Why why(UnplannedDemand demand) {
    return new Why(
        "beside services",
        "as "
            + Words.count(demand.use().issues(), "issue", "issues")
            + " without a service in "
            + demand.use().weeks().size()
            + " weeks"
            + (places.size() > 1 ? " at " + places.get(demand.use().place()) : ""),
        "",
        "");
  }

  private Why why(ServiceDemand demand) {
    return new Why(
        demand.service(),
        join(demand.line().place(), TrayWording.reason(demand.line().reason()))
            + behind(demand.line().ways()),
        DueWording.why(demand.due(), today),
        demand.held().isPositive()
            ? exact(demand.line().expected())
                + " less "
                + exact(demand.held())
                + " on its tray or wanted by itself"
            : "");
  }

  /** The policies that made a line what it is, as far as they are not the usual ones. */
  private static String behind(List<InForce> ways) {
    List<InForce> chosen =
        ways.stream()
            .filter(way -> way.choice().school() != way.choice().school().question().usual())
            .toList();
    return chosen.isEmpty() ? "" : ". " + WayWording.behind(chosen);
  }

  private static String join(String place, String words) {
    return place.isEmpty() ? words : place + ": " + words;
  }

  /** Figures that are added up show every digit, so that the reader can add them too. */
  private static String exact(Quantity quantity) {
    return quantity.exactText() + " " + quantity.measure().symbol();
  }

  private static Quantity sum(Subject subject, List<IsoWeek> weeks, Map<IsoWeek, Quantity> use) {
    return weeks.stream()
        .map(use::get)
        .filter(Objects::nonNull)
        .reduce(Quantity.zero(subject.free().measure()), Quantity::plus);
  }

  private String summary(Cover cover) {
    return cover
        .shortOn()
        .map(day -> "short on " + Words.day(day, today))
        .orElse("covered for " + AheadDesk.WEEKS + " weeks");
  }

  private static String lasts(Cover cover, int weeks) {
    return cover
        .days()
        .map(days -> Words.count(days, "day", "days"))
        .orElse("over " + weeks + " weeks");
  }

  private State state(Cover cover) {
    if (cover.shortOn().isEmpty()) {
      return State.ready("covered");
    }
    LocalDate day = cover.shortOn().get();
    String words = "short " + Words.day(day, today);
    return day.isBefore(today.plusDays(SOON_DAYS)) ? State.ofShort(words) : State.note(words);
  }

  private static String gap(PlanLine.UnitGap gap) {
    return gap.unitCode() + " " + GapWording.of(gap.gap()) + ".";
  }
}
