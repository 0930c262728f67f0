package dev.lonja.desk.choice;

import dev.lonja.core.choice.ChangeOverPlan;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.item.Item;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fleet.Kits;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.store.Session;
import dev.lonja.store.fluid.StudyRepository.Study;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The change-overs of a study: when, and to which pack.
 *
 * @param rests old stock that is left over when everything has changed
 */
public record ChangeOvers(List<Change> changes, List<Rest> rests) {

  private static final int WEEKS = 52;

  /**
   * A compartment's change-over.
   *
   * @param item the pack to take then
   */
  public record Change(
      CompartmentId compartmentId, ProductId from, ProductId to, Item item, LocalDate on) {}

  /** Old stock that is left over. */
  public record Rest(ProductId productId, Quantity litres) {}

  /** A compartment whose proposed product has no pack on file does not change over. */
  public static ChangeOvers of(Session session, LocalDate today, Study study) {
    FluidBook book = FluidBook.load(session, today);
    List<ChangeOverPlan.Change> wanted = wanted(study);
    Map<ProductId, Quantity> free = new HashMap<>();
    wanted.forEach(change -> free.computeIfAbsent(change.from(), book::free));
    FleetPicture fleet = FleetPicture.load(session, today);
    PlanLine year = fleet.planLine(PlanLine.Beside.NOTHING, Kits.of(session, fleet), WEEKS);
    ChangeOverPlan plan =
        ChangeOverPlan.of(wanted, free, year.planned(), Set.copyOf(study.chosen()), today);
    return new ChangeOvers(
        wanted.stream().flatMap(change -> change(book, plan, change).stream()).toList(),
        plan.rests().entrySet().stream()
            .map(rest -> new Rest(rest.getKey(), rest.getValue()))
            .toList());
  }

  private static List<ChangeOverPlan.Change> wanted(Study study) {
    Map<CompartmentId, ChangeOverPlan.Change> wanted = new LinkedHashMap<>();
    study.lines().stream()
        .filter(line -> line.today().isPresent() && line.proposed().isPresent())
        .filter(line -> !line.today().equals(line.proposed()))
        .forEach(
            line ->
                wanted.putIfAbsent(
                    line.compartmentId(),
                    new ChangeOverPlan.Change(
                        line.compartmentId(),
                        line.today().orElseThrow(),
                        line.proposed().orElseThrow())));
    return List.copyOf(wanted.values());
  }

  private static Optional<Change> change(
      FluidBook book, ChangeOverPlan plan, ChangeOverPlan.Change change) {
    return pack(book, change.to())
        .map(
            item ->
                new Change(
                    change.compartmentId(),
                    change.from(),
                    change.to(),
                    item,
                    plan.days().get(change.compartmentId())));
  }

  /** The pack to prefer: the one of which most is here, else the smallest. */
  private static Optional<Item> pack(FluidBook book, ProductId product) {
    Comparator<Item> mostHere = Comparator.comparing(book::freeOf);
    Comparator<Item> largest = Comparator.comparing(item -> item.litres().orElseThrow());
    return book.packs(product).stream().max(mostHere.thenComparing(largest.reversed()));
  }
}
