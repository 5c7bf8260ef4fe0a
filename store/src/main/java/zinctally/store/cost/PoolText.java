package zinctally.store.cost;

import java.util.ArrayList;
import java.util.List;
import zinctally.core.cost.Layer;
import zinctally.core.cost.PoolState;
import zinctally.core.cost.Uncovered;

/**
 * Layers and uncovered outs as they stand in a column: {@code
 * arrival,q,v,w;...|out,q,v,cq,cv,c;...}.
 */
final class PoolText {
  private PoolText() {}

  static String write(PoolState state) {
    StringBuilder text = new StringBuilder();
    for (Layer l : state.layers())
      join(text, l.arrival(), l.quantity(), l.value(), l.writtenDown());
    text.append('|');
    for (Uncovered u : state.uncovered())
      join(text, u.out(), u.quantity(), u.value(), u.coveredQuantity(), u.coveredValue(), u.cost());
    return text.toString();
  }

  static PoolState read(String text, long latestQuantity, long latestValue) {
    int bar = text.indexOf('|');
    List<Layer> layers = new ArrayList<>();
    for (long[] n : numbers(text.substring(0, bar))) layers.add(new Layer(n[0], n[1], n[2], n[3]));
    List<Uncovered> uncovered = new ArrayList<>();
    for (long[] n : numbers(text.substring(bar + 1)))
      uncovered.add(new Uncovered(n[0], n[1], n[2], n[3], n[4], n[5]));
    return new PoolState(layers, uncovered, latestQuantity, latestValue);
  }

  private static void join(StringBuilder text, long... numbers) {
    for (int i = 0; i < numbers.length; i++)
      text.append(numbers[i]).append(i == numbers.length - 1 ? ';' : ',');
  }

  private static List<long[]> numbers(String text) {
    List<long[]> rows = new ArrayList<>();
    for (String row : text.split(";")) {
      if (row.isEmpty()) continue;
      String[] cells = row.split(",");
      long[] numbers = new long[cells.length];
      for (int i = 0; i < cells.length; i++) numbers[i] = Long.parseLong(cells[i]);
      rows.add(numbers);
    }
    return rows;
  }
}
