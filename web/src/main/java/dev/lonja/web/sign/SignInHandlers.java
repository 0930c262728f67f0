package dev.lonja.web.sign;

import dev.lonja.desk.audit.Trail;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Devices;
import dev.lonja.desk.person.FrontDoor;
import dev.lonja.desk.person.SignedIn;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Duration;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.boot.web.server.Cookie.SameSite;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.authentication.AuthenticationFailureHandler;
import org.springframework.security.web.authentication.AuthenticationSuccessHandler;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;
import org.springframework.security.web.authentication.logout.LogoutHandler;
import org.springframework.stereotype.Component;

/** What follows a sign-in that succeeded or failed, and a sign-out. */
@Component
public class SignInHandlers
    implements AuthenticationSuccessHandler, AuthenticationFailureHandler, LogoutHandler {

  private static final Duration DEVICE_LASTS = Duration.ofDays(180);
  private static final int LONGEST_DEVICE = 200;

  private final LiveSessions sessions;
  private final Devices devices;
  private final Trail trail;
  private final StoreClock clock;
  private final SavedRequestAwareAuthenticationSuccessHandler onward =
      new SavedRequestAwareAuthenticationSuccessHandler();

  SignInHandlers(LiveSessions sessions, Devices devices, Trail trail, StoreClock clock) {
    this.sessions = sessions;
    this.devices = devices;
    this.trail = trail;
    this.clock = clock;
  }

  @Override
  public void onAuthenticationSuccess(
      HttpServletRequest request, HttpServletResponse response, Authentication let)
      throws IOException, ServletException {
    SignedIn person = (SignedIn) let.getPrincipal();
    FrontDoor.Doorway doorway = (FrontDoor.Doorway) let.getDetails();
    HttpSession session = request.getSession();
    sessions.begin(
        new LiveSessions.Live(
            session.getId(),
            UUID.randomUUID().toString(),
            person.id(),
            clock.now(),
            clock.now(),
            doorway.address(),
            device(request)));
    if (doorway.device().filter(token -> devices.isOf(token, person.id())).isEmpty()) {
      remember(person, request, response);
    }
    Optional<Kept> kept = Kept.broughtBy(request);
    if (kept.isPresent()) {
      kept.get().keepIn(session);
      response.sendRedirect(request.getContextPath() + "/sign-in/again");
    } else {
      onward.onAuthenticationSuccess(request, response, let);
    }
  }

  private void remember(SignedIn person, HttpServletRequest request, HttpServletResponse response) {
    Optional<String> token = devices.remember(person.id());
    token.ifPresent(known -> response.addHeader(HttpHeaders.SET_COOKIE, cookie(known, request)));
  }

  private static String cookie(String token, HttpServletRequest request) {
    return ResponseCookie.from(DoorwaySource.DEVICE, token)
        .path(request.getContextPath() + "/sign-in")
        .httpOnly(true)
        .secure(request.isSecure())
        .sameSite(SameSite.STRICT.attributeValue())
        .maxAge(DEVICE_LASTS)
        .build()
        .toString();
  }

  private static String device(HttpServletRequest request) {
    String agent = Optional.ofNullable(request.getHeader(HttpHeaders.USER_AGENT)).orElse("");
    return agent.length() > LONGEST_DEVICE ? agent.substring(0, LONGEST_DEVICE) : agent;
  }

  /** Back to the form, which keeps what was sent when the session was over. */
  @Override
  public void onAuthenticationFailure(
      HttpServletRequest request, HttpServletResponse response, AuthenticationException problem)
      throws IOException, ServletException {
    String what = problem instanceof LockedException ? "wait" : "wrong";
    Optional<Kept> kept = Kept.broughtBy(request);
    if (kept.isPresent()) {
      request.setAttribute("kept", kept.get());
      request.setAttribute("said", what);
      request.getRequestDispatcher("/sign-in/over").forward(request, response);
    } else {
      response.sendRedirect(request.getContextPath() + "/sign-in?" + what.toLowerCase(Locale.ROOT));
    }
  }

  @Override
  public void logout(
      HttpServletRequest request,
      HttpServletResponse response,
      @org.jspecify.annotations.Nullable Authentication leaving) {
    if (leaving != null && leaving.getPrincipal() instanceof SignedIn person) {
      trail.note(
          new Trail.By(person.name(), request.getRemoteAddr()),
          Matter.PERSON,
          person.id(),
          Deed.SIGNED_OUT,
          Facts.NONE);
    }
  }
}
