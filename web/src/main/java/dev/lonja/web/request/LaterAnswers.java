package dev.lonja.web.request;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.view.json.JacksonJsonView;

/**
 * Answers what a browser sends that had no network when it was done: instead of the page that would
 * follow, whether it was done, and if not, why. Such a request says in a header how many seconds
 * ago it was done; it is judged like any other.
 */
public final class LaterAnswers implements HandlerInterceptor {

  private static final String HEADER = "Lonja-Seconds-Ago";

  /** How long ago what a request says was done; empty if it is sent as it happens. */
  static Optional<Duration> ago(HttpServletRequest request) {
    try {
      return Optional.ofNullable(request.getHeader(HEADER))
          .map(Long::parseLong)
          .map(Duration::ofSeconds);
    } catch (NumberFormatException e) {
      throw new ResponseStatusException(
          HttpStatus.BAD_REQUEST, HEADER + " is no whole number of seconds", e);
    }
  }

  @Override
  public void postHandle(
      HttpServletRequest request,
      HttpServletResponse response,
      Object handler,
      @Nullable ModelAndView page) {
    if (page == null || ago(request).isEmpty()) {
      return;
    }
    boolean done = Optional.ofNullable(page.getViewName()).orElse("").startsWith("redirect:");
    List<String> why = done ? List.of() : problems(page);
    page.clear();
    page.setView(new JacksonJsonView());
    page.addObject("done", done);
    page.addObject("why", why);
  }

  private static List<String> problems(ModelAndView page) {
    return page.getModel().get("problems") instanceof Collection<?> problems
        ? problems.stream().map(problem -> ((Problem) problem).text()).toList()
        : List.of();
  }
}
