package dev.lonja.web.tray;

import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.tray.TraysDesk;
import dev.lonja.store.tray.Tray;
import dev.lonja.web.frame.LineStates;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.List;

/** The list of trays. */
public record TraysView(List<Row> open, List<Row> handedOver) {

  public record Row(
      TrayId id,
      String number,
      String unit,
      String title,
      String when,
      String progress,
      State state) {}

  static TraysView of(TraysDesk.Rack rack, LocalDate today) {
    return new TraysView(rows(rack.open(), today), rows(rack.handedOver(), today));
  }

  private static List<Row> rows(List<TraysDesk.OnRack> trays, LocalDate today) {
    return trays.stream().map(onRack -> row(onRack, today)).toList();
  }

  private static Row row(TraysDesk.OnRack onRack, LocalDate today) {
    Tray tray = onRack.tray();
    return new Row(
        tray.id(),
        tray.number(),
        Words.whom(tray.unitCode()),
        tray.title(),
        when(tray, today),
        onRack.progress().laidCount() + "/" + onRack.progress().steps().size(),
        state(onRack));
  }

  static State state(TraysDesk.OnRack onRack) {
    return switch (onRack.tray().state()) {
      case OPEN -> LineStates.of(onRack.progress());
      case HANDED_OVER -> State.part("out");
      case BACK -> State.ready("back");
      case CLEARED -> State.open("put back");
    };
  }

  static String when(Tray tray, LocalDate today) {
    if (tray.backOn().isPresent()) {
      return "back from "
          + tray.mechanic().orElseThrow()
          + ", done "
          + Words.day(tray.backOn().get(), today);
    }
    return tray.handedOverOn()
        .map(day -> "to " + tray.mechanic().orElseThrow() + " on " + Words.day(day, today))
        .orElseGet(() -> Words.weekdayAndDay(tray.plannedOn()));
  }
}
