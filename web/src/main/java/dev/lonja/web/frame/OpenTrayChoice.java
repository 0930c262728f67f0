package dev.lonja.web.frame;

import dev.lonja.core.tray.TrayId;
import jakarta.servlet.http.HttpSession;
import java.util.Optional;

/** Which tray a person has open beside the pages, kept for as long as they are signed in. */
public final class OpenTrayChoice {

  private static final String ATTRIBUTE = "openTray";

  private OpenTrayChoice() {}

  public static void choose(HttpSession session, TrayId trayId) {
    session.setAttribute(ATTRIBUTE, trayId);
  }

  public static void none(HttpSession session) {
    session.removeAttribute(ATTRIBUTE);
  }

  public static Optional<TrayId> of(HttpSession session) {
    return Optional.ofNullable((TrayId) session.getAttribute(ATTRIBUTE));
  }
}
