package dev.lonja.desk.fleet;

import dev.lonja.core.calendar.UsageBurst;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.forecast.TopUpDemand;
import dev.lonja.core.forecast.TrayHold;
import dev.lonja.core.forecast.UnitDemand;
import dev.lonja.core.forecast.UnitPlan;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.pour.TopUpUse;
import dev.lonja.core.service.OccurrencePlanner;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.core.service.UnitFacts;
import dev.lonja.core.service.UnitFile;
import dev.lonja.core.service.UnitHistory;
import dev.lonja.core.take.KitShelf;
import dev.lonja.core.trial.TrialUnit;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/** One unit as it stands on a day; its plans are worked out when they are first asked for. */
final class UnitStand {

  private final LocalDate today;
  private final UnitInputs inputs;
  private final CommonInputs.Share share;
  private final List<MeterStanding> meters;
  private final UnitFile file;
  private final List<TaskStanding> tasks;
  private LocalDate planned = LocalDate.MIN;
  private UnitPlan plan;
  private LocalDate demanded = LocalDate.MIN;
  private UnitDemand demand = UnitDemand.NONE;

  UnitStand(
      LocalDate today, UnitInputs inputs, CommonInputs.Share share, List<MeterStanding> meters) {
    this.today = today;
    this.inputs = inputs;
    this.share = share;
    this.meters = List.copyOf(meters);
    this.file = file(today, inputs, share);
    this.tasks = standings();
    this.plan = new UnitPlan(unit().id(), unit().code(), List.of(), file.needs());
  }

  /** A unit with its deviations and policies applied, in service or not. */
  static UnitFile file(LocalDate today, UnitInputs inputs, CommonInputs.Share share) {
    UnitNeeds variant = share.variant().on(today).under(share.ways());
    return UnitFile.of(
        share.fluids().chosen(share.filters().chosen(variant)),
        inputs.makers().stream().map(share.intervals()::applyTo).toList(),
        inputs.deviations());
  }

  /** True if it was made of the same, and so stands as one made now would. */
  boolean isOf(UnitInputs now, CommonInputs.Share shareNow, List<MeterStanding> metersNow) {
    return inputs == now && meters.equals(metersNow) && share.equals(shareNow);
  }

  /** The same if one of its meters ran so much for a while. */
  UnitStand running(MeterId meter, UsageBurst burst) {
    return new UnitStand(
        today,
        inputs,
        share,
        meters.stream()
            .map(
                standing ->
                    standing.file().meter().id().equals(meter)
                        ? new MeterStanding(standing.file(), standing.outlook().with(burst))
                        : standing)
            .toList());
  }

  UnitInputs inputs() {
    return inputs;
  }

  Unit unit() {
    return inputs.unit();
  }

  List<MeterStanding> meters() {
    return meters;
  }

  UnitFile file() {
    return file;
  }

  List<TaskStanding> tasks() {
    return tasks;
  }

  /** Its occurrences up to a day, none of them after it has left the fleet. */
  UnitPlan plan(LocalDate until) {
    UnitPlan known = upTo(until);
    int within = 0;
    while (within < known.occurrences().size()
        && !known.occurrences().get(within).date().isAfter(until)) {
      within++;
    }
    return within == known.occurrences().size()
        ? known
        : new UnitPlan(
            known.unitId(),
            known.unitCode(),
            known.occurrences().subList(0, within),
            known.needs());
  }

  /** What is planned up to a nearer day is how a longer plan begins, so one plan serves all. */
  private synchronized UnitPlan upTo(LocalDate until) {
    if (until.isAfter(planned)) {
      planned = until;
      plan = plan(tasks, until);
    }
    return plan;
  }

  /** What it will take up to a day; worked out for the longest look so far. */
  synchronized UnitDemand demand(LocalDate until) {
    if (until.isAfter(demanded)) {
      demanded = until;
      demand =
          UnitDemand.of(plan(until))
              .with(
                  TopUpDemand.of(
                      unit(), file.needs(), inputs.poured().topUps(), meters, today, until));
    }
    return until.equals(demanded) ? demand : demand.until(until);
  }

  /**
   * It as trials draw it.
   *
   * @param holds what is taken off its next occurrences
   */
  TrialUnit trial(List<TrayHold> holds, KitShelf kits) {
    Map<Compartment, TopUpUse> topUps = new HashMap<>();
    for (Compartment compartment : file.needs().compartments()) {
      TopUpUse.of(compartment, inputs.poured().topUps(), meters, today)
          .ifPresent(use -> topUps.put(compartment, use));
    }
    return new TrialUnit(
        unit().id(),
        unit().home(),
        unit().retiredOn().map(day -> day.minusDays(1)),
        file.needs(),
        tasks,
        inputs.inHand(),
        holds,
        topUps,
        kits);
  }

  /** The same if its tasks stood otherwise. */
  UnitPlan plan(List<TaskStanding> standings, LocalDate until) {
    LocalDate last =
        unit().retiredOn().map(day -> day.minusDays(1)).filter(until::isAfter).orElse(until);
    return new UnitPlan(
        unit().id(),
        unit().code(),
        OccurrencePlanner.plan(standings, inputs.inHand(), today, last),
        file.needs());
  }

  private List<TaskStanding> standings() {
    Map<MeterId, MeterStanding> byId =
        meters.stream().collect(Collectors.toMap(m -> m.file().meter().id(), Function.identity()));
    UnitFacts facts =
        UnitFacts.of(
            inputs.calendar().layUps(),
            file.needs().inside(inputs.poured().fills()),
            share.fluidClasses());
    Map<TaskId, LocalDate> moved = new HashMap<>();
    inputs.moves().forEach((task, move) -> moved.put(task, move.day()));
    UnitHistory history =
        new UnitHistory(unit().inServiceOn(), inputs.done(), inputs.kept(), moved);
    return file.standings(facts, history, byId);
  }
}
