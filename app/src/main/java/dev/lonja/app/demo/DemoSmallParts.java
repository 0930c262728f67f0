package dev.lonja.app.demo;

/** Seals, plugs, belts, plugs that spark, consumables and kits of the harbour. */
final class DemoSmallParts {

  private DemoSmallParts() {}

  static void stock(DemoShelves shelves) {
    stockWashers(shelves);
    stockRings(shelves);
    stockPlugs(shelves);
    stockTheRest(shelves);
    stockMore(shelves);
    stockKits(shelves);
  }

  private static DemoShelves.Stocked washer(
      DemoShelves shelves, String metal, String size, String bin, int pieces, long cents) {
    String[] measures = size.split("×");
    String properties =
        "inner_diameter="
            + measures[0]
            + "; outer_diameter="
            + measures[1]
            + "; thickness="
            + measures[2]
            + "; seal_form=flat; material="
            + (metal.equals("Cu") ? "copper" : "aluminium");
    String name = metal.equals("Cu") ? "Copper washer" : "Aluminium washer";
    return shelves.part("any", metal + " " + size, name, "seal", properties, bin, pieces, cents);
  }

  private static void stockWashers(DemoShelves shelves) {
    washer(shelves, "Cu", "14×18×1.5", "A-11", 22, 18).between("A-11", 20, 60);
    washer(shelves, "Cu", "18×22×1.5", "A-11", 14, 24);
    washer(shelves, "Cu", "22×27×1.5", "A-12", 9, 31);
    washer(shelves, "Cu", "16×20×1.5", "A-11", 16, 21);
    washer(shelves, "Cu", "24×29×2", "A-12", 6, 38);
    washer(shelves, "Al", "12×16×1.5", "A-12", 14, 12);
    shelves.part(
        "Osprel",
        "OP 7-0022",
        "Tank plug seal",
        "seal",
        "inner_diameter=22; outer_diameter=27; thickness=2; seal_form=filled; material=copper",
        "A-14",
        1,
        290);
    washer(shelves, "Al", "14×18×1.5", "A-12", 12, 15);
    washer(shelves, "Al", "20×24×1.5", "A-13", 1, 22);
    shelves.part(
        "any",
        "Bond M18",
        "Bonded seal",
        "seal",
        "inner_diameter=18.7; outer_diameter=26; thickness=2; seal_form=bonded; material=rubber–metal",
        "A-13",
        6,
        95);
    shelves.part(
        "Brannoch",
        "BR-S 2412",
        "Hydraulic tank seal",
        "seal",
        "inner_diameter=24; outer_diameter=29; thickness=2; seal_form=flat; material=fibre",
        "A-14",
        2,
        310);
    washer(shelves, "Cu", "12×15.5×1.5", "A-11", 10, 14);
    washer(shelves, "Cu", "20×24×1.5", "A-12", 8, 27);
    washer(shelves, "Cu", "26×31×2", "A-12", 4, 42);
    washer(shelves, "Al", "16×20×1.5", "A-13", 8, 16);
    washer(shelves, "Al", "18×22×1.5", "A-13", 6, 19);
    shelves.part(
        "any",
        "Fb 14×18×1.5",
        "Fibre washer",
        "seal",
        "inner_diameter=14; outer_diameter=18; thickness=1.5; seal_form=flat; material=fibre",
        "A-14",
        10,
        9);
    shelves.part(
        "any",
        "CuF 14×18×2",
        "Filled copper washer",
        "seal",
        "inner_diameter=14; outer_diameter=18; thickness=2; seal_form=filled; material=copper",
        "A-14",
        7,
        33);
  }

  private static DemoShelves.Stocked ring(
      DemoShelves shelves,
      String number,
      String inside,
      String cord,
      String rubber,
      String name,
      String bin,
      int pieces,
      long cents) {
    String properties =
        "inner_diameter="
            + inside
            + "; cross_section="
            + cord
            + "; rubber="
            + rubber
            + "; hardness=70";
    return shelves.part("any", number, name, "o_ring", properties, bin, pieces, cents);
  }

