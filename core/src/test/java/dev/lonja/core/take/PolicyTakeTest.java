package dev.lonja.core.take;

import static dev.lonja.core.service.Services.FILTER_POSITION;
import static dev.lonja.core.service.Services.SUMP;
import static dev.lonja.core.service.Services.WASHER;
import static dev.lonja.core.service.Services.everyNth;
import static dev.lonja.core.service.Services.filter;
import static dev.lonja.core.service.Services.place;
import static dev.lonja.core.service.Services.seal;
import static dev.lonja.core.service.Services.sump;
import static dev.lonja.core.service.Services.task;
import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Filling;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.inspection.ReplacementTurn;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.Boxes;
import dev.lonja.core.machine.Mixes;
import dev.lonja.core.machine.ShelfFacts;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.machine.Ways;
import dev.lonja.core.policy.Choice;
import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.InForce;
import dev.lonja.core.policy.Policies;
import dev.lonja.core.policy.School;
import dev.lonja.core.policy.UnitPolicies;
import dev.lonja.core.pour.FillPolicy;
import dev.lonja.core.pour.FirstPour;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What a service takes under each school. */
class PolicyTakeTest {

  private static final Task OIL =
      task(new TaskId(1), new Task.Action.ChangeFluid(SUMP), "250", null);
  private static final Task FILTER =
      task(new TaskId(2), new Task.Action.Replace(FILTER_POSITION), "250", null);
  private static final Position PLUG = place(30, Position.Kind.DRAIN_PLUG, Optional.of(SUMP));
  private static final Position CLIP = place(40, Position.Kind.INSURANCE, Optional.of(SUMP));
  private static final Position BULB = place(41, Position.Kind.INSURANCE, Optional.empty());
  private static final Position AIR = place(50, Position.Kind.AIR_FILTER, Optional.empty());
  private static final Task LOOK =
      task(
          new TaskId(3), new Task.Action.Inspect(AIR.id(), ReplacementChance.UNKNOWN), "125", null);

  private static Ways ways(Policies policies) {
    return new Ways(new UnitPolicies(policies, List.of(Holder.STORE)), Map.of(), Optional.empty());
  }

  private static List<TakeLine> lines(Policies policies, Task... tasks) {
    UnitNeeds needs =
        new UnitNeeds(
            List.of(sump(Map.of(FillCondition.WITH_FILTER, Volume.ofLitres("6.4")))),
            List.of(
                filter(Optional.of(Volume.ofLitres("0.62"))),
                seal(new PositionId(20), SUMP, 1),
                PLUG,
                CLIP,
                BULB,
                AIR),
            new ShelfFacts(Boxes.NONE, FillPolicy.DEFAULT, Set.of(WASHER), Map.of(), Mixes.NONE),
            ways(policies));
    return ServiceTake.of(needs, List.of(tasks)).lines();
  }

  private static Policies store(School school) {
    return Policies.USUAL.with(Holder.STORE, Choice.of(school));
  }

  private static FirstPour pour(Policies policies) {
    return ((TakeLine.Reason.Fill) lines(policies, OIL, FILTER).get(0).reason()).firstPour();
  }

  private static FirstPour litres(String pour, String reserve, String preFill) {
    return new FirstPour(Volume.ofLitres(pour), Volume.ofLitres(reserve), Volume.ofLitres(preFill));
  }

  private static TakeLine of(List<TakeLine> lines, ItemId item) {
    return lines.stream().filter(line -> line.itemId().equals(item)).findFirst().orElseThrow();
  }

  /**
   * Half of 0.62 L goes into the upright filter: 0.31 L. Of 6.40 L 5.70 are poured first and 0.70
   * kept, so 5.70 − 0.31 = 5.39 L; all at once 6.40 − 0.31 = 6.09 L; without pre-fill 5.70 L.
   */
  @Test
  void whatIsInTheFilterCountsTowardsTheFirstPour() {
    assertThat(pour(Policies.USUAL)).isEqualTo(litres("5.39", "0.70", "0.31"));
    assertThat(pour(store(School.ALL_AT_ONCE))).isEqualTo(litres("6.09", "0", "0.31"));
    assertThat(pour(store(School.NO_PRE_FILL))).isEqualTo(litres("5.70", "0.70", "0"));
    assertThat(
            pour(
                Policies.USUAL.with(
                    new Holder.OfPosition(FILTER_POSITION), Choice.of(School.NO_PRE_FILL))))
        .isEqualTo(litres("5.70", "0.70", "0"));
  }

