package dev.lonja.web.crossref;

import dev.lonja.core.crossref.Statement;
import dev.lonja.core.crossref.StatementKind;
import dev.lonja.core.crossref.Verdict;
import dev.lonja.core.part.PartId;
import dev.lonja.web.frame.Svg;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The numbers around a part as a map: the part at the left, others in columns by how many
 * statements away they are, in order of key. The same data always give the same drawing.
 */
final class MapDrawing {

  private static final int NODE_WIDTH = 176;
  private static final int NODE_HEIGHT = 46;
  private static final int COLUMN = 300;
  private static final int ROW = 66;
  private static final int MARGIN = 12;
  private static final int LANE = 15;

  /** Where on its way a line climbs: early, so that it lies flat under its word. */
  private static final double CLIMB = 0.3;

  /**
   * A number on the map.
   *
   * @param column statements away from the start
   * @param free "3 free", or "not stocked"
   * @param verdict empty for the start and for what is only named
   */
  record Node(
      PartId part,
      int column,
      String path,
      String make,
      String number,
      String free,
      Optional<Verdict> verdict) {}

  private MapDrawing() {}

  /**
   * @param nodes in the order in which they stand
   * @param statements between two of the nodes
   */
  static String of(List<Node> nodes, List<Statement> statements) {
    Map<Integer, Integer> rows = new HashMap<>();
    Map<PartId, int[]> corners = new LinkedHashMap<>();
    for (Node node : nodes) {
      int row = rows.merge(node.column(), 1, Integer::sum) - 1;
      corners.put(node.part(), new int[] {MARGIN + node.column() * COLUMN, MARGIN + row * ROW});
    }
    int columns = rows.keySet().stream().mapToInt(Integer::intValue).max().orElse(0) + 1;
    int tallest = rows.values().stream().mapToInt(Integer::intValue).max().orElse(1);
    Svg svg =
        Svg.withLinksInItsSize(
            2 * MARGIN + columns * COLUMN - (COLUMN - NODE_WIDTH),
            2 * MARGIN + tallest * ROW,
            "Numbers around " + nodes.get(0).number());
    Map<Set<PartId>, Integer> between = new HashMap<>();
    List<Runnable> words = new ArrayList<>();
    statements.stream()
        // a veto is drawn last, over whatever claims the fit
        .sorted(Comparator.comparing(statement -> statement.kind().permits() ? 0 : 1))
        .forEach(
            statement -> {
              Set<PartId> pair = Set.of(statement.subject(), statement.object());
              int lane = between.merge(pair, 1, Integer::sum) - 1;
              int[] subject = corners.get(statement.subject());
              int[] object = corners.get(statement.object());
              edge(svg, statement, subject, object, lane * LANE);
              words.add(() -> word(svg, statement, subject, object, lane * LANE));
            });
    // after all lines, so that none lies over a word
    words.forEach(Runnable::run);
    nodes.forEach(node -> node(svg, node, corners.get(node.part())));
    return svg.done();
  }

  private static void node(Svg svg, Node node, int[] corner) {
    boolean start = node.column() == 0;
    boolean out = node.verdict().filter(v -> v == Verdict.DOES_NOT_FIT).isPresent();
    String verdict = node.verdict().map(Verdict::words).orElse("");
    String words =
        node.make()
            + " "
            + node.number()
            + ", "
            + node.free()
            + (verdict.isEmpty() ? "" : ", " + verdict);
    svg.open(node.path(), words);
    svg.rect(
        corner[0],
        corner[1],
        NODE_WIDTH,
        NODE_HEIGHT,
        "fill=\""
            + (start ? "#d3dedb" : "#fbfcfb")
            + "\" stroke=\""
            + (out ? "#b8361c" : "#0e2b33")
            + "\" stroke-width=\""
            + (start ? "2.5" : "1.3")
            + "\"");
    svg.label(corner[0] + 8, corner[1] + 15, node.make(), "font-size=\"11.5\" fill=\"#44606a\"");
    svg.label(
        corner[0] + NODE_WIDTH - 8.0,
        corner[1] + 15,
        node.verdict().map(MapDrawing::mark).orElse("") + verdict,
        "text-anchor=\"end\" font-size=\"11.5\" font-weight=\"700\" fill=\""
            + (out ? "#b8361c" : "#0e2b33")
            + "\"");
    svg.label(
        corner[0] + 8,
        corner[1] + 36,
        node.number(),
        "font-size=\"15\" font-weight=\"700\" fill=\"#0e2b33\"");
    svg.label(
        corner[0] + NODE_WIDTH - 8.0,
        corner[1] + 36,
        node.free(),
        "text-anchor=\"end\" font-size=\"12\" fill=\"#44606a\"");
    svg.close(node.path());
  }

