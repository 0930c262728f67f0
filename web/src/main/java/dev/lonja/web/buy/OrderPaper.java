package dev.lonja.web.buy;

import dev.lonja.core.order.Order;
import dev.lonja.core.order.OrderLine;
import dev.lonja.core.quantity.Money;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;

/**
 * An order as it goes to the supplier: on paper, as text for an e-mail, and as JSON.
 *
 * @param number of the order
 * @param date when it was sent, or begun while it is a draft
 * @param freight nothing if there is none
 */
public record OrderPaper(
    String number,
    String date,
    String buyer,
    String supplier,
    String note,
    String currency,
    List<Line> lines,
    String worth,
    String freight,
    String total) {

  /**
   * One line.
   *
   * @param theirs what the supplier calls it; may be empty
   * @param wantedOn when it is to be there; empty in a draft
   */
  public record Line(
      String id,
      String theirs,
      String make,
      String number,
      String description,
      String quantity,
      String unit,
      String price,
      String cost,
      String wantedOn) {}

  static OrderPaper of(Order order, String buyer, Currency currency) {
    Money worth = order.worth(currency);
    Money freight = order.freight(currency);
    return new OrderPaper(
        order.id().toString(),
        order.sentOn().orElse(order.madeOn()).toString(),
        buyer,
        order.supplier().name(),
        order.note(),
        currency.getCurrencyCode(),
        order.lines().stream().map(OrderPaper::line).toList(),
        worth.exactText(),
        freight.exactText(),
        worth.plus(freight).exactText());
  }

  private static Line line(OrderLine line) {
    return new Line(
        line.id().toString(),
        line.theirNumber(),
        line.item().make(),
        line.item().number(),
        line.item().description(),
        line.ordered().exactText(),
        line.item().measure().symbol(),
        line.holds().exactText(),
        line.cost().exactText(),
        line.fate().promisedOn().map(LocalDate::toString).orElse(""));
  }

  /** As lines of text, for an e-mail. */
  List<String> text() {
    List<String> text = new ArrayList<>();
    text.add(buyer + ", order " + number + " of " + date + ", to " + supplier);
    text.add("");
    for (Line line : lines) {
      text.add(
          line.quantity()
              + " "
              + line.unit()
              + "  "
              + (line.theirs().isEmpty() ? "" : line.theirs() + "  ")
              + line.make()
              + " "
              + line.number()
              + (line.description().isEmpty() ? "" : ", " + line.description())
              + ", at "
              + line.price()
              + " = "
              + line.cost()
              + (line.wantedOn().isEmpty() ? "" : ", wanted by " + line.wantedOn()));
    }
    text.add("");
    text.add("Together " + worth + " " + currency + ", with freight " + total + " " + currency);
    if (!note.isEmpty()) {
      text.add("");
      text.add(note);
    }
    return text;
  }
}
