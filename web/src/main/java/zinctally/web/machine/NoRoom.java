package zinctally.web.machine;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import zinctally.store.DiskFull;
import zinctally.web.shell.PlainPage;
import zinctally.web.shell.Say;

/**
 * Takes nothing more to be written when the disk is nearly full. A database that runs into the end
 * of its disk may stop altogether; pages can still be read while it does not.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class NoRoom extends OncePerRequestFilter {
  private static final Logger LOG = LoggerFactory.getLogger(NoRoom.class);
  private static final Set<String> READS = Set.of("GET", "HEAD", "OPTIONS");

  /** Somebody has to get in to see what is wrong. */
  private static final String DOOR = "/sign-in";

  private final Machine machine;
  private final PlainPage page;
  private final Say say;

  NoRoom(Machine machine, PlainPage page, Say say) {
    this.machine = machine;
    this.page = page;
    this.say = say;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (!READS.contains(request.getMethod())
        && !request.getRequestURI().startsWith(DOOR)
        && !machine.room().enough()) {
      say(request, response);
      return;
    }
    try {
      chain.doFilter(request, response);
    } catch (ServletException | RuntimeException failed) {
      if (!DiskFull.why(failed) || response.isCommitted()) throw failed;
      response.reset();
      say(request, response);
    }
  }

  private void say(HttpServletRequest request, HttpServletResponse response) throws IOException {
    LOG.warn("{}: the disk is full", request.getRequestURI());
    page.say(
        "machine/no-room",
        Map.of("free", say.bytes(machine.room().free())),
        HttpStatus.INSUFFICIENT_STORAGE,
        response);
  }
}
