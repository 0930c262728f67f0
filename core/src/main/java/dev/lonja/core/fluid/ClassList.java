package dev.lonja.core.fluid;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * The service classes that are known, and how a label is read against them: as whole words, the
 * longest name first, whatever its letters' case. The organisation's name may be left out, but for
 * classes that need it; it holds for the classes that follow it up to another organisation or a
 * full separator (; · |).
 */
public final class ClassList {

  private final List<Entry> entries;
  private final List<ServiceClass> inOrder;
  private final Set<String> organisations;

  /**
   * A known class.
   *
   * @param needsOrganisation true if the name alone claims nothing
   */
  public record Entry(ServiceClass serviceClass, boolean needsOrganisation) {}

  /**
   * What a label claims.
   *
   * @param notUnderstood what is left over, in order; it claims nothing
   */
  public record Reading(Set<ServiceClass> claimed, List<String> notUnderstood) {
    public Reading {
      claimed = Set.copyOf(claimed);
      notUnderstood = List.copyOf(notUnderstood);
    }
  }

  public ClassList(List<Entry> entries) {
    this.entries =
        entries.stream()
            .sorted(
                Comparator.comparing((Entry e) -> e.serviceClass().name().length())
                    .reversed()
                    .thenComparing(Entry::serviceClass))
            .toList();
    this.inOrder = entries.stream().map(Entry::serviceClass).sorted().toList();
    this.organisations =
        entries.stream()
            .map(e -> e.serviceClass().organisation())
            .filter(organisation -> !organisation.isEmpty())
            .collect(Collectors.toUnmodifiableSet());
  }

  /** All known classes in order of their texts. */
  public List<ServiceClass> all() {
    return inOrder;
  }

  /** The class with this text, organisation included, whatever the letters' case. */
  public Optional<ServiceClass> named(String text) {
    String wanted = text.strip().replaceAll("\\s+", " ");
    return all().stream().filter(c -> c.text().equalsIgnoreCase(wanted)).findFirst();
  }

  /** Reads a label; costs its length × the number of classes. */
  public Reading read(String label) {
    Set<ServiceClass> claimed = new TreeSet<>();
    List<String> leftOver = new ArrayList<>();
    for (String part : label.split("[;·|\\n]")) {
      new PartReader(part.strip().replaceAll("\\s+", " ")).read(claimed, leftOver);
    }
    return new Reading(claimed, leftOver);
  }

  /** Reads a part of a label from left to right. */
  private final class PartReader {
    private final String text;
    private final String upper;
    private String organisation = "";
    private int at;

    PartReader(String text) {
      this.text = text;
      this.upper = text.toUpperCase(Locale.ROOT);
    }

    void read(Set<ServiceClass> claimed, List<String> leftOver) {
      while (at < text.length()) {
        if (!isWordCharacter(upper.charAt(at))) {
          at++;
          continue;
        }
        Optional<Entry> entry = entries.stream().filter(this::claims).findFirst();
        if (entry.isPresent()) {
          claimed.add(entry.get().serviceClass());
          at += entry.get().serviceClass().name().length();
        } else {
          readOther(leftOver);
        }
      }
    }

    private void readOther(List<String> leftOver) {
      int end = wordEnd();
      String word = text.substring(at, end);
      Optional<String> named =
          organisations.stream()
              .filter(o -> startsWord(o.toUpperCase(Locale.ROOT)))
              .max(Comparator.comparing(String::length));
      if (named.isPresent()) {
        organisation = named.get();
        at += named.get().length();
      } else {
        if (!word.equalsIgnoreCase("and") && !word.equalsIgnoreCase("or")) {
          leftOver.add(word);
        }
        at = end;
      }
    }

    private boolean claims(Entry entry) {
      ServiceClass c = entry.serviceClass();
      boolean sameOrganisation = organisation.equals(c.organisation());
      boolean named = organisation.isEmpty() ? !entry.needsOrganisation() : sameOrganisation;
      return startsWord(c.name().toUpperCase(Locale.ROOT))
          && (named || (!entry.needsOrganisation() && !isAmbiguous(c)));
    }

    /** True if the organisation that was named has a class of the same name. */
    private boolean isAmbiguous(ServiceClass c) {
      return entries.stream()
          .map(Entry::serviceClass)
          .anyMatch(
              other ->
                  other.organisation().equals(organisation)
                      && other.name().equalsIgnoreCase(c.name()));
    }

    private boolean startsWord(String word) {
      int end = at + word.length();
      return upper.startsWith(word, at)
          && (end == upper.length() || !isWordCharacter(upper.charAt(end)));
    }

    private int wordEnd() {
      int end = at;
      while (end < text.length() && isWordCharacter(upper.charAt(end))) {
        end++;
      }
      return end;
    }
  }

  /** Hyphens, points and plus signs belong to a word: "CI-4" is no "C", "DOT 5.1" no "DOT 5". */
  private static boolean isWordCharacter(char c) {
    return Character.isLetterOrDigit(c) || c == '-' || c == '.' || c == '+';
  }
}
