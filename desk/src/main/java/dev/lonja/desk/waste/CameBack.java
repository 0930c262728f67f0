package dev.lonja.desk.waste;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.waste.WasteContainer;
import dev.lonja.core.waste.WasteKind;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.store.Session;
import dev.lonja.store.waste.WasteRepository;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What a job brought back to be got rid of, by kind (rules §11): what was drained as somebody noted
 * it, else nine tenths of what was filled in.
 */
public record CameBack(TrayId tray, String number, LocalDate on, WasteKind kind, Volume volume) {

  /** So far back a job is asked after. */
  private static final int DAYS = 60;

  private static final BigDecimal SHARE = new BigDecimal("0.9");

  private record Key(TrayId tray, WasteKind kind) {}

  /** What is in no container yet, the latest first. */
  static List<CameBack> open(Session session, StoreClock clock) {
    List<WasteRepository.Filled> fills = session.waste().filledSince(clock.today().minusDays(DAYS));
    Set<Key> there = in(session, clock);
    Map<ItemId, Item> items =
        session.items().byIds(fills.stream().map(WasteRepository.Filled::item).distinct().toList());
    Map<Key, CameBack> open = new LinkedHashMap<>();
    for (WasteRepository.Filled fill : fills) {
      Optional<WasteKind> kind = items.get(fill.item()).product().flatMap(WasteKind::of);
      if (kind.isPresent() && !there.contains(new Key(fill.tray(), kind.get()))) {
        open.merge(
            new Key(fill.tray(), kind.get()),
            new CameBack(
                fill.tray(),
                fill.trayNumber(),
                fill.on(),
                kind.get(),
                fill.drained().orElseGet(() -> fill.volume().times(SHARE))),
            CameBack::and);
      }
    }
    return List.copyOf(open.values());
  }

  private CameBack and(CameBack other) {
    return new CameBack(tray, number, on, kind, volume.plus(other.volume));
  }

  private static Set<Key> in(Session session, StoreClock clock) {
    Set<Key> in = new HashSet<>();
    List<WasteContainer> containers = new ArrayList<>(session.waste().containers());
    var entries = session.waste().entries(WasteDesk.lately(clock));
    containers.forEach(
        container ->
            entries
                .getOrDefault(container.id(), List.of())
                .forEach(
                    entry ->
                        entry
                            .tray()
                            .ifPresent(tray -> in.add(new Key(tray, container.stream().kind())))));
    return in;
  }
}
