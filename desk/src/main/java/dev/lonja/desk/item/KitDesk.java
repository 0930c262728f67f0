package dev.lonja.desk.item;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.Boxes;
import dev.lonja.core.part.BoxContent;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.PartId;
import dev.lonja.core.quantity.Power;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.take.KitCover;
import dev.lonja.core.take.KitRange;
import dev.lonja.core.take.ServiceTake;
import dev.lonja.core.take.TakeLine;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.tray.ByHand;
import dev.lonja.desk.tray.TrayRefusal;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.tray.Tray;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Shows what a kit covers, and lays it on a tray. */
@Service
@Allowed.ToSeeStore
public class KitDesk extends KeepersDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public KitDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /**
   * A kit.
   *
   * @param items those that its contents are stocked as
   * @param ranges what it is made for
   * @param jobs that it may be held against
   * @param held against the job that was chosen
   * @param trays that are open
   */
  public record KitFile(
      Item kit,
      List<BoxContent> contents,
      Map<PartId, Item> items,
      Map<ItemId, Quantity> free,
      List<KitRange> ranges,
      Set<ServiceJob> jobs,
      Optional<Held> held,
      List<Tray> trays) {

    public Quantity freeOf(Item item) {
      return free.getOrDefault(item.id(), Quantity.zero(item.measure()));
    }
  }

  /**
   * A kit held against a job.
   *
   * @param madeFor whether it is made for the job's machine
   * @param named the items that the cover names
   */
  public record Held(
      ServiceJob job, KitRange.Answer madeFor, KitCover cover, Map<ItemId, Item> named) {}

  /** Why a kit is not laid, or what it is made for not noted. */
  public sealed interface Refused extends Refusal {}

  /** The tray is not open any more. */
  public record TrayClosed() implements Refused {}

  /** Somebody noted something else meanwhile. */
  public record RangesChanged() implements Refused {}

  /** The kit covers nothing of the tray. */
  public record CoversNothing(Item kit, Tray tray) implements Refused {}

  /**
   * Empty if the item is no kit.
   *
   * @param job that it is held against, as {@link ServiceJob} names itself; another is none
   */
  public Optional<KitFile> file(ItemId itemId, String job) {
    return store.read(session -> kit(session, itemId).map(kit -> file(session, kit, job)));
  }

  static Optional<Item> kit(Session session, ItemId itemId) {
    return session.items().byId(itemId).filter(item -> item.family() == Family.KIT);
  }

  private KitFile file(Session session, Item kit, String asked) {
    List<BoxContent> contents = session.boxes().of(kit.partId());
    Map<ServiceJob, ServiceJob.Work> jobs =
        ServiceJob.all(FleetPicture.load(session, clock.today()));
    List<KitRange> ranges = session.kitRanges().of(kit.partId());
    return new KitFile(
        kit,
        contents,
        contentItems(session, contents),
        session.ledger().free(clock.today()),
        ranges,
        jobs.keySet(),
        jobs.entrySet().stream()
            .filter(job -> job.getKey().name().equals(asked))
            .findFirst()
            .map(job -> held(session, kit, ranges, job.getKey(), job.getValue())),
        session.trays().open());
  }

  private static Held held(
      Session session, Item kit, List<KitRange> ranges, ServiceJob job, ServiceJob.Work work) {
    KitCover cover = cover(kit, work);
    Set<ItemId> named =
        Stream.concat(
                cover.covered().stream().map(KitCover.Covered::line), cover.missing().stream())
            .map(TakeLine::itemId)
            .collect(Collectors.toSet());
    return new Held(
        job, KitRange.judge(ranges, job.variant()), cover, session.items().byIds(named));
  }

  private static KitCover cover(Item kit, ServiceJob.Work work) {
    return KitCover.of(
        ServiceTake.withoutBoxes(work.needs(), work.tasks()).lines(),
        work.needs().shelf().boxes().of(kit.id()));
  }

  static Map<PartId, Item> contentItems(Session session, List<BoxContent> contents) {
    return session.items().byParts(contents.stream().map(c -> c.part().id()).toList());
  }

  /**
   * Notes which machines a kit is made for, in place of what was noted.
   *
   * @param seen what was noted when the form was shown
   */
  @Allowed.ToKeepStore
  public Outcome setRanges(Sent sent, ItemId itemId, String seen, List<KitRange> ranges) {
    return once.run(
        sent,
        session -> {
          Item kit = kit(session, itemId).orElseThrow();
          List<KitRange> before = session.kitRanges().of(kit.partId());
          if (!stamp(before).equals(seen)) {
            return Outcome.refused(new RangesChanged());
          }
          session.kitRanges().set(kit.partId(), ranges);
          session
              .audit()
              .add(
                  sent.line(
                      clock.now(),
                      Matter.ITEM,
                      itemId,
                      Deed.EDITED,
                      Facts.of("made_for", said(before)),
                      Facts.of("made_for", said(ranges))));
          return Outcome.done(itemId);
        });
  }

  /** Tells one list of ranges from another. */
  public static String stamp(List<KitRange> ranges) {
    return Integer.toHexString(ranges.hashCode());
  }

  private static String said(List<KitRange> ranges) {
    return ranges.stream()
        .map(
            range ->
                Stream.of(
                        range.make(),
                        range.model(),
                        range.engine(),
                        range.least().map(Power::exactText).orElse(""),
                        range.most().map(Power::exactText).orElse(""))
                    .collect(Collectors.joining("|")))
        .collect(Collectors.joining("; "));
  }

  /**
   * Lays a kit on an open tray in place of the lines that it covers; what it lacks stays, what is
   * left over comes back with the tray. Answers the tray.
   *
   * @param why what a piece is for that is not known to fit; empty if nobody said
   */
  @Allowed.ToKeepStore
  public Outcome putOn(Sent sent, ItemId itemId, TrayId trayId, String why) {
    return once.run(
        sent,
        session -> {
          Item kit = kit(session, itemId).orElseThrow();
          return session
              .trays()
              .byId(trayId)
              .filter(Tray::isOpen)
              .map(tray -> putOn(session, kit, tray, why))
              .orElseGet(() -> Outcome.refused(new TrayClosed()));
        });
  }

  private Outcome putOn(Session session, Item kit, Tray tray, String why) {
    Optional<TrayRefusal> objection =
        ByHand.on(session, clock.today(), tray, kit, ByHand.Said.why(why));
    if (objection.isPresent()) {
      return Outcome.refused(objection.get());
    }
    int covered = 0;
    Set<TaskId> tasks = new HashSet<>();
    for (Boxes.Content content : session.boxes().ofStockedItems().of(kit.id())) {
      Quantity left = Quantity.pieces(content.quantity());
      for (TrayLine line : tray.lines()) {
        boolean same = content.items().contains(line.itemId()) && left.isPositive();
        if (same && line.positionId().isPresent()) {
          Quantity taken = left.min(line.wanted());
          left = left.minus(taken);
          covered++;
          tasks.addAll(line.tasks());
          session.trayLines().lessen(line, taken);
        }
      }
    }
    if (covered == 0) {
      return Outcome.refused(new CoversNothing(kit, tray));
    }
    session
        .trayLines()
        .addLine(
            tray.id(),
            kit.id(),
            "Kit",
            new LineReason.Kit(covered, tasks),
            Quantity.pieces(1),
            Destination.NONE);
    session.trays().touch(tray.id(), tray.version());
    return Outcome.done(tray.id());
  }
}
