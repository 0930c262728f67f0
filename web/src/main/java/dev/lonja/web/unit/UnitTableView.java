package dev.lonja.web.unit;

import dev.lonja.desk.unit.UnitTableDesk;
import java.util.List;
import java.util.stream.Collectors;

/** What a table of units would add; {@code classes} are those that there are. */
public record UnitTableView(List<Row> rows, List<String> classes) {

  public record Row(
      String code, String name, String unitClass, String variant, String day, String meters) {}

  static UnitTableView of(UnitTableDesk.Preview preview) {
    return new UnitTableView(
        preview.units().stream().map(UnitTableView::row).toList(),
        preview.classes().stream().map(c -> c.code() + " " + c.name()).toList());
  }

  private static Row row(UnitTableDesk.Incoming unit) {
    return new Row(
        unit.row().code(),
        unit.row().name(),
        unit.unitClass().name(),
        unit.variant().display(),
        unit.row().inServiceOn().toString(),
        unit.row().meters().entrySet().stream()
            .map(meter -> meter.getKey() + " " + meter.getValue().display())
            .collect(Collectors.joining(", ")));
  }
}
