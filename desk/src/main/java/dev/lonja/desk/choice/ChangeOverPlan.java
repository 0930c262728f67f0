package dev.lonja.desk.choice;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.forecast.Demand;
import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.item.Item;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.store.Session;
import dev.lonja.store.fluid.StudyRepository.Line;
import dev.lonja.store.fluid.StudyRepository.Study;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * When each compartment changes over to what a study proposes: on the first planned day on which
 * what is left of the old product no longer covers its fill. The stock of the old product is used
 * up before; what no plan uses within a year stays and is named.
 */
public final class ChangeOverPlan {

  private static final int WEEKS = 52;

  private final Session session;
  private final FluidBook book;
  private final LocalDate today;
  private final FleetPicture fleet;

  /**
   * A compartment's change-over.
   *
   * @param item the pack to take then
   */
  public record Change(
      CompartmentId compartmentId, ProductId from, ProductId to, Item item, LocalDate on) {}

  /** Old stock that is left over when everything has changed. */
  public record Rest(ProductId productId, Quantity litres) {}

  public record Plan(List<Change> changes, List<Rest> rests) {}

  public ChangeOverPlan(Session session, LocalDate today) {
    this.session = session;
    this.today = today;
    this.book = FluidBook.load(session, today);
    this.fleet = FleetPicture.load(session, today);
  }

  public Plan of(Study study) {
    Map<CompartmentId, Line> changing = new LinkedHashMap<>();
    study.lines().stream()
        .filter(line -> line.today().isPresent() && line.proposed().isPresent())
        .filter(line -> !line.today().equals(line.proposed()))
        .forEach(line -> changing.putIfAbsent(line.compartmentId(), line));
    Map<ProductId, Quantity> left = new LinkedHashMap<>();
    changing.values().forEach(line -> left.computeIfAbsent(line.today().orElseThrow(), book::free));
    Map<CompartmentId, LocalDate> days = days(changing, left);
    List<Change> changes = new ArrayList<>();
    for (Line line : changing.values()) {
      ProductId to = line.proposed().orElseThrow();
      pack(to)
          .ifPresent(
              item ->
                  changes.add(
                      new Change(
                          line.compartmentId(),
                          line.today().orElseThrow(),
                          to,
                          item,
                          days.getOrDefault(line.compartmentId(), today))));
    }
    return new Plan(
        changes,
        left.entrySet().stream()
            .filter(entry -> entry.getValue().isPositive())
            .filter(entry -> !study.chosen().contains(entry.getKey()))
            .map(entry -> new Rest(entry.getKey(), entry.getValue()))
            .toList());
  }

  /** Walks the year's fills in order of their days, drawing on the old stock while it lasts. */
  private Map<CompartmentId, LocalDate> days(
      Map<CompartmentId, Line> changing, Map<ProductId, Quantity> left) {
    Map<CompartmentId, LocalDate> days = new LinkedHashMap<>();
    PlanLine plan =
        PlanLine.of(fleet.plans(PlanLine.lastDay(today, WEEKS)), List.of(), today, WEEKS);
    Map<CompartmentId, LocalDate> lastUse = new LinkedHashMap<>();
    for (Demand demand : plan.demands()) {
      Optional<CompartmentId> id = demand.line().destination().compartmentId();
      Optional<Line> line = id.map(changing::get).filter(Objects::nonNull);
      if (line.isEmpty() || days.containsKey(id.get())) {
        continue;
      }
      ProductId old = line.get().today().orElseThrow();
      Quantity rest = left.get(old);
      if (demand.line().toLay().compareTo(rest) > 0) {
        days.put(id.get(), demand.date());
      } else {
        left.put(old, rest.minus(demand.line().toLay()));
        lastUse.put(id.get(), demand.date());
      }
    }
    // what the old stock lasts for all the year changes over after its last fill
    lastUse.forEach((id, day) -> days.putIfAbsent(id, day.plusDays(1)));
    return days;
  }

  /** The pack to prefer: the one of which most is here, else the smallest. */
  private Optional<Item> pack(ProductId product) {
    return book.packs(product).stream()
        .max(
            (a, b) -> {
              int byStock = book.freeOf(a).compareTo(book.freeOf(b));
              return byStock != 0
                  ? byStock
                  : b.pack().orElseThrow().compareTo(a.pack().orElseThrow());
            });
  }
}
