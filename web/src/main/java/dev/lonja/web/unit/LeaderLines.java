package dev.lonja.web.unit;

import java.awt.geom.Line2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Which labels of a drawing stand above it and which below, and in what order, so that the lines to
 * what they name keep apart. Improves a first guess, highest things above, by exchanging two labels
 * as long as that helps; the same things always give the same answer.
 */
final class LeaderLines {

  private static final double CROSSING = 1_000_000;
  private static final double COVERING = 100_000;

  private final double width;
  private final double top;
  private final double bottom;
  private final double block;
  private final List<Spot> spots;

  /** Something in the drawing; its middle. */
  record Spot(double x, double y) {}

  /**
   * Where the labels stand, by their places in the list of spots.
   *
   * @param above from left to right
   * @param below from left to right
   */
  record Rows(List<Integer> above, List<Integer> below) {

    Rows {
      above = List.copyOf(above);
      below = List.copyOf(below);
    }
  }

  /**
   * @param top where lines to the labels above end
   * @param bottom where lines to the labels below end
   * @param block the side of what is drawn at a spot, which lines should not cover
   */
  LeaderLines(double width, double top, double bottom, double block, List<Spot> spots) {
    this.width = width;
    this.top = top;
    this.bottom = bottom;
    this.block = block;
    this.spots = spots;
  }

  Rows rows() {
    List<Integer> all = new ArrayList<>();
    for (int i = 0; i < spots.size(); i++) {
      all.add(i);
    }
    all.sort(Comparator.comparingDouble((Integer i) -> spots.get(i).y()).thenComparing(i -> i));
    int half = (all.size() + 1) / 2;
    List<Integer> order = new ArrayList<>(fromTheLeft(all.subList(0, half)));
    order.addAll(fromTheLeft(all.subList(half, all.size())));
    improve(order, half);
    return new Rows(order.subList(0, half), order.subList(half, order.size()));
  }

  private List<Integer> fromTheLeft(List<Integer> some) {
    return some.stream().sorted(Comparator.comparingDouble(i -> spots.get(i).x())).toList();
  }

  private void improve(List<Integer> order, int half) {
    double cost = cost(order, half);
    boolean better = true;
    while (better) {
      better = false;
      for (int i = 0; i < order.size(); i++) {
        for (int j = i + 1; j < order.size(); j++) {
          swap(order, i, j);
          double other = cost(order, half);
          if (other < cost - 1) {
            cost = other;
            better = true;
          } else {
            swap(order, i, j);
          }
        }
      }
    }
  }

  private static void swap(List<Integer> order, int i, int j) {
    Integer kept = order.get(i);
    order.set(i, order.get(j));
    order.set(j, kept);
  }

  /** Lines that cross, lines that cover what others lead to, and last how long they are. */
  private double cost(List<Integer> order, int half) {
    List<Line2D> lines = new ArrayList<>();
    for (int place = 0; place < order.size(); place++) {
      lines.add(line(order, half, place));
    }
    double cost = 0;
    for (int i = 0; i < lines.size(); i++) {
      Line2D line = lines.get(i);
      cost += Math.hypot(line.getX1() - line.getX2(), line.getY1() - line.getY2());
      for (int j = 0; j < lines.size(); j++) {
        if (j > i && line.intersectsLine(lines.get(j))) {
          cost += CROSSING;
        }
        if (j != i && line.intersects(blockOf(order.get(j)))) {
          cost += COVERING;
        }
      }
    }
    return cost;
  }

  private Line2D line(List<Integer> order, int half, int place) {
    boolean above = place < half;
    int count = above ? half : order.size() - half;
    double x = ((above ? place : place - half) + 0.5) * width / count;
    Spot spot = spots.get(order.get(place));
    return new Line2D.Double(x, above ? top : bottom, spot.x(), spot.y());
  }

  private Rectangle2D blockOf(int spot) {
    Spot at = spots.get(spot);
    return new Rectangle2D.Double(at.x() - block / 2, at.y() - block / 2, block, block);
  }
}
