package dev.lonja.core.pour;

import static dev.lonja.core.fluid.Fluids.engineOil;
import static dev.lonja.core.fluid.Fluids.fluid;
import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fluid.BrakeBase;
import dev.lonja.core.fluid.Chemistry;
import dev.lonja.core.fluid.HydraulicType;
import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.fluid.Standing;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.quantity.Volume;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** A sump of 9.60 L takes up to 0.96 L of other oils. */
class TopUpTest {

  private static final Volume SUMP = Volume.ofLitres("9.60");
  private static final ProductClaims FILL = engineOil("15W-40", "CI-4").id(new ProductId(1)).read();
  private static final ProductClaims OTHER =
      engineOil("15W-40", "CK-4").id(new ProductId(2)).read();
  private static final ProductClaims THIRD =
      engineOil("10W-40", "CI-4").id(new ProductId(3)).read();

  private static TopUp.Contents sump(TopUp.Pour... since) {
    return new TopUp.Contents(SUMP, Optional.of(FILL), List.of(since));
  }

  private static TopUp.Pour pour(ProductClaims product, String litres) {
    return new TopUp.Pour(product, Volume.ofLitres(litres));
  }

  private static Suitability at(Level level) {
    return new Suitability(new Standing(Level.LISTED, Level.LISTED, level, Set.of()), List.of());
  }

  private static TopUp.Verdict add(
      TopUp.Contents contents, ProductClaims product, String litres, Level level) {
    return TopUp.judge(contents, product, Volume.ofLitres(litres), at(level));
  }

  @Test
  void theSameProductMayAlwaysBeAdded() {
    assertThat(add(sump(), FILL, "5", Level.MEETS).answer()).isEqualTo(TopUp.Answer.ALLOWED);
    assertThat(add(sump(pour(FILL, "5")), FILL, "5", Level.SIGN_OFF).answer())
        .isEqualTo(TopUp.Answer.ALLOWED);
  }

  @Test
  void othersMayMakeUpATenth() {
    assertThat(add(sump(), OTHER, "0.96", Level.MEETS).answer()).isEqualTo(TopUp.Answer.ALLOWED);
    TopUp.Verdict more = add(sump(), OTHER, "0.97", Level.MEETS);
    assertThat(more.answer()).isEqualTo(TopUp.Answer.SIGN_OFF);
    assertThat(more.concerns())
        .containsExactly(
            new TopUp.Concern.TooMuchOfOthers(Volume.ofLitres("0.97"), Volume.ofLitres("0.96")));
  }

  /** 0.40 L of one and 0.30 L of another since the drain leave 0.26 L; the fill's own is free. */
  @Test
  void othersCountTogether() {
    TopUp.Contents contents = sump(pour(OTHER, "0.40"), pour(FILL, "2"), pour(THIRD, "0.30"));
    assertThat(add(contents, OTHER, "0.26", Level.LISTED).answer()).isEqualTo(TopUp.Answer.ALLOWED);
    TopUp.Verdict over = add(contents, THIRD, "0.27", Level.LISTED);
    assertThat(over.answer()).isEqualTo(TopUp.Answer.SIGN_OFF);
    assertThat(over.othersThen()).isEqualTo(Volume.ofLitres("0.97"));
    assertThat(add(contents, FILL, "3", Level.LISTED).answer()).isEqualTo(TopUp.Answer.ALLOWED);
  }

  @Test
  void belowMeetsNeedsASignature() {
    assertThat(add(sump(), OTHER, "0.1", Level.SEASONAL).concerns())
        .containsExactly(new TopUp.Concern.BelowMeets(Level.SEASONAL));
    assertThat(add(sump(), OTHER, "0.1", Level.SIGN_OFF).answer()).isEqualTo(TopUp.Answer.SIGN_OFF);
  }

  @Test
  void whatMayNotGoInIsNeverAdded() {
    assertThat(add(sump(), OTHER, "0.1", Level.NO).answer()).isEqualTo(TopUp.Answer.NEVER);
    assertThat(add(sump(), FILL, "0.1", Level.NO).answer()).isEqualTo(TopUp.Answer.NEVER);
  }

