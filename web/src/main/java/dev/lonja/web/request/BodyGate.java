package dev.lonja.web.request;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.HttpMethod;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.security.web.util.matcher.RequestMatcher;
import org.springframework.stereotype.Component;
import org.springframework.util.unit.DataSize;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Stands before anything that is sent: what is longer than its route takes is refused by its
 * announced length, and files only of those who may send them, before a byte of them is read.
 */
@Component
public class BodyGate extends OncePerRequestFilter {

  private static final Set<String> KEEP_STORE = Set.of("ROLE_STOREKEEPER", "ROLE_ADMINISTRATOR");
  private static final Set<String> BUY =
      Set.of("ROLE_BUYER", "ROLE_STOREKEEPER", "ROLE_ADMINISTRATOR");
  private static final long FORM = DataSize.ofMegabytes(2).toBytes();

  /**
   * What a route takes.
   *
   * @param filesOf the roles whose files it takes; none takes no files
   */
  private record Route(RequestMatcher matcher, long bytes, Set<String> filesOf) {
    static Route of(String path, DataSize most, Set<String> filesOf) {
      return new Route(
          PathPatternRequestMatcher.withDefaults().matcher(HttpMethod.POST, path),
          most.toBytes(),
          filesOf);
    }
  }

  private static final List<Route> ROUTES =
      List.of(
          // a form may come along that was sent when its session was over
          Route.of("/sign-in", DataSize.ofKilobytes(64), Set.of()),
          Route.of("/first-start", DataSize.ofKilobytes(8), Set.of()),
          Route.of("/new-password", DataSize.ofKilobytes(8), Set.of()),
          Route.of("/items/{id}/picture", DataSize.ofMegabytes(8), KEEP_STORE),
          Route.of(
              "/stores/waste/{id}/collections/{collection}/certificates",
              DataSize.ofMegabytes(8),
              KEEP_STORE),
          Route.of("/fleet/{code}/work/receipts", DataSize.ofMegabytes(8), KEEP_STORE),
          Route.of("/oils/products/{id}/sheets", DataSize.ofMegabytes(3), KEEP_STORE),
          Route.of("/buy/orders/{id}/answer", DataSize.ofMegabytes(2), BUY),
          Route.of("/find/lists", DataSize.ofMegabytes(64), KEEP_STORE));

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    Optional<Integer> refused = refusal(request);
    if (refused.isPresent()) {
      // what was announced is not waited for
      response.setHeader("Connection", "close");
      response.sendError(refused.get());
    } else {
      chain.doFilter(request, response);
    }
  }

  private static Optional<Integer> refusal(HttpServletRequest request) {
    boolean mayHaveBody = !Set.of("GET", "HEAD", "OPTIONS").contains(request.getMethod());
    if (!mayHaveBody || request.getContentLengthLong() == 0) {
      return Optional.empty();
    }
    if (request.getContentLengthLong() < 0) {
      return Optional.of(HttpServletResponse.SC_LENGTH_REQUIRED);
    }
    Optional<Route> route = ROUTES.stream().filter(r -> r.matcher().matches(request)).findFirst();
    if (request.getContentLengthLong() > route.map(Route::bytes).orElse(FORM)) {
      return Optional.of(HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE);
    }
    if (hasFiles(request)) {
      Set<String> senders = route.map(Route::filesOf).orElse(Set.of());
      if (senders.isEmpty()) {
        return Optional.of(HttpServletResponse.SC_UNSUPPORTED_MEDIA_TYPE);
      }
      return isOneOf(senders) ? Optional.empty() : Optional.of(HttpServletResponse.SC_FORBIDDEN);
    }
    return Optional.empty();
  }

  private static boolean hasFiles(HttpServletRequest request) {
    return Optional.ofNullable(request.getContentType())
        .filter(type -> type.toLowerCase(java.util.Locale.ROOT).startsWith("multipart/"))
        .isPresent();
  }

  private static boolean isOneOf(Set<String> roles) {
    Authentication person = SecurityContextHolder.getContext().getAuthentication();
    return person != null
        && person.getAuthorities().stream()
            .map(GrantedAuthority::getAuthority)
            .anyMatch(roles::contains);
  }
}
