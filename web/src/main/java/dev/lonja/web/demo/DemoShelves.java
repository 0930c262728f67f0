package dev.lonja.web.demo;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The bins, products and items of the Quay Store, and how much of each came in to begin with. */
final class DemoShelves {

  /**
   * What lies on the shelf at the start of the history.
   *
   * @param unitCost in cents per piece or litre
   */
  record Opening(
      long itemId, long binId, String lot, String amount, long unitCost, int goodForDays) {}

  private final Sheet bins = new Sheet("id,address,walk_order");
  private final Sheet products = new Sheet("id,make,name,kind,grade,classes");
  private final Sheet items =
      new Sheet(
          "id,make,number,description,family,unit,product_id,pack_l,filter_volume_l,home_bin_id,"
              + "version");
  private final Map<String, Long> binIds = new HashMap<>();
  private final Map<String, Long> itemIds = new HashMap<>();
  private final List<Opening> openings = new ArrayList<>();

  static DemoShelves fill() {
    DemoShelves shelves = new DemoShelves();
    shelves.putUpBins();
    shelves.stockFluids();
    shelves.stockOilFilters();
    shelves.stockOtherFilters();
    shelves.stockSeals();
    shelves.stockTheRest();
    return shelves;
  }

  Map<String, String> texts() {
    return Map.of(
        "bins.csv", bins.text(), "products.csv", products.text(), "items.csv", items.text());
  }

  long item(String number) {
    Long id = itemIds.get(number);
    if (id == null) {
      throw new IllegalArgumentException("number is " + number + "; allowed are the demo's items");
    }
    return id;
  }

  List<Opening> openings() {
    return openings;
  }

  private void putUpBins() {
    int walk = 0;
    for (String rack : List.of("A", "B", "C", "D")) {
      for (int shelf = 1; shelf <= 15; shelf++) {
        String address = String.format("%s-%02d", rack, shelf);
        binIds.put(address, bins.add(address, ++walk * 10));
      }
    }
    for (int drum = 1; drum <= 4; drum++) {
      binIds.put("T-" + drum, bins.add("T-" + drum, ++walk * 10));
    }
  }

  private void stockFluids() {
    long faro = products.add("Maretta", "Faro", "engine_oil", "15W-40", "CI-4 · E7");
    fluid("Maretta", "FA 15-205", "Faro, drum", faro, "205", "T-1", "196", 310);
    fluid("Maretta", "FA 15-20", "Faro, can", faro, "20", "D-01", "40", 365);
    long brisa = products.add("Maretta", "Brisa", "engine_oil", "5W-30", "C3 · SP");
    fluid("Maretta", "BR 53-5", "Brisa, can", brisa, "5", "D-02", "25", 720);
    fluid("Maretta", "BR 53-1", "Brisa, bottle", brisa, "1", "D-02", "6", 890);
    long grua = products.add("Sundrel", "Grua", "engine_oil", "10W-40", "CI-4");
    fluid("Sundrel", "GR 1040-20", "Grua, can", grua, "20", "D-03", "52", 430);
    long duna = products.add("Maretta", "Duna", "engine_oil", "10W-40", "SN · MA2");
    fluid("Maretta", "DU 104-4", "Duna, can", duna, "4", "D-04", "16", 810);
    long nasa80 = products.add("Orvane", "Nasa EP", "gear_oil", "80W-90", "GL-5");
    fluid("Orvane", "NA 809-20", "Nasa EP, can", nasa80, "20", "D-05", "40", 520);
    long nasa75 = products.add("Orvane", "Nasa Sincro", "gear_oil", "75W-80", "GL-4");
    fluid("Orvane", "NA 758-20", "Nasa Sincro, can", nasa75, "20", "D-05", "20", 680);
    long cabo = products.add("Sundrel", "Cabo", "hydraulic_oil", "VG 46", "HM");
    fluid("Sundrel", "CB 46-205", "Cabo, drum", cabo, "205", "T-2", "160", 280);
    fluid("Sundrel", "CB 46-20", "Cabo, can", cabo, "20", "D-06", "20", 340);
    long ria = products.add("Orvane", "Ria", "coolant", "", "P-OAT");
    fluid("Orvane", "RI 40-5", "Ria, ready mixed, can", ria, "5", "D-07", "35", 410);
    fluid("Orvane", "RI 40-20", "Ria, ready mixed, can", ria, "20", "D-07", "20", 360);
    long verde = products.add("Sundrel", "Verde", "hydraulic_oil", "VG 46", "HEES");
    fluid("Sundrel", "VD 46-200", "Verde, drum, biodegradable", verde, "200", "T-3", "96", 610);
    long rola = products.add("Maretta", "Rola", "engine_oil", "10W-30", "SN");
    fluid("Maretta", "RL 1030-1", "Rola, bottle", rola, "1", "D-08", "9", 920);
    long trava = products.add("Orvane", "Trava", "brake_fluid", "", "DOT 4");
    fluid("Orvane", "TR 4-1", "Trava, bottle", trava, "1", "D-08", "6", 1_140);
    long vista = products.add("Sundrel", "Vista", "washer_fluid", "", "");
    fluid("Sundrel", "VI 1-5", "Vista, ready mixed, can", vista, "5", "D-09", "15", 190);
  }

