package dev.lonja.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.calendar.LayUp;
import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Mounting;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.ShelfFacts;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.meter.Meter;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterNotes;
import dev.lonja.core.meter.NewReading;
import dev.lonja.core.meter.Reading;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.person.PersonId;
import dev.lonja.core.person.PersonName;
import dev.lonja.core.person.Role;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Torque;
import dev.lonja.core.quantity.TorqueRange;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.Deviation;
import dev.lonja.core.service.Interval;
import dev.lonja.core.service.NewDeviation;
import dev.lonja.core.service.Origin;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.Timing;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TrayId;
import dev.lonja.store.audit.AuditLine;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.fleet.ReadingRepository;
import dev.lonja.store.item.ItemRepository;
import dev.lonja.store.person.Person;
import dev.lonja.store.query.UnitScope;
import dev.lonja.store.request.RequestLog;
import dev.lonja.store.tray.Tray;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What the repositories read from and write to the example, on a real file. */
class RepositoriesTest {

  private static final Instant NOW = Instant.parse("2027-03-15T08:00:00Z");
  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");

  @TempDir private Path folder;
  private LonjaStore store;

  @BeforeEach
  void open() {
    store = Stores.example(folder);
  }

  @AfterEach
  void close() {
    store.close();
  }

  @Test
  void aUnitHasItsClassMetersAndCalendar() {
    store.read(
        session -> {
          Unit boat = session.fleet().unitByCode("wb-1").orElseThrow();
          assertThat(boat.code()).isEqualTo("WB-1");
          assertThat(boat.unitClass().code()).isEqualTo("WB");
          assertThat(
                  session.fleet().meters(UnitScope.ALL).stream()
                      .filter(m -> m.unitId().equals(boat.id())))
              .extracting(Meter::name)
              .containsExactly("port", "starboard");
          assertThat(session.fleet().calendars(UnitScope.ALL).get(boat.id()).layUps())
              .containsExactly(
                  new LayUp(LocalDate.parse("2027-01-04"), LocalDate.parse("2027-01-30")));
          assertThat(
                  session.fleet().calendars(UnitScope.ALL).get(boat.id()).monthlyFactors().get(6))
              .isEqualTo(18_000);
          return true;
        });
  }

  @Test
  void aUnitsNeedsHaveCapacitiesAndTheFiltersVolume() {
    UnitNeeds needs = store.read(session -> session.fleet().needs(ShelfFacts.NONE).get(1L));
    Compartment sump = needs.compartments().get(0);
    assertThat(sump.capacity(FillCondition.WITH_FILTER)).contains(Volume.ofLitres("14.2"));
    assertThat(sump.capacity(FillCondition.DRY)).contains(Volume.ofLitres("15"));
    assertThat(needs.positions().get(0).filterVolume()).contains(Volume.ofLitres("0.9"));
    Position plug = needs.positions().get(2);
    assertThat(plug.torque().orElseThrow().display()).isEqualTo("55–65 N·m · 40.6–47.9 lbf·ft");
    assertThat(plug.thread()).isEqualTo("M24×2");
    assertThat(plug.drive()).isEqualTo("27 mm");
    assertThat(needs.positions().get(0).mounting()).contains(Mounting.SIDEWAYS);
    assertThat(needs.compartments().get(1).hint())
        .isEqualTo("Open the fill plug before the drain plug.");
    assertThat(
            store.<List<String>>read(
                session -> session.itemUsers().units(new ItemId(8), LocalDate.parse("2027-03-15"))))
        .containsExactly("WB-1", "WB-2", "WB-3");
    // item 8 goes onto workboats alone; gloves, item 40, go nowhere; nothing once all have left
    Set<ItemId> inUse =
        store.read(session -> session.itemUsers().items(LocalDate.parse("2027-03-15")));
    assertThat(inUse).contains(new ItemId(8)).doesNotContain(new ItemId(40));
    Stores.sql(store.file(), "UPDATE unit SET retired_on = '2027-03-01' WHERE code LIKE 'WB-%'");
    Set<ItemId> since =
        store.read(session -> session.itemUsers().items(LocalDate.parse("2027-03-15")));
    assertThat(since).isNotEmpty().doesNotContain(new ItemId(8));
  }

