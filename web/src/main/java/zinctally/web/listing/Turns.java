package zinctally.web.listing;

import java.io.InterruptedIOException;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Whose turn it is to have a file made: everybody's at once would keep all others from their work.
 * Who came first is served first; who does not ask again for a while has gone away.
 */
@Component
public class Turns {
  /** Half of what the machine can do at a time, so that the other half serves pages. */
  public static final int AT_ONCE = Math.max(1, Runtime.getRuntime().availableProcessors() / 2);

  /** Milliseconds after which somebody who waits, and does not ask again, has gone away. */
  static final long GONE_AFTER = 20_000;

  private final Clock clock;
  private final Map<String, Long> waiting = new LinkedHashMap<>(); // asked last at
  private int making;

  Turns(Clock clock) {
    this.clock = clock;
  }

  /**
   * @param ticket what to ask again with
   * @param before how many files are waited for before this one is begun; 0 when it is its turn
   */
  public record Turn(String ticket, int before) {
    /** Whether it is its turn. */
    public boolean now() {
      return before == 0;
    }
  }

  /**
   * Where somebody stands, who goes on waiting.
   *
   * @param ticket what they were given before; null or unknown begins at the end
   */
  synchronized Turn look(@Nullable String ticket) {
    long now = clock.millis();
    waiting.values().removeIf(asked -> now - asked > GONE_AFTER);
    String own =
        ticket != null && waiting.containsKey(ticket) ? ticket : UUID.randomUUID().toString();
    waiting.put(own, now);
    int place = 0;
    for (String other : waiting.keySet())
      if (other.equals(own)) break;
      else place++;
    return new Turn(own, Math.max(0, making + place + 1 - AT_ONCE));
  }

  /**
   * Waits a while for one's turn and takes it; whoever has taken it gives it back with {@link
   * #done}.
   *
   * @param patience in milliseconds
   */
  public synchronized Turn take(@Nullable String ticket, long patience)
      throws InterruptedIOException {
    long until = clock.millis() + patience;
    Turn turn = look(ticket);
    try {
      while (!turn.now() && clock.millis() < until) {
        wait(Math.max(1, Math.min(1000, until - clock.millis())));
        turn = look(turn.ticket);
      }
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new InterruptedIOException("stopped while waiting to make a file");
    }
    if (turn.now()) {
      waiting.remove(turn.ticket);
      making++;
    }
    return turn;
  }

  /** How many files are waited for, besides those that are being made. */
  public synchronized int waiting() {
    return waiting.size();
  }

  /** Lets the next begin. */
  public synchronized void done() {
    making--;
    notifyAll();
  }
}
