package dev.lonja.core.take;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.Boxes;
import dev.lonja.core.machine.Ways;
import dev.lonja.core.policy.InForce;
import dev.lonja.core.policy.Question;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.service.TaskId;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Chooses between kits and loose parts for what a service takes, by the school in force (rules §6).
 * A kit comes into question if it covers two lines at least; it covers every line that its contents
 * match, what it lacks stays, and what is left over is expected back. Kits are chosen one after the
 * other until none is better than what is left of the lines.
 */
public final class KitChoice {

  /** The fewest lines that a kit stands for. */
  private static final int LEAST_LINES = 2;

  private final KitShelf shelf;
  private final InForce way;

  private KitChoice(KitShelf shelf, InForce way) {
    this.shelf = shelf;
    this.way = way;
  }

  /**
   * A line of what is taken after the choice.
   *
   * @param source which of the lines before the choice it is, or the first that a kit stands for
   */
  public record Chosen(int source, TakeLine line) {}

  /**
   * The lines with the kits that are chosen in place of what they cover. A line that a kit might
   * have covered names the policy by which it stays loose. Only kits that are made for the machine
   * come into question.
   *
   * @param ways how things are done on the machine, kit or loose among them
   */
  public static List<Chosen> among(List<TakeLine> lines, Ways ways, KitShelf shelf) {
    return new KitChoice(
            ways.variant().map(shelf::madeFor).orElse(shelf),
            ways.policies().of(Question.KIT_OR_LOOSE))
        .choose(lines);
  }

  /** The same without where the lines come from. */
  public static List<TakeLine> of(List<TakeLine> lines, Ways ways, KitShelf shelf) {
    return among(lines, ways, shelf).stream().map(Chosen::line).toList();
  }

  private List<Chosen> choose(List<TakeLine> lines) {
    List<Chosen> loose = new ArrayList<>();
    for (int i = 0; i < lines.size(); i++) {
      loose.add(new Chosen(i, lines.get(i)));
    }
    List<Chosen> kits = new ArrayList<>();
    Set<Integer> named =
        offers(loose).stream()
            .flatMap(offer -> offer.sources().stream())
            .collect(Collectors.toSet());
    Optional<Offer> best = best(loose);
    while (best.isPresent()) {
      kits.add(new Chosen(best.get().sources().get(0), line(best.get())));
      loose = best.get().rest();
      best = best(loose);
    }
    List<Chosen> all = new ArrayList<>(kits);
    loose.stream()
        .map(
            one ->
                named.contains(one.source()) ? new Chosen(one.source(), one.line().by(way)) : one)
        .forEach(all::add);
    return all;
  }

  /** A kit held against lines. */
  private record Offer(ItemId kit, List<Chosen> lines, KitCover cover) {

    /** The lines that it covers, whole or in part. */
    List<Integer> sources() {
      return lines.stream()
          .filter(one -> covered(one.line()).isPresent())
          .map(Chosen::source)
          .toList();
    }

    private Optional<KitCover.Covered> covered(TakeLine line) {
      // the same line object, since two lines may say the same
      return cover.covered().stream().filter(c -> c.line() == line).findFirst();
    }

    List<Chosen> rest() {
      List<Chosen> rest = new ArrayList<>();
      for (Chosen one : lines) {
        TakeLine left =
            covered(one.line()).map(c -> one.line().less(c.pieces())).orElse(one.line());
        if (left.toLay().isPositive()) {
          rest.add(new Chosen(one.source(), left));
        }
      }
      return rest;
    }

    BigDecimal surplusPieces() {
      return cover.surplus().stream()
          .map(s -> s.pieces().amount())
          .reduce(BigDecimal.ZERO, BigDecimal::add);
    }
  }

  private List<Offer> offers(List<Chosen> loose) {
    List<TakeLine> lines = loose.stream().map(Chosen::line).toList();
    return shelf.kits().entrySet().stream()
        .map(kit -> new Offer(kit.getKey(), loose, KitCover.of(lines, kit.getValue())))
        .filter(offer -> offer.cover().covered().size() >= LEAST_LINES)
        .toList();
  }

