package dev.lonja.web.frame;

import jakarta.servlet.http.HttpSession;
import java.util.ArrayList;
import java.util.List;

/** The machines whose pages a person opened last, the latest first, kept while signed in. */
public final class RecentUnits {

  private static final String ATTRIBUTE = RecentUnits.class.getName();
  private static final int MOST = 6;

  private RecentUnits() {}

  /** Their codes. */
  public static List<String> of(HttpSession session) {
    @SuppressWarnings("unchecked") // only add() sets it
    List<String> kept = (List<String>) session.getAttribute(ATTRIBUTE);
    return kept == null ? List.of() : kept;
  }

  public static void add(HttpSession session, String code) {
    List<String> kept = new ArrayList<>(of(session));
    kept.remove(code);
    kept.add(0, code);
    session.setAttribute(ATTRIBUTE, List.copyOf(kept.subList(0, Math.min(kept.size(), MOST))));
  }
}
