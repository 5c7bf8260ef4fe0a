package zinctally.web.shell;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import zinctally.store.DatabaseGone;

/**
 * Says in a page when the database does not answer. Stands before all other filters, since the
 * session is in the database too.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class NoDatabase extends OncePerRequestFilter {
  private static final Logger LOG = LoggerFactory.getLogger(NoDatabase.class);
  private static final String AGAIN_IN = "5";
  private final PlainPage page;

  NoDatabase(PlainPage page) {
    this.page = page;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    try {
      chain.doFilter(request, response);
    } catch (ServletException | RuntimeException failed) {
      if (!DatabaseGone.why(failed) || response.isCommitted()) throw failed;
      LOG.warn("{}: the database does not answer", request.getRequestURI());
      say(request, response);
    }
  }

  /** A page that is asked for tries again by itself; what was sent is not sent again. */
  private void say(HttpServletRequest request, HttpServletResponse response) throws IOException {
    response.reset();
    response.setHeader(HttpHeaders.RETRY_AFTER, AGAIN_IN);
    Map<String, Object> again =
        "GET".equals(request.getMethod()) ? Map.of("again", AGAIN_IN) : Map.of();
    page.say("no-database", again, HttpStatus.SERVICE_UNAVAILABLE, response);
  }
}