  private Optional<Offer> best(List<Chosen> loose) {
    Comparator<Offer> byNumber = Comparator.comparing(Offer::kit);
    Comparator<Offer> byCover =
        Comparator.comparing((Offer offer) -> offer.cover().coveredPieces())
            .reversed()
            .thenComparing(Offer::surplusPieces)
            .thenComparing(byNumber);
    List<Offer> offers = offers(loose);
    return switch (way.school()) {
      case ALWAYS_KIT -> offers.stream().min(byCover);
      case KIT_IF_ALL_NEEDED ->
          offers.stream().filter(offer -> offer.cover().surplus().isEmpty()).min(byCover);
      case CHEAPEST_COVER ->
          offers.stream()
              .filter(offer -> saving(offer).filter(s -> s.signum() > 0).isPresent())
              .min(
                  Comparator.comparing((Offer offer) -> saving(offer).orElseThrow())
                      .reversed()
                      .thenComparing(Offer::surplusPieces)
                      .thenComparing(byNumber));
      default -> Optional.empty();
    };
  }

  private TakeLine line(Offer offer) {
    List<KitCover.Covered> covered = offer.cover().covered();
    Set<TaskId> tasks =
        covered.stream().map(one -> one.line().taskId()).collect(Collectors.toSet());
    return new TakeLine(
        covered.get(0).line().taskId(),
        offer.kit(),
        "Kit",
        Destination.NONE,
        Quantity.pieces(1),
        Quantity.pieces(1),
        new TakeLine.Reason.Kit(covered.size(), tasks, back(offer)),
        List.of(way));
  }

  /**
   * What the kit saves, in minor units: the loose parts that are expected to be used, less the kit
   * without what of it comes back and will be used in a year. Empty if a price is not known.
   */
  private Optional<BigDecimal> saving(Offer offer) {
    BigDecimal saving = BigDecimal.ZERO;
    for (KitCover.Covered covered : offer.cover().covered()) {
      Optional<BigDecimal> one = minor(shelf.prices(), covered.line().itemId());
      if (one.isEmpty()) {
        return Optional.empty();
      }
      saving = saving.add(one.get().multiply(used(covered).amount()));
    }
    for (Map.Entry<ItemId, Quantity> back : back(offer).entrySet()) {
      BigDecimal pieces = back.getValue().amount();
      if (usedInAYear(back.getKey()).compareTo(pieces) >= 0) {
        saving =
            saving.add(
                minor(shelf.averages(), back.getKey())
                    .map(pieces::multiply)
                    .orElse(BigDecimal.ZERO));
      }
    }
    BigDecimal sum = saving;
    return minor(shelf.prices(), offer.kit()).map(sum::subtract);
  }

  /** What is expected back: what nobody asked for, and of an uncertain line what is not used. */
  private Map<ItemId, Quantity> back(Offer offer) {
    Map<ItemId, Quantity> back = new HashMap<>();
    for (KitCover.Covered covered : offer.cover().covered()) {
      Quantity left = covered.pieces().minus(used(covered));
      if (left.isPositive()) {
        back.merge(covered.line().itemId(), left, Quantity::plus);
      }
    }
    List<Boxes.Content> contents = shelf.kits().get(offer.kit());
    for (KitCover.Surplus surplus : offer.cover().surplus()) {
      // of the same thing under several numbers it counts as the one that is used most
      contents.get(surplus.content()).items().stream()
          .max(Comparator.comparing(this::usedInAYear).thenComparing(Comparator.naturalOrder()))
          .ifPresent(item -> back.merge(item, surplus.pieces(), Quantity::plus));
    }
    return back;
  }

  /** Of an uncertain line only the expected share of what the kit brings is used. */
  private static Quantity used(KitCover.Covered covered) {
    TakeLine line = covered.line();
    return line.expected().equals(line.toLay())
        ? covered.pieces()
        : covered
            .pieces()
            .times(line.expected().amount().divide(line.toLay().amount(), MathContext.DECIMAL64));
  }

  private BigDecimal usedInAYear(ItemId item) {
    return Optional.ofNullable(shelf.yearUse().get(item))
        .map(Quantity::amount)
        .orElse(BigDecimal.ZERO);
  }

  private static Optional<BigDecimal> minor(Map<ItemId, UnitPrice> prices, ItemId item) {
    return Optional.ofNullable(prices.get(item))
        .map(price -> BigDecimal.valueOf(price.tenThousandthsOfMinor(), 4));
  }
}
