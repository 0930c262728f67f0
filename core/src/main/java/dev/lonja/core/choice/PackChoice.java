package dev.lonja.core.choice;

import dev.lonja.core.quantity.Volume;
import java.math.BigInteger;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Which packs cover a need at the least money paid, less what the leftover that is used in time is
 * worth: the lowest price per litre among the kinds that alone would cover the need without waste.
 * A set that outlives its shelf life in part is taken only if nothing else covers the need; then
 * the one with the least waste. No set holds a pack that could be left out. Ties go to what is paid
 * less, then to fewer packs, then to the larger packs.
 *
 * <p>An exact search over all sets that cannot beat the bound; meant for up to some ten kinds of
 * pack and a need of some hundred packs.
 */
public final class PackChoice {

  private final List<Pack> kinds;
  private final Volume need;
  private final FutureUse use;
  private final Optional<Pack> worth;
  private final Comparator<PackSet> order;
  private final List<PackSet> best = new ArrayList<>();
  private boolean wasteAllowed;

  /**
   * What was found.
   *
   * @param runnerUp the next best, if there is another
   * @param wasteful true if part of the leftover outlives its shelf life, for want of a better set
   */
  public record Choice(PackSet best, Optional<PackSet> runnerUp, boolean wasteful) {}

  private PackChoice(Volume need, List<Pack> packs, FutureUse use) {
    this.need = need;
    this.use = use;
    this.kinds = packs.stream().sorted(PackChoice::cheapestPerLitre).toList();
    this.worth = kinds.stream().filter(this::coversAloneWithoutWaste).findFirst();
    this.order =
        Comparator.comparing(PackSet::wastedSealed)
            .thenComparing(this::scaledCost)
            .thenComparing(set -> set.paid().minor())
            .thenComparing(PackSet::packs)
            .thenComparing(this::countsLargestFirst, Comparator.reverseOrder());
  }

  /**
   * @param need above zero
   * @param packs all priced in one currency
   * @return empty if the packs there are do not cover the need
   */
  public static Optional<Choice> of(Volume need, List<Pack> packs, FutureUse use) {
    if (need.microlitres() <= 0) {
      throw new IllegalArgumentException("need is 0; allowed is more than 0");
    }
    return new PackChoice(need, packs, use).choose();
  }

  private Optional<Choice> choose() {
    search(0, new ArrayList<>(), 0, 0);
    boolean wasteful = best.isEmpty();
    if (wasteful) {
      wasteAllowed = true;
      search(0, new ArrayList<>(), 0, 0);
    }
    return best.isEmpty()
        ? Optional.empty()
        : Optional.of(new Choice(best.get(0), best.stream().skip(1).findFirst(), wasteful));
  }

  private void search(int kind, List<PackSet.Count> taken, long microlitres, long paid) {
    if (microlitres >= need.microlitres()) {
      offer(PackSet.of(taken, need, use));
      return;
    }
    if (kind == kinds.size() || cannotBeat(kind, microlitres, paid)) {
      return;
    }
    Pack pack = kinds.get(kind);
    int most = most(pack, need.microlitres() - microlitres);
    for (int packs = most; packs >= 0; packs = packs == pack.least() ? 0 : packs - 1) {
      taken.add(new PackSet.Count(pack, packs));
      long litres = packs * pack.litres().microlitres();
      search(kind + 1, taken, microlitres + litres, paid + packs * pack.price().minor());
      taken.remove(taken.size() - 1);
      if (packs == 0) {
        return;
      }
    }
  }

  /** As many as cover what is left, or as there are; none if that is below the least. */
  private static int most(Pack pack, long missing) {
    long wanted = Math.max(-Math.floorDiv(-missing, pack.litres().microlitres()), pack.least());
    long most = Math.min(wanted, pack.exist().orElse(Integer.MAX_VALUE));
    return most < pack.least() ? 0 : Math.toIntExact(most);
  }

  private void offer(PackSet set) {
    boolean wastes = set.wastedSealed().microlitres() > 0;
    if ((wastes && !wasteAllowed) || set.holdsTooMuch()) {
      return;
    }
    best.add(set);
    best.sort(order);
    if (best.size() > 2) {
      best.remove(2);
    }
  }

  /**
   * True if every set that begins so costs more than the runner-up: what is missing costs at least
   * the lowest price per litre of the kinds to come. That holds while no leftover is worth more.
   */
  private boolean cannotBeat(int kind, long microlitres, long paid) {
    Pack cheapest = kinds.get(kind);
    boolean leftoverIsDearer =
        worth.filter(pack -> cheapestPerLitre(cheapest, pack) < 0).isPresent();
    if (best.size() < 2 || wasteAllowed || leftoverIsDearer) {
      return false;
    }
    BigInteger missing = BigInteger.valueOf(need.microlitres() - microlitres);
    BigInteger atLeast =
        BigInteger.valueOf(paid)
            .multiply(BigInteger.valueOf(cheapest.litres().microlitres()))
            .add(missing.multiply(BigInteger.valueOf(cheapest.price().minor())));
    BigInteger runnerUp = scaledCost(best.get(1));
    BigInteger scale = BigInteger.valueOf(cheapest.litres().microlitres());
    return atLeast.multiply(worthScale()).compareTo(runnerUp.multiply(scale)) > 0;
  }

  /** Paid less the worth of the leftover used in time, × the litres of the pack that sets it. */
  private BigInteger scaledCost(PackSet set) {
    BigInteger paid = BigInteger.valueOf(set.paid().minor()).multiply(worthScale());
    BigInteger credit =
        BigInteger.valueOf(set.usedInTime().microlitres())
            .multiply(BigInteger.valueOf(worth.map(pack -> pack.price().minor()).orElse(0L)));
    return paid.subtract(credit);
  }

  private BigInteger worthScale() {
    return BigInteger.valueOf(worth.map(pack -> pack.litres().microlitres()).orElse(1L));
  }

  private boolean coversAloneWithoutWaste(Pack pack) {
    return pack.fewest(need.microlitres())
        .map(packs -> PackSet.of(List.of(new PackSet.Count(pack, packs)), need, use))
        .filter(set -> set.usedInTime().equals(set.over()))
        .isPresent();
  }

  private static int cheapestPerLitre(Pack a, Pack b) {
    BigInteger mine = perLitre(a, b);
    BigInteger theirs = perLitre(b, a);
    int byPrice = mine.compareTo(theirs);
    return byPrice != 0
        ? byPrice
        : Comparator.comparing(Pack::litres).reversed().thenComparing(Pack::origin).compare(a, b);
  }

  private static BigInteger perLitre(Pack pack, Pack other) {
    return BigInteger.valueOf(pack.price().minor())
        .multiply(BigInteger.valueOf(other.litres().microlitres()));
  }

  private String countsLargestFirst(PackSet set) {
    StringBuilder counts = new StringBuilder();
    kinds.stream()
        .sorted(Comparator.comparing(Pack::litres).reversed().thenComparing(Pack::origin))
        .forEach(kind -> counts.append(String.format("%010d ", count(set, kind))));
    return counts.toString();
  }

  private static int count(PackSet set, Pack kind) {
    return set.counts().stream()
        .filter(count -> count.pack().origin().equals(kind.origin()))
        .mapToInt(PackSet.Count::packs)
        .findFirst()
        .orElse(0);
  }
}
