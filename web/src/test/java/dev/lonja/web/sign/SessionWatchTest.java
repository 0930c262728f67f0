package dev.lonja.web.sign;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import dev.lonja.core.person.PersonId;
import dev.lonja.core.person.Role;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.OwnDesk;
import dev.lonja.desk.person.SignedIn;
import jakarta.servlet.FilterChain;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;

/** When a session is over; who signed in at 08:00 and asks for a page from time to time. */
class SessionWatchTest {

  private static final Instant MORNING = Instant.parse("2027-03-15T08:00:00Z");
  private static final PersonId ANA = new PersonId(7);

  private final StoreClock clock = mock(StoreClock.class);
  private final OwnDesk desk = mock(OwnDesk.class);
  private final LiveSessions sessions = new LiveSessions();
  private final SessionWatch watch = new SessionWatch(sessions, desk, clock);
  private final HttpSession session = mock(HttpSession.class);

  @BeforeEach
  void signedIn() {
    when(session.getId()).thenReturn("s1");
    when(desk.stamp(ANA)).thenReturn(Optional.of(3L));
    sessions.begin(
        new LiveSessions.Live("s1", "h1", ANA, MORNING, MORNING, "192.0.2.7", "a browser"));
  }

  @AfterEach
  void forget() {
    SecurityContextHolder.clearContext();
  }

  /** True if the request still counts as that of the person who signed in. */
  private boolean isKnown(Role role, Duration later) throws Exception {
    SignedIn person = new SignedIn(ANA, "Ana", Set.of(role), 3, "");
    SecurityContextHolder.getContext()
        .setAuthentication(
            UsernamePasswordAuthenticationToken.authenticated(person, "", person.getAuthorities()));
    when(clock.now()).thenReturn(MORNING.plus(later));
    HttpServletRequest request = mock(HttpServletRequest.class);
    when(request.getSession(false)).thenReturn(session);
    watch.doFilterInternal(request, mock(HttpServletResponse.class), mock(FilterChain.class));
    return SecurityContextHolder.getContext().getAuthentication() != null;
  }

  @ParameterizedTest
  @CsvSource({
    "STOREKEEPER, PT11H59M, true",
    "STOREKEEPER, PT12H, false",
    "ADMINISTRATOR, PT59M, true",
    "ADMINISTRATOR, PT1H, false",
  })
  void aSessionWithoutASignOfLifeEnds(Role role, Duration later, boolean known) throws Exception {
    assertThat(isKnown(role, later)).isEqualTo(known);
  }

  @Test
  void requestsKeepItAliveForAWeekAndNoLonger() throws Exception {
    for (int hours = 8; hours < 168; hours += 8) {
      assertThat(isKnown(Role.BUYER, Duration.ofHours(hours))).isTrue();
    }
    verify(session, never()).invalidate();
    assertThat(isKnown(Role.BUYER, Duration.ofHours(168))).isFalse();
    verify(session).invalidate();
  }

  @Test
  void oneThatWasEndedIsOver() throws Exception {
    sessions.end("s1");
    assertThat(isKnown(Role.BUYER, Duration.ZERO)).isFalse();
  }

  @Test
  void soIsOneThatBeganBeforeARoleChanged() throws Exception {
    when(desk.stamp(ANA)).thenReturn(Optional.of(4L));
    assertThat(isKnown(Role.BUYER, Duration.ZERO)).isFalse();
  }

  @Test
  void andThatOfSomebodyWhoIsNotThereAnyMore() throws Exception {
    when(desk.stamp(ANA)).thenReturn(Optional.empty());
    assertThat(isKnown(Role.BUYER, Duration.ZERO)).isFalse();
  }
}
