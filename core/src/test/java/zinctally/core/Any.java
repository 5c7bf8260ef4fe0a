package zinctally.core;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.LongStream;
import java.util.stream.Stream;

/**
 * What one seed draws. {@code -Dzinc.tries=N} draws from N seeds, {@code -Dzinc.seed=N} from one.
 */
public final class Any {
  private static final int TRIES = 400;
  private final long seed;
  private final Random random;

  private Any(long seed) {
    this.seed = seed;
    // neighbouring seeds begin alike; the first draws are thrown away
    random = new Random(seed * 0x9E3779B97F4A7C15L);
    random.nextLong();
  }

  static Stream<Any> seeds() {
    Long one = Long.getLong("zinc.seed");
    if (one != null) return Stream.of(new Any(one));
    return LongStream.rangeClosed(1, Integer.getInteger("zinc.tries", TRIES)).mapToObj(Any::new);
  }

  /** Both ends are drawn more often than what lies between. */
  public long between(long least, long most) {
    return switch (random.nextInt(12)) {
      case 0 -> least;
      case 1 -> most;
      case 2 -> Math.min(most, least + random.nextInt(10));
      default -> least + Math.floorMod(random.nextLong(), most - least + 1);
    };
  }

  public int between(int least, int most) {
    return (int) between((long) least, (long) most);
  }

  public boolean coin() {
    return random.nextBoolean();
  }

  @SafeVarargs
  public final <T> T of(T... some) {
    return some[random.nextInt(some.length)];
  }

  public <T> List<T> list(int least, int most, Function<Any, T> each) {
    List<T> list = new ArrayList<>();
    int size = between(least, most);
    for (int i = 0; i < size; i++) list.add(each.apply(this));
    return list;
  }

  /** Checks a history; when it fails, says the seed and the shortest part of it that fails too. */
  public <T> void holds(List<T> history, Consumer<List<T>> check) {
    if (passes(history, check)) return;
    List<T> shortest = history;
    for (int i = 0; i < shortest.size(); ) {
      List<T> less = new ArrayList<>(shortest);
      less.remove(i);
      if (passes(less, check)) i++;
      else {
        shortest = less;
        i = 0;
      }
    }
    try {
      check.accept(shortest);
    } catch (Throwable failed) {
      throw new AssertionError(this + " fails, shortest with " + shortest, failed);
    }
  }

  private static <T> boolean passes(List<T> history, Consumer<List<T>> check) {
    try {
      check.accept(history);
      return true;
    } catch (Throwable failed) {
      return false;
    }
  }

  @Override
  public String toString() {
    return "seed " + seed;
  }
}
