package dev.lonja.web.crossref;

import dev.lonja.core.crossref.Comparison;
import dev.lonja.core.crossref.Finding;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.Property;
import dev.lonja.web.crossref.PartShape.Dimension;
import dev.lonja.web.frame.Svg;
import java.util.HashSet;
import java.util.Set;

/**
 * Parts drawn to scale: from the side and from below, with their dimensions; those in which two
 * parts differ are marked. One unit of the drawing is {@code scale} times a millimetre.
 */
final class ScaleDrawing {

  private static final String INK = "stroke=\"#0e2b33\" stroke-width=\"1.6\" fill=\"#fbfcfb\"";
  private static final String THIN = "stroke=\"#44606a\" stroke-width=\"0.9\" fill=\"none\"";
  private static final String GASKET = "stroke=\"#0e2b33\" stroke-width=\"1.2\" fill=\"#d3dedb\"";
  private static final String WORDS = "font-size=\"13\" fill=\"#0e2b33\"";
  private static final String MARKED = "stroke=\"#b8361c\" stroke-width=\"2.6\" fill=\"none\"";
  private static final String MARKED_WORDS =
      "font-size=\"13\" font-weight=\"700\" fill=\"#b8361c\"";

  private static final int COLUMN = 540;
  private static final int TALL = 470;
  private static final double WIDEST = 300;
  private static final double TALLEST = 380;

  private final Svg svg;
  private final double scale;
  private final Set<Property<?>> differing;

  private ScaleDrawing(Svg svg, double scale, Set<Property<?>> differing) {
    this.svg = svg;
    this.scale = scale;
    this.differing = differing;
  }

  /** Both beside each other in one scale; empty if neither can be drawn. */
  static String both(Part asked, Part offered, Comparison comparison) {
    PartShape left = PartShape.of(asked);
    PartShape right = PartShape.of(offered);
    if (!left.isDrawable() && !right.isDrawable()) {
      return "";
    }
    double across = Math.max(left.across(), right.across());
    double down =
        Math.max(left.sideHeight() + left.faceHeight(), right.sideHeight() + right.faceHeight());
    double scale = Math.min(WIDEST / across, TALLEST / Math.max(down, 1));
    Svg svg =
        new Svg(
            2 * COLUMN,
            TALL,
            asked.number() + " and " + offered.number() + " in one scale, from the side and below");
    ScaleDrawing drawing = new ScaleDrawing(svg, scale, differing(comparison));
    drawing.part(asked.make() + " " + asked.number(), left, COLUMN / 2.0 - 60, 24);
    drawing.part(offered.make() + " " + offered.number(), right, 1.5 * COLUMN - 60, 24);
    svg.line(COLUMN, 10, COLUMN, TALL - 10, "stroke=\"#b9c8c5\" stroke-width=\"1\"");
    return svg.done();
  }

  private static Set<Property<?>> differing(Comparison comparison) {
    Set<Property<?>> differing = new HashSet<>();
    comparison.findings().stream()
        .filter(Finding::differs)
        .forEach(finding -> differing.add(finding.property()));
    return differing;
  }

  /** The largest of 1:1, 1:2, 1:4 and 1:8 in which a part goes on the paper, as what is below. */
  static int reduction(Part part, double width, double height) {
    PartShape shape = PartShape.of(part);
    for (int below = 1; below < 8; below *= 2) {
      boolean fits =
          shape.across() / below <= width
              && (shape.sideHeight() + shape.faceHeight()) / below <= height;
      if (fits) {
        return below;
      }
    }
    return 8;
  }

  /**
   * One part for the paper, in units of a quarter millimetre so that lines and letters keep their
   * weight.
   */
  static String onPaper(Part part, Comparison comparison, int widthMm, int heightMm) {
    double unitsPerMm = 4;
    int reduction = reduction(part, widthMm - 70, heightMm - 20);
    Svg svg =
        new Svg(
            (int) (widthMm * unitsPerMm),
            (int) (heightMm * unitsPerMm),
            part.make() + " " + part.number());
    ScaleDrawing drawing = new ScaleDrawing(svg, unitsPerMm / reduction, differing(comparison));
    drawing.part("", PartShape.of(part), (widthMm - 60) * unitsPerMm / 2, 30);
    return svg.done();
  }

  /** A ruler of 100 mm with which to check that the printer did not scale. */
  static String ruler() {
    Svg svg = new Svg(420, 40, "ruler of 100 mm");
    svg.line(10, 10, 410, 10, "stroke=\"#000\" stroke-width=\"1\"");
    for (int mm = 0; mm <= 100; mm++) {
      int x = 10 + mm * 4;
      int tick = mm % 10 == 0 ? 24 : mm % 5 == 0 ? 19 : 15;
      svg.line(x, 10, x, tick, "stroke=\"#000\" stroke-width=\"0.7\"");
      if (mm % 20 == 0) {
        svg.label(x, 36, String.valueOf(mm), "text-anchor=\"middle\" font-size=\"11\"");
      }
    }
    return svg.done();
  }

