package dev.lonja.desk.tray;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.forecast.Demand;
import dev.lonja.core.forecast.ServiceDemand;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.LotInBin;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.part.BoxContent;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.PartId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.Cage;
import dev.lonja.desk.forecast.Forecast;
import dev.lonja.desk.person.Pins;
import dev.lonja.desk.person.Receiver;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.person.Secrets;
import dev.lonja.desk.person.Tries;
import dev.lonja.desk.request.Outcome;
import dev.lonja.store.Session;
import dev.lonja.store.item.ItemRepository;
import dev.lonja.store.tray.Tray;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/**
 * WB-1's port engine gets its oil filter, item 8, out of a kit that somebody put on the tray by
 * hand: the filter's own line is left out, since it is in the kit.
 */
class KitByHandTest {

  private static final UnitId BOAT = new UnitId(1);
  private static final TaskId FILTER = new TaskId(2);
  private static final ItemId OIL_FILTER = new ItemId(8);
  private static final MeterId PORT = new MeterId(1);

  @RegisterExtension private final Cage cage = new Cage();
  private TrayId tray;

  @BeforeEach
  void tray() {
    cage.write(
        session -> {
          tray = session.trays().add(BOAT, "Filter", Cage.TODAY, List.of(FILTER));
          long filter =
              session
                  .trayLines()
                  .addLine(
                      tray,
                      OIL_FILTER,
                      "Port oil filter",
                      new LineReason.Part(""),
                      Quantity.pieces(1),
                      Destination.position(new PositionId(1)),
                      Optional.of(FILTER));
          session.trayLines().setLeftOut(filter, Optional.of("in the kit"));
        });
  }

  private void layKit() {
    ItemId kit = cage.store().<ItemId>write(KitByHandTest::kit);
    Outcome received =
        cage.book(
            cage.sent(),
            kit,
            session ->
                Ledger.receive(
                    session.ledger().stockOf(kit),
                    new LotInBin(
                        kit,
                        session.lots().addLot(kit, "K-1", Cage.TODAY, Optional.empty()),
                        new BinId(8)),
                    Quantity.pieces(1),
                    new Money(3_000, session.settings().currency())));
    assertThat(received).isInstanceOf(Outcome.Done.class);
    cage.write(
        session -> {
          long line =
              session
                  .trayLines()
                  .addLine(
                      tray,
                      kit,
                      "Filter kit",
                      new LineReason.ByHand("kit instead"),
                      Quantity.pieces(1),
                      Destination.NONE);
          session.trayLines().setLaid(line, Quantity.pieces(1));
        });
  }

  /** A kit with one oil filter. */
  private static ItemId kit(Session session) {
    Item filter = session.items().byId(OIL_FILTER).orElseThrow();
    PartId part = session.parts().add("Nortrap", "KIT-8", Optional.of(Family.KIT));
    session
        .boxes()
        .set(part, List.of(new BoxContent(session.parts().byId(filter.partId()).orElseThrow(), 1)));
    return session
        .items()
        .add(
            part,
            new ItemRepository.Facts(
                "Filter kit",
                Measure.PIECES,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                filter.homeBin().id(),
                new Item.Keeping(Optional.empty(), Optional.empty(), false, Optional.empty())));
  }

  private Quantity forecast() {
    List<Demand> demands =
        cage.read(session -> Forecast.load(session, Cage.TODAY, 4).plan().demandsOf(OIL_FILTER));
    return demands.stream()
        .filter(
            demand ->
                demand instanceof ServiceDemand service
                    && service.unitId().equals(BOAT)
                    && service.line().taskId().equals(FILTER))
        .map(Demand::quantity)
        .reduce(Quantity.pieces(0), Quantity::plus);
  }

  private List<ItemId> wantedAfterHandOver() {
    Pins pins = new Pins(new Secrets(new BCryptPasswordEncoder(4)), new Tries(cage.clock()));
    HandOverDesk handOvers =
        new HandOverDesk(
            cage.store(),
            cage.once(),
            cage.clock(),
            new Receiver(pins),
            new SecondPerson(pins, cage.clock()));
    Tray laid = cage.read(session -> session.trays().byId(tray).orElseThrow());
    Outcome outcome =
        handOvers.handOver(
            cage.sent(),
            tray,
            laid.version(),
            new HandOverDesk.Taker("workshop", ""),
            Map.of(PORT, MeterValue.ofHours("2265")));
    assertThat(outcome).isEqualTo(Outcome.done());
    return cage.read(
        session ->
            session.wanted().openLeftOutOf(tray).stream().map(part -> part.itemId()).toList());
  }

  /** Without the kit one filter is forecast; it is in the kit, so it is neither that nor wanted. */
  @Test
  void whatIsInTheKitIsNeitherForecastNorWanted() {
    assertThat(forecast()).isEqualTo(Quantity.pieces(1));
    layKit();
    assertThat(forecast()).isEqualTo(Quantity.pieces(0));
    assertThat(wantedAfterHandOver()).isEmpty();
  }
}
