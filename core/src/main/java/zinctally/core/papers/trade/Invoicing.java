package zinctally.core.papers.trade;

import zinctally.core.goods.Item;
import zinctally.core.ledger.JournalLine;
import zinctally.core.ledger.Role;
import zinctally.core.number.Money;
import zinctally.core.number.Spread;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.consign.Kept;
import zinctally.core.papers.consign.Owing;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Flow;
import zinctally.core.papers.plan.Linking;
import zinctally.core.papers.plan.Stocking;

/**
 * What an invoice's lines of goods do: goods that go with it, goods sent before, goods still to go.
 * Revenue and its cost are recognised at one moment, when both goods and invoice have gone (IAS 2
 * paragraph 34): what is invoiced ahead stands on Billed ahead at its price, what was sent before
 * leaves Sent, not invoiced at its cost.
 */
public final class Invoicing {
  private final Stocking stock;
  private final Linking links;
  private final Owing owing;

  Invoicing(Catalogue book, Stocking stock, Linking links) {
    this.stock = stock;
    this.links = links;
    this.owing = new Owing(book, stock, links.known, links.awaits);
  }

  void add(TradeLine line) {
    Flow flow = line.flow();
    Item item = line.goods();
    stock.out(line.row(), 0, item, line.place(), flow.ours(), item.costAccount(), flow.numbers());
    owing.leave(line.row(), item, flow.taken(), item.costAccount());
    owing.restate(line.row(), item, flow.restated());
    if (line.kept() != null)
      Kept.stay(stock, links, line.row(), item, line.kept(), flow.now(), flow);
    long gone = line.quantity().micros() - flow.after();
    long[] nets = Spread.over(line.net(), new long[] {gone, flow.after()});
    links.known.add(
        new JournalLine(item.salesAccount(), item.id(), 0, new Money(-nets[0]), "").of(line.row()));
    if (flow.after() > 0) {
      links.wait(line.row(), Awaits.INVOICED_GOODS, item, flow, flow.after(), nets[1]);
      links.between(Role.BILLED_AHEAD, item, -nets[1], "");
    }
    for (Flow.Portion sent : flow.before()) {
      links.known.add(
          new JournalLine(
                  item.costAccount(), item.id(), 0, new Money(sent.value()), sent.of().number())
              .of(line.row()));
      links.between(Role.SENT_NOT_INVOICED, item, -sent.value(), sent.of().number());
      links.fill(line.row(), sent.of(), sent.quantity(), sent.value());
      links.bill(line.row(), sent);
    }
  }
}
