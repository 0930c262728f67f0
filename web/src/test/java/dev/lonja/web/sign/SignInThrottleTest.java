package dev.lonja.web.sign;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.mockingDetails;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import dev.lonja.desk.clock.StoreClock;
import jakarta.servlet.FilterChain;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.core.Authentication;

/**
 * Waits of one minute after five wrong passwords, doubled after each further one, up to an hour.
 */
class SignInThrottleTest {

  private static final Instant MORNING = Instant.parse("2027-03-15T08:00:00Z");

  private final StoreClock clock = mock(StoreClock.class);
  private final SignInThrottle throttle = new SignInThrottle(clock);

  @Test
  void fourWrongOnesCostNothing() throws Exception {
    wrong("buyer", 4, MORNING);
    assertThat(mayTry("buyer", MORNING)).isTrue();
  }

  @Test
  void theFifthCostsAMinuteAndTheNextTwo() throws Exception {
    wrong("buyer", 5, MORNING);
    assertThat(mayTry("buyer", MORNING.plusSeconds(59))).isFalse();
    assertThat(mayTry("buyer", MORNING.plusSeconds(60))).isTrue();
    wrong("buyer", 1, MORNING.plusSeconds(60));
    assertThat(mayTry("buyer", MORNING.plusSeconds(179))).isFalse();
    assertThat(mayTry("buyer", MORNING.plusSeconds(180))).isTrue();
  }

  @Test
  void noWaitIsLongerThanAnHour() throws Exception {
    wrong("buyer", 40, MORNING);
    assertThat(mayTry("buyer", MORNING.plusSeconds(3_599))).isFalse();
    assertThat(mayTry("buyer", MORNING.plusSeconds(3_600))).isTrue();
  }

  @Test
  void anotherNameAndTheRightPasswordAreFree() throws Exception {
    wrong("buyer", 5, MORNING);
    assertThat(mayTry("auditor", MORNING)).isTrue();
    when(clock.now()).thenReturn(MORNING);
    throttle
        .onSuccess()
        .onAuthenticationSuccess(request("buyer"), response(), mock(Authentication.class));
    assertThat(mayTry("buyer", MORNING)).isTrue();
  }

  private void wrong(String name, int times, Instant at) throws Exception {
    when(clock.now()).thenReturn(at);
    for (int i = 0; i < times; i++) {
      throttle
          .onFailure()
          .onAuthenticationFailure(request(name), response(), new BadCredentialsException("wrong"));
    }
  }

  private boolean mayTry(String name, Instant at) throws Exception {
    when(clock.now()).thenReturn(at);
    FilterChain chain = mock(FilterChain.class);
    HttpServletRequest request = request(name);
    HttpServletResponse response = response();
    throttle.doFilterInternal(request, response, chain);
    boolean passed = mockingDetails(chain).getInvocations().size() == 1;
    verify(response, times(passed ? 0 : 1)).sendRedirect("/sign-in?wait");
    return passed;
  }

  private static HttpServletResponse response() {
    HttpServletResponse response = mock(HttpServletResponse.class);
    when(response.encodeRedirectURL(anyString())).thenAnswer(call -> call.getArgument(0));
    return response;
  }

  private static HttpServletRequest request(String name) {
    HttpServletRequest request = mock(HttpServletRequest.class);
    when(request.getMethod()).thenReturn("POST");
    when(request.getRequestURI()).thenReturn("/sign-in");
    when(request.getContextPath()).thenReturn("");
    when(request.getRemoteAddr()).thenReturn("192.0.2.7");
    when(request.getParameter("name")).thenReturn(name);
    return request;
  }
}
