package dev.lonja.web.demo;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The machines of the harbour, what they are made of and what is done to them. Each machine has a
 * stated daily use, and each service a stated share of its interval that has passed today.
 */
final class DemoFleet {

  /**
   * A meter, for the history to read.
   *
   * @param perDay hours or kilometres on a mean day
   * @param lifeToday what it should stand at today
   */
  record MeterPlan(
      long meterId,
      LocalDate inService,
      double perDay,
      double lifeToday,
      int[] months,
      Oddity oddity) {}

  /** What makes a meter's readings worth looking at. */
  enum Oddity {
    NONE,
    BACKWARDS,
    SILENT,
    BURST,
    FEW
  }

  /**
   * A task, for the history to record.
   *
   * @param passed the share of the interval that has passed today; negative if it was never
   *     recorded
   */
  record TaskPlan(long taskId, MeterPlan meter, double interval, int months, double passed) {}

  private static final int[] SEASON = {50, 60, 80, 110, 120, 140, 150, 150, 130, 100, 60, 50};
  private static final int[] STEADY = {100, 100, 100, 100, 100, 100, 100, 100, 100, 100, 100, 100};

  private final LocalDate today;
  private final DemoShelves shelves;
  private final Sheet classes = new Sheet("id,code,name");
  private final Sheet classMonths = new Sheet("id,class_id,month,factor");
  private final Sheet units = new Sheet("id,code,name,class_id,model,in_service_on");
  private final Sheet layUps = new Sheet("id,unit_id,first_on,last_on");
  private final Sheet meters = new Sheet("id,unit_id,name,unit,start_h_or_km,declared_per_day");
  private final Sheet compartments = new Sheet("id,unit_id,name,kind,grade,item_id");
  private final Sheet capacities = new Sheet("id,compartment_id,condition,volume_l");
  private final Sheet positions =
      new Sheet(
          "id,unit_id,compartment_id,name,kind,item_id,quantity,torque_low_nm,torque_high_nm,note");
  private final Sheet services = new Sheet("id,unit_id,name");
  private final Sheet tasks =
      new Sheet(
          "id,service_id,name,action,compartment_id,position_id,meter_id,interval_h_or_km,"
              + "interval_months,first_interval_h_or_km,first_interval_months,severity");
  private final List<MeterPlan> meterPlans = new ArrayList<>();
  private final List<TaskPlan> taskPlans = new ArrayList<>();

  private DemoFleet(LocalDate today, DemoShelves shelves) {
    this.today = today;
    this.shelves = shelves;
  }

  static DemoFleet fill(LocalDate today, DemoShelves shelves) {
    DemoFleet fleet = new DemoFleet(today, shelves);
    fleet.trucks();
    fleet.vans();
    fleet.forklifts();
    fleet.generators();
    fleet.carriers();
    return fleet;
  }

  Map<String, String> texts() {
    Map<String, String> texts = new HashMap<>();
    texts.put("classes.csv", classes.text());
    texts.put("class_months.csv", classMonths.text());
    texts.put("units.csv", units.text());
    texts.put("lay_ups.csv", layUps.text());
    texts.put("meters.csv", meters.text());
    texts.put("compartments.csv", compartments.text());
    texts.put("capacities.csv", capacities.text());
    texts.put("positions.csv", positions.text());
    texts.put("services.csv", services.text());
    texts.put("tasks.csv", tasks.text());
    return texts;
  }

  List<MeterPlan> meterPlans() {
    return meterPlans;
  }

  List<TaskPlan> taskPlans() {
    return taskPlans;
  }

  private void trucks() {
    long refrigerated = unitClass("RT", "Refrigerated trucks", SEASON);
    truck(refrigerated, "RT-01", "Corvane T7 4.2", 118_400, 0.62, 0.40, 0.55);
    truck(refrigerated, "RT-02", "Corvane T7 4.2", 96_210, 0.995, 0.30, 0.91);
    truck(refrigerated, "RT-03", "Corvane T7 5.1", 142_900, 0.85, 0.74, 0.30);
    truck(refrigerated, "RT-04", "Corvane T7 5.1", 61_050, 0.985, 0.98, 0.62);
    truck(refrigerated, "RT-05", "Tessaly Norte 6", 203_700, 1.06, 0.52, 0.99);
  }

