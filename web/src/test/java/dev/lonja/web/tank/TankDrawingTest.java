package dev.lonja.web.tank;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.tank.NewTank;
import dev.lonja.core.tank.Tank;
import dev.lonja.core.tank.TankId;
import dev.lonja.core.tank.TankLevel;
import dev.lonja.core.tank.TankShape;
import java.util.List;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;

/** A box of 1 m³ with 400 L in it. */
class TankDrawingTest {

  private static final Tank TANK =
      new NewTank(
              "Tank",
              new BinId(1),
              new ItemId(1),
              new TankShape.Box(metre(), metre(), metre()),
              95,
              Tank.USUAL_ERROR,
              false)
          .as(new TankId(1), 0);

  private static Length metre() {
    return new Length(1_000_000);
  }

  private static Element drawn(Optional<String> order, String delivery) {
    TankLevel level = TankLevel.of(TANK, List.of(), List.of(), Volume.ofLitres("400"));
    TankDrawing.Marks marks =
        new TankDrawing.Marks(order.map(Volume::ofLitres), Volume.ofLitres(delivery));
    return Jsoup.parse(TankDrawing.of(level, marks, "Tank, 40 % full")).selectFirst("svg");
  }

  /** The height of a band, from the y of its first and of its middle point. */
  private static double height(Element band) {
    String[] points = band.attr("d").split("[MLZ]");
    double from = Double.parseDouble(points[1].split("[ ,]")[1]);
    double to = Double.parseDouble(points[points.length / 2].split("[ ,]")[1]);
    return from - to;
  }

  /** The box is drawn 170 high: 400 L are 68, 300 L to come another 51. */
  @Test
  void whatComesIsDrawnAboveTheLevel() {
    Element svg = drawn(Optional.empty(), "300");
    Element band = svg.selectFirst("path[stroke-dasharray]");
    assertThat(height(svg.selectFirst("path[fill=#2f7c88]:not([fill-opacity])"))).isEqualTo(68);
    assertThat(height(band)).isEqualTo(51);
    assertThat(svg.text()).contains("Tank, 40 % full");
  }

  /** 700 L fill it to the brim, and are drawn no further: 600 L are 102. */
  @Test
  void nothingIsDrawnAboveTheBrim() {
    Element band = drawn(Optional.empty(), "700").selectFirst("path[stroke-dasharray]");
    assertThat(height(band)).isEqualTo(102);
  }

  @Test
  void whereToOrderIsALineAndWhatDoesNotComeIsNone() {
    Element svg = drawn(Optional.of("250"), "0");
    assertThat(svg.select("path[stroke-dasharray]")).isEmpty();
    assertThat(svg.select("line[stroke-dasharray]")).hasSize(1);
    assertThat(svg.text()).contains("order");
  }
}
