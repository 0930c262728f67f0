package dev.lonja.desk.item;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemBin;
import dev.lonja.core.part.BoxContent;
import dev.lonja.core.part.Part;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.supplier.Supply;
import dev.lonja.store.Session;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * Everything on file of an item by field, each value as it can be read back; what is listed has a
 * field for each row. It fills the form, and what differs between two of them is what an edit
 * changed.
 */
public final class ItemSheet {

  private ItemSheet() {}

  static Map<String, String> of(Session session, Item item) {
    Part part = session.parts().byId(item.partId()).orElseThrow();
    Map<String, String> fields = of(session, part);
    fields.put("description", item.description());
    fields.put("homeBin", item.homeBin().address());
    fields.put("product", item.product().map(Product::id).map(String::valueOf).orElse(""));
    fields.put("pack", item.pack().map(Quantity::exactText).orElse(""));
    fields.put("filterVolume", item.filterVolume().map(Volume::exactText).orElse(""));
    fields.put("shelfLife", item.keeping().shelfLifeDays().map(String::valueOf).orElse(""));
    fields.put("openLife", item.keeping().openLifeDays().map(String::valueOf).orElse(""));
    fields.put("runningOut", item.keeping().runningOut() ? "yes" : "");
    fields.put("criticality", item.keeping().criticality().name());
    fields.put("barcodes", String.join(" ", session.keeping().barcodes(item.id())));
    int row = 0;
    for (ItemBin bin : session.keeping().bins(item.id())) {
      fields.put("bin-" + row, bin.address());
      fields.put("least-" + row, bin.least().exactText());
      fields.put("most-" + row++, bin.most().exactText());
    }
    row = 0;
    for (Supply supply : session.supplies().of(item.id())) {
      fields.put("supplier-" + row, supply.supplier().name());
      fields.put("orderNumber-" + row, supply.orderNumber());
      fields.put("price-" + row, supply.price().exactText());
      fields.put("breaks-" + row, breaks(supply));
      fields.put("supplyPack-" + row, supply.pack().exactText());
      fields.put("supplyLeast-" + row++, supply.least().exactText());
    }
    return fields;
  }

  /** "24: 10.40; 48: 9.90", as it is read back. */
  private static String breaks(Supply supply) {
    return supply.prices().breaks().stream()
        .map(each -> each.from().exactText() + ": " + each.price().exactText())
        .collect(Collectors.joining("; "));
  }

  /** What is on file of a part that is not stocked yet. */
  static Map<String, String> of(Session session, Part part) {
    Map<String, String> fields = new LinkedHashMap<>();
    fields.put("make", part.make());
    fields.put("number", part.number());
    part.family().ifPresent(family -> fields.put("family", family.name()));
    part.properties().forEach((property, value) -> fields.put(property.name(), value));
    int row = 0;
    for (BoxContent content : session.boxes().of(part.id())) {
      fields.put("content-" + row, content.part().make() + " " + content.part().number());
      fields.put("contentQuantity-" + row++, String.valueOf(content.quantity()));
    }
    return fields;
  }

  /** What a copy shares with the item that it is like. */
  static Map<String, String> ofLike(Session session, Item item) {
    Map<String, String> fields = of(session, item);
    fields.remove("number");
    fields.remove("barcodes");
    fields.keySet().removeIf(name -> name.startsWith("orderNumber-"));
    return fields;
  }
}
