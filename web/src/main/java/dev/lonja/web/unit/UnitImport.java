package dev.lonja.web.unit;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.Variant;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.desk.request.Problem;
import dev.lonja.store.Session;
import dev.lonja.store.fleet.ClassRepository.StoredClass;
import dev.lonja.store.fleet.VariantRepository.StoredVariant;
import dev.lonja.store.fleet.VariantTasks.StoredTask;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Reads a pasted table of new units: code, name, class, make, model, variant, first day of service,
 * meters. Every bad line is named with what is wrong and what is allowed.
 */
final class UnitImport {

  /** A unit that the table would add. */
  record NewUnit(
      String code,
      String name,
      Unit.UnitClass unitClass,
      Variant variant,
      LocalDate inService,
      Map<String, MeterValue> meters) {}

  private static final int CELLS = 8;
  private static final Pattern METER =
      Pattern.compile("(.{1,40}?)\\s+(h|km)(?:\\s+([0-9]{1,7}(?:\\.[0-9])?))?");
  private static final int LONGEST_NAME = 60;

  private final LocalDate today;
  private final Set<String> codes = new HashSet<>();
  private final Map<String, Unit.UnitClass> classes = new HashMap<>();
  private final Map<String, StoredVariant> variants = new HashMap<>();
  private final Map<Long, Set<String>> metersNeeded = new HashMap<>();
  private final List<Problem> problems = new ArrayList<>();
  private final List<NewUnit> units = new ArrayList<>();

  UnitImport(Session session, LocalDate today) {
    this.today = today;
    for (StoredClass stored : session.classes().all()) {
      classes.put(key(stored.unitClass().code()), stored.unitClass());
    }
    for (StoredVariant stored : session.variants().all()) {
      Variant variant = stored.variant();
      variants.put(key(variant.make() + "|" + variant.model() + "|" + variant.name()), stored);
      stored.units().forEach(code -> codes.add(key(code)));
      metersNeeded.put(
          variant.id(),
          session.variants().tasks().of(variant.id()).stream()
              .map(StoredTask::meter)
              .flatMap(Optional::stream)
              .collect(Collectors.toSet()));
    }
  }

  List<Problem> problems() {
    return problems;
  }

  List<NewUnit> units() {
    return units;
  }

  /** Takes one line; empty ones and a heading are passed over. */
  void line(int number, String text) {
    String separator = text.contains("\t") ? "\t" : text.contains(";") ? ";" : ",";
    List<String> cells = Arrays.stream(text.split(separator, -1)).map(String::strip).toList();
    boolean heading = number == 1 && cells.get(0).equalsIgnoreCase("code");
    if (text.isBlank() || heading) {
      return;
    }
    String label = "line " + number + ", " + cells.get(0) + ": ";
    if (cells.size() != CELLS) {
      problems.add(
          new Problem(
              "table",
              label
                  + "it has "
                  + cells.size()
                  + " cells; write code, name, class, make, model, variant, first day, meters."));
      return;
    }
    Typed typed = new Typed();
    Optional<NewUnit> unit = unit(cells, typed);
    typed.problems().forEach(p -> problems.add(new Problem("table", label + p.text())));
    if (typed.problems().isEmpty()) {
      unit.ifPresent(units::add);
    }
  }

  private Optional<NewUnit> unit(List<String> cells, Typed typed) {
    String code = cells.get(0).toUpperCase(Locale.ROOT);
    if (!UnitDesk.isCode(code)) {
      typed.refuse(
          "table",
          "\"" + code + "\" cannot be a code; write up to 20 letters, digits and hyphens.");
    } else if (!codes.add(key(code))) {
      typed.refuse("table", "there is a unit " + code + " already.");
    }
    Optional<String> name = typed.text("table", "the name", cells.get(1), LONGEST_NAME);
    Unit.UnitClass unitClass = classes.get(key(cells.get(2)));
    if (unitClass == null) {
      typed.refuse(
          "table", "there is no class \"" + cells.get(2) + "\"; there are " + words() + ".");
    }
    StoredVariant variant =
        variants.get(key(cells.get(3) + "|" + cells.get(4) + "|" + cells.get(5)));
    if (variant == null) {
      typed.refuse(
          "table",
          "there is no variant \""
              + (cells.get(3) + " " + cells.get(4) + " " + cells.get(5)).strip()
              + "\".");
    }
    Optional<LocalDate> day = typed.dayUpTo("table", cells.get(6), today);
    Map<String, MeterValue> meters = meters(cells.get(7), typed);
    if (variant != null) {
      checkMeters(variant, meters, typed);
    }
    return unitClass == null || variant == null || day.isEmpty() || name.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new NewUnit(code, name.get(), unitClass, variant.variant(), day.get(), meters));
  }

  private String words() {
    return classes.values().stream()
        .map(Unit.UnitClass::code)
        .sorted()
        .collect(Collectors.joining(", "));
  }

  /** "road km 118400 + cold unit h 20"; a meter without a value starts at 0. */
  private static Map<String, MeterValue> meters(String text, Typed typed) {
    Map<String, MeterValue> meters = new LinkedHashMap<>();
    for (String part : text.isBlank() ? new String[0] : text.split("\\+")) {
      Matcher matcher = METER.matcher(part.strip());
      if (matcher.matches()) {
        String value = Optional.ofNullable(matcher.group(3)).orElse("0");
        MeterMeasure measure = MeterMeasure.ofSymbol(matcher.group(2));
        meters.put(matcher.group(1), MeterValue.of(new BigDecimal(value), measure));
      } else {
        typed.refuse(
            "table",
            "\""
                + part.strip()
                + "\" is no meter; write such as \"road km 118400 + cold unit h\".");
      }
    }
    return meters;
  }

  private void checkMeters(StoredVariant variant, Map<String, MeterValue> meters, Typed typed) {
    metersNeeded.get(variant.variant().id()).stream()
        .filter(name -> !meters.containsKey(name))
        .forEach(
            name ->
                typed.refuse(
                    "table",
                    "its tasks count by a meter called " + name + ", which is not among its own."));
    meters.forEach(
        (name, start) -> {
          String symbol = variant.meters().get(name);
          if (symbol != null && !symbol.equals(start.measure().symbol())) {
            typed.refuse("table", "the meter " + name + " of this variant counts " + symbol + ".");
          }
        });
  }

  private static String key(String text) {
    return text.toUpperCase(Locale.ROOT);
  }
}
