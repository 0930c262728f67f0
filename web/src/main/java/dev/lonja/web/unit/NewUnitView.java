package dev.lonja.web.unit;

import dev.lonja.desk.unit.UnitDesk;
import java.time.LocalDate;
import java.util.List;

/** The page for a new unit: what it may be like, and the meters it then has. */
public record NewUnitView(List<Like> likes, String variant, List<MeterField> meters, String today) {

  public record Like(String code, String words, boolean chosen) {}

  public record MeterField(String name, String measure) {}

  static NewUnitView of(UnitDesk.Models models, LocalDate today) {
    return new NewUnitView(
        models.units().stream()
            .map(
                unit ->
                    new Like(
                        unit.code(),
                        unit.code() + ", " + unit.variant().display(),
                        models.chosen().filter(unit::equals).isPresent()))
            .toList(),
        models.chosen().map(unit -> unit.variant().display()).orElse(""),
        models.meters().stream()
            .map(meter -> new MeterField(meter.name(), meter.measure().symbol()))
            .toList(),
        today.toString());
  }
}
