package dev.lonja.web.request;

import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.inOrder;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import dev.lonja.desk.answer.GiveWay;
import jakarta.servlet.FilterChain;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.InOrder;

class WaitsTest {

  private final GiveWay way = mock(GiveWay.class);
  private final GiveWay.Waiting waiting = mock(GiveWay.Waiting.class);
  private final FilterChain chain = mock(FilterChain.class);
  private final HttpServletRequest request = mock(HttpServletRequest.class);
  private final HttpServletResponse response = mock(HttpServletResponse.class);

  @BeforeEach
  void waits() {
    when(way.somebodyWaits()).thenReturn(waiting);
  }

  @Test
  void whoAsksWaitsUntilItIsWritten() throws Exception {
    new Waits(way).doFilterInternal(request, response, chain);
    InOrder order = inOrder(way, chain, waiting);
    order.verify(way).somebodyWaits();
    order.verify(chain).doFilter(request, response);
    order.verify(waiting).close();
  }

  @Test
  void whoGetsNoAnswerWaitsNoLonger() throws Exception {
    doThrow(new IOException("gone")).when(chain).doFilter(any(), any());
    assertThatThrownBy(() -> new Waits(way).doFilterInternal(request, response, chain))
        .hasMessage("gone");
    verify(waiting).close();
  }
}
