package dev.lonja.web.crossref;

import dev.lonja.core.crossref.Comparison;
import dev.lonja.core.part.Part;
import dev.lonja.desk.crossref.CompareDesk;
import dev.lonja.web.frame.Plate;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Two parts beside each other: drawn to one scale, and property by property.
 *
 * @param place "RT-04, oil filter"; empty if the two are compared as such
 * @param drawing empty if nothing of them can be drawn
 */
public record CompareView(
    Plate asked,
    Plate offered,
    String place,
    List<String> reasons,
    String drawing,
    List<FindingWording.Row> rows,
    String query) {

  private static final int PAPER_WIDTH = 186;
  private static final int PAPER_HEIGHT = 205;

  /** A part on the paper; {@code reduction} is 1 for the true size. */
  public record Sheet(String title, String drawing, int reduction) {}

  static CompareView of(CompareDesk.Compared pair) {
    String query = "asked=" + pair.asked().id() + "&offered=" + pair.offered().id();
    return new CompareView(
        plate(pair, pair.asked()),
        plate(pair, pair.offered()),
        pair.place().map(p -> p.unit().code() + ", " + p.position().name()).orElse(""),
        FindingWording.reasons(pair.comparison()),
        ScaleDrawing.both(pair.asked(), pair.offered(), pair.comparison()),
        pair.comparison().findings().stream().map(FindingWording::row).toList(),
        query
            + pair.place()
                .map(p -> "&unit=" + p.unit().code() + "&position=" + p.position().id())
                .orElse(""));
  }

  private static Plate plate(CompareDesk.Compared pair, Part part) {
    return Plate.of(part, pair.shelf().item(part.id()));
  }

  /** The same for paper, each part in its true size where that goes on a sheet. */
  static Map<String, Object> onPaper(CompareDesk.Compared pair) {
    List<Sheet> sheets =
        Stream.of(pair.asked(), pair.offered())
            .distinct()
            .map(part -> sheet(part, pair.comparison()))
            .toList();
    return Map.of(
        "sheets",
        sheets,
        "ruler",
        ScaleDrawing.ruler(),
        "rows",
        pair.comparison().findings().stream().map(FindingWording::row).toList());
  }

  private static Sheet sheet(Part part, Comparison comparison) {
    return new Sheet(
        part.make() + " " + part.number(),
        ScaleDrawing.onPaper(part, comparison, PAPER_WIDTH, PAPER_HEIGHT),
        ScaleDrawing.reduction(part, PAPER_WIDTH - 70.0, PAPER_HEIGHT - 20.0));
  }
}
