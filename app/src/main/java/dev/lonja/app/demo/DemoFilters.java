package dev.lonja.app.demo;

/**
 * The filters of the harbour, with what is printed on their boxes or was measured. Among them are
 * one that two makers number alike, one without an anti-drain valve, a look-alike, and an inch
 * thread that passes for a metric one.
 */
final class DemoFilters {

  private static final String TEST = "; fineness_test=ISO 4548-12";
  private static final String FUEL_TEST = "; fineness_test=ISO 19438";

  private DemoFilters() {}

  static void stock(DemoShelves shelves) {
    stockOil(shelves);
    stockMoreOil(shelves);
    stockHydraulic(shelves);
    stockFuel(shelves);
    stockAir(shelves);
    stockCabin(shelves);
  }

  private static String oil(
      String thread, String gasket, String bypass, String valve, String height, String body) {
    String[] ends = gasket.split("/");
    return "use=oil; thread="
        + thread
        + "; gasket_od="
        + ends[0]
        + "; gasket_id="
        + ends[1]
        + "; bypass="
        + bypass
        + "; anti_drain_valve="
        + valve
        + "; height="
        + height
        + "; outer_diameter="
        + body;
  }

  private static void stockOil(DemoShelves shelves) {
    String small = oil("M20×1.5", "72/62", "1.2", "yes", "93", "76");
    shelves
        .filter(
            "Pellam",
            "PL 4107-B",
            "Oil filter, spin-on M20×1.5",
            "spin_on_filter",
            small + "; fineness=20" + TEST,
            "0.62",
            "A-03",
            6,
            1180)
        .scannedAs("7302214107024")
        .between("A-03", 4, 12)
        .from("Cabo Norte", 1180, 1)
        .from("Darsena", 1490, 1);
    String large = oil("M27×2", "96/85", "1.5", "yes", "142", "108");
    shelves
        .filter(
            "Pellam",
            "PL 4112-B",
            "Oil filter, spin-on M27×2",
            "spin_on_filter",
            large + "; fineness=20" + TEST,
            "0.85",
            "A-03",
            3,
            1490)
        .scannedAs("7302214112028")
        .between("A-03", 3, 10)
        .from("Cabo Norte", 1490, 1);
    shelves
        .filter(
            "Ravelin",
            "RV 1180-2",
            "Oil filter, cartridge",
            "cartridge_filter",
            "use=oil; height=104; outer_diameter=64; top_id=26; bottom_id=20; end_cap=plastic",
            "0.45",
            "A-04",
            4,
            990)
        .from("Cabo Norte", 990, 2);
    shelves
        .filter(
            "Nortrap",
            "NT 20 611",
            "Oil filter, spin-on 3/4-16",
            "spin_on_filter",
            oil("3/4-16 UN", "71/62", "1", "yes", "95", "76"),
            "0.50",
            "A-04",
            4,
            870)
        .bringing("Cu 18×22×1.5", 1)
        .from("Cabo Norte", 870, 1);
    shelves
        .filter(
            "Tamisco",
            "TM-3308",
            "Oil filter, spin-on M20×1.5",
            "spin_on_filter",
            oil("M20×1.5", "72/62", "1.2", "yes", "142", "93"),
            null,
            "A-05",
            2,
            1310)
        .from("Darsena", 1620, 1);
    shelves.filter(
        "Osmere",
        "OS 107",
        "Oil filter, spin-on M18×1.5",
        "spin_on_filter",
        oil("M18×1.5", "62/54", "1", "yes", "75", "68"),
        "0.30",
        "A-05",
        1,
        760);
    shelves
        .filter(
            "Osmere",
            "05107",
            "Oil filter, cartridge, two O-rings",
            "cartridge_filter",
            "use=oil; height=51; outer_diameter=44; top_id=16; bottom_id=16; end_cap=felt",
            "0.40",
            "A-05",
            2,
            830)
        .bringing("OR 44×2.5 NBR", 1)
        .from("Osmere", 830, 1);
    shelves
        .filter(
            "Corvane",
            "CV 6-3310",
            "Oil filter, maker's box",
            "spin_on_filter",
            small,
            "0.62",
            "A-06",
            1,
            2350)
        .bringing("Cu 14×18×1.5", 1)
        .from("Darsena", 2350, 1);
    shelves.filter(
        "Osmere",
        "OS 118",
        "Oil filter, spin-on, small",
        "spin_on_filter",
        oil("M20×1.5", "63/55", "0.8", "yes", "65", "68"),
        "0.20",
        "A-06",
        3,
        690);
    shelves
        .filter(
            "Veldmark",
            "VM 22-1010",
            "Oil filter, spin-on M27×2",
            "spin_on_filter",
            oil("M27×2", "96/85", "1.7", "yes", "145", "108"),
            "0.90",
            "A-08",
            4,
            1890)
        .from("Veldmark", 1890, 1);
  }

