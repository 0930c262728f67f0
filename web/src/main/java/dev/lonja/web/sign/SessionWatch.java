package dev.lonja.web.sign;

import dev.lonja.core.person.SessionLimits;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.OwnDesk;
import dev.lonja.desk.person.SignedIn;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.servlet.http.HttpSessionEvent;
import jakarta.servlet.http.HttpSessionListener;
import java.io.IOException;
import java.time.Instant;
import java.util.Optional;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Looks at each request of somebody who is signed in: whether their session is over by time, was
 * ended, or began before they were switched off or given another role or password.
 */
@Component
public class SessionWatch extends OncePerRequestFilter implements HttpSessionListener {

  private final LiveSessions sessions;
  private final OwnDesk desk;
  private final StoreClock clock;

  SessionWatch(LiveSessions sessions, OwnDesk desk, StoreClock clock) {
    this.sessions = sessions;
    this.desk = desk;
    this.clock = clock;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    Authentication known = SecurityContextHolder.getContext().getAuthentication();
    if (known != null && known.getPrincipal() instanceof SignedIn person) {
      HttpSession session = request.getSession(false);
      Instant now = clock.now();
      if (session == null || isOver(person, session.getId(), now)) {
        SecurityContextHolder.clearContext();
        Optional.ofNullable(session).ifPresent(HttpSession::invalidate);
      } else {
        sessions.seen(session.getId(), now);
      }
    }
    chain.doFilter(request, response);
  }

  private boolean isOver(SignedIn person, String id, Instant now) {
    boolean live =
        sessions
            .of(id)
            .filter(s -> !SessionLimits.of(person.roles()).isOver(s.began(), s.seen(), now))
            .isPresent();
    return !live || desk.stamp(person.id()).filter(s -> s == person.stamp()).isEmpty();
  }

  @Override
  public void sessionDestroyed(HttpSessionEvent event) {
    sessions.end(event.getSession().getId());
  }
}
