package zinctally.core.papers.make;

import static zinctally.core.papers.read.Reader.known;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import zinctally.core.goods.Item;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Reading;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;

/** Reads a work order. */
public final class WorkOrderReader {
  private WorkOrderReader() {}

  public static Reading workOrder(Reader in) {
    MakingReader reader = new MakingReader(in);
    LocalDate expected =
        in.draft.field("expected").isEmpty() ? null : in.day("expected", reader.date);
    if (expected != null && reader.date != null && expected.isBefore(reader.date))
      in.fault("expected", "It cannot be done before the order is written.");
    Goods made = reader.one(false);
    String notes = in.text("notes");
    String order = order(in);
    List<Goods> parts = new ArrayList<>();
    Set<Long> seen = new HashSet<>();
    for (RowReader row : in.rows()) {
      Item item = reader.other(row, made);
      if (item == null) continue;
      if (!seen.add(item.id()))
        row.fault("item", item.name() + " has a line already; write all that goes in on one.");
      Goods part = reader.goods(row, item, true);
      if (part != null) parts.add(part);
    }
    for (Work work : reader.work())
      in.fault("rows." + work.row() + ".item", "Work is added when it is done, with the assembly.");
    if (parts.isEmpty() && in.sound())
      in.fault("rows.0.item", "Of what is it made? Name each component and how many go into it.");
    Optional<Long> cost = cost(in.book, parts);
    return in.done(
        () ->
            new WorkOrder(
                known(reader.date),
                expected,
                known(reader.place),
                known(made),
                List.copyOf(parts),
                notes,
                order,
                cost));
  }

  /** The sales order, or the invoice sent ahead, that waits for it. */
  private static String order(Reader in) {
    String typed = in.draft.field("order");
    boolean known =
        typed.isEmpty()
            || in.book.awaited(typed).stream()
                .anyMatch(
                    a -> a.what() == Awaits.PROMISED_GOODS || a.what() == Awaits.INVOICED_GOODS);
    if (!known)
      in.fault(
          "order",
          "No sales order or invoice \"" + typed + "\" that waits for goods is posted here.");
    return typed;
  }

  private static Optional<Long> cost(Catalogue book, List<Goods> parts) {
    long cost = 0;
    for (Goods part : parts) {
      Optional<Catalogue.LatestCost> known = book.presentCost(part.item().id());
      if (known.isEmpty()) return Optional.empty();
      cost = Math.addExact(cost, known.get().of(part.micros()));
    }
    return Optional.of(cost);
  }
}
