package dev.lonja.web.request;

import dev.lonja.desk.answer.GiveWay;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Whoever asks for something waits until it is written, and background work stands back. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class Waits extends OncePerRequestFilter {

  private final GiveWay way;

  Waits(GiveWay way) {
    this.way = way;
  }

  @Override
  @SuppressWarnings("try") // it is closed and not used otherwise
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    try (GiveWay.Waiting waiting = way.somebodyWaits()) {
      chain.doFilter(request, response);
    }
  }
}
