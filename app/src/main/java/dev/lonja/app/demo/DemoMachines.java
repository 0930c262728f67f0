package dev.lonja.app.demo;

/**
 * What the harbour's machines are made of and what is done to them, variant by variant. Two
 * variants of one truck look alike and differ in sump and filter.
 */
final class DemoMachines {

  final DemoVariant truck42;
  final DemoVariant truck51;
  final DemoVariant norte;
  final DemoVariant van;
  final DemoVariant diesel;
  final DemoVariant gas;
  final DemoVariant boat;
  final DemoVariant hoist;
  final DemoVariant sweeper;
  final DemoVariant washer;
  final DemoVariant carrier;
  final DemoVariant generator;

  private final DemoSheets sheets;

  DemoMachines(DemoSheets sheets) {
    this.sheets = sheets;
    this.truck42 = truck("Corvane", "T7", "4.2", DemoSpecs.corvane42(), "PL 4107-B", "9.6", "9.0");
    this.truck51 =
        truck("Corvane", "T7", "5.1", DemoSpecs.corvane51(), "PL 4112-B", "11.8", "11.0");
    this.norte = truck("Tessaly", "Norte 6", "", DemoSpecs.tessaly(), "PL 4112-B", "11.8", "11.0");
    this.van = van();
    this.diesel = dieselForklift();
    this.gas = gasForklift();
    this.boat = boat();
    this.hoist = hoist();
    this.sweeper = smallEngine("Broom 90", "1.1");
    this.washer = smallEngine("Jet 20", "0.6");
    this.carrier = carrier();
    this.generator = generator();
  }

  private DemoVariant truck(
      String make,
      String model,
      String name,
      DemoSpec oilSpec,
      String filter,
      String with,
      String without) {
    DemoVariant truck = new DemoVariant(sheets, make, model, name);
    long engine =
        truck.compartment("Engine sump", "engine", oilSpec, "FA 15-205", with, without, "");
    long axle =
        truck.compartment(
            "Rear axle",
            "rear_drive",
            DemoSpecs.axle(),
            "NA 809-20",
            null,
            "4.5",
            "Open the fill plug before the drain plug.");
    long box =
        truck.compartment(
            "Gearbox",
            "gearbox",
            DemoSpecs.gearbox(),
            "NA 758-20",
            null,
            "3.2",
            "Open the fill plug before the drain plug.");
    truck.compartment(
        "Cooling circuit", "cooling", DemoSpecs.coolant(), "RI 40-20", null, "14.5", "");
    truck.compartment(
        "Power steering", "power_steering", DemoSpecs.steering(), "CB 46-20", null, "1.6", "");
    truck.compartment(
        "Brake circuit", "brake_circuit", DemoSpecs.brakes(), "TR 4-1", null, "1.2", "");
    long cold =
        truck.compartment(
            "Cold unit engine", "engine", DemoSpecs.coldUnit(), "GR 1040-20", null, "3.6", "");
    truck.separatorAt("Fuel filter");
    truck.materialsAt("Sump plug seal", "copper, aluminium");
    truck.roomAbove("Oil filter", name.equals("4.2") ? "110" : "160");
    long oil =
        truck.filter(
            engine,
            "Oil filter",
            "oil_filter",
            filter,
            "upright",
            "Oil the gasket, 3/4 turn after contact. Look that the old gasket came off.");
    truck.seal(engine, "Sump plug seal", "Cu 14×18×1.5", 1);
    truck.plug(engine, "Sump plug", "CV 2-0014", "M14×1.5", "17 mm hex", "38-42");
    truck.seal(axle, "Axle plug seals", "Cu 22×27×1.5", 2);
    truck.plug(axle, "Axle plugs", null, "M22×1.5", "14 mm hex socket", "50");
    truck.seal(box, "Gearbox plug seal", "Cu 18×22×1.5", 1);
    truck.plug(box, "Gearbox plug", null, "M18×1.5", "12 mm hex socket", "32");
    truck.seal(cold, "Cold unit plug seal", "Al 14×18×1.5", 1);
    truck.plug(cold, "Cold unit plug", null, "M14×1.5", "17 mm hex", "25");
    long fuel =
        truck.filter(
            null, "Fuel filter", "fuel_filter", "RV 2210-4", "upright", "Drain the water first.");
    long air = truck.filter(null, "Air filter", "air_filter", "PL 6620-A", null, "");
    long coldFilter =
        truck.filter(
            cold, "Cold unit oil filter", "oil_filter", "OS 107", "sideways", "Hangs sideways.");
    long belt = truck.part("Fan belt", "belt", "CV 9-7120", 1, null, "Look for cracks.");
    truck.service("Small service", "road");
    long oilChange = truck.changeAfterRunningIn("Change engine oil", engine, 2_500, 20_000, 12);
    truck.whileIn("E9", oilChange, 30_000, 12);
    truck.replaceAfterRunningIn("Replace oil filter", oil, 2_500, 20_000, 12);
    truck.inspect("Inspect fan belt", belt, 20_000, 12);
    truck.service("Large service", "road");
    truck.replace("Replace fuel filter", fuel, 40_000, 24);
    truck.replace("Replace air filter", air, 40_000, 24);
    truck.service("Axle and gearbox", "road");
    truck.change("Change axle oil", axle, 80_000, 36);
    truck.change("Change gearbox oil", box, 120_000, 48);
    truck.service("Cold unit service", "cold unit");
    truck.change("Change cold unit oil", cold, 500, 12);
    truck.replace("Replace cold unit filter", coldFilter, 500, 12);
    return truck;
  }