  /** 0.31 L first, 0.11 kept; a filter that takes 0.35 leaves 0 and 0.11 − 0.04 = 0.07 L. */
  @Test
  void whatTheFilterTakesBeyondTheFirstPourComesOffTheReserve() {
    FirstPour pour = new FirstPour(Volume.ofLitres("0.31"), Volume.ofLitres("0.11"));
    assertThat(pour.after(Volume.ofLitres("0.35"))).isEqualTo(litres("0", "0.07", "0.35"));
  }

  @Test
  void theDrainSealFollowsItsPolicy() {
    List<TakeLine> usual = lines(Policies.USUAL, OIL);
    assertThat(of(usual, WASHER).reason()).isEqualTo(new TakeLine.Reason.NewSeal("Sump", ""));
    assertThat(usual).extracting(TakeLine::itemId).doesNotContain(PLUG.itemId().orElseThrow());

    List<TakeLine> plug = lines(store(School.NEW_PLUG_AND_SEAL), OIL);
    assertThat(of(plug, WASHER).expected()).isEqualTo(Quantity.pieces(1));
    assertThat(of(plug, PLUG.itemId().orElseThrow()).expected()).isEqualTo(Quantity.pieces(1));

    TakeLine reused = of(lines(store(School.REUSE_SOUND_SEAL), OIL), WASHER);
    assertThat(reused.expected()).isEqualTo(Quantity.of(Measure.PIECES, new BigDecimal("0.3")));
    assertThat(reused.toLay()).isEqualTo(Quantity.pieces(1));
    assertThat(reused.ways())
        .containsExactly(new InForce(Choice.of(School.REUSE_SOUND_SEAL), Holder.Level.STORE));
  }

  /**
   * A plug that is good for eight removals is replaced with every eighth change of its fluid: one
   * new plug then, also where plug and seal are new each time.
   */
  @Test
  void theLifeOfAPlugIsCountedInRemovals() {
    Task renewed =
        new Task(
            new TaskId(4),
            "Replace sump plug",
            "250 h",
            new Task.Action.Replace(PLUG.id()),
            everyNth(new TaskId(4), OIL.id(), 8).timing());
    ItemId plug = PLUG.itemId().orElseThrow();
    for (Policies policies : List.of(Policies.USUAL, store(School.NEW_PLUG_AND_SEAL))) {
      assertThat(lines(policies, OIL, renewed))
          .filteredOn(line -> line.itemId().equals(plug))
          .singleElement()
          .satisfies(
              line -> {
                assertThat(line.taskId()).isEqualTo(renewed.id());
                assertThat(line.expected()).isEqualTo(Quantity.pieces(1));
              });
    }
    assertThat(of(lines(Policies.USUAL, OIL, renewed), WASHER).expected())
        .isEqualTo(Quantity.pieces(1));
  }

  @Test
  void aFillNamesThePolicyOfItsProduct() {
    assertThat(lines(store(School.ONE_PRODUCT), OIL, FILTER).get(0).ways())
        .contains(new InForce(Choice.of(School.ONE_PRODUCT), Holder.Level.STORE));
    assertThat(lines(Policies.USUAL, OIL, FILTER).get(0).ways())
        .noneMatch(way -> way.is(School.SEPARATE_PRODUCTS));
  }

  private static final ItemId FLUSHING = new ItemId(901);

  private static Take flushed(Optional<Filling.Flush> flush, School school, Set<TaskId> neglected) {
    Compartment sump =
        sump(
            Map.of(FillCondition.WITHOUT_FILTER, Capacity.ofLitres("6")),
            new Filling(Optional.empty(), Optional.empty(), flush, Optional.empty()));
    return ServiceTake.of(
        new UnitNeeds(List.of(sump), List.of()).under(ways(store(school))),
        List.of(OIL),
        neglected);
  }

