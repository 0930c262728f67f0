package dev.lonja.desk.dip;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.tank.Dip;
import dev.lonja.core.tank.NewTank;
import dev.lonja.core.tank.TankId;
import dev.lonja.core.tank.TankShape;
import dev.lonja.desk.Cage;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A drum of 900 mm with a gauge on it, which may say anything and say it twice. */
class GaugeKeeperTest {

  private static final Instant YESTERDAY = Instant.parse("2027-03-14T06:00:00Z");

  @RegisterExtension private final Cage cage = new Cage();

  /** Forgets nothing until it is told to. */
  private static final class Gauge implements TankGauge {
    private final List<Read> waiting = new ArrayList<>();

    @Override
    public List<Read> waiting() {
      return List.copyOf(waiting);
    }

    @Override
    public void acknowledge(List<Read> readings) {
      waiting.removeAll(readings);
    }
  }

  private static Length millimetres(int millimetres) {
    return Length.ofMillimetres(BigDecimal.valueOf(millimetres));
  }

  private static TankGauge.Read read(long number, int height, int tenths, Instant at) {
    return new TankGauge.Read(
        number, "Drum", millimetres(height), Optional.of(new Temperature(tenths)), at);
  }

  private List<Dip> dips() {
    cage.write(
        session -> {
          if (session.tanks().all().isEmpty()) {
            session
                .tanks()
                .add(
                    new NewTank(
                        "Drum",
                        new BinId(11),
                        new ItemId(1),
                        new TankShape.Upright(millimetres(571), millimetres(900)),
                        95,
                        millimetres(2),
                        true));
          }
        });
    return cage.<Map<TankId, List<Dip>>>read(
            session -> session.tanks().dips(List.of(new TankId(1)), Instant.EPOCH))
        .getOrDefault(new TankId(1), List.of());
  }

  /** The gauge sends what it sent before, as after a broken line: it is taken in once. */
  @Test
  void whatComesTwiceIsTakenInOnce() {
    assertThat(dips()).isEmpty();
    Gauge gauge = new Gauge();
    GaugeKeeper keeper = new GaugeKeeper(cage.store(), cage.clock(), gauge);
    gauge.waiting.add(read(1, 300, 150, YESTERDAY));
    gauge.waiting.add(read(1, 300, 150, YESTERDAY));
    keeper.takeIn();
    gauge.waiting.add(read(1, 300, 150, YESTERDAY));
    keeper.takeIn();
    assertThat(dips())
        .singleElement()
        .satisfies(
            dip -> {
              assertThat(dip.at()).isEqualTo(YESTERDAY);
              assertThat(dip.byGauge()).isTrue();
            });
    assertThat(gauge.waiting).isEmpty();
  }

  /** Above the drum, hotter than any oil that is stored, or tomorrow: left out, and let go of. */
  @Test
  void whatCannotBeIsLeftOut() {
    assertThat(dips()).isEmpty();
    Gauge gauge = new Gauge();
    gauge.waiting.add(read(1, 901, 150, YESTERDAY));
    gauge.waiting.add(read(2, 300, 651, YESTERDAY));
    gauge.waiting.add(read(3, 300, 150, Instant.parse("2027-03-16T06:00:00Z")));
    gauge.waiting.add(read(4, 900, 650, YESTERDAY));
    new GaugeKeeper(cage.store(), cage.clock(), gauge).takeIn();
    assertThat(dips()).extracting(Dip::height).containsExactly(millimetres(900));
    assertThat(gauge.waiting).isEmpty();
  }
}
