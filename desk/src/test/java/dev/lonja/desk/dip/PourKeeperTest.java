package dev.lonja.desk.dip;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.tank.MeteredPour;
import dev.lonja.core.tank.NewTank;
import dev.lonja.core.tank.TankId;
import dev.lonja.core.tank.TankShape;
import dev.lonja.desk.Cage;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.mockito.Mockito;

/** A drum of 230 L with a pour meter, which may say anything and say it twice. */
class PourKeeperTest {

  private static final Instant MORNING = Instant.parse("2027-03-14T06:00:00Z");
  private static final TankId DRUM = new TankId(1);

  @RegisterExtension private final Cage cage = new Cage();
  private final PourMeter meter = Mockito.mock(PourMeter.class);

  @BeforeEach
  void open() {
    cage.write(
        session ->
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
                        false)));
  }

  private static Length millimetres(int millimetres) {
    return Length.ofMillimetres(BigDecimal.valueOf(millimetres));
  }

  private static PourMeter.Count count(String tank, String litres, Instant at) {
    return new PourMeter.Count(1, tank, Volume.ofLitres(litres), at);
  }

  private List<MeteredPour> takeIn(PourMeter.Count... counts) {
    List<PourMeter.Count> waiting = List.of(counts);
    Mockito.when(meter.waiting()).thenReturn(waiting);
    new PourKeeper(cage.store(), cage.clock(), meter).takeIn();
    Mockito.verify(meter).acknowledge(waiting);
    Mockito.reset(meter);
    return cage.<Map<TankId, List<MeteredPour>>>read(
            session -> session.tanks().metered(List.of(DRUM), Instant.EPOCH))
        .getOrDefault(DRUM, List.of());
  }

  /** It is no booking: what ran stays in the book until somebody writes down where it went. */
  @Test
  void whatComesTwiceIsTakenInOnceAndBooksNothing() {
    Quantity before = cage.onHand(1);
    PourMeter.Count pour = count("Drum", "6.4", MORNING);
    assertThat(takeIn(pour, pour))
        .containsExactly(new MeteredPour(MORNING, Volume.ofLitres("6.4")));
    assertThat(takeIn(pour)).hasSize(1);
    assertThat(cage.onHand(1)).isEqualTo(before);
  }

  /** More than the drum holds, of tomorrow, of an unknown tank, of nothing. */
  @Test
  void whatCannotBeIsLeftOut() {
    assertThat(
            takeIn(
                count("Drum", "231", MORNING),
                count("Drum", "1", cage.clock().now().plusSeconds(60)),
                count("Barrel", "1", MORNING),
                count("Drum", "0", MORNING)))
        .isEmpty();
  }
}
