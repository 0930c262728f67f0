package dev.lonja.core.tank;

import dev.lonja.core.quantity.Temperature;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Holds the dips of a tank against what went in and out between them, all at 15 °C (rules §10).
 *
 * @param spans between each two dips, the oldest first
 */
public record Reconciliation(List<Span> spans) {

  /** A meter is good to half a per cent of what runs through it. */
  static final double METER_SHARE = 0.005;

  private static final double SUSPECT_TIMES = 3;

  /** What explains the differences must do so twice as well as the other thing. */
  private static final double CLEARLY = 2;

  private static final double DAY_SECONDS = Duration.ofDays(1).toSeconds();

  public Reconciliation {
    spans = List.copyOf(spans);
  }

  /**
   * Between two dips, in litres at 15 °C.
   *
   * @param closing what the later dip means
   * @param tolerance by which the difference may be off without anything being wrong
   * @param sum of the differences since the last agreed dip, this one included
   * @param meanTolerance of the spans in that sum
   */
  public record Span(
      Dip from,
      Dip to,
      double opening,
      Moved moved,
      double closing,
      double tolerance,
      double sum,
      double meanTolerance) {

    /** What should be there. */
    public double expected() {
      return opening + moved.delivered() + moved.returned() - moved.poured();
    }

    /** What is there beyond what should be; below zero if something is missing. */
    public double difference() {
      return closing - expected();
    }

    public boolean agrees() {
      return Math.abs(difference()) <= tolerance;
    }

    /** True if so much has come together that it is no chance any more. */
    public boolean drifts() {
      return Math.abs(sum) > SUSPECT_TIMES * meanTolerance;
    }

    private double days() {
      return Duration.between(from.at(), to.at()).toSeconds() / DAY_SECONDS;
    }
  }

  /** What moved, in litres at 15 °C. */
  public record Moved(double delivered, double returned, double poured) {
    static final Moved NOTHING = new Moved(0, 0, 0);

    double all() {
      return delivered + returned + poured;
    }

    private Moved and(Flow.Way way, double litres) {
      return switch (way) {
        case DELIVERED -> new Moved(delivered + litres, returned, poured);
        case RETURNED -> new Moved(delivered, returned + litres, poured);
        case POURED -> new Moved(delivered, returned, poured + litres);
      };
    }
  }

  /** What may be behind a drift. */
  public enum Suspicion {
    /** All was well up to the latest dip, so that this one may be read wrongly. */
    DIP,
    /** The differences go with what was poured, or more is there than should be. */
    METER,
    /** They go with the time that passed. */
    LEAK,
    /** Too few dips tell the two apart. */
    EITHER
  }

  /**
   * @param dips in any order
   * @param flows in any order; what is not between two dips is left out, and what moved at the time
   *     of a dip counts as before it
   */
  public static Reconciliation of(
      Tank tank, StandardVolume standard, List<Dip> dips, List<Flow> flows) {
    List<Dip> sorted = dips.stream().sorted(Comparator.comparing(Dip::at)).toList();
    List<Flow> inOrder = flows.stream().sorted(Comparator.comparing(Flow::at)).toList();
    List<Span> spans = new ArrayList<>();
    int next = 0;
    double sum = 0;
    double tolerances = 0;
    int summed = 0;
    for (int i = 1; i < sorted.size(); i++) {
      Dip from = sorted.get(i - 1);
      Dip to = sorted.get(i);
      Moved moved = Moved.NOTHING;
      for (; next < inOrder.size() && !inOrder.get(next).at().isAfter(to.at()); next++) {
        Flow flow = inOrder.get(next);
        if (flow.at().isAfter(from.at())) {
          Optional<Temperature> warmth =
              flow.temperature().or(from::temperature).or(to::temperature);
          moved = moved.and(flow.way(), standard.litres(flow.volume(), warmth));
        }
      }
      if (from.agreed()) {
        sum = 0;
        tolerances = 0;
        summed = 0;
      }
      double opening = litres(tank, standard, from);
      double closing = litres(tank, standard, to);
      double tolerance = tolerance(tank, from, to, moved);
      sum += closing - (opening + moved.delivered() + moved.returned() - moved.poured());
      tolerances += tolerance;
      summed++;
      spans.add(new Span(from, to, opening, moved, closing, tolerance, sum, tolerances / summed));
    }
    return new Reconciliation(spans);
  }

  private static double litres(Tank tank, StandardVolume standard, Dip dip) {
    return standard.litres(tank.shape().volumeAt(dip.height()), dip.temperature());
  }

  /** The root of the squares of what each dip and the meter may be off. */
  private static double tolerance(Tank tank, Dip from, Dip to, Moved moved) {
    double error = tank.dipError().micrometres() / 1_000.0;
    double first = error * tank.shape().steepness(from.height());
    double second = error * tank.shape().steepness(to.height());
    double meter = METER_SHARE * moved.all();
    return Math.sqrt(first * first + second * second + meter * meter);
  }

  /** The latest span; empty before there are two dips. */
  public Optional<Span> latest() {
    return spans.isEmpty() ? Optional.empty() : Optional.of(spans.get(spans.size() - 1));
  }

  /** What is suspected now; empty if nothing drifts. */
  public Optional<Suspicion> suspicion() {
    return latest().filter(Span::drifts).map(last -> suspicion(sinceAgreed(), last));
  }

  /** The spans whose differences make up the latest sum. */
  public List<Span> sinceAgreed() {
    int first = 0;
    for (int i = 0; i < spans.size(); i++) {
      if (spans.get(i).from().agreed()) {
        first = i;
      }
    }
    return spans.subList(first, spans.size());
  }

  private static Suspicion suspicion(List<Span> spans, Span last) {
    if (spans.size() == 1 || !spans.get(spans.size() - 2).drifts() && !last.agrees()) {
      return Suspicion.DIP;
    }
    if (last.sum() > 0) {
      // nothing leaks into a tank
      return Suspicion.METER;
    }
    double withPours = left(spans, true);
    double withTime = left(spans, false);
    if (withPours * CLEARLY < withTime) {
      return Suspicion.METER;
    }
    return withTime * CLEARLY < withPours ? Suspicion.LEAK : Suspicion.EITHER;
  }

  /**
   * The sum of squares that is left of the differences when they are taken to be in proportion to
   * what was poured, or to the days that passed.
   */
  private static double left(List<Span> spans, boolean pours) {
    double squares = 0;
    double products = 0;
    double differences = 0;
    for (Span span : spans) {
      double cause = pours ? span.moved().poured() : span.days();
      squares += cause * cause;
      products += cause * span.difference();
      differences += span.difference() * span.difference();
    }
    return squares == 0 ? differences : differences - products * products / squares;
  }
}