  private void stockOilFilters() {
    filter("Pellam", "PL 4107-B", "Oil filter, spin-on M20×1.5", "oil", "0.62", "A-03", 6, 1180);
    filter("Pellam", "PL 4112-B", "Oil filter, spin-on M27×2", "oil", "0.85", "A-03", 3, 1490);
    filter("Ravelin", "RV 1180-2", "Oil filter, cartridge", "oil", "0.45", "A-04", 4, 990);
    filter("Nortrap", "NT 20 611", "Oil filter, spin-on 3/4-16", "oil", "0.50", "A-04", 4, 870);
    filter("Tamisco", "TM-3308", "Oil filter, spin-on M20×1.5", "oil", null, "A-05", 2, 1310);
    filter("Osmere", "OS 107", "Oil filter, spin-on M18×1.5", "oil", "0.30", "A-05", 1, 760);
    filter("Osmere", "05107", "Oil filter, cartridge, two O-rings", "oil", "0.40", "A-05", 2, 830);
    filter("Corvane", "CV 6-3310", "Oil filter, maker's box", "oil", "0.62", "A-06", 1, 2350);
    filter("Osmere", "OS 118", "Oil filter, spin-on, small", "oil", "0.20", "A-06", 3, 690);
    filter("Veldmark", "VM 22-1010", "Oil filter, spin-on M27×2", "oil", "0.90", "A-08", 4, 1890);
    filter("Nortrap", "NT 20 680", "Hydraulic return filter", "hydraulic", null, "A-08", 1, 4380);
    filter("Nortrap", "NT 20 640", "Hydraulic return filter", "hydraulic", null, "A-07", 1, 4120);
    filter("Ravelin", "RV 7702-1", "Hydraulic filter, spin-on", "hydraulic", null, "A-07", 2, 3380);
  }

  private void stockOtherFilters() {
    filter("Ravelin", "RV 2210-4", "Fuel filter, water separator", "fuel", null, "C-07", 0, 2240);
    filter("Pellam", "PL 88-F4", "Fuel filter, water separator", "fuel", null, "C-07", 3, 2090);
    filter("Tamisco", "TM-6021", "Fuel filter, in line 8 mm", "fuel", null, "C-08", 5, 1150);
    filter("Nortrap", "NT 41 009", "Fuel filter, spin-on", "fuel", null, "C-08", 3, 1520);
    filter("Osmere", "OS 212", "Fuel filter, in line 6 mm", "fuel", null, "C-09", 4, 420);
    filter("Veldmark", "VM 23-0044", "Fuel filter, separator", "fuel", null, "C-09", 3, 3120);
    filter("Brannoch", "BR 3320", "Air filter, round, gas", "air", null, "C-03", 2, 2640);
    filter("Tarrowby", "TW 5-011", "Air filter and foam sleeve", "air", null, "C-04", 4, 1120);
    filter("Pellam", "PL 6620-A", "Air filter, round", "air", null, "C-01", 3, 3860);
    filter("Pellam", "PL 6621-S", "Safety element for 6620-A", "air", null, "C-01", 2, 1740);
    filter("Ravelin", "RV 5104", "Air filter, panel", "air", null, "C-02", 2, 1290);
    filter("Nortrap", "NT 50 330", "Air filter, round, heavy dust", "air", null, "C-03", 1, 2980);
    filter("Osmere", "OS 330", "Air filter, foam", "air", null, "C-04", 3, 940);
    filter("Tamisco", "TM-7150", "Air filter, round, generator", "air", null, "C-05", 1, 5210);
    filter("Ravelin", "RV 8801-C", "Cabin filter, carbon", "cabin", null, "C-10", 4, 1610);
    filter("Quillon", "QN 77-310", "Cabin filter, plain", "cabin", null, "C-10", 2, 1180);
  }

