package dev.lonja.web.pour;

import dev.lonja.core.mixture.Mixture;
import dev.lonja.core.quantity.Volume;
import dev.lonja.web.frame.Beside;
import dev.lonja.web.frame.Svg;

/** Draws a circuit as a tank lying on its side: what stays in it, the product, the water. */
final class MixDrawing {

  private static final int WIDTH = 400;
  private static final int HEIGHT = 58;
  private static final int LEFT = 4;
  private static final int TOP = 4;
  private static final int DEEP = 30;
  private static final int LEAST_FOR_WORDS = 84;

  private final Svg svg = new Svg(WIDTH, HEIGHT, "What is in the circuit");
  private final Volume total;
  private double from = LEFT;

  private MixDrawing(Volume total) {
    this.total = total;
  }

  static String draw(Mixture mixture, Volume total) {
    return new MixDrawing(total).draw(mixture);
  }

  private String draw(Mixture mixture) {
    part(
        total.minus(mixture.product()).minus(mixture.water()),
        "stays in",
        "fill=\"#d3dedb\"",
        "#0e2b33");
    part(mixture.product(), "product", "fill=\"#0e6a72\"", "#0e2b33");
    part(mixture.water(), "water", "fill=\"#a9cfe0\"", "#0e2b33");
    svg.rect(
        LEFT, TOP, WIDTH - 2 * LEFT, DEEP, "fill=\"none\" stroke=\"#0e2b33\" stroke-width=\"2\"");
    return svg.done();
  }

  private void part(Volume volume, String words, String look, String ink) {
    double wide = (double) volume.microlitres() / total.microlitres() * (WIDTH - 2 * LEFT);
    svg.rect(from, TOP, wide, DEEP, look);
    if (wide > LEAST_FOR_WORDS) {
      svg.label(
          from + wide / 2,
          HEIGHT - 8,
          Beside.of(volume) + " " + words,
          "text-anchor=\"middle\" font-size=\"14\" fill=\"" + ink + "\"");
    }
    from += wide;
  }
}
