package dev.lonja.web.buy;

import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Supplier;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.reorder.LeadTime;
import dev.lonja.desk.reorder.BuyDesk;
import dev.lonja.desk.reorder.Proposal;
import dev.lonja.web.document.CsvAnswer;
import dev.lonja.web.frame.DrawingView;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.Words;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;

/** Says what is proposed to be ordered. */
final class BuyWording {

  private final LocalDate today;

  BuyWording(LocalDate today) {
    this.today = today;
  }

  BuyView view(BuyDesk.Wanted wanted) {
    int lines = wanted.bySupplier().values().stream().mapToInt(List::size).sum();
    return new BuyView(
        lines == 0
            ? "nothing to order"
            : Words.count(lines, "line", "lines")
                + " at "
                + Words.count(wanted.bySupplier().size(), "supplier", "suppliers"),
        DrawingView.of(
            wanted.drawn(),
            "The trials of the forecast are being drawn; proposals follow.",
            "Drawn before the last change; newer proposals are on their way."),
        wanted.bySupplier().entrySet().stream().map(this::berth).toList(),
        wanted.later().stream().map(this::later).toList(),
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
    wanted.bySupplier().values().forEach(its -> its.forEach(one -> row(csv, one)));
    return csv;
  }

  private static void row(CsvAnswer csv, Proposal one) {
    csv.row(
        one.supply().supplier().name(),
        one.item().make(),
        one.item().number(),
        one.supply().orderNumber(),
        one.subject().free().measure().symbol(),
        one.subject().free().exactText(),
        one.reordering().level().exactText(),
        one.reordering().amount().exactText(),
        one.supply().pack().exactText(),
        one.cost().exactText(),
        one.cost().currency().getCurrencyCode(),
        one.reordering().orderBy().map(LocalDate::toString).orElse(""),
        one.reordering().isLate() ? "yes" : "no");
  }

  private BuyView.Berth berth(Map.Entry<Supplier, List<Proposal>> of) {
    Money sum = of.getValue().stream().map(Proposal::cost).reduce(Money::plus).orElseThrow();
    return new BuyView.Berth(
        of.getKey().name(),
        ReorderWording.lead(LeadTime.quoted(of.getKey().leadDays())),
        sum.display(),
        of.getValue().stream().map(this::line).toList());
  }

  private BuyView.Line line(Proposal proposal) {
    return new BuyView.Line(
        Plate.of(proposal.item()),
        proposal.subject().product().map(Drum::of),
        proposal.supply().orderNumber(),
        ReorderWording.why(proposal),
        proposal.reordering().amount().display(),
        packs(proposal),
        proposal.cost().display(),
        ReorderWording.by(proposal, today));
  }

  private static String packs(Proposal proposal) {
    Quantity pack = proposal.supply().pack();
    Quantity amount = proposal.reordering().amount();
    if (amount.isZero() || pack.amount().compareTo(BigDecimal.ONE) == 0) {
      return "";
    }
    BigDecimal count = amount.amount().divide(pack.amount(), 0, RoundingMode.HALF_UP);
    return count.toPlainString() + " × " + pack.display();
  }

  private BuyView.Later later(Proposal proposal) {
    return new BuyView.Later(
        Plate.of(proposal.item()),
        Words.day(proposal.reordering().orderBy().orElseThrow(), today),
        proposal.supply().supplier().name(),
        proposal.subject().free().display(),
        proposal.reordering().level().display());
  }
}
