package dev.lonja.web.card;

import dev.lonja.core.fleet.Arrow;
import dev.lonja.core.fleet.Mounting;
import dev.lonja.core.fleet.Position;
import dev.lonja.web.frame.Svg;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * How a part sits, drawn for somebody who has it in the hand: its body with the opening on the side
 * to which it opens, and the arrow on it with what it points to.
 */
final class SeatDrawing {

  private static final int HALF = 40;
  private static final int BESIDE = 32;
  private static final int HEIGHT = 44;
  private static final String LINE = "fill=\"none\" stroke=\"#000\" stroke-width=\"1.8\"";
  private static final String FILLED = "fill=\"#000\"";

  private SeatDrawing() {}

  /** Empty where neither is said. */
  static Optional<JobCardView.Seat> of(Position position) {
    if (position.mounting().isEmpty() && position.arrow().isEmpty()) {
      return Optional.empty();
    }
    String words =
        Stream.concat(
                position.mounting().map(m -> "sits " + m.words()).stream(),
                position.arrow().map(a -> "arrow " + a.words()).stream())
            .collect(Collectors.joining(", "));
    boolean both = position.mounting().isPresent() && position.arrow().isPresent();
    Svg svg = new Svg(both ? HALF + BESIDE : HALF, HEIGHT, words);
    position.mounting().ifPresent(mounting -> body(svg, mounting));
    position.arrow().ifPresent(arrow -> arrow(svg, arrow, both ? HALF : BESIDE / 4));
    return Optional.of(new JobCardView.Seat(svg.done(), words));
  }

  /** A can, its threaded end narrower. */
  private static void body(Svg svg, Mounting mounting) {
    switch (mounting) {
      case UPRIGHT -> svg.rect(6, 12, 22, 28, LINE).rect(12, 5, 10, 7, FILLED);
      case INVERTED -> svg.rect(6, 4, 22, 28, LINE).rect(12, 32, 10, 7, FILLED);
      case SIDEWAYS -> svg.rect(3, 11, 26, 22, LINE).rect(29, 17, 6, 10, FILLED);
    }
  }

  /**
   * @param left where it begins; it is 24 wide
   */
  private static void arrow(Svg svg, Arrow arrow, int left) {
    int middle = left + 12;
    switch (arrow) {
      case UP -> svg.line(middle, 39, middle, 12, LINE).path(head(middle, 4, 10), FILLED);
      case DOWN -> svg.line(middle, 5, middle, 32, LINE).path(head(middle, 40, -10), FILLED);
      case TO_ENGINE -> right(svg, left).rect(left + 19, 10, 5, 24, FILLED);
      case TO_TANK -> right(svg, left).rect(left + 19, 10, 5, 24, LINE);
      case INWARD -> right(svg, left).line(left + 21, 8, left + 21, 36, LINE);
      case OUTWARD -> right(svg, left).line(left - 1, 8, left - 1, 36, LINE);
    }
  }

  private static String head(int tip, int y, int length) {
    return "M" + tip + " " + y + " l-6 " + length + " h12 z";
  }

  private static Svg right(Svg svg, int left) {
    return svg.line(left + 2, 22, left + 10, 22, LINE)
        .path("M" + (left + 17) + " 22 l-9 -6 v12 z", FILLED);
  }
}