  private void stockSeals() {
    part("any", "Cu 14×18×1.5", "Copper washer", "seal", "A-11", 22, 18);
    part("any", "Cu 18×22×1.5", "Copper washer", "seal", "A-11", 14, 24);
    part("any", "Cu 22×27×1.5", "Copper washer", "seal", "A-12", 9, 31);
    part("any", "Cu 16×20×1.5", "Copper washer", "seal", "A-11", 16, 21);
    part("any", "Cu 24×29×2", "Copper washer", "seal", "A-12", 6, 38);
    part("any", "Al 12×16×1.5", "Aluminium washer", "seal", "A-12", 14, 12);
    part("Osprel", "OP 7-0022", "Tank plug seal", "seal", "A-14", 1, 290);
    part("any", "Al 14×18×1.5", "Aluminium washer", "seal", "A-12", 12, 15);
    part("any", "Al 20×24×1.5", "Aluminium washer", "seal", "A-13", 1, 22);
    part("any", "Bond M18", "Bonded seal", "seal", "A-13", 6, 95);
    part("Brannoch", "BR-S 2412", "Hydraulic tank seal", "seal", "A-14", 2, 310);
    part("any", "OR 68×3 NBR", "O-ring, filter cover", "o_ring", "B-02", 5, 60);
    part("any", "OR 52×3 FKM", "O-ring, filter cover", "o_ring", "B-02", 3, 140);
    part("any", "OR 91.4×3.53", "O-ring, screen cover", "o_ring", "B-03", 4, 85);
    part("Lintrel", "LT 1-0095", "Screen cover O-ring", "o_ring", "B-03", 2, 190);
    part("Corvane", "CV 2-0014", "Drain plug M14×1.5, magnet", "drain_plug", "B-04", 2, 640);
    part("Quillon", "QN 11-204", "Drain plug M14×1.5", "drain_plug", "B-04", 1, 480);
    part("Veldmark", "VM 12-0150", "Drain plug M24×2", "drain_plug", "B-05", 2, 780);
    part("Osprel", "OP 7-0020", "Drain plug M22×1.5, magnet", "drain_plug", "B-05", 1, 1340);
    part("Lintrel", "LT 1-0031", "Drain plug M18×1.5", "drain_plug", "B-05", 2, 720);
  }

  private void stockTheRest() {
    part("Corvane", "CV 9-7120", "Fan belt 10×1250", "belt", "B-07", 2, 2150);
    part("Brannoch", "BR 4410", "Fan belt 10×925", "belt", "B-07", 1, 1830);
    part("Marlstone", "MS 300-18", "Fan belt set of two", "belt", "B-08", 1, 4460);
    part("Lintrel", "LT 4-0200", "Drive belt", "belt", "B-08", 1, 8900);
    part("Veldmark", "VM 40-0021", "Pump impeller", "consumable", "B-10", 2, 4120);
    part("Osmere", "OS Z09", "Spark plug, 14 mm, small", "spark_plug", "B-09", 6, 370);
    part("Osmere", "OS Z11", "Spark plug, 14 mm", "spark_plug", "B-09", 8, 390);
    part("Osmere", "OS Z14R", "Spark plug, 14 mm, resistor", "spark_plug", "B-09", 14, 450);
    part("any", "HC 12-16", "Hose clip 12 to 16 mm", "consumable", "D-15", 24, 45);
    part("any", "HC 16-25", "Hose clip 16 to 25 mm", "consumable", "D-15", 18, 55);
    part("any", "RAG 10", "Cotton rags, pack", "consumable", "D-14", 9, 620);
    part("any", "GLV L", "Nitrile gloves, box, large", "consumable", "D-14", 5, 980);
    part("any", "FNL 150", "Funnel, one fluid only", "consumable", "D-13", 4, 350);
  }

  private void fluid(
      String make,
      String number,
      String description,
      long productId,
      String pack,
      String bin,
      String litres,
      long centsPerLitre) {
    long id =
        items.add(
            make, number, description, "fluid", "L", productId, pack, null, binIds.get(bin), 0);
    itemIds.put(number, id);
    openings.add(new Opening(id, binIds.get(bin), lot(number), litres, centsPerLitre, 900));
  }

  private void filter(
      String make,
      String number,
      String description,
      String use,
      String volume,
      String bin,
      int pieces,
      long cents) {
    add(make, number, description, use + "_filter", volume, bin, pieces, cents, 0);
  }

  private void part(
      String make,
      String number,
      String description,
      String family,
      String bin,
      int pieces,
      long cents) {
    boolean ages = family.equals("o_ring");
    add(make, number, description, family, null, bin, pieces, cents, ages ? 1_500 : 0);
  }

  private void add(
      String make,
      String number,
      String description,
      String family,
      String volume,
      String bin,
      int pieces,
      long cents,
      int goodForDays) {
    long id =
        items.add(make, number, description, family, "pc", null, null, volume, binIds.get(bin), 0);
    itemIds.put(number, id);
    if (pieces > 0) {
      String amount = String.valueOf(pieces);
      openings.add(new Opening(id, binIds.get(bin), lot(number), amount, cents, goodForDays));
    }
  }

  private static String lot(String number) {
    return "Q7-" + Math.floorMod(number.hashCode(), 9000);
  }
}
