package dev.lonja.core.fluid;

import static dev.lonja.core.fluid.Fluids.CI4;
import static dev.lonja.core.fluid.Fluids.CK4;
import static dev.lonja.core.fluid.Fluids.E7;
import static dev.lonja.core.fluid.Fluids.GL4;
import static dev.lonja.core.fluid.Fluids.GL5;
import static dev.lonja.core.fluid.Fluids.SN;
import static dev.lonja.core.fluid.Fluids.allBut;
import static dev.lonja.core.fluid.Fluids.approved;
import static dev.lonja.core.fluid.Fluids.celsius;
import static dev.lonja.core.fluid.Fluids.engineOil;
import static dev.lonja.core.fluid.Fluids.fluid;
import static dev.lonja.core.fluid.Fluids.gearOil;
import static dev.lonja.core.fluid.Fluids.judge;
import static dev.lonja.core.fluid.Fluids.limited;
import static dev.lonja.core.fluid.Fluids.row;
import static dev.lonja.core.fluid.Fluids.spec;
import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fluid.Spec.ApprovalMode;
import dev.lonja.core.fluid.Spec.FrictionModifier;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.grade.Grade;
import dev.lonja.core.grade.Window;
import dev.lonja.core.mixture.Protection;
import dev.lonja.core.quantity.AshContent;
import java.math.BigDecimal;
import java.time.Month;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Verdicts, one rule after the other. The harbour's year runs from 2 °C to 37 °C. */
class SpecJudgeTest {

  private static final Spec DIESEL =
      spec(
          FluidKind.ENGINE_OIL,
          List.of(Set.of(CI4), Set.of(E7)),
          row("15W-40", "-15", "45"),
          row("10W-40", "-25", "35"));

  private static Spec.Limits ashUpTo(String percent) {
    return limits(Optional.of(percent), Optional.empty(), FrictionModifier.ANY, false, false);
  }

  private static Spec.Limits limits(
      Optional<String> ash,
      Optional<Integer> zinc,
      FrictionModifier modifier,
      boolean wetClutch,
      boolean biodegradable) {
    return new Spec.Limits(
        ash.map(a -> AshContent.ofPercent(new BigDecimal(a))),
        zinc,
        modifier,
        wetClutch,
        biodegradable,
        Optional.empty(),
        Optional.empty(),
        Protection.UNSAID);
  }

  @Test
  void theClassItselfOrOneThatCoversItMeets() {
    Suitability direct = judge(DIESEL, engineOil("15W-40", "API CI-4").read());
    assertThat(direct.overall()).isEqualTo(Level.MEETS);
    Suitability implied = judge(DIESEL, engineOil("15W-40", "API CK-4").read());
    assertThat(implied.overall()).isEqualTo(Level.MEETS);
    assertThat(implied.reasons())
        .contains(new Reason.MeetsClasses(List.of(new Reason.Met(CI4, CK4))));
  }

  @Test
  void anyGroupWillDoButAllOfItIsNeeded() {
    Spec both = spec(FluidKind.ENGINE_OIL, List.of(Set.of(CI4, E7)), row("15W-40", "", ""));
    assertThat(judge(both, engineOil("15W-40", "API CI-4, ACEA E7").read()).overall())
        .isEqualTo(Level.MEETS);
    Suitability half = judge(both, engineOil("15W-40", "API CI-4").read());
    assertThat(half.overall()).isEqualTo(Level.NO);
    assertThat(half.reasons()).contains(new Reason.LacksClasses(List.of(E7), Optional.empty()));
    assertThat(judge(DIESEL, engineOil("15W-40", "ACEA E7").read()).overall())
        .isEqualTo(Level.MEETS);
  }

  /** CH-4 does not meet CI-4, and the reason says that covering runs the other way. */
  @Test
  void anOlderClassDoesNotCoverANewerOne() {
    Suitability older = judge(DIESEL, engineOil("15W-40", "API CH-4").read());
    assertThat(older.overall()).isEqualTo(Level.NO);
    assertThat(older.reasons())
        .contains(new Reason.LacksClasses(List.of(CI4), Optional.of(Fluids.CH4)));
  }

  @Test
  void aNewerKindOfDieselClassCoversNothing() {
    assertThat(judge(DIESEL, engineOil("15W-40", "API FA-4").read()).overall()).isEqualTo(Level.NO);
  }

