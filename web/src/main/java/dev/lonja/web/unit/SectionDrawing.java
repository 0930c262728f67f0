package dev.lonja.web.unit;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.Outline;
import dev.lonja.web.frame.Svg;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * A plain side section of a machine: its outline by class, its compartments as numbered blocks
 * where they sit, and a label to each. It says where things are, not how they look.
 */
final class SectionDrawing {

  private static final int WIDTH = 640;
  private static final int HEIGHT = 282;
  private static final int TOP = 56;
  private static final int BLOCK = 26;
  private static final int LABEL_LINE = 15;
  private static final double LINES_FROM = 3 * LABEL_LINE + 6;
  private static final double LINES_TO = HEIGHT - 3 * LABEL_LINE - 6;
  private static final String OUTLINE = "fill=\"#fbfcfb\" stroke=\"#44606a\" stroke-width=\"1.5\"";
  private static final String BLOCK_LOOK = "fill=\"#0b6573\" stroke=\"#fbfcfb\" stroke-width=\"2\"";
  private static final String LEADER = "stroke=\"#44606a\" stroke-width=\"1\"";

  /**
   * A compartment with what its label says.
   *
   * @param amount and grades, a line each with " · " between them
   * @param link leads to where it is told in full
   */
  record Labelled(Compartment compartment, String amount, String link) {}

  private record Block(Labelled labelled, double x, double y) {}

  private SectionDrawing() {}

  static String draw(Outline outline, List<Labelled> compartments, String title) {
    Svg svg = Svg.withLinks(WIDTH, HEIGHT, title);
    OutlineShapes.draw(svg, outline, TOP, OUTLINE);
    List<Block> blocks = blocks(outline, compartments);
    LeaderLines.Rows rows =
        new LeaderLines(
                WIDTH,
                LINES_FROM,
                LINES_TO,
                BLOCK,
                blocks.stream().map(b -> new LeaderLines.Spot(b.x(), b.y())).toList())
            .rows();
    labels(svg, rows.above().stream().map(blocks::get).toList(), true);
    labels(svg, rows.below().stream().map(blocks::get).toList(), false);
    for (int i = 0; i < blocks.size(); i++) {
      Block block = blocks.get(i);
      svg.rect(block.x() - BLOCK / 2.0, block.y() - BLOCK / 2.0, BLOCK, BLOCK, BLOCK_LOOK);
      svg.label(
          block.x(),
          block.y() + 5,
          String.valueOf(compartments.indexOf(block.labelled()) + 1),
          "text-anchor=\"middle\" font-size=\"14\" font-weight=\"700\" fill=\"#ffffff\"");
    }
    return svg.done();
  }

  /** From front to rear; blocks that would cover each other stand side by side. */
  private static List<Block> blocks(Outline outline, List<Labelled> compartments) {
    List<Block> placed = new ArrayList<>();
    for (Labelled labelled : compartments) {
      Compartment.Kind kind = labelled.compartment().kind();
      boolean another =
          placed.stream().anyMatch(block -> block.labelled().compartment().kind() == kind);
      OutlineShapes.Spot spot =
          another ? OutlineShapes.another(outline, kind) : OutlineShapes.spot(outline, kind);
      double x = spot.x();
      double y = TOP + spot.y();
      while (covers(placed, x, y)) {
        x += BLOCK + 4;
        if (x > WIDTH - BLOCK) {
          x = spot.x();
          y -= BLOCK + 4;
        }
      }
      placed.add(new Block(labelled, x, y));
    }
    placed.sort(Comparator.comparingDouble(Block::x));
    return placed;
  }

  private static boolean covers(List<Block> placed, double x, double y) {
    return placed.stream()
        .anyMatch(block -> Math.abs(block.x() - x) < BLOCK && Math.abs(block.y() - y) < BLOCK);
  }

  private static void labels(Svg svg, List<Block> blocks, boolean above) {
    double width = blocks.isEmpty() ? WIDTH : (double) WIDTH / blocks.size();
    for (int i = 0; i < blocks.size(); i++) {
      Block block = blocks.get(i);
      double x = (i + 0.5) * width;
      double y = above ? LABEL_LINE : HEIGHT - 2 * LABEL_LINE - 6.0;
      svg.line(x, above ? LINES_FROM : LINES_TO, block.x(), block.y(), LEADER);
      svg.open(block.labelled().link(), block.labelled().compartment().name());
      svg.label(
          x,
          y,
          block.labelled().compartment().name(),
          "text-anchor=\"middle\" font-size=\"13\" font-weight=\"700\" fill=\"#0b6573\"");
      double line = y;
      for (String words : block.labelled().amount().split(" · ")) {
        line += LABEL_LINE;
        svg.label(x, line, words, "text-anchor=\"middle\" font-size=\"13\" fill=\"#0e2b33\"");
      }
      svg.close(block.labelled().link());
    }
  }
}
