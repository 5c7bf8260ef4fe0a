package zinctally.web.house;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;
import zinctally.store.house.Hosted;
import zinctally.store.house.InHouse;
import zinctally.store.machine.MachineStore;

/**
 * What each book has of the machine, so that a busy or a large one keeps no other from its work.
 */
@Component
@InHouse
class Shares {
  private static final Duration PATIENCE = Duration.ofSeconds(5);

  /** A book's size is asked no more often. */
  private static final Duration KNOWN_FOR = Duration.ofMinutes(1);

  private static final long MEGABYTE = 1_000_000;
  private final MachineStore machine;
  private final Clock clock;
  private final Map<String, Room> rooms = new ConcurrentHashMap<>();
  private final Map<String, Size> sizes = new ConcurrentHashMap<>();

  Shares(MachineStore machine, Clock clock) {
    this.machine = machine;
    this.clock = clock;
  }

  private record Room(int atOnce, Semaphore free) {
    static Room of(Hosted book) {
      int atOnce = book.limits().atOnce();
      return new Room(atOnce, new Semaphore(atOnce, true));
    }
  }

  private record Size(long bytes, Instant at) {}

  /**
   * A request's part, given back when it is closed.
   *
   * @param given whether there was one in time
   */
  record Share(Semaphore free, boolean given) implements AutoCloseable {
    @Override
    public void close() {
      if (given) free.release();
    }
  }

  /** Waits a while for a part. */
  Share take(Hosted book) {
    Semaphore free =
        rooms.compute(
                book.name(),
                (name, room) ->
                    room != null && room.atOnce == book.limits().atOnce() ? room : Room.of(book))
            .free;
    try {
      return new Share(free, free.tryAcquire(PATIENCE.toMillis(), TimeUnit.MILLISECONDS));
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      return new Share(free, false);
    }
  }

  /** Whether the book this thread is in takes all it may on disk. */
  boolean full(Hosted book) {
    Instant now = clock.instant();
    Size size =
        sizes.compute(
            book.name(),
            (name, known) ->
                known != null && now.isBefore(known.at.plus(KNOWN_FOR))
                    ? known
                    : new Size(machine.database().bytes(), now));
    return size.bytes > book.limits().megabytes() * MEGABYTE;
  }
}
