package dev.lonja.app.demo.history;

import dev.lonja.app.demo.fleet.DemoFleet;
import dev.lonja.app.demo.master.DemoMaster;
import dev.lonja.app.demo.master.Sheet;
import dev.lonja.core.meter.MeterId;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;

/**
 * What happened to the machines before today: eighteen months of readings, and the last time each
 * task was done.
 */
public final class DemoHistory {

  private static final int DAYS = 548;
  private static final int WEEKS_SINCE_EXCHANGE = 10;

  /** How the forklifts' air filters were found, one after the other. */
  private static final String[] OUTCOMES = {
    "cleaned", "replaced", "sound", "cleaned", "replaced", "cleaned", "sound"
  };

  /** By how much a fan belt gave under the thumb, µm, the latest first. */
  private static final int[] BELT_GIVES = {10_800, 9_900, 9_200};

  private final LocalDate today;
  private final DemoMaster master;
  private final Random random;
  private final Sheet readings =
      new Sheet("id,meter_id,read_on,read_at,value_h_or_km,source,corrects,actor,recorded_at");
  private final Sheet records =
      new Sheet(
          "id,unit_id,task_id,done_on,life_h_or_km,tray_id,withdraws,reason,actor,recorded_at");
  private final Sheet replacements =
      new Sheet("id,end_reading_id,start_h_or_km,withdraws,reason,actor,recorded_at");
  private final Sheet inspections =
      new Sheet("id,record_id,outcome,value_kind,value,value_after,note,actor,recorded_at");
  private final Sheet fills =
      new Sheet(
          "id,unit_id,compartment_id,item_id,condition,volume_l,drained_l,level,filled_on,tray_id,"
              + "withdraws,note,actor,recorded_at");
  private final Sheet topUps =
      new Sheet(
          "id,unit_id,compartment_id,item_id,volume_l,added_on,sign_off_id,tray_id,withdraws,note,"
              + "actor,recorded_at");
  private final Sheet layUps = new Sheet("id,unit_id,first_on,last_on");
  private final Map<MeterId, TreeMap<LocalDate, Double>> lives = new TreeMap<>();
  private int inspected;

  public DemoHistory(LocalDate today, DemoMaster master, Random random) {
    this.today = today;
    this.master = master;
    this.random = random;
  }

  public Map<String, String> texts(DemoFleet fleet) {
    fleet
        .laidUp()
        .forEach(
            plan ->
                layUps.add(
                    plan.unitId(),
                    LocalDate.of(today.getYear(), 1, 2),
                    LocalDate.of(today.getYear(), 1, 24)));
    for (DemoFleet.UnitPlan plan : fleet.plans()) {
      plan.meters().values().forEach(meter -> runMeter(plan, meter));
      plan.tasks().stream()
          .filter(task -> plan.passed().containsKey(task.service()))
          .forEach(task -> record(plan, task, plan.passed().get(task.service())));
    }
    recordFills(fleet);
    return Map.of(
        "lay_ups.csv",
        layUps.text(),
        "readings.csv",
        readings.text(),
        "meter_replacements.csv",
        replacements.text(),
        "task_records.csv",
        records.text(),
        "inspections.csv",
        inspections.text(),
        "fills.csv",
        fills.text(),
        "top_ups.csv",
        topUps.text());
  }

  /** Lives backwards from what the meter should show today, then reads it week by week. */
  private void runMeter(DemoFleet.UnitPlan plan, DemoFleet.MeterPlan meter) {
    TreeMap<LocalDate, Double> life = new TreeMap<>();
    double value = meter.lifeToday();
    LocalDate first = today.minusDays(DAYS - 1);
    LocalDate begin = plan.unit().inService().isAfter(first) ? plan.unit().inService() : first;
    for (LocalDate day = today; !day.isBefore(begin); day = day.minusDays(1)) {
      life.put(day, value);
      value = Math.max(0, value - usedOn(day, plan, meter));
    }
    lives.put(meter.meterId(), life);
    int every = meter.oddity() == DemoFleet.Oddity.FEW ? 120 : 7;
    int offset = Math.floorMod(ChronoUnit.DAYS.between(begin, today), every);
    double before = 0;
    boolean replaced = meter.oddity() != DemoFleet.Oddity.REPLACED;
    for (LocalDate day = begin.plusDays(offset); !day.isAfter(today); day = day.plusDays(every)) {
      if (meter.oddity() == DemoFleet.Oddity.SILENT && day.isAfter(today.minusDays(61))) {
        break;
      }
      long reading = read(meter.meterId(), day, life.get(day) - before);
      if (!replaced && !day.isBefore(today.minusDays(WEEKS_SINCE_EXCHANGE * 7))) {
        replacements.add(
            reading, 0, null, "glass broken by a pallet", "storekeeper", DemoMaster.morning(day));
        before = life.get(day);
        replaced = true;
      }
    }
    if (meter.oddity() == DemoFleet.Oddity.BACKWARDS) {
      read(meter.meterId(), today.minusDays(17), life.get(today.minusDays(17)) - 2_700);
    }
  }

  private double usedOn(LocalDate day, DemoFleet.UnitPlan plan, DemoFleet.MeterPlan meter) {
    if (meter.oddity() == DemoFleet.Oddity.BURST && isMainsFailure(day)) {
      return 23.5;
    }
    double share = plan.months()[day.getMonthValue() - 1];
    return meter.perDay() * share * (0.6 + 0.8 * random.nextDouble());
  }

