package dev.lonja.web.frame;

import jakarta.servlet.http.HttpSession;
import java.util.Optional;

/** Which tray a person has open beside the pages, kept for as long as they are signed in. */
public final class OpenTrayChoice {

  private static final String ATTRIBUTE = "openTray";

  private OpenTrayChoice() {}

  public static void choose(HttpSession session, long trayId) {
    session.setAttribute(ATTRIBUTE, trayId);
  }

  public static void none(HttpSession session) {
    session.removeAttribute(ATTRIBUTE);
  }

  public static Optional<Long> of(HttpSession session) {
    return Optional.ofNullable((Long) session.getAttribute(ATTRIBUTE));
  }
}
