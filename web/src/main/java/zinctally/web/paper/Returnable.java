package zinctally.web.paper;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Trait;
import zinctally.core.papers.flow.Traded;

/** Rows of a return: all that can still go back of a paper, a row for each of its lines. */
final class Returnable {
  private Returnable() {}

  static List<Map<String, String>> of(String number, List<Traded> goods) {
    Map<Integer, Long> left = new LinkedHashMap<>();
    Map<Integer, Traded> lines = new HashMap<>();
    for (Traded some : goods) {
      left.merge(some.line(), Math.max(0, some.returnable()), Long::sum);
      lines.putIfAbsent(some.line(), some);
    }
    left.replaceAll((line, open) -> Math.min(open, most(Objects.requireNonNull(lines.get(line)))));
    return left.entrySet().stream()
        .filter(line -> line.getValue() > 0)
        .map(
            line -> {
              Traded of = Objects.requireNonNull(lines.get(line.getKey()));
              String many = of.item().units().say(new Quantity(line.getValue()));
              return Map.of("paper", number, "item", of.item().code(), "quantity", many);
            })
        .toList();
  }

  /** Of goods that moved before their bill or invoice, as many as still wait for it. */
  private static long most(Traded of) {
    boolean waits = !of.kind().is(Trait.PRICED);
    if (!waits) return Long.MAX_VALUE;
    return of.unbilled() == null ? 0 : of.unbilled().openQuantity();
  }
}
