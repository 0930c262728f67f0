package dev.lonja.web.item;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemBin;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.item.Supplier;
import dev.lonja.core.item.Supply;
import dev.lonja.core.part.BoxContent;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.Properties;
import dev.lonja.core.part.Property;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.quantity.Volume;
import dev.lonja.store.Session;
import dev.lonja.store.item.ItemRepository;
import dev.lonja.web.crossref.PartPick;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reads the item form. Everything wrong with it is in {@code typed}. */
final class ItemEntry {

  private static final int LONGEST_MAKE = 60;
  private static final int LONGEST_DESCRIPTION = 120;
  private static final int LONGEST_BARCODE = 80;
  private static final int MOST_ROWS = 40;
  private static final BigDecimal MOST_DAYS = BigDecimal.valueOf(10_000);
  private static final BigDecimal MOST_LITRES = BigDecimal.valueOf(100_000);
  private static final BigDecimal MOST_PIECES = BigDecimal.valueOf(1_000_000);
  private static final BigDecimal MOST_PRICE = BigDecimal.valueOf(1_000_000);
  private static final BigDecimal MOST_CONTENTS = BigDecimal.valueOf(200);

  private final Session session;
  private final Map<String, String> fields;
  private final Typed typed;

  ItemEntry(Session session, Map<String, String> fields, Typed typed) {
    this.session = session;
    this.fields = fields;
    this.typed = typed;
  }

  /** What the form says, once nothing is wrong with it. */
  record Read(
      String make,
      String number,
      Family family,
      Properties properties,
      ItemRepository.Facts facts,
      List<String> barcodes,
      List<ItemBin> bins,
      List<Supply> supplies,
      List<BoxContent> box) {}

  /**
   * @param itemId the item that is edited; empty for a new one
   */
  Optional<Read> read(Optional<Item> edited) {
    Optional<String> make = typed.text("make", "The make", text("make"), LONGEST_MAKE);
    Optional<String> number = PartPick.number(typed, "number", text("number"));
    Optional<Family> family = family();
    Optional<String> description =
        typed.text("description", "The description", text("description"), LONGEST_DESCRIPTION);
    Optional<Item.Bin> home = bin("homeBin", text("homeBin"));
    boolean fluid = family.filter(f -> f == Family.FLUID).isPresent();
    Measure measure = fluid ? Measure.LITRES : Measure.PIECES;
    edited
        .filter(item -> item.measure() != measure)
        .ifPresent(item -> typed.refuse("family", measureChange(item)));
    Properties properties = family.map(this::properties).orElse(Properties.NONE);
    Optional<ProductId> product = fluid ? product() : Optional.empty();
    Optional<Volume> pack = fluid ? litres("pack", "The pack", true) : Optional.empty();
    Optional<Volume> filterVolume = litres("filterVolume", "The oil in the filter", false);
    Item.Keeping keeping =
        new Item.Keeping(
            days("shelfLife", "The shelf life"),
            days("openLife", "The life once opened"),
            !text("runningOut").isEmpty(),
            edited.flatMap(item -> item.keeping().retiredOn()));
    List<String> barcodes = barcodes(edited);
    List<ItemBin> bins = bins(measure);
    List<Supply> supplies = supplies(measure);
    List<BoxContent> box = box();
    if (!typed.problems().isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        new Read(
            make.orElseThrow(),
            number.orElseThrow(),
            family.orElseThrow(),
            properties,
            new ItemRepository.Facts(
                description.orElseThrow(),
                product,
                pack,
                filterVolume,
                home.orElseThrow().id(),
                keeping),
            barcodes,
            bins,
            supplies,
            box));
  }

  private static String measureChange(Item item) {
    return item.measure() == Measure.LITRES
        ? "A fluid stays a fluid: it is counted in litres. Make a new item instead."
        : "What is counted in pieces cannot become a fluid. Make a new item instead.";
  }

  private String text(String field) {
    return fields.getOrDefault(field, "").strip();
  }

