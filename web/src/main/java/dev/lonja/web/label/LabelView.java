package dev.lonja.web.label;

import dev.lonja.core.item.Item;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.StockedLot;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.tank.Dispenser;
import dev.lonja.desk.fluid.Hazards;
import dev.lonja.desk.label.LabelDesk;
import dev.lonja.store.tray.Tray;
import dev.lonja.web.document.ScanCode;
import dev.lonja.web.due.DueWording;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Words;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A label.
 *
 * @param bars true if the code is drawn in bars, false for a matrix
 */
public record LabelView(String small, String large, List<String> lines, String code, boolean bars) {

  /** Of more hazards there is room for the titles alone. */
  private static final int MOST_TEXTS = 3;

  /** From so many lines on they are set smaller. */
  private static final int MANY = 4;

  /** True if it has more to say than most. */
  public boolean isDense() {
    return lines.size() >= MANY;
  }

  static LabelView of(Item item) {
    String key = item.key().text();
    return coded(
        item.make(),
        item.number(),
        List.of(item.description(), "bin " + item.homeBin().address()),
        key);
  }

  static LabelView of(LabelDesk.LotLabel lot) {
    StockedLot stocked = lot.lot().lot();
    return coded(
        lot.item().make() + " " + lot.item().number(),
        lot.lot().lotCode(),
        List.of(
            lot.item().description(),
            stocked.condition() == LotCondition.NEW
                ? "received " + stocked.receivedOn()
                : stocked.condition().words() + ", here since " + stocked.receivedOn(),
            stocked.expiresOn().map(day -> "good through " + day).orElse("no last day")),
        lot.item().key().text());
  }

  /** A can into which some of a product is decanted: what it is, what it does, until when. */
  static LabelView of(LabelDesk.DecantedLabel of, LocalDate today) {
    Drum drum = Drum.of(of.product());
    List<String> lines = new ArrayList<>();
    lines.add((drum.kind() + " " + drum.grade() + " " + drum.classes()).strip());
    if (of.hazards().size() <= MOST_TEXTS) {
      of.hazards().forEach(hazard -> lines.add(hazard.title() + ": " + hazard.text()));
    } else {
      lines.add(of.hazards().stream().map(Hazards.Text::title).collect(Collectors.joining(" · ")));
    }
    lines.add(
        "filled " + today + of.opened().map(days -> ", use by " + today.plusDays(days)).orElse(""));
    lines.add(
        of.sheet()
            .map(day -> "see the safety data sheet of " + day)
            .orElse("see the safety data sheet"));
    return new LabelView(
        of.product().make(),
        of.product().name(),
        lines,
        ScanCode.dataMatrix(
            of.pack().map(item -> item.key().text()).orElse(of.product().display())),
        false);
  }

  static LabelView of(Item.Bin bin) {
    return coded("bin", bin.address(), List.of(), bin.address());
  }

  /** What fluids are poured with; scanned on a tray it says with what. */
  static LabelView of(Dispenser dispenser) {
    return coded("pour with", dispenser.name(), List.of(), dispenser.name());
  }

  static LabelView of(Tray tray) {
    return coded(
        "tray " + tray.number(),
        Words.whom(tray.unitCode()),
        List.of(tray.title(), "for " + tray.plannedOn()),
        tray.number());
  }

  static LabelView of(LabelDesk.MachineLabel machine) {
    return coded(
        machine.unit().variant().display(),
        machine.unit().code(),
        List.of(machine.unit().name()),
        machine.unit().code());
  }

  /** When a machine comes in next; its code finds the machine. */
  static LabelView sticker(LabelDesk.MachineLabel machine, LocalDate today) {
    return coded(
        "next service of",
        machine.unit().code(),
        machine
            .next()
            .map(
                next ->
                    List.of(
                        next.title(),
                        next.tasks().get(0).task().name()
                            + " "
                            + DueWording.limits(next.tasks().get(0).due(), today),
                        "as of " + today))
            .orElse(List.of("nothing is planned", "as of " + today)),
        machine.unit().code());
  }

  /** What is written on the filters of a job: the machine, the day and what its meters showed. */
  static LabelView of(LabelDesk.FilterMark mark) {
    String shown =
        mark.shown().entrySet().stream()
            .map(meter -> meter.getKey() + " " + meter.getValue().display())
            .collect(Collectors.joining(", "));
    return coded(
        "new on " + mark.on(),
        mark.tray().unitCode().orElseThrow(),
        Stream.concat(
                Stream.of(shown).filter(words -> !words.isEmpty()),
                mark.filters().stream().map(filter -> filter.make() + " " + filter.number()))
            .toList(),
        mark.tray().number());
  }

  /** In bars where they can write it, else as a matrix; either is found by what it says. */
  private static LabelView coded(String small, String large, List<String> lines, String code) {
    boolean plain =
        StandardCharsets.US_ASCII.newEncoder().canEncode(code) && PartKey.of(code).isPresent();
    return new LabelView(
        small, large, lines, plain ? ScanCode.code128(code) : ScanCode.dataMatrix(code), plain);
  }
}
