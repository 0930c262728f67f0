package dev.lonja.app.demo;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The machines of the harbour. Each has a stated daily use, and each service a stated share of its
 * interval that has passed today.
 */
final class DemoFleet {

  /**
   * A meter, for the history to read.
   *
   * @param perDay hours or kilometres on a mean day
   * @param lifeToday what it should stand at today
   */
  record MeterPlan(long meterId, double perDay, double lifeToday, int[] months, Oddity oddity) {}

  /** What makes a meter's readings worth looking at. */
  enum Oddity {
    NONE,
    BACKWARDS,
    SILENT,
    BURST,
    FEW,
    /** Exchanged ten weeks ago; the new one began at 0. */
    REPLACED,
    /** In service for a few weeks only. */
    NEW
  }

  /**
   * A unit, for the history to record its services.
   *
   * @param passed by service, the share of the interval that has passed; without a share there is
   *     no record
   */
  record UnitPlan(
      long unitId,
      String code,
      LocalDate inService,
      DemoVariant variant,
      Map<String, MeterPlan> meters,
      Map<String, Double> passed) {

    UnitPlan done(String service, double share) {
      passed.put(service, share);
      return this;
    }
  }

  private static final int[] SEASON = {50, 60, 80, 110, 120, 140, 150, 150, 130, 100, 60, 50};
  private static final int[] STEADY = {100, 100, 100, 100, 100, 100, 100, 100, 100, 100, 100, 100};

  private final LocalDate today;
  private final DemoSheets sheets;
  private final DemoMachines machines;
  private final List<UnitPlan> plans = new ArrayList<>();

  private DemoFleet(LocalDate today, DemoShelves shelves) {
    this.today = today;
    this.sheets = new DemoSheets(shelves);
    this.machines = new DemoMachines(sheets);
  }

  static DemoFleet fill(LocalDate today, DemoShelves shelves) {
    DemoFleet fleet = new DemoFleet(today, shelves);
    fleet.trucks();
    fleet.vans();
    fleet.forklifts();
    fleet.boats();
    fleet.hoists();
    fleet.smallEngines();
    fleet.carriers();
    fleet.generators();
    return fleet;
  }

  Map<String, String> texts() {
    return sheets.texts();
  }

  long item(String number) {
    return sheets.item(number);
  }

  UnitPlan plan(String code) {
    return plans.stream().filter(plan -> plan.code().equals(code)).findFirst().orElseThrow();
  }

  List<UnitPlan> plans() {
    return plans;
  }

  private void trucks() {
    long trucks = sheets.unitClass("RT", "Refrigerated trucks", "truck", SEASON);
    truck(trucks, "RT-01", machines.truck42, 118_400, 0.62, 0.40, 0.55);
    truck(trucks, "RT-02", machines.truck42, 96_210, 0.995, 0.30, 0.91);
    truck(trucks, "RT-03", machines.truck51, 142_900, 0.85, 0.74, 0.30);
    truck(trucks, "RT-04", machines.truck51, 61_050, 0.985, 0.98, 0.62);
    truck(trucks, "RT-05", machines.norte, 203_700, 1.06, 0.52, 0.99);
    truck(trucks, "RT-06", machines.truck42, 77_320, 0.21, 0.61, 0.18);
    truck(trucks, "RT-07", machines.truck51, 54_880, 0.48, 0.24, 0.74);
    truck(trucks, "RT-08", machines.norte, 171_060, 0.70, 0.35, 0.41);
    truck(trucks, "RT-09", machines.norte, 158_400, 0.33, 0.80, 0.66);
    UnitPlan young =
        unit("RT-10", "Refrigerated truck", trucks, machines.truck42, today.minusDays(12));
    meter(young, "road", "km", 165, 1_870, SEASON, Oddity.NEW);
    meter(young, "cold unit", "h", 5.5, 61, SEASON, Oddity.NEW);
  }

  private void truck(
      long classId,
      String code,
      DemoVariant variant,
      double life,
      double small,
      double large,
      double cold) {
    UnitPlan plan = unit(code, "Refrigerated truck", classId, variant, today.minusYears(4));
    Oddity oddity = code.equals("RT-03") ? Oddity.BACKWARDS : Oddity.NONE;
    meter(plan, "road", "km", 165, life, SEASON, oddity);
    meter(plan, "cold unit", "h", 5.5, life / 32, SEASON, Oddity.NONE);
    plan.done("Small service", small)
        .done("Large service", large)
        .done("Axle and gearbox", large * 0.5)
        .done("Cold unit service", cold);
  }