  @Test
  void yellowMetalWantsGl4() {
    Spec gearbox = spec(FluidKind.GEAR_OIL, List.of(Set.of(GL4)));
    assertThat(judge(gearbox, gearOil("80W-90", "GL-5").read()).overall()).isEqualTo(Level.NO);
    assertThat(judge(gearbox, gearOil("80W-90", "GL-4/GL-5").read()).overall())
        .isEqualTo(Level.MEETS);
    Spec axle = spec(FluidKind.GEAR_OIL, List.of(Set.of(GL5)));
    assertThat(judge(axle, gearOil("80W-90", "GL-4").read()).overall()).isEqualTo(Level.NO);
  }

  @Test
  void anotherKindIsNoWhateverElseItSays() {
    Suitability gear = judge(DIESEL, gearOil("80W-90", "GL-5").read());
    assertThat(gear.overall()).isEqualTo(Level.NO);
    assertThat(gear.reasons())
        .contains(new Reason.KindDiffers(FluidKind.ENGINE_OIL, FluidKind.GEAR_OIL));
  }

  @Test
  void aListedApprovalIsListed() {
    Spec listed = approved(DIESEL, ApprovalMode.LISTED, "VK-205");
    assertThat(judge(listed, engineOil("15W-40", "").listed("vk-205").read()).overall())
        .isEqualTo(Level.LISTED);
  }

  /** VK-250 is one swap from VK-205: explained, and the classes alone leave it to a signature. */
  @Test
  void aNearMissIsExplainedAndNotAccepted() {
    Spec listed = approved(DIESEL, ApprovalMode.LISTED, "VK-205");
    Suitability near = judge(listed, engineOil("15W-40", "API CK-4").listed("VK-250").read());
    assertThat(near.overall()).isEqualTo(Level.SIGN_OFF);
    assertThat(near.reasons())
        .contains(
            new Reason.NearMiss(
                new ApprovalCode("VK-250"), new ApprovalCode("VK-205"), Level.SIGN_OFF));
    Suitability alone = judge(listed, engineOil("15W-40", "").listed("VK-250").read());
    assertThat(alone.overall()).isEqualTo(Level.NO);
    assertThat(alone.reasons())
        .contains(
            new Reason.LacksApproval(List.of(new ApprovalCode("VK-205")), Level.NO),
            new Reason.NearMiss(new ApprovalCode("VK-250"), new ApprovalCode("VK-205"), Level.NO));
  }

  /** The classes meet the spec by themselves; that VK-250 is not VK-205 is said all the same. */
  @Test
  void aNearMissIsNamedBesideAVerdictThatIsFree() {
    Spec either = approved(DIESEL, ApprovalMode.OR_CLASS, "VK-205");
    Suitability meets = judge(either, engineOil("15W-40", "API CK-4").listed("VK-250").read());
    assertThat(meets.overall()).isEqualTo(Level.MEETS);
    assertThat(meets.reasons())
        .contains(
            new Reason.NearMiss(
                new ApprovalCode("VK-250"), new ApprovalCode("VK-205"), Level.MEETS));
  }

  /** What is itself wanted is no near miss of the other. */
  @Test
  void twoWantedCodesThatAreNearEachOther() {
    Spec both = approved(DIESEL, ApprovalMode.LISTED, "VK-205", "VK-250");
    assertThat(judge(both, engineOil("15W-40", "").listed("VK-250").read()).reasons())
        .noneMatch(Reason.NearMiss.class::isInstance);
  }

  /** A gear oil in an engine: no; that its grade and class would not do either is said too. */
  @Test
  void theOtherStepsAreJudgedBesideAnotherKind() {
    Suitability other = judge(DIESEL, gearOil("75W-90", "API GL-5").read());
    assertThat(other.overall()).isEqualTo(Level.NO);
    assertThat(other.reasons())
        .hasAtLeastOneElementOfType(Reason.KindDiffers.class)
        .hasAtLeastOneElementOfType(Reason.NotOnChart.class)
        .hasAtLeastOneElementOfType(Reason.LacksClasses.class);
    Suitability mislabelled = judge(DIESEL, gearOil("15W-40", "API CK-4").read());
    assertThat(mislabelled.limits()).isEqualTo(Level.NO);
    assertThat(mislabelled.grade()).isEqualTo(Level.LISTED);
    assertThat(mislabelled.claims()).isEqualTo(Level.MEETS);
  }

  @Test
  void suitableForIsASignatureAndNoApproval() {
    Spec listed = approved(DIESEL, ApprovalMode.LISTED, "VK-205");
    Suitability claim = judge(listed, engineOil("15W-40", "").suitableFor("VK-205").read());
    assertThat(claim.overall()).isEqualTo(Level.SIGN_OFF);
    assertThat(claim.reasons()).contains(new Reason.SuitableForOnly(new ApprovalCode("VK-205")));
  }