  private DemoVariant van() {
    DemoVariant van = new DemoVariant(sheets, "Quillon", "230", "");
    long engine =
        van.compartment("Engine sump", "engine", DemoSpecs.van(), "BR 53-5", "6.4", "5.9", "");
    van.compartment("Cooling circuit", "cooling", DemoSpecs.coolant(), "RI 40-5", null, "8.2", "");
    van.compartment("Washer tank", "washer", DemoSpecs.washer(), "VI 1-5", null, "4.5", "");
    long oil =
        van.cappedFilter(
            engine,
            "Oil filter",
            "RV 1180-2",
            "inverted",
            "25",
            "Cap 25 N·m. New O-ring 68×3 into the upper groove.");
    van.seal(engine, "Sump plug seal", "Al 14×18×1.5", 1);
    van.plug(engine, "Sump plug", "QN 11-204", "M14×1.5", "17 mm hex", "32");
    long cover =
        van.part("Filter cover O-ring", "cover_seal", "OR 68×3 NBR", 1, null, "Upper groove.");
    long cabin = van.filter(null, "Cabin filter", "cabin_filter", "RV 8801-C", null, "Arrow down.");
    long air = van.filter(null, "Air filter", "air_filter", "RV 5104", null, "");
    van.service("Oil and filter", "road");
    long oilChange = van.change("Change engine oil", engine, 20_000, 12);
    van.replace("Replace oil filter", oil, 20_000, 12);
    van.replace("Replace cover O-ring", cover, 20_000, 12);
    van.service("Air and cabin", "road");
    van.replace("Replace cabin filter", cabin, 20_000, 12);
    van.inspect("Inspect air filter", air, 20_000, 12);
    van.service("Every third oil change", "");
    van.replaceEveryNth("Replace air filter", air, oilChange, 3);
    return van;
  }

