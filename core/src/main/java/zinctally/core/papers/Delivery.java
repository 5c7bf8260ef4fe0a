package zinctally.core.papers;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zinctally.core.goods.Item;
import zinctally.core.ledger.JournalLine;
import zinctally.core.ledger.Role;
import zinctally.core.number.Quantity;

/**
 * Goods that go to a customer without their invoice. They stay ours in the books, at cost, on Sent,
 * not invoiced, until it is sent; what was invoiced ahead becomes revenue, and its cost an expense,
 * now (IAS 2 paragraph 34).
 *
 * @param reference the customer's own
 * @param address where they go
 */
public record Delivery(
    LocalDate date,
    Party who,
    String reference,
    String address,
    String note,
    Place place,
    List<Line> lines)
    implements Paper {
  /**
   * @param flow of what came before: portions of invoices in {@code before}, of orders in {@code
   *     ordered}; {@code now} waits for an invoice
   */
  public record Line(int row, Item item, Quantity quantity, String unit, Flow flow) {}

  @Override
  public PaperKind kind() {
    return PaperKind.DELIVERY;
  }

  @Override
  public Optional<Party> party() {
    return Optional.of(who);
  }

  @Override
  public Paper with(Party made) {
    return new Delivery(date, made, reference, address, note, place, lines);
  }

  @Override
  public List<Item> items() {
    return lines.stream().map(Line::item).toList();
  }

  /** It asks for no money. */
  @Override
  public long total() {
    return 0;
  }

  @Override
  public Plan plan(Catalogue book) {
    Stocking stock = new Stocking();
    List<JournalLine> known = new ArrayList<>();
    List<Plan.Wait> awaits = new ArrayList<>();
    List<Plan.Fill> fills = new ArrayList<>();
    for (Line line : lines) {
      Item item = line.item();
      List<Numbered> numbers = new ArrayList<>(line.flow().numbers());
      long ahead = line.quantity().micros() - line.flow().now();
      int part =
          stock.out(
              line.row(), 0, item, place, ahead, item.costAccount(), Numbered.take(numbers, ahead));
      for (Flow.Portion invoice : line.flow().before()) revenue(book, line, invoice, known, fills);
      for (Flow.Portion order : line.flow().ordered())
        fills.add(new Plan.Fill(line.row(), order.of().order().goods(), order.quantity(), 0, date));
      if (line.flow().now() == 0) continue;
      long sent = book.account(Role.SENT_NOT_INVOICED).id();
      stock.out(line.row(), part, item, place, line.flow().now(), sent, numbers);
      Awaited.Order order =
          line.flow().ordered().isEmpty()
              ? Awaited.Order.NONE
              : line.flow().ordered().get(0).of().order();
      awaits.add(
          new Plan.Wait(
              line.row(),
              Awaits.SENT_INVOICE,
              item.id(),
              who.id(),
              line.flow().now(),
              Plan.Wait.AT_COST,
              order.paper(),
              order.line()));
    }
    return new Plan(stock.events, stock.moves, known, List.of(), List.of(), awaits, fills);
  }

  /** What was invoiced ahead is earned. */
  private void revenue(
      Catalogue book,
      Line line,
      Flow.Portion invoice,
      List<JournalLine> known,
      List<Plan.Fill> fills) {
    Item item = line.item();
    Awaited of = invoice.of();
    fills.add(new Plan.Fill(line.row(), of.id(), invoice.quantity(), invoice.value(), date));
    if (of.order().goods() != 0)
      fills.add(new Plan.Fill(line.row(), of.order().goods(), invoice.quantity(), 0, date));
    known.add(
        new JournalLine(
            book.account(Role.BILLED_AHEAD).id(),
            item.id(),
            who.id(),
            invoice.value(),
            of.number()));
    known.add(new JournalLine(item.salesAccount(), item.id(), 0, -invoice.value(), of.number()));
  }
}