  @Test
  void classesDoWhereTheModeSaysSo() {
    Spec either = approved(DIESEL, ApprovalMode.OR_CLASS, "VK-205");
    assertThat(judge(either, engineOil("15W-40", "API CI-4").read()).overall())
        .isEqualTo(Level.MEETS);
    assertThat(judge(either, engineOil("15W-40", "").listed("VK-205").read()).overall())
        .isEqualTo(Level.LISTED);
    assertThat(judge(either, engineOil("15W-40", "API SN").read()).overall()).isEqualTo(Level.NO);
  }

  /** With no class group, classes are not satisfied where an approval is demanded. */
  @Test
  void anApprovalWithoutClassesIsNotMetByNothing() {
    Spec bare =
        approved(
            spec(FluidKind.ENGINE_OIL, List.of(), row("15W-40", "", "")),
            ApprovalMode.OR_CLASS,
            "VK-205");
    assertThat(judge(bare, engineOil("15W-40", "API CI-4").read()).overall()).isEqualTo(Level.NO);
    Spec nothing = spec(FluidKind.ENGINE_OIL, List.of(), row("15W-40", "", ""));
    assertThat(judge(nothing, engineOil("15W-40", "").read()).overall()).isEqualTo(Level.MEETS);
  }

  /** 10W-40 serves from −25 to 35 °C; August has 37 °C. */
  @Test
  void tooThinForTheHeatOfOneMonthIsSeasonal() {
    Suitability thin = judge(DIESEL, engineOil("10W-40", "API CI-4").read());
    assertThat(thin.overall()).isEqualTo(Level.SEASONAL);
    assertThat(thin.claims()).isEqualTo(Level.MEETS);
    assertThat(thin.season()).isEqualTo(allBut(Month.AUGUST));
    assertThat(thin.reasons())
        .contains(
            new Reason.TooThin(new Grade("10W-40"), EnumSet.of(Month.AUGUST), Level.SEASONAL));
  }

  @Test
  void ofSomeMonthsOnlyThoseCount() {
    Window winter = new Window.Months(Fluids.HARBOUR, EnumSet.of(Month.JANUARY, Month.MARCH));
    assertThat(judge(DIESEL, winter, engineOil("10W-40", "API CI-4").read()).overall())
        .isEqualTo(Level.MEETS);
    Window august = new Window.Months(Fluids.HARBOUR, EnumSet.of(Month.AUGUST));
    assertThat(judge(DIESEL, august, engineOil("10W-40", "API CI-4").read()).overall())
        .isEqualTo(Level.NO);
  }

  /** On the limit is within: a chart that ends at 37 °C serves an August of 37 °C, not 36.9. */
  @Test
  void theEndsOfARangeAreWithinIt() {
    Spec on = spec(FluidKind.ENGINE_OIL, List.of(), row("15W-40", "2", "37"));
    assertThat(judge(on, engineOil("15W-40", "").read()).overall()).isEqualTo(Level.MEETS);
    Spec hot = spec(FluidKind.ENGINE_OIL, List.of(), row("15W-40", "2", "36.9"));
    assertThat(judge(hot, engineOil("15W-40", "").read()).overall()).isEqualTo(Level.SEASONAL);
    Spec cold = spec(FluidKind.ENGINE_OIL, List.of(), row("15W-40", "2.1", "37"));
    assertThat(judge(cold, engineOil("15W-40", "").read()).season())
        .isEqualTo(allBut(Month.JANUARY));
  }

  @Test
  void aColdRoomIsServedWholeOrNotAtAll() {
    Window room = new Window.Range(celsius("-25"), celsius("-18"));
    Suitability thick = judge(DIESEL, room, engineOil("15W-40", "API CI-4").read());
    assertThat(thick.overall()).isEqualTo(Level.NO);
    assertThat(thick.reasons())
        .contains(new Reason.TooThick(new Grade("15W-40"), Set.of(), Level.NO));
    assertThat(judge(DIESEL, room, engineOil("10W-40", "API CI-4").read()).overall())
        .isEqualTo(Level.MEETS);
  }

  @Test
  void aGradeThatIsNotOnTheChartIsNo() {
    Suitability off = judge(DIESEL, engineOil("5W-30", "API CI-4").read());
    assertThat(off.grade()).isEqualTo(Level.NO);
    assertThat(off.reasons())
        .contains(
            new Reason.NotOnChart(
                List.of(new Grade("5W-30")), List.of(new Grade("15W-40"), new Grade("10W-40"))));
  }

