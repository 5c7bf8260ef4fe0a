package zinctally.core.papers.make;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.number.Money;
import zinctally.core.number.Quantity;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.read.Reader;

/** The work order that an assembly does some of; what it waits for goes with what is made. */
record OfWorkOrder(List<Awaited> waits) {
  static final OfWorkOrder NONE = new OfWorkOrder(List.of());

  /** The work order a field names, when it can be gone on with. */
  static OfWorkOrder read(Reader in, @Nullable Goods made) {
    String typed = in.draft.field("work_order");
    if (typed.isEmpty()) return NONE;
    List<Awaited> waits =
        in.book.awaited(typed).stream().filter(a -> a.number().equalsIgnoreCase(typed)).toList();
    Optional<Awaited> result =
        waits.stream().filter(a -> a.what() == Awaits.TO_BE_MADE).findFirst();
    if (result.isEmpty())
      in.fault("work_order", "There is no work order \"" + typed + "\" that stands.");
    else if (!result.get().order().open())
      in.fault("work_order", result.get().number() + " waits for approval.");
    else if (made != null && made.item().id() != result.get().item().id())
      in.fault(
          "work_order",
          result.get().number()
              + " is to make "
              + result.get().item().name()
              + ", not "
              + made.item().name()
              + ".");
    else if (made != null) more(in, result.get(), made);
    return new OfWorkOrder(waits);
  }

  private static void more(Reader in, Awaited result, Goods made) {
    long open = Math.max(0, result.openQuantity());
    if (made.micros() <= open) return;
    Item item = made.item();
    in.ask(
        "quantity",
        "Of "
            + result.number()
            + " "
            + item.units().say(new Quantity(open))
            + " are left to make; this makes "
            + item.units().say(made.quantity())
            + ".");
  }

  /** Its paper; zero for none. */
  long paper() {
    return waits.isEmpty() ? 0 : waits.get(0).paper();
  }

  /** What an assembly brings of it: once all is made, no part is promised any more. */
  List<Plan.Fill> fills(Goods made, List<Goods> parts, LocalDate on) {
    List<Plan.Fill> fills = new ArrayList<>();
    boolean done = false;
    for (Awaited wait : waits)
      if (wait.what() == Awaits.TO_BE_MADE) {
        fills.add(fill(made.row(), wait, made.micros(), on));
        done = made.micros() >= wait.openQuantity();
      }
    for (Awaited wait : waits) {
      if (wait.what() != Awaits.PROMISED_PARTS || wait.openQuantity() <= 0) continue;
      long used =
          parts.stream()
              .filter(p -> p.item().id() == wait.item().id())
              .mapToLong(Goods::micros)
              .reduce(0, Math::addExact);
      long brought = done ? wait.openQuantity() : Math.min(used, wait.openQuantity());
      if (brought > 0) fills.add(fill(made.row(), wait, brought, on));
    }
    return fills;
  }

  private static Plan.Fill fill(int row, Awaited wait, long micros, LocalDate on) {
    return new Plan.Fill(row, wait.id(), new Quantity(micros), Money.ZERO, on);
  }
}
