package dev.lonja.web.frame;

import dev.lonja.core.tray.TrayId;
import java.util.List;
import java.util.Optional;

/**
 * The frame around a page.
 *
 * @param requestKey a fresh idempotency key for the page's forms; each form adds its own name to it
 */
public record FrameView(
    String storeName,
    String today,
    boolean pinned,
    String person,
    May may,
    List<RailEntry> rail,
    Optional<OpenTray> openTray,
    String requestKey) {

  /** What the person may do. */
  public record May(
      boolean keepsStore,
      boolean seesStore,
      boolean readsMeters,
      boolean asksForParts,
      boolean buys,
      boolean administers,
      boolean audits,
      boolean playsDevices,
      boolean prints) {}

  /** A view that the rail leads to; {@code key} goes with Alt. */
  public record RailEntry(String id, String words, String path, String icon, String key) {}

  /** The tray that stays at the right edge while one moves about. */
  public record OpenTray(
      TrayId id, String number, String title, String progress, List<OpenTrayLine> lines) {}

  /** One line of it. */
  public record OpenTrayLine(State state, String number, String what, String amount) {}
}
