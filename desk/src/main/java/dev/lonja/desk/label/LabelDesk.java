package dev.lonja.desk.label;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.service.Occurrence;
import dev.lonja.core.tank.Dispenser;
import dev.lonja.core.tank.DispenserId;
import dev.lonja.core.tank.DispenserStand;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fluid.Hazards;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.fluid.DataSheetRepository;
import dev.lonja.store.ledger.LotFacts;
import dev.lonja.store.tray.Tray;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Answers what stands on the labels of things; each is empty if there is no such thing. */
@Service
@Allowed.ToKeepStore
public class LabelDesk extends KeepersDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;
  private final LabelPrinter printer;

  public LabelDesk(LonjaStore store, StoreClock clock, OnceOnly once, LabelPrinter printer) {
    this.store = store;
    this.clock = clock;
    this.once = once;
    this.printer = printer;
  }

  /**
   * Prints a label, once however often it is sent.
   *
   * @param what it is of
   * @param page a PDF of one page
   */
  @Allowed.ToKeepStore
  public Outcome print(Sent sent, String what, byte[] page) {
    return once.run(
        sent,
        session ->
            switch (printer.print(what, page)) {
              case PRINTED -> Outcome.done();
              case OUT_OF_LABELS -> Outcome.refused(LabelRefusal.OUT_OF_LABELS);
              case NOT_CONNECTED -> Outcome.refused(LabelRefusal.NOT_CONNECTED);
            });
  }

  public Optional<Item> item(ItemId id) {
    return store.read(session -> session.items().byId(id));
  }

  /** What lies of one lot in one bin, with its item. */
  public record LotLabel(Item item, LotFacts lot) {}

  public Optional<LotLabel> lot(ItemId itemId, LotId lotId) {
    return store.read(
        session ->
            session.ledger().lotsOf(itemId).stream()
                .filter(lot -> lot.lot().place().lotId().equals(lotId))
                .findFirst()
                .flatMap(lot -> session.items().byId(itemId).map(item -> new LotLabel(item, lot))));
  }

  /**
   * A product, as a can into which some of it was decanted has to say it.
   *
   * @param pack one that the store keeps, by whose number the can is found again
   * @param opened how many days it keeps once opened, the least of its packs
   * @param sheet the day of its safety data sheet
   */
  public record DecantedLabel(
      Product product,
      List<Hazards.Text> hazards,
      Optional<Item> pack,
      Optional<Integer> opened,
      Optional<LocalDate> sheet) {}

  public Optional<DecantedLabel> decanted(ProductId id) {
    return store.read(
        session ->
            session
                .products()
                .byId(id)
                .map(
                    product -> {
                      List<Item> packs =
                          session.items().all().stream()
                              .filter(item -> item.product().equals(Optional.of(product)))
                              .toList();
                      return new DecantedLabel(
                          product,
                          Hazards.load(session).of(product),
                          packs.stream().findFirst(),
                          packs.stream()
                              .flatMap(item -> item.keeping().openLifeDays().stream())
                              .min(Comparator.naturalOrder()),
                          session.dataSheets().of(id).stream()
                              .filter(sheet -> sheet.kind() == DataSheetRepository.Kind.SAFETY)
                              .map(DataSheetRepository.Sheet::datedOn)
                              .findFirst());
                    }));
  }

  public Optional<Item.Bin> bin(String address) {
    return store.read(session -> session.items().binByAddress(address));
  }

  public Optional<Dispenser> dispenser(DispenserId id) {
    return store.read(session -> session.dispensers().byId(id).map(DispenserStand::dispenser));
  }

  public Optional<Tray> tray(TrayId id) {
    return store.read(session -> session.trays().byId(id));
  }

  /**
   * What is written on the filters of a job.
   *
   * @param filters that went out with it and did not come back
   * @param on the day of the job
   * @param shown what the machine's meters showed then, by name
   */
  public record FilterMark(
      Tray tray, List<Item> filters, LocalDate on, Map<String, MeterValue> shown) {}

  /** Empty for a tray that is not out and not back, or brought a machine no filter. */
  public Optional<FilterMark> filterMark(TrayId id) {
    return store.read(
        session ->
            session
                .trays()
                .byId(id)
                .filter(tray -> tray.handedOverOn().isPresent() && tray.unitId().isPresent())
                .map(tray -> mark(session, tray))
                .filter(mark -> !mark.filters().isEmpty()));
  }

  private FilterMark mark(Session session, Tray tray) {
    LocalDate on = tray.backOn().or(tray::handedOverOn).orElseThrow();
    List<ItemId> out =
        session.pastMovements().issuesOf(tray.number()).entrySet().stream()
            .filter(issues -> issues.getValue().stream().anyMatch(i -> i.stillOut().isPositive()))
            .map(issues -> issues.getKey().itemId())
            .distinct()
            .toList();
    Map<ItemId, Item> items = session.items().byIds(out);
    Map<String, MeterValue> shown = new LinkedHashMap<>();
    FleetPicture.load(session, clock.today()).meters().values().stream()
        .map(standing -> standing.file().meter())
        .filter(meter -> tray.isFor(meter.unitId()))
        .forEach(
            meter ->
                session
                    .readings()
                    .onJob(meter.id(), on)
                    .ifPresent(value -> shown.put(meter.name(), value)));
    return new FilterMark(
        tray,
        items.values().stream()
            .filter(item -> item.family().isFilter())
            .sorted(Comparator.comparing(Item::number))
            .toList(),
        on,
        shown);
  }

  /**
   * A machine, and when it comes in next.
   *
   * @param next the first occurrence that no tray stands for yet; none if nothing is planned
   */
  public record MachineLabel(Unit unit, Optional<Occurrence> next) {}

  public Optional<MachineLabel> machine(String code) {
    return store.read(
        session -> {
          FleetPicture fleet = FleetPicture.load(session, clock.today());
          return fleet.units().stream()
              .filter(unit -> unit.code().equals(code))
              .findFirst()
              .map(
                  unit ->
                      new MachineLabel(
                          unit,
                          fleet.planOf(unit, fleet.horizon()).occurrences().stream()
                              .filter(occurrence -> occurrence.inHand().isEmpty())
                              .findFirst()));
        });
  }
}