  private DemoVariant dieselForklift() {
    DemoVariant fork = new DemoVariant(sheets, "Brannoch", "D25", "");
    long engine =
        fork.compartment(
            "Engine sump", "engine", DemoSpecs.forkliftDiesel(), "GR 1040-20", null, "7.2", "");
    long tank =
        fork.compartment(
            "Hydraulic tank",
            "hydraulic",
            DemoSpecs.forkliftHydraulics(),
            "CB 46-205",
            "36",
            "34",
            "Lower the forks first.");
    long oil =
        fork.filter(
            engine, "Oil filter", "oil_filter", "NT 20 611", "upright", "3/4 turn after contact.");
    fork.seal(engine, "Sump plug seal", "Cu 18×22×1.5", 1);
    fork.plug(engine, "Sump plug", null, "M18×1.5", "19 mm hex", "40");
    fork.seal(tank, "Tank plug seal", "BR-S 2412", 1);
    fork.plug(tank, "Tank plug", null, "M24×1.5", "24 mm hex", "60-70");
    long air =
        fork.filter(
            null, "Air filter", "air_filter", "NT 50 330", null, "Ice-salt dust: look every time.");
    long fuel = fork.filter(null, "Fuel filter", "fuel_filter", "NT 41 009", "upright", "");
    long back = fork.filter(tank, "Return filter", "hydraulic_filter", "NT 20 640", "inverted", "");
    fork.service("250 h service", "hours");
    fork.change("Change engine oil", engine, 250, 6);
    fork.replace("Replace oil filter", oil, 250, 6);
    fork.service("Dust round", "hours");
    fork.inspect("Inspect air filter", air, 125, null);
    fork.service("1,000 h service", "hours");
    fork.replace("Replace fuel filter", fuel, 500, 12);
    fork.change("Change hydraulic oil", tank, 1_000, 24);
    fork.replace("Replace return filter", back, 1_000, 24);
    return fork;
  }

  private DemoVariant gasForklift() {
    DemoVariant fork = new DemoVariant(sheets, "Brannoch", "G20", "");
    long engine =
        fork.compartment(
            "Engine sump", "engine", DemoSpecs.forkliftGas(), "GR 1040-20", "4.6", "4.2", "");
    long tank =
        fork.compartment(
            "Hydraulic tank",
            "hydraulic",
            DemoSpecs.forkliftHydraulics(),
            "CB 46-205",
            null,
            "28",
            "Lower the forks first.");
    long oil = fork.filter(engine, "Oil filter", "oil_filter", "OS 118", "sideways", "");
    fork.seal(engine, "Sump plug seal", "Cu 16×20×1.5", 1);
    fork.plug(engine, "Sump plug", null, "M16×1.5", "17 mm hex", "30-35");
    fork.seal(tank, "Tank plug seal", "BR-S 2412", 1);
    long plugs = fork.part("Spark plugs", "spark_plug", "OS Z14R", 4, "18", "");
    long air =
        fork.filter(
            null, "Air filter", "air_filter", "BR 3320", null, "Ice-salt dust: look every time.");
    fork.service("250 h service", "hours");
    fork.changeUnder("0.8", "dusty ice-salt floor", "Change engine oil", engine, 250, 6);
    fork.replace("Replace oil filter", oil, 250, 6);
    fork.inspect("Inspect air filter", air, 250, null);
    fork.service("Ignition", "hours");
    fork.replace("Replace spark plugs", plugs, 1_000, 24);
    fork.service("Hydraulics", "hours");
    fork.change("Change hydraulic oil", tank, 2_000, 36);
    return fork;
  }

