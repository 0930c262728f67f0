package dev.lonja.web.item;

import dev.lonja.core.item.Item;
import dev.lonja.core.part.BoxContent;
import dev.lonja.core.part.Family;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.take.KitCover;
import dev.lonja.core.take.TakeLine;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.item.KitDesk;
import dev.lonja.desk.item.ServiceJob;
import dev.lonja.web.frame.KitRangeWording;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.Words;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * A kit: what is in it, and what of a chosen service it covers.
 *
 * @param madeFor which machines it is made for
 * @param services that may be chosen, the current one marked
 * @param held against the chosen service; nothing before one is chosen
 */
public record KitView(
    Plate plate,
    String description,
    String free,
    List<ContentRow> contents,
    MadeFor madeFor,
    List<ServiceChoice> services,
    Held held,
    List<TrayChoice> trays) {

  /**
   * Which machines a kit is made for.
   *
   * @param words empty if it is for any that its contents match
   * @param fields what the form begins with
   * @param stamp what was noted when the page was shown
   */
  public record MadeFor(
      String words, Map<String, String> fields, List<Integer> rows, String stamp) {}

  /**
   * The kit against a service.
   *
   * @param answer what came of it, in a sentence; empty before a service is chosen
   */
  public record Held(
      String answer, List<LineRow> covered, List<LineRow> missing, List<LineRow> surplus) {}

  /** Something in the kit; {@code loose} is empty if it cannot be booked loose. */
  public record ContentRow(Plate plate, String what, int quantity, String loose) {}

  /** A service of a variant. */
  public record ServiceChoice(String value, String words, boolean current) {}

  /** A line of the job or of the kit. */
  public record LineRow(String place, String number, String quantity) {}

  /** An open tray on which the kit may be laid. */
  public record TrayChoice(TrayId id, String words) {}

  static KitView of(KitDesk.KitFile file, String service) {
    return new KitView(
        Plate.of(file.kit()),
        file.kit().description(),
        file.freeOf(file.kit()).display(),
        file.contents().stream().map(content -> row(file, content)).toList(),
        new MadeFor(
            file.ranges().isEmpty() ? "" : Words.capital(KitRangeWording.of(file.ranges())) + ".",
            KitRangeForm.fields(file.ranges()),
            IntStream.range(0, KitRangeForm.MOST_ROWS).boxed().toList(),
            KitDesk.stamp(file.ranges())),
        file.jobs().stream().map(job -> choice(job, service)).toList(),
        file.held()
            .map(held -> held(file, held))
            .orElse(new Held("", List.of(), List.of(), List.of())),
        file.trays().stream()
            .map(
                tray ->
                    new TrayChoice(
                        tray.id(),
                        tray.number() + " " + Words.whom(tray.unitCode()) + " " + tray.title()))
            .toList());
  }

  private static Held held(KitDesk.KitFile file, KitDesk.Held held) {
    KitCover cover = held.cover();
    return new Held(
        madeFor(file, held) + answer(cover),
        cover.covered().stream().map(one -> line(held, one.line(), one.pieces())).toList(),
        cover.missing().stream().map(line -> line(held, line, line.toLay())).toList(),
        cover.surplus().stream().map(left -> surplus(file, left)).toList());
  }

  /** What stands before the comparison where the kit is made for other machines. */
  private static String madeFor(KitDesk.KitFile file, KitDesk.Held held) {
    String machine = held.job().variant().display();
    return switch (held.madeFor()) {
      case IN -> "";
      case OUT -> "It is not made for " + machine + ". ";
      case NOT_KNOWN ->
          "Whether it is made for "
              + machine
              + " is not known, since "
              + KitRangeWording.of(file.ranges())
              + " says what is not noted of that variant. ";
    };
  }

  private static ServiceChoice choice(ServiceJob job, String chosen) {
    return new ServiceChoice(
        job.name(), job.variant().display() + ": " + job.service(), job.name().equals(chosen));
  }

  private static LineRow line(KitDesk.Held held, TakeLine line, Quantity pieces) {
    return new LineRow(
        line.place(),
        Optional.ofNullable(held.named().get(line.itemId())).map(Item::number).orElse(""),
        pieces.display());
  }

  private static LineRow surplus(KitDesk.KitFile file, KitCover.Surplus left) {
    return new LineRow(
        "", file.contents().get(left.content()).part().number(), left.pieces().display());
  }

  private static ContentRow row(KitDesk.KitFile file, BoxContent content) {
    Optional<Item> item = Optional.ofNullable(file.items().get(content.part().id()));
    return new ContentRow(
        Plate.of(content.part(), item),
        item.map(Item::description)
            .orElseGet(() -> content.part().family().map(Family::words).orElse("")),
        content.quantity(),
        item.map(i -> file.freeOf(i).display()).orElse(""));
  }

  private static String answer(KitCover cover) {
    if (cover.covered().isEmpty()) {
      return "The kit covers nothing of this service.";
    }
    if (cover.isExact()) {
      return "The kit is exactly what this service takes, fluids aside.";
    }
    return "The kit covers "
        + Words.count(cover.coveredPieces().longValue(), "piece", "pieces")
        + "; "
        + cover.missing().size()
        + " missing, "
        + cover.surplus().size()
        + " left over.";
  }
}