  private void truck(
      long classId,
      String code,
      String model,
      double life,
      double small,
      double large,
      double cold) {
    boolean big = !model.endsWith("4.2");
    long unit = units.add(code, "Refrigerated truck", classId, model, today.minusYears(4));
    MeterPlan road =
        meter(unit, "road", "km", 165, life, SEASON, today.minusYears(4), oddityOf(code));
    MeterPlan hours =
        meter(unit, "cold unit", "h", 5.5, life / 32, SEASON, today.minusYears(4), Oddity.NONE);
    long engine =
        compartment(
            unit,
            "Engine sump",
            "engine",
            "15W-40",
            "FA 15-205",
            big ? "11.8" : "9.6",
            big ? "11.0" : "9.0");
    long axle = compartment(unit, "Rear axle", "final_drive", "80W-90", "NA 809-20", null, "4.5");
    long box = compartment(unit, "Gearbox", "gearbox", "75W-80", "NA 758-20", null, "3.2");
    compartment(unit, "Cooling circuit", "cooling", "P-OAT", "RI 40-20", null, "14.5");
    long coldEngine =
        compartment(unit, "Cold unit engine", "engine", "10W-40", "GR 1040-20", null, "3.6");
    long oil =
        position(
            unit,
            engine,
            "Oil filter",
            "oil_filter",
            big ? "PL 4112-B" : "PL 4107-B",
            1,
            null,
            "Oil the gasket, 3/4 turn after contact. Look that the old gasket came off.");
    position(unit, engine, "Sump plug seal", "drain_seal", "Cu 14×18×1.5", 1, "38-42", "");
    position(
        unit, axle, "Axle plug seals", "drain_seal", "Cu 22×27×1.5", 2, "50", "Fill plug first.");
    position(unit, box, "Gearbox plug seal", "drain_seal", "Cu 18×22×1.5", 1, "32", "");
    position(unit, coldEngine, "Cold unit plug seal", "drain_seal", "Al 14×18×1.5", 1, "25", "");
    long fuel =
        position(
            unit,
            null,
            "Fuel filter",
            "fuel_filter",
            "RV 2210-4",
            1,
            null,
            "Drain the water first.");
    long air = position(unit, null, "Air filter", "air_filter", "PL 6620-A", 1, null, "");
    long coldFilter =
        position(
            unit,
            coldEngine,
            "Cold unit oil filter",
            "oil_filter",
            "OS 107",
            1,
            null,
            "Hangs sideways.");
    long belt = position(unit, null, "Fan belt", "belt", "CV 9-7120", 1, null, "Look for cracks.");
    long smallService = services.add(unit, "Small service");
    change(smallService, "Change engine oil", engine, road, 20_000, 12, small, "1");
    replace(smallService, "Replace oil filter", oil, road, 20_000, 12, small);
    inspect(smallService, "Inspect fan belt", belt, road, 20_000, 12, small);
    long largeService = services.add(unit, "Large service");
    replace(largeService, "Replace fuel filter", fuel, road, 40_000, 24, large);
    replace(largeService, "Replace air filter", air, road, 40_000, 24, large);
    change(largeService, "Change axle oil", axle, road, 80_000, 36, large * 0.6, "1");
    change(largeService, "Change gearbox oil", box, road, 120_000, 48, large * 0.5, "1");
    long coldService = services.add(unit, "Cold unit service");
    change(coldService, "Change cold unit oil", coldEngine, hours, 500, 12, cold, "1");
    replace(coldService, "Replace cold unit filter", coldFilter, hours, 500, 12, cold);
  }

  private static Oddity oddityOf(String code) {
    return code.equals("RT-03") ? Oddity.BACKWARDS : Oddity.NONE;
  }

