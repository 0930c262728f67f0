package dev.lonja.store.audit;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * How something was or is, by field: names as the exchange format has them, values as they can be
 * read back. No sentences: words for people are found on the way out.
 */
public record Facts(Map<String, String> byField) {

  public static final Facts NONE = new Facts(Map.of());

  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final TypeReference<LinkedHashMap<String, String>> FIELDS =
      new TypeReference<>() {};

  public Facts {
    LinkedHashMap<String, String> filled = new LinkedHashMap<>(byField);
    filled.values().removeIf(String::isEmpty);
    byField = java.util.Collections.unmodifiableMap(filled);
  }

  public static Facts of(String field, Object value) {
    return NONE.with(field, value);
  }

  /** These and one more; what is empty is left out. */
  public Facts with(String field, Object value) {
    Map<String, String> more = new LinkedHashMap<>(byField);
    more.put(field, Objects.toString(value));
    return new Facts(more);
  }

  /** The fields of this that are not so in the other. */
  public Facts unlike(Facts other) {
    Map<String, String> fields = new LinkedHashMap<>(byField);
    fields.entrySet().removeIf(field -> field.getValue().equals(other.byField.get(field.getKey())));
    return new Facts(fields);
  }

  public boolean isEmpty() {
    return byField.isEmpty();
  }

  /** As one JSON object, in the order in which the fields were given. */
  public String json() {
    return JSON.writeValueAsString(byField);
  }

  /**
   * Reads what {@link #json} wrote.
   *
   * @throws IllegalArgumentException if it is no object of texts
   */
  public static Facts ofJson(String json) {
    try {
      return new Facts(JSON.readValue(json, FIELDS));
    } catch (JacksonException e) {
      throw new IllegalArgumentException(
          "facts are " + json + "; allowed is an object of texts", e);
    }
  }
}
