package dev.lonja.app.demo.fleet;

import dev.lonja.app.demo.master.DemoMaster;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.meter.MeterId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Where the demo's machines stand: what their meters should show today, and how much of each
 * service's interval has passed. The machines themselves are master data.
 */
public final class DemoFleet {

  /** Off the beach, or out of the water, for most of January. */
  private static final List<String> LAID_UP =
      List.of("WB-1", "WB-2", "WB-3", "WB-4", "AT-1", "AT-2", "AT-3", "AT-4", "AT-5");

  /**
   * A meter.
   *
   * @param perDay hours or kilometres on a mean day
   * @param lifeToday what it should stand at today
   */
  public record MeterPlan(MeterId meterId, double perDay, double lifeToday, Oddity oddity) {}

  /** What makes a meter's readings worth looking at. */
  public enum Oddity {
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
   * @param months how much of its mean month its class runs in each month
   * @param passed by service, the share of the interval that has passed; without a share there is
   *     no record
   */
  public record UnitPlan(
      DemoMaster.UnitRow unit,
      double[] months,
      List<DemoMaster.TaskPlan> tasks,
      Map<String, MeterPlan> meters,
      Map<String, Double> passed) {

    public UnitId unitId() {
      return unit.id();
    }

    public String code() {
      return unit.code();
    }

    UnitPlan done(String service, double share) {
      passed.put(service, share);
      return this;
    }
  }

  private final DemoMaster master;
  private final List<UnitPlan> plans = new ArrayList<>();

  public DemoFleet(DemoMaster master) {
    this.master = master;
    trucks();
    vans();
    forklifts();
    boats();
    hoists();
    smallEngines();
    carriers();
    generators();
  }

  public UnitPlan plan(String code) {
    return plans.stream().filter(plan -> plan.code().equals(code)).findFirst().orElseThrow();
  }

  public List<UnitPlan> plans() {
    return plans;
  }

  /** The units that are laid up from 2 to 24 January. */
  public Stream<UnitPlan> laidUp() {
    return LAID_UP.stream().map(this::plan);
  }

  private void trucks() {
    truck("RT-01", 118_400, 0.62, 0.40, 0.55);
    truck("RT-02", 96_210, 0.995, 0.30, 0.91);
    truck("RT-03", 142_900, 0.85, 0.74, 0.30);
    truck("RT-04", 61_050, 0.985, 0.98, 0.62);
    truck("RT-05", 203_700, 1.06, 0.52, 0.99);
    truck("RT-06", 77_320, 0.21, 0.61, 0.18);
    truck("RT-07", 54_880, 0.48, 0.24, 0.74);
    truck("RT-08", 171_060, 0.70, 0.35, 0.41);
    truck("RT-09", 158_400, 0.33, 0.80, 0.66);
    UnitPlan young = unit("RT-10");
    meter(young, "road", 165, 1_870, Oddity.NEW);
    meter(young, "cold unit", 5.5, 61, Oddity.NEW);
  }

  private void truck(String code, double life, double small, double large, double cold) {
    UnitPlan plan = unit(code);
    Oddity oddity = code.equals("RT-03") ? Oddity.BACKWARDS : Oddity.NONE;
    meter(plan, "road", 165, life, oddity);
    meter(plan, "cold unit", 5.5, life / 32, Oddity.NONE);
    plan.done("Small service", small)
        .done("Large service", large)
        .done("Axle and gearbox", large * 0.5)
        .done("Cold unit service", cold);
  }

  private void vans() {
    van("VN-1", 88_300, 0.45);
    van("VN-2", 41_900, 0.99);
    van("VN-3", 63_150, 0.18);
    van("VN-4", 29_700, 0.71);
    van("VN-5", 104_060, 0.34);
    van("VN-6", 52_410, 0.83);
  }

  private void van(String code, double life, double passed) {
    UnitPlan plan = unit(code);
    meter(plan, "road", 70, life, Oddity.NONE);
    plan.done("Oil and filter", passed)
        .done("Air and cabin", passed * 0.9)
        .done("Every third oil change", 0.5);
  }

  private void forklifts() {
    diesel("FL-1", 6_120, 0.70, 0.35);
    diesel("FL-2", 4_385, 0.99, 0.82);
    diesel("FL-3", 8_940, 0.93, 0.97);
    gas("FL-4", 3_310, 0.26, Oddity.NONE);
    gas("FL-5", 5_742, 0.58, Oddity.NONE);
    gas("FL-6", 2_108, 0.44, Oddity.REPLACED);
    gas("FL-7", 7_015, 0.985, Oddity.NONE);
  }

