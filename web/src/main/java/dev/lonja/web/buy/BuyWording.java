package dev.lonja.web.buy;

import dev.lonja.core.forecast.Subject;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.supplier.Freight;
import dev.lonja.core.supplier.Supplier;
import dev.lonja.core.supplier.Supply;
import dev.lonja.desk.forecast.Bands;
import dev.lonja.desk.reorder.BuyDesk;
import dev.lonja.desk.reorder.Proposal;
import dev.lonja.desk.transfer.Refills;
import dev.lonja.web.document.CsvAnswer;
import dev.lonja.web.frame.DrawingView;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Svg;
import dev.lonja.web.frame.Words;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;

/** Says what is proposed to be ordered. */
final class BuyWording {

  /** What the names of the fields for amounts begin with; the item's number follows. */
  static final String FIELD = "amount-";

  private static final int CRATE_WIDTH = 150;
  private static final int CRATE_HEIGHT = 26;

  private final LocalDate today;

  BuyWording(LocalDate today) {
    this.today = today;
  }

  BuyView view(BuyDesk.Wanted wanted) {
    int lines = wanted.bySupplier().values().stream().mapToInt(List::size).sum();
    return new BuyView(
        wanted.drawn().bands().isEmpty()
            ? ""
            : lines == 0
                ? "nothing to order"
                : Words.count(lines, "line", "lines")
                    + " at "
                    + Words.count(wanted.bySupplier().size(), "supplier", "suppliers"),
        DrawingView.of(
            wanted.drawn(),
            "The trials of the forecast are being drawn; proposals follow.",
            "Drawn before the last change; newer proposals are on their way."),
        wanted.bySupplier().entrySet().stream()
            .map(of -> berth(of.getKey(), of.getValue(), wanted.drawn().bands().orElseThrow()))
            .toList(),
        wanted.later().stream().map(this::later).toList(),
        wanted.instead().stream()
            .map(
                one ->
                    new BuyView.Instead(Plate.of(one.item()), ReorderWording.others(one).strip()))
            .toList(),
        wanted.nobodySells().stream().map(Subject::lead).map(Plate::of).toList());
  }

  /** What is due, a line each, in the order of the page. */
  static CsvAnswer csv(BuyDesk.Wanted wanted) {
    CsvAnswer csv =
        new CsvAnswer(
            "supplier",
            "make",
            "number",
            "their_number",
            "unit",
            "free",
            "level",
            "quantity",
            "pack",
            "cost",
            "currency",
            "order_by",
            "late");
    wanted.bySupplier().values().forEach(its -> its.forEach(line -> row(csv, line)));
    return csv;
  }

  private static void row(CsvAnswer csv, BuyDesk.Line line) {
    Proposal one = line.proposal();
    csv.row(
        one.supply().supplier().name(),
        one.item().make(),
        one.item().number(),
        one.supply().orderNumber(),
        one.subject().free().measure().symbol(),
        one.free().exactText(),
        one.reordering().level().exactText(),
        line.amount().exactText(),
        one.supply().pack().exactText(),
        line.cost().exactText(),
        one.cost().currency().getCurrencyCode(),
        one.reordering().orderBy().map(LocalDate::toString).orElse(""),
        one.reordering().isLate() ? "yes" : "no");
  }

  /** What satellites are filled up with from the main store, before anything is bought. */
  static List<String> fillUp(List<Refills.Proposal> refills, Map<Place, String> names) {
    SortedMap<Place, Integer> things = new TreeMap<>();
    refills.forEach(one -> things.merge(one.to(), 1, Integer::sum));
    return things.entrySet().stream()
        .map(
            entry ->
                names.get(entry.getKey())
                    + " is below its level of "
                    + Words.count(entry.getValue(), "thing", "things")
                    + " that "
                    + names.get(Place.MAIN)
                    + " can spare.")
        .toList();
  }

