package dev.lonja.web.item;

import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.item.Criticality;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.Properties;
import dev.lonja.core.part.Property;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.item.ItemDraft;
import dev.lonja.web.crossref.PartNumbers;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/** Reads the item form into a draft. Everything wrong with it is in {@code typed}. */
final class ItemForm {

  private static final int LONGEST_MAKE = Lengths.NAME;
  private static final int LONGEST_DESCRIPTION = Lengths.DESCRIPTION;
  private static final int LONGEST_BARCODE = Lengths.BARCODE;
  private static final int MOST_ROWS = 40;

  /** How many empty rows a list ends with; the page shows one after the other. */
  private static final int SPARE_ROWS = 6;

  private final Map<String, String> fields;
  private final Currency currency;
  private final Typed typed;

  ItemForm(Map<String, String> fields, Currency currency, Typed typed) {
    this.fields = fields;
    this.currency = currency;
    this.typed = typed;
  }

  /** Empty, with the problems noted, if it cannot be read. */
  Optional<ItemDraft> read() {
    Optional<String> make = typed.text("make", "The make", text("make"), LONGEST_MAKE);
    Optional<String> number = PartNumbers.number(typed, "number", text("number"));
    Optional<Family> family = family();
    Optional<String> description =
        typed.text("description", "The description", text("description"), LONGEST_DESCRIPTION);
    Optional<String> home = typed.text("homeBin", "The home bin", text("homeBin"), LONGEST_MAKE);
    Properties properties = family.map(this::properties).orElse(Properties.NONE);
    Measure measure = family.map(Family::measure).orElse(Measure.PIECES);
    Optional<ProductId> product = measure == Measure.LITRES ? product() : Optional.empty();
    Optional<Quantity> pack = pack(measure);
    Optional<Volume> filterVolume =
        text("filterVolume").isEmpty()
            ? Optional.empty()
            : litres("filterVolume", "The oil in the filter");
    ItemDraft.Keeping keeping =
        new ItemDraft.Keeping(
            days("shelfLife", "The shelf life"),
            days("openLife", "The life once opened"),
            !text("runningOut").isEmpty(),
            typed
                .choiceOrNone("criticality", text("criticality"), Criticality.values())
                .orElse(Criticality.NORMAL));
    ItemDraft.Rows rows =
        new ItemDraft.Rows(barcodes(), bins(measure), offers(measure), contents());
    ItemDraft.News news = new ItemDraft.News(text("newBins").equals("yes"), leadDays());
    return typed.all(
        () ->
            new ItemDraft(
                new ItemDraft.Identity(
                    make.orElseThrow(),
                    number.orElseThrow(),
                    family.orElseThrow(),
                    properties,
                    text("apart").equals("yes")),
                description.orElseThrow(),
                home.orElseThrow(),
                product,
                pack,
                filterVolume,
                keeping,
                rows,
                news));
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
    if (text("product").isEmpty()) {
      typed.refuse("product", "Choose the fluid that is in it.");
      return Optional.empty();
    }
    return typed.chosen("product", "the fluid", text("product"), ProductId::valueOf);
  }

  /** What a container holds, of what is not counted in pieces. */
  private Optional<Quantity> pack(Measure measure) {
    return switch (measure) {
      case PIECES -> Optional.empty();
      case LITRES -> litres("pack", "The pack").map(Quantity::of);
      case KILOGRAMS -> typed.kilograms("pack", "The pack", text("pack"), Limits.LITRES);
    };
  }

  private Optional<Volume> litres(String field, String what) {
    return typed.litres(field, what, text(field), Limits.LITRES);
  }

  private Optional<Integer> days(String field, String what) {
    return text(field).isEmpty()
        ? Optional.empty()
        : typed.days(field, what, text(field), Limits.SHELF_DAYS);
  }

  /** Of a supplier who is not known yet. */
  private Optional<Integer> leadDays() {
    return text("leadDays").isEmpty()
        ? Optional.empty()
        : typed.wholeBetween(
            "leadDays", "The lead time in days", text("leadDays"), 0, Limits.SUPPLY_DAYS);
  }

  private List<String> barcodes() {
    List<String> codes =
        Arrays.stream(text("barcodes").split("\\s+")).filter(c -> !c.isEmpty()).toList();
    codes.stream()
        .filter(code -> code.length() > LONGEST_BARCODE)
        .forEach(
            code ->
                typed.refuse(
                    "barcodes",
                    "A barcode has "
                        + code.length()
                        + " characters; allowed are "
                        + LONGEST_BARCODE
                        + "."));
    return codes;
  }

  private List<ItemDraft.Bin> bins(Measure measure) {
    List<ItemDraft.Bin> bins = new ArrayList<>();
    for (int row = 0; row < MOST_ROWS; row++) {
      String address = text("bin-" + row);
      if (!address.isEmpty()) {
        int line = row;
        Optional<Quantity> least = least(row, address, measure);
        Optional<Quantity> most = amount("most-" + row, "The most in " + address, measure);
        least.ifPresent(l -> most.ifPresent(m -> bins.add(new ItemDraft.Bin(line, address, l, m))));
      } else {
        refuseAlone(row, "its bin", "least-", "most-");
      }
    }
    return bins;
  }

