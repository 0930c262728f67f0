package dev.lonja.web.frame;

import dev.lonja.core.item.Item;
import dev.lonja.core.tray.TrayProgress;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.label.LabelPrinter;
import dev.lonja.desk.request.RequestKey;
import dev.lonja.desk.request.Viewer;
import dev.lonja.desk.setting.StoreDesk;
import dev.lonja.desk.tray.TraysDesk;
import dev.lonja.store.tray.Tray;
import jakarta.servlet.http.HttpSession;
import java.util.Locale;
import org.springframework.core.env.Environment;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Gives every page its frame. */
@ControllerAdvice
class FrameAdvice {

  private final StoreDesk store;
  private final TraysDesk trays;
  private final StoreClock clock;
  private final LabelPrinter printer;
  private final boolean bench;

  FrameAdvice(
      StoreDesk store,
      TraysDesk trays,
      StoreClock clock,
      LabelPrinter printer,
      Environment environment) {
    this.store = store;
    this.trays = trays;
    this.clock = clock;
    this.printer = printer;
    this.bench = environment.matchesProfiles("bench");
  }

  @ModelAttribute("frame")
  FrameView frame(Authentication person, HttpSession session) {
    StoreDesk.Sign sign = store.sign();
    Beside.showUs(sign.usUnits());
    boolean seesStore = Viewer.seesStore();
    boolean administers = has(person, "ROLE_ADMINISTRATOR");
    boolean keepsStore = has(person, "ROLE_STOREKEEPER") || administers;
    return new FrameView(
        sign.name(),
        Words.whole(clock.today()),
        clock.isPinned(),
        person == null ? "" : person.getName(),
        new FrameView.May(
            keepsStore,
            seesStore,
            keepsStore || has(person, "ROLE_WORKSHOP"),
            keepsStore || has(person, "ROLE_WORKSHOP"),
            keepsStore || has(person, "ROLE_BUYER"),
            administers,
            administers || has(person, "ROLE_AUDITOR"),
            keepsStore && bench,
            keepsStore && printer.isConnected()),
        seesStore ? Rail.forStore() : Rail.forWorkshop(),
        OpenTrayChoice.of(session)
            .filter(id -> keepsStore)
            .flatMap(trays::open)
            .map(FrameAdvice::view),
        RequestKey.of(person == null ? "" : person.getName()));
  }

  private static boolean has(Authentication person, String role) {
    return person != null
        && person.getAuthorities().stream().anyMatch(a -> role.equals(a.getAuthority()));
  }

  private static FrameView.OpenTray view(TraysDesk.OpenTray open) {
    Tray tray = open.onRack().tray();
    TrayProgress progress = open.onRack().progress();
    return new FrameView.OpenTray(
        tray.id(),
        tray.number(),
        Words.whom(tray.unitCode())
            + ", "
            + tray.title()
            + ", "
            + Words.weekdayAndDay(tray.plannedOn()),
        progress.laidCount() + "/" + progress.steps().size(),
        progress.steps().stream()
            .map(step -> line(step, open.items().get(step.line().itemId())))
            .toList());
  }

  private static FrameView.OpenTrayLine line(TrayProgress.Step step, Item item) {
    return new FrameView.OpenTrayLine(
        LineStates.of(step),
        item.number(),
        item.make() + " · " + step.line().place().toLowerCase(Locale.ROOT),
        step.line().wanted().display());
  }
}
