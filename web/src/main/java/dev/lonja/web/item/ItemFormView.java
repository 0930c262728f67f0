package dev.lonja.web.item;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.Family;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.supplier.Supplier;
import dev.lonja.desk.item.ItemEditDesk;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The form of an item, on file or new.
 *
 * @param fields what stands in the fields
 * @param properties of its kind
 */
public record ItemFormView(
    OnFile onFile,
    Map<String, String> fields,
    List<Choice> families,
    List<PropertyField> properties,
    String unit,
    boolean filter,
    List<Choice> products,
    List<String> suppliers,
    Rows rows) {

  /**
   * The item as it is on file.
   *
   * @param itemId empty for a new one
   * @param retired "since 2027-03-15"; empty while it is kept
   */
  public record OnFile(
      Optional<ItemId> itemId, String title, long version, String retired, boolean mayDelete) {}

  public record Choice(String value, String words) {}

  /** A property; with choices it is chosen, without it is written. */
  public record PropertyField(String name, String words, String allowed, List<String> choices) {}

  /** Rows of what there may be several of, the spare ones included. */
  public record Rows(List<Integer> bins, List<Integer> supplies, List<Integer> contents) {}

  /**
   * @param onFile empty for a new item
   */
  static ItemFormView of(
      Optional<ItemEditDesk.OnFile> onFile,
      Map<String, String> fields,
      ItemEditDesk.Choices choices) {
    Optional<Family> family =
        Arrays.stream(Family.values())
            .filter(f -> f.name().equals(fields.get("family")))
            .findFirst();
    return new ItemFormView(
        onFile(onFile),
        fields,
        Arrays.stream(Family.values()).map(f -> new Choice(f.name(), f.words())).toList(),
        family.map(Family::properties).orElse(List.of()).stream()
            .map(p -> new PropertyField(p.name(), p.words(), p.allowed(), p.choices()))
            .toList(),
        family
            .map(Family::measure)
            .filter(measure -> measure != Measure.PIECES)
            .map(Measure::symbol)
            .orElse(""),
        family.filter(Family::isFilter).isPresent(),
        choices.products().stream()
            .map(p -> new Choice(String.valueOf(p.id()), p.make() + " " + p.name()))
            .toList(),
        choices.suppliers().stream().map(Supplier::name).toList(),
        new Rows(
            ItemForm.rows(fields, "bin"),
            ItemForm.rows(fields, "supplier"),
            ItemForm.rows(fields, "content")));
  }

  private static OnFile onFile(Optional<ItemEditDesk.OnFile> known) {
    return known
        .map(
            file ->
                new OnFile(
                    Optional.of(file.item().id()),
                    file.item().make() + " " + file.item().number(),
                    file.item().version(),
                    file.item().keeping().retiredOn().map(day -> "since " + day).orElse(""),
                    file.mayDelete()))
        .orElseGet(() -> new OnFile(Optional.empty(), "New item", 0, "", false));
  }
}
