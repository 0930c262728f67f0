package dev.lonja.store.tank;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.tank.Dip;
import dev.lonja.core.tank.DipId;
import dev.lonja.core.tank.MeteredPour;
import dev.lonja.core.tank.NewTank;
import dev.lonja.core.tank.Tank;
import dev.lonja.core.tank.TankId;
import dev.lonja.core.tank.TankShape;
import dev.lonja.store.ExampleStore;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A tank of 1,000 mm by 800 mm by 600 mm on M-1, where Ola lies: 480 L when full. */
class TankRepositoryTest {

  private static final BinId STAND = new BinId(11);
  private static final Instant NOW = Instant.parse("2027-03-15T09:00:00Z");
  private static final TankRepository.Noted NOTED = new TankRepository.Noted("storekeeper", NOW);

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private static NewTank box(String name) {
    return new NewTank(
        name,
        STAND,
        new ItemId(1),
        new TankShape.Box(millimetres(1_000), millimetres(800), millimetres(600)),
        95,
        Tank.USUAL_ERROR,
        true);
  }

  private static Length millimetres(long mm) {
    return new Length(mm * 1_000);
  }

  private Tank tank(TankId id) {
    return store.<Optional<Tank>>read(s -> s.tanks().byId(id)).orElseThrow();
  }

  private List<Dip> dips(TankId id) {
    return store.read(s -> s.tanks().dips(List.of(id), Instant.EPOCH).getOrDefault(id, List.of()));
  }

  private DipId dip(TankId id, Instant at, long mm) {
    return store.write(
        s -> s.tanks().addDip(id, at, millimetres(mm), Optional.empty(), false, NOTED));
  }

  @Test
  void aTankIsKeptWithItsShape() {
    TankId id = store.write(s -> s.tanks().add(box("Day tank")));
    assertThat(tank(id)).isEqualTo(box("Day tank").as(id, tank(id).version()));
    assertThat(tank(id).shape().full()).isEqualTo(Volume.ofLitres("480"));
    assertThat(store.<Optional<Tank>>read(s -> s.tanks().at(STAND))).contains(tank(id));
    assertThat(store.<List<Tank>>read(s -> s.tanks().all())).containsExactly(tank(id));
  }

  /** Whoever saw it before it was changed changes nothing. */
  @Test
  void itIsChangedByWhoKnowsItAsItIs() {
    TankId id = store.write(s -> s.tanks().add(box("Day tank")));
    long version = tank(id).version();
    assertThat(store.<Boolean>write(s -> s.tanks().change(id, box("Night tank"), version)))
        .isTrue();
    assertThat(store.<Boolean>write(s -> s.tanks().change(id, box("Other tank"), version)))
        .isFalse();
    assertThat(tank(id).name()).isEqualTo("Night tank");
  }

  /** A dip that is withdrawn was never read; one that is agreed on says so. */
  @Test
  void dipsAreAgreedOnOrWithdrawn() {
    TankId id = store.write(s -> s.tanks().add(box("Day tank")));
    DipId first = dip(id, NOW, 400);
    DipId wrong = dip(id, NOW.plusSeconds(60), 40);
    store.change(
        s -> {
          s.tanks().agree(first, "evaporated");
          s.tanks().withdraw(wrong, "misread");
        });
    assertThat(dips(id))
        .singleElement()
        .satisfies(
            dip -> {
              assertThat(dip.id()).isEqualTo(first);
              assertThat(dip.height()).isEqualTo(millimetres(400));
              assertThat(dip.agreed()).isTrue();
            });
  }

  /** What was dipped before it was cleaned says nothing of what is in it now. */
  @Test
  void cleaningBeginsAnew() {
    TankId id = store.write(s -> s.tanks().add(box("Day tank")));
    dip(id, NOW.minusSeconds(3_600), 300);
    store.change(s -> s.tanks().clean(tank(id), "sludge", NOTED));
    assertThat(store.<Optional<Instant>>read(s -> s.tanks().lastCleaned(id))).contains(NOW);
    assertThat(store.<Boolean>read(s -> s.tanks().isClean(tank(id)))).isTrue();
    assertThat(dips(id)).isEmpty();
  }

  /** A pour that the meter tells twice is one pour. */
  @Test
  void aMeteredPourIsTakenInOnce() {
    TankId id = store.write(s -> s.tanks().add(box("Day tank")));
    MeteredPour pour = new MeteredPour(NOW, Volume.ofLitres("6.4"));
    assertThat(store.<Boolean>write(s -> s.tanks().addMetered(id, pour, NOW))).isTrue();
    assertThat(store.<Boolean>write(s -> s.tanks().addMetered(id, pour, NOW))).isFalse();
    assertThat(
            store.<Map<TankId, List<MeteredPour>>>read(
                s -> s.tanks().metered(List.of(id), Instant.EPOCH)))
        .containsOnly(Map.entry(id, List.of(pour)));
  }

  /** Of the 121.5 L that came to M-1 13.3 L were issued: 108.2 L are left. */
  @Test
  void theBookOfATankIsThatOfItsBin() {
    TankId id = store.write(s -> s.tanks().add(box("Day tank")));
    assertThat(store.<Map<TankId, Volume>>read(s -> s.tanks().books()))
        .containsOnly(Map.entry(id, Volume.ofLitres("108.2")));
  }
}
