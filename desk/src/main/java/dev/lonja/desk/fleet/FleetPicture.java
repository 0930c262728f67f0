package dev.lonja.desk.fleet;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.forecast.Homes;
import dev.lonja.core.forecast.KitDemand;
import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.forecast.TrayHold;
import dev.lonja.core.forecast.UnitDemand;
import dev.lonja.core.forecast.UnitPlan;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.meter.JudgedMeter;
import dev.lonja.core.meter.MeterFile;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.policy.Policies;
import dev.lonja.core.pour.TopUpUse;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.core.service.UnitFile;
import dev.lonja.core.trial.TrialUnit;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The units in service on a day as they stand: meters judged, rates found, tasks with the points
 * they count from. Plans are worked out once for a day up to which they go.
 */
public final class FleetPicture {

  /** How far ahead pages look for what is due, in years. */
  public static final int HORIZON_YEARS = 2;

  private final LocalDate today;
  private final List<Unit> units;
  private final Map<UnitId, UnitStand> stands;
  private final Map<UnitId, UnitInputs> gone;
  private final Map<MeterId, MeterStanding> meters;
  private final CommonInputs common;
  private final Map<List<Object>, Object> derived = new ConcurrentHashMap<>();

  /**
   * @param stands of the units in service
   * @param gone those that have left the fleet
   */
  private FleetPicture(
      LocalDate today,
      Map<UnitId, UnitStand> stands,
      Map<UnitId, UnitInputs> gone,
      Map<MeterId, MeterStanding> meters,
      CommonInputs common) {
    this.today = today;
    this.stands = stands;
    this.units = stands.values().stream().map(UnitStand::unit).toList();
    this.gone = gone;
    this.meters = meters;
    this.common = common;
  }

  public static FleetPicture load(Session session, LocalDate today) {
    return FleetMemory.of(session).on(today);
  }

  /** The fleet of a day to come, worked out before it is asked for; today's stays. */
  public static FleetPicture ahead(Session session, LocalDate day) {
    return FleetMemory.of(session).aheadOf(day);
  }

  /** The same store's as it stood before, whose units that stand as they did are kept. */
  static FleetPicture of(
      LocalDate today,
      List<UnitInputs> inputs,
      CommonInputs common,
      Optional<FleetPicture> before) {
    List<UnitInputs> serving = inputs.stream().filter(in -> in.unit().serves(today)).toList();
    List<MeterFile> files = serving.stream().flatMap(in -> in.meters().stream()).toList();
    Map<MeterId, MeterStanding> meters = MeterStanding.ofFleet(files);
    Map<UnitId, UnitStand> known = before.map(picture -> picture.stands).orElse(Map.of());
    return new FleetPicture(
        today,
        standing(
            serving,
            in -> {
              CommonInputs.Share share = common.of(in.unit());
              List<MeterStanding> its =
                  in.meters().stream().map(file -> meters.get(file.meter().id())).toList();
              return Optional.ofNullable(known.get(in.unit().id()))
                  .filter(stand -> stand.isOf(in, share, its))
                  .orElseGet(() -> new UnitStand(today, in, share, its));
            }),
        inputs.stream()
            .filter(in -> !in.unit().serves(today))
            .collect(Collectors.toMap(in -> in.unit().id(), Function.identity())),
        meters,
        common);
  }

  /** In order of the units' codes. */
  private static Map<UnitId, UnitStand> standing(
      List<UnitInputs> inputs, Function<UnitInputs, UnitStand> stand) {
    Map<UnitId, UnitStand> stands = new LinkedHashMap<>();
    inputs.parallelStream().map(stand).toList().forEach(s -> stands.put(s.unit().id(), s));
    return Collections.unmodifiableMap(stands);
  }

  /** The fleet as it would stand under other policies. */
  public FleetPicture under(Policies policies, Session session) {
    CommonInputs other = common.under(policies, session);
    return new FleetPicture(
        today,
        standing(
            stands.values().stream().map(UnitStand::inputs).toList(),
            in ->
                new UnitStand(today, in, other.of(in.unit()), stands.get(in.unit().id()).meters())),
        gone,
        meters,
        other);
  }

  /**
   * The fleet as it would stand if it were otherwise in some things; what is unknown changes none.
   */
  public FleetPicture altered(List<Alteration> alterations) {
    Map<UnitId, UnitInputs> units = new LinkedHashMap<>();
    stands.forEach((id, stand) -> units.put(id, stand.inputs()));
    long next =
        Stream.concat(stands.keySet().stream(), gone.keySet().stream())
                .mapToLong(UnitId::value)
                .max()
                .orElse(0)
            + 1;
    List<Alteration.Runs> runs = new ArrayList<>();
    for (Alteration alteration : alterations) {
      UnitInputs known = units.get(alteration.unit());
      if (known == null) {
        continue;
      }
      if (alteration instanceof Alteration.LaidUp laidUp) {
        units.put(known.unit().id(), known.layingUp(laidUp.layUp()));
      } else if (alteration instanceof Alteration.OneMore) {
        UnitId id = new UnitId(next++);
        units.put(id, known.again(id, known.unit().code() + "+" + id));
      } else if (alteration instanceof Alteration.Runs run) {
        runs.add(run);
      }
    }
    return of(today, List.copyOf(units.values()), common, Optional.of(this)).running(runs);
  }