  /** 0.50 L of it are laid and 0.51 counted, before the oil, by the policy that asks for it. */
  @Test
  void anEngineIsFlushedByItsPolicy() {
    Optional<Filling.Flush> flush =
        Optional.of(new Filling.Flush(FLUSHING, Volume.ofLitres("0.5")));
    TakeLine line = flushed(flush, School.FLUSH_ALWAYS, Set.of()).lines().get(0);
    assertThat(line.itemId()).isEqualTo(FLUSHING);
    assertThat(line.toLay()).isEqualTo(Quantity.litres("0.5"));
    assertThat(line.expected()).isEqualTo(Quantity.litres("0.51"));
    assertThat(line.ways())
        .extracting(way -> way.choice().school())
        .containsExactly(School.FLUSH_ALWAYS);
    assertThat(flushed(flush, School.NO_FLUSH, Set.of(OIL.id())).lines()).hasSize(1);
    assertThat(flushed(flush, School.FLUSH_NEGLECTED, Set.of()).lines()).hasSize(1);
    assertThat(flushed(flush, School.FLUSH_NEGLECTED, Set.of(OIL.id())).lines()).hasSize(2);
  }

  @Test
  void withWhatItIsFlushedHasToBeSaid() {
    Take take = flushed(Optional.empty(), School.FLUSH_ALWAYS, Set.of());
    assertThat(take.lines()).hasSize(1);
    assertThat(take.gaps()).containsExactly(new Take.Gap.NoFlush("Sump"));
  }

  /** A seal whose spec does not allow it is new, whatever the policy. */
  @Test
  void onlyASealThatMayBeUsedAgainIs() {
    UnitNeeds needs =
        new UnitNeeds(List.of(sump(Map.of())), List.of(seal(new PositionId(20), SUMP, 1)))
            .under(ways(store(School.REUSE_SOUND_SEAL)));
    assertThat(ServiceTake.of(needs, List.of(OIL)).lines())
        .extracting(TakeLine::reason)
        .containsExactly(new TakeLine.Reason.NewSeal("Sump", ""));
  }

  /** The clip comes with the work at its compartment, the bulb with any work on the machine. */
  @Test
  void whatMayBreakComesAlongWithTheWorkWhereItIs() {
    assertThat(lines(Policies.USUAL, OIL))
        .extracting(TakeLine::itemId)
        .contains(CLIP.itemId().orElseThrow(), BULB.itemId().orElseThrow());
    List<TakeLine> elsewhere = lines(Policies.USUAL, LOOK);
    assertThat(elsewhere)
        .extracting(TakeLine::itemId)
        .containsExactly(AIR.itemId().orElseThrow(), BULB.itemId().orElseThrow());
    assertThat(of(elsewhere, BULB.itemId().orElseThrow()).expected())
        .isEqualTo(Quantity.of(Measure.PIECES, new BigDecimal("0.3")));
    assertThat(lines(store(School.NO_INSURANCE), OIL))
        .extracting(TakeLine::itemId)
        .doesNotContain(CLIP.itemId().orElseThrow(), BULB.itemId().orElseThrow());
  }

  /** Of every third inspection only the third takes the part, and then for certain. */
  @Test
  void whatIsReplacedEveryNthTimeIsTakenAtItsTurn() {
    Policies third =
        Policies.USUAL.with(Holder.STORE, Choice.of(School.EVERY_NTH, BigDecimal.valueOf(3)));
    ItemId air = AIR.itemId().orElseThrow();
    assertThat(lines(third, turn(1))).extracting(TakeLine::itemId).doesNotContain(air);
    TakeLine taken = of(lines(third, turn(2)), air);
    assertThat(taken.expected()).isEqualTo(Quantity.pieces(1));
    assertThat(taken.reason()).isEqualTo(new TakeLine.Reason.Part(""));
  }

  private static Task turn(int since) {
    return task(
        new TaskId(3),
        new Task.Action.Inspect(AIR.id(), new ReplacementTurn(3, since)),
        "125",
        null);
  }

  @Test
  void eachLineNamesThePolicyThatMadeIt() {
    List<TakeLine> lines = lines(Policies.USUAL, OIL, FILTER, LOOK);
    assertThat(lines.get(0).ways())
        .extracting(InForce::school)
        .containsExactly(School.HOLD_BACK, School.HALF_FILL_UPRIGHT);
    assertThat(of(lines, WASHER).ways())
        .extracting(InForce::school)
        .containsExactly(School.NEW_SEAL);
    assertThat(of(lines, AIR.itemId().orElseThrow()).ways())
        .extracting(InForce::school)
        .containsExactly(School.ON_CONDITION);
    // the maker asks for an oil filter every time, and nobody may choose
    assertThat(lines.get(2).ways()).isEmpty();
  }
}