  private void vans() {
    long vans = unitClass("VN", "Vans", STEADY);
    van(vans, "VN-1", 88_300, 0.45);
    van(vans, "VN-2", 41_900, 0.99);
  }

  private void van(long classId, String code, double life, double passed) {
    LocalDate start = today.minusYears(3);
    long unit = units.add(code, "Van", classId, "Quillon 230", start);
    MeterPlan road = meter(unit, "road", "km", 70, life, STEADY, start, Oddity.NONE);
    long engine = compartment(unit, "Engine sump", "engine", "5W-30", "BR 53-5", "6.4", "5.9");
    compartment(unit, "Cooling circuit", "cooling", "P-OAT", "RI 40-5", null, "8.2");
    long oil =
        position(
            unit,
            engine,
            "Oil filter",
            "oil_filter",
            "RV 1180-2",
            1,
            "25",
            "Cap 25 N·m. New O-ring 68×3 into the upper groove.");
    position(unit, engine, "Sump plug seal", "drain_seal", "Al 14×18×1.5", 1, "32", "");
    long cover =
        position(
            unit,
            null,
            "Filter cover O-ring",
            "cover_seal",
            "OR 68×3 NBR",
            1,
            null,
            "Upper groove.");
    long cabin =
        position(unit, null, "Cabin filter", "cabin_filter", "RV 8801-C", 1, null, "Arrow down.");
    long air = position(unit, null, "Air filter", "air_filter", "RV 5104", 1, null, "");
    long service = services.add(unit, "Oil and filter");
    change(service, "Change engine oil", engine, road, 20_000, 12, passed, "1");
    replace(service, "Replace oil filter", oil, road, 20_000, 12, passed);
    replace(service, "Replace cover O-ring", cover, road, 20_000, 12, passed);
    long filters = services.add(unit, "Air and cabin");
    replace(filters, "Replace cabin filter", cabin, road, 20_000, 12, passed * 0.9);
    inspect(filters, "Inspect air filter", air, road, 20_000, 12, passed * 0.9);
  }

  private void forklifts() {
    long forklifts = unitClass("FL", "Forklifts", SEASON);
    forklift(forklifts, "FL-1", 6_120, 0.70, 0.35);
    forklift(forklifts, "FL-2", 4_385, 0.99, 0.82);
    forklift(forklifts, "FL-3", 8_940, 0.93, 0.97);
  }

  private void forklift(long classId, String code, double life, double small, double large) {
    LocalDate start = today.minusYears(5);
    long unit = units.add(code, "Forklift, diesel", classId, "Brannoch D25", start);
    MeterPlan hours = meter(unit, "hours", "h", 4.2, life, SEASON, start, Oddity.NONE);
    long engine = compartment(unit, "Engine sump", "engine", "10W-40", "GR 1040-20", null, "7.2");
    long tank = compartment(unit, "Hydraulic tank", "hydraulic", "VG 46", "CB 46-205", "36", "34");
    long oil =
        position(
            unit,
            engine,
            "Oil filter",
            "oil_filter",
            "NT 20 611",
            1,
            null,
            "3/4 turn after contact.");
    position(unit, engine, "Sump plug seal", "drain_seal", "Cu 18×22×1.5", 1, "40", "");
    position(unit, tank, "Tank plug seal", "drain_seal", "BR-S 2412", 1, "60-70", "");
    long air =
        position(
            unit,
            null,
            "Air filter",
            "air_filter",
            "NT 50 330",
            1,
            null,
            "Ice-salt dust: look every time.");
    long fuel = position(unit, null, "Fuel filter", "fuel_filter", "NT 41 009", 1, null, "");
    long hydraulic =
        position(unit, tank, "Return filter", "hydraulic_filter", "NT 20 640", 1, null, "");
    long smallService = services.add(unit, "250 h service");
    change(smallService, "Change engine oil", engine, hours, 250, 6, small, "1");
    replace(smallService, "Replace oil filter", oil, hours, 250, 6, small);
    inspect(smallService, "Inspect air filter", air, hours, 125, null, Math.min(small, 0.9));
    long largeService = services.add(unit, "1,000 h service");
    replace(largeService, "Replace fuel filter", fuel, hours, 500, 12, large);
    change(largeService, "Change hydraulic oil", tank, hours, 1_000, 24, large, "1");
    replace(largeService, "Replace return filter", hydraulic, hours, 1_000, 24, large);
  }