  /** What may stand in for the above, and what only looks as if it might. */
  private static void stockMoreOil(DemoShelves shelves) {
    shelves.filter(
        "Ravelin",
        "RV 1160-7",
        "Oil filter, spin-on M20×1.5",
        "spin_on_filter",
        oil("M20×1.5", "71.7/61.8", "1.3", "yes", "94.5", "76") + "; fineness=18" + TEST,
        "0.60",
        "A-07",
        3,
        1090);
    shelves.filter(
        "Nortrap",
        "NT 20 600",
        "Oil filter, spin-on M20×1.5, no valve",
        "spin_on_filter",
        oil("M20×1.5", "72/62", "1.2", "no", "93", "76"),
        "0.60",
        "A-07",
        5,
        640);
    shelves.filter(
        "Pellam",
        "PL 4107-S",
        "Oil filter, spin-on M20×1.5, marine",
        "spin_on_filter",
        oil("M20×1.5", "72/62", "2.5", "yes", "93", "76"),
        "0.62",
        "A-03",
        1,
        1640);
    shelves.filter(
        "Tamisco",
        "TM-3312",
        "Oil filter, spin-on M20×1.5, long",
        "spin_on_filter",
        oil("M20×1.5", "72/62", "1.2", "yes", "121", "76") + "; fineness=20" + TEST,
        "0.80",
        "A-05",
        2,
        1280);
    shelves.filter(
        "Ravelin",
        "RV 1204-3",
        "Oil filter, spin-on 3/4-16",
        "spin_on_filter",
        oil("3/4-16 UN", "72/62", "1.2", "yes", "93", "76"),
        "0.60",
        "A-07",
        2,
        980);
    shelves.filter(
        "Pellam",
        "PL 3408-B",
        "Oil filter, spin-on 3/4-16",
        "spin_on_filter",
        oil("3/4-16 UN", "71.2/62", "1.1", "yes", "96", "76"),
        "0.52",
        "A-04",
        2,
        930);
    shelves.filter(
        "Ravelin",
        "RV 1212-4",
        "Oil filter, spin-on M27×2",
        "spin_on_filter",
        oil("M27×2", "95.8/85", "1.5", "yes", "140.5", "108"),
        "0.86",
        "A-07",
        2,
        1380);
    shelves.filter(
        "Cabo Norte",
        "CN 500",
        "Oil filter, house label",
        "spin_on_filter",
        "use=oil; thread=M20×1.5; anti_drain_valve=yes",
        "0.62",
        "A-06",
        2,
        890);
    shelves
        .filter(
            "Quillon",
            "QN 11-300",
            "Oil filter, maker's box",
            "cartridge_filter",
            "use=oil; height=104; outer_diameter=64; top_id=26; bottom_id=20; end_cap=plastic",
            "0.45",
            "A-04",
            1,
            2140)
        .bringing("OR 68×3 NBR", 1)
        .from("Darsena", 2140, 1);
    shelves.filter(
        "Osmere",
        "OS I18",
        "Breather strainer",
        "cartridge_filter",
        "height=30; outer_diameter=41",
        null,
        "A-09",
        2,
        540);
    shelves.runningOut(
        "Veldmark",
        "VM 22-1005",
        "Oil filter, spin-on M27×2, old number",
        "spin_on_filter",
        oil("M27×2", "96/85", "1.7", "yes", "145", "108"),
        "A-08",
        1,
        1790);
    shelves.filter(
        "Ravelin",
        "44 107",
        "Oil filter, spin-on M22×1.5",
        "spin_on_filter",
        oil("M22×1.5", "72/62", "1", "yes", "86", "76"),
        "0.45",
        "A-09",
        1,
        1010);
    shelves.filter(
        "Tamisco",
        "44-107",
        "Fuel filter, in line 8 mm",
        "inline_fuel_filter",
        "inlet=8; outlet=8; pressure_class=6; water_separator=no",
        null,
        "C-08",
        2,
        890);
  }

