package dev.lonja.web.tank;

import dev.lonja.core.forecast.Subject;
import dev.lonja.core.order.Coming;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.quantity.Thousands;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.tank.Dip;
import dev.lonja.core.tank.MeterCheck;
import dev.lonja.core.tank.Reconciliation;
import dev.lonja.core.tank.Tank;
import dev.lonja.core.tank.TankShape;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.forecast.AheadDesk;
import dev.lonja.desk.tank.TankDesk;
import dev.lonja.desk.tank.TankStand;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/** Says how tanks stand. */
final class TankWording {

  private static final int FINE = 100;

  /** So many counts of a pour meter are listed. */
  private static final int POURS = 12;

  /** Less than this is not told apart, in litres. */
  private static final double LEAST = 0.05;

  private final StoreClock clock;
  private final LocalDate today;

  TankWording(StoreClock clock) {
    this.clock = clock;
    this.today = clock.today();
  }

  /**
   * What is looked ahead to for a tank.
   *
   * @param subject the fluid it holds, in all its packs
   * @param orderAt at how much of it more is to be ordered; empty before the chances are drawn, or
   *     if nobody sells it
   * @param coming by open orders, of just this item
   */
  record Ahead(Optional<Subject> subject, Optional<Quantity> orderAt, List<Coming> coming) {

    /** All that open orders are to bring. */
    Volume delivery() {
      return new Volume(coming.stream().mapToLong(one -> one.quantity().millionths()).sum());
    }

    /** The level at which more is to be ordered. */
    Optional<Volume> order(Tank tank) {
      return orderAt
          .map(level -> new Volume(level.atLeastZero().millionths()))
          .filter(volume -> volume.compareTo(Volume.ZERO) > 0)
          .filter(volume -> volume.compareTo(tank.shape().full()) < 0);
    }
  }

  TankView.Card card(TankStand stand, Ahead ahead) {
    Tank tank = stand.tank();
    String holds =
        stand.item().product().map(product -> product.name() + " " + product.grade()).orElse("");
    Optional<Volume> order = ahead.order(tank);
    return new TankView.Card(
        tank.id().value(),
        tank.name(),
        holds.strip(),
        TankDrawing.of(
            stand.level(),
            new TankDrawing.Marks(order, ahead.delivery()),
            tank.name() + ", " + tank.percent(stand.level().now()) + " % full"),
        litres(stand.level().now()),
        "room for " + litres(stand.level().room()),
        ahead.subject().map(subject -> lasts(subject, stand)).orElse(""),
        ahead.coming().stream().map(this::coming).toList(),
        states(stand, order),
        tank.shape() instanceof TankShape.Lying);
  }

  /** How long what is in it lasts, whatever else is in the store or comes. */
  private static String lasts(Subject subject, TankStand stand) {
    if (subject.demands().isEmpty()) {
      return "no use is foreseen for " + AheadDesk.WEEKS + " weeks";
    }
    return subject
        .having(Quantity.of(stand.level().now()), List.of())
        .cover()
        .days()
        .map(days -> "lasts " + Words.count(days, "day", "days"))
        .orElse("lasts longer than " + AheadDesk.WEEKS + " weeks");
  }

  /** "+ 400 L on 24 Mar", "+ 400 L overdue". */
  private String coming(Coming coming) {
    return "+ "
        + litres(new Volume(coming.quantity().millionths()))
        + (coming.isOverdue(today) ? " overdue" : " on " + Words.day(coming.on(), today));
  }

  private List<State> states(TankStand stand, Optional<Volume> order) {
    List<State> states = new ArrayList<>();
    Tank tank = stand.tank();
    if (stand.level().now().compareTo(tank.safeFill()) > 0) {
      states.add(State.ofShort("above its safe fill"));
    }
    if (order.filter(volume -> stand.level().now().compareTo(volume) <= 0).isPresent()) {
      states.add(State.note("at the level to order"));
    }
    if (stand.isSilent(clock.now())) {
      states.add(State.note("its gauge is silent"));
    }
    stand.checked().latest().map(this::state).ifPresent(states::add);
    stand.checked().suspicion().map(TankWording::suspicion).ifPresent(states::add);
    stand
        .metered()
        .check()
        .filter(check -> !check.agrees())
        .map(TankWording::state)
        .ifPresent(states::add);
    if (stand.level().lastDip().isEmpty()) {
      states.add(State.open("never dipped"));
    }
    return states;
  }

  private State state(Reconciliation.Span span) {
    if (span.to().agreed()) {
      return State.ready("closed " + Words.day(clock.dayOf(span.to().at()), today));
    }
    return span.agrees()
        ? State.ready("agrees within " + litres(span.tolerance()))
        : State.ofShort(difference(span.difference()) + " than should be");
  }

  private static State suspicion(Reconciliation.Suspicion suspicion) {
    return State.ofShort(
        switch (suspicion) {
          case DIP -> "dip it again";
          case METER -> "drifts: look at the pour meter";
          case LEAK -> "drifts: look for a leak";
          case EITHER -> "drifts: the meter, or a leak";
        });
  }

  private static String difference(double litres) {
    return litres(Math.abs(litres)) + (litres < 0 ? " less" : " more");
  }

