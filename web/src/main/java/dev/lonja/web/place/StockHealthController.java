package dev.lonja.web.place;

import dev.lonja.core.ledger.BinStand;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.place.StockHealthDesk;
import dev.lonja.store.ledger.LotFacts;
import dev.lonja.store.ledger.StockList;
import dev.lonja.web.document.CsvAnswer;
import dev.lonja.web.document.PdfRenderer;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Typed;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What expires, what is set aside, and what all of it is worth, today or at the end of a day. */
@Controller
@RequestMapping("/stores/health")
class StockHealthController {

  private static final long WHOLE = 100;

  private final StockHealthDesk desk;
  private final StoreClock clock;
  private final PdfRenderer pdf;

  StockHealthController(StockHealthDesk desk, StoreClock clock, PdfRenderer pdf) {
    this.desk = desk;
    this.clock = clock;
    this.pdf = pdf;
  }

  @GetMapping
  String health(Model model) {
    return page("", List.of(), model);
  }

  /** The stock at the end of a day, on the screen, as a table for a program, or on paper. */
  @GetMapping("/list")
  Object list(
      @RequestParam(defaultValue = "") String on,
      @RequestParam(defaultValue = "pdf") String as,
      Model model) {
    Typed typed = new Typed();
    Optional<LocalDate> day = typed.dayUpTo("on", on, clock.today());
    if (day.isEmpty()) {
      return page(on, typed.problems(), model);
    }
    StockHealthDesk.Dated dated = desk.list(day.get());
    return as.equals("csv")
        ? csv(dated)
        : pdf.answer(
            "stock-list", "stock-" + day.get() + ".pdf", Map.of("list", wordedList(dated)));
  }

  private String page(String on, List<Problem> problems, Model model) {
    StockHealthDesk.Health health = desk.health();
    model.addAttribute("view", view(health));
    model.addAttribute("typed", Map.of("on", on));
    model.addAttribute("problems", problems);
    return "place/health";
  }

  private StockHealthView view(StockHealthDesk.Health health) {
    return new StockHealthView(
        "worth " + health.total().display() + " by the book",
        clock.today().toString(),
        health.expiring().stream().map(this::expiring).toList(),
        health.apart().stream().map(this::apart).toList(),
        health.open().stream().map(this::open).toList(),
        Stream.of(
                table("place", health.byPlace(), health.total()),
                table("rack", health.byRack(), health.total()),
                table("kind", health.byFamily(), health.total()),
                table("supplier", health.bySupplier(), health.total()))
            .filter(table -> !table.rows().isEmpty())
            .toList());
  }

  private StockHealthView.Lot expiring(StockHealthDesk.Expiring one) {
    LotFacts lot = one.lot();
    LocalDate expires = lot.lot().expiresOn().orElseThrow();
    return new StockHealthView.Lot(
        lot.binAddress(),
        Plate.of(one.item()),
        one.item().description(),
        lot.lotCode(),
        lot.lot().quantity().display(),
        State.note("expires " + Words.day(expires, clock.today())),
        one.left().equals(lot.lot().quantity())
            ? "Nothing of it is expected to be used until then."
            : one.left().display() + " will be left.",
        "",
        one.worth().display());
  }

  private StockHealthView.Lot apart(StockHealthDesk.Apart one) {
    LotFacts lot = one.lot();
    boolean expired = lot.lot().isExpired(clock.today());
    String expiry =
        lot.lot()
            .expiresOn()
            .filter(day -> expired)
            .map(day -> "Expired " + Words.day(day, clock.today()) + ".")
            .orElse("");
    return new StockHealthView.Lot(
        lot.binAddress(),
        Plate.of(one.item()),
        one.item().description(),
        lot.lotCode(),
        lot.lot().quantity().display(),
        expired ? State.ofShort("expired") : State.note("set aside"),
        one.setAside()
                .map(
                    set ->
                        "Set aside since " + Words.day(clock.dayOf(set.at()), clock.today()) + ". ")
                .orElse("")
            + expiry,
        one.setAside().map(StockList.SetAside::why).orElse(""),
        one.worth().display());
  }

  private StockHealthView.Lot open(StockHealthDesk.Open one) {
    LotFacts lot = one.lot();
    LocalDate today = clock.today();
    return new StockHealthView.Lot(
        lot.binAddress(),
        Plate.of(one.item()),
        one.item().description(),
        lot.lotCode(),
        lot.lot().quantity().display(),
        lot.lot()
            .expiresOn()
            .map(day -> keeps(day, today))
            .orElse(State.open("nothing is said of how long it keeps")),
        "Opened " + Words.day(lot.lot().openedOn().orElseThrow(), today) + ".",
        one.taken()
            .map(
                taken ->
                    "Some was taken "
                        + Words.day(clock.dayOf(taken.at()), today)
                        + " by "
                        + taken.actor()
                        + (taken.reference().isEmpty() ? "." : ", " + taken.reference() + "."))
            .orElse("Nothing was taken yet."),
        "");
  }

  private static State keeps(LocalDate last, LocalDate today) {
    if (last.isBefore(today)) {
      return State.ofShort("was good through " + Words.day(last, today));
    }
    return last.isAfter(today.plusDays(BinStand.EXPIRING_DAYS))
        ? State.ready("keeps until " + Words.day(last, today))
        : State.note("keeps until " + Words.day(last, today));
  }

  private static StockHealthView.Table table(
      String by, List<StockHealthDesk.Worth> rows, Money total) {
    return new StockHealthView.Table(
        by,
        rows.stream()
            .map(
                row ->
                    new StockHealthView.Row(
                        row.name(),
                        row.money().display(),
                        total.minor() == 0
                            ? 0
                            : (int)
                                Math.round(WHOLE * row.money().minor() / (double) total.minor())))
            .toList());
  }

  private static StockHealthView.Dated wordedList(StockHealthDesk.Dated dated) {
    return new StockHealthView.Dated(
        dated.on().toString(),
        dated.lines().stream()
            .map(
                line ->
                    new StockHealthView.Line(
                        line.item().make(),
                        line.item().number(),
                        line.item().description(),
                        condition(line),
                        line.row().quantity().display(),
                        line.row().worth().display()))
            .toList(),
        dated.total().display());
  }

  private static String condition(StockHealthDesk.Line line) {
    LotCondition condition = line.row().key().condition();
    return condition == LotCondition.NEW ? "" : condition.words();
  }

  private static ResponseEntity<byte[]> csv(StockHealthDesk.Dated dated) {
    CsvAnswer csv =
        new CsvAnswer(
            "on",
            "make",
            "number",
            "description",
            "condition",
            "quantity",
            "unit",
            "worth",
            "currency");
    for (StockHealthDesk.Line line : dated.lines()) {
      csv.row(
          dated.on().toString(),
          line.item().make(),
          line.item().number(),
          line.item().description(),
          line.row().key().condition().words(),
          PlainDecimal.of(line.row().quantity().amount()),
          line.row().quantity().measure().symbol(),
          line.row().worth().exactText(),
          line.row().worth().currency().getCurrencyCode());
    }
    return csv.as("stock-" + dated.on() + ".csv");
  }
}