  /** The mains failed for six days in the last November before today. */
  private boolean isMainsFailure(LocalDate day) {
    LocalDate first = LocalDate.of(today.getYear(), 11, 8);
    first = first.isAfter(today.minusDays(7)) ? first.minusYears(1) : first;
    return !day.isBefore(first) && day.isBefore(first.plusDays(6));
  }

  private long read(MeterId meterId, LocalDate day, double value) {
    return readings.add(
        meterId, day, null, tenths(value), "entered", null, "storekeeper", DemoMaster.morning(day));
  }

  /** Records a task as done where its meter stood so much of an interval below today's life. */
  private void record(DemoFleet.UnitPlan plan, DemoMaster.TaskPlan task, double passed) {
    if (task.isMeasured()) {
      for (int ago = BELT_GIVES.length - 1; ago > 0; ago--) {
        recordOnce(plan, task, passed, ago);
      }
    }
    recordOnce(plan, task, passed, 0);
  }

  /**
   * @param ago how many times it was done since
   */
  private void recordOnce(
      DemoFleet.UnitPlan plan, DemoMaster.TaskPlan task, double passed, int ago) {
    boolean metered = !task.meter().isEmpty();
    double life = 0;
    LocalDate day = byCalendar(task, passed).minusYears(ago);
    if (metered) {
      DemoFleet.MeterPlan meter = plan.meters().get(task.meter());
      life = Math.max(0, meter.lifeToday() - (passed + ago) * task.interval());
      day = dayAt(meter, life).orElse(day);
    }
    long record =
        records.add(
            plan.unitId(),
            task.taskId(),
            day,
            metered ? tenths(life) : null,
            null,
            null,
            "carried over from the paper book",
            "storekeeper",
            DemoMaster.morning(day));
    if (task.isMeasured()) {
      inspections.add(
          record,
          "sound",
          "length",
          BELT_GIVES[ago],
          null,
          "",
          "workshop",
          DemoMaster.morning(day));
    } else if (task.inspects() && plan.code().startsWith("FL")) {
      String outcome = OUTCOMES[inspected++ % OUTCOMES.length];
      inspections.add(record, outcome, null, null, null, "", "workshop", DemoMaster.morning(day));
    }
  }

  /**
   * What is in some compartments now. RT-03's sump takes more than its book says, four times over;
   * RT-04 was topped up twice, once with another oil.
   */
  private void recordFills(DemoFleet fleet) {
    String[] litres = {"12.3", "12.5", "12.2", "12.3"};
    for (int i = 0; i < litres.length; i++) {
      long days = 90L * (litres.length - i);
      fill(fleet, "RT-03", "Engine sump", "FA 15-205", "with_filter", litres[i], days);
    }
    fill(fleet, "RT-04", "Engine sump", "FA 15-205", "with_filter", "9.6", 120);
    fill(fleet, "RT-04", "Cooling circuit", "RI 40-20", "without_filter", "14.5", 400);
    fill(fleet, "RT-04", "Brake circuit", "TR 4-1", "without_filter", "1.2", 310);
    fill(fleet, "VN-2", "Engine sump", "BR 53-5", "with_filter", "6.4", 150);
    fill(fleet, "FL-3", "Hydraulic tank", "CB 46-205", "with_filter", "36", 210);
    fill(fleet, "BH-1", "Hydraulic tank", "VD 46-200", "without_filter", "180", 500);
    topUp(fleet, "FA 15-205", "0.5", 40);
    topUp(fleet, "SE 15-5", "0.4", 15);
  }

  private void fill(
      DemoFleet fleet,
      String unit,
      String compartment,
      String item,
      String condition,
      String litres,
      long daysAgo) {
    DemoFleet.UnitPlan plan = fleet.plan(unit);
    LocalDate day = today.minusDays(daysAgo);
    fills.add(
        plan.unitId(),
        master.compartment(plan.unit().variantId(), compartment),
        master.item(item),
        condition,
        litres,
        null,
        "right",
        day,
        null,
        null,
        "read at the full mark",
        "workshop",
        DemoMaster.morning(day));
  }

  private void topUp(DemoFleet fleet, String item, String litres, long daysAgo) {
    DemoFleet.UnitPlan plan = fleet.plan("RT-04");
    LocalDate day = today.minusDays(daysAgo);
    topUps.add(
        plan.unitId(),
        master.compartment(plan.unit().variantId(), "Engine sump"),
        master.item(item),
        litres,
        day,
        null,
        null,
        null,
        "low at the dipstick",
        "storekeeper",
        DemoMaster.morning(day));
  }

  /** The day on which a meter came to a life; empty if that was before the readings. */
  private Optional<LocalDate> dayAt(DemoFleet.MeterPlan meter, double life) {
    TreeMap<LocalDate, Double> days = lives.get(meter.meterId());
    return days.entrySet().stream()
        .filter(day -> day.getValue() >= life)
        .map(Map.Entry::getKey)
        .findFirst()
        .filter(day -> !day.equals(days.firstKey()));
  }

  /** Where the meter does not tell, the same share of the months has passed. */
  private LocalDate byCalendar(DemoMaster.TaskPlan task, double passed) {
    long days =
        task.months() == 0 ? DAYS : Math.round(task.months() * 30.4 * Math.min(passed, 0.9));
    return today.minusDays(Math.max(days, 1));
  }

  private static String tenths(double value) {
    return BigDecimal.valueOf(value).setScale(1, RoundingMode.HALF_UP).toPlainString();
  }
}
