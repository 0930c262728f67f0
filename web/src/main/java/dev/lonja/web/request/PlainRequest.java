package dev.lonja.web.request;

import dev.lonja.core.text.PlainText;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * What is typed comes in without what cannot be seen ({@link PlainText}), wherever it is typed, so
 * that what looks empty is empty and two things that look alike are alike. Passwords stay as they
 * are.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 100)
class PlainRequest extends OncePerRequestFilter {

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    chain.doFilter(new Plain(request), response);
  }

  private static final class Plain extends HttpServletRequestWrapper {
    Plain(HttpServletRequest request) {
      super(request);
    }

    @Override
    public @Nullable String getParameter(String name) {
      String value = super.getParameter(name);
      return value == null ? null : plain(name, value);
    }

    @Override
    public String @Nullable [] getParameterValues(String name) {
      String[] values = super.getParameterValues(name);
      return values == null ? null : plain(name, values);
    }

    @Override
    public Map<String, String[]> getParameterMap() {
      Map<String, String[]> plain = new LinkedHashMap<>();
      super.getParameterMap().forEach((name, values) -> plain.put(name, plain(name, values)));
      return plain;
    }

    private static String[] plain(String name, String[] values) {
      return Arrays.stream(values).map(value -> plain(name, value)).toArray(String[]::new);
    }

    private static String plain(String name, String value) {
      return SentResolver.isSecret(name) ? value : PlainText.of(value);
    }
  }
}
