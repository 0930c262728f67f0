package dev.lonja.web.item;

import dev.lonja.core.item.ItemId;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The form of an item, on file or new.
 *
 * @param itemId empty for a new one
 * @param fields what stands in the fields
 * @param properties of its kind
 * @param retired "since 2027-03-15"; empty while it is kept
 */
record ItemFormView(
    Optional<ItemId> itemId,
    String title,
    long version,
    Map<String, String> fields,
    List<Choice> families,
    List<PropertyField> properties,
    boolean fluid,
    boolean filter,
    List<Choice> products,
    List<String> suppliers,
    List<Integer> binRows,
    List<Integer> supplyRows,
    List<Integer> boxRows,
    String retired,
    boolean mayDelete) {

  record Choice(String value, String words) {}

  /** A property; with choices it is chosen, without it is written. */
  record PropertyField(String name, String words, String allowed, List<String> choices) {}
}
