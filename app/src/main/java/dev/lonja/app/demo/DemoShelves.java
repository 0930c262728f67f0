package dev.lonja.app.demo;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** The tables of what is stocked while the demo fills them, and how much came in to begin with. */
final class DemoShelves {

  /**
   * What lies on the shelf at the start of the history.
   *
   * @param pack litres in a pack; empty for pieces
   * @param unitCost in cents per piece or litre
   */
  record Opening(
      long itemId,
      long binId,
      String lot,
      String amount,
      String pack,
      long unitCost,
      int goodForDays) {}

  private record Boxed(long partId, String number, int pieces) {}

  /** A stocked item, for what else is noted of it. */
  final class Stocked {
    private final long itemId;
    private final long partId;

    private Stocked(long itemId, long partId) {
      this.itemId = itemId;
      this.partId = partId;
    }

    /** What comes in its box. */
    Stocked bringing(String number, int pieces) {
      // what comes in a box may be named further on
      boxed.add(new Boxed(partId, number, pieces));
      return this;
    }

    /** Somebody who sells it, at a price in cents, in packs of so many. */
    Stocked from(String supplier, long cents, int pack) {
      supplies.add(itemId, supplierIds.get(supplier), "", cents, pack, pack);
      return this;
    }

    Stocked between(String bin, int least, int most) {
      itemBins.add(itemId, binIds.get(bin), least, most);
      return this;
    }

    Stocked scannedAs(String code) {
      barcodes.add(itemId, code);
      return this;
    }
  }

  private static final String NO_DAY = null;

  private final Sheet bins = new Sheet("id,address,walk_order");
  private final Sheet products =
      new Sheet(
          "id,make,name,kind,grade,classes,ash_pct,zinc_mg_kg,friction_modifier,biodegradable,"
              + "density_15c_kg_m3,chemistry,base,hydraulic_type,hazards,version");
  private final Sheet approvals = new Sheet("id,product_id,code,listed");
  private final Sheet parts = new Sheet("id,make,number,family");
  private final Sheet partProperties = new Sheet("id,part_id,property,value");
  private final Sheet boxContents = new Sheet("id,part_id,content_part_id,quantity");
  private final Sheet items =
      new Sheet(
          "id,part_id,description,unit,product_id,pack_l,filter_volume_l,home_bin_id,"
              + "shelf_life_days,open_life_days,running_out,retired_on,version");
  private final Sheet barcodes = new Sheet("id,item_id,code");
  private final Sheet itemBins = new Sheet("id,item_id,bin_id,least_pc_or_l,most_pc_or_l");
  private final Sheet suppliers = new Sheet("id,name,lead_days,version");
  private final Sheet supplies =
      new Sheet("id,item_id,supplier_id,order_number,price_minor,pack_pc_or_l,least_pc_or_l");
  private final Map<String, Long> binIds = new HashMap<>();
  private final Map<String, Long> itemIds = new HashMap<>();
  private final Map<String, Long> partIds = new HashMap<>();
  private final Map<String, Long> supplierIds = new HashMap<>();
  private final List<Boxed> boxed = new ArrayList<>();
  private final List<Opening> openings = new ArrayList<>();

  static DemoShelves fill() {
    DemoShelves shelves = new DemoShelves();
    shelves.putUpBins();
    shelves.nameSuppliers();
    DemoFluids.stock(shelves);
    DemoFilters.stock(shelves);
    DemoSmallParts.stock(shelves);
    shelves.boxed.forEach(
        box -> shelves.boxContents.add(box.partId(), shelves.part(box.number()), box.pieces()));
    return shelves;
  }

  Map<String, String> texts() {
    return Map.ofEntries(
        Map.entry("bins.csv", bins.text()),
        Map.entry("products.csv", products.text()),
        Map.entry("product_approvals.csv", approvals.text()),
        Map.entry("parts.csv", parts.text()),
        Map.entry("part_properties.csv", partProperties.text()),
        Map.entry("box_contents.csv", boxContents.text()),
        Map.entry("items.csv", items.text()),
        Map.entry("barcodes.csv", barcodes.text()),
        Map.entry("item_bins.csv", itemBins.text()),
        Map.entry("suppliers.csv", suppliers.text()),
        Map.entry("supplies.csv", supplies.text()));
  }

  long item(String number) {
    return known(itemIds, number);
  }

  /** The part of this number; numbers that two makes share are known with the make before them. */
  long part(String number) {
    return known(partIds, number);
  }

  private static long known(Map<String, Long> ids, String number) {
    Long id = ids.get(number);
    if (id == null) {
      throw new IllegalArgumentException("number is " + number + "; allowed are the demo's own");
    }
    return id;
  }

  List<Opening> openings() {
    return openings;
  }