  private Optional<Family> family() {
    Optional<Family> family =
        Arrays.stream(Family.values()).filter(f -> f.name().equals(text("family"))).findFirst();
    if (family.isEmpty()) {
      typed.refuse("family", "Choose what kind of thing it is.");
    }
    return family;
  }

  private Optional<Item.Bin> bin(String field, String address) {
    Optional<Item.Bin> bin = session.items().binByAddress(address);
    if (bin.isEmpty()) {
      typed.refuse(field, "There is no bin \"" + address + "\". Write one such as A-03.");
    }
    return bin;
  }

  private Properties properties(Family family) {
    Properties properties = Properties.NONE;
    for (Property<?> property : family.properties()) {
      properties = with(properties, property);
    }
    return properties;
  }

  private <T> Properties with(Properties properties, Property<T> property) {
    String text = text(property.name());
    if (text.isEmpty()) {
      return properties;
    }
    Optional<T> value = property.parse(text);
    if (value.isEmpty()) {
      typed.refuse(
          property.name(),
          property.words()
              + " is \""
              + text
              + "\"; allowed is "
              + property.allowed()
              + ", or nothing.");
    }
    return value.map(v -> properties.with(property, v)).orElse(properties);
  }

  private Optional<ProductId> product() {
    Optional<ProductId> product =
        session.products().all().stream()
            .map(Product::id)
            .filter(id -> String.valueOf(id).equals(text("product")))
            .findFirst();
    if (product.isEmpty()) {
      typed.refuse("product", "Choose the fluid that is in it.");
    }
    return product;
  }

  private Optional<Volume> litres(String field, String what, boolean needed) {
    return text(field).isEmpty() && !needed
        ? Optional.empty()
        : typed.decimalUpTo(field, what, text(field), MOST_LITRES).map(Volume::ofLitres);
  }

  private Optional<Integer> days(String field, String what) {
    return text(field).isEmpty()
        ? Optional.empty()
        : whole(field, what + " in days", text(field), MOST_DAYS).map(BigDecimal::intValueExact);
  }

  private Optional<BigDecimal> whole(String field, String what, String text, BigDecimal most) {
    Optional<BigDecimal> value = typed.decimalUpTo(field, what, text, most);
    if (value.filter(v -> v.stripTrailingZeros().scale() > 0).isPresent()) {
      typed.refuse(field, what + " is " + text + "; write a whole number.");
      return Optional.empty();
    }
    return value;
  }

  private List<String> barcodes(Optional<Item> edited) {
    List<String> codes =
        List.copyOf(
            new LinkedHashSet<>(
                Arrays.stream(text("barcodes").split("\\s+")).filter(c -> !c.isEmpty()).toList()));
    for (String code : codes) {
      Optional<ItemId> holder = session.keeping().itemWithBarcode(code);
      boolean others = holder.isPresent() && !holder.equals(edited.map(Item::id));
      if (others) {
        String number = session.items().byId(holder.get()).map(Item::number).orElseThrow();
        typed.refuse("barcodes", "The barcode " + code + " is that of " + number + " already.");
      } else if (code.length() > LONGEST_BARCODE) {
        typed.refuse(
            "barcodes",
            "A barcode has " + code.length() + " characters; allowed are " + LONGEST_BARCODE + ".");
      }
    }
    return codes;
  }

  private List<ItemBin> bins(Measure measure) {
    List<ItemBin> bins = new ArrayList<>();
    for (int row = 0; row < MOST_ROWS; row++) {
      String address = text("bin-" + row);
      if (!address.isEmpty()) {
        Optional<Item.Bin> bin = bin("bin-" + row, address);
        Optional<Quantity> least = amount("least-" + row, "The least in " + address, measure, true);
        Optional<Quantity> most = amount("most-" + row, "The most in " + address, measure, false);
        if (bin.isPresent() && least.isPresent() && most.isPresent()) {
          add(bins, new ItemBin(bin.get().id(), bin.get().address(), least.get(), most.get()), row);
        }
      }
    }
    return bins;
  }

