package zinctally.web.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockFilterChain;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockHttpSession;

class SessionLifeTest {
  private static boolean ends(Duration after) throws Exception {
    MockHttpSession session = new MockHttpSession();
    MockHttpServletRequest request = new MockHttpServletRequest();
    request.setSession(session);
    MockFilterChain chain = new MockFilterChain();
    Instant then = Instant.ofEpochMilli(session.getCreationTime()).plus(after);
    new SessionLife(Clock.fixed(then, ZoneOffset.UTC))
        .doFilter(request, new MockHttpServletResponse(), chain);
    assertThat(chain.getRequest()).as("what is asked for goes on").isNotNull();
    return session.isInvalid();
  }

  @Test
  void a_session_ends_after_a_working_day_and_not_before() throws Exception {
    assertThat(ends(SessionLife.LONGEST)).isFalse();
    assertThat(ends(SessionLife.LONGEST.plusMillis(1))).isTrue();
  }
}