  private void putUpBins() {
    int walk = 0;
    for (String rack : List.of("A", "B", "C", "D", "E")) {
      for (int shelf = 1; shelf <= 17; shelf++) {
        String address = String.format("%s-%02d", rack, shelf);
        binIds.put(address, bins.add(address, ++walk * 10));
      }
    }
    for (int drum = 1; drum <= 5; drum++) {
      binIds.put("T-" + drum, bins.add("T-" + drum, ++walk * 10));
    }
  }

  private void nameSuppliers() {
    supplierIds.put("Cabo Norte", suppliers.add("Cabo Norte Supply", 9, 0));
    supplierIds.put("Isla", suppliers.add("Isla Lubricants", 12, 0));
    supplierIds.put("Darsena", suppliers.add("Darsena Recambios", 3, 0));
    supplierIds.put("Veldmark", suppliers.add("Veldmark Marine Parts", 25, 0));
    supplierIds.put("Osmere", suppliers.add("Osmere Direct", 14, 0));
  }

  /**
   * A fluid.
   *
   * @param data from its sheet, such as "ash=0.8; hazards=hot-oil, used-oil"
   * @param codes approvals; one behind a ~ is only said to be suitable
   */
  long product(
      String make,
      String name,
      String kind,
      String grade,
      String classes,
      String data,
      String codes) {
    Map<String, String> sheet = new HashMap<>();
    for (String pair : data.split("; ")) {
      sheet.put(pair.split("=")[0], pair.split("=")[1]);
    }
    long id =
        products.add(
            make,
            name,
            kind,
            grade,
            classes,
            sheet.get("ash"),
            sheet.get("zinc"),
            yesNo(sheet.get("modifier")),
            yesNo(sheet.get("biodegradable")),
            sheet.get("density"),
            sheet.get("chemistry"),
            sheet.get("base"),
            sheet.get("type"),
            sheet.get("hazards"),
            0);
    for (String code : codes.split("; ")) {
      if (!code.isEmpty()) {
        approvals.add(id, code.replace("~", ""), !code.startsWith("~"));
      }
    }
    return id;
  }

  private static @Nullable Boolean yesNo(@Nullable String word) {
    return word == null ? null : Boolean.valueOf(word.equals("yes"));
  }

  /** A part that is not stocked; its family may be unknown. */
  long known(String make, String number, @Nullable String family, String properties) {
    long id = parts.add(make, number, family);
    partIds.put(partIds.containsKey(number) ? make + " " + number : number, id);
    for (String property : properties.split("; *")) {
      if (!property.isEmpty()) {
        String[] pair = property.split("=");
        partProperties.add(id, pair[0], pair[1]);
      }
    }
    return id;
  }

  void fluid(
      String make,
      String number,
      String description,
      long productId,
      String pack,
      String bin,
      String litres,
      long centsPerLitre) {
    long part = known(make, number, "fluid", "");
    long id =
        items.add(
            part,
            description,
            "L",
            productId,
            pack,
            null,
            binIds.get(bin),
            1_800,
            365,
            false,
            NO_DAY,
            0);
    itemIds.put(number, id);
    supplies.add(id, supplierIds.get("Isla"), "", centsPerLitre, pack, pack);
    if (!litres.equals("0")) {
      openings.add(new Opening(id, binIds.get(bin), lot(number), litres, pack, centsPerLitre, 900));
    }
  }

  /** A filter with the oil it takes up. */
  Stocked filter(
      String make,
      String number,
      String description,
      String family,
      String properties,
      @Nullable String volume,
      String bin,
      int pieces,
      long cents) {
    long part = known(make, number, family, properties);
    return keep(part, number, description, volume, bin, pieces, cents, null, false);
  }

  Stocked part(
      String make,
      String number,
      String description,
      String family,
      String properties,
      String bin,
      int pieces,
      long cents) {
    Integer life = family.equals("o_ring") ? Integer.valueOf(1_500) : null;
    long part = known(make, number, family, properties);
    return keep(part, number, description, null, bin, pieces, cents, life, false);
  }

  /** What is left of a number that something else has replaced. */
  Stocked runningOut(
      String make,
      String number,
      String description,
      String family,
      String properties,
      String bin,
      int pieces,
      long cents) {
    long part = known(make, number, family, properties);
    return keep(part, number, description, null, bin, pieces, cents, null, true);
  }

  private Stocked keep(
      long part,
      String number,
      String description,
      @Nullable String volume,
      String bin,
      int pieces,
      long cents,
      @Nullable Integer life,
      boolean runningOut) {
    long home = binIds.get(bin);
    long id =
        items.add(
            part, description, "pc", null, null, volume, home, life, null, runningOut, NO_DAY, 0);
    itemIds.putIfAbsent(number, id);
    if (pieces > 0) {
      int goodFor = life == null ? 0 : life;
      openings.add(new Opening(id, home, lot(number), String.valueOf(pieces), "", cents, goodFor));
    }
    return new Stocked(id, part);
  }

  private static String lot(String number) {
    return "Q7-" + Math.floorMod(number.hashCode(), 9000);
  }
}
