package dev.lonja.core.part;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;

/** What is recorded of one part. A property that is absent is unknown, not "none". */
public final class Properties {

  public static final Properties NONE = new Properties(Map.of());

  private final Map<Property<?>, Object> values;

  private Properties(Map<Property<?>, Object> values) {
    this.values = values;
  }

  /** These with one more, or with another value of one. */
  public <T> Properties with(Property<T> property, T value) {
    Map<Property<?>, Object> more = new LinkedHashMap<>(values);
    more.put(property, value);
    return new Properties(more);
  }

  /**
   * These with a property as it is written in files; text that is not allowed throws, since files
   * are checked before.
   */
  public Properties withWritten(String name, String text) {
    Property<?> property =
        Property.named(name)
            .orElseThrow(() -> new IllegalArgumentException("name is " + name + ", no property"));
    return written(property, text);
  }

  private <T> Properties written(Property<T> property, String text) {
    T value =
        property
            .parse(text)
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        property + " is \"" + text + "\"; allowed is " + property.allowed()));
    return with(property, value);
  }

  public <T> Optional<T> get(Property<T> property) {
    @SuppressWarnings("unchecked") // with() lets in no other type
    Optional<T> value = (Optional<T>) Optional.ofNullable(values.get(property));
    return value;
  }

  public boolean isEmpty() {
    return values.isEmpty();
  }

  /** A value for people; empty if it is not recorded. */
  public <T> String display(Property<T> property) {
    return get(property).map(property::display).orElse("");
  }

  /** A value as it is written in files; empty if it is not recorded. */
  public <T> String written(Property<T> property) {
    return get(property).map(property::print).orElse("");
  }

  /** Every property with its value as written, in the order in which they were recorded. */
  public void forEach(BiConsumer<Property<?>, String> each) {
    values.keySet().forEach(property -> each.accept(property, written(property)));
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Properties that && values.equals(that.values);
  }

  @Override
  public int hashCode() {
    return values.hashCode();
  }

  @Override
  public String toString() {
    return values.toString();
  }
}
