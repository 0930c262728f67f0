package dev.lonja.app.demo;

import java.util.HashMap;
import java.util.Map;

/** The tables of the fleet while the demo fills them. */
final class DemoSheets {

  final Sheet classes = new Sheet("id,code,name,outline,version");
  final Sheet classMonths = new Sheet("id,class_id,month,factor");
  final Sheet models = new Sheet("id,make,name");
  final Sheet variants = new Sheet("id,model_id,name,version");
  final Sheet units =
      new Sheet("id,code,name,class_id,variant_id,in_service_on,retired_on,version");
  final Sheet layUps = new Sheet("id,unit_id,first_on,last_on");
  final Sheet meters = new Sheet("id,unit_id,name,unit,start_h_or_km,declared_per_day");
  final Sheet compartments =
      new Sheet(
          "id,variant_id,name,kind,item_id,hint,fluid,approval_mode,most_ash_pct,"
              + "least_zinc_mg_kg,friction_modifier,wet_clutch,biodegradable,chemistry,base");
  final Sheet specGrades = new Sheet("id,compartment_id,grade,lowest_c,highest_c");
  final Sheet specClasses = new Sheet("id,compartment_id,group,organisation,name");
  final Sheet specApprovals = new Sheet("id,compartment_id,code");
  final Sheet capacities = new Sheet("id,compartment_id,condition,volume_l");
  final Sheet positions =
      new Sheet(
          "id,variant_id,compartment_id,name,kind,item_id,quantity,torque_low_nm,torque_high_nm,"
              + "mounting,thread,drive,note,most_height_mm,most_outer_mm,water_separator,materials");
  final Sheet services = new Sheet("id,variant_id,name");
  final Sheet tasks =
      new Sheet(
          "id,service_id,name,action,compartment_id,position_id,meter,interval_h_or_km,"
              + "interval_months,first_interval_h_or_km,first_interval_months,severity,"
              + "severity_reason,with_task_id,every_nth,season_start,before_lay_up,lead_days");
  final Sheet fluidIntervals = new Sheet("id,task_id,fluid_class,interval_h_or_km,interval_months");
  final Sheet deviations =
      new Sheet(
          "id,unit_id,compartment_id,position_id,task_id,change,condition,volume_l,item_id,"
              + "torque_low_nm,torque_high_nm,interval_h_or_km,interval_months,source,reason,"
              + "since_on,actor");

  private final DemoShelves shelves;
  private final Map<String, Long> modelIds = new HashMap<>();

  DemoSheets(DemoShelves shelves) {
    this.shelves = shelves;
  }

  long item(String number) {
    return shelves.item(number);
  }

  /** The model of this name, added when it is first asked for. */
  long model(String make, String name) {
    return modelIds.computeIfAbsent(make + " " + name, key -> models.add(make, name));
  }

  /** A class whose months are given in hundredths of the mean month. */
  long unitClass(String code, String name, String outline, int[] months) {
    long id = classes.add(code, name, outline, 0);
    for (int month = 1; month <= months.length; month++) {
      classMonths.add(id, month, months[month - 1] / 100.0);
    }
    return id;
  }

  Map<String, String> texts() {
    Map<String, String> texts = new HashMap<>();
    texts.put("classes.csv", classes.text());
    texts.put("class_months.csv", classMonths.text());
    texts.put("models.csv", models.text());
    texts.put("variants.csv", variants.text());
    texts.put("units.csv", units.text());
    texts.put("lay_ups.csv", layUps.text());
    texts.put("meters.csv", meters.text());
    texts.put("compartments.csv", compartments.text());
    texts.put("spec_grades.csv", specGrades.text());
    texts.put("spec_classes.csv", specClasses.text());
    texts.put("spec_approvals.csv", specApprovals.text());
    texts.put("capacities.csv", capacities.text());
    texts.put("positions.csv", positions.text());
    texts.put("services.csv", services.text());
    texts.put("tasks.csv", tasks.text());
    texts.put("fluid_intervals.csv", fluidIntervals.text());
    texts.put("deviations.csv", deviations.text());
    return texts;
  }
}
