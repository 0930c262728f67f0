package dev.lonja.web.tray;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.BoxContent;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.take.TakeLine;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.core.tray.TrayPurpose;
import dev.lonja.desk.tray.TrayFile;
import dev.lonja.web.frame.Beside;
import dev.lonja.web.frame.LevelWording;
import dev.lonja.web.frame.Words;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Why a line is on a tray and what to watch for, in words. */
public final class TrayWording {

  private static final Cases<TakeLine.Reason, String> REASON =
      Cases.<TakeLine.Reason, String>over(TakeLine.Reason.class)
          .when(
              TakeLine.Reason.Fill.class,
              fill ->
                  fill.condition().words()
                      + ", "
                      + Beside.of(fill.capacity())
                      + fill.filterVolume()
                          .map(v -> " with " + Beside.of(v) + " in the filter")
                          .orElse("")
                      + ", "
                      + percent(fill.handlingLoss())
                      + " handling loss"
                      + fill.mix()
                          .map(mix -> ", " + MixWording.percent(mix.share()) + " concentrate")
                          .orElse(""))
          .when(
              TakeLine.Reason.Flush.class,
              flush -> "flushes the " + flush.compartment().toLowerCase() + " before it is drained")
          .when(
              TakeLine.Reason.NewSeal.class,
              seal -> "new seal whenever the " + seal.compartment().toLowerCase() + " is drained")
          .when(
              TakeLine.Reason.NewPlug.class,
              plug -> "new plug whenever the " + plug.compartment().toLowerCase() + " is drained")
          .when(
              TakeLine.Reason.OnInspection.class,
              look -> "replaced in " + share(look.chance(), "inspections"))
          .when(
              TakeLine.Reason.Insurance.class,
              in -> "brought in case, used on " + share(in.chance(), "trays"))
          .when(
              TakeLine.Reason.Kit.class,
              kit -> "covers " + Words.count(kit.lines(), "line", "lines"))
          .when(TakeLine.Reason.Part.class, part -> "replaced every time")
          .when(
              TakeLine.Reason.Greasing.class,
              grease -> Words.strokes(grease.points(), grease.strokes()))
          .all();

  private TrayWording() {}

  /** What a tray may be started for that nobody planned, by the words that forms have for it. */
  static final Map<String, TrayPurpose> UNPLANNED = unplanned();

  private static Map<String, TrayPurpose> unplanned() {
    Map<String, TrayPurpose> purposes = new LinkedHashMap<>();
    purposes.put("breakdown", TrayPurpose.BREAKDOWN);
    purposes.put("leak", TrayPurpose.LEAK);
    purposes.put("top-up", TrayPurpose.TOP_UP);
    purposes.put("workshop supplies", TrayPurpose.SUPPLIES);
    return purposes;
  }

  /**
   * "Drain with filter. Pour 5.70 L first, keep 700 mL for after running."
   *
   * @param items those that the tray's lines name
   */
  public static String note(LineReason reason, Map<ItemId, Item> items) {
    return Cases.<LineReason, String>over(LineReason.class)
        .when(LineReason.Fill.class, TrayWording::fill)
        .when(
            LineReason.Flush.class,
            flush ->
                "Flush: pour it into the old fluid, run the engine as its label says, and drain the"
                    + " two together; they are waste.")
        .when(LineReason.Part.class, LineReason.Part::note)
        .when(LineReason.NewSeal.class, LineReason.NewSeal::note)
        .when(LineReason.NewPlug.class, LineReason.NewPlug::note)
        .when(
            LineReason.Insurance.class,
            in -> join("In case it breaks; comes back if unused.", in.note()))
        .when(
            LineReason.OnInspection.class,
            look -> join("Only if worn; comes back if unused.", look.note()))
        .when(
            LineReason.Kit.class,
            kit ->
                "Covers "
                    + Words.count(kit.lines(), "line", "lines")
                    + "; what is left over comes back.")
        .when(
            LineReason.NotInBox.class,
            box ->
                "Came in the box of " + items.get(box.original()).number() + "; this box lacks it.")
        .when(LineReason.Wanted.class, wanted -> "")
        .when(LineReason.ByHand.class, hand -> join("Put on by hand.", hand.note()))
        .all()
        .apply(reason);
  }

  /** "In it: 1 × RV 1180-2, 2 × Al 14×18×1.5."; empty for what is no kit. */
  public static String inside(TrayFile file, TrayLine line) {
    List<BoxContent> contents = file.kits().getOrDefault(line.itemId(), List.of());
    return contents.isEmpty()
        ? ""
        : contents.stream()
            .map(content -> content.quantity() + " × " + content.part().number())
            .collect(Collectors.joining(", ", "In it: ", "."));
  }

  /** How the level is read where a line goes; empty for parts, and where nobody has said. */
  public static String level(TrayFile.Line line) {
    return line.fluid()
        .filter(fluid -> line.step().line().reason() instanceof LineReason.Fill)
        .map(
            fluid ->
                LevelWording.of(
                    fluid.compartment(),
                    fluid.product(),
                    Volume.ofLitres(line.step().line().wanted().amount())))
        .orElse("");
  }

  /** Why something else lies on a line. */
  static String why(TrayLine.Substitution substitution) {
    return substitution.why().isEmpty() ? "other packs of the same product" : substitution.why();
  }

  /** Why a service takes something, where the chance and the loss explain the figure. */
  public static String reason(TakeLine.Reason reason) {
    return REASON.apply(reason);
  }

  private static String fill(LineReason.Fill fill) {
    Volume pour = fill.firstPour().pour();
    Volume reserve = fill.firstPour().reserve();
    Volume preFill = fill.firstPour().preFill();
    String filter =
        preFill.equals(Volume.ZERO) ? "" : "Pour " + Beside.of(preFill) + " into the filter. ";
    String amounts = filter + amounts(pour, reserve);
    String condition = fill.condition().words();
    return Words.capital(condition)
        + ". "
        + amounts
        + fill.mix().map(mix -> " " + MixWording.of(mix)).orElse("");
  }

  private static String amounts(Volume pour, Volume reserve) {
    if (pour.equals(Volume.ZERO)) {
      return "Pour slowly and read the level.";
    }
    return reserve.equals(Volume.ZERO)
        ? "Pour " + Beside.of(pour) + " at once."
        : "Pour " + Beside.of(pour) + " first, keep " + Beside.of(reserve) + " for after running.";
  }

  private static String share(ReplacementChance chance, String of) {
    return percent(chance.value())
        + " of "
        + of
        + (chance.isLearned()
            ? ": " + chance.replaced() + " of " + chance.inspected() + " recorded"
            : ", until 5 are recorded");
  }

  private static String percent(BigDecimal share) {
    return PlainDecimal.of(share.movePointRight(2).setScale(1, RoundingMode.HALF_UP)) + " %";
  }

  private static String join(String one, String other) {
    return other.isEmpty() ? one : one + " " + other;
  }
}