  private static void stockHydraulic(DemoShelves shelves) {
    String ret =
        "use=hydraulic; height=240; outer_diameter=90; top_id=44; bottom_id=44; end_cap=metal";
    shelves.filter(
        "Nortrap",
        "NT 20 680",
        "Hydraulic return filter",
        "cartridge_filter",
        ret,
        null,
        "A-08",
        1,
        4380);
    shelves.filter(
        "Nortrap",
        "NT 20 640",
        "Hydraulic return filter",
        "cartridge_filter",
        "use=hydraulic; height=168; outer_diameter=70; top_id=34; bottom_id=34; end_cap=metal",
        null,
        "A-07",
        1,
        4120);
    shelves.filter(
        "Ravelin",
        "RV 7702-1",
        "Hydraulic filter, spin-on",
        "spin_on_filter",
        "use=hydraulic; thread=1 1/8-16 UN; gasket_od=98; gasket_id=88; bypass=1.7; height=150; outer_diameter=100",
        null,
        "A-07",
        2,
        3380);
    shelves.filter(
        "Pellam",
        "PL 7680-H",
        "Hydraulic return filter",
        "cartridge_filter",
        ret + "; fineness=10; fineness_test=ISO 16889",
        null,
        "A-10",
        1,
        3990);
  }

  private static void stockFuel(DemoShelves shelves) {
    String separator =
        "use=fuel; thread=M16×1.5; gasket_od=72; gasket_id=62; bypass=none; water_separator=yes; height=";
    shelves
        .filter(
            "Ravelin",
            "RV 2210-4",
            "Fuel filter, water separator",
            "spin_on_filter",
            separator + "158; outer_diameter=86; fineness=10" + FUEL_TEST,
            null,
            "C-07",
            0,
            2240)
        .from("Cabo Norte", 2240, 2);
    shelves
        .filter(
            "Pellam",
            "PL 88-F4",
            "Fuel filter, water separator",
            "spin_on_filter",
            separator + "157; outer_diameter=86; fineness=10" + FUEL_TEST,
            null,
            "C-07",
            3,
            2090)
        .from("Cabo Norte", 2090, 1);
    shelves.filter(
        "Nortrap",
        "NT 41 030",
        "Fuel filter, no separator",
        "spin_on_filter",
        "use=fuel; thread=M16×1.5; gasket_od=72; gasket_id=62; bypass=none; water_separator=no; height=157; outer_diameter=86",
        null,
        "C-07",
        2,
        1260);
    shelves.filter(
        "Tamisco",
        "TM-6021",
        "Fuel filter, in line 8 mm",
        "inline_fuel_filter",
        "inlet=8; outlet=8; pressure_class=6; water_separator=no",
        null,
        "C-08",
        5,
        1150);
    shelves.filter(
        "Nortrap",
        "NT 41 009",
        "Fuel filter, spin-on",
        "spin_on_filter",
        "use=fuel; thread=M16×1.5; gasket_od=71; gasket_id=62; bypass=none; water_separator=no; height=98; outer_diameter=76; fineness=8"
            + FUEL_TEST,
        null,
        "C-08",
        3,
        1520);
    shelves.filter(
        "Osmere",
        "OS 212",
        "Fuel filter, in line 6 mm",
        "inline_fuel_filter",
        "inlet=6; outlet=6; pressure_class=1; water_separator=no",
        null,
        "C-09",
        4,
        420);
    shelves.filter(
        "Veldmark",
        "VM 23-0044",
        "Fuel filter, separator",
        "spin_on_filter",
        "use=fuel; thread=1-14 UN; gasket_od=88; gasket_id=78; bypass=none; water_separator=yes; height=180; outer_diameter=93",
        null,
        "C-09",
        3,
        3120);
    shelves.filter(
        "Pellam",
        "PL 3-06",
        "Fuel filter, in line 6 mm",
        "inline_fuel_filter",
        "inlet=6; outlet=6; pressure_class=6; water_separator=no",
        null,
        "C-09",
        2,
        610);
  }

