package zinctally.core.papers;

import java.util.List;
import zinctally.core.goods.Item;
import zinctally.core.ledger.JournalLine;
import zinctally.core.ledger.Role;
import zinctally.core.number.Spread;

/**
 * What an invoice's lines of goods do: goods that go with it, goods sent before, goods still to go.
 * Revenue and its cost are recognised at one moment, when both goods and invoice have gone (IAS 2
 * paragraph 34): what is invoiced ahead stands on Billed ahead at its price, what was sent before
 * leaves Sent, not invoiced at its cost.
 */
final class Invoicing {
  private final Trade invoice;
  private final Catalogue book;
  private final Stocking stock;
  private final List<JournalLine> known;
  private final List<Plan.Wait> awaits;
  private final List<Plan.Fill> fills;

  Invoicing(
      Trade invoice,
      Catalogue book,
      Stocking stock,
      List<JournalLine> known,
      List<Plan.Wait> awaits,
      List<Plan.Fill> fills) {
    this.invoice = invoice;
    this.book = book;
    this.stock = stock;
    this.known = known;
    this.awaits = awaits;
    this.fills = fills;
  }

  void add(TradeLine line) {
    Flow flow = line.flow();
    Item item = line.item();
    stock.out(line.row(), 0, item, invoice.place(), flow.now(), item.costAccount(), flow.numbers());
    long gone = line.quantity().micros() - flow.after();
    long[] nets = Spread.over(line.net(), new long[] {gone, flow.after()});
    known.add(new JournalLine(item.salesAccount(), item.id(), 0, -nets[0], ""));
    if (flow.after() > 0) ahead(line, nets[1]);
    for (Flow.Portion sent : flow.before()) {
      known.add(
          new JournalLine(item.costAccount(), item.id(), 0, sent.value(), sent.of().number()));
      known.add(account(Role.SENT_NOT_INVOICED, item, -sent.value(), sent.of().number()));
      fill(line, sent.of().id(), sent.quantity(), sent.value());
      if (sent.of().order().bill() != 0) fill(line, sent.of().order().bill(), sent.quantity(), 0);
    }
  }

  private void fill(TradeLine line, long awaited, long micros, long value) {
    fills.add(new Plan.Fill(line.row(), awaited, micros, value, invoice.date()));
  }

  private void ahead(TradeLine line, long net) {
    Awaited.Order order =
        line.flow().ordered().isEmpty()
            ? Awaited.Order.NONE
            : line.flow().ordered().get(0).of().order();
    awaits.add(
        new Plan.Wait(
            line.row(),
            Awaits.INVOICED_GOODS,
            line.item().id(),
            invoice.who().id(),
            line.flow().after(),
            net,
            order.paper(),
            order.line()));
    known.add(account(Role.BILLED_AHEAD, line.item(), -net, ""));
  }

  private JournalLine account(Role role, Item item, long amount, String memo) {
    return new JournalLine(book.account(role).id(), item.id(), invoice.who().id(), amount, memo);
  }
}
