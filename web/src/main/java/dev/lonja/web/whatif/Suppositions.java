package dev.lonja.web.whatif;

import dev.lonja.core.calendar.LayUp;
import dev.lonja.core.calendar.UsageBurst;
import dev.lonja.core.policy.Choice;
import dev.lonja.core.policy.School;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.desk.whatif.Supposition;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads what is supposed, a line each, as people write it. */
final class Suppositions {

  static final String EXAMPLES =
      "RT-04 laid up 2027-04-01 to 2027-06-30; RT-04 runs 12 h a day 2027-05-01 to 2027-05-31; one"
          + " more like VN-1; Cabo Norte Supply late 2 weeks; Isla Lubricants prices +8 %; policy kit"
          + " or loose: always loose; policy air filter and pre-cleaner: replace every n-th service"
          + " 4";

  private static final String DAY = "([0-9]{4}-[0-9]{2}-[0-9]{2})";
  private static final int MOST_LINES = 20;
  private static final int MOST_WEEKS = 52;
  private static final int MOST_PERCENT = 1_000;

  private static final Pattern LAID_UP =
      Pattern.compile("(.+?) laid up (?:from )?" + DAY + " (?:to|until|through) " + DAY);
  private static final Pattern RUNS =
      Pattern.compile(
          "(.+?) runs ([0-9]{1,4}(?:\\.[0-9])?) (h|km) a day (?:from )?"
              + DAY
              + " (?:to|until|through) "
              + DAY);
  private static final Pattern WAY =
      Pattern.compile("policy ([^:]+): ?(.+?)(?: ([0-9]{1,3}(?:\\.[0-9]{1,4})?))?");
  private static final Pattern ONE_MORE = Pattern.compile("one more like (.+)");
  private static final Pattern LATE = Pattern.compile("(.+?) late (?:by )?([0-9]{1,3}) weeks?");
  private static final Pattern DEARER = Pattern.compile("(.+?) prices ([+-][0-9]{1,4}) ?%");

  private Suppositions() {}

  /** What of the lines can be understood; the others are refused at the field. */
  static List<Supposition> read(String field, String text, Typed typed) {
    List<Supposition> all = new ArrayList<>();
    for (String line : text.split("\\R|;")) {
      String words = line.strip().replaceAll("\\s+", " ");
      if (!words.isEmpty()) {
        line(words)
            .ifPresentOrElse(
                all::add,
                () ->
                    typed.refuse(
                        field,
                        "\"" + words + "\" is not understood; allowed is like: " + EXAMPLES + "."));
      }
    }
    if (all.size() > MOST_LINES) {
      typed.refuse(
          field, "A set has " + all.size() + " lines; allowed are " + MOST_LINES + " at most.");
      return List.of();
    }
    return all;
  }

  private static Optional<Supposition> line(String words) {
    Matcher laidUp = LAID_UP.matcher(words);
    Matcher runs = RUNS.matcher(words);
    Matcher way = WAY.matcher(words);
    Matcher oneMore = ONE_MORE.matcher(words);
    Matcher late = LATE.matcher(words);
    Matcher dearer = DEARER.matcher(words);
    if (laidUp.matches()) {
      return layUp(laidUp.group(2), laidUp.group(3))
          .map(days -> new Supposition.LaidUp(laidUp.group(1), days));
    } else if (runs.matches()) {
      return burst(runs).map(burst -> new Supposition.Runs(runs.group(1), burst));
    } else if (way.matches()) {
      return school(way.group(1).strip(), way.group(2))
          .flatMap(school -> choice(school, Optional.ofNullable(way.group(3)).map(BigDecimal::new)))
          .map(Supposition.Way::new);
    } else if (oneMore.matches()) {
      return Optional.of(new Supposition.OneMore(oneMore.group(1)));
    } else if (late.matches()) {
      return between(late.group(2), 1, MOST_WEEKS)
          .map(weeks -> new Supposition.Late(late.group(1), weeks));
    } else if (dearer.matches()) {
      return between(dearer.group(2), -99, MOST_PERCENT)
          .map(percent -> new Supposition.Dearer(dearer.group(1), percent));
    }
    return Optional.empty();
  }

  private static Optional<LayUp> layUp(String first, String last) {
    try {
      LocalDate from = LocalDate.parse(first);
      LocalDate until = LocalDate.parse(last);
      return from.isAfter(until) ? Optional.empty() : Optional.of(new LayUp(from, until));
    } catch (DateTimeParseException e) {
      return Optional.empty();
    }
  }

  private static Optional<UsageBurst> burst(Matcher runs) {
    MeterMeasure measure = MeterMeasure.ofSymbol(runs.group(3));
    MeterSpan perDay = MeterSpan.of(new BigDecimal(runs.group(2)), measure);
    return perDay.compareTo(measure.highestPerDay()) > 0
        ? Optional.empty()
        : layUp(runs.group(4), runs.group(5))
            .map(days -> new UsageBurst(days.first(), days.last(), perDay));
  }

  /** Several questions may have an answer of the same words. */
  private static Optional<School> school(String question, String words) {
    return Arrays.stream(School.values())
        .filter(school -> school.question().words().equalsIgnoreCase(question))
        .filter(school -> school.words().equalsIgnoreCase(words))
        .findFirst();
  }

  /** With the number that the school needs, and with none if it needs none. */
  private static Optional<Choice> choice(School school, Optional<BigDecimal> given) {
    boolean fits =
        school.number().isPresent() == given.isPresent()
            && given.stream().allMatch(number -> school.number().orElseThrow().allows(number));
    return fits ? Optional.of(new Choice(school, given)) : Optional.empty();
  }

  private static Optional<Integer> between(String text, int least, int most) {
    int value = Integer.parseInt(text);
    return value >= least && value <= most ? Optional.of(value) : Optional.empty();
  }
}
