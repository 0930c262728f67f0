package dev.lonja.core.order;

import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.text.Lengths;
import java.time.LocalDate;
import java.util.Optional;

/** What a supplier said of one line of an order. */
public sealed interface Said {

  OrderLineId line();

  /**
   * They will bring so much of it.
   *
   * @param quantity of the whole line, with what came already; nothing if none of it will come
   * @param price what they ask for it; empty if they say nothing of that
   * @param arrives when it is to be there
   */
  record Confirmed(
      OrderLineId line, Quantity quantity, Optional<UnitPrice> price, LocalDate arrives)
      implements Said {}

  /** So much of it is on its way; the rest is still to come. */
  record Shipped(OrderLineId line, Quantity quantity, LocalDate arrives) implements Said {}

  /**
   * They sell another number in its place now; nothing is agreed yet.
   *
   * @param number cut to what is kept of a text
   */
  record Superseded(OrderLineId line, String number) implements Said {
    public Superseded {
      number = kept(number);
    }
  }

  /**
   * What has not come will not come.
   *
   * @param why cut to what is kept of a text; says so where they say nothing
   */
  record Cancelled(OrderLineId line, String why) implements Said {
    public Cancelled {
      why = kept(why.isBlank() ? "no reason given" : why);
    }
  }

  private static String kept(String text) {
    String said = text.strip();
    return said.length() <= Lengths.REASON ? said : said.substring(0, Lengths.REASON);
  }
}