  private BuyView.Berth berth(Supplier supplier, List<BuyDesk.Line> lines, Bands bands) {
    Money sum = lines.stream().map(BuyDesk.Line::cost).reduce(Money::plus).orElseThrow();
    return new BuyView.Berth(
        supplier.id(),
        supplier.name(),
        SupplierWording.terms(supplier),
        lines.stream().anyMatch(line -> line.proposal().terms().lead().isUnreliable()),
        new Crossing(supplier, today).draw(),
        supplier.freight().map(freight -> crate(freight, sum)),
        sum.display(),
        lines.stream().map(line -> line(line, bands)).toList());
  }

  /** A crate that fills up to what makes freight free. */
  private static BuyView.Crate crate(Freight freight, Money sum) {
    if (freight.freeFrom().isEmpty()) {
      return new BuyView.Crate("", "freight " + freight.each().display());
    }
    Money free = freight.freeFrom().get();
    double share = Math.min(1, (double) sum.minor() / free.minor());
    String words =
        share >= 1
            ? sum.display() + ", freight free"
            : sum.exactText() + " of " + free.display() + ", then freight is free";
    Svg svg = new Svg(CRATE_WIDTH, CRATE_HEIGHT, words);
    svg.rect(1, 1, CRATE_WIDTH - 2, CRATE_HEIGHT - 2, "fill=\"#d3dedb\"");
    svg.rect(1, 1, (CRATE_WIDTH - 2) * share, CRATE_HEIGHT - 2, "fill=\"#2c6a49\"");
    svg.rect(
        1,
        1,
        CRATE_WIDTH - 2,
        CRATE_HEIGHT - 2,
        "fill=\"none\" stroke=\"#0e2b33\" stroke-width=\"2\"");
    return new BuyView.Crate(
        svg.done(), share >= 1 ? words : words + " (" + freight.each().display() + " now)");
  }

  private BuyView.Line line(BuyDesk.Line line, Bands bands) {
    Proposal proposal = line.proposal();
    return new BuyView.Line(
        Plate.of(proposal.item()),
        proposal.subject().product().map(Drum::of),
        proposal.supply().orderNumber(),
        ReorderWording.why(line, today),
        new SmallTide(
                proposal.subject(),
                bands.of(proposal.subject()),
                proposal.reordering().timing().arrival())
            .draw(),
        amount(line),
        line.brought().isPresent() && !proposal.isDue()
            ? State.ready("brought forward")
            : ReorderWording.by(proposal, today));
  }

  private BuyView.Amount amount(BuyDesk.Line line) {
    Supply supply = line.proposal().supply();
    return new BuyView.Amount(
        FIELD + line.proposal().item().id(),
        line.amount().exactText(),
        supply.pack().exactText(),
        line.amount().measure().symbol(),
        packs(line.amount(), supply.pack()),
        line.cost().display(),
        each(line),
        line.amount().isZero() ? "" : ReorderWording.lasts(line, today));
  }

  private static String each(BuyDesk.Line line) {
    return line.proposal().supply().prices().at(line.amount()).display() + " each";
  }

  /** What another amount means. */
  BuyView.Answer instead(BuyDesk.Line line) {
    Supply supply = line.proposal().supply();
    return new BuyView.Answer(
        line.amount().isZero() ? "Nothing is ordered of it." : ReorderWording.lasts(line, today),
        packs(line.amount(), supply.pack()),
        line.cost().display(),
        each(line),
        line.problem().map(OrderRefusals::amount).orElse(""));
  }

  static String packs(Quantity amount, Quantity pack) {
    if (amount.isZero() || pack.amount().compareTo(BigDecimal.ONE) == 0) {
      return "";
    }
    BigDecimal count =
        amount.amount().divide(pack.amount(), 3, RoundingMode.HALF_UP).stripTrailingZeros();
    return count.toPlainString() + " × " + pack.display();
  }

  private BuyView.Later later(Proposal proposal) {
    return new BuyView.Later(
        Plate.of(proposal.item()),
        Words.day(proposal.reordering().orderBy().orElseThrow(), today),
        proposal.supply().supplier().name(),
        proposal.free().display(),
        proposal.reordering().level().display());
  }
}
