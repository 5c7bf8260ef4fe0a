package zinctally.store.together;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.function.IntSupplier;

/**
 * Lets a few actors go on one at a time, a statement each, in an order that a seed decides. Who
 * waits for a lock of the database is passed over until it is free.
 */
final class Turns {
  /** What became of an actor. */
  record Came(String name, Object answer, Throwable threw) {}

  private enum State {
    RUNS,
    READY,
    WAITS,
    DONE
  }

  private static final class Actor {
    final String name;
    final Callable<?> deed;
    State state = State.RUNS;
    boolean granted;
    String next = "";
    Came came;

    Actor(String name, Callable<?> deed) {
      this.name = name;
      this.deed = deed;
    }
  }

  private static final ThreadLocal<Actor> ME = new ThreadLocal<>();
  private static volatile Turns now;
  private final List<Actor> actors = new ArrayList<>();
  private final List<String> order = new ArrayList<>();

  /** About as many statements as a posting has. */
  private static final int LENGTH = 70;

  private final Random dice;

  /** After how many statements another goes on; between two of these one goes on alone. */
  private final Set<Integer> changes = new HashSet<>();

  private final IntSupplier lockWaits;

  /** After which statement of the first actor the others go on; empty when a seed decides. */
  private final String gap;

  /** The how manieth such statement. */
  private final int times;

  private boolean inGap;

  private Turns(String gap, int times, IntSupplier lockWaits) {
    this.gap = gap;
    this.times = times;
    this.lockWaits = lockWaits;
    dice = new Random(0);
  }

  private Turns(long seed, IntSupplier lockWaits) {
    gap = "";
    times = 0;
    dice = new Random(seed);
    int most = new int[] {1, 1, 2, 3, LENGTH}[dice.nextInt(5)];
    for (int i = 0; i < most; i++) changes.add(1 + dice.nextInt(LENGTH));
    this.lockWaits = lockWaits;
  }

  /**
   * @param came what became of each actor, in their order
   * @param order who did what, a line each
   */
  record Outcome(List<Came> came, List<String> order) {}

  /**
   * Runs the deeds to their ends.
   *
   * @param names of the actors
   * @param lockWaits how many transactions wait for a lock
   */
  static Outcome run(
      long seed, List<String> names, List<Callable<?>> deeds, IntSupplier lockWaits) {
    return run(new Turns(seed, lockWaits), names, deeds);
  }

  /**
   * Lets the first go on until it has done a statement, then the second to its end or until it
   * waits for the first, then both to their ends.
   *
   * @param after how that statement begins
   * @param times the how manieth that begins so
   */
  static Outcome inTheGap(
      String after, int times, Callable<?> first, Callable<?> second, IntSupplier lockWaits) {
    Turns turns = new Turns(after, times, lockWaits);
    Outcome outcome = run(turns, List.of("A", "B"), List.of(first, second));
    if (!turns.inGap)
      throw new IllegalStateException(
          "A never did \"" + after + "\" but:\n" + String.join("\n", outcome.order));
    return outcome;
  }

  private static Outcome run(Turns turns, List<String> names, List<Callable<?>> deeds) {
    for (int i = 0; i < names.size(); i++) turns.actors.add(new Actor(names.get(i), deeds.get(i)));
    now = turns;
    try {
      turns.run();
    } catch (InterruptedException stopped) {
      throw new IllegalStateException(stopped);
    } finally {
      now = null;
    }
    return new Outcome(turns.actors.stream().map(a -> a.came).toList(), turns.order);
  }

  /** Called before every statement; waits for its turn when an actor does it. */
  static void stop(String what) {
    Turns turns = now;
    Actor me = ME.get();
    if (turns != null && me != null) turns.await(me, what);
  }

  private synchronized void await(Actor me, String what) {
    me.next = what;
    me.state = State.READY;
    notifyAll();
    while (!me.granted)
      try {
        wait();
      } catch (InterruptedException stopped) {
        throw new IllegalStateException(stopped);
      }
    me.granted = false;
  }

  private void run() throws InterruptedException {
    List<Thread> threads = new ArrayList<>();
    for (Actor actor : actors) {
      Thread thread = new Thread(() -> act(actor), actor.name);
      threads.add(thread);
      thread.start();
    }
    Actor last = null;
    while (true) {
      settle();
      Actor next;
      synchronized (this) {
        List<Actor> ready = actors.stream().filter(a -> a.state == State.READY).toList();
        if (ready.isEmpty()) {
          if (actors.stream().allMatch(a -> a.state == State.DONE)) break;
          wait(2);
          continue;
        }
        boolean goesOn = ready.contains(last) && !changes.contains(order.size());
        next = !gap.isEmpty() ? aroundGap(ready) : goesOn ? last : other(ready, last);
        order.add(next.name + ": " + next.next);
        next.state = State.RUNS;
        next.granted = true;
        notifyAll();
      }
      last = next;
    }
    for (Thread thread : threads) thread.join();
  }

  private Actor aroundGap(List<Actor> ready) {
    Actor first = actors.get(0);
    String done = first.name + ": " + gap;
    if (order.stream().filter(line -> line.startsWith(done)).count() >= times) inGap = true;
    Actor wanted = inGap ? actors.get(1) : first;
    return ready.contains(wanted) ? wanted : ready.get(0);
  }

  private Actor other(List<Actor> ready, Actor last) {
    List<Actor> others = ready.stream().filter(a -> a != last).toList();
    return others.isEmpty() ? last : others.get(dice.nextInt(others.size()));
  }

  private void act(Actor actor) {
    ME.set(actor);
    Object answer = null;
    Throwable threw = null;
    try {
      stop("begins");
      answer = actor.deed.call();
    } catch (Throwable t) {
      threw = t;
    }
    ME.remove();
    synchronized (this) {
      actor.came = new Came(actor.name, answer, threw);
      actor.state = State.DONE;
      notifyAll();
    }
  }

  /** Waits until everybody stands at a statement, waits for a lock, or is done. */
  private void settle() throws InterruptedException {
    for (int looked = 0; ; looked++) {
      int waiting;
      synchronized (this) {
        if (count(State.RUNS) == 0 && count(State.WAITS) == 0) return;
        if (count(State.RUNS) > 0 && looked < 3) {
          wait(1);
          continue;
        }
        waiting = count(State.WAITS);
      }
      int waits = lockWaits.getAsInt();
      synchronized (this) {
        int runs = count(State.RUNS);
        if (runs == 0 && waiting == count(State.WAITS) && waits >= waiting) return;
        if (runs > 0 && waits >= runs + count(State.WAITS)) {
          actors.stream().filter(a -> a.state == State.RUNS).forEach(a -> a.state = State.WAITS);
          return;
        }
        wait(1);
      }
    }
  }

  private int count(State state) {
    return (int) actors.stream().filter(a -> a.state == state).count();
  }
}