  private void add(List<ItemBin> bins, ItemBin bin, int row) {
    if (bin.least().compareTo(bin.most()) > 0) {
      typed.refuse(
          "least-" + row,
          "Bin "
              + bin.address()
              + " should hold at least "
              + bin.least().display()
              + ", which is more than its most, "
              + bin.most().display()
              + ".");
    } else if (bins.stream().anyMatch(other -> other.binId().equals(bin.binId()))) {
      typed.refuse("bin-" + row, "Bin " + bin.address() + " is listed twice.");
    } else {
      bins.add(bin);
    }
  }

  private Optional<Quantity> amount(String field, String what, Measure measure, boolean mayBeNone) {
    if (mayBeNone && (text(field).isEmpty() || text(field).equals("0"))) {
      return Optional.of(Quantity.zero(measure));
    }
    Optional<BigDecimal> amount =
        measure == Measure.PIECES
            ? whole(field, what, text(field), MOST_PIECES)
            : typed.decimalUpTo(field, what, text(field), MOST_PIECES);
    return amount.map(value -> Quantity.of(measure, value));
  }

  private List<Supply> supplies(Measure measure) {
    List<Supply> supplies = new ArrayList<>();
    List<Supplier> known = session.keeping().suppliers();
    for (int row = 0; row < MOST_ROWS; row++) {
      String name = text("supplier-" + row);
      if (name.isEmpty()) {
        continue;
      }
      String field = "supplier-" + row;
      Optional<Supplier> supplier =
          known.stream().filter(s -> s.name().equalsIgnoreCase(name)).findFirst();
      if (supplier.isEmpty()) {
        typed.refuse(field, "There is no supplier \"" + name + "\". Add it in Setup first.");
      }
      boolean twice = supplies.stream().anyMatch(s -> s.supplier().name().equalsIgnoreCase(name));
      if (twice) {
        typed.refuse(field, name + " is listed twice.");
      }
      Optional<BigDecimal> price =
          typed.decimalUpTo(
              "price-" + row, "The price of " + name, text("price-" + row), MOST_PRICE);
      Optional<Quantity> pack = amount("supplyPack-" + row, "The pack of " + name, measure, false);
      Optional<Quantity> least =
          amount("supplyLeast-" + row, "The least order from " + name, measure, false);
      if (supplier.isPresent() && price.isPresent() && pack.isPresent() && least.isPresent()) {
        supplies.add(
            new Supply(
                supplier.get(),
                text("orderNumber-" + row),
                unitPrice(price.get()),
                pack.get(),
                least.get()));
      }
    }
    return supplies;
  }

  private UnitPrice unitPrice(BigDecimal price) {
    int digits = session.settings().currency().getDefaultFractionDigits();
    long tenThousandths =
        price.movePointRight(digits + 4).setScale(0, RoundingMode.HALF_UP).longValueExact();
    return new UnitPrice(tenThousandths, session.settings().currency());
  }

  private List<BoxContent> box() {
    List<BoxContent> box = new ArrayList<>();
    for (int row = 0; row < MOST_ROWS; row++) {
      String number = text("content-" + row);
      if (number.isEmpty()) {
        continue;
      }
      Optional<Part> part = PartPick.known(session, typed, "content-" + row, number);
      Optional<BigDecimal> quantity =
          text("contentQuantity-" + row).isEmpty()
              ? Optional.of(BigDecimal.ONE)
              : whole(
                  "contentQuantity-" + row,
                  "How many " + number,
                  text("contentQuantity-" + row),
                  MOST_CONTENTS);
      boolean twice =
          part.isPresent() && box.stream().anyMatch(c -> c.part().id().equals(part.get().id()));
      if (twice) {
        typed.refuse("content-" + row, number + " is in the box twice; write how many once.");
      } else if (part.isPresent() && quantity.isPresent()) {
        box.add(new BoxContent(part.get(), quantity.get().intValueExact()));
      }
    }
    return box;
  }
}
