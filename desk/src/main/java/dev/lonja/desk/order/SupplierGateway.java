package dev.lonja.desk.order;

import dev.lonja.core.order.Order;
import dev.lonja.core.order.SupplierAnswer;
import java.util.List;

/**
 * The systems of suppliers that take orders and answer them. What is handed over a second time
 * under the same message is taken once. Answers wait until they are acknowledged.
 */
public interface SupplierGateway {

  /** True if orders can be handed to a supplier of this name. */
  boolean reaches(String supplier);

  /**
   * Hands an order over.
   *
   * @param message tells this one from any other
   * @return false if it could not be handed over now
   */
  boolean hand(String message, Order order);

  /** The answers that wait, the oldest first. */
  List<SupplierAnswer> waiting();

  /** Lets go of an answer that was taken in. */
  void acknowledge(SupplierAnswer answer);
}
