package zinctally.web.machine;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.FileStore;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.env.Environment;
import org.springframework.core.env.Profiles;
import org.springframework.stereotype.Component;
import zinctally.store.machine.MachineStore;

/** What the owner must know of the machine: room on its disk, and whether a fire would hurt. */
@Component
public class Machine {
  private static final int WORRIES_AFTER = 2; // days without a backup
  private static final long LITTLE = 1L << 30;

  /** What the database needs to go on at all, and to undo what it cannot end. */
  private static final long LEAST = 64L << 20;

  private final MachineStore store;
  private final Path home;
  private final Clock clock;
  private final boolean demo;

  Machine(
      MachineStore store, @Value("${zinc.home}") Path home, Clock clock, Environment environment) {
    this.store = store;
    this.home = home;
    this.clock = clock;
    this.demo = environment.acceptsProfiles(Profiles.of("demo"));
  }

  /**
   * Room where the book lies, bytes.
   *
   * @param free what this program may still write
   */
  record Room(long free, long all) {
    boolean little() {
      return free < LITTLE;
    }

    /** Whether something more can be written without the database running into the end. */
    boolean enough() {
      return free >= LEAST;
    }
  }

  Room room() {
    try {
      FileStore disk = Files.getFileStore(home);
      return new Room(disk.getUsableSpace(), disk.getTotalSpace());
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }

  /** What is wrong with backups, as a sentence without its full stop; nothing for the demo. */
  public Optional<String> worry() {
    if (demo) return Optional.empty();
    Optional<LocalDateTime> newest = store.newestBackup();
    if (newest.isEmpty()) return Optional.of("No backup of this book has been made yet");
    if (newest.get().plusDays(WORRIES_AFTER).isAfter(LocalDateTime.now(clock)))
      return Optional.empty();
    return Optional.of("The newest backup is of " + newest.get().toLocalDate());
  }
}
