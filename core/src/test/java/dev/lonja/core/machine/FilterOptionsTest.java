package dev.lonja.core.machine;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fleet.Variant;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.policy.Choice;
import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.Policies;
import dev.lonja.core.policy.School;
import dev.lonja.core.policy.UnitPolicies;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.quantity.Volume;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A Corvane truck, on which a Pellam filter at 11.80 is chosen; others fit there too. */
class FilterOptionsTest {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final PositionId PLACE = new PositionId(3);
  private static final ItemId PELLAM = new ItemId(31);
  private static final FilterOptions.Option CHOSEN = option(31, "Pellam", 1_180);

  private static UnitNeeds truck(Position.Kind kind, School school) {
    Position position =
        new Position(
            PLACE,
            "Oil filter",
            kind,
            Optional.empty(),
            Optional.of(PELLAM),
            1,
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            "",
            "",
            "",
            Optional.of(Volume.ofLitres("0.5")),
            Position.Limits.NONE);
    Policies policies = Policies.USUAL.with(Holder.STORE, Choice.of(school));
    return new UnitNeeds(List.of(), List.of(position))
        .under(
            new Ways(
                new UnitPolicies(policies, List.of(Holder.STORE)),
                Map.of(),
                Optional.of(new Variant(1, "Corvane", "T7", "4.2"))));
  }

  /** At no known price if it is 0. */
  private static FilterOptions.Option option(long item, String make, long cents) {
    return new FilterOptions.Option(
        new ItemId(item),
        make,
        cents == 0 ? Optional.empty() : Optional.of(new UnitPrice(cents * 10_000, EUR)),
        Optional.of(Volume.ofLitres("0.4")));
  }

  private static Position at(School school, Position.Kind kind, FilterOptions.Option... options) {
    return new FilterOptions(Map.of(PLACE, List.of(options)))
        .chosen(truck(kind, school))
        .position(PLACE);
  }

  private static Optional<ItemId> taken(School school, FilterOptions.Option... options) {
    return at(school, Position.Kind.OIL_FILTER, options).itemId();
  }

  @Test
  void anyThatFitsLeavesWhatIsChosen() {
    assertThat(taken(School.ANY_THAT_FITS, CHOSEN, option(40, "Ravelin", 100))).contains(PELLAM);
  }

  /** With it goes the oil that it takes up. */
  @Test
  void theCheapestThatFits() {
    Position position =
        at(
            School.CHEAPEST_THAT_FITS,
            Position.Kind.OIL_FILTER,
            CHOSEN,
            option(40, "Ravelin", 990),
            option(41, "Corvane", 2_400));
    assertThat(position.itemId()).contains(new ItemId(40));
    assertThat(position.filterVolume()).contains(Volume.ofLitres("0.4"));
    // as dear as another it stays, and what has no price is not cheap
    assertThat(taken(School.CHEAPEST_THAT_FITS, CHOSEN, option(30, "Ravelin", 1_180)))
        .contains(PELLAM);
    assertThat(taken(School.CHEAPEST_THAT_FITS, CHOSEN, option(40, "Ravelin", 0))).contains(PELLAM);
  }

  @Test
  void theMachineMakersOnly() {
    assertThat(
            taken(
                School.MACHINE_MAKER_ONLY,
                CHOSEN,
                option(40, "Ravelin", 990),
                option(41, "corvane", 2_400)))
        .contains(new ItemId(41));
    // its maker has none that fits: what is chosen stays
    assertThat(taken(School.MACHINE_MAKER_ONLY, CHOSEN, option(40, "Ravelin", 990)))
        .contains(PELLAM);
  }

  /** The question is asked of filters. */
  @Test
  void whatIsNoFilterStays() {
    Position plug =
        at(School.CHEAPEST_THAT_FITS, Position.Kind.SPARK_PLUG, CHOSEN, option(40, "Ravelin", 990));
    assertThat(plug.itemId()).contains(PELLAM);
  }

  @Test
  void whichMakeMayStandIn() {
    UnitNeeds needs = truck(Position.Kind.OIL_FILTER, School.MACHINE_MAKER_ONLY);
    assertThat(needs.ways().takesMake(needs.position(PLACE), "Ravelin")).isFalse();
    assertThat(needs.ways().takesMake(needs.position(PLACE), "CORVANE")).isTrue();
    UnitNeeds any = truck(Position.Kind.OIL_FILTER, School.ANY_THAT_FITS);
    assertThat(any.ways().takesMake(any.position(PLACE), "Ravelin")).isTrue();
  }
}
