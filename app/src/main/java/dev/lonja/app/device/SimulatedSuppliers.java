package dev.lonja.app.device;

import dev.lonja.core.order.Order;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.order.OrderLine;
import dev.lonja.core.order.Said;
import dev.lonja.core.order.SupplierAnswer;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.desk.bench.AnsweringSuppliers;
import dev.lonja.desk.order.SupplierGateway;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/**
 * A stand-in for the systems of all suppliers. What is handed over is answered at once, by a seed
 * and the order's number: mostly yes, now and then dearer, later, in part or not at all.
 */
@Component
@Profile("bench")
public class SimulatedSuppliers implements SupplierGateway, AnsweringSuppliers {

  private static final long SEED = 20_270_315;

  /** Of ten answers the first six say yes. */
  private static final List<Mood> USUAL =
      List.of(
          Mood.CONFIRM,
          Mood.CONFIRM,
          Mood.CONFIRM,
          Mood.CONFIRM,
          Mood.CONFIRM,
          Mood.CONFIRM,
          Mood.DEARER,
          Mood.LATER,
          Mood.LATER,
          Mood.SHIP_PART);

  private static final BigDecimal TENTH_MORE = new BigDecimal("1.1");
  private static final int FERRY_DAYS = 7;

  private final Map<OrderId, Order> orders = new LinkedHashMap<>();
  private final Set<String> messages = new HashSet<>();
  private final Deque<SupplierAnswer> answers = new ArrayDeque<>();
  private Optional<SupplierAnswer> last = Optional.empty();
  private int count;
  private boolean cut;

  @Override
  public boolean reaches(String supplier) {
    return true;
  }

  @Override
  public synchronized boolean hand(String message, Order order) {
    if (cut) {
      return false;
    }
    if (messages.add(message)) {
      orders.put(order.id(), order);
      answer(order.id(), USUAL.get(new Random(SEED + order.id().value()).nextInt(USUAL.size())));
    }
    return true;
  }

  @Override
  public synchronized List<SupplierAnswer> waiting() {
    return cut ? List.of() : List.copyOf(answers);
  }

  @Override
  public synchronized void acknowledge(SupplierAnswer answer) {
    answers.remove(answer);
  }

  @Override
  public synchronized List<OrderId> taken() {
    List<OrderId> latestFirst = new ArrayList<>();
    orders.keySet().forEach(id -> latestFirst.add(0, id));
    return latestFirst;
  }

  @Override
  public synchronized void setCut(boolean isCut) {
    cut = isCut;
  }

  @Override
  public synchronized boolean isCut() {
    return cut;
  }

  @Override
  public synchronized void answer(OrderId id, Mood mood) {
    Order order = orders.get(id);
    if (order == null) {
      return;
    }
    if (mood == Mood.TWICE) {
      last.ifPresent(answers::add);
      return;
    }
    count++;
    OrderId about = mood == Mood.UNKNOWN_ORDER ? new OrderId(id.value() + 900_000) : id;
    SupplierAnswer answer =
        new SupplierAnswer(
            "answer-" + id + "-" + count, order.supplier().name(), about, said(order, mood));
    last = Optional.of(answer);
    answers.add(answer);
  }

  private static List<Said> said(Order order, Mood mood) {
    List<Said> said = new ArrayList<>();
    for (OrderLine line : order.lines()) {
      said.add(said.isEmpty() ? first(line, mood) : yes(line, mood));
    }
    return said;
  }

  /** What is said of the first line, which is the one that troubles happen to. */
  private static Said first(OrderLine line, Mood mood) {
    LocalDate day = promised(line);
    return switch (mood) {
      case SHIP_PART -> new Said.Shipped(line.id(), half(line.ordered()), day);
      case SUPERSEDE -> new Said.Superseded(line.id(), line.theirNumber() + "-B");
      case CANCEL -> new Said.Cancelled(line.id(), "not made any more");
      case NONSENSE ->
          new Said.Confirmed(line.id(), line.ordered().negated(), Optional.empty(), day);
      case CONFIRM, DEARER, LATER, UNKNOWN_ORDER, TWICE -> yes(line, mood);
    };
  }

  private static Said yes(OrderLine line, Mood mood) {
    LocalDate day = promised(line);
    return new Said.Confirmed(
        line.id(),
        line.ordered(),
        mood == Mood.DEARER ? Optional.of(dearer(line.price())) : Optional.empty(),
        mood == Mood.LATER ? day.plusDays(FERRY_DAYS) : day);
  }

  private static LocalDate promised(OrderLine line) {
    return line.fate().promisedOn().orElseThrow();
  }

  private static UnitPrice dearer(UnitPrice price) {
    BigDecimal more =
        new BigDecimal(price.exactText()).multiply(TENTH_MORE).setScale(2, RoundingMode.HALF_UP);
    return UnitPrice.of(more, price.currency());
  }

  /** Half of it, pieces rounded up. */
  private static Quantity half(Quantity ordered) {
    BigDecimal half = ordered.amount().divide(BigDecimal.valueOf(2));
    return Quantity.of(ordered.measure(), half.setScale(0, RoundingMode.CEILING));
  }
}
