package zinctally.core.papers.move;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.ledger.JournalLine;
import zinctally.core.ledger.Role;
import zinctally.core.number.Money;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Carried;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Row;
import zinctally.core.papers.consign.Kept;
import zinctally.core.papers.consign.Owing;
import zinctally.core.papers.consign.Taken;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Flow;
import zinctally.core.papers.flow.Numbered;
import zinctally.core.papers.plan.Linking;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.plan.Stocking;

/**
 * Goods that go to a customer without their invoice. They stay ours in the books, at cost, on Sent,
 * not invoiced, until it is sent; what was invoiced ahead becomes revenue, and its cost an expense,
 * now (IAS 2 paragraph 34).
 *
 * @param reference the customer's own
 * @param address where they go
 * @param kept where they stay, as the customer's; null when they go
 */
public record Delivery(
    LocalDate date,
    Party who,
    String reference,
    String address,
    String note,
    Place place,
    @Nullable Place kept,
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
  public Paper withParties(UnaryOperator<Party> made) {
    Place stays = kept == null ? null : kept.with(made);
    return new Delivery(date, made.apply(who), reference, address, note, place, stays, lines);
  }

  @Override
  public Paper withPlaces(UnaryOperator<Place> made) {
    Place stays = kept == null ? null : made.apply(kept);
    return new Delivery(date, who, reference, address, note, place, stays, lines);
  }

  /** It asks for no money. */
  @Override
  public long total() {
    return 0;
  }

  @Override
  public Head head() {
    return new Head(reference, null, place, 0, 0);
  }

  @Override
  public List<Row> rows() {
    return lines.stream()
        .map(
            l ->
                Row.of(l.row(), l.item())
                    .at(place)
                    .worded(l.item().saleWording())
                    .of(l.quantity(), l.unit())
                    .from(Row.From.of(l.flow())))
        .toList();
  }

  /** What stays here as the customer's, and what was a supplier's. */
  @Override
  public List<Carried> carried() {
    return lines.stream()
        .flatMap(l -> l.flow.carried(l.item, place, l.quantity.micros(), kept).stream())
        .toList();
  }

  @Override
  public Plan plan(Catalogue book) {
    Stocking stock = new Stocking();
    Linking links = new Linking(this, who, book);
    Owing owing = new Owing(book, stock, links.known, links.awaits);
    for (Line line : lines) {
      int row = line.row();
      Item item = line.item();
      Flow flow = line.flow();
      goes(stock, owing, line, book.account(Role.SENT_NOT_INVOICED).id());
      flow.before().forEach(invoice -> revenue(links, line, invoice));
      flow.ordered().forEach(order -> links.goods(row, order));
      if (flow.now() > 0) links.waitAtCost(row, Awaits.SENT_INVOICE, item, flow, flow.now());
      if (kept != null) Kept.stay(stock, links, row, item, kept, line.quantity().micros(), flow);
    }
    return new Plan(
        stock.events, stock.moves, links.known, List.of(), List.of(), links.awaits, links.fills);
  }

  /**
   * Goods of a line: what was invoiced ahead, then what waits for its invoice; ours before others'.
   */
  private void goes(Stocking stock, Owing owing, Line line, long sent) {
    Item item = line.item();
    Flow flow = line.flow();
    long others = flow.taken().stream().mapToLong(Taken::micros).sum();
    long ours = line.quantity().micros() - others;
    long ahead = line.quantity().micros() - flow.now();
    long oursAhead = Math.min(ours, ahead);
    List<Numbered> numbers = new ArrayList<>(flow.numbers());
    int part =
        stock.out(
            line.row(),
            0,
            item,
            place,
            oursAhead,
            item.costAccount(),
            Numbered.take(numbers, oursAhead));
    stock.out(line.row(), part, item, place, ours - oursAhead, sent, numbers);
    List<Taken> rest = new ArrayList<>(flow.taken());
    owing.leave(line.row(), item, Taken.take(rest, ahead - oursAhead), item.costAccount());
    owing.leave(line.row(), item, rest, sent);
  }

  /** What was invoiced ahead is earned. */
  private void revenue(Linking links, Line line, Flow.Portion invoice) {
    Item item = line.item();
    Awaited of = invoice.of();
    links.fill(line.row(), of, invoice.quantity(), invoice.value());
    links.goods(line.row(), invoice);
    links.between(Role.BILLED_AHEAD, item, invoice.value(), of.number());
    links.known.add(
        new JournalLine(item.salesAccount(), item.id(), 0, new Money(-invoice.value()), of.number())
            .of(line.row()));
  }
}
