package dev.lonja.desk.tray;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.take.TakeLine;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fleet.Kits;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Takes loose what a kit stands for on a tray, as when the kit is not to be had. */
@Service
@Allowed.ToKeepStore
public class LooseDesk extends KeepersDesk {

  private final OnceOnly once;
  private final StoreClock clock;

  public LooseDesk(OnceOnly once, StoreClock clock) {
    this.once = once;
    this.clock = clock;
  }

  /**
   * Strikes a kit, and asks for the parts that the tray's service takes and that lie on no other
   * line. Nothing of the kit is laid after it.
   */
  @Allowed.ToKeepStore
  public Outcome takeLoose(Sent sent, TrayId trayId, long lineId) {
    return once.run(
        sent,
        session -> {
          Optional<Tray> tray = session.trays().byId(trayId).filter(Tray::isOpen);
          return tray.isEmpty()
              ? Outcome.refused(new TrayRefusal.NotOpen())
              : tray.get().lines().stream()
                  .filter(line -> line.id() == lineId)
                  .filter(TrayLine::isServiceKit)
                  .findFirst()
                  .map(kit -> takeLoose(session, tray.get(), kit))
                  .orElseGet(() -> Outcome.refused(new TrayRefusal.NoKit()));
        });
  }

  private Outcome takeLoose(Session session, Tray tray, TrayLine kit) {
    TrayMachine machine = TrayMachine.of(FleetPicture.load(session, clock.today()), tray);
    session.trayLines().removeLine(kit.id());
    Map<Want, Quantity> there = new HashMap<>();
    for (TrayLine line : tray.lines()) {
      if (line.id() != kit.id()) {
        there.merge(Want.of(line), line.wanted(), Quantity::plus);
      }
    }
    for (TakeLine line : TrayMaker.takes(machine, tray, Kits.NONE)) {
      if (kit.tasks().contains(line.taskId())) {
        Quantity none = Quantity.zero(line.toLay().measure());
        Quantity lies = there.getOrDefault(Want.of(line), none);
        Quantity more = line.toLay().minus(lies).atLeastZero();
        if (more.isPositive()) {
          session.trayLines().addLine(tray.id(), line.asking(more));
        }
      }
    }
    session.trays().touch(tray.id(), tray.version());
    return Outcome.done();
  }

  /** What a line is for, whatever lies on it. */
  private record Want(Optional<TaskId> task, ItemId asked, Destination destination) {
    static Want of(TrayLine line) {
      return new Want(line.taskId(), line.askedItemId(), line.destination());
    }

    static Want of(TakeLine line) {
      return new Want(Optional.of(line.taskId()), line.itemId(), line.destination());
    }
  }
}