  private DemoVariant boat() {
    DemoVariant boat = new DemoVariant(sheets, "Veldmark", "Twin 9", "");
    for (String side : new String[] {"Port", "Starboard"}) {
      String low = side.toLowerCase();
      long engine =
          boat.compartment(
              side + " engine sump",
              "engine",
              DemoSpecs.veldmark(),
              "FA 15-205",
              "14.2",
              "13.3",
              "");
      long box =
          boat.compartment(
              side + " reverse gearbox",
              "gearbox",
              DemoSpecs.axle(),
              "NA 809-20",
              null,
              "2.4",
              "Open the fill plug before the drain plug.");
      boat.separatorAt(side + " fuel filter");
      long oil =
          boat.filter(
              engine,
              side + " oil filter",
              "oil_filter",
              "VM 22-1010",
              "sideways",
              "Three quarters of a turn after contact.");
      boat.seal(engine, side + " plug seal", "Cu 24×29×2", 1);
      boat.plug(engine, side + " drain plug", "VM 12-0150", "M24×2", "27 mm hex", "55-65");
      boat.seal(box, side + " gearbox plug seal", "Cu 16×20×1.5", 1);
      long fuel =
          boat.filter(
              null,
              side + " fuel filter",
              "fuel_filter",
              "VM 23-0044",
              "upright",
              "Drain the water first.");
      long wheel = boat.part(side + " pump impeller", "insurance", "VM 40-0021", 1, null, "");
      boat.service(side + " 250 h service", low);
      boat.changeAfterRunningIn("Change " + low + " engine oil", engine, 50, 250, 12);
      boat.replaceAfterRunningIn("Replace " + low + " oil filter", oil, 50, 250, 12);
      boat.replace("Replace " + low + " fuel filter", fuel, 500, 12);
      boat.change("Change " + low + " gearbox oil", box, 1_000, 24);
      boat.service(side + " before the season", "");
      boat.inspect("Inspect " + low + " pump impeller", wheel, 0, 12);
      boat.service(side + " before lay-up", "");
      boat.replaceBeforeLayUp("Replace " + low + " fuel filter for the winter", fuel, 7);
    }
    boat.compartment(
        "Steering hydraulics",
        "power_steering",
        DemoSpecs.nearWater(),
        "VD 46-20",
        null,
        "3.2",
        "");
    return boat;
  }

  private DemoVariant hoist() {
    DemoVariant hoist = new DemoVariant(sheets, "Osprel", "H30", "");
    long engine =
        hoist.compartment(
            "Engine sump", "engine", DemoSpecs.standby(), "FA 15-20", "7.6", "7.1", "");
    long tank =
        hoist.compartment(
            "Hydraulic tank",
            "hydraulic",
            DemoSpecs.nearWater(),
            "VD 46-200",
            null,
            "180",
            "Lower the slings first.");
    hoist.compartment(
        "Cooling circuit", "cooling", DemoSpecs.coolant(), "RI 40-20", null, "11.5", "");
    long oil = hoist.filter(engine, "Oil filter", "oil_filter", "PL 4112-B", "upright", "");
    hoist.seal(engine, "Sump plug seal", "Cu 22×27×1.5", 1);
    hoist.plug(engine, "Sump plug", null, "M22×1.5", "22 mm hex", "48-52");
    hoist.seal(tank, "Tank plug seal", "OP 7-0022", 1);
    hoist.plug(tank, "Tank plug", "OP 7-0020", "M22×1.5", "22 mm hex", "70-80");
    long back =
        hoist.filter(tank, "Return filter", "hydraulic_filter", "NT 20 680", "inverted", "");
    long air = hoist.filter(null, "Air filter", "air_filter", "PL 6620-A", null, "");
    hoist.service("500 h service", "hours");
    hoist.change("Change engine oil", engine, 500, 12);
    hoist.replace("Replace oil filter", oil, 500, 12);
    hoist.inspect("Inspect air filter", air, 250, null);
    hoist.service("Before the season", "");
    hoist.replaceBeforeSeason("Replace air filter before the season", air, "04-01", 14);
    hoist.service("Hydraulic service", "hours");
    hoist.replace("Replace return filter", back, 1_000, 12);
    hoist.change("Change hydraulic oil", tank, 2_000, 36);
    return hoist;
  }

  private DemoVariant smallEngine(String model, String litres) {
    DemoVariant small = new DemoVariant(sheets, "Tarrowby", model, "");
    long engine =
        small.compartment(
            "Crankcase", "engine", DemoSpecs.airCooled(), "RL 1030-1", null, litres, "");
    small.seal(engine, "Plug seal", "Al 12×16×1.5", 1);
    small.plug(engine, "Drain plug", null, "M12×1.5", "17 mm hex", "14-18");
    long air =
        small.filter(
            null,
            "Air filter",
            "air_filter",
            "TW 5-011",
            null,
            "Wash the sleeve, oil it, replace if torn.");
    long plug = small.part("Spark plug", "spark_plug", "OS Z09", 1, "20", "");
    small.service("50 h service", "hours");
    small.changeAfterRunningIn("Change oil", engine, 5, 50, 6);
    small.service("Air and ignition", "hours");
    small.inspect("Inspect air filter", air, 25, null);
    small.replace("Replace spark plug", plug, 100, 12);
    return small;
  }