  private static String mark(Verdict verdict) {
    return switch (verdict) {
      case FITS -> "● ";
      case CHECK -> "◆ ";
      case STOPGAP -> "◐ ";
      case DOES_NOT_FIT -> "▲ ";
    };
  }

  /**
   * @param shift further down than the first line between the two, so that none hides another
   */
  private static void edge(Svg svg, Statement statement, int[] subject, int[] object, int shift) {
    String colour = colour(statement);
    String look =
        "stroke=\""
            + colour
            + "\" stroke-width=\""
            + (statement.kind() == StatementKind.SAME ? 2.6 : 1.4)
            + "\" fill=\"none\""
            + (statement.kind() == StatementKind.STANDS_IN ? " stroke-dasharray=\"5 4\"" : "");
    boolean sameColumn = subject[0] == object[0];
    boolean rightward = subject[0] < object[0];
    double x1 = subject[0] + (sameColumn || rightward ? NODE_WIDTH : 0);
    double x2 = object[0] + (sameColumn || !rightward ? NODE_WIDTH : 0);
    double y1 = subject[1] + NODE_HEIGHT / 2.0 + shift;
    double y2 = object[1] + NODE_HEIGHT / 2.0 + shift;
    double bend = sameColumn ? 34 : (rightward ? CLIMB : 1 - CLIMB) * (x2 - x1);
    double middleX = x1 + bend;
    svg.path(
        String.format(
            java.util.Locale.ROOT,
            "M%.1f %.1f C%.1f %.1f %.1f %.1f %.1f %.1f",
            x1,
            y1,
            middleX,
            y1,
            middleX,
            y2,
            x2,
            y2),
        look);
    // a one-way word points to what may be supplied: from the object to the subject
    if (statement.kind() == StatementKind.REPLACES || statement.kind() == StatementKind.STANDS_IN) {
      arrow(svg, x1, y1, sameColumn || rightward ? 1 : -1, colour);
    }
  }

  /** Beside the part that is further away, where no other line ends. */
  private static void word(Svg svg, Statement statement, int[] subject, int[] object, int shift) {
    boolean sameColumn = subject[0] == object[0];
    boolean objectIsFar = object[0] > subject[0] || (sameColumn && object[1] > subject[1]);
    int[] far = objectIsFar ? object : subject;
    double labelX = sameColumn ? far[0] + NODE_WIDTH + 34.0 : far[0] - 12.0;
    double labelY = far[1] + NODE_HEIGHT / 2.0 + shift - 4;
    svg.label(
        labelX,
        labelY,
        (statement.kind() == StatementKind.NEVER ? "✕ " : "") + shortWord(statement.kind()),
        "text-anchor=\"end\" font-size=\"12\" font-weight=\"600\" stroke=\"#e4ebe8\" "
            + "stroke-width=\"4\" paint-order=\"stroke\" fill=\""
            + colour(statement)
            + "\"");
  }

  private static String colour(Statement statement) {
    return statement.kind() == StatementKind.NEVER ? "#b8361c" : "#44606a";
  }

  private static void arrow(Svg svg, double x, double y, int side, String colour) {
    svg.path(
        String.format(java.util.Locale.ROOT, "M%.1f %.1f l%d -5 v10 z", x, y, 9 * side),
        "fill=\"" + colour + "\"");
  }

  private static String shortWord(StatementKind kind) {
    return switch (kind) {
      case SAME -> "same";
      case INTERCHANGE -> "interchange";
      case REPLACES -> "replaces";
      case STANDS_IN -> "stands in";
      case NEVER -> "never";
    };
  }
}
