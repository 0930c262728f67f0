package dev.lonja.core.trial;

import dev.lonja.core.calendar.EffectiveDays;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterOutlook;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.rng.sampling.distribution.ContinuousSampler;

/** One meter over the weeks of trials: what it stands at today and at the end of each week. */
final class MeterRun {

  private static final EffectiveDays FORTNIGHT = new EffectiveDays(14L * EffectiveDays.ONE_DAY);

  private static final ContinuousSampler NOTHING = () -> 0;

  private final MeterId id;
  private final MeterOutlook outlook;
  private final List<MeterOutlook.Usage> steps = new ArrayList<>();
  private final double fortnight;

  MeterRun(MeterId id, MeterOutlook outlook, TrialRules rules) {
    this.id = id;
    this.outlook = outlook;
    this.fortnight = outlook.rate().map(rate -> rate.over(FORTNIGHT).doubleValue()).orElse(0.0);
    LocalDate from = outlook.baseDay();
    steps.add(outlook.usage(from, rules.today()));
    from = rules.today();
    for (int week = 0; week < rules.weeks(); week++) {
      steps.add(outlook.usage(from, rules.sunday(week)));
      from = rules.sunday(week);
    }
  }

  MeterOutlook outlook() {
    return outlook;
  }

  /** What it runs in fourteen effective days at its rate. */
  double fortnight() {
    return fortnight;
  }

  /** A thread's own draws of it. */
  Draws draws(boolean byChance) {
    return new Draws(byChance);
  }

  /** What it stands at, trial after trial. */
  final class Draws {

    private final Chance chance = new Chance();
    private final ContinuousSampler[] gammas;
    private final double[] most;
    private final double[] fixed;
    private final double[] life = new double[steps.size()];
    private final boolean byChance;

    private Draws(boolean byChance) {
      this.byChance = byChance;
      this.most = steps.stream().mapToDouble(MeterOutlook.Usage::most).toArray();
      this.fixed = steps.stream().mapToDouble(MeterOutlook.Usage::fixed).toArray();
      this.gammas =
          steps.stream()
              .map(step -> step.gamma(chance).orElse(NOTHING))
              .toArray(ContinuousSampler[]::new);
      double at = outlook.base().tenths() / 10.0;
      for (int i = 0; i < life.length; i++) {
        at += steps.get(i).expected();
        life[i] = at;
      }
    }

    /** Today's life first, then that at the end of each week; the same array every time. */
    double[] of(long seed, int trial) {
      if (byChance) {
        chance.begin(seed, Chance.Kind.METER, id.value(), trial);
        double at = outlook.base().tenths() / 10.0;
        for (int i = 0; i < life.length; i++) {
          at += Math.min(gammas[i].sample(), most[i]) + fixed[i];
          life[i] = at;
        }
      }
      return life;
    }
  }
}
