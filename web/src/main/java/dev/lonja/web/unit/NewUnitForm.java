package dev.lonja.web.unit;

import dev.lonja.core.calendar.LayUp;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.meter.ReadingRefusal;
import dev.lonja.desk.meter.UnitMetersDesk;
import dev.lonja.desk.unit.NewUnit;
import dev.lonja.desk.variant.ClassDesk;
import dev.lonja.desk.variant.VariantDesk;
import dev.lonja.desk.variant.VariantRefusal;
import dev.lonja.web.meter.MeterEntry;
import dev.lonja.web.meter.ReadingWording;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** The form that describes a new unit, with its class and its model where these are new too. */
final class NewUnitForm {

  private static final String METERS = "meters";
  private static final String CODE = "[A-Z0-9][A-Z0-9-]{0,19}";

  /** Why the desk refused. */
  static final RefusalWording REFUSED =
      UnitForms.REFUSED
          .and(
              RefusalWording.of(
                  VariantRefusal.NameTaken.class,
                  taken ->
                      new Problem(
                          "engine",
                          "There is "
                              + taken.by().display()
                              + " already; choose it, or name the engine that sets this apart.")))
          .and(
              RefusalWording.of(
                  VariantRefusal.NoOriginal.class,
                  none -> new Problem("copied", "The variant to copy is not on file any more.")))
          .and(
              RefusalWording.of(
                  ClassDesk.CodeTaken.class,
                  taken ->
                      new Problem(
                          "classCode",
                          "There is a class " + taken.code() + " already; choose it above.")))
          .and(
              RefusalWording.of(
                  UnitMetersDesk.TooMuchADay.class,
                  much -> new Problem(METERS, ReadingWording.tooMuch(much))))
          .and(
              RefusalWording.of(
                  ReadingRefusal.class,
                  reading -> new Problem(METERS, ReadingWording.why(reading))));

  private final Map<String, String> fields;
  private final Typed typed;

  NewUnitForm(Map<String, String> fields, Typed typed) {
    this.fields = fields;
    this.typed = typed;
  }

  private String field(String name) {
    return fields.getOrDefault(name, "").strip();
  }

  /**
   * Empty, with the problems noted, if it cannot be read.
   *
   * @param rows in which its meters are described
   */
  Optional<NewUnit> read(List<NewUnitView.MeterRow> rows) {
    Optional<String> name = typed.text("name", "What it is", field("name"), Lengths.NAME);
    Optional<LocalDate> day = typed.day("inService", field("inService"));
    Optional<NewUnit.OfClass> unitClass = unitClass();
    Optional<NewUnit.OfModel> model = model();
    List<NewUnit.NewMeter> meters = new ArrayList<>();
    rows.forEach(row -> meter(row.at()).ifPresent(meters::add));
    Optional<LayUp> layUp = layUp();
    return typed.all(
        () ->
            new NewUnit(
                field("code").toUpperCase(Locale.ROOT),
                name.orElseThrow(),
                unitClass.orElseThrow(),
                model.orElseThrow(),
                day.orElseThrow(),
                meters,
                layUp));
  }

  private Optional<NewUnit.OfClass> unitClass() {
    String chosen = field("unitClass");
    if (!chosen.equals(NewUnitView.NEW)) {
      return Optional.of(new NewUnit.OfClass.Known(chosen));
    }
    String code = field("classCode").toUpperCase(Locale.ROOT);
    if (!code.matches(CODE)) {
      typed.refuse(
          "classCode",
          "\"" + code + "\" cannot be a code; write up to 20 letters, digits and hyphens.");
    }
    return typed
        .text("className", "The name of the class", field("className"), Lengths.NAME)
        .map(name -> new NewUnit.OfClass.Added(code, name));
  }

  private Optional<NewUnit.OfModel> model() {
    String chosen = field("variant");
    if (!chosen.equals(NewUnitView.NEW)) {
      return typed
          .chosen("variant", "its variant", chosen, Long::valueOf)
          .map(NewUnit.OfModel.Known::new);
    }
    Optional<String> make = typed.text("make", "The make", field("make"), Lengths.NAME);
    Optional<String> model = typed.text("model", "The model", field("model"), Lengths.NAME);
    String engine = field("engine");
    if (engine.length() > Lengths.NAME) {
      typed.text("engine", "The engine", engine, Lengths.NAME);
    }
    Optional<Long> copied =
        field("copied").isEmpty()
            ? Optional.empty()
            : typed.chosen("copied", "the variant to copy", field("copied"), Long::valueOf);
    return make.isEmpty() || model.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new NewUnit.OfModel.Added(
                new VariantDesk.Name(make.get(), model.get(), engine), copied));
  }

  /** A row without a name stands for no meter, unless something else was typed into it. */
  private Optional<NewUnit.NewMeter> meter(String at) {
    String name = field(at + "name");
    String start = field(at + "start");
    String shows = field(at + "shows");
    String perDay = field(at + "perDay");
    if (name.isEmpty()) {
      if (!start.isEmpty() || !shows.isEmpty() || !perDay.isEmpty()) {
        typed.refuse(at + "name", "Name the meter that this is about, such as hours or road.");
      }
      return Optional.empty();
    }
    Optional<MeterMeasure> measure = measure(at);
    Optional<String> called = typed.text(at + "name", "The name of the meter", name, Lengths.SHORT);
    if (measure.isEmpty() || called.isEmpty()) {
      return Optional.empty();
    }
    Optional<MeterValue> first =
        MeterEntry.value(
            typed, at + "start", "What it stood at", start.isEmpty() ? "0" : start, measure.get());
    Optional<MeterValue> now =
        shows.isEmpty()
            ? Optional.empty()
            : MeterEntry.value(typed, at + "shows", "What it shows", shows, measure.get());
    Optional<BigDecimal> rate =
        perDay.isEmpty()
            ? Optional.empty()
            : typed.decimalFromZero(at + "perDay", "The use of a day", perDay, Limits.METER);
    return first.map(value -> new NewUnit.NewMeter(called.get(), value, now, rate));
  }

  private Optional<MeterMeasure> measure(String at) {
    return typed.choiceOrNone(
        at + "measure",
        field(at + "measure"),
        Map.of(
            MeterMeasure.HOURS.symbol(), MeterMeasure.HOURS,
            MeterMeasure.KILOMETRES.symbol(), MeterMeasure.KILOMETRES));
  }

  private Optional<LayUp> layUp() {
    String first = field("layUpFirst");
    String last = field("layUpLast");
    if (first.isEmpty() && last.isEmpty()) {
      return Optional.empty();
    }
    Optional<LocalDate> from = typed.day("layUpFirst", first);
    Optional<LocalDate> to = typed.day("layUpLast", last);
    if (from.isEmpty() || to.isEmpty()) {
      return Optional.empty();
    }
    if (from.get().isAfter(to.get())) {
      typed.refuse(
          "layUpLast", "It ends before it begins; allowed is " + from.get() + " or later.");
      return Optional.empty();
    }
    return Optional.of(new LayUp(from.get(), to.get()));
  }
}
