package zinctally.core.papers.consign;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.ledger.JournalLine;
import zinctally.core.ledger.Role;
import zinctally.core.number.Money;
import zinctally.core.number.Quantity;
import zinctally.core.number.Spread;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Row;
import zinctally.core.papers.Sum;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Flow;
import zinctally.core.papers.plan.Linking;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.plan.Stocking;
import zinctally.core.papers.tax.Taxed;

/**
 * What is paid out for consigned goods that were sold: our statement to their owner, or a bill of
 * theirs. What was owed for them is owed as any bill from now on; what is settled otherwise than it
 * was agreed belongs to the cost of those goods (IAS 2 paragraph 11).
 *
 * @param theirNumber of their bill; empty when it is our statement
 */
public record Settlement(
    LocalDate date, LocalDate due, Party who, String theirNumber, String note, List<Line> lines)
    implements Paper {
  /**
   * @param quantity base units; zero when only an amount is put right
   * @param net minor units without tax, either sign
   * @param rate null for none
   * @param of what was sold of it, and what is owed for each
   */
  public record Line(
      int row,
      Item item,
      Quantity quantity,
      String unit,
      long net,
      long tax,
      @Nullable TaxRate rate,
      List<Flow.Portion> of) {}

  @Override
  public PaperKind kind() {
    return PaperKind.SETTLEMENT;
  }

  @Override
  public Optional<Party> party() {
    return Optional.of(who);
  }

  public long net() {
    return lines.stream().mapToLong(Line::net).reduce(0, Math::addExact);
  }

  public long tax() {
    return lines.stream().mapToLong(Line::tax).reduce(0, Math::addExact);
  }

  @Override
  public long total() {
    return Math.addExact(net(), tax());
  }

  @Override
  public Head head() {
    return new Head(theirNumber, due, null, net(), tax());
  }

  @Override
  public List<Row> rows() {
    return lines.stream()
        .map(
            l ->
                Row.of(l.row, l.item)
                    .worded(l.item.purchaseWording())
                    .of(l.quantity, l.unit)
                    .worth(l.net, l.tax, l.rate)
                    .from(new Row.From(l.of.get(0).of().paper(), l.of.get(0).of().line())))
        .toList();
  }

  @Override
  public List<Taxed> taxed() {
    return Taxed.of(Role.PURCHASE_TAX, 1, rows());
  }

  @Override
  public List<Sum> sums() {
    List<Sum> sums = new ArrayList<>();
    long agreed =
        lines.stream()
            .flatMap(l -> l.of.stream())
            .mapToLong(Flow.Portion::value)
            .reduce(0, Math::addExact);
    sums.add(new Sum("Owed as agreed", agreed));
    if (agreed != net()) sums.add(new Sum("Settled otherwise", net() - agreed));
    sums.addAll(Sum.of("Total", net(), tax()));
    return sums;
  }

  @Override
  public Plan plan(Catalogue book) {
    Stocking stock = new Stocking();
    Linking links = new Linking(this, who, book);
    for (Line line : lines) line(line, stock, links);
    byRate()
        .forEach(
            (rate, tax) ->
                links.known.add(
                    new JournalLine(
                        book.account(Role.PURCHASE_TAX).id(), 0, 0, new Money(tax), rate.code())));
    Money owed = new Money(-total());
    links.known.add(new JournalLine(book.account(Role.PAYABLES).id(), 0, who.id(), owed, ""));
    List<Plan.Due> dues =
        total() == 0
            ? List.of()
            : List.of(new Plan.Due(who.id(), theirNumber, date, due, owed, who));
    return new Plan(
        stock.events, stock.moves, links.known, dues, List.of(), links.awaits, links.fills);
  }

  /** A line's amount is shared over what it settles; what is apart goes into the goods' cost. */
  private static void line(Line line, Stocking stock, Linking links) {
    long agreed = line.of.stream().mapToLong(Flow.Portion::value).sum();
    long[] apart =
        Spread.over(line.net - agreed, line.of.stream().mapToLong(Settlement::weight).toArray());
    int part = 0;
    for (int i = 0; i < line.of.size(); i++) {
      Flow.Portion portion = line.of.get(i);
      Awaited sold = portion.of();
      links.between(Role.OWED_FOR_CONSIGNED, line.item, portion.value(), sold.number());
      links.fill(line.row, sold, portion.quantity(), portion.value());
      List<Awaited.Arrival> arrivals = sold.arrivals();
      if (apart[i] == 0) continue;
      long[] shares =
          Spread.over(apart[i], arrivals.stream().mapToLong(Awaited.Arrival::quantity).toArray());
      for (int a = 0; a < shares.length; a++)
        if (shares[a] != 0)
          stock.charge(
              line.row, part++, line.item.id(), shares[a], arrivals.get(a).event(), 0, null);
    }
  }

  private static long weight(Flow.Portion portion) {
    return portion.quantity() == 0 ? Quantity.ONE : portion.quantity();
  }

  private Map<TaxRate, Long> byRate() {
    Map<TaxRate, Long> sums = new LinkedHashMap<>();
    for (Line line : lines)
      if (line.tax != 0 && line.rate != null) sums.merge(line.rate, line.tax, Math::addExact);
    return sums;
  }
}
