package dev.lonja.app.demo;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** An engine variant of a model while its parts and tasks are laid down in the sheets. */
final class DemoVariant {

  /**
   * A task, for the history to record.
   *
   * @param meter the name of the meter it counts by; empty if it goes by the calendar alone
   * @param interval in force, in the meter's unit
   */
  record TaskPlan(
      long taskId, String service, String meter, double interval, int months, boolean inspects) {}

  private final DemoSheets sheets;
  private final long id;
  private final List<TaskPlan> tasks = new ArrayList<>();
  private final Map<String, Long> positions = new HashMap<>();
  private final Map<String, String> room = new HashMap<>();
  private final Set<String> separators = new HashSet<>();
  private final Map<String, String> materials = new HashMap<>();
  private final Map<String, Long> compartments = new HashMap<>();
  private long serviceId;
  private String serviceName = "";
  private String meter = "";

  DemoVariant(DemoSheets sheets, String make, String model, String name) {
    this.sheets = sheets;
    this.id = sheets.variants.add(sheets.model(make, model), name, 0);
  }

  long id() {
    return id;
  }

  long positionId(String name) {
    return Objects.requireNonNull(positions.get(name), name);
  }

  long compartmentId(String name) {
    return Objects.requireNonNull(compartments.get(name), name);
  }

  List<TaskPlan> tasks() {
    return tasks;
  }

  /**
   * A compartment.
   *
   * @param withFilter litres with the filter changed; null if it has no filter of its own
   */
  long compartment(
      String name,
      String kind,
      DemoSpec spec,
      String item,
      @Nullable String withFilter,
      String without,
      String hint) {
    long compartment = spec.addTo(sheets, id, name, kind, sheets.item(item), hint);
    compartments.put(name, compartment);
    if (withFilter != null) {
      sheets.capacities.add(compartment, "with_filter", withFilter);
    }
    sheets.capacities.add(compartment, "without_filter", without);
    return compartment;
  }

  long filter(
      @Nullable Long compartment,
      String name,
      String kind,
      String item,
      @Nullable String mounting,
      String note) {
    return position(compartment, name, kind, item, 1, null, mounting, "", "", note);
  }

  /** How high, in mm, a filter may be at a position that is added after this. */
  void roomAbove(String position, String millimetres) {
    room.put(position, millimetres);
  }

  /** That the filter at a position added after this must have a water separator. */
  void separatorAt(String position) {
    separators.add(position);
  }

  /** Of what a seal at a position added after this may be. */
  void materialsAt(String position, String allowed) {
    materials.put(position, allowed);
  }

  /** A filter under a cap or cover that has a torque. */
  long cappedFilter(
      long compartment, String name, String item, String mounting, String torque, String note) {
    return position(compartment, name, "oil_filter", item, 1, torque, mounting, "", "", note);
  }

  /** A seal that is always new when its compartment is drained. */
  void seal(long compartment, String name, String item, int pieces) {
    position(compartment, name, "drain_seal", item, pieces, null, null, "", "", "");
  }

  /** A drain plug with its thread, what turns it and how tight it is made. */
  void plug(
      long compartment,
      String name,
      @Nullable String item,
      String thread,
      String drive,
      String torque) {
    position(compartment, name, "drain_plug", item, 1, torque, null, thread, drive, "");
  }

  long part(
      String name, String kind, String item, int pieces, @Nullable String torque, String note) {
    return position(null, name, kind, item, pieces, torque, null, "", "", note);
  }

  private long position(
      @Nullable Long compartment,
      String name,
      String kind,
      @Nullable String item,
      int pieces,
      @Nullable String torque,
      @Nullable String mounting,
      String thread,
      String drive,
      String note) {
    String[] ends = torque == null ? new String[] {"", ""} : torque.split("-");
    long position =
        sheets.positions.add(
            id,
            compartment,
            name,
            kind,
            item == null ? null : sheets.item(item),
            pieces,
            ends[0],
            ends[ends.length - 1],
            mounting,
            thread,
            drive,
            note,
            room.get(name),
            null,
            separators.contains(name),
            materials.getOrDefault(name, ""));
    positions.put(name, position);
    return position;
  }

  /** Begins a service whose tasks count by a meter; an empty name stands for the calendar alone. */
  void service(String name, String byMeter) {
    serviceId = sheets.services.add(id, name);
    serviceName = name;
    meter = byMeter;
  }

  long change(String name, long compartment, double interval, @Nullable Integer months) {
    return task(name, "change_fluid", compartment, null, interval, months, null, "1", "");
  }

  /** A change of fluid that is due sooner the first time. */
  long changeAfterRunningIn(
      String name, long compartment, double first, double interval, Integer months) {
    return task(name, "change_fluid", compartment, null, interval, months, first, "1", "");
  }

  void changeUnder(
      String severity,
      String reason,
      String name,
      long compartment,
      double interval,
      Integer months) {
    task(name, "change_fluid", compartment, null, interval, months, null, severity, reason);
  }

  void replace(String name, long position, double interval, @Nullable Integer months) {
    task(name, "replace", null, position, interval, months, null, "1", "");
  }

  void replaceAfterRunningIn(
      String name, long position, double first, double interval, Integer months) {
    task(name, "replace", null, position, interval, months, first, "1", "");
  }

  void inspect(String name, long position, double interval, @Nullable Integer months) {
    task(name, "inspect", null, position, interval, months, null, "1", "");
  }

  /** While a fluid of this class is in, the change comes after another interval. */
  void whileIn(String fluidClass, long task, double interval, int months) {
    sheets.fluidIntervals.add(task, fluidClass, whole(interval), months);
  }

  /** A part that is replaced with every nth time of another task. */
  void replaceEveryNth(String name, long position, long lead, int nth) {
    otherwise(name, position, lead, nth, null, false, null);
  }

  /** A part that is replaced so many days before a day of every year. */
  void replaceBeforeSeason(String name, long position, String start, int days) {
    otherwise(name, position, null, null, start, false, days);
  }

  /** A part that is replaced so many days before the machine is laid up. */
  void replaceBeforeLayUp(String name, long position, int days) {
    otherwise(name, position, null, null, null, true, days);
  }

  private void otherwise(
      String name,
      long position,
      @Nullable Long lead,
      @Nullable Integer nth,
      @Nullable String season,
      boolean beforeLayUp,
      @Nullable Integer days) {
    long task =
        sheets.tasks.add(
            serviceId,
            name,
            "replace",
            null,
            position,
            null,
            null,
            null,
            null,
            null,
            "1",
            "",
            lead,
            nth,
            season,
            beforeLayUp,
            days);
    tasks.add(new TaskPlan(task, serviceName, "", 0, 12, false));
  }

  private long task(
      String name,
      String action,
      @Nullable Long compartment,
      @Nullable Long position,
      double interval,
      @Nullable Integer months,
      @Nullable Double first,
      String severity,
      String reason) {
    boolean metered = !meter.isEmpty();
    long task =
        sheets.tasks.add(
            serviceId,
            name,
            action,
            compartment,
            position,
            metered ? meter : null,
            metered ? whole(interval) : null,
            months,
            first == null ? null : whole(first),
            null,
            severity,
            reason,
            null,
            null,
            null,
            false,
            null);
    double inForce = interval * Double.parseDouble(severity);
    tasks.add(
        new TaskPlan(
            task,
            serviceName,
            meter,
            inForce,
            months == null ? 0 : months,
            action.equals("inspect")));
    return task;
  }

  private static String whole(double interval) {
    return String.valueOf((long) interval);
  }
}