  private void vans() {
    long vans = sheets.unitClass("VN", "Vans", "van", STEADY);
    van(vans, "VN-1", 88_300, 0.45);
    van(vans, "VN-2", 41_900, 0.99);
    van(vans, "VN-3", 63_150, 0.18);
    van(vans, "VN-4", 29_700, 0.71);
    van(vans, "VN-5", 104_060, 0.34);
    van(vans, "VN-6", 52_410, 0.83);
  }

  private void van(long classId, String code, double life, double passed) {
    UnitPlan plan = unit(code, "Van", classId, machines.van, today.minusYears(3));
    meter(plan, "road", "km", 70, life, STEADY, Oddity.NONE);
    plan.done("Oil and filter", passed)
        .done("Air and cabin", passed * 0.9)
        .done("Every third oil change", 0.5);
  }

  private void forklifts() {
    long forklifts = sheets.unitClass("FL", "Forklifts", "forklift", SEASON);
    diesel(forklifts, "FL-1", 6_120, 0.70, 0.35);
    diesel(forklifts, "FL-2", 4_385, 0.99, 0.82);
    diesel(forklifts, "FL-3", 8_940, 0.93, 0.97);
    gas(forklifts, "FL-4", 3_310, 0.26, Oddity.NONE);
    gas(forklifts, "FL-5", 5_742, 0.58, Oddity.NONE);
    gas(forklifts, "FL-6", 2_108, 0.44, Oddity.REPLACED);
    gas(forklifts, "FL-7", 7_015, 0.985, Oddity.NONE);
  }

  private void diesel(long classId, String code, double life, double small, double large) {
    UnitPlan plan = unit(code, "Forklift, diesel", classId, machines.diesel, today.minusYears(5));
    meter(plan, "hours", "h", 4.2, life, SEASON, Oddity.NONE);
    plan.done("250 h service", small)
        .done("Dust round", Math.min(small, 0.9))
        .done("1,000 h service", large);
  }

  private void gas(long classId, String code, double life, double passed, Oddity oddity) {
    UnitPlan plan = unit(code, "Forklift, gas", classId, machines.gas, today.minusYears(4));
    meter(plan, "hours", "h", 3.4, life, SEASON, oddity);
    plan.done("250 h service", passed).done("Ignition", 0.3).done("Hydraulics", passed * 0.6);
  }

  private void boats() {
    long boats = sheets.unitClass("WB", "Workboats", "boat", SEASON);
    boat(boats, "WB-1", 1_410, 0.42);
    boat(boats, "WB-2", 960, 0.66);
    boat(boats, "WB-3", 2_205, 0.27);
    boat(boats, "WB-4", 1_778, 0.99);
    UnitPlan young =
        unit("WB-5", "Workboat, twin diesel", boats, machines.boat, today.minusDays(19));
    meter(young, "port", "h", 2.1, 31, SEASON, Oddity.NEW);
    meter(young, "starboard", "h", 2.1, 30, SEASON, Oddity.NEW);
  }

  private void boat(long classId, String code, double life, double passed) {
    UnitPlan plan =
        unit(code, "Workboat, twin diesel", classId, machines.boat, today.minusYears(6));
    layUp(plan);
    meter(plan, "port", "h", 2.1, life, SEASON, Oddity.NONE);
    meter(plan, "starboard", "h", 2.1, life - 14, SEASON, Oddity.NONE);
    for (String side : new String[] {"Port", "Starboard"}) {
      plan.done(side + " 250 h service", passed)
          .done(side + " before the season", 0.93)
          .done(side + " before lay-up", 0.2);
    }
  }

  private void hoists() {
    long hoists = sheets.unitClass("BH", "Boat hoists", "hoist", STEADY);
    hoist(hoists, "BH-1", 5_240, 0.55);
    UnitPlan second = hoist(hoists, "BH-2", 2_310, 0.22);
    long absent = machines.hoist.positionId("Return filter");
    sheets.deviations.add(
        second.unitId(),
        null,
        absent,
        null,
        "absent",
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        "unit",
        "this tank has a suction strainer instead",
        today.minusMonths(7),
        "storekeeper");
  }

