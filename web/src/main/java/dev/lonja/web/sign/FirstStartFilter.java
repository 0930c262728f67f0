package dev.lonja.web.sign;

import dev.lonja.desk.person.FirstStartDesk;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Leads every visitor to the set-up page until the store has an administrator. */
@Component
public class FirstStartFilter extends OncePerRequestFilter {

  private final FirstStartDesk firstStart;

  FirstStartFilter(FirstStartDesk firstStart) {
    this.firstStart = firstStart;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String path = request.getRequestURI().substring(request.getContextPath().length());
    boolean passes = path.startsWith("/assets/") || path.equals("/first-start");
    if (!passes && firstStart.isNeeded()) {
      response.sendRedirect(request.getContextPath() + "/first-start");
    } else {
      chain.doFilter(request, response);
    }
  }
}
