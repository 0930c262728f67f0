package dev.lonja.core.machine;

import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.policy.Question;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.quantity.Volume;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What may go where a filter sits, for those who do not simply take what is chosen there.
 *
 * @param byPlace by position, what the store keeps that fits there without a look, the chosen item
 *     among it; what is absent leaves nothing to choose
 */
public record FilterOptions(Map<PositionId, List<Option>> byPlace) {

  /** Nothing to choose. */
  public static final FilterOptions NONE = new FilterOptions(Map.of());

  /**
   * Something that fits.
   *
   * @param price the lowest known
   * @param volume the oil it takes up, where known
   */
  public record Option(
      ItemId itemId, String make, Optional<UnitPrice> price, Optional<Volume> volume) {}

  public FilterOptions {
    byPlace = Map.copyOf(byPlace);
  }

  /**
   * What a machine is made of with the filters that the school in force at each position takes.
   * What is chosen there stays where its maker has none that fits, where nothing has a price, and
   * where it costs no more than any other.
   */
  public UnitNeeds chosen(UnitNeeds needs) {
    return byPlace.isEmpty()
        ? needs
        : needs.with(
            needs.compartments(),
            needs.positions().stream().map(position -> chosen(needs, position)).toList());
  }

  private Position chosen(UnitNeeds needs, Position position) {
    List<Option> options = byPlace.getOrDefault(position.id(), List.of());
    boolean asked = Question.FILTER_MAKE.kinds().contains(position.kind());
    if (!asked || position.itemId().isEmpty() || options.isEmpty()) {
      return position;
    }
    ItemId chosen = position.itemId().get();
    Stream<Option> allowed =
        switch (needs.ways().policies().at(Question.FILTER_MAKE, position).school()) {
          case MACHINE_MAKER_ONLY ->
              options.stream().filter(option -> needs.ways().takesMake(position, option.make()));
          case CHEAPEST_THAT_FITS -> options.stream().filter(option -> option.price().isPresent());
          default -> Stream.empty();
        };
    return allowed
        .min(
            Comparator.comparing(FilterOptions::cost)
                .thenComparing((Option option) -> !option.itemId().equals(chosen))
                .thenComparing(Option::itemId))
        .filter(option -> !option.itemId().equals(chosen))
        .map(option -> position.withItem(option.itemId(), option.volume()))
        .orElse(position);
  }

  private static long cost(Option option) {
    return option.price().map(UnitPrice::tenThousandthsOfMinor).orElse(Long.MAX_VALUE);
  }
}
