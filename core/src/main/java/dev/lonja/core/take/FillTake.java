package dev.lonja.core.take;

import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Filling;
import dev.lonja.core.fleet.Mounting;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.Mixes;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.mixture.Mix;
import dev.lonja.core.mixture.Mixture;
import dev.lonja.core.mixture.Strength;
import dev.lonja.core.mixture.WantedShare;
import dev.lonja.core.policy.InForce;
import dev.lonja.core.policy.Question;
import dev.lonja.core.policy.School;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.Task;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Works out the fills of one occurrence: how much goes in, and how it is poured. */
final class FillTake {

  private final UnitNeeds needs;
  private final List<Task> tasks;
  private final List<TakeLine> lines;
  private final List<Take.Gap> gaps;

  /**
   * @param tasks of the occurrence
   * @param lines to which fills are added
   * @param gaps to which is added what could not be said
   */
  FillTake(UnitNeeds needs, List<Task> tasks, List<TakeLine> lines, List<Take.Gap> gaps) {
    this.needs = needs;
    this.tasks = tasks;
    this.lines = lines;
    this.gaps = gaps;
  }

  /** What the old fluid is flushed with, if the policy in force asks for that. */
  void addFlush(Task task, Compartment compartment, boolean isNeglected) {
    InForce way = needs.ways().policies().at(Question.FLUSH, compartment);
    boolean isWanted = way.is(School.FLUSH_ALWAYS) || way.is(School.FLUSH_NEGLECTED) && isNeglected;
    boolean isAsked = compartment.kind().isEngine() || compartment.filling().flush().isPresent();
    if (!isWanted || !isAsked) {
      return;
    }
    if (compartment.filling().flush().isEmpty()) {
      gaps.add(new Take.Gap.NoFlush(compartment.name()));
      return;
    }
    Filling.Flush flush = compartment.filling().flush().get();
    lines.add(
        new TakeLine(
            task.id(),
            flush.itemId(),
            compartment.name(),
            Destination.NONE,
            Quantity.of(flush.volume())
                .times(BigDecimal.ONE.add(needs.shelf().fills().handlingLoss())),
            Quantity.of(flush.volume()),
            new TakeLine.Reason.Flush(compartment.name()),
            List.of(way)));
  }

  void add(Task task, Compartment compartment) {
    if (compartment.itemId().isEmpty()) {
      gaps.add(new Take.Gap.NoItem(compartment.name()));
      return;
    }
    Optional<Fill> fill = fill(compartment);
    if (fill.isEmpty()) {
      gaps.add(new Take.Gap.NoCapacity(compartment.name()));
      return;
    }
    Capacity capacity = fill.get().capacity();
    BigDecimal loss = needs.shelf().fills().handlingLoss();
    BigDecimal withLoss = BigDecimal.ONE.add(loss);
    // of a range the high end may be wanted, and some of it stays in jugs and funnels
    Volume laid = capacity.isRange() ? capacity.high().times(withLoss) : capacity.high();
    Optional<Mixed> mixed = mixed(compartment, laid);
    TakeLine.Reason reason =
        new TakeLine.Reason.Fill(
            fill.get().condition(),
            filterChanged(compartment).isPresent()
                ? FillCondition.WITH_FILTER
                : FillCondition.WITHOUT_FILTER,
            capacity,
            fill.get().filterVolume(),
            loss,
            needs.firstPour(compartment, capacity, laid, preFill(compartment)),
            mixed.map(Mixed::mix));
    Quantity expected = Quantity.of(capacity.middle()).times(withLoss);
    lines.add(
        new TakeLine(
            task.id(),
            compartment.itemId().get(),
            compartment.name(),
            Destination.compartment(compartment.id()),
            mixed.map(mix -> expected.times(mix.shareOfProduct())).orElse(expected),
            Quantity.of(mixed.map(mix -> laid.minus(mix.mix().water())).orElse(laid)),
            reason,
            waysOfFill(compartment)));
  }

  /**
   * A fill that is mixed.
   *
   * @param shareOfProduct of what goes in, the rest being water
   */
  private record Mixed(Mix mix, BigDecimal shareOfProduct) {}