  private static void stockRings(DemoShelves shelves) {
    ring(shelves, "OR 68×3 NBR", "68", "3", "NBR", "O-ring, filter cover", "B-02", 5, 60);
    ring(shelves, "OR 52×3 FKM", "52", "3", "FKM", "O-ring, filter cover", "B-02", 3, 140);
    ring(shelves, "OR 91.4×3.53", "91.4", "3.53", "NBR", "O-ring, screen cover", "B-03", 4, 85);
    shelves.part(
        "Lintrel",
        "LT 1-0095",
        "Screen cover O-ring",
        "o_ring",
        "inner_diameter=91.4; cross_section=3.53; rubber=NBR; hardness=70",
        "B-03",
        2,
        190);
    ring(shelves, "OR 68×3 EPDM", "68", "3", "EPDM", "O-ring, coolant cover", "B-02", 4, 75);
    ring(shelves, "OR 68×3 FKM", "68", "3", "FKM", "O-ring, filter cover", "B-02", 2, 165);
    ring(shelves, "OR 44×2.5 NBR", "44", "2.5", "NBR", "O-ring, filter cap", "B-03", 6, 45);
  }

  private static void stockPlugs(DemoShelves shelves) {
    shelves
        .part(
            "Corvane",
            "CV 2-0014",
            "Drain plug M14×1.5, magnet",
            "drain_plug",
            "thread=M14×1.5; sealing=washer; shank_length=18; hex=17; magnet=yes",
            "B-04",
            2,
            640)
        .bringing("Cu 14×18×1.5", 1);
    shelves.part(
        "Quillon",
        "QN 11-204",
        "Drain plug M14×1.5",
        "drain_plug",
        "thread=M14×1.5; sealing=washer; shank_length=16.5; hex=17; magnet=no",
        "B-04",
        1,
        480);
    shelves.part(
        "Veldmark",
        "VM 12-0150",
        "Drain plug M24×2",
        "drain_plug",
        "thread=M24×2; sealing=washer; shank_length=24; hex=27; magnet=no",
        "B-05",
        2,
        780);
    shelves.part(
        "Osprel",
        "OP 7-0020",
        "Drain plug M22×1.5, magnet",
        "drain_plug",
        "thread=M22×1.5; sealing=washer; shank_length=21; hex=22; magnet=yes",
        "B-05",
        1,
        1340);
    shelves.part(
        "Lintrel",
        "LT 1-0031",
        "Drain plug M18×1.5",
        "drain_plug",
        "thread=M18×1.5; sealing=washer; shank_length=17; hex=17; magnet=no",
        "B-05",
        2,
        720);
    shelves.part(
        "any",
        "DP M14 S",
        "Drain plug M14×1.5, short",
        "drain_plug",
        "thread=M14×1.5; sealing=washer; shank_length=12; hex=17; magnet=no",
        "B-04",
        3,
        190);
    shelves.part(
        "any",
        "DP 1/2 NPT",
        "Drain plug 1/2 NPT",
        "drain_plug",
        "thread=1/2 NPT; sealing=taper; shank_length=20; hex=14; magnet=no",
        "B-05",
        1,
        260);
  }

  private static void stockTheRest(DemoShelves shelves) {
    shelves.part("Corvane", "CV 9-7120", "Fan belt 10×1250", "belt", "", "B-07", 2, 2150);
    shelves.part("Brannoch", "BR 4410", "Fan belt 10×925", "belt", "", "B-07", 1, 1830);
    shelves.part("Marlstone", "MS 300-18", "Fan belt set of two", "belt", "", "B-08", 1, 4460);
    shelves.part("Lintrel", "LT 4-0200", "Drive belt", "belt", "", "B-08", 1, 8900);
    shelves.part("Veldmark", "VM 40-0021", "Pump impeller", "consumable", "", "B-10", 2, 4120);
    shelves.part("Osmere", "OS Z09", "Spark plug, 14 mm, small", "spark_plug", "", "B-09", 6, 370);
    shelves.part("Osmere", "OS Z11", "Spark plug, 14 mm", "spark_plug", "", "B-09", 8, 390);
    shelves.part(
        "Osmere", "OS Z14R", "Spark plug, 14 mm, resistor", "spark_plug", "", "B-09", 14, 450);
    shelves.part("any", "HC 12-16", "Hose clip 12 to 16 mm", "consumable", "", "D-15", 24, 45);
    shelves.part("any", "HC 16-25", "Hose clip 16 to 25 mm", "consumable", "", "D-15", 18, 55);
    shelves.part("any", "RAG 10", "Cotton rags, pack", "consumable", "", "D-14", 9, 620);
    shelves.part("any", "GLV L", "Nitrile gloves, box, large", "consumable", "", "D-14", 5, 980);
    shelves.part("any", "FNL 150", "Funnel, one fluid only", "consumable", "", "D-13", 4, 350);
  }

