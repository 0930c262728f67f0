package dev.lonja.desk.service;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.PastMovement;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.pour.RecordedFill;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.wanted.Finding;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.fluid.PourRepository.StoredTopUp;
import dev.lonja.store.query.UnitScope;
import dev.lonja.store.service.ReceiptRepository;
import dev.lonja.store.service.WorkLog;
import dev.lonja.store.tray.Tray;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Answers what was done to a machine, with what, and by whom: what defends a warranty. */
@Service
@Allowed.ToSeeStore
public class RecordDesk {

  /** More than a machine's life brings. */
  private static final int MOST = 2_000;

  private final LonjaStore store;
  private final StoreClock clock;

  public RecordDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /**
   * The record of a unit, the last done first.
   *
   * @param receipts that were not withdrawn
   */
  public record ServiceRecord(Unit unit, List<Entry> entries, List<Proof> receipts) {}

  /** A receipt with what it holds. */
  public record Proof(ReceiptRepository.Receipt receipt, ReceiptRepository.Content content) {

    /** True for a photo, false for a document. */
    public boolean isPhoto() {
      return content.mediaType().startsWith("image/");
    }
  }

  /** One job of a unit that came from a tray. */
  public record JobRecord(Unit unit, Tray tray, Entry entry) {}

  /**
   * One job.
   *
   * @param title what it was for, where it came from a tray
   * @param by who did it, or noted it
   * @param used what went out with its tray and did not come back
   */
  public record Entry(
      LocalDate day,
      String title,
      String by,
      List<WorkLog.Noted> works,
      List<Used> used,
      List<Filled> fills,
      List<Added> added,
      List<Finding> found) {}

  /** Something that stayed on the machine. */
  public record Used(Item item, LotCondition condition, Quantity quantity, List<String> lots) {}

  /** A compartment that was filled. */
  public record Filled(String compartment, RecordedFill fill, Item item) {}

  /** What was added to a compartment between two fills. */
  public record Added(String compartment, Volume litres, Item item) {}

  /** Empty for a unit that is not in service. */
  public Optional<ServiceRecord> record(String code) {
    return store.read(
        session -> {
          FleetPicture fleet = FleetPicture.load(session, clock.today());
          return WorkDesk.unit(fleet, code)
              .map(
                  unit ->
                      new ServiceRecord(
                          unit, new Entries(session, fleet, unit).all(), proofs(session, unit)));
        });
  }

  private static List<Proof> proofs(Session session, Unit unit) {
    return session.receipts().of(unit.id()).stream()
        .flatMap(
            receipt ->
                session
                    .receipts()
                    .content(unit.id(), receipt.id())
                    .map(content -> new Proof(receipt, content))
                    .stream())
        .toList();
  }

  /** The record of one job that is back; empty for any other tray, and one for no machine. */
  public Optional<JobRecord> job(TrayId id) {
    return store.read(
        session -> {
          FleetPicture fleet = FleetPicture.load(session, clock.today());
          return session
              .trays()
              .byId(id)
              .filter(tray -> tray.state() == Tray.State.BACK)
              .flatMap(
                  tray ->
                      fleet.units().stream()
                          .filter(unit -> tray.isFor(unit.id()))
                          .findFirst()
                          .map(
                              unit ->
                                  new JobRecord(
                                      unit, tray, new Entries(session, fleet, unit).of(tray))));
        });
  }

  /** Gathers the jobs of one unit. */
  private static final class Entries {
    private final Session session;
    private final FleetPicture fleet;
    private final Unit unit;
    private final List<RecordedFill> fills;
    private final List<StoredTopUp> topUps;
    private final List<WorkLog.Noted> works;

    Entries(Session session, FleetPicture fleet, Unit unit) {
      this.session = session;
      this.fleet = fleet;
      this.unit = unit;
      this.fills =
          session.records().fills(UnitScope.of(unit.id())).getOrDefault(unit.id(), List.of());
      this.topUps = session.pours().topUps(unit.id());
      this.works = session.workLog().latest(unit.id(), MOST);
    }

    List<Entry> all() {
      List<Entry> entries = new ArrayList<>();
      session.trays().backOf(unit.id()).forEach(tray -> entries.add(of(tray)));
      List<RecordedFill> ofTrays =
          entries.stream().flatMap(entry -> entry.fills().stream()).map(Filled::fill).toList();
      entries.addAll(withoutTray(works, ofTrays));
      entries.sort(Comparator.comparing(Entry::day).reversed());
      return entries;
    }

