package dev.lonja.desk.replay;

import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.replay.Course;
import dev.lonja.core.replay.Past;
import dev.lonja.core.replay.Span;
import dev.lonja.store.replay.PastRepository.Net;
import dev.lonja.store.replay.PastRepository.ShortLine;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What happened to each thing within a span: all that moved, with what stood short counted on the
 * day on which it was wanted, not on the one on which it was handed over at last.
 */
record StorePast(Span span, List<Net> movements, List<ShortLine> shortLines) {

  private static final Set<MovementKind> USES = EnumSet.of(MovementKind.ISSUE, MovementKind.POUR);

  /** What only goes from one place to another. */
  private static final Set<MovementKind> WITHIN =
      EnumSet.of(MovementKind.TRANSFER, MovementKind.OPENED);

  StorePast {
    movements = List.copyOf(movements);
    shortLines = List.copyOf(shortLines);
  }

  /**
   * The past of one subject.
   *
   * @param worth of one
   */
  Past of(Subject subject, UnitPrice worth) {
    Set<ItemId> items = subject.items().stream().map(Item::id).collect(Collectors.toSet());
    Quantity atStart = Quantity.zero(subject.free().measure());
    List<Past.On> asked = new ArrayList<>();
    List<Past.On> changes = new ArrayList<>();
    List<Past.On> came = new ArrayList<>();
    List<Net> its =
        movements.stream()
            .filter(net -> items.contains(net.itemId()) && !WITHIN.contains(net.kind()))
            .filter(net -> !net.day().isAfter(span.last()))
            .toList();
    List<ShortLine> lines =
        shortLines.stream().filter(line -> items.contains(line.itemId())).toList();
    for (Net net : together(its)) {
      Past.On on = new Past.On(net.day(), net.quantity());
      if (net.day().isBefore(span.first())) {
        atStart = atStart.plus(net.quantity());
      } else if (USES.contains(net.kind())) {
        useOnItsDay(net, lines).ifPresent(asked::add);
      } else if (net.kind() == MovementKind.RECEIPT) {
        came.add(on);
      } else {
        changes.add(on);
      }
    }
    lines.forEach(line -> asked.add(new Past.On(line.wantedOn(), line.lacking())));
    return new Past(
        atStart.atLeastZero(),
        within(asked),
        within(changes),
        within(came),
        lines.stream().map(this::stoodShort).toList(),
        worth);
  }

  /** What one tray took of an item in a day is one line, from however many lots it came. */
  private static Collection<Net> together(List<Net> nets) {
    Map<List<Object>, Net> lines = new LinkedHashMap<>();
    for (Net net : nets) {
      boolean isOfTray = USES.contains(net.kind()) && !net.reference().isEmpty();
      List<Object> line =
          isOfTray
              ? List.of(net.itemId(), net.day(), net.kind(), net.reference())
              : List.of(lines.size());
      lines.merge(line, net, (one, more) -> one.plus(more.quantity(), more.value()));
    }
    return lines.values();
  }

  private List<Past.On> within(List<Past.On> all) {
    return all.stream().filter(on -> !on.day().isBefore(span.first())).toList();
  }

  /** What was used, less what had been lacking before and is counted on the day it was wanted. */
  private static Optional<Past.On> useOnItsDay(Net net, List<ShortLine> lines) {
    Quantity late =
        lines.stream()
            .filter(line -> line.servedOn().isPresent() && line.byTray().equals(net.reference()))
            .map(ShortLine::lacking)
            .reduce(Quantity.zero(net.quantity().measure()), Quantity::plus);
    Quantity used = Quantity.zero(late.measure()).minus(net.quantity());
    Quantity left = used.minus(late);
    return left.isPositive() ? Optional.of(new Past.On(net.day(), left)) : Optional.empty();
  }

  private Past.ShortLine stoodShort(ShortLine line) {
    LocalDate never = span.last().plusDays(1);
    LocalDate until = line.servedOn().orElse(line.isDropped() ? line.wantedOn() : never);
    return new Past.ShortLine(line.wantedOn(), until, line.lacking());
  }

  /**
   * What was received within the span, and what it cost.
   *
   * @param lowest price of one
   */
  Course.Orders received(Subject subject, UnitPrice lowest) {
    Set<ItemId> items = subject.items().stream().map(Item::id).collect(Collectors.toSet());
    Course.Orders orders = Course.Orders.none(lowest.currency());
    for (Net net : movements) {
      boolean isIn =
          items.contains(net.itemId())
              && net.kind() == MovementKind.RECEIPT
              && !net.day().isBefore(span.first())
              && !net.day().isAfter(span.last());
      if (isIn) {
        orders = orders.and(net.value(), above(net.value(), lowest.valueOf(net.quantity())));
      }
    }
    return orders;
  }

  /** What was paid beyond the lowest price. */
  static Money above(Money paid, Money lowest) {
    return new Money(Math.max(0, paid.minor() - lowest.minor()), paid.currency());
  }
}
