package dev.lonja.web.item;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemBin;
import dev.lonja.core.item.Supply;
import dev.lonja.core.part.BoxContent;
import dev.lonja.core.part.Part;
import dev.lonja.core.quantity.Volume;
import dev.lonja.store.Session;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The fields of the item form with what is on file in them. */
final class ItemFields {

  /** How many empty rows a list ends with. */
  private static final int SPARE_ROWS = 2;

  private ItemFields() {}

  /** Everything on file of an item, by field of the form. */
  static Map<String, String> of(Session session, Item item) {
    Part part = session.parts().byId(item.partId()).orElseThrow();
    Map<String, String> fields = of(part);
    fields.put("description", item.description());
    fields.put("homeBin", item.homeBin().address());
    fields.put("product", item.product().map(Product::id).map(String::valueOf).orElse(""));
    fields.put("pack", item.pack().map(Volume::exactText).orElse(""));
    fields.put("filterVolume", item.filterVolume().map(Volume::exactText).orElse(""));
    fields.put("shelfLife", item.keeping().shelfLifeDays().map(String::valueOf).orElse(""));
    fields.put("openLife", item.keeping().openLifeDays().map(String::valueOf).orElse(""));
    fields.put("runningOut", item.keeping().runningOut() ? "yes" : "");
    fields.put("barcodes", String.join(" ", session.keeping().barcodes(item.id())));
    int row = 0;
    for (ItemBin bin : session.keeping().bins(item.id())) {
      fields.put("bin-" + row, bin.address());
      fields.put("least-" + row, bin.least().exactText());
      fields.put("most-" + row++, bin.most().exactText());
    }
    row = 0;
    for (Supply supply : session.keeping().supplies(item.id(), session.settings().currency())) {
      fields.put("supplier-" + row, supply.supplier().name());
      fields.put("orderNumber-" + row, supply.orderNumber());
      fields.put("price-" + row, supply.price().exactText());
      fields.put("supplyPack-" + row, supply.pack().exactText());
      fields.put("supplyLeast-" + row++, supply.least().exactText());
    }
    return withBox(session, part, fields);
  }

  /** What is on file of a part that is not stocked yet. */
  static Map<String, String> of(Part part) {
    Map<String, String> fields = new LinkedHashMap<>();
    fields.put("make", part.make());
    fields.put("number", part.number());
    part.family().ifPresent(family -> fields.put("family", family.name()));
    part.properties().forEach((property, value) -> fields.put(property.name(), value));
    return fields;
  }

  static Map<String, String> withBox(Session session, Part part, Map<String, String> fields) {
    int row = 0;
    for (BoxContent content : session.boxes().of(part.id())) {
      fields.put("content-" + row, content.part().make() + " " + content.part().number());
      fields.put("contentQuantity-" + row++, String.valueOf(content.quantity()));
    }
    return fields;
  }

  /** Rows of a list, the spare ones included. */
  static List<Integer> rows(Map<String, String> fields, String name) {
    int used = 0;
    while (fields.containsKey(name + "-" + used)) {
      used++;
    }
    return java.util.stream.IntStream.range(0, used + SPARE_ROWS).boxed().toList();
  }
}
