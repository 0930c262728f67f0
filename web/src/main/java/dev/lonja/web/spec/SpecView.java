package dev.lonja.web.spec;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Variant;
import dev.lonja.core.fluid.BrakeBase;
import dev.lonja.core.fluid.Chemistry;
import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.Season;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.grade.GradeRow;
import dev.lonja.core.item.Item;
import dev.lonja.desk.fluid.ShelfFluid;
import dev.lonja.desk.fluid.SpecDesk;
import dev.lonja.desk.fluid.SpecSheet;
import dev.lonja.web.fluid.ReasonWording;
import dev.lonja.web.fluid.VerdictView;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.IntStream;

/**
 * What a compartment demands, and what meets it.
 *
 * @param units that have it
 * @param seasonal what may be used in part of the year and when to change over
 */
public record SpecView(
    CompartmentId id,
    Place place,
    Demands demands,
    List<String> units,
    String preferred,
    Meets meets,
    List<String> seasonal) {

  /** Where it is. */
  public record Place(long variantId, String compartment, String machine) {}

  /** What it demands; {@code drawing} is its chart against the year, empty without a chart. */
  public record Demands(String kind, List<String> grades, List<String> others, String drawing) {}

  /** What meets it; {@code window} says in words when the verdicts hold. */
  public record Meets(String summary, List<VerdictView> products, String window) {}

  /** What the form holds and may hold. */
  public record Form(
      CompartmentId id,
      String title,
      long version,
      Map<String, String> fields,
      List<Choice> kinds,
      List<Choice> families,
      List<Choice> bases,
      List<Integer> gradeRows) {}

  public record Choice(String value, String words) {}

  /**
   * What the spec as typed would mean.
   *
   * @param products with their verdicts
   */
  public record Effect(String summary, List<String> problems, List<VerdictView> products) {}

  static SpecView of(SpecDesk.SpecFile file, String window, LocalDate today) {
    Compartment compartment = file.place().compartment();
    Variant variant = file.place().stored().variant();
    Spec spec = compartment.spec();
    List<GradeRow> rows = spec.chart().rows();
    return new SpecView(
        compartment.id(),
        new Place(variant.id(), compartment.name(), variant.display()),
        new Demands(
            spec.kind().words(),
            rows.stream().map(SpecWording::grade).toList(),
            SpecWording.demands(spec),
            rows.isEmpty() ? "" : YearDrawing.of(file.climate(), rows)),
        file.units(),
        file.preferred().map(Item::number).orElse(""),
        new Meets(
            summary(file.met()),
            file.met().products().stream().map(VerdictView::of).toList(),
            window),
        file.met().products().stream()
            .filter(fluid -> fluid.verdict().overall() == Level.SEASONAL)
            .map(fluid -> seasonal(fluid, today))
            .toList());
  }

  /** What the form as typed would mean. */
  static Effect effect(SpecDesk.Met met) {
    return new Effect(
        summary(met), List.of(), met.products().stream().map(VerdictView::of).toList());
  }

  /** "Met by 3 products, 1 of them on the shelf." */
  private static String summary(SpecDesk.Met met) {
    return met.free() == 0
        ? "No product meets it without a signature."
        : "Met by "
            + Words.count(met.free(), "product", "products")
            + (met.onShelf() == 0
                ? ", none on the shelf."
                : ", " + met.onShelf() + " on the shelf.");
  }

  private static String seasonal(ShelfFluid fluid, LocalDate today) {
    Season season = new Season(fluid.verdict().season());
    return fluid.product().display()
        + " may be used from "
        + ReasonWording.months(fluid.verdict().season())
        + "."
        + season
            .nextChange(today)
            .map(
                day ->
                    (season.serves(today) ? " Change over to another by " : " Change to it from ")
                        + Words.day(day, today)
                        + ".")
            .orElse("");
  }

  static Form form(SpecDesk.Place place, Map<String, String> typed) {
    Compartment compartment = place.compartment();
    return new Form(
        compartment.id(),
        compartment.name() + ", " + place.stored().variant().display(),
        place.stored().version(),
        typed.isEmpty() ? SpecSheet.of(compartment.spec()) : typed,
        choices(FluidKind.values(), FluidKind::words),
        choices(Chemistry.values(), Chemistry::words),
        choices(BrakeBase.values(), BrakeBase::words),
        IntStream.rangeClosed(1, SpecEntry.GRADE_ROWS).boxed().toList());
  }

  /** Every constant with its words. */
  public static <E extends Enum<E>> List<Choice> choices(E[] values, Function<E, String> words) {
    return Arrays.stream(values)
        .map(value -> new Choice(value.name(), words.apply(value)))
        .toList();
  }
}