  private static void stockMore(DemoShelves shelves) {
    shelves.part("Tessaly", "TS 9-1250", "Fan belt 10×1250", "belt", "", "B-07", 1, 1980);
    shelves.part("Veldmark", "VM 31-0008", "Alternator belt", "belt", "", "B-08", 2, 2260);
    shelves.part("Nortrap", "NT Z90", "Spark plug, 14 mm, small", "spark_plug", "", "B-09", 4, 340);
    shelves.part("any", "HC 20-32", "Hose clip 20 to 32 mm", "consumable", "", "D-15", 20, 60);
    shelves.part("any", "HC 32-50", "Hose clip 32 to 50 mm", "consumable", "", "D-15", 12, 75);
    shelves.part("any", "GLV M", "Nitrile gloves, box, medium", "consumable", "", "D-14", 3, 980);
    shelves.part("any", "JUG 5", "Measuring jug, 5 L", "consumable", "", "D-13", 2, 1450);
    shelves.part("any", "BUL 12-5", "Bulb 12 V 5 W", "consumable", "", "E-01", 20, 60);
    shelves.part("any", "BUL 24-21", "Bulb 24 V 21 W", "consumable", "", "E-01", 16, 95);
    shelves.part("any", "FUS 15", "Blade fuse 15 A", "consumable", "", "E-02", 30, 12);
    shelves.part("any", "FUS 20", "Blade fuse 20 A", "consumable", "", "E-02", 24, 12);
    shelves.part("any", "CT 300", "Cable ties 300 mm, pack", "consumable", "", "E-02", 5, 310);
    shelves.part("any", "TAP 19", "Insulating tape 19 mm", "consumable", "", "E-02", 10, 140);
    shelves.part("any", "ABS 10", "Absorbent granules, 10 kg", "consumable", "", "E-17", 4, 1290);
    shelves.part("Veldmark", "VM 41-0100", "Hull anode", "consumable", "", "B-10", 4, 2380);
    shelves.part("Veldmark", "VM 40-0022", "Impeller gasket", "consumable", "", "B-10", 3, 260);
  }

  /** Kits as they come; some lack a piece that the job needs, some bring one that nobody does. */
  private static void stockKits(DemoShelves shelves) {
    shelves
        .part("Osmere", "KIT T42", "Service kit, truck 4.2", "kit", "", "E-10", 1, 5480)
        .bringing("PL 4107-B", 1)
        .bringing("Cu 14×18×1.5", 1)
        .bringing("RV 2210-4", 1)
        .bringing("PL 6620-A", 1)
        .bringing("HC 16-25", 2)
        .from("Osmere", 5480, 1);
    shelves
        .part("Osmere", "KIT V23", "Service kit, van 230", "kit", "", "E-10", 2, 3240)
        .bringing("RV 1180-2", 1)
        .bringing("RV 8801-C", 1)
        .bringing("Al 14×18×1.5", 1)
        .from("Osmere", 3240, 1);
    shelves
        .part("Osmere", "KIT AT7", "Service kit, carrier Duo 700", "kit", "", "E-11", 1, 2960)
        .bringing("05107", 1)
        .bringing("Bond M18", 1)
        .bringing("Al 14×18×1.5", 2)
        .bringing("LT 1-0095", 1)
        .bringing("OS Z14R", 2)
        .from("Osmere", 2960, 1);
    shelves
        .part("Veldmark", "VM 90-0250", "250 h kit, one engine", "kit", "", "E-12", 1, 6150)
        .bringing("VM 22-1010", 1)
        .bringing("Cu 24×29×2", 1)
        .bringing("VM 23-0044", 1)
        .bringing("VM 40-0021", 1)
        .bringing("VM 40-0022", 1)
        .from("Veldmark", 6150, 1);
    shelves
        .part("Osmere", "KIT S50", "50 h kit, small engine", "kit", "", "E-11", 3, 1890)
        .bringing("TW 5-011", 1)
        .bringing("OS Z09", 1)
        .bringing("Al 12×16×1.5", 1)
        .from("Osmere", 1890, 1);
  }
}