  private void generators() {
    long generators = unitClass("GN", "Standby generators", STEADY);
    generator(generators, "GN-1", 612, Oddity.BURST, 0.62);
    generator(generators, "GN-2", 188, Oddity.FEW, -1);
  }

  private void generator(long classId, String code, double life, Oddity oddity, double passed) {
    LocalDate start = today.minusYears(6).plusDays(11);
    long unit = units.add(code, "Standby generator, ice plant", classId, "Marlstone 120", start);
    MeterPlan hours = meter(unit, "hours", "h", 0.15, life, STEADY, start, oddity);
    long engine = compartment(unit, "Engine sump", "engine", "15W-40", "FA 15-20", null, "17.5");
    long oil =
        position(
            unit,
            engine,
            "Oil filter",
            "oil_filter",
            "TM-3308",
            1,
            null,
            "Fill half before fitting.");
    position(unit, engine, "Sump plug seal", "drain_seal", "Al 20×24×1.5", 1, "45", "");
    long fuel = position(unit, null, "Fuel filter", "fuel_filter", "TM-6021", 2, null, "");
    long air = position(unit, null, "Air filter", "air_filter", "TM-7150", 1, null, "");
    long belt = position(unit, null, "Fan belts", "belt", "MS 300-18", 1, null, "Always both.");
    long service = services.add(unit, "Yearly service");
    change(service, "Change engine oil", engine, hours, 250, 12, passed, "1");
    replace(service, "Replace oil filter", oil, hours, 250, 12, passed);
    replace(service, "Replace fuel filters", fuel, hours, 500, 24, passed);
    inspect(service, "Inspect air filter", air, hours, 500, 12, passed);
    inspect(service, "Inspect fan belts", belt, hours, 500, 12, passed);
  }

  private void carriers() {
    long carriers = unitClass("AT", "All-terrain carriers", SEASON);
    carrier(carriers, "AT-1", 1_480, Oddity.NONE, 0.72);
    carrier(carriers, "AT-2", 905, Oddity.SILENT, 0.80);
  }

  private void carrier(long classId, String code, double life, Oddity oddity, double passed) {
    LocalDate start = today.minusYears(2);
    long unit = units.add(code, "All-terrain carrier", classId, "Lintrel Duo 700", start);
    layUps.add(unit, LocalDate.of(today.getYear(), 1, 2), LocalDate.of(today.getYear(), 1, 24));
    MeterPlan hours = meter(unit, "hours", "h", 1.9, life, SEASON, start, oddity);
    long engine =
        compartment(unit, "Engine and clutch", "engine", "10W-40 MA2", "DU 104-4", "2.7", "2.5");
    long front =
        compartment(unit, "Front drive", "final_drive", "80W-90", "NA 809-20", null, "0.28");
    long rear = compartment(unit, "Rear drive", "final_drive", "80W-90", "NA 809-20", null, "0.42");
    long oil =
        position(
            unit, engine, "Oil filter", "oil_filter", "05107", 1, "9", "Cover 9 N·m, crosswise.");
    position(unit, engine, "Crankcase plug seal", "drain_seal", "Bond M18", 1, "20", "");
    position(
        unit,
        front,
        "Front plug seal",
        "drain_seal",
        "Al 14×18×1.5",
        1,
        "14-18",
        "Fill plug first.");
    position(
        unit, rear, "Rear plug seal", "drain_seal", "Al 14×18×1.5", 1, "14-18", "Fill plug first.");
    long screen =
        position(
            unit, null, "Screen cover O-ring", "cover_seal", "LT 1-0095", 1, null, "Inner groove.");
    long air =
        position(
            unit,
            null,
            "Air filter",
            "air_filter",
            "OS 330",
            1,
            null,
            "Wash and oil, replace if torn.");
    long plug = position(unit, null, "Spark plugs", "spark_plug", "OS Z14R", 2, "18", "");
    long service = services.add(unit, "Oil, three drains");
    change(service, "Change engine oil", engine, hours, 100, 12, passed, "1");
    replace(service, "Replace oil filter", oil, hours, 100, 12, passed);
    replace(service, "Replace screen O-ring", screen, hours, 100, 12, passed);
    change(service, "Change front drive oil", front, hours, 200, 12, passed, "0.8");
    change(service, "Change rear drive oil", rear, hours, 200, 12, passed, "0.8");
    long tune = services.add(unit, "Air and ignition");
    inspect(tune, "Inspect air filter", air, hours, 50, null, 0.6);
    replace(tune, "Replace spark plugs", plug, hours, 300, 24, 0.5);
  }

