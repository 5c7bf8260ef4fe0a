package zinctally.store.moves;

import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Method;
import zinctally.core.moves.Costing;
import zinctally.core.moves.Moves;
import zinctally.core.number.Quantity;

/** A row for each item, in the order in which they came first. */
final class CostSums implements Costs {
  private final List<String> items;
  private final List<Method> methods;
  private final int digits;
  private final int parts;
  private final long[] onHand;
  private final long[] worth;
  private final long[] cost;

  CostSums(List<String> items, List<Method> methods, int digits, int parts) {
    this.items = items;
    this.methods = methods;
    this.digits = digits;
    this.parts = parts;
    onHand = new long[items.size()];
    worth = new long[items.size()];
    cost = new long[items.size()];
  }

  @Override
  public void take(int part, Moves moves, Costing costing) {
    for (int row = 0; row < moves.size(); row++) {
      int item = moves.item(row) * parts + part;
      EventKind kind = moves.kind(row);
      onHand[item] += costing.quantity(row);
      worth[item] += costing.value(row);
      if (kind == EventKind.OUT || kind == EventKind.BACK) cost[item] -= costing.value(row);
    }
  }

  @Override
  public void write(OutputStream out) throws IOException {
    CSVPrinter csv =
        new CSVPrinter(
            new BufferedWriter(new OutputStreamWriter(out, StandardCharsets.UTF_8), 1 << 16),
            CSVFormat.RFC4180);
    csv.printRecord("item", "method", "on_hand", "worth", "cost_out");
    for (int item = 0; item < items.size(); item++)
      csv.printRecord(
          items.get(item),
          methods.get(item).name().toLowerCase(Locale.ROOT),
          new Quantity(onHand[item]),
          money(worth[item]),
          money(cost[item]));
    csv.flush();
  }

  private String money(long minor) {
    return BigDecimal.valueOf(minor, digits).toPlainString();
  }
}