  private void diesel(String code, double life, double small, double large) {
    UnitPlan plan = unit(code);
    meter(plan, "hours", 4.2, life, Oddity.NONE);
    plan.done("250 h service", small)
        .done("Dust round", Math.min(small, 0.9))
        .done("1,000 h service", large);
  }

  private void gas(String code, double life, double passed, Oddity oddity) {
    UnitPlan plan = unit(code);
    meter(plan, "hours", 3.4, life, oddity);
    plan.done("250 h service", passed).done("Ignition", 0.3).done("Hydraulics", passed * 0.6);
  }

  private void boats() {
    boat("WB-1", 1_410, 0.42);
    boat("WB-2", 960, 0.66);
    boat("WB-3", 2_205, 0.27);
    boat("WB-4", 1_778, 0.99);
    UnitPlan young = unit("WB-5");
    meter(young, "port", 2.1, 31, Oddity.NEW);
    meter(young, "starboard", 2.1, 30, Oddity.NEW);
  }

  private void boat(String code, double life, double passed) {
    UnitPlan plan = unit(code);
    meter(plan, "port", 2.1, life, Oddity.NONE);
    meter(plan, "starboard", 2.1, life - 14, Oddity.NONE);
    for (String side : new String[] {"Port", "Starboard"}) {
      plan.done(side + " 250 h service", passed)
          .done(side + " before the season", 0.93)
          .done(side + " before lay-up", 0.2);
    }
  }

  private void hoists() {
    hoist("BH-1", 5_240, 0.55);
    hoist("BH-2", 2_310, 0.22);
  }

  private UnitPlan hoist(String code, double life, double passed) {
    UnitPlan plan = unit(code);
    meter(plan, "hours", 2.6, life, Oddity.NONE);
    return plan.done("500 h service", passed)
        .done("Hydraulic service", passed * 0.7)
        .done("Before the season", 0.97);
  }

  private void smallEngines() {
    small("SW-1", 412, 0.40);
    small("SW-2", 288, 0.15);
    small("SW-3", 655, 0.99);
    small("PW-1", 190, 0.30);
    small("PW-2", 77, 0.52);
    small("PW-3", 240, 0.08);
    small("PW-4", 133, 0.44);
    small("PW-5", 301, 0.97);
  }

  private void small(String code, double life, double passed) {
    UnitPlan plan = unit(code);
    meter(plan, "hours", 0.9, life, Oddity.NONE);
    plan.done("50 h service", passed).done("Air and ignition", passed * 0.5);
  }

  private void carriers() {
    carrier("AT-1", 1_480, Oddity.NONE, 0.72);
    carrier("AT-2", 905, Oddity.SILENT, 0.80);
    carrier("AT-3", 1_122, Oddity.NONE, 0.97);
    carrier("AT-4", 640, Oddity.NONE, 0.50);
    carrier("AT-5", 1_905, Oddity.NONE, 0.36);
  }

  private void carrier(String code, double life, Oddity oddity, double passed) {
    UnitPlan plan = unit(code);
    meter(plan, "hours", 1.9, life, oddity);
    plan.done("Oil, three drains", passed).done("Air", passed * 0.75).done("Ignition", 0.5);
  }

  private void generators() {
    UnitPlan first = unit("GN-1");
    meter(first, "hours", 0.15, 612, Oddity.BURST);
    first.done("Yearly service", 0.62);
    UnitPlan second = unit("GN-2");
    meter(second, "hours", 0.15, 188, Oddity.FEW);
    UnitPlan third = unit("GN-3");
    meter(third, "hours", 0.15, 455, Oddity.BURST);
    third.done("Yearly service", 0.35);
  }

  private UnitPlan unit(String code) {
    DemoMaster.UnitRow row = master.unit(code);
    UnitPlan plan =
        new UnitPlan(
            row,
            master.months(row.classId()),
            master.tasks(row.variantId()),
            new HashMap<>(),
            new HashMap<>());
    plans.add(plan);
    return plan;
  }

  private void meter(UnitPlan plan, String name, double perDay, double life, Oddity oddity) {
    MeterPlan meter = new MeterPlan(master.meter(plan.unitId(), name), perDay, life, oddity);
    plan.meters().put(name, meter);
  }
}
