package dev.lonja.core.part;

import dev.lonja.core.quantity.Fineness;
import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.quantity.Pressure;
import dev.lonja.core.quantity.Spoken;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Pattern;

/**
 * How the values of a property are read and written. What {@code print} writes, {@code parse} reads
 * as the same value.
 *
 * @param allowed what may be written, in words
 * @param choices the words to choose from; empty if a value is written freely
 * @param display for people, with the unit
 */
record Values<T>(
    String allowed,
    List<String> choices,
    Function<String, Optional<T>> parse,
    Function<T, String> print,
    Function<T, String> display) {

  private static final Pattern DECIMAL = Pattern.compile("[0-9]{1,6}(\\.[0-9]{1,3})?");
  private static final Pressure MOST_PRESSURE = Pressure.ofBar(BigDecimal.valueOf(1_000));
  private static final BigDecimal MOST_MICROMETRES = BigDecimal.valueOf(1_000);

  static Values<Length> length() {
    return new Values<>(
        "millimetres above 0 up to 10000, such as 13.5, or inches such as 3/4 in",
        List.of(),
        text ->
            Spoken.LENGTH
                .read(text)
                .filter(
                    length ->
                        length.micrometres() > 0
                            && length.micrometres() <= 1_000L * Limits.MILLIMETRES),
        length -> length.exactText(),
        Length::display);
  }

  static Values<Pressure> pressure() {
    return new Values<>(
        "bar above 0 up to 1000, such as 1.2, or psi such as 12 psi",
        List.of(),
        text ->
            Spoken.PRESSURE
                .read(text)
                .filter(bar -> bar.pascals() > 0 && bar.compareTo(MOST_PRESSURE) <= 0),
        pressure -> pressure.exactText(),
        Pressure::display);
  }

  static Values<Optional<Pressure>> pressureOrNone() {
    Values<Pressure> some = pressure();
    return new Values<>(
        some.allowed() + ", or none",
        List.of(),
        text ->
            text.equals("none")
                ? Optional.of(Optional.empty())
                : some.parse().apply(text).map(Optional::of),
        value -> value.map(some.print()).orElse("none"),
        value -> value.map(some.display()).orElse("none"));
  }

  static Values<Fineness> fineness() {
    return new Values<>(
        "micrometres above 0 up to 1000, such as 12.5",
        List.of(),
        text -> decimal(text, MOST_MICROMETRES).map(Fineness::ofMicrometres),
        value -> PlainDecimal.of(value.tenthsOfMicrometre(), 1),
        Fineness::display);
  }

  static Values<ScrewThread> thread() {
    return new Values<>(
        "a thread such as M20×1.5, 3/4-16 UNF, G 1/2, R 1/4 or 1/2 NPT",
        List.of(),
        ScrewThread::parse,
        ScrewThread::display,
        ScrewThread::display);
  }

  static Values<Boolean> yesNo() {
    return new Values<>(
        "yes or no",
        List.of("yes", "no"),
        text ->
            text.equals("yes") || text.equals("no")
                ? Optional.of(text.equals("yes"))
                : Optional.empty(),
        value -> value ? "yes" : "no",
        value -> value ? "yes" : "no");
  }

  static Values<String> choice(String... words) {
    List<String> list = List.of(words);
    return new Values<>(
        "one of " + String.join(", ", list),
        list,
        text -> list.stream().filter(word -> word.equalsIgnoreCase(text)).findFirst(),
        word -> word,
        word -> word);
  }

  static Values<String> text(int longest) {
    return new Values<>(
        "text of 1 to " + longest + " characters",
        List.of(),
        text -> Optional.of(text).filter(t -> !t.isEmpty() && t.length() <= longest),
        text -> text,
        text -> text);
  }

  static Values<Integer> whole(int lowest, int highest, String unit) {
    return new Values<>(
        "a whole number from " + lowest + " to " + highest,
        List.of(),
        text ->
            Optional.of(text)
                .filter(t -> t.matches("[0-9]{1,6}"))
                .map(Integer::valueOf)
                .filter(value -> value >= lowest && value <= highest),
        String::valueOf,
        value -> value + " " + unit);
  }

  private static Optional<BigDecimal> decimal(String text, BigDecimal most) {
    return Optional.of(text)
        .filter(t -> DECIMAL.matcher(t).matches())
        .map(BigDecimal::new)
        .filter(value -> value.signum() > 0 && value.compareTo(most) <= 0);
  }
}
