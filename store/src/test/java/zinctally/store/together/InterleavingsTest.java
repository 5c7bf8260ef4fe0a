package zinctally.store.together;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataAccessException;
import zinctally.store.FreshBook;
import zinctally.store.Moment;
import zinctally.store.Refused;
import zinctally.store.check.CheckStore;
import zinctally.store.check.Finding;
import zinctally.store.prove.PeriodStore;

/**
 * Two people write at the same moment, in every order of their statements that a seed picks:
 * afterwards each has done it or been told why not, and everything that must hold in a book holds.
 * {@code -Dzinc.seeds=200} tries so many orders of each pair.
 */
class InterleavingsTest {
  private static final int SEEDS = Integer.getInteger("zinc.seeds", 2);
  private static final long FIRST = Long.getLong("zinc.seed", 1);
  private static final Map<String, Integer> DONE = new TreeMap<>();
  private static final String ONLY = System.getProperty("zinc.pair", "");

  /** A book in which a round begins, again and again. */
  private record Stage(FreshBook book, World world, Moment begun) implements AutoCloseable {
    static Stage of(int round) {
      FreshBook book = new FreshBook(StoppingDataSource.Wiring.class);
      World world = new World(book, round);
      return new Stage(book, world, book.now());
    }

    @Override
    public void close() {
      begun.close();
      book.close();
    }
  }

  @Test
  void whoever_writes_beside_whom_the_book_holds() throws Exception {
    List<String> failed = new ArrayList<>();
    int rounds = 0;
    try (Stage average = Stage.of(1);
        Stage fifo = Stage.of(2);
        LockWaits watch = new LockWaits()) {
      List<String> names = average.world().names();
      for (int a = 0; a < names.size(); a++)
        for (int b = a; b < names.size(); b++) {
          if (!(names.get(a) + " | " + names.get(b)).contains(ONLY)) continue;
          for (long seed = FIRST; seed < FIRST + SEEDS; seed++) {
            Stage stage = ++rounds % 2 == 0 ? fifo : average;
            List<String> wrong = round(stage, seed, names.get(a), names.get(b), watch);
            stage.begun().back();
            if (wrong.isEmpty()) continue;
            failed.add(
                names.get(a) + " | " + names.get(b) + ", seed " + seed + ": " + wrong.get(0));
            System.out.println(String.join("\n  ", wrong));
          }
        }
    }
    System.out.println(DONE);
    System.out.println(rounds + " interleavings tried");
    assertThat(failed).as(failed.size() + " of " + rounds + " interleavings").isEmpty();
  }

  /** One round; empty when all holds, else what does not, and who did what in which order. */
  private static List<String> round(
      Stage stage, long seed, String first, String second, LockWaits watch) throws Exception {
    Turns.Outcome outcome =
        Turns.run(
            seed * 31 + first.hashCode() * 7L + second.hashCode(),
            List.of("A", "B"),
            List.of(stage.world().deed(first), stage.world().deed(second)),
            watch);
    List<String> wrong = new ArrayList<>();
    for (Turns.Came came : outcome.came())
      DONE.merge(
          (came.name().equals("A") ? first : second) + (came.threw() == null ? ": done" : ": told"),
          1,
          Integer::sum);
    for (Turns.Came came : outcome.came())
      if (came.threw() != null && !told(came.threw()))
        wrong.add(came.name() + " got " + came.threw());
    for (Finding finding : stage.book().get(CheckStore.class).findings())
      if (!finding.holds()) wrong.add(finding.what() + ": " + finding.faults());
    if (Boolean.getBoolean("zinc.show")) System.out.println(outcome.came());
    if (Boolean.getBoolean("zinc.show")) System.out.println(String.join("\n  ", outcome.order()));
    if (wrong.isEmpty()) return wrong;
    String who = "A " + first + ", B " + second + ", seed " + seed;
    return Stream.of(List.of(who), wrong, outcome.order()).flatMap(List::stream).toList();
  }

  /** Whether somebody was told why not. */
  private static boolean told(Throwable threw) {
    return !(threw instanceof DataAccessException)
        && (threw instanceof Refused
            || threw instanceof PeriodStore.Wrong
            || threw instanceof IllegalStateException);
  }
}
