package dev.lonja.core.pour;

import dev.lonja.core.fluid.HydraulicType;
import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Judges whether a fluid may be added to what is in a compartment now. Litres of other products
 * since the last drain count together, up to 10 % of the capacity, this included, if each is at
 * least {@code MEETS} and of the same kind and family.
 */
public final class TopUp {

  private static final BigDecimal MOST_OTHERS = new BigDecimal("0.10");

  private TopUp() {}

  /** What was poured in. */
  public record Pour(ProductClaims product, Volume volume) {}

  /**
   * What is in a compartment.
   *
   * @param filledWith at the last drain; empty if that is not on file
   * @param since what was added after it, in order
   */
  public record Contents(Volume capacity, Optional<ProductClaims> filledWith, List<Pour> since) {

    public Contents {
      since = List.copyOf(since);
    }

    /** The same after these were added as well, in order. */
    public Contents after(List<Pour> more) {
      return new Contents(
          capacity, filledWith, Stream.concat(since.stream(), more.stream()).toList());
    }

    /** Litres of products other than the one it was filled with. */
    public Volume others() {
      return since.stream()
          .filter(pour -> !isFilledWith(pour.product()))
          .map(Pour::volume)
          .reduce(Volume.ZERO, Volume::plus);
    }

    private boolean isFilledWith(ProductClaims product) {
      return filledWith.map(f -> f.product().id()).equals(Optional.of(product.product().id()));
    }

    private List<ProductClaims> products() {
      List<ProductClaims> products = new ArrayList<>(filledWith.stream().toList());
      since.stream().map(Pour::product).filter(p -> !products.contains(p)).forEach(products::add);
      return products;
    }

    /** The most of other products that may be in it. */
    public Volume mostOthers() {
      return capacity.times(MOST_OTHERS);
    }
  }

  /** How far a top-up may go. */
  public enum Answer {
    ALLOWED,
    SIGN_OFF,
    NEVER
  }

  /** Why a top-up is not simply allowed. */
  public sealed interface Concern {
    Answer answer();

    /** The product may not go into this compartment at all. */
    record Unsuitable() implements Concern {
      @Override
      public Answer answer() {
        return Answer.NEVER;
      }
    }

    /** The two must not meet. */
    record MustNotMix(Product present, Product added, Mixture why) implements Concern {
      @Override
      public Answer answer() {
        return Answer.NEVER;
      }
    }

    /** The product alone would need a sign-off, or serves in part of the year. */
    record BelowMeets(Level level) implements Concern {
      @Override
      public Answer answer() {
        return Answer.SIGN_OFF;
      }
    }

    /** More of other products than 10 % of the capacity. */
    record TooMuchOfOthers(Volume others, Volume most) implements Concern {
      @Override
      public Answer answer() {
        return Answer.SIGN_OFF;
      }
    }

    /** Whether the two may meet is not known. */
    record FamilyUnknown(Product present, Product added, Mixture about) implements Concern {
      @Override
      public Answer answer() {
        return Answer.SIGN_OFF;
      }
    }

    /** What is in the compartment is not on file. */
    record ContentsUnknown() implements Concern {
      @Override
      public Answer answer() {
        return Answer.SIGN_OFF;
      }
    }
  }

  /** What keeps two fluids apart. */
  public enum Mixture {
    KIND,
    COOLANT_FAMILY,
    BRAKE_BASE,
    /** Polyglycol with mineral oil. */
    POLYGLYCOL
  }

  /** The answer with every concern; none if it is simply allowed. */
  public record Verdict(List<Concern> concerns, Volume othersThen) {
    public Verdict {
      concerns = List.copyOf(concerns);
    }

    /** The worst of its concerns; without any, it may go in. */
    public Answer answer() {
      return concerns.stream()
          .map(Concern::answer)
          .reduce(Answer.ALLOWED, (a, b) -> a.compareTo(b) >= 0 ? a : b);
    }
  }

  /**
   * Judges adding {@code litres} of {@code added}.
   *
   * @param suitability of the added product for the compartment's spec
   */
  public static Verdict judge(
      Contents contents, ProductClaims added, Volume litres, Suitability suitability) {
    List<Concern> concerns = new ArrayList<>();
    boolean same = contents.isFilledWith(added);
    Volume othersThen = same ? contents.others() : contents.others().plus(litres);
    Level level = suitability.overall();
    if (level == Level.NO) {
      concerns.add(new Concern.Unsuitable());
    } else if (!same && !level.isFree()) {
      concerns.add(new Concern.BelowMeets(level));
    }
    if (contents.filledWith().isEmpty()) {
      concerns.add(new Concern.ContentsUnknown());
    }
    for (ProductClaims present : contents.products()) {
      mixing(present.product(), added.product()).ifPresent(concerns::add);
    }
    if (!same && othersThen.compareTo(contents.mostOthers()) > 0) {
      concerns.add(new Concern.TooMuchOfOthers(othersThen, contents.mostOthers()));
    }
    return new Verdict(concerns, othersThen);
  }

  private static Optional<Concern> mixing(Product present, Product added) {
    if (present.id().equals(added.id())) {
      return Optional.empty();
    }
    if (present.kind() != added.kind()) {
      return Optional.of(new Concern.MustNotMix(present, added, Mixture.KIND));
    }
    return switch (added.kind()) {
      case COOLANT ->
          apart(
              present,
              added,
              present.data().chemistry(),
              added.data().chemistry(),
              Mixture.COOLANT_FAMILY);
      case BRAKE_FLUID ->
          apart(present, added, present.data().base(), added.data().base(), Mixture.BRAKE_BASE);
      case HYDRAULIC_OIL -> polyglycol(present, added);
      case ENGINE_OIL, GEAR_OIL, EXHAUST_FLUID, WASHER_FLUID, GREASE, DIESEL, PETROL ->
          Optional.empty();
    };
  }

  private static <T> Optional<Concern> apart(
      Product present, Product added, Optional<T> there, Optional<T> coming, Mixture about) {
    if (there.isEmpty() || coming.isEmpty()) {
      return Optional.of(new Concern.FamilyUnknown(present, added, about));
    }
    return there.equals(coming)
        ? Optional.empty()
        : Optional.of(new Concern.MustNotMix(present, added, about));
  }

  /** Only polyglycol and what is or may be mineral oil keep apart. */
  private static Optional<Concern> polyglycol(Product present, Product added) {
    Optional<HydraulicType> there = present.data().type();
    Optional<HydraulicType> coming = added.data().type();
    Set<Optional<HydraulicType>> both = Set.copyOf(List.of(there, coming));
    if (!both.contains(Optional.of(HydraulicType.HEPG))) {
      return Optional.empty();
    }
    if (both.contains(Optional.<HydraulicType>empty())) {
      return Optional.of(new Concern.FamilyUnknown(present, added, Mixture.POLYGLYCOL));
    }
    return both.stream().flatMap(Optional::stream).anyMatch(HydraulicType::isMineral)
        ? Optional.of(new Concern.MustNotMix(present, added, Mixture.POLYGLYCOL))
        : Optional.empty();
  }
}