  private static void stockAir(DemoShelves shelves) {
    shelves.filter(
        "Brannoch",
        "BR 3320",
        "Air filter, round, gas",
        "round_air_filter",
        "outer_diameter=160; inner_diameter=90; height=210; closed_end=yes; pre_cleaner=no",
        null,
        "C-03",
        2,
        2640);
    shelves.filter(
        "Tarrowby",
        "TW 5-011",
        "Air filter and foam sleeve",
        "round_air_filter",
        "outer_diameter=96; inner_diameter=64; height=72; closed_end=no; pre_cleaner=yes",
        null,
        "C-04",
        4,
        1120);
    shelves.filter(
        "Pellam",
        "PL 6620-A",
        "Air filter, round",
        "round_air_filter",
        "outer_diameter=280; inner_diameter=160; height=410; closed_end=yes; pre_cleaner=no",
        null,
        "C-01",
        3,
        3860);
    shelves.filter(
        "Pellam",
        "PL 6621-S",
        "Safety element for 6620-A",
        "round_air_filter",
        "outer_diameter=156; inner_diameter=130; height=395; closed_end=yes; pre_cleaner=no",
        null,
        "C-01",
        2,
        1740);
    shelves.filter(
        "Ravelin",
        "RV 5104",
        "Air filter, panel",
        "panel_air_filter",
        "length=292; width=186; height=46",
        null,
        "C-02",
        2,
        1290);
    shelves.filter(
        "Nortrap",
        "NT 50 330",
        "Air filter, round, heavy dust",
        "round_air_filter",
        "outer_diameter=178; inner_diameter=98; height=262; closed_end=yes; pre_cleaner=yes",
        null,
        "C-03",
        1,
        2980);
    shelves.filter("Osmere", "OS 330", "Air filter, foam", "foam_filter", "", null, "C-04", 3, 940);
    shelves.filter(
        "Tamisco",
        "TM-7150",
        "Air filter, round, generator",
        "round_air_filter",
        "outer_diameter=305; inner_diameter=180; height=380; closed_end=yes; pre_cleaner=no",
        null,
        "C-05",
        1,
        5210);
    shelves.filter(
        "Osmere",
        "OS 5011",
        "Air filter, small, no sleeve",
        "round_air_filter",
        "outer_diameter=95; inner_diameter=64; height=71; closed_end=no; pre_cleaner=no",
        null,
        "C-04",
        2,
        790);
    shelves.filter(
        "Tamisco",
        "TM-7002",
        "Air filter, panel",
        "panel_air_filter",
        "length=293; width=187; height=49",
        null,
        "C-02",
        1,
        1090);
  }

  private static void stockCabin(DemoShelves shelves) {
    shelves.filter(
        "Ravelin",
        "RV 8801-C",
        "Cabin filter, carbon",
        "cabin_filter",
        "length=255; width=235; height=32; carbon=yes",
        null,
        "C-10",
        4,
        1610);
    shelves.filter(
        "Quillon",
        "QN 77-310",
        "Cabin filter, plain",
        "cabin_filter",
        "length=255; width=235; height=32; carbon=no",
        null,
        "C-10",
        2,
        1180);
  }
}