  /** Two rows of one grade: the one that serves more months counts. */
  @Test
  void theBestRowCounts() {
    Spec two =
        spec(
            FluidKind.ENGINE_OIL,
            List.of(),
            row("15W-40", "30", "45"),
            row("15W-40", "-15", "29.9"));
    assertThat(judge(two, engineOil("15W-40", "").read()).season()).isEqualTo(allBut(Month.AUGUST));
  }

  /** Without a chart 15W starts at −20 °C (SAE J300) and 80W at −26 °C (SAE J306). */
  @Test
  void withoutAChartTheWinterGradeDecides() {
    Spec open = spec(FluidKind.ENGINE_OIL, List.of(Set.of(SN)));
    assertThat(judge(open, engineOil("15W-40", "SN").read()).overall()).isEqualTo(Level.MEETS);
    Window colder = new Window.Range(celsius("-20.1"), celsius("10"));
    assertThat(judge(open, colder, engineOil("15W-40", "SN").read()).overall()).isEqualTo(Level.NO);
    Window onIt = new Window.Range(celsius("-20"), celsius("10"));
    assertThat(judge(open, onIt, engineOil("15W-40", "SN").read()).overall())
        .isEqualTo(Level.MEETS);
    Suitability straight = judge(open, engineOil("SAE 30", "SN").read());
    assertThat(straight.overall()).isEqualTo(Level.SIGN_OFF);
    assertThat(straight.reasons()).contains(new Reason.NoWinterGrade(List.of(new Grade("SAE 30"))));
  }

  @Test
  void otherKindsPassWithoutAChart() {
    Spec open = Spec.ofKind(FluidKind.COOLANT);
    assertThat(judge(open, fluid(FluidKind.COOLANT).read()).overall()).isEqualTo(Level.MEETS);
  }

  @Test
  void ashIsLimitedTheLimitIncluded() {
    Spec low = limited(DIESEL, ashUpTo("0.8"));
    assertThat(judge(low, engineOil("15W-40", "CI-4").ash("0.8").read()).overall())
        .isEqualTo(Level.MEETS);
    Suitability high = judge(low, engineOil("15W-40", "CI-4").ash("0.801").read());
    assertThat(high.overall()).isEqualTo(Level.NO);
    assertThat(high.limits()).isEqualTo(Level.NO);
    Suitability unknown = judge(low, engineOil("15W-40", "CI-4").listed("X-1").read());
    assertThat(unknown.overall()).isEqualTo(Level.SIGN_OFF);
    assertThat(unknown.claims()).isEqualTo(Level.MEETS);
    assertThat(unknown.reasons()).contains(new Reason.LimitUnknown(Reason.Limit.ASH));
  }

  @Test
  void oldEnginesWantZinc() {
    Spec.Limits zinc =
        limits(Optional.empty(), Optional.of(700), FrictionModifier.ANY, false, false);
    Spec old = limited(DIESEL, zinc);
    assertThat(judge(old, engineOil("15W-40", "CI-4").zinc(700).read()).overall())
        .isEqualTo(Level.MEETS);
    assertThat(judge(old, engineOil("15W-40", "CI-4").zinc(699).read()).reasons())
        .contains(new Reason.ZincTooLow(700, 699));
    assertThat(judge(old, engineOil("15W-40", "CI-4").read()).overall()).isEqualTo(Level.SIGN_OFF);
  }

  @Test
  void aLimitedSlipAxleWantsAFrictionModifier() {
    Spec axle =
        limited(
            spec(FluidKind.GEAR_OIL, List.of(Set.of(GL5))),
            limits(Optional.empty(), Optional.empty(), FrictionModifier.REQUIRED, false, false));
    assertThat(judge(axle, gearOil("80W-90", "GL-5").modifier(true).read()).overall())
        .isEqualTo(Level.MEETS);
    assertThat(judge(axle, gearOil("80W-90", "GL-5").modifier(false).read()).overall())
        .isEqualTo(Level.NO);
    assertThat(judge(axle, gearOil("80W-90", "GL-5").read()).overall()).isEqualTo(Level.SIGN_OFF);
  }

  private static Spec wetClutch() {
    return limited(
        spec(FluidKind.ENGINE_OIL, List.of(Set.of(SN)), row("10W-40", "", "")),
        limits(Optional.empty(), Optional.empty(), FrictionModifier.ANY, true, false));
  }