  @Test
  void readingsAreAddedAndNeverChanged() {
    store.write(
        session -> {
          NewReading reading =
              new NewReading(TODAY, Optional.of(NOW), MeterValue.ofHours("1700.4"));
          session
              .readings()
              .add(new MeterId(1), reading, ReadingRepository.Source.ENTERED, "storekeeper", NOW);
          return true;
        });
    MeterNotes notes = store.read(session -> session.readings().of(new MeterId(1)));
    List<Reading> readings = notes.readings();
    Reading last = readings.get(readings.size() - 1);
    assertThat(last.value()).isEqualTo(MeterValue.ofHours("1700.4"));
    assertThat(last.at()).contains(NOW);
    assertThatThrownBy(() -> Stores.tamper(store, "UPDATE reading SET value_tenths = 1"))
        .hasMessageContaining("readings are never changed");
  }

  @Test
  void tasksComeWithTheirIntervals() {
    List<Task> tasks =
        store.read(session -> session.services().tasks(UnitScope.ALL).get(new UnitId(1)));
    Task oil = tasks.get(0);
    assertThat(oil.serviceName()).isEqualTo("250 h service, both engines");
    Timing.ByInterval timed = oil.byInterval().orElseThrow();
    assertThat(timed.regular().months()).contains(12);
    assertThat(timed.first().orElseThrow().run().orElseThrow().display()).isEqualTo("50 h");
    assertThat(oil.action()).isEqualTo(new Task.Action.ChangeFluid(new CompartmentId(1)));
  }

  /** WB-2's learned capacity, BH-2's missing return filter and its shorter interval. */
  @Test
  void unitsDeviateFromTheirVariants() {
    Map<UnitId, List<Deviation>> deviations =
        store.<Map<UnitId, List<Deviation>>>read(session -> session.deviations().of(UnitScope.ALL));
    Deviation learned = deviations.get(new UnitId(2)).get(0);
    assertThat(learned.source()).isEqualTo(Deviation.Source.LEARNED);
    assertThat(learned.change())
        .isEqualTo(
            new Deviation.Change.OtherCapacity(
                new CompartmentId(1), FillCondition.WITH_FILTER, Capacity.ofLitres("13.7")));
    assertThat(deviations.get(new UnitId(5)))
        .extracting(Deviation::change)
        .hasSize(2)
        .hasAtLeastOneElementOfType(Deviation.Change.NoPosition.class)
        .contains(
            new Deviation.Change.OtherInterval(
                new TaskId(11),
                new Interval(Optional.of(MeterSpan.ofHours("400")), Optional.empty())));
  }

  /** Each kind of change is read back as it was put; a second one of the same thing replaces it. */
  @Test
  void aDeviationStandsUntilTheNextOneOfTheSameThing() {
    List<Deviation.Change> changes =
        List.of(
            new Deviation.Change.NoCompartment(new CompartmentId(3)),
            new Deviation.Change.OtherFluid(new CompartmentId(1), new ItemId(2)),
            new Deviation.Change.OtherCapacity(
                new CompartmentId(1), FillCondition.DRY, Capacity.ofLitres("15.5")),
            new Deviation.Change.OtherPart(
                new PositionId(1), new ItemId(9), Optional.of(Volume.ofLitres("0.88"))),
            new Deviation.Change.OtherTorque(
                new PositionId(3), TorqueRange.of(Torque.ofNewtonMetres("60"))),
            new Deviation.Change.NoTask(new TaskId(4)),
            new Deviation.Change.OtherInterval(
                new TaskId(1),
                new Interval(Optional.of(MeterSpan.ofHours("200")), Optional.of(9))));
    changes.forEach(this::put);
    put(
        new Deviation.Change.OtherCapacity(
            new CompartmentId(1), FillCondition.DRY, Capacity.ofLitres("15.7")));
    List<Deviation> standing =
        store.<List<Deviation>>read(
            session -> session.deviations().of(UnitScope.ALL).get(new UnitId(1)));
    assertThat(standing)
        .extracting(Deviation::change)
        .hasSize(7)
        .contains(
            new Deviation.Change.OtherCapacity(
                new CompartmentId(1), FillCondition.DRY, Capacity.ofLitres("15.7")))
        .containsAll(changes.subList(3, 7));
    store.<Boolean>write(s -> s.deviations().remove(new UnitId(1), standing.get(0).id()));
    assertThat(
            store.<List<Deviation>>read(s -> s.deviations().of(UnitScope.ALL).get(new UnitId(1))))
        .hasSize(6);
    assertThat(
            store.<Boolean>write(s -> s.deviations().remove(new UnitId(2), standing.get(1).id())))
        .isFalse();
  }

