package dev.lonja.core.tank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TankShapeTest {

  private static Length mm(long millimetres) {
    return new Length(millimetres * 1_000);
  }

  private static double litres(TankShape shape, long dip) {
    return shape.volumeAt(mm(dip)).litres().doubleValue();
  }

  /** The handbook's example (rules §10), and both ends and the middle of the same tank. */
  @ParameterizedTest
  @CsvSource({"400, 812.5, 123.6", "0, 0, 0", "625, 1472.6, 255.7", "1250, 2945.2, 511.3"})
  void aLyingTankAndItsHeads(long dip, double flat, double heads) {
    TankShape cylinder = new TankShape.Lying(mm(2_400), mm(1_250), false);
    TankShape whole = new TankShape.Lying(mm(2_400), mm(1_250), true);
    // half of it: π · 0.625² · 2.4 / 2 = 1.47262 m³; a head pair is (2 π / 3) r³ = 0.51133 m³
    assertThat(litres(cylinder, dip)).isCloseTo(flat, within(0.06));
    assertThat(litres(whole, dip) - litres(cylinder, dip)).isCloseTo(heads, within(0.06));
  }

  @Test
  void standingTanksAreTheirFloorTimesTheDip() {
    // π · 0.5² · 0.4 = 0.314159 m³; 1.2 · 0.8 · 0.5 = 0.48 m³
    assertThat(litres(new TankShape.Upright(mm(1_000), mm(1_270)), 400))
        .isCloseTo(314.159, within(0.001));
    assertThat(litres(new TankShape.Box(mm(1_200), mm(800), mm(900)), 500)).isEqualTo(480.0);
  }

  @Test
  void aTableIsReadBetweenItsLines() {
    TankShape.Table table = TankShape.Table.of("0 0; 100 40; 300 200");
    assertThat(litres(table, 50)).isEqualTo(20.0);
    assertThat(litres(table, 100)).isEqualTo(40.0);
    // 40 + 100 · 160 / 200
    assertThat(litres(table, 200)).isEqualTo(120.0);
    assertThat(table.full()).isEqualTo(Volume.ofLitres("200"));
    assertThat(table.written()).isEqualTo("0 0; 100 40; 300 200");
  }

  /** At a knot the steeper piece counts: 0.4 L a mm below, 0.8 above. */
  @Test
  void theSteeperPieceCountsAtAKnot() {
    TankShape.Table rising = TankShape.Table.of("0 0\n100 40\n300 200");
    assertThat(rising.steepness(mm(100))).isEqualTo(0.8);
    TankShape.Table falling = TankShape.Table.of("0 0\n100 80\n300 160");
    assertThat(falling.steepness(mm(100))).isEqualTo(0.8);
    assertThat(falling.steepness(mm(150))).isEqualTo(0.4);
  }

  /** Near the brim a lying tank is narrow; a tenth of its widest counts at least. */
  @Test
  void noDipCountsAsExact() {
    TankShape tank = new TankShape.Lying(mm(2_400), mm(1_250), false);
    // at half height L · D = 2.4 · 1.25 = 3 m², that is 3 L a mm
    assertThat(tank.steepness(mm(625))).isCloseTo(3.0, within(1e-9));
    assertThat(tank.steepness(mm(0))).isCloseTo(0.3, within(1e-9));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"0 0", "10 0; 20 5", "0 0; 100 40; 100 50", "0 0; 100 40; 200 40", "0 0; x", ""})
  void aTableThatDoesNotRiseIsRefused(String text) {
    assertThatThrownBy(() -> TankShape.Table.of(text)).isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void theLineThatFallsIsNamed() {
    assertThatThrownBy(() -> TankShape.Table.of("0 0; 100 40; 200 39"))
        .hasMessage("line 3 does not rise: 39.00 L at 200 mm after 40.00 L at 100 mm");
  }

  @Test
  void aDipAboveTheTankIsRefused() {
    TankShape tank = new TankShape.Upright(mm(1_000), mm(1_270));
    assertThatThrownBy(() -> tank.volumeAt(mm(1_271)))
        .hasMessage("dip is 1271 mm; allowed is 0 to 1270 mm");
  }

  /** 1,000 random tanks: the volume rises with the dip, and the dip is found again. */
  @Test
  void theVolumeRisesAndInverts() {
    Random random = new Random(12);
    for (int i = 0; i < 1_000; i++) {
      TankShape shape = random(random);
      long height = shape.height().micrometres();
      Volume before = new Volume(0);
      for (int step = 1; step <= 20; step++) {
        Length dip = new Length(height * step / 20);
        Volume here = shape.volumeAt(dip);
        assertThat(here).as("%s at %s", shape, dip).isGreaterThan(before);
        assertThat(shape.volumeAt(shape.dipOf(here)).litres().doubleValue())
            .isCloseTo(here.litres().doubleValue(), within(0.001));
        before = here;
      }
    }
  }

  private static TankShape random(Random random) {
    Length a = mm(200 + random.nextInt(2_000));
    Length b = mm(200 + random.nextInt(2_000));
    return switch (random.nextInt(4)) {
      case 0 -> new TankShape.Upright(a, b);
      case 1 -> new TankShape.Box(a, b, mm(300));
      case 2 -> new TankShape.Lying(a, b, random.nextBoolean());
      default -> randomTable(random);
    };
  }

  private static TankShape randomTable(Random random) {
    List<TankShape.Strap> straps = new ArrayList<>();
    long dip = 0;
    long litres = 0;
    for (int line = 0; line < 12; line++) {
      straps.add(new TankShape.Strap(mm(dip), Volume.ofLitres(BigDecimal.valueOf(litres))));
      dip += 5 + random.nextInt(200);
      litres += 1 + random.nextInt(90);
    }
    return new TankShape.Table(straps);
  }

  /** Simpson's rule over the slope gives the volume a second time. */
  @Test
  void aSecondIntegrationAgrees() {
    TankShape tank = new TankShape.Lying(mm(2_030), mm(1_250), true);
    int pieces = 20_000;
    double step = 900.0 / pieces;
    double sum = tank.litresPerMillimetre(0) + tank.litresPerMillimetre(900);
    for (int i = 1; i < pieces; i++) {
      sum += tank.litresPerMillimetre(i * step) * (i % 2 == 0 ? 2 : 4);
    }
    assertThat(sum * step / 3).isCloseTo(litres(tank, 900), within(0.01));
  }
}
