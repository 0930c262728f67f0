package dev.lonja.web.unit;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.desk.unit.UnitDesk;
import dev.lonja.store.fleet.VariantRepository.StoredVariant;
import dev.lonja.web.frame.AbsenceWording;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The page for a new unit: what it may be, and the meters that such units have.
 *
 * @param model the number of its variant, or {@link #NEW}
 * @param modelName of the variant; empty for a new one
 * @param ofClass the class of units like it
 * @param absences what machines like it turned out not to have
 */
public record NewUnitView(
    List<Choice> models,
    String model,
    String modelName,
    List<Choice> classes,
    String ofClass,
    List<MeterRow> meters,
    List<String> absences,
    String today) {

  /** What is chosen for a model or a class that is not there yet. */
  static final String NEW = "new";

  private static final int METERS = 3;

  public record Choice(String value, String words) {}

  /** One of the rows in which meters are described; its fields begin with its place. */
  public record MeterRow(String at, String name, String measure) {

    static String at(int row) {
      return "meter-" + row + "-";
    }
  }

  static NewUnitView of(UnitDesk.Models models, LocalDate today) {
    Optional<StoredVariant> chosen = models.chosen();
    return new NewUnitView(
        models.variants().stream().map(NewUnitView::model).toList(),
        chosen.map(stored -> String.valueOf(stored.variant().id())).orElse(NEW),
        chosen.map(stored -> stored.variant().display()).orElse(""),
        models.classes().stream().map(c -> new Choice(c.code(), c.name())).toList(),
        models
            .like()
            .map(Unit::unitClass)
            .map(Unit.UnitClass::code)
            .orElse(models.classes().isEmpty() ? NEW : ""),
        rows(models.meters()),
        models.absences().stream().map(AbsenceWording::of).toList(),
        today.toString());
  }

  private static Choice model(StoredVariant stored) {
    String like = stored.units().stream().limit(3).reduce((a, b) -> a + ", " + b).orElse("");
    return new Choice(
        String.valueOf(stored.variant().id()),
        stored.variant().display() + (like.isEmpty() ? "" : ", like " + like));
  }

  private static List<MeterRow> rows(Map<String, MeterMeasure> meters) {
    List<MeterRow> rows = new ArrayList<>();
    meters.forEach(
        (name, measure) ->
            rows.add(new MeterRow(MeterRow.at(rows.size() + 1), name, measure.symbol())));
    while (rows.size() < METERS) {
      rows.add(new MeterRow(MeterRow.at(rows.size() + 1), "", MeterMeasure.HOURS.symbol()));
    }
    return rows;
  }
}
