package dev.lonja.core.order;

import dev.lonja.core.text.Lengths;
import java.util.List;

/**
 * What a supplier said of an order at once.
 *
 * @param message tells it from any other; the same again is the same answer
 * @param order as they name it; perhaps none that the store has
 */
public record SupplierAnswer(String message, String supplier, OrderId order, List<Said> said) {

  public SupplierAnswer {
    said = List.copyOf(said);
    if (message.isBlank() || message.length() > Lengths.BARCODE) {
      throw new IllegalArgumentException(
          "message is \"" + message + "\"; allowed are 1 to " + Lengths.BARCODE + " characters");
    }
  }
}
