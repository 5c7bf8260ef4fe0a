package zinctally.core.papers.trade;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import zinctally.core.cost.PostingDate;
import zinctally.core.goods.Item;
import zinctally.core.ledger.Role;
import zinctally.core.number.Money;
import zinctally.core.number.Quantity;
import zinctally.core.number.Spread;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Flow;
import zinctally.core.papers.plan.Linking;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.plan.Stocking;

/**
 * What a bill's lines do: goods that come with it, goods received before, goods still to come. What
 * was received is released from Received, not billed at the value at which it came in; the
 * difference is a charge on its arrival (IAS 2 paragraph 11), on the later of both days.
 */
public final class Billing {
  private final Trade bill;
  private final Catalogue book;
  private final Stocking stock;
  private final Linking links;

  Billing(Trade bill, Catalogue book, Stocking stock, Linking links) {
    this.bill = bill;
    this.book = book;
    this.stock = stock;
    this.links = links;
  }

  /** A line of goods; its price is shared over what came, what comes and what will come. */
  void add(TradeLine line) {
    Flow flow = line.flow();
    List<Long> weights = new ArrayList<>();
    weights.add(flow.now());
    weights.add(flow.after());
    flow.before().forEach(p -> weights.add(p.quantity()));
    long[] nets = Spread.over(line.net(), weights.stream().mapToLong(Long::longValue).toArray());
    if (flow.now() > 0)
      stock.in(line.row(), line.goods(), line.place(), flow.now(), nets[0], 0, flow.numbers());
    if (flow.after() > 0) after(line, nets[1]);
    int part = 0;
    for (int i = 0; i < flow.before().size(); i++)
      part = before(line, flow.before().get(i), nets[i + 2], part);
  }

  private void after(TradeLine line, long net) {
    Item item = line.goods();
    links.wait(line.row(), Awaits.BILLED_GOODS, item, line.flow(), line.flow().after(), net);
    links.between(Role.BILLED_NOT_RECEIVED, item, net, "");
  }

  private int before(TradeLine line, Flow.Portion portion, long net, int firstPart) {
    Awaited receipt = portion.of();
    long difference = net - portion.value();
    List<Awaited.Arrival> arrivals = receipt.arrivals();
    long[] shares =
        difference == 0
            ? new long[0]
            : Spread.over(
                difference, arrivals.stream().mapToLong(Awaited.Arrival::quantity).toArray());
    int part = firstPart;
    long now = net;
    for (int i = 0; i < shares.length; i++) {
      if (shares[i] == 0) continue;
      Awaited.Arrival arrival = arrivals.get(i);
      boolean early = arrival.date().isAfter(bill.date());
      if (early) later(line, receipt, arrival.date(), shares[i]);
      else now -= shares[i];
      stock.charge(
          line.row(),
          part++,
          line.goods().id(),
          shares[i],
          arrival.event(),
          early ? book.account(Role.RECEIVED_NOT_BILLED).id() : 0,
          early ? arrival.date() : null);
    }
    links.between(Role.RECEIVED_NOT_BILLED, line.goods(), now, receipt.number());
    links.fill(line.row(), receipt, portion.quantity(), now);
    links.bill(line.row(), portion);
    return part;
  }

  /** Goods that came after the day of their bill bear its difference from their own day on. */
  private void later(TradeLine line, Awaited receipt, LocalDate came, long share) {
    LocalDate posted = PostingDate.of(came, bill.date(), book.rules().firstOpenDay());
    links.fills.add(
        new Plan.Fill(line.row(), receipt.id(), Quantity.ZERO, new Money(-share), posted));
  }
}