  TankView.One one(TankDesk.Opened opened, Ahead ahead) {
    TankStand stand = opened.stand();
    Tank tank = stand.tank();
    ListedDips listed = new ListedDips(stand.dips(), clock::dayOf);
    List<TankView.Span> spans =
        new ArrayList<>(
            stand.checked().spans().stream().filter(listed::lists).map(this::span).toList());
    Collections.reverse(spans);
    List<TankView.Dip> dips =
        new ArrayList<>(listed.dips().stream().map(d -> dip(stand, d)).toList());
    Collections.reverse(dips);
    return new TankView.One(
        card(stand, ahead),
        Plate.of(stand.item()),
        stand.bin().address(),
        litres(tank.shape().full()) + " to the brim, filled up to " + litres(tank.safeFill()),
        book(stand),
        notes(opened, listed),
        spans,
        dips,
        close(stand),
        metered(stand));
  }

  private TankView.Metered metered(TankStand stand) {
    List<TankView.Poured> latest =
        new ArrayList<>(
            stand.metered().pours().stream()
                .map(pour -> new TankView.Poured(time(pour.at()), litres(pour.volume())))
                .toList());
    Collections.reverse(latest);
    return new TankView.Metered(
        stand.metered().check().map(this::counted).orElse(""),
        stand.metered().check().map(TankWording::state).orElse(State.open("nothing counted")),
        latest.stream().limit(POURS).toList());
  }

  private String counted(MeterCheck check) {
    return "Since "
        + Words.day(clock.dayOf(check.since()), today)
        + " it counted "
        + litres(check.counted())
        + "; written down as poured are "
        + litres(check.written())
        + ".";
  }

  private static State state(MeterCheck check) {
    if (check.agrees()) {
      return State.ready("all of it is written down");
    }
    return check.unwritten() > 0
        ? State.ofShort(litres(check.unwritten()) + " are written down nowhere")
        : State.note(litres(-check.unwritten()) + " more are written down than ran");
  }

  private String book(TankStand stand) {
    double gap = gap(stand);
    String words = "The book says " + litres(stand.level().book());
    return Math.abs(gap) < LEAST ? words + "." : words + "; " + difference(gap) + " are in it.";
  }

  /** What is in it beyond the book, in litres as it lies. */
  private static double gap(TankStand stand) {
    return stand.level().now().litres().subtract(stand.level().book().litres()).doubleValue();
  }

  private List<String> notes(TankDesk.Opened opened, ListedDips listed) {
    List<String> notes = new ArrayList<>();
    TankStand stand = opened.stand();
    notes.add(
        stand.standard().density().isPresent()
            ? "Held together at 15 °C, with a density of "
                + stand.standard().density().get().display()
                + "."
            : "Not corrected for temperature.");
    notes.add(
        opened
            .cleaned()
            .map(at -> "Emptied and cleaned " + time(at) + ".")
            .orElse("It holds this until it is emptied and cleaned."));
    if (listed.leftOut() > 0) {
      notes.add(
          "Of what the gauge reads, the last of each day is listed and what does not agree; "
              + Words.count(listed.leftOut(), "reading is", "readings are")
              + " left out.");
    }
    return notes;
  }

  private TankView.Close close(TankStand stand) {
    return stand
        .level()
        .lastDip()
        .filter(dip -> !dip.agreed())
        .filter(dip -> Math.abs(gap(stand)) >= LEAST || !stand.checked().spans().isEmpty())
        .map(dip -> new TankView.Close(dip.id().value(), closing(stand, dip)))
        .orElse(TankView.Close.NOTHING);
  }

  private String closing(TankStand stand, Dip dip) {
    double gap = gap(stand);
    return Math.abs(gap) < LEAST
        ? "The book says the same; closing at " + time(dip.at()) + " starts the sum anew."
        : "At the dip of "
            + time(dip.at())
            + " there were "
            + difference(gap)
            + " than in the book. Closing books them, with the reason.";
  }

  private TankView.Span span(Reconciliation.Span span) {
    return new TankView.Span(
        Words.day(clock.dayOf(span.from().at()), today)
            + " to "
            + Words.day(clock.dayOf(span.to().at()), today),
        litres(span.moved().delivered() + span.moved().returned()),
        litres(span.moved().poured()),
        litres(span.expected()),
        litres(span.closing()),
        (span.difference() < 0 ? "−" : "+")
            + litres(Math.abs(span.difference()))
            + " ± "
            + litres(span.tolerance()),
        spanState(span));
  }

  private static State spanState(Reconciliation.Span span) {
    if (span.to().agreed()) {
      return State.ready("closed");
    }
    if (span.drifts()) {
      return State.ofShort(
          "together " + (span.sum() < 0 ? "−" : "+") + litres(Math.abs(span.sum())));
    }
    return span.agrees() ? State.ready("agrees") : State.ofShort("look into it");
  }

  private TankView.Dip dip(TankStand stand, Dip dip) {
    return new TankView.Dip(
        dip.id().value(),
        time(dip.at()),
        dip.height().display(),
        litres(stand.tank().shape().volumeAt(dip.height())),
        dip.temperature().map(Temperature::display).orElse("not measured"),
        dip.byGauge() ? "by gauge" : "by hand",
        !dip.agreed());
  }

  private String time(Instant at) {
    return Words.day(clock.dayOf(at), today) + ", " + clock.timeOf(at);
  }

  static String litres(Volume volume) {
    return litres(volume.litres().doubleValue());
  }

  /** Whole litres from a hundred on, tenths below. */
  private static String litres(double litres) {
    BigDecimal exact = BigDecimal.valueOf(litres);
    return Math.round(litres) >= FINE
        ? Thousands.apart(Math.round(litres)) + " L"
        : exact.setScale(1, RoundingMode.HALF_UP) + " L";
  }
}
