package dev.lonja.web.due;

import dev.lonja.desk.service.DueDesk;
import java.util.Locale;
import java.util.stream.Stream;

/**
 * What is chosen of the due list, as it stands in an address.
 *
 * @param unitClass the code of a class, or empty for all
 * @param sort day or unit; another word sorts by day
 * @param show all, overdue or no-record; another word shows all
 * @param page which part of the list, 1 for the first
 */
record DueQuery(String unitClass, String sort, String show, int page) {

  DueDesk.Choice choice() {
    return new DueDesk.Choice(
        unitClass, chosen(sort, DueDesk.Order.values()), chosen(show, DueDesk.Show.values()), page);
  }

  /** The word for a choice: "no-record". */
  static String of(Enum<?> choice) {
    return choice.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** The first of them is what a page shows that was not asked for anything. */
  private static <E extends Enum<E>> E chosen(String word, E[] choices) {
    return Stream.of(choices).filter(c -> of(c).equals(word)).findFirst().orElse(choices[0]);
  }
}
