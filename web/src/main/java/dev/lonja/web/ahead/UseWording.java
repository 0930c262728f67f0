package dev.lonja.web.ahead;

import dev.lonja.core.forecast.PlannedCost;
import dev.lonja.core.item.Item;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.forecast.UseDesk;
import dev.lonja.web.document.CsvAnswer;
import dev.lonja.web.frame.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;

/** Says who is expected to use what in the year ahead. */
final class UseWording {

  private static final int WHOLE = 100;
  private static final String WORKSHOP = "workshop";

  private final UseDesk.Year year;

  UseWording(UseDesk.Year year) {
    this.year = year;
  }

  UseView view() {
    Quantity drained =
        year.cost().drained().values().stream()
            .reduce(Quantity.zero(Measure.LITRES), Quantity::plus);
    long unpriced =
        year.cost().uses().stream()
            .filter(use -> use.cost().isEmpty())
            .map(PlannedCost.Use::item)
            .distinct()
            .count();
    return new UseView(
        year.cost().cost(year.currency()).display() + " in " + UseDesk.WEEKS + " weeks",
        drained.isZero() ? "" : drained.display() + " of used oil are expected to be drained.",
        unpriced == 0 ? "" : Words.count(unpriced, "item has", "items have") + " no price.",
        rows(this::className, name -> ""),
        rows(
            use -> use.unit().orElse(WORKSHOP),
            name -> name.equals(WORKSHOP) ? "" : "/fleet/" + name),
        fluids());
  }

  private String className(PlannedCost.Use use) {
    return use.unit()
        .flatMap(code -> Optional.ofNullable(year.units().get(code)))
        .map(unit -> unit.unitClass().name())
        .orElse(WORKSHOP);
  }

  /** What some use, the dearest first. */
  private List<UseView.Row> rows(
      Function<PlannedCost.Use, String> name, Function<String, String> link) {
    Map<String, Money> costs = new TreeMap<>();
    year.cost()
        .uses()
        .forEach(
            use ->
                costs.merge(
                    name.apply(use), use.cost().orElse(Money.zero(year.currency())), Money::plus));
    return ranked(costs, (key, cost) -> new UseView.Row(link.apply(key), key, "", "", 0));
  }

  private List<UseView.Row> fluids() {
    Map<String, Money> costs = new TreeMap<>();
    Map<String, Quantity> litres = new TreeMap<>();
    for (PlannedCost.Use use : year.cost().uses()) {
      Item item = year.items().get(use.item());
      item.product()
          .ifPresent(
              product -> {
                costs.merge(
                    product.display(), use.cost().orElse(Money.zero(year.currency())), Money::plus);
                litres.merge(product.display(), use.quantity(), Quantity::plus);
              });
    }
    return ranked(costs, (key, cost) -> new UseView.Row("", key, litres.get(key).display(), "", 0));
  }

  private interface Naming {
    UseView.Row row(String key, Money cost);
  }

  private static List<UseView.Row> ranked(Map<String, Money> costs, Naming naming) {
    long most = costs.values().stream().mapToLong(Money::minor).max().orElse(1);
    List<Map.Entry<String, Money>> entries = new ArrayList<>(costs.entrySet());
    entries.sort(
        Comparator.comparing((Map.Entry<String, Money> e) -> -e.getValue().minor())
            .thenComparing(Map.Entry::getKey));
    return entries.stream()
        .map(
            entry -> {
              UseView.Row row = naming.row(entry.getKey(), entry.getValue());
              return new UseView.Row(
                  row.link(),
                  row.name(),
                  row.what(),
                  entry.getValue().display(),
                  (int) (entry.getValue().minor() * WHOLE / Math.max(1, most)));
            })
        .toList();
  }

  /** What each unit uses of each item. */
  CsvAnswer csv() {
    CsvAnswer csv =
        new CsvAnswer("class", "unit", "make", "number", "quantity", "unit_of", "cost", "currency");
    for (PlannedCost.Use use : year.cost().uses()) {
      Item item = year.items().get(use.item());
      csv.row(
          className(use),
          use.unit().orElse(WORKSHOP),
          item.make(),
          item.number(),
          use.quantity().exactText(),
          item.measure().symbol(),
          use.cost().map(Money::exactText).orElse(""),
          year.currency().getCurrencyCode());
    }
    return csv;
  }
}
