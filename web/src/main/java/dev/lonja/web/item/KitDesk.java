package dev.lonja.web.item;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.BoxContent;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.PartId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.Boxes;
import dev.lonja.core.service.KitCover;
import dev.lonja.core.service.ServiceTake;
import dev.lonja.core.service.TakeLine;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.UnitNeeds;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Shows what a kit covers, and lays it on a tray. */
@Service
@Allowed.ToSeeStore
public class KitDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public KitDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /**
   * The kit's page; empty if the item is none.
   *
   * @param service a variant's id and a service's name with "/" between them, or empty
   */
  Optional<KitView> view(ItemId itemId, String service) {
    return store.read(session -> kit(session, itemId).map(item -> view(session, item, service)));
  }

  static Optional<Item> kit(Session session, ItemId itemId) {
    return session.items().byId(itemId).filter(item -> item.family() == Family.KIT);
  }

  private KitView view(Session session, Item kit, String service) {
    List<BoxContent> contents = session.boxes().of(kit.partId());
    Map<PartId, Item> items = contentItems(session, contents);
    Map<ItemId, Quantity> free = session.ledger().free(clock.today());
    Map<String, Job> jobs = jobs(session);
    Optional<KitCover> cover =
        Optional.ofNullable(jobs.get(service))
            .map(
                job ->
                    KitCover.of(
                        ServiceTake.withoutBoxes(job.needs(), job.tasks()).lines(),
                        job.needs().boxes().of(kit.id())));
    return new KitView(
        Plate.of(kit),
        kit.description(),
        free.getOrDefault(kit.id(), Quantity.pieces(0)).display(),
        contents.stream().map(content -> row(content, items, free)).toList(),
        jobs.entrySet().stream()
            .map(
                job ->
                    new KitView.ServiceChoice(
                        job.getKey(), job.getValue().words(), job.getKey().equals(service)))
            .toList(),
        cover.map(KitDesk::answer).orElse(""),
        cover
            .map(c -> c.covered().stream().map(l -> line(session, l.line(), l.pieces())).toList())
            .orElse(List.of()),
        cover
            .map(c -> c.missing().stream().map(l -> line(session, l, l.toLay())).toList())
            .orElse(List.of()),
        cover
            .map(
                c ->
                    c.surplus().stream()
                        .map(
                            s ->
                                new KitView.LineRow(
                                    "",
                                    contents.get(s.content()).part().number(),
                                    s.pieces().display()))
                        .toList())
            .orElse(List.of()),
        session.trays().open().stream()
            .map(
                tray ->
                    new KitView.TrayChoice(
                        tray.id(), tray.number() + " " + tray.unitCode() + " " + tray.title()))
            .toList());
  }

  private static String answer(KitCover cover) {
    if (cover.covered().isEmpty()) {
      return "The kit covers nothing of this service.";
    }
    if (cover.isExact()) {
      return "The kit is exactly what this service takes, fluids aside.";
    }
    return "The kit covers "
        + Words.count(cover.coveredPieces().longValue(), "piece", "pieces")
        + "; "
        + cover.missing().size()
        + " missing, "
        + cover.surplus().size()
        + " left over.";
  }

  private static KitView.LineRow line(Session session, TakeLine line, Quantity pieces) {
    return new KitView.LineRow(
        line.place(),
        session.items().byId(line.itemId()).map(Item::number).orElse(""),
        pieces.display());
  }

  private static KitView.ContentRow row(
      BoxContent content, Map<PartId, Item> items, Map<ItemId, Quantity> free) {
    Optional<Item> item = Optional.ofNullable(items.get(content.part().id()));
    return new KitView.ContentRow(
        Plate.of(content.part(), item),
        item.map(Item::description)
            .orElseGet(() -> content.part().family().map(Family::words).orElse("")),
        content.quantity(),
        item.map(i -> free.getOrDefault(i.id(), Quantity.zero(i.measure())).display()).orElse(""));
  }

  static Map<PartId, Item> contentItems(Session session, List<BoxContent> contents) {
    return session.items().byParts(contents.stream().map(c -> c.part().id()).toList());
  }

  /**
   * A service of a variant that some unit in service is of, as if all its tasks were done together.
   */
  private record Job(String words, UnitNeeds needs, List<Task> tasks) {}

  private static Map<String, Job> jobs(Session session) {
    Map<Long, UnitNeeds> needs = session.fleet().needs();
    Map<UnitId, List<Task>> tasks = session.services().tasksByUnit();
    Map<Long, Unit> oneOfEach = new LinkedHashMap<>();
    session.fleet().units().stream()
        .sorted(Comparator.comparing(unit -> unit.variant().display()))
        .forEach(unit -> oneOfEach.putIfAbsent(unit.variant().id(), unit));
    Map<String, Job> jobs = new LinkedHashMap<>();
    oneOfEach.forEach(
        (variant, unit) -> {
          Map<String, List<Task>> byService = new LinkedHashMap<>();
          tasks
              .getOrDefault(unit.id(), List.of())
              .forEach(
                  task ->
                      byService
                          .computeIfAbsent(task.serviceName(), name -> new ArrayList<>())
                          .add(task));
          byService.forEach(
              (service, of) ->
                  jobs.put(
                      variant + "/" + service,
                      new Job(unit.variant().display() + ": " + service, needs.get(variant), of)));
        });
    return jobs;
  }

  /**
   * Lays a kit on an open tray in place of the lines that it covers; what it lacks stays, what is
   * left over comes back with the tray.
   */
  @Allowed.ToKeepStore
  public Outcome putOn(Sent sent, ItemId itemId, TrayId trayId) {
    return once.run(
        sent,
        session -> {
          Item kit = kit(session, itemId).orElseThrow();
          Optional<Tray> tray = session.trays().byId(trayId).filter(Tray::isOpen);
          if (tray.isEmpty()) {
            return Outcome.refused(new Problem("trayId", "That tray is not open any more."));
          }
          return putOn(session, kit, tray.get());
        });
  }

  private static Outcome putOn(Session session, Item kit, Tray tray) {
    List<Boxes.Content> contents = session.boxes().ofStockedItems().of(kit.id());
    int covered = 0;
    for (Boxes.Content content : contents) {
      Quantity left = Quantity.pieces(content.quantity());
      for (TrayLine line : tray.lines()) {
        boolean same = content.items().contains(line.itemId()) && left.isPositive();
        if (same && line.positionId().isPresent()) {
          Quantity taken = left.min(line.wanted());
          left = left.minus(taken);
          covered++;
          session.trays().lessen(line, taken);
        }
      }
    }
    if (covered == 0) {
      return Outcome.refused(
          new Problem("trayId", kit.number() + " covers nothing of " + tray.number() + "."));
    }
    session
        .trays()
        .addLine(
            tray.id(),
            kit.id(),
            "Kit",
            "Covers " + Words.count(covered, "line", "lines") + "; what is left over comes back.",
            Quantity.pieces(1),
            Destination.NONE);
    session.trays().touch(tray.id(), tray.version());
    return new Outcome.Done("/trays/" + tray.id());
  }
}