  private long unitClass(String code, String name, int[] months) {
    long id = classes.add(code, name);
    for (int month = 1; month <= months.length; month++) {
      classMonths.add(id, month, months[month - 1] / 100.0);
    }
    return id;
  }

  private MeterPlan meter(
      long unit,
      String name,
      String measure,
      double perDay,
      double life,
      int[] months,
      LocalDate start,
      Oddity oddity) {
    Double declared = oddity == Oddity.FEW ? perDay : null;
    long id = meters.add(unit, name, measure, 0, declared);
    MeterPlan plan = new MeterPlan(id, start, perDay, life, months, oddity);
    meterPlans.add(plan);
    return plan;
  }

  private long compartment(
      long unit,
      String name,
      String kind,
      String grade,
      String item,
      String withFilter,
      String without) {
    long id = compartments.add(unit, name, kind, grade, shelves.item(item));
    if (withFilter != null) {
      capacities.add(id, "with_filter", withFilter);
    }
    capacities.add(id, "without_filter", without);
    return id;
  }

  private long position(
      long unit,
      Long compartment,
      String name,
      String kind,
      String item,
      int quantity,
      String torque,
      String note) {
    String[] ends = torque == null ? new String[] {null, null} : (torque + "-" + torque).split("-");
    return positions.add(
        unit,
        compartment,
        name,
        kind,
        shelves.item(item),
        quantity,
        ends[0],
        torque != null && torque.contains("-") ? ends[1] : ends[0],
        note);
  }

  private void change(
      long service,
      String name,
      long compartment,
      MeterPlan meter,
      double interval,
      Integer months,
      double passed,
      String severity) {
    long id =
        tasks.add(
            service,
            name,
            "change_fluid",
            compartment,
            null,
            meter.meterId(),
            whole(interval),
            months,
            null,
            null,
            severity);
    double inForce = interval * Double.parseDouble(severity);
    taskPlans.add(new TaskPlan(id, meter, inForce, months == null ? 0 : months, passed));
  }

  private void replace(
      long service,
      String name,
      long position,
      MeterPlan meter,
      double interval,
      Integer months,
      double passed) {
    onPosition(service, name, "replace", position, meter, interval, months, passed);
  }

  private void inspect(
      long service,
      String name,
      long position,
      MeterPlan meter,
      double interval,
      Integer months,
      double passed) {
    onPosition(service, name, "inspect", position, meter, interval, months, passed);
  }

  private void onPosition(
      long service,
      String name,
      String action,
      long position,
      MeterPlan meter,
      double interval,
      Integer months,
      double passed) {
    long id =
        tasks.add(
            service,
            name,
            action,
            null,
            position,
            meter.meterId(),
            whole(interval),
            months,
            null,
            null,
            "1");
    taskPlans.add(new TaskPlan(id, meter, interval, months == null ? 0 : months, passed));
  }

  private static String whole(double interval) {
    return String.valueOf((long) interval);
  }
}
