package dev.lonja.web.policy;

import dev.lonja.core.mixture.MixPolicy;
import dev.lonja.core.pour.FillPolicy;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.util.Optional;

/** The form of how every fill is reckoned and poured: shown as it stands, and read. */
final class FillForm {

  private FillForm() {}

  static PolicyView.Fills view(FillPolicy policy, BigDecimal coolant) {
    return new PolicyView.Fills(
        PlainDecimal.of(policy.handlingLoss().movePointRight(2)),
        PlainDecimal.of(policy.holdBack().movePointRight(2)),
        policy.leastHoldBack().exactText(),
        policy.jug().exactText(),
        PlainDecimal.of(policy.stroke().amount().movePointRight(3)),
        PlainDecimal.of(coolant.movePointRight(2)));
  }

  /** The part of concentrate in coolant; empty, with the problem noted, if it cannot be read. */
  static Optional<BigDecimal> coolant(PolicyView.Fills form, Typed typed) {
    return typed
        .decimalBetween(
            "coolantShare",
            "The concentrate in coolant, in %,",
            form.coolantShare(),
            MixPolicy.LEAST_COOLANT.movePointRight(2),
            MixPolicy.MOST_COOLANT.movePointRight(2),
            2)
        .map(percent -> percent.movePointLeft(2));
  }

  /** Empty, with the problems noted, if it cannot be read. */
  static Optional<FillPolicy> read(PolicyView.Fills form, Typed typed) {
    Optional<BigDecimal> loss =
        percent(
            typed,
            "handlingLoss",
            "The handling loss in %",
            form.handlingLoss(),
            FillPolicy.MOST_LOSS);
    Optional<BigDecimal> share =
        percent(
            typed, "holdBack", "The hold-back in %", form.holdBack(), FillPolicy.MOST_HOLD_BACK);
    Optional<Volume> least =
        litres(
            typed,
            "leastHoldBack",
            "The least hold-back in L",
            form.leastHoldBack(),
            Volume.ZERO,
            FillPolicy.MOST_LEAST);
    Optional<Volume> jug =
        litres(
            typed,
            "jug",
            "The jug's graduation in L",
            form.jug(),
            FillPolicy.FINEST_JUG,
            FillPolicy.COARSEST_JUG);
    Optional<Quantity> stroke =
        typed
            .decimalBetween(
                "stroke",
                "The grease of a stroke in g",
                form.stroke(),
                FillPolicy.LEAST_STROKE.amount().movePointRight(3),
                FillPolicy.MOST_STROKE.amount().movePointRight(3),
                3)
            .map(grams -> Quantity.of(Measure.KILOGRAMS, grams.movePointLeft(3)));
    return typed.all(
        () ->
            new FillPolicy(
                loss.orElseThrow(),
                share.orElseThrow(),
                least.orElseThrow(),
                jug.orElseThrow(),
                stroke.orElseThrow()));
  }

  private static Optional<BigDecimal> percent(
      Typed typed, String field, String what, String text, BigDecimal most) {
    return typed
        .decimalBetween(field, what, text, BigDecimal.ZERO, most.movePointRight(2), 2)
        .map(percent -> percent.movePointLeft(2));
  }

  private static Optional<Volume> litres(
      Typed typed, String field, String what, String text, Volume least, Volume most) {
    return typed
        .decimalBetween(field, what, text, least.litres(), most.litres(), 3)
        .map(Volume::ofLitres);
  }
}
