package zinctally.core.papers.flow;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** How much this paper takes of what lines of earlier ones wait for; nothing is taken twice. */
final class Drawing {
  private final Trading way;

  private final Map<Long, Long> takenQuantity = new HashMap<>();

  private final Map<Long, Long> takenValue = new HashMap<>();

  Drawing(Trading way) {
    this.way = way;
  }

  /** Millionths that a line still waits for. */
  long open(Awaited awaited) {
    return awaited.openQuantity() - takenQuantity.getOrDefault(awaited.id(), 0L);
  }

  static long quantity(List<Flow.Portion> portions) {
    return portions.stream().mapToLong(Flow.Portion::quantity).sum();
  }

  /** What the other paper waits for of this one; its order gets it with that. */
  List<Flow.Portion> before(List<Awaited> lines, long micros) {
    List<Flow.Portion> portions = new ArrayList<>();
    long left = micros;
    for (Awaited line : lines) {
      Flow.Portion portion = take(line, Math.min(left, open(line)));
      if (portion == null) continue;
      portions.add(portion);
      left -= portion.quantity();
      boolean moved = line.what() == way.goodsWait();
      long ordered = moved ? line.order().bill() : line.order().goods();
      if (ordered != 0) takenQuantity.merge(ordered, portion.quantity(), Math::addExact);
    }
    return portions;
  }

  /** Takes some of what an earlier line waits for; null for nothing. */
  Flow.@Nullable Portion take(Awaited of, long micros) {
    if (micros <= 0) return null;
    long quantity = takenQuantity.getOrDefault(of.id(), 0L);
    long value = takenValue.getOrDefault(of.id(), 0L);
    long drawn = of.draw(micros, quantity, value);
    takenQuantity.merge(of.id(), micros, Math::addExact);
    takenValue.merge(of.id(), drawn, Math::addExact);
    return new Flow.Portion(of, micros, drawn);
  }
}
