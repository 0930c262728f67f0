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

  private static final int WIDTH = 64;
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
    Svg svg = new Svg(WIDTH, HEIGHT, words);
    position.mounting().ifPresent(mounting -> body(svg, mounting));
    position.arrow().ifPresent(arrow -> arrow(svg, arrow));
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

  private static void arrow(Svg svg, Arrow arrow) {
    switch (arrow) {
      case UP -> svg.line(50, 39, 50, 12, LINE).path("M50 4 l-6 10 h12 z", FILLED);
      case DOWN -> svg.line(50, 5, 50, 32, LINE).path("M50 40 l-6 -10 h12 z", FILLED);
      case TO_ENGINE -> right(svg).rect(57, 10, 5, 24, FILLED);
      case TO_TANK -> right(svg).rect(57, 10, 5, 24, LINE);
      case INWARD -> right(svg).line(59, 8, 59, 36, LINE);
      case OUTWARD -> right(svg).line(37, 8, 37, 36, LINE);
    }
  }

  private static Svg right(Svg svg) {
    return svg.line(40, 22, 48, 22, LINE).path("M55 22 l-9 -6 v12 z", FILLED);
  }
}