  /** Empty for fluids that go in as they come, and where a mixture cannot be said. */
  private Optional<Mixed> mixed(Compartment compartment, Volume total) {
    Mixes mixes = needs.shelf().mixes();
    ItemId item = compartment.itemId().orElseThrow();
    if (!mixes.isMixed(item)) {
      return Optional.empty();
    }
    Optional<Strength> strength = mixes.strength(item);
    if (strength.isEmpty()) {
      gaps.add(new Take.Gap.StrengthUnknown(compartment.name()));
      return Optional.empty();
    }
    Optional<WantedShare> wanted = mixes.wanted(compartment, strength.get());
    if (wanted.isEmpty()) {
      gaps.add(new Take.Gap.NotReached(compartment.name()));
      return Optional.empty();
    }
    Optional<Mixture> fresh = Mixture.fresh(total, wanted.get().share(), strength.get().share());
    if (fresh.isEmpty()) {
      gaps.add(new Take.Gap.TooWeak(compartment.name(), wanted.get()));
    }
    return fresh.map(mixture -> mixed(mixture, wanted.get(), strength.get(), mixes));
  }

  private static Mixed mixed(Mixture fresh, WantedShare wanted, Strength strength, Mixes mixes) {
    boolean isGeneral =
        strength.freezing(mixes.general()).filter(Strength.Freezing::isGeneral).isPresent();
    return new Mixed(
        new Mix(wanted.share(), fresh.water(), wanted.protectsTo(), isGeneral),
        wanted.share().divide(strength.share(), MathContext.DECIMAL64));
  }

  private List<InForce> waysOfFill(Compartment compartment) {
    Stream<InForce> firstPour =
        compartment.takesAllAtOnce()
            ? Stream.empty()
            : Stream.of(needs.ways().policies().at(Question.FIRST_POUR, compartment));
    Stream<InForce> preFill =
        uprightFilter(compartment).stream().map(filter -> at(Question.PRE_FILL, filter));
    Stream<InForce> product =
        Stream.of(needs.ways().policies().at(Question.ONE_OIL, compartment))
            .filter(way -> way.is(School.ONE_PRODUCT));
    return Stream.of(product, firstPour, preFill).flatMap(ways -> ways).toList();
  }

  /**
   * What goes into the new filter before it goes on: half of an upright one, where that is done.
   */
  private Volume preFill(Compartment compartment) {
    return uprightFilter(compartment)
        .filter(filter -> at(Question.PRE_FILL, filter).is(School.HALF_FILL_UPRIGHT))
        .flatMap(Position::filterVolume)
        .map(needs.shelf().fills()::halfOf)
        .orElse(Volume.ZERO);
  }

  /** The filter that is changed, if it would hold what is poured into it beforehand. */
  private Optional<Position> uprightFilter(Compartment compartment) {
    return filterChanged(compartment)
        .filter(filter -> filter.mounting().equals(Optional.of(Mounting.UPRIGHT)));
  }

  private record Fill(FillCondition condition, Capacity capacity, Optional<Volume> filterVolume) {}

  private Optional<Fill> fill(Compartment compartment) {
    Optional<Position> filter = filterChanged(compartment);
    Optional<Capacity> without = compartment.range(FillCondition.WITHOUT_FILTER);
    if (filter.isEmpty()) {
      return without
          .map(v -> new Fill(FillCondition.WITHOUT_FILTER, v, Optional.empty()))
          .or(
              () ->
                  compartment
                      .range(FillCondition.WITH_FILTER)
                      .map(v -> filterStays(compartment, v)));
    }
    return compartment
        .range(FillCondition.WITH_FILTER)
        .map(v -> new Fill(FillCondition.WITH_FILTER, v, Optional.empty()))
        .or(() -> without.map(v -> withFilterVolume(v, filter.get())));
  }

  private Fill withFilterVolume(Capacity without, Position filter) {
    if (filter.filterVolume().isEmpty()) {
      gaps.add(new Take.Gap.FilterVolumeUnknown(filter.name()));
    }
    Capacity capacity = without.plus(filter.filterVolume().orElse(Volume.ZERO));
    return new Fill(FillCondition.WITHOUT_FILTER, capacity, filter.filterVolume());
  }

  /** The filter stays, but only what goes in with a new one is on file. */
  private Fill filterStays(Compartment compartment, Capacity withFilter) {
    gaps.add(new Take.Gap.FilterStays(compartment.name()));
    return new Fill(FillCondition.WITH_FILTER, withFilter, Optional.empty());
  }

  private Optional<Position> filterChanged(Compartment compartment) {
    return tasks.stream()
        .map(Task::action)
        .filter(Task.Action.Replace.class::isInstance)
        .map(action -> needs.position(((Task.Action.Replace) action).positionId()))
        .filter(position -> position.kind().holdsCompartmentFluid())
        .filter(position -> position.belongsTo(compartment))
        .findFirst();
  }

  private InForce at(Question question, Position position) {
    return needs.ways().policies().at(question, position);
  }
}
