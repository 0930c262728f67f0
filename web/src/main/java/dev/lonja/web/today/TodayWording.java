package dev.lonja.web.today;

import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.order.Order;
import dev.lonja.core.order.OrderLine;
import dev.lonja.core.service.Due;
import dev.lonja.core.tray.TrayProgress;
import dev.lonja.core.wanted.Finding;
import dev.lonja.core.wanted.WantedPart;
import dev.lonja.desk.reorder.Proposal;
import dev.lonja.desk.tray.TodayDesk;
import dev.lonja.desk.tray.TraysDesk;
import dev.lonja.store.tray.Tray;
import dev.lonja.web.crossref.CandidateWording;
import dev.lonja.web.due.DueWording;
import dev.lonja.web.frame.ComingWording;
import dev.lonja.web.frame.ElsewhereWording;
import dev.lonja.web.frame.LineStates;
import dev.lonja.web.frame.Svg;
import dev.lonja.web.frame.WantedWording;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Says in words what must leave the counter this week and what stands in the way. */
final class TodayWording {

  private final LocalDate today;

  private TodayWording(LocalDate today) {
    this.today = today;
  }

  /**
   * @param due what has to be ordered this week, as far as that is known
   * @param stores what needs hands at the tanks and the waste
   */
  static TodayView view(
      TodayDesk.Week week, List<Proposal> due, List<TodayView.Need> stores, LocalDate today) {
    TodayWording wording = new TodayWording(today);
    return wording.view(week, wording.buying(due), stores);
  }

  private TodayView view(
      TodayDesk.Week week, Optional<TodayView.Need> buying, List<TodayView.Need> stores) {
    long shortTrays =
        week.trays().filter(t -> t.progress().state() == TrayProgress.State.SHORT).count();
    return new TodayView(
        Words.count(week.trays().count(), "tray", "trays")
            + " on the rack, "
            + shortTrays
            + " with something short",
        toMake(week),
        week.shelves().stream().map(TodayWording::shelf).toList(),
        Stream.of(
                week.shortLines().stream().map(this::shortLine),
                week.wanted().stream().map(this::wanted),
                buying.stream(),
                stores.stream(),
                week.orders().stream().flatMap(order -> order(order).stream()),
                week.longOut().stream().map(this::longOut),
                week.findings().stream().map(this::finding),
                week.late().stream().map(this::late),
                week.silent().stream().map(this::silent))
            .flatMap(Function.identity())
            .toList());
  }

  /** "3 trays to make, 1 to make anew". */
  private static String toMake(TodayDesk.Week week) {
    long wishes = week.shelves().stream().mapToLong(shelf -> shelf.wishes().size()).sum();
    return Stream.of(
            wishes > 0 ? Words.count(wishes, "tray", "trays") + " to make" : "",
            week.outdated().isEmpty() ? "" : week.outdated().size() + " to make anew")
        .filter(words -> !words.isEmpty())
        .collect(Collectors.joining(", "));
  }

  private static TodayView.Shelf shelf(TodayDesk.Shelf shelf) {
    return new TodayView.Shelf(
        shelf.day().toString(),
        Words.weekday(shelf.day()),
        String.valueOf(shelf.day().getDayOfMonth()),
        shelf.trays().stream().map(TodayWording::block).toList(),
        shelf.wishes().stream()
            .map(
                wish ->
                    new TodayView.Wish(
                        wish.unit(),
                        wish.occurrence().title(),
                        wish.occurrence().date().toString()))
            .toList());
  }

  private static TodayView.Block block(TraysDesk.OnRack onRack) {
    TrayProgress progress = onRack.progress();
    int lines = progress.steps().size();
    return new TodayView.Block(
        onRack.tray().id(),
        Words.whom(onRack.tray().unitCode()),
        onRack.tray().title(),
        progress.laidCount() + "/" + lines,
        LineStates.of(progress),
        fill(progress.laidCount(), lines));
  }

  private static String fill(int laid, int lines) {
    Svg svg = new Svg(100, 6, laid + " of " + lines + " laid");
    svg.rect(0, 0, 100, 6, "fill=\"#d3dedb\"");
    svg.rect(0, 0, lines == 0 ? 0 : 100.0 * laid / lines, 6, "fill=\"#2c6a49\"");
    return svg.done().replace("<svg ", "<svg preserveAspectRatio=\"none\" ");
  }

