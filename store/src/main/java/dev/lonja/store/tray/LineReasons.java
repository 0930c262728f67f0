package dev.lonja.store.tray;

import static dev.lonja.store.schema.Tables.TRAY_LINE;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.mixture.Mix;
import dev.lonja.core.pour.FirstPour;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.tray.LineReason;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.jooq.Field;
import org.jooq.Record;

/** The columns that say why a line is on a tray. */
final class LineReasons {

  private static final Cases<LineReason, Map<Field<?>, Object>> COLUMNS =
      Cases.<LineReason, Map<Field<?>, Object>>over(LineReason.class)
          .when(LineReason.Fill.class, LineReasons::fill)
          .when(LineReason.Flush.class, flush -> Map.of(TRAY_LINE.REASON, "FLUSH"))
          .when(LineReason.Part.class, part -> noted("PART", part.note()))
          .when(LineReason.NewSeal.class, seal -> noted("NEW_SEAL", seal.note()))
          .when(LineReason.NewPlug.class, plug -> noted("NEW_PLUG", plug.note()))
          .when(LineReason.Insurance.class, in -> noted("INSURANCE", in.note()))
          .when(LineReason.OnInspection.class, look -> noted("ON_INSPECTION", look.note()))
          .when(
              LineReason.Kit.class,
              kit -> Map.of(TRAY_LINE.REASON, "KIT", TRAY_LINE.KIT_LINES, (long) kit.lines()))
          .when(
              LineReason.NotInBox.class,
              box -> Map.of(TRAY_LINE.REASON, "NOT_IN_BOX", TRAY_LINE.BOX_OF_ID, box.original()))
          .when(LineReason.Wanted.class, wanted -> Map.of(TRAY_LINE.REASON, "WANTED"))
          .when(LineReason.ByHand.class, hand -> noted("BY_HAND", hand.note()))
          .all();

  private static final int SHARE_DECIMALS = 4;

  private LineReasons() {}

  private static Map<Field<?>, Object> fill(LineReason.Fill fill) {
    Map<Field<?>, Object> columns = new HashMap<>();
    columns.put(TRAY_LINE.REASON, "FILL");
    columns.put(TRAY_LINE.CONDITION, fill.condition().name());
    columns.put(TRAY_LINE.FIRST_POUR_UL, fill.firstPour().pour().microlitres());
    columns.put(TRAY_LINE.RESERVE_UL, fill.firstPour().reserve().microlitres());
    columns.put(TRAY_LINE.PRE_FILL_UL, fill.firstPour().preFill().microlitres());
    fill.mix()
        .ifPresent(
            mix -> {
              columns.put(
                  TRAY_LINE.MIX_SHARE_E4,
                  mix.share().movePointRight(SHARE_DECIMALS).longValueExact());
              columns.put(TRAY_LINE.MIX_WATER_UL, mix.water().microlitres());
              columns.put(TRAY_LINE.MIX_GENERAL, mix.isGeneral() ? 1L : 0L);
              mix.protectsTo()
                  .ifPresent(
                      frost -> columns.put(TRAY_LINE.MIX_TENTHS_C, (long) frost.tenthsCelsius()));
            });
    return columns;
  }

  private static Optional<Mix> mix(Record row) {
    return Optional.ofNullable(row.get(TRAY_LINE.MIX_SHARE_E4))
        .map(
            share ->
                new Mix(
                    BigDecimal.valueOf(share, SHARE_DECIMALS),
                    new Volume(row.get(TRAY_LINE.MIX_WATER_UL)),
                    Optional.ofNullable(row.get(TRAY_LINE.MIX_TENTHS_C))
                        .map(Math::toIntExact)
                        .map(Temperature::new),
                    row.get(TRAY_LINE.MIX_GENERAL) == 1));
  }

  static Map<Field<?>, Object> columns(LineReason reason) {
    return COLUMNS.apply(reason);
  }

  private static Map<Field<?>, Object> noted(String reason, String note) {
    return Map.of(TRAY_LINE.REASON, reason, TRAY_LINE.NOTE, note);
  }

  static LineReason of(Record row) {
    String note = row.get(TRAY_LINE.NOTE);
    return switch (row.get(TRAY_LINE.REASON)) {
      case "FILL" ->
          new LineReason.Fill(
              FillCondition.valueOf(row.get(TRAY_LINE.CONDITION)),
              new FirstPour(
                  new Volume(row.get(TRAY_LINE.FIRST_POUR_UL)),
                  new Volume(row.get(TRAY_LINE.RESERVE_UL)),
                  new Volume(row.get(TRAY_LINE.PRE_FILL_UL))),
              mix(row));
      case "FLUSH" -> new LineReason.Flush();
      case "PART" -> new LineReason.Part(note);
      case "NEW_SEAL" -> new LineReason.NewSeal(note);
      case "NEW_PLUG" -> new LineReason.NewPlug(note);
      case "INSURANCE" -> new LineReason.Insurance(note);
      case "ON_INSPECTION" -> new LineReason.OnInspection(note);
      case "KIT" ->
          new LineReason.Kit(Math.toIntExact(row.get(TRAY_LINE.KIT_LINES)), KitTasks.of(row));
      case "NOT_IN_BOX" -> new LineReason.NotInBox(row.get(TRAY_LINE.BOX_OF_ID));
      case "WANTED" -> new LineReason.Wanted();
      case "BY_HAND" -> new LineReason.ByHand(note);
      default ->
          throw new IllegalStateException(
              "reason is " + row.get(TRAY_LINE.REASON) + " in the store");
    };
  }
}