    Entry of(Tray tray) {
      return new Entry(
          tray.backOn().orElseThrow(),
          tray.title(),
          tray.mechanic().orElseThrow(),
          works.stream()
              .filter(work -> work.tray().filter(tray.number()::equals).isPresent())
              .toList(),
          used(tray),
          filled(session.records().fillsOf(tray.id())),
          added(topUp -> topUp.trayId().filter(tray.id()::equals).isPresent()),
          session.findings().ofTray(tray.id()));
    }

    /** Of one day, one entry: what was done elsewhere, and what was poured without a tray. */
    private List<Entry> withoutTray(List<WorkLog.Noted> works, List<RecordedFill> ofTrays) {
      Map<LocalDate, List<WorkLog.Noted>> byDay = new TreeMap<>();
      works.stream()
          .filter(work -> work.tray().isEmpty())
          .forEach(work -> byDay.computeIfAbsent(work.doneOn(), d -> new ArrayList<>()).add(work));
      Map<LocalDate, List<RecordedFill>> poured =
          fills.stream()
              .filter(fill -> !ofTrays.contains(fill))
              .collect(Collectors.groupingBy(RecordedFill::day));
      Predicate<StoredTopUp> ofNoTray = topUp -> topUp.trayId().isEmpty();
      Stream.concat(poured.keySet().stream(), topUps.stream().filter(ofNoTray).map(StoredTopUp::on))
          .forEach(day -> byDay.computeIfAbsent(day, d -> new ArrayList<>()));
      return byDay.entrySet().stream()
          .map(
              day ->
                  new Entry(
                      day.getKey(),
                      day.getValue().stream()
                          .map(WorkLog.Noted::note)
                          .distinct()
                          .collect(Collectors.joining("; ")),
                      "",
                      day.getValue(),
                      List.of(),
                      filled(poured.getOrDefault(day.getKey(), List.of())),
                      added(ofNoTray.and(topUp -> topUp.on().equals(day.getKey()))),
                      List.of()))
          .toList();
    }

    private List<Used> used(Tray tray) {
      Map<StockKey, List<PastMovement>> issued = session.pastMovements().issuesOf(tray.number());
      Map<ItemId, Item> items =
          session.items().byIds(issued.keySet().stream().map(StockKey::itemId).toList());
      Map<LotId, String> codes =
          session
              .lots()
              .codes(
                  issued.values().stream()
                      .flatMap(List::stream)
                      .map(issue -> issue.place().lotId())
                      .collect(Collectors.toSet()));
      List<Used> used = new ArrayList<>();
      issued.forEach(
          (key, issues) -> {
            List<PastMovement> kept =
                issues.stream().filter(issue -> issue.stillOut().isPositive()).toList();
            kept.stream()
                .map(PastMovement::stillOut)
                .reduce(Quantity::plus)
                .ifPresent(
                    sum ->
                        used.add(
                            new Used(
                                items.get(key.itemId()),
                                key.condition(),
                                sum,
                                kept.stream()
                                    .map(issue -> codes.get(issue.place().lotId()))
                                    .distinct()
                                    .toList())));
          });
      return used;
    }

    private List<Added> added(Predicate<StoredTopUp> which) {
      List<StoredTopUp> its = topUps.stream().filter(which).toList();
      Map<ItemId, Item> items = items(its.stream().map(StoredTopUp::itemId));
      return its.stream()
          .map(
              topUp ->
                  new Added(name(topUp.compartmentId()), topUp.volume(), items.get(topUp.itemId())))
          .toList();
    }

    private String name(CompartmentId id) {
      return fleet.needs(unit.id()).compartments().stream()
          .filter(compartment -> compartment.id().equals(id))
          .findFirst()
          .map(Compartment::name)
          .orElse("");
    }

    private Map<ItemId, Item> items(Stream<ItemId> ids) {
      return session.items().byIds(ids.collect(Collectors.toSet()));
    }

    private List<Filled> filled(List<RecordedFill> poured) {
      Map<ItemId, Item> items = items(poured.stream().map(RecordedFill::itemId));
      return poured.stream()
          .map(fill -> new Filled(name(fill.compartmentId()), fill, items.get(fill.itemId())))
          .toList();
    }
  }
}
