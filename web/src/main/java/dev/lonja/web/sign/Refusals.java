package dev.lonja.web.sign;

import dev.lonja.desk.audit.Trail;
import dev.lonja.desk.person.SignedIn;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.access.AccessDeniedHandler;
import org.springframework.security.web.csrf.CsrfException;
import org.springframework.stereotype.Component;

/**
 * What answers a request that may not be: a form whose session is over is kept and sent again by
 * hand; anything else is refused and noted in the audit.
 */
@Component
public class Refusals implements AccessDeniedHandler {

  private static final String FORM = "application/x-www-form-urlencoded";

  private final Trail trail;

  Refusals(Trail trail) {
    this.trail = trail;
  }

  @Override
  public void handle(
      HttpServletRequest request, HttpServletResponse response, AccessDeniedException problem)
      throws IOException, ServletException {
    boolean outOfDate = problem instanceof CsrfException && isFormOfOurs(request);
    Optional<Kept> kept = outOfDate ? Kept.of(request) : Optional.empty();
    if (kept.isPresent() && actor().isEmpty()) {
      request.setAttribute("kept", kept.get());
      response.setStatus(HttpServletResponse.SC_UNAUTHORIZED);
      request.getRequestDispatcher("/sign-in/over").forward(request, response);
    } else if (kept.isPresent()) {
      kept.get().keepIn(request.getSession());
      response.sendRedirect(request.getContextPath() + "/sign-in/again");
    } else {
      trail.noteOnce(
          new Trail.By(actor(), request.getRemoteAddr()),
          Matter.PAGE,
          request.getRequestURI(),
          Deed.REFUSED,
          Facts.of("method", request.getMethod()));
      response.sendError(HttpServletResponse.SC_FORBIDDEN);
    }
  }

  /** True for a form that a browser says it has from this very site. */
  private static boolean isFormOfOurs(HttpServletRequest request) {
    String type = Optional.ofNullable(request.getContentType()).orElse("");
    String site = Optional.ofNullable(request.getHeader("Sec-Fetch-Site")).orElse("");
    Optional<String> origin = Optional.ofNullable(request.getHeader(HttpHeaders.ORIGIN));
    String own = Optional.ofNullable(request.getHeader(HttpHeaders.HOST)).orElse("");
    boolean sameSite =
        site.equals("same-origin")
            || site.isEmpty() && origin.filter(o -> o.endsWith("://" + own)).isPresent();
    return type.startsWith(FORM) && sameSite;
  }

  private static String actor() {
    Authentication known = SecurityContextHolder.getContext().getAuthentication();
    return known != null && known.getPrincipal() instanceof SignedIn person ? person.name() : "";
  }
}
