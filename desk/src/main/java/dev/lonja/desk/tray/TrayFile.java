package dev.lonja.desk.tray;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.LotInBin;
import dev.lonja.core.ledger.PackPick;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.order.Coming;
import dev.lonja.core.part.BoxContent;
import dev.lonja.core.part.PartId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.take.ServiceTake;
import dev.lonja.core.take.Take;
import dev.lonja.core.tank.Dispenser;
import dev.lonja.core.tray.JobFacts;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TaskOutcome;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.core.tray.TrayProgress;
import dev.lonja.core.wanted.Finding;
import dev.lonja.core.wanted.WantedPart;
import dev.lonja.desk.crossref.Substitute;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fleet.Kits;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.desk.fluid.Hazards;
import dev.lonja.desk.fluid.ShelfFluid;
import dev.lonja.desk.order.NextDelivery;
import dev.lonja.store.Session;
import dev.lonja.store.fluid.SignOff;
import dev.lonja.store.ledger.FreeStock;
import dev.lonja.store.ledger.LotFacts;
import dev.lonja.store.tray.Tray;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A tray with everything that goes with it.
 *
 * @param items every item that its lines name
 * @param kits what is in each kit that lies on it
 * @param lines in walking order
 * @param job what its tasks touch
 * @param hazards of its work and of the fluids on it, each once
 * @param meters that its tasks count by
 * @param gaps what an open tray's job would take and the machine's data do not say
 * @param unit the machine, while it is in service
 * @param came what became of its tasks, once the job is back
 * @param beside what else is open of its machine
 * @param outdated true if nobody has begun to lay it and its service takes otherwise by now
 */
