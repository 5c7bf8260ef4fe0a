package zinctally.core.papers;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zinctally.core.goods.Item;
import zinctally.core.ledger.JournalLine;
import zinctally.core.ledger.Role;
import zinctally.core.number.Quantity;

/**
 * Goods that come without their bill: ours from now on, at the price at which they are expected to
 * be billed. What a bill had already paid for comes in at that bill's price.
 *
 * @param theirNumber the delivery note's
 */
public record Receipt(LocalDate date, Party who, String theirNumber, Place place, List<Line> lines)
    implements Paper {
  /**
   * @param price expected for one of the unit; null when orders or bills give it
   * @param value minor units at which the goods come in
   * @param unbilled minor units of those that wait for a bill
   * @param flow of what came before: portions of bills in {@code before}, of orders in {@code
   *     ordered}; {@code now} waits for a bill
   */
  public record Line(
      int row,
      Item item,
      Quantity quantity,
      String unit,
      BigDecimal price,
      long value,
      long unbilled,
      Flow flow) {}

  @Override
  public PaperKind kind() {
    return PaperKind.RECEIPT;
  }

  @Override
  public Optional<Party> party() {
    return Optional.of(who);
  }

  @Override
  public Paper with(Party made) {
    return new Receipt(date, made, theirNumber, place, lines);
  }

  @Override
  public List<Item> items() {
    return lines.stream().map(Line::item).toList();
  }

  /** Minor units at which all its goods come in. */
  @Override
  public long total() {
    return lines.stream().mapToLong(Line::value).reduce(0, Math::addExact);
  }

  @Override
  public Plan plan(Catalogue book) {
    Stocking stock = new Stocking();
    List<JournalLine> known = new ArrayList<>();
    List<Plan.Wait> awaits = new ArrayList<>();
    List<Plan.Fill> fills = new ArrayList<>();
    for (Line line : lines) {
      Flow flow = line.flow();
      stock.in(
          line.row(),
          line.item(),
          place,
          line.quantity().micros(),
          line.value(),
          0,
          flow.numbers());
      for (Flow.Portion bill : flow.before()) {
        fills.add(new Plan.Fill(line.row(), bill.of().id(), bill.quantity(), bill.value(), date));
        if (bill.of().order().goods() != 0)
          fills.add(new Plan.Fill(line.row(), bill.of().order().goods(), bill.quantity(), 0, date));
        known.add(account(book, Role.BILLED_NOT_RECEIVED, line, -bill.value(), bill.of().number()));
      }
      for (Flow.Portion order : flow.ordered())
        fills.add(new Plan.Fill(line.row(), order.of().order().goods(), order.quantity(), 0, date));
      if (flow.now() > 0) {
        Awaited.Order order =
            flow.ordered().isEmpty() ? Awaited.Order.NONE : flow.ordered().get(0).of().order();
        awaits.add(
            new Plan.Wait(
                line.row(),
                Awaits.RECEIVED_BILL,
                line.item().id(),
                who.id(),
                flow.now(),
                line.unbilled(),
                order.paper(),
                order.line()));
        known.add(account(book, Role.RECEIVED_NOT_BILLED, line, -line.unbilled(), ""));
      }
    }
    return new Plan(stock.events, stock.moves, known, List.of(), List.of(), awaits, fills);
  }

  private JournalLine account(Catalogue book, Role role, Line line, long amount, String memo) {
    return new JournalLine(book.account(role).id(), line.item().id(), who.id(), amount, memo);
  }
}