  private void put(Deviation.Change change) {
    NewDeviation deviation =
        new NewDeviation(change, Deviation.Source.UNIT, "seen", TODAY, "storekeeper");
    store.<Boolean>write(
        session -> {
          session.deviations().put(new UnitId(1), deviation);
          return true;
        });
  }

  /** The later record counts until it is withdrawn; then the one before it counts again. */
  @Test
  void aWithdrawnRecordCountsNoMore() {
    assertThat(lastDone(new TaskId(1))).isEqualTo(LocalDate.parse("2026-09-14"));
    TrayId trayId =
        store.write(
            session -> {
              TrayId id =
                  session.trays().add(new UnitId(1), "Service", TODAY, List.of(new TaskId(1)));
              Optional<MeterValue> life = Optional.of(MeterValue.ofHours("1600"));
              session
                  .services()
                  .addDone(new UnitId(1), new TaskId(1), TODAY, life, id, "storekeeper", NOW);
              return id;
            });
    assertThat(lastDone(new TaskId(1))).isEqualTo(TODAY);
    store.write(
        session -> {
          session.services().withdrawOfTray(trayId, "wrong boat", "storekeeper", NOW);
          return true;
        });
    assertThat(lastDone(new TaskId(1))).isEqualTo(LocalDate.parse("2026-09-14"));
    assertThatThrownBy(() -> Stores.tamper(store, "DELETE FROM task_record"))
        .hasMessageContaining("records are never deleted");
  }

  @Test
  void itemsAreFoundByKeyAndByBarcode() {
    store.read(
        session -> {
          PartKey key = PartKey.of("vm 22.1010").orElseThrow();
          assertThat(session.items().byKey(key))
              .extracting(Item::id)
              .containsExactly(new ItemId(8));
          assertThat(session.items().byBarcode("7302210100455").map(Item::id))
              .contains(new ItemId(8));
          assertThat(session.items().withWords(List.of("FILTER", "m27"), 50))
              .extracting(Item::number)
              .containsExactly("PL 4122-M", "VM 22-1010");
          return true;
        });
  }

  @Test
  void aFluidHasItsProductAndPack() {
    Item drum = store.read(session -> session.items().byId(new ItemId(1))).orElseThrow();
    assertThat(drum.product().map(Product::grade)).contains("15W-40");
    assertThat(drum.litres()).contains(Volume.ofLitres("205"));
    assertThat(store.read(session -> session.items().binByAddress("m-1")).orElseThrow())
        .isEqualTo(drum.homeBin());
  }

  @Test
  void anEditNeedsTheVersionItWasBasedOn() {
    assertThat(
            store.<Boolean>write(
                s -> s.items().update(new ItemId(8), 0, facts("Oil filter M27", new BinId(2)))))
        .isTrue();
    assertThat(
            store.<Boolean>write(
                s -> s.items().update(new ItemId(8), 0, facts("something else", new BinId(3)))))
        .isFalse();
    Item item = store.read(session -> session.items().byId(new ItemId(8))).orElseThrow();
    assertThat(item.description()).isEqualTo("Oil filter M27");
    assertThat(item.version()).isEqualTo(1);
  }

  private static ItemRepository.Facts facts(String description, BinId binId) {
    return new ItemRepository.Facts(
        description,
        Measure.PIECES,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        binId,
        Item.Keeping.PLAIN);
  }

