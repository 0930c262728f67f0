package dev.lonja.desk.tray;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayProgress;
import dev.lonja.desk.answer.KeptAnswer;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/**
 * Answers what goes into a job and whether it is here. The workshop sees the trays it was handed.
 */
@Service
@Allowed.ToSeeMachines
public class TraysDesk {

  private static final int DAYS_BACK = 30;

  private final LonjaStore store;
  private final StoreClock clock;

  public TraysDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** Who looks: the store sees every tray, a mechanic the own ones. */
  public record Viewer(String name, boolean seesAll) {

    boolean sees(Tray tray) {
      return seesAll || tray.mechanic().filter(name::equalsIgnoreCase).isPresent();
    }
  }

  /** A tray with how far it is; what it holds itself counts as laid. */
  public record OnRack(Tray tray, TrayProgress progress) {

    /**
     * @param free by place, what is spoken for by nobody
     */
    static OnRack of(Tray tray, Map<Place, Map<StockKey, Quantity>> free) {
      return new OnRack(
          tray, TrayProgress.of(tray.lines(), free.getOrDefault(tray.place(), Map.of())));
    }
  }

  /** Trays that are open, and those handed over of late, the latest first. */
  public record Rack(List<OnRack> open, List<OnRack> handedOver) {}

  @KeptAnswer
  public Rack rack(Viewer viewer) {
    return store.read(
        session -> {
          Map<Place, Map<StockKey, Quantity>> free = session.placeStock().free(clock.today());
          LocalDate since = clock.today().minusDays(DAYS_BACK);
          return new Rack(
              rows(session.trays().open(), free, viewer),
              rows(latestFirst(session.trays().handedOverSince(since)), free, viewer));
        });
  }

  private static List<Tray> latestFirst(List<Tray> trays) {
    return trays.stream()
        .sorted(Comparator.comparing((Tray tray) -> tray.handedOverOn().orElseThrow()).reversed())
        .toList();
  }

  private static List<OnRack> rows(
      List<Tray> trays, Map<Place, Map<StockKey, Quantity>> free, Viewer viewer) {
    return trays.stream().filter(viewer::sees).map(tray -> OnRack.of(tray, free)).toList();
  }

  /** An open tray with the items on it, for the edge of a page; empty for any other. */
  @KeptAnswer
  @Allowed.ToKeepStore
  public Optional<OpenTray> open(TrayId id) {
    return store.read(
        session ->
            session
                .trays()
                .byId(id)
                .filter(Tray::isOpen)
                .map(
                    tray ->
                        new OpenTray(
                            OnRack.of(tray, session.placeStock().free(clock.today())),
                            TrayFile.items(session, tray))));
  }

  /** An open tray with the items on it. */
  public record OpenTray(OnRack onRack, Map<ItemId, Item> items) {}

  /** Empty for a tray that is not known, or not to be seen. */
  @KeptAnswer
  public Optional<TrayFile> tray(TrayId id, Viewer viewer) {
    return store.read(
        session -> session.trays().byId(id).filter(viewer::sees).map(tray -> file(session, tray)));
  }

  private TrayFile file(Session session, Tray tray) {
    Map<Place, Map<StockKey, Quantity>> free = session.placeStock().free(clock.today());
    return TrayFile.of(session, clock.today(), OnRack.of(tray, free), free);
  }
}
