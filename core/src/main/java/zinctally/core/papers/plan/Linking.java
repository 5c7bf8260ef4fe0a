package zinctally.core.papers.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zinctally.core.goods.Item;
import zinctally.core.ledger.JournalLine;
import zinctally.core.ledger.Role;
import zinctally.core.number.Money;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Paper;
import zinctally.core.papers.Party;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Flow;

/**
 * Gathers what the lines of a paper take up of earlier papers and leave for later ones, and the
 * journal lines that are known before costs are worked out.
 */
public final class Linking {
  public final List<JournalLine> known = new ArrayList<>();
  public final List<Plan.Wait> awaits = new ArrayList<>();
  public final List<Plan.Fill> fills = new ArrayList<>();
  private final Paper paper;
  private final Party who;
  private final Catalogue book;

  public Linking(Paper paper, Party who, Catalogue book) {
    this.paper = paper;
    this.who = who;
    this.book = book;
  }

  /** An amount on the account of goods whose bill or invoice and move fall on two days. */
  public void between(Role role, Item item, long amount, String memo) {
    known.add(
        new JournalLine(book.account(role).id(), item.id(), who.id(), new Money(amount), memo));
  }

  /** What a line waits for, of the order its flow goes on from. */
  public void wait(int row, Awaits what, Item item, Flow flow, long quantity, long value) {
    waits(row, what, item, flow, quantity, Optional.of(new Money(value)));
  }

  /** The same for goods that go, at the cost they will turn out to have. */
  public void waitAtCost(int row, Awaits what, Item item, Flow flow, long quantity) {
    waits(row, what, item, flow, quantity, Optional.empty());
  }

  private void waits(
      int row, Awaits what, Item item, Flow flow, long micros, Optional<Money> value) {
    Awaited.Order order =
        flow.ordered().isEmpty() ? Awaited.Order.NONE : flow.ordered().get(0).of().order();
    Quantity quantity = new Quantity(micros);
    awaits.add(
        new Plan.Wait(
            row, what, item.id(), who.id(), quantity, value, order.paper(), order.line()));
  }

  public void fill(int row, Awaited of, long quantity, long value) {
    fills.add(new Plan.Fill(row, of.id(), new Quantity(quantity), new Money(value), paper.date()));
  }

  /** What a line brings of the goods of an order. */
  public void goods(int row, Flow.Portion portion) {
    ordered(row, portion.of().order().goods(), portion.quantity());
  }

  /** What a line brings of the bill or invoice of an order. */
  public void bill(int row, Flow.Portion portion) {
    ordered(row, portion.of().order().bill(), portion.quantity());
  }

  private void ordered(int row, long awaited, long quantity) {
    if (awaited != 0)
      fills.add(new Plan.Fill(row, awaited, new Quantity(quantity), Money.ZERO, paper.date()));
  }
}