  private DemoVariant carrier() {
    DemoVariant carrier = new DemoVariant(sheets, "Lintrel", "Duo 700", "");
    long engine =
        carrier.compartment(
            "Engine and clutch",
            "engine_clutch",
            DemoSpecs.wetClutch(),
            "DU 104-4",
            "2.7",
            "2.5",
            "");
    long front =
        carrier.compartment(
            "Front drive",
            "front_drive",
            DemoSpecs.axle(),
            "NA 809-20",
            null,
            "0.28",
            "Open the fill plug before the drain plug.");
    long rear =
        carrier.compartment(
            "Rear drive",
            "rear_drive",
            DemoSpecs.limitedSlip(),
            "NA 809-20",
            null,
            "0.42",
            "Open the fill plug before the drain plug.");
    long oil =
        carrier.cappedFilter(
            engine, "Oil filter", "05107", "sideways", "9", "Cover 9 N·m, crosswise.");
    carrier.seal(engine, "Crankcase plug seal", "Bond M18", 1);
    carrier.plug(engine, "Crankcase plug", "LT 1-0031", "M18×1.5", "17 mm hex", "20");
    carrier.seal(front, "Front plug seal", "Al 14×18×1.5", 1);
    carrier.plug(front, "Front plug", null, "M14×1.5", "8 mm hex socket", "14-18");
    carrier.seal(rear, "Rear plug seal", "Al 14×18×1.5", 1);
    carrier.plug(rear, "Rear plug", null, "M14×1.5", "8 mm hex socket", "14-18");
    long screen =
        carrier.part("Screen cover O-ring", "cover_seal", "LT 1-0095", 1, null, "Inner groove.");
    long air =
        carrier.filter(
            null, "Air filter", "air_filter", "OS 330", null, "Wash and oil, replace if torn.");
    long plugs = carrier.part("Spark plugs", "spark_plug", "OS Z14R", 2, "18", "");
    carrier.service("Oil, three drains", "hours");
    carrier.change("Change engine oil", engine, 100, 12);
    carrier.replace("Replace oil filter", oil, 100, 12);
    carrier.replace("Replace screen O-ring", screen, 100, 12);
    carrier.changeUnder("0.8", "wades in salt water", "Change front drive oil", front, 200, 12);
    carrier.changeUnder("0.8", "wades in salt water", "Change rear drive oil", rear, 200, 12);
    carrier.service("Air", "hours");
    carrier.inspect("Inspect air filter", air, 50, null);
    carrier.service("Ignition", "hours");
    carrier.replace("Replace spark plugs", plugs, 300, 24);
    return carrier;
  }

  private DemoVariant generator() {
    DemoVariant set = new DemoVariant(sheets, "Marlstone", "120", "");
    long engine =
        set.compartment("Engine sump", "engine", DemoSpecs.standby(), "FA 15-20", null, "17.5", "");
    long oil =
        set.filter(
            engine, "Oil filter", "oil_filter", "TM-3308", "upright", "Fill half before fitting.");
    set.seal(engine, "Sump plug seal", "Al 20×24×1.5", 1);
    set.plug(engine, "Sump plug", null, "M20×1.5", "19 mm hex", "45");
    long fuel = set.part("Fuel filter", "fuel_filter", "TM-6021", 2, null, "");
    long air = set.filter(null, "Air filter", "air_filter", "TM-7150", null, "");
    long belt = set.part("Fan belts", "belt", "MS 300-18", 1, null, "Always both.");
    set.service("Yearly service", "hours");
    set.change("Change engine oil", engine, 250, 12);
    set.replace("Replace oil filter", oil, 250, 12);
    set.replace("Replace fuel filters", fuel, 500, 24);
    set.inspect("Inspect air filter", air, 500, 12);
    set.inspect("Inspect fan belts", belt, 500, 12);
    return set;
  }
}
