package dev.lonja.web.sign;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.io.Serializable;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * A form that was sent when its session was over: where to, and what was typed. It is shown and
 * sent again only by hand, since what comes without a session may come from anywhere.
 */
public record Kept(String path, List<Field> fields) implements Serializable {

  /** One field, once for each of its values. */
  public record Field(String name, String value) implements Serializable {
    /** False for what only carries the form. */
    public boolean isTyped() {
      return !CARRYING.contains(name) && !value.isBlank();
    }
  }

  private static final String ATTRIBUTE = "kept-form";
  private static final String PATH = "keptPath";
  private static final String PREFIX = "kept.";
  private static final Set<String> CARRYING = Set.of("requestKey", "version");
  private static final Pattern OWN_PATH = Pattern.compile("/[A-Za-z0-9][A-Za-z0-9/_. -]{0,200}");
  private static final Set<String> NEVER = Set.of("/sign-in", "/sign-out", "/first-start");
  private static final Pattern SECRET =
      Pattern.compile("(?i).*password|pin|badge|setUpCode|oneTimeCode");
  private static final int MOST_FIELDS = 2_000;

  /** What is sent now, if it may be kept: a form of these pages that holds no secret. */
  static Optional<Kept> of(HttpServletRequest request) {
    List<Field> fields = new ArrayList<>();
    request
        .getParameterMap()
        .forEach(
            (name, values) -> {
              if (!name.equals("_csrf")) {
                for (String value : values) {
                  fields.add(new Field(name, value));
                }
              }
            });
    String path = request.getRequestURI().substring(request.getContextPath().length());
    boolean secret = fields.stream().anyMatch(f -> SECRET.matcher(f.name()).matches());
    return Optional.of(new Kept(path, fields))
        .filter(kept -> !secret && mayGoTo(path) && fields.size() <= MOST_FIELDS);
  }

  /** What the sign-in form brought along. */
  static Optional<Kept> broughtBy(HttpServletRequest request) {
    List<Field> fields = new ArrayList<>();
    for (Map.Entry<String, String[]> entry : request.getParameterMap().entrySet()) {
      if (entry.getKey().startsWith(PREFIX)) {
        for (String value : entry.getValue()) {
          fields.add(new Field(entry.getKey().substring(PREFIX.length()), value));
        }
      }
    }
    return Optional.ofNullable(request.getParameter(PATH))
        .filter(Kept::mayGoTo)
        .map(path -> new Kept(path, fields));
  }

  private static boolean mayGoTo(String path) {
    return OWN_PATH.matcher(path).matches() && !NEVER.contains(path) && !path.contains("..");
  }

  void keepIn(HttpSession session) {
    session.setAttribute(ATTRIBUTE, this);
  }

  /** Takes it out of the session. */
  static Optional<Kept> takeFrom(HttpSession session) {
    Optional<Kept> kept = Optional.ofNullable((Kept) session.getAttribute(ATTRIBUTE));
    session.removeAttribute(ATTRIBUTE);
    return kept;
  }
}