  private void part(String name, PartShape shape, double centre, double top) {
    if (!name.isEmpty()) {
      svg.label(
          centre,
          top - 6,
          name,
          "text-anchor=\"middle\" font-size=\"15\" font-weight=\"700\" fill=\"#0e2b33\"");
    }
    double y = top + 22;
    double low = y;
    if (shape.width().isPresent() && shape.height().isPresent()) {
      low = shape.plug() ? plugSide(shape, centre, y) : side(shape, centre, y);
    } else if (!shape.plug()) {
      svg.label(
          centre, y + 6, "not all of its side is recorded", "text-anchor=\"middle\" " + WORDS);
      low = y + 10;
    }
    if (shape.depth().isPresent()) {
      slabFace(shape, centre, low + 26);
    } else {
      face(shape, centre, low + 26);
    }
  }

  private double side(PartShape shape, double centre, double y) {
    Dimension width = shape.width().orElseThrow();
    Dimension height = shape.height().orElseThrow();
    double w = width.millimetres() * scale;
    double h = height.millimetres() * scale;
    double left = centre - w / 2;
    svg.rect(left, y, w, h, "rx=\"" + Math.min(6, h / 4) + "\" " + INK);
    across(width, left, left + w, y - 8);
    upright(height, left + w + 12, y, y + h);
    for (Dimension ring : shape.rings()) {
      if (PartShape.isThread(ring)) {
        double t = ring.millimetres() * scale;
        svg.rect(
            centre - t / 2,
            y + h - Math.min(h, 9),
            t,
            Math.min(h, 9),
            "stroke-dasharray=\"3 2\" " + THIN);
      }
    }
    return y + h;
  }

  private double plugSide(PartShape shape, double centre, double y) {
    Dimension hex = shape.width().orElseThrow();
    Dimension shank = shape.height().orElseThrow();
    double head = hex.millimetres() * scale;
    double headHeight = head * 0.45;
    svg.rect(centre - head / 2, y, head, headHeight, INK);
    across(hex, centre - head / 2, centre + head / 2, y - 8);
    double h = shank.millimetres() * scale;
    double t =
        shape.rings().stream()
                .filter(PartShape::isThread)
                .mapToDouble(Dimension::millimetres)
                .findFirst()
                .orElse(hex.millimetres() / 2)
            * scale;
    svg.rect(centre - t / 2, y + headHeight, t, h, INK);
    upright(shank, centre + head / 2 + 12, y + headHeight, y + headHeight + h);
    return y + headHeight + h;
  }

  private void face(PartShape shape, double centre, double top) {
    double radius = shape.across() * scale / 2;
    double y = top + radius;
    shape
        .width()
        .filter(width -> !shape.plug())
        .ifPresent(width -> svg.circle(centre, y, width.millimetres() * scale / 2, INK));
    int at = 0;
    for (Dimension ring : shape.rings()) {
      double r = ring.millimetres() * scale / 2;
      svg.circle(centre, y, r, at == 0 ? GASKET : INK);
      at++;
    }
    at = 0;
    for (Dimension ring : shape.rings()) {
      boolean differs = differing.contains(ring.property());
      double r = ring.millimetres() * scale / 2;
      double wordsY = top + 12 + 22 * at;
      double angleY = y - r * 0.6;
      double edgeX = centre + Math.sqrt(r * r - r * r * 0.36);
      if (differs) {
        svg.circle(centre, y, r, MARKED);
      }
      svg.line(edgeX, angleY, centre + radius + 20, wordsY - 4, differs ? MARKED : THIN);
      words(ring, centre + radius + 24, wordsY, differs, "");
      at++;
    }
  }

  private void slabFace(PartShape shape, double centre, double top) {
    Dimension depth = shape.depth().orElseThrow();
    double w = shape.across() * scale;
    double d = depth.millimetres() * scale;
    svg.rect(centre - w / 2, top, w, d, INK);
    upright(depth, centre + w / 2 + 12, top, top + d);
  }

  private void across(Dimension dimension, double from, double to, double y) {
    boolean differs = differing.contains(dimension.property());
    String look = differs ? MARKED : THIN;
    svg.line(from, y, to, y, look);
    svg.line(from, y - 4, from, y + 4, look);
    svg.line(to, y - 4, to, y + 4, look);
    words(dimension, (from + to) / 2, y - 4, differs, "text-anchor=\"middle\" ");
  }

  private void upright(Dimension dimension, double x, double from, double to) {
    boolean differs = differing.contains(dimension.property());
    String look = differs ? MARKED : THIN;
    svg.line(x, from, x, to, look);
    svg.line(x - 4, from, x + 4, from, look);
    svg.line(x - 4, to, x + 4, to, look);
    words(dimension, x + 6, (from + to) / 2 + 4, differs, "");
  }

  private void words(Dimension dimension, double x, double y, boolean differs, String anchor) {
    svg.label(
        x, y, (differs ? "▲ " : "") + dimension.label(), anchor + (differs ? MARKED_WORDS : WORDS));
  }
}
