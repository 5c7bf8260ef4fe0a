package zinctally.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import zinctally.core.cost.CostEvent;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Method;
import zinctally.core.cost.Past;
import zinctally.core.cost.Pool;
import zinctally.core.cost.PoolState;
import zinctally.core.cost.Position;
import zinctally.core.cost.Spot;
import zinctally.core.cost.Trace;
import zinctally.core.number.Quantity;

/** How fast a pool works its events: 10,000 of them, one arrival for every nine sales. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
@SuppressWarnings("NullAway.Init") // JMH fills the fields
public class PoolBench {
  private static final int EVENTS = 10_000;

  @Param({"FIFO", "AVERAGE"})
  public Method method;

  private List<CostEvent> events;

  @Setup
  public void tell() {
    events = new ArrayList<>(EVENTS);
    LocalDate first = LocalDate.of(2026, 1, 1);
    for (int i = 1; i <= EVENTS; i++) {
      Position at = new Position(first.plusDays(i / 30), i, Spot.FIRST);
      boolean in = i % 10 == 1;
      events.add(
          new CostEvent(
              i,
              in ? EventKind.IN : EventKind.OUT,
              at,
              (in ? 9 : 1) * Quantity.ONE,
              in ? 900 + i % 97 : 0,
              0));
    }
  }

  @Benchmark
  public long replay() {
    Pool pool = new Pool(method, PoolState.EMPTY, false, Past.NONE, Trace.SILENT);
    long sum = 0;
    for (CostEvent event : events) sum += pool.apply(event, 0);
    return sum;
  }
}