public record TrayFile(
    TraysDesk.OnRack onRack,
    Map<ItemId, Item> items,
    Map<ItemId, List<BoxContent>> kits,
    List<Line> lines,
    JobFacts job,
    List<Hazards.Text> hazards,
    List<MeterStanding> meters,
    List<Take.Gap> gaps,
    Optional<Unit> unit,
    List<Came> came,
    Beside beside,
    boolean outdated) {

  /**
   * What else is open of the machine, or of the workshop itself.
   *
   * @param findings that are not closed
   * @param wanted on no tray; none once the tray is out
   * @param brought by line that brings a wanted part, why that is wanted
   */
  public record Beside(
      List<Finding> findings, List<Wanted> wanted, Map<Long, WantedPart.Cause> brought) {}

  /** A part that is wanted and on no tray. */
  public record Wanted(WantedPart part, Item item) {}

  /** A task of a job that is back. */
  public record Came(String task, TaskOutcome outcome) {}

  /**
   * A line.
   *
   * @param bin from which it is fetched
   * @param issued what went out of it
   * @param barcodes of its item
   * @param fluid for one that goes into a compartment
   * @param packs what a fluid will be taken from, as long as the tray is open
   * @param used how many used, good ones would do for what it lacks, on an open tray
   * @param substitutes for a short one, on an open tray
   * @param with what its fluid was poured with
   */
  public record Line(
      TrayProgress.Step step,
      String bin,
      Issued issued,
      List<String> barcodes,
      Optional<FluidLine> fluid,
      List<Packed> packs,
      Quantity used,
      Instead substitutes,
      List<Dispenser> with) {}

  /**
   * What went out.
   *
   * @param out of it may still come back, and {@code back} came back
   * @param containers that a fluid went out in and that may come back, the last picked first
   */
  public record Issued(Quantity out, Quantity back, List<Container> containers) {}

  /**
   * A container, or several sealed ones of a lot.
   *
   * @param issue the movement by which it went out
   * @param code of its lot
   */
  public record Container(long issue, String code, Quantity out) {}

  /** A pack that a fluid is taken from, and where it stands. */
  public record Packed(PackPick pick, LotFacts lot) {}

  /**
   * What would do where a line is short: another part, or other fluids.
   *
   * @param coming what brings it, if an open order does
   * @param elsewhere another place of the store that has it
   */
  public record Instead(
      Optional<Substitute> part,
      List<ShelfFluid> fluids,
      Optional<Coming> coming,
      Optional<Elsewhere> elsewhere) {
    static final Instead NOTHING = new Instead(Optional.empty(), List.of());

    Instead(Optional<Substitute> part, List<ShelfFluid> fluids) {
      this(part, fluids, Optional.empty(), Optional.empty());
    }

    Instead with(Optional<Coming> next, Optional<Elsewhere> other) {
      return new Instead(part, fluids, next, other);
    }
  }

  public Tray tray() {
    return onRack.tray();
  }

  public Item item(TrayLine line) {
    return items.get(line.itemId());
  }

  /**
   * @param everywhere by place, what is usable and spoken for by nobody
   */
  static TrayFile of(
      Session session,
      LocalDate today,
      TraysDesk.OnRack onRack,
      Map<Place, Map<StockKey, Quantity>> everywhere) {
    Tray tray = onRack.tray();
    FleetPicture fleet = FleetPicture.load(session, today);
    TrayMachine machine = TrayMachine.of(fleet, tray);
    UnitNeeds needs = machine.needs();
    Map<ItemId, Item> items = items(session, tray);
    List<Task> tasks = machine.tasks();
    JobFacts job = new JobFacts(needs, tasks);
    return new TrayFile(
        onRack,
        items,
        kits(session, tray, items),
        lines(session, today, onRack, needs, items, everywhere),
        job,
        hazards(session, tray, items, job),
        machine.meters(),
        tray.isOpen() ? gaps(machine) : List.of(),
        fleet.units().stream().filter(unit -> tray.isFor(unit.id())).findFirst(),
        came(session, tray, tasks),
        beside(session, tray),
        TrayMaker.isOutdated(session, machine, tray, () -> Kits.of(session, fleet)));
  }

  private static Map<ItemId, List<BoxContent>> kits(
      Session session, Tray tray, Map<ItemId, Item> items) {
    List<Item> kits =
        tray.lines().stream()
            .filter(line -> line.reason() instanceof LineReason.Kit)
            .map(line -> items.get(line.itemId()))
            .distinct()
            .toList();
    Map<PartId, List<BoxContent>> contents =
        kits.isEmpty() ? Map.of() : session.boxes().of(kits.stream().map(Item::partId).toList());
    Map<ItemId, List<BoxContent>> inside = new HashMap<>();
    kits.forEach(kit -> inside.put(kit.id(), contents.getOrDefault(kit.partId(), List.of())));
    return inside;
  }

  private static Beside beside(Session session, Tray tray) {
    List<WantedPart> wanted =
        tray.isOpen()
            ? session.wanted().open().stream()
                .filter(part -> part.unit().map(WantedPart.ForUnit::id).equals(tray.unitId()))
                .toList()
            : List.of();
    Map<ItemId, Item> named =
        session.items().byIds(wanted.stream().map(WantedPart::itemId).toList());
    return new Beside(
        tray.unitId()
            .map(unit -> session.findings().ofUnit(unit).stream().filter(Finding::stands).toList())
            .orElse(List.of()),
        wanted.stream().map(part -> new Wanted(part, named.get(part.itemId()))).toList(),
        session.wanted().broughtOn(tray.id()));
  }

  /** What would be a line if it were known; how much oil a filter holds is no line. */
  private static List<Take.Gap> gaps(TrayMachine machine) {
    return machine.tasks().isEmpty()
        ? List.of()
        : ServiceTake.of(machine.needs(), machine.tasks(), machine.neglected()).gaps().stream()
            .filter(TrayFile::isLine)
            .toList();
  }

  private static boolean isLine(Take.Gap gap) {
    return gap instanceof Take.Gap.NoItem
        || gap instanceof Take.Gap.NoCapacity
        || gap instanceof Take.Gap.NoFlush;
  }

  private static List<Came> came(Session session, Tray tray, List<Task> tasks) {
    if (tray.state() != Tray.State.BACK) {
      return List.of();
    }
    Map<TaskId, String> names = new HashMap<>();
    tasks.forEach(task -> names.put(task.id(), task.name()));
    Map<TaskId, TaskOutcome> found = new HashMap<>();
    session
        .records()
        .inspectionsOf(tray.id())
        .forEach(look -> found.put(look.taskId(), new TaskOutcome.Done(look.found())));
    return tray.tasks().stream()
        .filter(served -> served.outcome().isPresent())
        .map(
            served ->
                new Came(
                    // a task that the machine no longer has keeps its outcome
                    names.getOrDefault(served.taskId(), "task " + served.taskId()),
                    found.getOrDefault(served.taskId(), served.outcome().get())))
        .toList();
  }

  /** The items that lie on a tray, were asked for, or whose box is missed. */
  static Map<ItemId, Item> items(Session session, Tray tray) {
    return session
        .items()
        .byIds(
            tray.lines().stream()
                .flatMap(
                    line ->
                        Stream.concat(Stream.of(line.itemId(), line.askedItemId()), boxOf(line)))
                .collect(Collectors.toSet()));
  }

  private static Stream<ItemId> boxOf(TrayLine line) {
    return line.reason() instanceof LineReason.NotInBox box
        ? Stream.of(box.original())
        : Stream.empty();
  }

  private static List<Line> lines(
      Session session,
      LocalDate today,
      TraysDesk.OnRack onRack,
      UnitNeeds needs,
      Map<ItemId, Item> items,
      Map<Place, Map<StockKey, Quantity>> everywhere) {
    Tray tray = onRack.tray();
    Map<StockKey, Quantity> free = everywhere.getOrDefault(tray.place(), Map.of());
    SortedMap<Place, String> names = session.places().names();
    Map<ItemId, String> where = bins(session, today, tray, items);
    IssuedLines issued = IssuedLines.of(session, tray);
    FreeStock here = FreeStock.at(free);
    FluidBook book = FluidBook.at(session, tray.place(), here);
    Map<ItemId, List<String>> barcodes =
        session.keeping().barcodes(tray.lines().stream().map(TrayLine::itemId).toList());
    Map<Long, List<Packed>> packs = tray.isOpen() ? packs(session, today, tray, items) : Map.of();
    Map<Long, SignOff> signed = session.pours().ofTrayLines(tray.id());
    Map<ProductId, List<Dispenser>> poured = session.dispensers().ofTray(tray.id());
    boolean isShort = onRack.progress().state() == TrayProgress.State.SHORT && tray.isOpen();
    NextDelivery deliveries = isShort ? NextDelivery.load(session) : NextDelivery.NONE;
    return onRack.progress().steps().stream()
        .map(
            step -> {
              Optional<FluidLine> fluid =
                  FluidLine.of(
                      book, needs, step.line(), Optional.ofNullable(signed.get(step.line().id())));
              boolean asks = step.state() == TrayProgress.LineState.SHORT && tray.isOpen();
              return new Line(
                  step,
                  where.get(step.line().itemId()),
                  issued.of(step.line()),
                  barcodes.getOrDefault(step.line().itemId(), List.of()),
                  fluid,
                  packs.getOrDefault(step.line().id(), List.of()),
                  UsedParts.forLine(step.line(), tray.isOpen() ? free : Map.of()),
                  asks
                      ? instead(session, here, book, needs, step, fluid)
                          .with(
                              deliveries.of(items.get(step.line().itemId())),
                              Elsewhere.of(
                                  names,
                                  everywhere,
                                  tray.place(),
                                  step,
                                  items.get(step.line().itemId())))
                      : Instead.NOTHING,
                  items
                      .get(step.line().itemId())
                      .product()
                      .map(product -> poured.getOrDefault(product.id(), List.of()))
                      .orElse(List.of()));
            })
        .toList();
  }

  /**
   * By item, the bin from which it is fetched: in the main store its home; at a satellite where it
   * lies there, or is to lie.
   */
  private static Map<ItemId, String> bins(
      Session session, LocalDate today, Tray tray, Map<ItemId, Item> items) {
    Map<ItemId, String> bins = new HashMap<>();
    items.forEach((id, item) -> bins.put(id, item.homeBin().address()));
    if (!tray.place().isMain()) {
      Set<BinId> here = session.places().bins(tray.place());
      session
          .keeping()
          .bins()
          .forEach(
              (id, kept) ->
                  kept.stream()
                      .filter(bin -> here.contains(bin.binId()))
                      .findFirst()
                      .ifPresent(bin -> bins.computeIfPresent(id, (i, home) -> bin.address())));
      for (ItemId id : items.keySet()) {
        session.ledger().lotsOf(id).stream()
            .filter(lot -> here.contains(lot.lot().place().binId()))
            .filter(lot -> lot.lot().mayBeIssued(today))
            .findFirst()
            .ifPresent(lot -> bins.put(id, lot.binAddress()));
      }
    }
    return bins;
  }

  /** By line, what its fluid will be taken from; what one line opens serves the next. */
  private static Map<Long, List<Packed>> packs(
      Session session, LocalDate today, Tray tray, Map<ItemId, Item> items) {
    Map<Long, List<Packed>> packs = new HashMap<>();
    Set<BinId> here = session.places().bins(tray.place());
    Map<ItemId, List<TrayLine>> fluids =
        tray.lines().stream()
            .filter(line -> line.wanted().measure() != Measure.PIECES)
            .filter(line -> line.laid().isPositive() || line.missing().isPositive())
            .collect(Collectors.groupingBy(TrayLine::itemId));
    fluids.forEach(
        (itemId, lines) ->
            items
                .get(itemId)
                .pack()
                .ifPresent(pack -> packs.putAll(packs(session, today, here, itemId, lines, pack))));
    return packs;
  }

  private static Map<Long, List<Packed>> packs(
      Session session,
      LocalDate today,
      Set<BinId> here,
      ItemId itemId,
      List<TrayLine> lines,
      Quantity pack) {
    Map<LotInBin, LotFacts> lots = new HashMap<>();
    session.ledger().lotsOf(itemId).stream()
        .filter(lot -> here.contains(lot.lot().place().binId()))
        .forEach(lot -> lots.put(lot.lot().place(), lot));
    List<List<PackPick>> picks =
        PackPick.of(
            lots.values().stream().map(LotFacts::lot).toList(),
            lines.stream().map(line -> line.laid().plus(line.missing())).toList(),
            pack,
            today);
    Map<Long, List<Packed>> packed = new HashMap<>();
    for (int i = 0; i < lines.size(); i++) {
      packed.put(
          lines.get(i).id(),
          picks.get(i).stream()
              .map(pick -> new Packed(pick, lots.get(pick.from().place())))
              .toList());
    }
    return packed;
  }

  private static Instead instead(
      Session session,
      FreeStock here,
      FluidBook book,
      UnitNeeds needs,
      TrayProgress.Step step,
      Optional<FluidLine> fluid) {
    return fluid
        .map(
            f ->
                new Instead(
                    Optional.empty(),
                    ShelfFluid.free(book, f.compartment().spec(), f.product().id())))
        .orElseGet(
            () ->
                new Instead(
                    Substitute.of(session, here, needs, step.line(), step.lacking()), List.of()));
  }

  /** Of the work first, then of what lies on the tray; each once. */
  private static List<Hazards.Text> hazards(
      Session session, Tray tray, Map<ItemId, Item> items, JobFacts job) {
    Hazards hazards = Hazards.load(session);
    return Stream.concat(
            hazards.ofCodes(job.hazards()).stream(),
            tray.lines().stream()
                .flatMap(line -> items.get(line.itemId()).product().stream())
                .flatMap(product -> hazards.of(product).stream()))
        .distinct()
        .toList();
  }
}