  @Test
  void traysAreNumberedAndCheckTheirVersion() {
    TrayId id =
        store.write(
            s ->
                s.trays()
                    .add(new UnitId(1), "Service", TODAY, List.of(new TaskId(1), new TaskId(2))));
    store.write(
        session -> {
          session
              .trayLines()
              .addLine(
                  id,
                  new ItemId(8),
                  "Oil filter",
                  new LineReason.Part("look"),
                  Quantity.pieces(1),
                  Destination.NONE);
          return session.trays().touch(id, 0);
        });
    assertThat(store.<Boolean>write(s -> s.trays().handOver(id, 0, "workshop", TODAY))).isFalse();
    assertThat(store.<Boolean>write(s -> s.trays().handOver(id, 1, "workshop", TODAY))).isTrue();
    Tray tray = store.read(session -> session.trays().byNumber("t-0001")).orElseThrow();
    assertThat(tray.state()).isEqualTo(Tray.State.HANDED_OVER);
    assertThat(tray.mechanic()).contains("workshop");
    assertThat(tray.taskIds()).containsExactly(new TaskId(1), new TaskId(2));
    assertThat(tray.lines().get(0).walkOrder()).isEqualTo(10);
    assertThat(store.<List<Tray>>read(session -> session.trays().open())).isEmpty();
    assertThat(store.<List<Tray>>read(session -> session.trays().handedOverSince(TODAY)))
        .hasSize(1);
    assertThat(
            store.<List<Tray>>read(session -> session.trays().handedOverSince(TODAY.plusDays(1))))
        .isEmpty();
  }

  /** Imported people have no password, so nobody administers the store until one is set. */
  @Test
  void peopleNeedAPasswordToCount() {
    PersonId id =
        store.write(
            session ->
                session
                    .people()
                    .add(new PersonName("Ana Sol"), Set.of(Role.ADMINISTRATOR, Role.BUYER)));
    assertThat(store.<Boolean>read(session -> session.people().hasAdministrator())).isFalse();
    store.write(
        session -> {
          session.people().setPassword(id, "hash");
          return true;
        });
    assertThat(store.<Boolean>read(session -> session.people().hasAdministrator())).isTrue();
    Person person = store.read(session -> session.people().byName(" ANA  sol ")).orElseThrow();
    assertThat(person.roles()).containsExactlyInAnyOrder(Role.ADMINISTRATOR, Role.BUYER);
    assertThat(store.<Optional<Long>>read(session -> session.people().stamp(id))).contains(1L);
  }

  @Test
  void settingsHaveDefaultsUntilTheyAreSet() {
    try (LonjaStore empty = LonjaStore.open(folder.resolve("empty.db"))) {
      assertThat(empty.<String>read(session -> session.settings().storeName()))
          .isEqualTo("Main store");
      empty.write(
          session -> {
            session
                .settings()
                .set("Net Loft", Currency.getInstance("NOK"), ZoneId.of("Europe/Oslo"));
            return true;
          });
      assertThat(empty.<String>read(session -> session.settings().storeName()))
          .isEqualTo("Net Loft");
      assertThat(empty.<String>read(session -> session.settings().currency().getCurrencyCode()))
          .isEqualTo("NOK");
    }
  }

  @Test
  void requestsAndAuditLinesAreRemembered() {
    store.write(
        session -> {
          session
              .requests()
              .add("key-00001", new RequestLog.Entry("abc", "/x"), "me", RequestLog.Times.at(NOW));
          session.audit().add(edited(Facts.of("price", "4"), Facts.of("price", "5")));
          session.audit().add(edited(Facts.of("price", "5"), Facts.of("price", "6")));
          return true;
        });
    assertThat(
            store.<Optional<RequestLog.Entry>>read(session -> session.requests().find("key-00001")))
        .contains(new RequestLog.Entry("abc", "/x"));
    assertThat(store.<List<AuditLine>>read(session -> session.audit().latest(Matter.ITEM, 8, 1)))
        .containsExactly(edited(Facts.of("price", "5"), Facts.of("price", "6")));
    assertThat(RequestLog.hash("")).startsWith("e3b0c44298fc1c14");
  }

  private static AuditLine edited(Facts before, Facts after) {
    return new AuditLine(NOW, "me", "10.0.0.8", Matter.ITEM, "8", Deed.EDITED, before, after);
  }

  @Test
  void anExceptionUndoesTheWholeTransaction() {
    assertThatThrownBy(
            () ->
                store.write(
                    session -> {
                      session.trays().add(new UnitId(1), "Service", TODAY, List.of(new TaskId(1)));
                      throw new IllegalStateException("halfway");
                    }))
        .hasMessageContaining("halfway");
    assertThat(store.<List<Tray>>read(session -> session.trays().open())).isEmpty();
  }

  private LocalDate lastDone(TaskId taskId) {
    List<Origin> done =
        store.read(
            session -> session.services().done(UnitScope.ALL).get(new UnitId(1)).get(taskId));
    return done.get(done.size() - 1).day();
  }
}
