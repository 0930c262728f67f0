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
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * A kit: what is in it, and what of a chosen service it covers.
 *
 * @param services that may be chosen, the current one marked
 * @param answer what came of the comparison, in a sentence; empty before a service is chosen
 */
public record KitView(
    Plate plate,
    String description,
    String free,
    List<ContentRow> contents,
    List<ServiceChoice> services,
    String answer,
    List<LineRow> covered,
    List<LineRow> missing,
    List<LineRow> surplus,
    List<TrayChoice> trays) {

  /** Something in the kit; {@code loose} is empty if it cannot be booked loose. */
  public record ContentRow(Plate plate, String what, int quantity, String loose) {}

  /** A service of a variant. */
  public record ServiceChoice(String value, String words, boolean current) {}

  /** A line of the job or of the kit. */
  public record LineRow(String place, String number, String quantity) {}

  /** An open tray on which the kit may be laid. */
  public record TrayChoice(TrayId id, String words) {}

  static KitView of(KitDesk.KitFile file, String service) {
    Optional<KitCover> cover = file.cover();
    return new KitView(
        Plate.of(file.kit()),
        file.kit().description(),
        file.freeOf(file.kit()).display(),
        file.contents().stream().map(content -> row(file, content)).toList(),
        file.jobs().stream().map(job -> choice(job, service)).toList(),
        cover.map(KitView::answer).orElse(""),
        rows(cover, c -> c.covered().stream().map(l -> line(file, l.line(), l.pieces()))),
        rows(cover, c -> c.missing().stream().map(l -> line(file, l, l.toLay()))),
        rows(cover, c -> c.surplus().stream().map(left -> surplus(file, left))),
        file.trays().stream()
            .map(
                tray ->
                    new TrayChoice(
                        tray.id(),
                        tray.number() + " " + Words.whom(tray.unitCode()) + " " + tray.title()))
            .toList());
  }

  private static List<LineRow> rows(
      Optional<KitCover> cover, Function<KitCover, Stream<LineRow>> of) {
    return cover.stream().flatMap(of).toList();
  }

  private static ServiceChoice choice(ServiceJob job, String chosen) {
    return new ServiceChoice(
        job.name(), job.variant().display() + ": " + job.service(), job.name().equals(chosen));
  }

  private static LineRow line(KitDesk.KitFile file, TakeLine line, Quantity pieces) {
    return new LineRow(
        line.place(),
        Optional.ofNullable(file.named().get(line.itemId())).map(Item::number).orElse(""),
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