  private UnitPlan hoist(long classId, String code, double life, double passed) {
    UnitPlan plan = unit(code, "Boat hoist, 30 t", classId, machines.hoist, today.minusYears(5));
    meter(plan, "hours", "h", 2.6, life, STEADY, Oddity.NONE);
    return plan.done("500 h service", passed)
        .done("Hydraulic service", passed * 0.7)
        .done("Before the season", 0.97);
  }

  private void smallEngines() {
    long small = sheets.unitClass("SE", "Sweepers and washers", "small", SEASON);
    small(small, "SW-1", "Quay sweeper", machines.sweeper, 412, 0.40);
    small(small, "SW-2", "Quay sweeper", machines.sweeper, 288, 0.15);
    small(small, "SW-3", "Quay sweeper", machines.sweeper, 655, 0.99);
    small(small, "PW-1", "Pressure washer", machines.washer, 190, 0.30);
    small(small, "PW-2", "Pressure washer", machines.washer, 77, 0.52);
    small(small, "PW-3", "Pressure washer", machines.washer, 240, 0.08);
    small(small, "PW-4", "Pressure washer", machines.washer, 133, 0.44);
    small(small, "PW-5", "Pressure washer", machines.washer, 301, 0.97);
  }

  private void small(
      long classId, String code, String name, DemoVariant variant, double life, double passed) {
    UnitPlan plan = unit(code, name, classId, variant, today.minusYears(3));
    meter(plan, "hours", "h", 0.9, life, SEASON, Oddity.NONE);
    plan.done("50 h service", passed).done("Air and ignition", passed * 0.5);
  }

  private void carriers() {
    long carriers = sheets.unitClass("AT", "All-terrain carriers", "carrier", SEASON);
    carrier(carriers, "AT-1", 1_480, Oddity.NONE, 0.72);
    carrier(carriers, "AT-2", 905, Oddity.SILENT, 0.80);
    carrier(carriers, "AT-3", 1_122, Oddity.NONE, 0.97);
    carrier(carriers, "AT-4", 640, Oddity.NONE, 0.50);
    carrier(carriers, "AT-5", 1_905, Oddity.NONE, 0.36);
  }

  private void carrier(long classId, String code, double life, Oddity oddity, double passed) {
    UnitPlan plan =
        unit(code, "All-terrain carrier", classId, machines.carrier, today.minusYears(2));
    layUp(plan);
    meter(plan, "hours", "h", 1.9, life, SEASON, oddity);
    plan.done("Oil, three drains", passed).done("Air", passed * 0.75).done("Ignition", 0.5);
  }

  private void generators() {
    long generators = sheets.unitClass("GN", "Standby generators", "set", STEADY);
    LocalDate since = today.minusYears(6).plusDays(11);
    String name = "Standby generator, ice plant";
    UnitPlan first = unit("GN-1", name, generators, machines.generator, since);
    meter(first, "hours", "h", 0.15, 612, STEADY, Oddity.BURST);
    first.done("Yearly service", 0.62);
    UnitPlan second = unit("GN-2", name, generators, machines.generator, since);
    meter(second, "hours", "h", 0.15, 188, STEADY, Oddity.FEW);
    UnitPlan third = unit("GN-3", name, generators, machines.generator, since);
    meter(third, "hours", "h", 0.15, 455, STEADY, Oddity.BURST);
    third.done("Yearly service", 0.35);
  }

  private UnitPlan unit(
      String code, String name, long classId, DemoVariant variant, LocalDate since) {
    long id = sheets.units.add(code, name, classId, variant.id(), since, null, 0);
    UnitPlan plan = new UnitPlan(id, code, since, variant, new HashMap<>(), new HashMap<>());
    plans.add(plan);
    return plan;
  }

  /** Out of the water, or off the beach, for most of January. */
  private void layUp(UnitPlan plan) {
    sheets.layUps.add(
        plan.unitId(), LocalDate.of(today.getYear(), 1, 2), LocalDate.of(today.getYear(), 1, 24));
  }

  private void meter(
      UnitPlan plan,
      String name,
      String measure,
      double perDay,
      double life,
      int[] months,
      Oddity oddity) {
    boolean fewReadings = oddity == Oddity.FEW || oddity == Oddity.NEW;
    @Nullable Double declared = fewReadings ? Double.valueOf(perDay) : null;
    long id = sheets.meters.add(plan.unitId(), name, measure, 0, declared);
    plan.meters().put(name, new MeterPlan(id, perDay, life, months, oddity));
  }
}