  /** MA2 covers MA and implies that no friction modifier is in it. */
  @Test
  void aWetClutchWantsMa() {
    assertThat(judge(wetClutch(), engineOil("10W-40", "SN; JASO MA2").read()).overall())
        .isEqualTo(Level.MEETS);
    assertThat(judge(wetClutch(), engineOil("10W-40", "SN; JASO MA").read()).overall())
        .isEqualTo(Level.MEETS);
    assertThat(judge(wetClutch(), engineOil("10W-40", "SN").modifier(false).read()).overall())
        .isEqualTo(Level.NO);
    // the trap: MA2 without JASO claims nothing
    assertThat(judge(wetClutch(), engineOil("10W-40", "SN; MA2").read()).reasons())
        .contains(new Reason.NotForWetClutch());
  }

  @Test
  void aFrictionModifierRuinsAWetClutch() {
    Suitability yes = judge(wetClutch(), engineOil("10W-40", "SN; JASO MA2").modifier(true).read());
    assertThat(yes.overall()).isEqualTo(Level.NO);
    assertThat(yes.reasons()).contains(new Reason.HoldsFrictionModifier());
    assertThat(judge(wetClutch(), engineOil("10W-40", "SN; JASO MB").read()).reasons())
        .contains(new Reason.HoldsFrictionModifier(), new Reason.NotForWetClutch());
    // both are claimed: nobody knows
    assertThat(judge(wetClutch(), engineOil("10W-40", "SN; JASO MA, MB").read()).overall())
        .isEqualTo(Level.SIGN_OFF);
  }

  @Test
  void forbiddenModifiersAreReadOffTheLabel() {
    Spec forbidden =
        limited(
            DIESEL,
            limits(Optional.empty(), Optional.empty(), FrictionModifier.FORBIDDEN, false, false));
    assertThat(judge(forbidden, engineOil("15W-40", "CI-4; JASO MB").read()).overall())
        .isEqualTo(Level.NO);
    assertThat(judge(forbidden, engineOil("15W-40", "CI-4; JASO MA").read()).overall())
        .isEqualTo(Level.MEETS);
    assertThat(judge(forbidden, engineOil("15W-40", "CI-4").read()).overall())
        .isEqualTo(Level.SIGN_OFF);
  }

  @Test
  void nearWaterOnlyWhatDegradesWillDo() {
    Spec boat =
        limited(
            Spec.ofKind(FluidKind.HYDRAULIC_OIL),
            limits(Optional.empty(), Optional.empty(), FrictionModifier.ANY, false, true));
    assertThat(judge(boat, fluid(FluidKind.HYDRAULIC_OIL).biodegradable(true).read()).overall())
        .isEqualTo(Level.MEETS);
    assertThat(judge(boat, fluid(FluidKind.HYDRAULIC_OIL).biodegradable(false).read()).overall())
        .isEqualTo(Level.NO);
    assertThat(judge(boat, fluid(FluidKind.HYDRAULIC_OIL).read()).overall())
        .isEqualTo(Level.SIGN_OFF);
  }

  @Test
  void coolantsAndBrakeFluidsKeepToTheirFamily() {
    Spec coolant =
        limited(
            Spec.ofKind(FluidKind.COOLANT),
            new Spec.Limits(
                Optional.empty(),
                Optional.empty(),
                FrictionModifier.ANY,
                false,
                false,
                Optional.of(Chemistry.P_OAT),
                Optional.of(BrakeBase.GLYCOL),
                Protection.UNSAID));
    assertThat(judge(coolant, fluid(FluidKind.COOLANT).family(Chemistry.IAT).read()).reasons())
        .contains(new Reason.ChemistryDiffers(Chemistry.P_OAT, Chemistry.IAT));
    assertThat(judge(coolant, fluid(FluidKind.COOLANT).read()).reasons())
        .contains(
            new Reason.LimitUnknown(Reason.Limit.CHEMISTRY),
            new Reason.LimitUnknown(Reason.Limit.BASE));
    assertThat(judge(coolant, fluid(FluidKind.COOLANT).base(BrakeBase.SILICONE).read()).reasons())
        .contains(new Reason.BaseDiffers(BrakeBase.GLYCOL, BrakeBase.SILICONE));
  }

  /** The worst of the steps: listed, but seasonal, but of unknown ash. */
  @Test
  void theWorstStepDecides() {
    Spec all = limited(approved(DIESEL, ApprovalMode.LISTED, "VK-205"), ashUpTo("1"));
    Suitability verdict = judge(all, engineOil("10W-40", "").listed("VK-205").read());
    assertThat(verdict.claims()).isEqualTo(Level.LISTED);
    assertThat(verdict.grade()).isEqualTo(Level.SEASONAL);
    assertThat(verdict.limits()).isEqualTo(Level.SIGN_OFF);
    assertThat(verdict.overall()).isEqualTo(Level.SIGN_OFF);
  }
}
