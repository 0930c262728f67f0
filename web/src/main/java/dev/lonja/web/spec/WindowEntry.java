package dev.lonja.web.spec;

import dev.lonja.core.grade.Climate;
import dev.lonja.core.grade.Window;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.web.fluid.ReasonWording;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Typed;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * When and where a verdict is asked for: the whole year, from one month to another, or a place with
 * its own temperatures. What is wrong is named, and the whole year is shown.
 */
final class WindowEntry {

  private final Typed typed = new Typed();
  private final Optional<Set<Month>> months;
  private final Optional<Window.Range> place;

  WindowEntry(String from, String to, String low, String high) {
    this.months = months(from, to);
    this.place = place(low.strip(), high.strip());
  }

  static WindowEntry year() {
    return new WindowEntry("", "", "", "");
  }

  private Optional<Set<Month>> months(String from, String to) {
    if (from.isBlank() && to.isBlank()) {
      return Optional.empty();
    }
    Optional<Month> first = month("from", from.isBlank() ? to : from);
    Optional<Month> last = month("to", to.isBlank() ? from : to);
    if (first.isEmpty() || last.isEmpty()) {
      return Optional.empty();
    }
    Set<Month> all = EnumSet.of(first.get());
    for (Month month = first.get(); month != last.get(); month = month.plus(1)) {
      all.add(month.plus(1));
    }
    return Optional.of(all);
  }

  private Optional<Month> month(String field, String text) {
    for (Month month : Month.values()) {
      if (String.valueOf(month.getValue()).equals(text.strip())) {
        return Optional.of(month);
      }
    }
    typed.refuse(field, "The month is \"" + text + "\"; allowed is 1 to 12.");
    return Optional.empty();
  }

  private Optional<Window.Range> place(String low, String high) {
    if (low.isEmpty() && high.isEmpty()) {
      return Optional.empty();
    }
    Optional<Temperature> coldest = TemperatureEntry.of(typed, "low", low);
    Optional<Temperature> hottest = TemperatureEntry.of(typed, "high", high);
    if (coldest.isEmpty() || hottest.isEmpty()) {
      return Optional.empty();
    }
    if (coldest.get().compareTo(hottest.get()) > 0) {
      typed.refuse(
          "low", "The place runs from " + low + " to " + high + " °C; write the lower first.");
      return Optional.empty();
    }
    return Optional.of(new Window.Range(coldest.get(), hottest.get()));
  }

  List<Problem> problems() {
    return typed.problems();
  }

  Window window(Climate climate) {
    if (place.isPresent()) {
      return place.get();
    }
    return months
        .<Window>map(some -> new Window.Months(climate, some))
        .orElse(Window.year(climate));
  }

  String words() {
    return place
        .map(range -> "from " + range.lowest().display() + " to " + range.highest().display())
        .or(() -> months.map(some -> "in " + ReasonWording.months(some)))
        .orElse("over the whole year");
  }

  static List<SpecView.Choice> monthChoices() {
    return EnumSet.allOf(Month.class).stream()
        .map(
            month ->
                new SpecView.Choice(
                    String.valueOf(month.getValue()),
                    month.getDisplayName(TextStyle.FULL, Locale.ENGLISH)))
        .toList();
  }
}
