package dev.lonja.core.trial;

import java.util.ArrayList;
import java.util.List;

/**
 * What one unit uses in trials (rules §7). Each of its meters runs from its last accepted reading
 * on, a week at a time, and all its tasks see the same run: every limit that is crossed in a week
 * is an occurrence of that week and the overshoot carries over; months bring one at the latest; a
 * task that is close joins. What an occurrence takes is worked out for the tasks that really come
 * together, inspections end as they do by their chance, and a tray stands for the next time of its
 * tasks. May be used by several threads.
 *
 * <p>A meter none of whose limits it will reach within the weeks with a chance of a thousandth, and
 * by which nothing is topped up, runs as expected and costs no draws.
 */
public final class UnitTrials {

  private final UnitRun run;
  private final TrialRules rules;

  public UnitTrials(TrialUnit unit, TrialRules rules) {
    this.run = new UnitRun(unit, rules);
    this.rules = rules;
  }

  /**
   * Draws trials, from one to another, the first included.
   *
   * @param sink is told what each uses, a week after the other
   */
  public void draw(int from, int to, TrialSink sink) {
    if (run.weeks == 0) {
      return;
    }
    List<MeterRun.Draws> draws = new ArrayList<>();
    for (int i = 0; i < run.meters.size(); i++) {
      draws.add(run.meters.get(i).draws(run.byChance[i]));
    }
    UnitTrial walk = new UnitTrial(run, sink);
    double[][] life = new double[run.meters.size()][];
    for (int trial = from; trial < to; trial++) {
      for (int i = 0; i < life.length; i++) {
        life[i] = draws.get(i).of(rules.seed(), trial);
      }
      walk.through(trial, life);
    }
  }
}