  private FleetPicture running(List<Alteration.Runs> runs) {
    Map<UnitId, UnitStand> others = new LinkedHashMap<>(stands);
    Map<MeterId, MeterStanding> faster = new LinkedHashMap<>(meters);
    for (Alteration.Runs run : runs) {
      UnitStand stand = others.get(run.unit());
      if (stand != null) {
        UnitStand other = stand.running(run.meter(), run.burst());
        others.put(run.unit(), other);
        other.meters().forEach(meter -> faster.put(meter.file().meter().id(), meter));
      }
    }
    return new FleetPicture(today, Collections.unmodifiableMap(others), gone, faster, common);
  }

  public LocalDate today() {
    return today;
  }

  /** The units in service, in order of their codes. */
  public List<Unit> units() {
    return units;
  }

  /** The meters of the units in service. */
  public Map<MeterId, MeterStanding> meters() {
    return meters;
  }

  /** By variant, what its units are made of. */
  public Map<Long, UnitNeeds> variants() {
    return common.variants();
  }

  /** A unit with its deviations and policies applied, whether in service or not. */
  public UnitFile file(UnitId unit) {
    return Optional.ofNullable(stands.get(unit))
        .map(UnitStand::file)
        .orElseGet(
            () -> {
              UnitInputs left = gone.get(unit);
              return UnitStand.file(today, left, common.of(left.unit()));
            });
  }

  /** What one unit is made of. */
  public UnitNeeds needs(UnitId unit) {
    return file(unit).needs();
  }

  /** The tasks of a unit as they stand; none for one that is not in service. */
  public List<TaskStanding> tasks(UnitId unit) {
    return Optional.ofNullable(stands.get(unit)).map(UnitStand::tasks).orElse(List.of());
  }

  /** What a compartment of a unit in service takes between services, where that is known. */
  public Optional<TopUpUse> topUps(UnitId unit, Compartment compartment) {
    UnitStand stand = stands.get(unit);
    return TopUpUse.of(compartment, stand.inputs().poured().topUps(), stand.meters(), today);
  }

  /** True while a tray that was handed over and is not back stands for a task. */
  public boolean isOut(UnitId unit, TaskId task) {
    return Optional.ofNullable(stands.get(unit)).stream()
        .flatMap(stand -> stand.inputs().inHand().stream())
        .anyMatch(tray -> tray.out() && tray.taskIds().contains(task));
  }

  /** The kits that the store keeps. */
  KitPrices kits() {
    return common.kits();
  }

  /** How things are done. */
  public Policies policies() {
    return common.policies();
  }

  /** A task of some unit in service as the maker has it. */
  public Optional<Task> task(TaskId id) {
    return stands.values().stream()
        .flatMap(stand -> stand.inputs().makers().stream())
        .filter(task -> task.id().equals(id))
        .findFirst();
  }

  /** The tasks of a unit as the maker has them. */
  public List<Task> makers(UnitId unit) {
    return stands.get(unit).inputs().makers();
  }

  /** The last day that pages look at. */
  public LocalDate horizon() {
    return today.plusYears(HORIZON_YEARS);
  }

  /** The occurrences of one unit up to a day. */
  public UnitPlan planOf(Unit unit, LocalDate until) {
    return stands.get(unit.id()).plan(until);
  }

  /** The occurrences of one unit if its tasks stood otherwise. */
  public UnitPlan planOf(Unit unit, List<TaskStanding> standings, LocalDate until) {
    return stands.get(unit.id()).plan(standings, until);
  }

  /** The occurrences of all units up to a day, in order of the units. */
  public List<UnitPlan> plans(LocalDate until) {
    return stands.values().parallelStream().map(stand -> stand.plan(until)).toList();
  }

  /** What one unit will take up to a day, with the kits that the policies ask for. */
  public UnitDemand demandOf(Unit unit, LocalDate until, Kits kits) {
    return demand(stands.get(unit.id()), until, kits);
  }

  private static UnitDemand demand(UnitStand stand, LocalDate until, Kits kits) {
    return KitDemand.of(stand.demand(until), stand.file().needs().ways(), kits.shelf());
  }

  /**
   * The plan line of all units over so many weeks.
   *
   * @param beside what counts beside the plans
   * @param kits that are taken where the policies say so
   */
  public PlanLine planLine(PlanLine.Beside beside, Kits kits, int weeks) {
    LocalDate last = PlanLine.lastDay(today, weeks);
    return PlanLine.ofDemand(
        stands.values().parallelStream().map(stand -> demand(stand, last, kits)).toList(),
        beside,
        today,
        weeks);
  }

  /**
   * Every unit in service as trials draw it, in order of the units.
   *
   * @param holds what is taken off next occurrences, of any unit
   */
  /** Where the demand of each machine falls. */
  public Homes homes() {
    return new Homes(
        units().stream()
            .filter(unit -> !unit.home().isMain())
            .collect(Collectors.toMap(Unit::code, Unit::home)));
  }

  public List<TrialUnit> trialUnits(List<TrayHold> holds, Kits kits) {
    Map<UnitId, List<TrayHold>> byUnit =
        holds.stream().collect(Collectors.groupingBy(TrayHold::unitId));
    return stands.values().stream()
        .map(stand -> stand.trial(byUnit.getOrDefault(stand.unit().id(), List.of()), kits.shelf()))
        .toList();
  }

  /** What is made of this picture and a key alone; made once for as long as it holds. */
  public <T> T derived(Class<T> kind, Object key, Supplier<T> work) {
    return kind.cast(derived.computeIfAbsent(List.of(kind, key), k -> work.get()));
  }

  /** One meter of the fleet with all its notes. */
  public static JudgedMeter judged(Session session, MeterStanding meter) {
    return JudgedMeter.of(meter, session.readings().of(meter.file().meter().id()));
  }

  public List<MeterStanding> metersOf(Unit unit) {
    return stands.get(unit.id()).meters();
  }
}
