package dev.lonja.web.sign;

import dev.lonja.desk.clock.StoreClock;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.security.web.authentication.AuthenticationFailureHandler;
import org.springframework.security.web.authentication.AuthenticationSuccessHandler;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Slows down guessing: after five wrong passwords for a name from one address, that pair waits a
 * minute, and twice as long after each further one, up to an hour. Remembers the latest 10,000
 * pairs.
 */
@Component
public class SignInThrottle extends OncePerRequestFilter {

  private static final int FREE_TRIES = 5;
  private static final Duration FIRST_WAIT = Duration.ofMinutes(1);
  private static final Duration LONGEST_WAIT = Duration.ofHours(1);
  private static final int MOST_PAIRS = 10_000;
  private static final int MOST_DOUBLINGS = 6;

  private final StoreClock clock;
  private final Map<String, Tries> tries =
      new LinkedHashMap<>() {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Tries> eldest) {
          return size() > MOST_PAIRS;
        }
      };

  private record Tries(int wrong, Instant waitUntil) {}

  SignInThrottle(StoreClock clock) {
    this.clock = clock;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    boolean signsIn =
        request.getMethod().equals("POST") && request.getRequestURI().endsWith("/sign-in");
    if (signsIn && mustWait(pair(request))) {
      response.sendRedirect(request.getContextPath() + "/sign-in?wait");
    } else {
      chain.doFilter(request, response);
    }
  }

  public AuthenticationSuccessHandler onSuccess() {
    SavedRequestAwareAuthenticationSuccessHandler next =
        new SavedRequestAwareAuthenticationSuccessHandler();
    return (request, response, authentication) -> {
      forget(pair(request));
      next.onAuthenticationSuccess(request, response, authentication);
    };
  }

  public AuthenticationFailureHandler onFailure() {
    return (request, response, problem) -> {
      countWrong(pair(request));
      response.sendRedirect(request.getContextPath() + "/sign-in?wrong");
    };
  }

  private synchronized boolean mustWait(String pair) {
    Tries known = tries.get(pair);
    return known != null && clock.now().isBefore(known.waitUntil());
  }

  private synchronized void forget(String pair) {
    tries.remove(pair);
  }

  private synchronized void countWrong(String pair) {
    Tries known = tries.get(pair);
    int wrong = known == null ? 1 : known.wrong() + 1;
    tries.put(pair, new Tries(wrong, clock.now().plus(wait(wrong))));
  }

  private static Duration wait(int wrong) {
    if (wrong < FREE_TRIES) {
      return Duration.ZERO;
    }
    int doublings = Math.min(wrong - FREE_TRIES, MOST_DOUBLINGS);
    Duration wait = FIRST_WAIT.multipliedBy(1L << doublings);
    return wait.compareTo(LONGEST_WAIT) > 0 ? LONGEST_WAIT : wait;
  }

  private static String pair(HttpServletRequest request) {
    return request.getParameter("name") + " " + request.getRemoteAddr();
  }
}
