package dev.lonja.web.buy;

import dev.lonja.core.quantity.Money;
import dev.lonja.core.reorder.SlowStock;
import dev.lonja.desk.order.OrderDesk;
import dev.lonja.desk.reorder.SlowDesk;
import dev.lonja.web.document.CsvAnswer;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import java.math.BigDecimal;
import java.util.Currency;
import java.util.List;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** What lies on the shelves for longer than it should, and what to do about it. */
@Controller
class SlowController {

  private final SlowDesk desk;
  private final OrderDesk orders;

  SlowController(SlowDesk desk, OrderDesk orders) {
    this.desk = desk;
    this.orders = orders;
  }

  @GetMapping("/buy/slow")
  String page(Model model) {
    model.addAttribute("view", view(desk.lying(), orders.currency()));
    return "buy/slow";
  }

  @GetMapping("/buy/slow.csv")
  ResponseEntity<byte[]> csv() {
    CsvAnswer csv =
        new CsvAnswer(
            "make", "number", "unit", "free", "yearly_use", "surplus", "worth", "currency", "why");
    for (SlowDesk.Lying one : desk.lying()) {
      csv.row(
          one.subject().lead().make(),
          one.subject().lead().number(),
          one.subject().free().measure().symbol(),
          one.subject().free().exactText(),
          one.subject().cover().needed().exactText(),
          one.slow().surplus().exactText(),
          one.worth().exactText(),
          one.worth().currency().getCurrencyCode(),
          why(one.slow()));
    }
    return csv.as("slow.csv");
  }

  private static SlowView view(List<SlowDesk.Lying> lying, Currency currency) {
    Money worth =
        lying.stream().map(SlowDesk.Lying::worth).reduce(Money.zero(currency), Money::plus);
    return new SlowView(
        Words.count(lying.size(), "thing", "things") + ", " + worth.display() + " too much",
        lying.stream().map(SlowController::row).toList());
  }

  private static SlowView.Row row(SlowDesk.Lying one) {
    return new SlowView.Row(
        Plate.of(one.subject().lead()),
        one.subject().product().map(Drum::of),
        State.note(why(one.slow())),
        one.subject().free().display(),
        one.slow().surplus().display(),
        one.worth().display(),
        todo(one));
  }

  private static String why(SlowStock slow) {
    return switch (slow.kind()) {
      case NO_UNIT -> "no machine names it";
      case NOT_WITHIN_A_YEAR -> "not within a year";
      case FOR_YEARS ->
          "lasts " + slow.years().map(BigDecimal::toPlainString).orElseThrow() + " years";
    };
  }

  private static String todo(SlowDesk.Lying one) {
    String back =
        one.sellers().isEmpty()
            ? "Nobody sells it, so nobody takes it back: "
            : "Ask " + String.join(" or ", one.sellers()) + " to take it back, else ";
    return switch (one.slow().kind()) {
      case NO_UNIT ->
          "Its page says what it may stand in for: use it up there. " + back + "write it off.";
      case NOT_WITHIN_A_YEAR -> back + "keep it for what stops a machine, and do not buy it again.";
      case FOR_YEARS -> back + "use it up: mark the item as running out.";
    };
  }
}
