package dev.lonja.web.setup;

import dev.lonja.core.pour.FillPolicy;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Thousands;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.IntervalPolicy;
import dev.lonja.desk.setting.PolicyDesk;
import dev.lonja.web.due.SchoolWording;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Arrays;
import java.util.Optional;

/** The forms of the store's policies: shown as they stand in force, and read. */
final class PolicyForms {

  private static final BigDecimal LEAST_FACTOR = new BigDecimal("0.1");

  private PolicyForms() {}

  static SetupView view(PolicyDesk.Policies policies) {
    IntervalPolicy inForce = policies.intervals();
    return new SetupView(
        inForce.school().name(),
        inForce.factor().compareTo(BigDecimal.ONE) < 0 ? PlainDecimal.of(inForce.factor()) : "",
        inForce.calendarLimit(),
        SchoolWording.of(inForce),
        "in " + PolicyDesk.WEEKS + " weeks from today",
        policies.schools().stream().map(outlook -> school(outlook, inForce)).toList(),
        fills(policies.fills()));
  }

  private static SetupView.School school(PolicyDesk.Outlook outlook, IntervalPolicy inForce) {
    IntervalPolicy.School school = outlook.policy().school();
    return new SetupView.School(
        school.name(),
        words(outlook.policy(), inForce),
        outlook.occurrences(),
        whole(outlook.litres()) + " L",
        whole(outlook.pieces()),
        school == inForce.school());
  }

  /** One that nobody has chosen yet is shown by an example. */
  private static String words(IntervalPolicy policy, IntervalPolicy inForce) {
    if (policy.school() != IntervalPolicy.School.SHORTENED) {
      return policy.school().words();
    }
    boolean example = policy.factor().compareTo(inForce.factor()) != 0;
    return policy.school().words()
        + (example ? ", such as " : " of ")
        + PlainDecimal.of(policy.factor());
  }

  private static String whole(Quantity quantity) {
    return Thousands.apart(quantity.amount().setScale(0, RoundingMode.HALF_UP).longValue());
  }

  private static SetupView.Fills fills(FillPolicy policy) {
    return new SetupView.Fills(
        PlainDecimal.of(policy.handlingLoss().movePointRight(2)),
        PlainDecimal.of(policy.holdBack().movePointRight(2)),
        policy.leastHoldBack().exactText(),
        policy.jug().exactText());
  }

  /** Empty, with the problems noted, if it cannot be read. */
  static Optional<FillPolicy> read(SetupView.Fills form, Typed typed) {
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
    return typed.all(
        () ->
            new FillPolicy(
                loss.orElseThrow(), share.orElseThrow(), least.orElseThrow(), jug.orElseThrow()));
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

  /** A school of intervals as typed. */
  record School(String school, String factor, String calendarLimit) {

    /** Empty, with the problems noted, if it cannot be read. */
    Optional<IntervalPolicy> read(Typed typed) {
      Optional<IntervalPolicy.School> chosen =
          Arrays.stream(IntervalPolicy.School.values())
              .filter(s -> s.name().equals(school))
              .findFirst();
      if (chosen.isEmpty()) {
        typed.refuse("school", "Choose a school of intervals.");
      }
      if (factor.isBlank() && chosen.equals(Optional.of(IntervalPolicy.School.SHORTENED))) {
        typed.refuse(
            "factor", "Type the factor by which intervals are shortened; allowed is 0.1 to 1.");
      }
      Optional<BigDecimal> share =
          factor.isBlank()
              ? Optional.of(BigDecimal.ONE)
              : typed.decimalBetween(
                  "factor", "The factor", factor, LEAST_FACTOR, BigDecimal.ONE, 4);
      return typed.all(
          () ->
              new IntervalPolicy(
                  chosen.orElseThrow(), share.orElseThrow(), Boolean.parseBoolean(calendarLimit)));
    }
  }
}