  private Optional<Quantity> least(int row, String address, Measure measure) {
    String text = text("least-" + row);
    return text.isEmpty() || text.equals("0")
        ? Optional.of(Quantity.zero(measure))
        : amount("least-" + row, "The least in " + address, measure);
  }

  private Optional<Quantity> amount(String field, String what, Measure measure) {
    return amount(field, what, text(field), measure);
  }

  private Optional<Quantity> amount(String field, String what, String text, Measure measure) {
    return switch (measure) {
      case PIECES ->
          typed.wholeBetween(field, what, text, 1, Limits.QUANTITY).map(Quantity::pieces);
      case LITRES -> typed.litres(field, what, text, Limits.QUANTITY).map(Quantity::of);
      case KILOGRAMS -> typed.kilograms(field, what, text, Limits.QUANTITY);
    };
  }

  private List<ItemDraft.Offer> offers(Measure measure) {
    List<ItemDraft.Offer> offers = new ArrayList<>();
    for (int row = 0; row < MOST_ROWS; row++) {
      String name = text("supplier-" + row);
      if (name.isEmpty()) {
        refuseAlone(
            row,
            "who sells it",
            "orderNumber-",
            "price-",
            "breaks-",
            "supplyPack-",
            "supplyLeast-");
        continue;
      }
      Optional<BigDecimal> price =
          typed.money(
              "price-" + row,
              "The price of " + name,
              text("price-" + row),
              Limits.PRICE_MINOR,
              currency);
      String number = text("orderNumber-" + row);
      if (number.length() > Lengths.NAME) {
        typed.refuse(
            "orderNumber-" + row,
            "The number at "
                + name
                + " has "
                + number.length()
                + " characters; allowed are "
                + Lengths.NAME
                + ".");
      }
      Optional<Quantity> pack = amount("supplyPack-" + row, "The pack of " + name, measure);
      Optional<Quantity> least =
          amount("supplyLeast-" + row, "The least order from " + name, measure);
      List<ItemDraft.Break> breaks = breaks("breaks-" + row, measure);
      if (price.isPresent() && pack.isPresent() && least.isPresent()) {
        offers.add(
            new ItemDraft.Offer(row, name, number, price.get(), breaks, pack.get(), least.get()));
      }
    }
    return offers;
  }

  /** "24: 10.40; 48: 9.90": from how much on one costs what. */
  private List<ItemDraft.Break> breaks(String field, Measure measure) {
    List<ItemDraft.Break> breaks = new ArrayList<>();
    for (String text : text(field).split(";")) {
      if (text.isBlank()) {
        continue;
      }
      String[] both = text.split(":");
      if (both.length != 2) {
        typed.refuse(
            field,
            "\""
                + text.strip()
                + "\" is not a quantity and its price; allowed is 24: 10.40; 48: 9.90.");
        continue;
      }
      Optional<Quantity> from = amount(field, "A price break", both[0].strip(), measure);
      Optional<BigDecimal> price =
          typed.money(field, "The price of a break", both[1].strip(), Limits.PRICE_MINOR, currency);
      if (from.isPresent() && price.isPresent()) {
        if (breaks.stream().anyMatch(other -> other.from().equals(from.get()))) {
          typed.refuse(field, "A break from " + from.get().display() + " is listed twice.");
        }
        breaks.add(new ItemDraft.Break(from.get(), price.get()));
      }
    }
    return breaks;
  }

  private List<ItemDraft.Content> contents() {
    List<ItemDraft.Content> contents = new ArrayList<>();
    for (int row = 0; row < MOST_ROWS; row++) {
      String part = text("content-" + row);
      if (!part.isEmpty()) {
        int line = row;
        String field = "contentQuantity-" + row;
        Optional<Integer> quantity =
            text(field).isEmpty()
                ? Optional.of(1)
                : typed.wholeBetween(field, "How many " + part, text(field), 1, Limits.PIECES);
        quantity.ifPresent(q -> contents.add(new ItemDraft.Content(line, part, q)));
      } else {
        refuseAlone(row, "what it counts", "contentQuantity-");
      }
    }
    return contents;
  }

  /** Nothing that was typed is dropped unsaid: a row lacks what the rest of it is about. */
  private void refuseAlone(int row, String what, String... fields) {
    for (String field : fields) {
      if (!text(field + row).isEmpty()) {
        typed.refuse(
            field + row, "\"" + text(field + row) + "\" stands in this row without " + what + ".");
        return;
      }
    }
  }

  /** Rows of a list of the form, the spare ones included. */
  static List<Integer> rows(Map<String, String> fields, String name) {
    int used = 0;
    while (fields.containsKey(name + "-" + used)) {
      used++;
    }
    return IntStream.range(0, used + SPARE_ROWS).boxed().toList();
  }
}
