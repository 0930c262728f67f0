package dev.lonja.core.fluid;

/**
 * A service class of an organisation that publishes such: API CK-4, ACEA C3, JASO MA2.
 *
 * @param name without the organisation
 */
public record ServiceClass(String organisation, String name) implements Comparable<ServiceClass> {

  /** With the organisation; names that stand alone, such as DOT 4, have none. */
  public String text() {
    return organisation.isEmpty() ? name : organisation + " " + name;
  }

  @Override
  public int compareTo(ServiceClass other) {
    return text().compareTo(other.text());
  }
}