  private TodayView.Need shortLine(TodayDesk.ShortLine line) {
    return new TodayView.Need(
        true,
        line.item().number() + " short for " + Words.whom(line.tray().unitCode()),
        line.step().line().place()
            + ": "
            + line.step().lacking().display()
            + " short, wanted "
            + Words.weekdayAndDay(line.wanted())
            + "."
            + line.instead().map(other -> " " + CandidateWording.instead(other)).orElse("")
            + line.elsewhere().map(other -> " " + ElsewhereWording.has(other)).orElse("")
            + line.coming().map(next -> " " + ComingWording.next(next, today)).orElse(""),
        "/trays/" + line.tray().id());
  }

  private TodayView.Need late(TodayDesk.Late late) {
    Due first = late.dues().get(0);
    int more = late.dues().size() - 1;
    return new TodayView.Need(
        true,
        late.unit().code() + " is overdue",
        first.task().name()
            + " "
            + DueWording.state(first, today).word()
            + (more == 0 ? "." : ", and " + more + " more."),
        "/fleet/" + late.unit().code());
  }

  /** What is late to order, or has its last day this week. */
  private Optional<TodayView.Need> buying(List<Proposal> due) {
    long late = due.stream().filter(proposal -> proposal.reordering().isLate()).count();
    if (due.isEmpty()) {
      return Optional.empty();
    }
    String numbers =
        due.stream().limit(3).map(p -> p.item().number()).collect(Collectors.joining(", "));
    return Optional.of(
        new TodayView.Need(
            late > 0,
            Words.count(due.size(), "thing", "things") + " to order this week",
            numbers
                + (due.size() > 3 ? " and more" : "")
                + (late > 0 ? "; " + late + " late already." : "."),
            "/buy"));
  }

  /** An order that is late, or whose next delivery is expected this week. */
  private Optional<TodayView.Need> order(Order order) {
    List<OrderLine> late = order.waiting().stream().filter(l -> l.isOverdue(today)).toList();
    String name = "Order " + order.id() + ", " + order.supplier().name();
    String path = "/buy/orders/" + order.id();
    if (!late.isEmpty()) {
      return Optional.of(
          new TodayView.Need(
              true,
              name + ", is late",
              Words.count(late.size(), "line", "lines")
                  + " promised for "
                  + Words.day(first(late), today)
                  + ". Ask when it comes.",
              path));
    }
    List<OrderLine> soon =
        order.waiting().stream()
            .filter(
                line ->
                    line.fate()
                        .promisedOn()
                        .filter(day -> day.isBefore(today.plusWeeks(1)))
                        .isPresent())
            .toList();
    return soon.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new TodayView.Need(
                false,
                name + ", comes " + Words.weekdayAndDay(first(soon)),
                Words.count(soon.size(), "line", "lines") + " expected at the door.",
                "/buy/door"));
  }

  private static LocalDate first(List<OrderLine> lines) {
    return lines.stream()
        .flatMap(line -> line.fate().promisedOn().stream())
        .min(Comparator.naturalOrder())
        .orElseThrow();
  }

  private TodayView.Need wanted(TodayDesk.WantedNow wanted) {
    String whom = wanted.part().unit().map(WantedPart.ForUnit::code).orElse("the workshop");
    return new TodayView.Need(
        !wanted.isHere(),
        wanted.item().number() + " wanted for " + whom,
        wanted.part().quantity().display()
            + (wanted.isHere()
                ? " is here; put it on a tray. "
                : ", " + wanted.free().display() + " free. ")
            + Words.capital(WantedWording.cause(wanted.part().cause()))
            + ".",
        "/wanted");
  }

  private TodayView.Need finding(Finding finding) {
    return new TodayView.Need(
        false,
        finding.unitCode() + ": " + finding.words(),
        "Found " + Words.day(finding.foundOn(), today) + ". Say what becomes of it.",
        "/wanted");
  }

  private TodayView.Need longOut(Tray tray) {
    return new TodayView.Need(
        false,
        tray.number() + " for " + Words.whom(tray.unitCode()) + " is out",
        tray.title()
            + ", handed to "
            + tray.mechanic().orElseThrow()
            + " on "
            + Words.day(tray.handedOverOn().orElseThrow(), today)
            + ". Take the job back once it is done.",
        "/trays/" + tray.id());
  }

  private TodayView.Need silent(MeterStanding meter) {
    String code = meter.file().unit().code();
    return new TodayView.Need(
        false,
        "Silent meter: " + code + ", " + meter.silentDays(today) + " days",
        "Its due dates rest on an old reading. Read the " + meter.file().meter().name() + " meter.",
        "/fleet/" + code);
  }
}
