package dev.lonja.web.crossref;

import dev.lonja.core.crossref.Measuring;
import dev.lonja.core.crossref.Measuring.Reading;
import dev.lonja.core.item.Item;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.Property;
import dev.lonja.core.part.ScrewThread;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.desk.crossref.MeasureDesk;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** The page on which a used washer, O-ring or plug is found by what a caliper says of it. */
@Component
class MeasurePage {

  private static final int MOST_THREADS_PER_INCH = 80;

  private final MeasureDesk desk;

  MeasurePage(MeasureDesk desk) {
    this.desk = desk;
  }

  /** What is measured of a family, and how. */
  private enum Form {
    WASHER(
        Family.SEAL,
        "Washer",
        "Measure the inside with the inner jaws, turned to the widest reading. A used washer was "
            + "squeezed: wider inside, thinner, its rim worn; that is allowed for.",
        Reading.WASHER_ID,
        Reading.WASHER_OD,
        Reading.WASHER_THICKNESS),
    RING(
        Family.O_RING,
        "O-ring",
        "Measure the cord across a spot that was not flattened. Lay the ring round and take the "
            + "inside twice, crosswise; write the mean.",
        Reading.RING_CORD,
        Reading.RING_ID),
    PLUG(
        Family.DRAIN_PLUG,
        "Drain plug",
        "Measure over the crests of the thread. Hold a thread gauge to it for the pitch: millimetres "
            + "for metric, threads per inch for inch threads. Length is under the head.",
        Reading.PLUG_DIAMETER,
        Reading.PLUG_PITCH,
        Reading.PLUG_LENGTH);

    private final Family family;
    private final String words;
    private final String hint;
    private final List<Reading> readings;

    Form(Family family, String words, String hint, Reading... readings) {
      this.family = family;
      this.words = words;
      this.hint = hint;
      this.readings = List.of(readings);
    }
  }

  /** A choice of family; one is the current. */
  public record Choice(String value, String words, boolean current) {}

  /** A field for a reading. */
  public record Field(String name, String words, String value) {}

  /** A part that may be the one in hand. */
  public record Match(
      Plate plate, String description, String differences, String bin, String free) {}

  /** The page; {@code answer} is empty before anything is measured. */
  public record View(
      List<Choice> choices,
      String hint,
      List<Field> fields,
      String answer,
      List<Problem> problems,
      List<Match> matches) {}

  /** The page for what was typed. */
  View measure(String what, Map<String, String> typed) {
    Form form =
        Arrays.stream(Form.values())
            .filter(f -> name(f).equals(what))
            .findFirst()
            .orElse(Form.WASHER);
    Typed entry = new Typed();
    Map<Reading, Long> readings = readings(form, typed, entry);
    boolean ready = entry.problems().isEmpty() && !readings.isEmpty();
    List<Match> matches = ready ? matches(desk.measure(form.family, readings)) : List.of();
    return new View(
        Arrays.stream(Form.values()).map(f -> new Choice(name(f), f.words, f == form)).toList(),
        form.hint,
        form.readings.stream()
            .map(r -> new Field(name(r), words(r), typed.getOrDefault(name(r), "")))
            .toList(),
        ready && matches.isEmpty()
            ? "Nothing on file measures so. Leave a reading out, or look at the spot again."
            : "",
        entry.problems(),
        matches);
  }

  private static String name(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  private static String words(Reading reading) {
    return switch (reading) {
      case WASHER_ID, RING_ID -> "Inside";
      case WASHER_OD -> "Outside";
      case WASHER_THICKNESS -> "Thickness";
      case RING_CORD -> "Cord";
      case PLUG_DIAMETER -> "Thread, over the crests";
      case PLUG_PITCH -> "Pitch, mm or threads per inch";
      case PLUG_LENGTH -> "Length under the head";
    };
  }

  private static Map<Reading, Long> readings(Form form, Map<String, String> typed, Typed entry) {
    Map<Reading, Long> readings = new EnumMap<>(Reading.class);
    for (Reading reading : form.readings) {
      String text = typed.getOrDefault(name(reading), "").strip();
      if (!text.isEmpty()) {
        Optional<Long> value =
            reading == Reading.PLUG_PITCH
                ? pitch(text)
                : Property.HEIGHT.parse(text).map(length -> length.micrometres());
        value.ifPresentOrElse(
            v -> readings.put(reading, v),
            () ->
                entry.refuse(
                    name(reading),
                    words(reading)
                        + " is \""
                        + text
                        + "\"; allowed is "
                        + (reading == Reading.PLUG_PITCH
                            ? "a pitch such as 1.5, or threads per inch such as 16"
                            : Property.HEIGHT.allowed())
                        + ", or nothing."));
      }
    }
    return readings;
  }

  /** Millimetres with a decimal point or below 8; whole numbers from 8 on are threads per inch. */
  private static Optional<Long> pitch(String text) {
    if (!text.matches("[0-9]{1,2}(\\.[0-9]{1,3})?")) {
      return Optional.empty();
    }
    BigDecimal value = new BigDecimal(text);
    boolean perInch = value.compareTo(BigDecimal.valueOf(8)) >= 0;
    boolean possible =
        value.signum() > 0 && value.compareTo(BigDecimal.valueOf(MOST_THREADS_PER_INCH)) <= 0;
    return possible
        ? Optional.of(perInch ? value.longValue() : value.movePointRight(3).longValueExact())
        : Optional.empty();
  }

  private static List<Match> matches(MeasureDesk.Measured measured) {
    return measured.matches().stream()
        .map(
            match -> {
              Optional<Item> item = measured.shelf().item(match.part().id());
              return new Match(
                  Plate.of(match.part(), item),
                  item.map(Item::description).orElse("not stocked"),
                  differences(match),
                  item.map(i -> i.homeBin().address()).orElse(""),
                  item.map(i -> measured.shelf().freeOf(i).display()).orElse(""));
            })
        .toList();
  }

  /** "inside 0.3 mm more, outside as new". */
  private static String differences(Measuring.Match match) {
    List<String> words = new ArrayList<>();
    match
        .differences()
        .forEach(
            (reading, difference) -> {
              if (reading == Reading.PLUG_PITCH) {
                words.add(
                    "thread "
                        + match
                            .part()
                            .properties()
                            .get(Property.THREAD)
                            .map(ScrewThread::display)
                            .orElse(""));
              } else {
                words.add(words(reading).toLowerCase(Locale.ROOT) + " " + amount(difference));
              }
            });
    return words.stream().collect(Collectors.joining(", "));
  }

  private static String amount(long micrometres) {
    if (micrometres == 0) {
      return "to the dot";
    }
    String size = PlainDecimal.of(Math.abs(micrometres), 3);
    return size + " mm " + (micrometres > 0 ? "more" : "less");
  }
}
