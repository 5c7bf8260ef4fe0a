package zinctally.web.people;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.web.filter.OncePerRequestFilter;
import zinctally.web.shell.SameForAll;

/** Ends a session after a working day, however busy it is. */
final class SessionLife extends OncePerRequestFilter {
  static final Duration LONGEST = Duration.ofHours(14);
  private final Clock clock;

  SessionLife(Clock clock) {
    this.clock = clock;
  }

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return SameForAll.FILES.matches(request);
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    HttpSession session = request.getSession(false);
    if (session != null) {
      Instant end = Instant.ofEpochMilli(session.getCreationTime()).plus(LONGEST);
      if (clock.instant().isAfter(end)) session.invalidate();
    }
    chain.doFilter(request, response);
  }
}
