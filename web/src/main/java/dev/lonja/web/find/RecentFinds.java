package dev.lonja.web.find;

import jakarta.servlet.http.HttpSession;
import java.io.Serializable;
import java.util.ArrayList;
import java.util.List;

/** What a person looked for last, the latest first, kept while they are signed in. */
final class RecentFinds {

  private static final String ATTRIBUTE = RecentFinds.class.getName();
  private static final int MOST = 12;

  private RecentFinds() {}

  /** A find and where it led; {@code path} is the page of finds if it led to several. */
  public record Recent(String query, String path) implements Serializable {}

  static List<Recent> of(HttpSession session) {
    @SuppressWarnings("unchecked") // only add() sets it
    List<Recent> kept = (List<Recent>) session.getAttribute(ATTRIBUTE);
    return kept == null ? List.of() : kept;
  }

  static void add(HttpSession session, Recent find) {
    List<Recent> kept = new ArrayList<>(of(session));
    kept.removeIf(recent -> recent.query().equalsIgnoreCase(find.query()));
    kept.add(0, find);
    session.setAttribute(ATTRIBUTE, List.copyOf(kept.subList(0, Math.min(kept.size(), MOST))));
  }
}
