package zinctally.core.papers.back;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Numbered;
import zinctally.core.papers.flow.Traded;
import zinctally.core.papers.read.RowReader;

/**
 * Shares what goes back out over the goods it came or went with, none of which can go back twice.
 */
final class PartsReader {
  private final boolean toSupplier;

  private final Map<List<Long>, Long> taken = new HashMap<>();

  private final Map<Long, Long> valueTaken = new HashMap<>();

  PartsReader(boolean toSupplier) {
    this.toSupplier = toSupplier;
  }

  /** What goods without a bill or invoice stand at on the account where they wait for it. */
  long drawn(RowReader row, Awaited unbilled, long micros) {
    long before = taken.getOrDefault(List.of(-unbilled.id()), 0L);
    if (micros > unbilled.openQuantity() - before)
      row.fault(
          "quantity",
          say(unbilled.item(), Math.max(0, unbilled.openQuantity() - before))
              + " of "
              + unbilled.item().name()
              + " on "
              + unbilled.number()
              + (toSupplier
                  ? " are not billed; for the rest name the bill."
                  : " are not invoiced; for the rest name the invoice."));
    taken.merge(List.of(-unbilled.id()), micros, Long::sum);
    long value = unbilled.draw(micros, before, valueTaken.getOrDefault(unbilled.id(), 0L));
    valueTaken.merge(unbilled.id(), value, Long::sum);
    return value;
  }

  private static String say(Item item, long micros) {
    return item.units().say(new Quantity(micros));
  }

  private static List<Long> key(Traded of) {
    return List.of(of.paper(), (long) of.line(), of.event());
  }

  /** From the first line that has some left, in the order in which its goods came. */
  @Nullable List<Return.Part> byArrival(
      RowReader row, List<Traded> goods, long micros, List<Numbered> given) {
    int line = goods.stream().filter(t -> left(t) > 0).findFirst().orElse(goods.get(0)).line();
    List<Traded> some = goods.stream().filter(t -> t.line() == line).toList();
    long there = some.stream().mapToLong(Traded::quantity).sum();
    long free = some.stream().mapToLong(t -> Math.max(0, left(t))).sum();
    Traded first = some.get(0);
    if (micros > free) {
      row.fault(
          "quantity",
          say(first.item(), free)
              + " of "
              + first.item().name()
              + " on "
              + first.number()
              + " can still go back; of "
              + say(first.item(), there)
              + " there, "
              + say(first.item(), there - free)
              + " have.");
      return null;
    }
    if (some.stream().anyMatch(t -> !t.lots().isEmpty())) return byLot(row, some, given);
    List<Return.Part> parts = new ArrayList<>();
    List<Numbered> lots = new ArrayList<>(given);
    long wanted = micros;
    for (Traded of : some) {
      long part = Math.min(wanted, Math.max(0, left(of)));
      if (part == 0) continue;
      parts.add(new Return.Part(of, part, Numbered.take(lots, part)));
      taken.merge(key(of), part, Long::sum);
      wanted -= part;
    }
    return parts;
  }

  static Set<Long> lotsOf(List<Traded> goods) {
    Set<Long> lots = new HashSet<>();
    for (Traded of : goods) {
      if (of.lot() != 0) lots.add(of.lot());
      lots.addAll(of.lots().keySet());
    }
    return lots;
  }

  private long left(Traded of) {
    return of.returnable() - taken.getOrDefault(key(of), 0L);
  }

  private long left(Traded of, long lot) {
    return of.lots().getOrDefault(lot, 0L)
        - taken.getOrDefault(List.of(of.event(), -lot, (long) of.line()), 0L);
  }

  /** Each lot from the goods it went or came with, no more than did. */
  private @Nullable List<Return.Part> byLot(
      RowReader row, List<Traded> goods, List<Numbered> given) {
    List<Return.Part> parts = new ArrayList<>();
    for (Numbered lot : given) {
      long id = lot.lot().id();
      long wanted = lot.quantity();
      long free = goods.stream().mapToLong(t -> Math.max(0, left(t, id))).sum();
      if (wanted > free) {
        row.fault(
            "numbers",
            say(goods.get(0).item(), free)
                + " of lot "
                + lot.lot().code()
                + " on "
                + goods.get(0).number()
                + " can still go back, not "
                + say(goods.get(0).item(), wanted)
                + ".");
        return null;
      }
      for (Traded of : goods) {
        long part = Math.min(wanted, Math.max(0, left(of, id)));
        if (part == 0) continue;
        parts.add(new Return.Part(of, part, List.of(new Numbered(lot.lot(), part, lot.arrival()))));
        taken.merge(List.of(of.event(), -id, (long) of.line()), part, Long::sum);
        taken.merge(key(of), part, Long::sum);
        wanted -= part;
      }
    }
    return parts;
  }

  @Nullable List<Return.Part> bySerial(RowReader row, List<Traded> goods, List<Numbered> given) {
    List<Return.Part> parts = new ArrayList<>();
    for (Numbered one : given) {
      Optional<Traded> of =
          goods.stream().filter(t -> t.lot() == one.lot().id() && left(t) > 0).findFirst();
      if (of.isEmpty()) {
        row.fault(
            "numbers", one.lot().code() + " is not among those of " + goods.get(0).number() + ".");
        return null;
      }
      if (!parts.isEmpty() && parts.get(0).of().line() != of.get().line()) {
        row.fault(
            "numbers",
            one.lot().code()
                + " stands on another line of "
                + of.get().number()
                + "; write it on a line of its own here.");
        return null;
      }
      parts.add(new Return.Part(of.get(), one.quantity(), List.of(one)));
      taken.merge(key(of.get()), one.quantity(), Long::sum);
    }
    return parts;
  }
}
