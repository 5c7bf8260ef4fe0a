package zinctally.core.papers.move;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.ledger.Role;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Row;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Flow;
import zinctally.core.papers.plan.Linking;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.plan.Stocking;

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
      @Nullable BigDecimal price,
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
  public Paper withParties(UnaryOperator<Party> made) {
    return new Receipt(date, made.apply(who), theirNumber, place, lines);
  }

  /** Minor units at which all its goods come in. */
  @Override
  public long total() {
    return lines.stream().mapToLong(Line::value).reduce(0, Math::addExact);
  }

  @Override
  public Head head() {
    return new Head(theirNumber, null, place, total(), 0);
  }

  @Override
  public List<Row> rows() {
    return lines.stream()
        .map(
            l ->
                Row.of(l.row(), l.item())
                    .at(place)
                    .of(l.quantity(), l.unit())
                    .priced(l.price(), BigDecimal.ZERO)
                    .worth(l.value())
                    .from(Row.From.of(l.flow())))
        .toList();
  }

  @Override
  public Plan plan(Catalogue book) {
    Stocking stock = new Stocking();
    Linking links = new Linking(this, who, book);
    for (Line line : lines) {
      int row = line.row();
      Item item = line.item();
      Flow flow = line.flow();
      stock.in(row, item, place, line.quantity().micros(), line.value(), 0, flow.numbers());
      for (Flow.Portion bill : flow.before()) {
        links.fill(row, bill.of(), bill.quantity(), bill.value());
        links.goods(row, bill);
        links.between(Role.BILLED_NOT_RECEIVED, item, -bill.value(), bill.of().number());
      }
      flow.ordered().forEach(order -> links.goods(row, order));
      if (flow.now() == 0) continue;
      links.wait(row, Awaits.RECEIVED_BILL, item, flow, flow.now(), line.unbilled());
      links.between(Role.RECEIVED_NOT_BILLED, item, -line.unbilled(), "");
    }
    return new Plan(
        stock.events, stock.moves, links.known, List.of(), List.of(), links.awaits, links.fills);
  }
}