  @Test
  void unknownContentsNeedASignature() {
    TopUp.Contents unknown = new TopUp.Contents(SUMP, Optional.empty(), List.of());
    assertThat(add(unknown, FILL, "0.1", Level.MEETS).concerns())
        .containsExactly(new TopUp.Concern.ContentsUnknown());
  }

  private static TopUp.Answer mix(ProductClaims present, ProductClaims added) {
    TopUp.Contents contents = new TopUp.Contents(SUMP, Optional.of(present), List.of());
    return add(contents, added, "0.1", Level.MEETS).answer();
  }

  private static ProductClaims coolant(ProductId id, Chemistry family) {
    return fluid(FluidKind.COOLANT).id(id).family(family).read();
  }

  @Test
  void coolantsOfDifferentFamiliesNeverMix() {
    ProductClaims oat = coolant(new ProductId(1), Chemistry.OAT);
    assertThat(mix(oat, coolant(new ProductId(2), Chemistry.OAT))).isEqualTo(TopUp.Answer.ALLOWED);
    assertThat(mix(oat, coolant(new ProductId(2), Chemistry.P_OAT))).isEqualTo(TopUp.Answer.NEVER);
    assertThat(mix(oat, fluid(FluidKind.COOLANT).id(new ProductId(2)).read()))
        .isEqualTo(TopUp.Answer.SIGN_OFF);
  }

  /** What was added before counts as well as the fill. */
  @Test
  void whatWasAddedBeforeMustMixToo() {
    TopUp.Contents contents =
        new TopUp.Contents(
            SUMP,
            Optional.of(coolant(new ProductId(1), Chemistry.OAT)),
            List.of(pour(coolant(new ProductId(2), Chemistry.P_OAT), "0.1")));
    TopUp.Verdict verdict =
        add(contents, coolant(new ProductId(3), Chemistry.OAT), "0.1", Level.MEETS);
    assertThat(verdict.answer()).isEqualTo(TopUp.Answer.NEVER);
    assertThat(verdict.concerns()).singleElement().isInstanceOf(TopUp.Concern.MustNotMix.class);
  }

  private static ProductClaims brake(ProductId id, BrakeBase base) {
    return fluid(FluidKind.BRAKE_FLUID).id(id).base(base).read();
  }

  @Test
  void brakeFluidsKeepToTheirBase() {
    ProductClaims glycol = brake(new ProductId(1), BrakeBase.GLYCOL);
    assertThat(mix(glycol, brake(new ProductId(2), BrakeBase.GLYCOL)))
        .isEqualTo(TopUp.Answer.ALLOWED);
    assertThat(mix(glycol, brake(new ProductId(2), BrakeBase.SILICONE)))
        .isEqualTo(TopUp.Answer.NEVER);
    assertThat(mix(glycol, brake(new ProductId(2), BrakeBase.MINERAL)))
        .isEqualTo(TopUp.Answer.NEVER);
    assertThat(mix(glycol, fluid(FluidKind.BRAKE_FLUID).id(new ProductId(2)).read()))
        .isEqualTo(TopUp.Answer.SIGN_OFF);
  }

  private static ProductClaims hydraulic(ProductId id, HydraulicType type) {
    return fluid(FluidKind.HYDRAULIC_OIL).id(id).type(type).read();
  }

  @Test
  void polyglycolNeverMeetsMineralOil() {
    ProductClaims polyglycol = hydraulic(new ProductId(1), HydraulicType.HEPG);
    assertThat(mix(polyglycol, hydraulic(new ProductId(2), HydraulicType.HM)))
        .isEqualTo(TopUp.Answer.NEVER);
    assertThat(mix(hydraulic(new ProductId(2), HydraulicType.HV), polyglycol))
        .isEqualTo(TopUp.Answer.NEVER);
    assertThat(mix(polyglycol, hydraulic(new ProductId(2), HydraulicType.HEES)))
        .isEqualTo(TopUp.Answer.ALLOWED);
    assertThat(mix(polyglycol, fluid(FluidKind.HYDRAULIC_OIL).id(new ProductId(2)).read()))
        .isEqualTo(TopUp.Answer.SIGN_OFF);
    assertThat(
            mix(
                hydraulic(new ProductId(1), HydraulicType.HM),
                hydraulic(new ProductId(2), HydraulicType.HEES)))
        .isEqualTo(TopUp.Answer.ALLOWED);
  }
}
