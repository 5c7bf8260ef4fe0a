package zinctally.core.papers.trade;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import zinctally.core.goods.Item;
import zinctally.core.ledger.JournalLine;
import zinctally.core.ledger.Role;
import zinctally.core.number.Money;
import zinctally.core.number.Spread;
import zinctally.core.papers.Allowed;
import zinctally.core.papers.Carried;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Fault;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Row;
import zinctally.core.papers.Sum;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.flow.Flow;
import zinctally.core.papers.plan.Linking;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.plan.Stocking;
import zinctally.core.papers.tax.Taxed;

/**
 * A supplier's bill with its goods, or an invoice with its goods.
 *
 * @param kind {@link PaperKind#BILL}, {@link PaperKind#INVOICE} or a counter sale's
 * @param bears how lines on accounts are shared over the goods of a bill (IAS 2 paragraph 11)
 * @param theirNumber the supplier's own number, or the customer's reference
 */
public record Trade(
    PaperKind kind,
    LocalDate date,
    LocalDate due,
    Party who,
    String theirNumber,
    Place place,
    List<TradeLine> lines,
    Bears bears)
    implements Paper {
  /** Where a bill's lines that are no goods go: to expense, or into the cost of its goods. */
  public enum Bears {
    EXPENSE,
    VALUE,
    QUANTITY,
    WEIGHT
  }

  @Override
  public Optional<Party> party() {
    return Optional.of(who);
  }

  @Override
  public List<Fault> beyond(Allowed allowed, Catalogue book) {
    return kind == PaperKind.BILL
        ? List.of()
        : bounds(allowed, book).owes(who, kind == PaperKind.INVOICE ? total() : 0).faults();
  }

  /** Its lines held against what may be. */
  Bounds bounds(Allowed allowed, Catalogue book) {
    Bounds bounds = new Bounds(allowed, book);
    for (TradeLine l : lines)
      if (l.item() != null)
        bounds.line(
            new Bounds.Line(
                l.row(),
                l.item(),
                l.quantity(),
                l.discount(),
                l.net(),
                l.rate(),
                l.flow().agreed()),
            who,
            date);
    return bounds;
  }

  public long net() {
    return lines.stream().mapToLong(TradeLine::net).reduce(0, Math::addExact);
  }

  public long tax() {
    return lines.stream().mapToLong(TradeLine::tax).reduce(0, Math::addExact);
  }

  @Override
  public long total() {
    return Math.addExact(net(), tax());
  }

  @Override
  public Paper withParties(UnaryOperator<Party> made) {
    return new Trade(
        kind, date, due, made.apply(who), theirNumber, place, kept(p -> p.with(made)), bears);
  }

  @Override
  public Trade withPlaces(UnaryOperator<Place> made) {
    return new Trade(kind, date, due, who, theirNumber, place, kept(made), bears);
  }

  /** What stays here as the customer's, and what was a supplier's. */
  @Override
  public List<Carried> carried() {
    return lines.stream()
        .filter(TradeLine::moves)
        .flatMap(l -> l.flow().carried(l.goods(), l.place(), l.flow().now(), l.kept()).stream())
        .toList();
  }

  /** Its lines with the places where their goods stay put right. */
  private List<TradeLine> kept(UnaryOperator<Place> other) {
    return lines.stream().map(l -> l.kept() == null ? l : l.keptAt(other.apply(l.kept()))).toList();
  }

  @Override
  public Paper withItems(UnaryOperator<Item> made) {
    List<TradeLine> same =
        lines.stream().map(l -> l.item() == null ? l : l.of(made.apply(l.item()))).toList();
    return new Trade(kind, date, due, who, theirNumber, place, same, bears);
  }

  /** A bill is owed under its supplier's number, an invoice under our own. */
  private String owedAs() {
    return kind == PaperKind.BILL ? theirNumber : "";
  }

  @Override
  public Head head() {
    return new Head(theirNumber, due, place, net(), tax());
  }

  @Override
  public List<Row> rows() {
    return lines.stream().map(TradeLine::asRow).toList();
  }

  @Override
  public List<Taxed> taxed() {
    return Taxed.of(kind == PaperKind.BILL ? Role.PURCHASE_TAX : Role.SALES_TAX, 1, rows());
  }

  @Override
  public List<Sum> sums() {
    List<Sum> sums = new ArrayList<>();
    Map<Integer, Long> charges = charges();
    for (TradeLine line : lines)
      if (charges.containsKey(line.row()))
        sums.add(new Sum(line.goods().code() + " bears of the charges", charges.get(line.row())));
    sums.add(new Sum("Without tax", net()));
    byRate().forEach((rate, tax) -> sums.add(new Sum(rate.name(), rate, tax)));
    sums.add(new Sum("Total", total()));
    return sums;
  }

  /**
   * Goods of a bill come in at their price without reclaimable tax (IAS 2 paragraph 11); goods of
   * an invoice go out at the cost the pool gives, to cost of goods sold in the period in which
   * their revenue is recognised (IAS 2 paragraph 34). What came before its bill was valued at the
   * price expected; what the bill asks beyond that belongs to the cost of those goods.
   */
  @Override
  public Plan plan(Catalogue book) {
    boolean buying = kind == PaperKind.BILL;
    long total = buying ? -total() : total();
    Role control = buying ? Role.PAYABLES : Role.RECEIVABLES;
    return plan(
        book,
        List.of(new JournalLine(book.account(control).id(), 0, who.id(), new Money(total), "")),
        List.of(new Plan.Due(who.id(), owedAs(), date, due, new Money(total), who)),
        List.of());
  }

  /**
   * The same, settled otherwise.
   *
   * @param settled the journal lines that bear its total
   * @param dues what it makes owed
   * @param settlements what it settles
   */
  Plan plan(
      Catalogue book,
      List<JournalLine> settled,
      List<Plan.Due> dues,
      List<Plan.Settlement> settlements) {
    boolean buying = kind == PaperKind.BILL;
    Stocking stock = new Stocking();
    Linking links = new Linking(this, who, book);
    List<JournalLine> known = links.known;
    Billing billing = new Billing(this, book, stock, links);
    Invoicing invoicing = new Invoicing(book, stock, links);
    Map<Integer, Long> charges = charges();
    for (TradeLine line : lines) {
      if (buying && line.moves()) billing.add(line.bearing(charges.getOrDefault(line.row(), 0L)));
      else if (line.moves()) invoicing.add(line);
      ordered(line, links);
      boolean spread = line.item() == null && bears != Bears.EXPENSE;
      if (!line.moves() && !spread) known.add(revenueOrExpense(line, buying));
    }
    Role taxRole = buying ? Role.PURCHASE_TAX : Role.SALES_TAX;
    byRate().forEach((rate, tax) -> known.add(taxLine(book, taxRole, rate, buying ? tax : -tax)));
    known.addAll(settled);
    return new Plan(stock.events, stock.moves, known, dues, settlements, links.awaits, links.fills);
  }

  /** What a line brings of orders. */
  private static void ordered(TradeLine line, Linking links) {
    for (Flow.Portion portion : line.flow().ordered()) {
      links.bill(line.row(), portion);
      if (line.flow().now() > 0) links.goods(line.row(), portion);
    }
  }

  /** What each line of goods bears of the paper's own charges, minor units by row. */
  public Map<Integer, Long> charges() {
    Map<Integer, Long> charges = new LinkedHashMap<>();
    if (bears == Bears.EXPENSE) return charges;
    List<TradeLine> goods = lines.stream().filter(TradeLine::moves).toList();
    long sum =
        lines.stream()
            .filter(l -> l.item() == null)
            .mapToLong(TradeLine::net)
            .reduce(0, Math::addExact);
    if (sum == 0) return charges;
    long[] shares = Spread.over(sum, goods.stream().mapToLong(this::weight).toArray());
    for (int i = 0; i < shares.length; i++) charges.put(goods.get(i).row(), shares[i]);
    return charges;
  }

  /** What a line of goods counts for when charges are shared. */
  private long weight(TradeLine line) {
    long micros = line.quantity().micros();
    return switch (bears) {
      case EXPENSE -> 0;
      case VALUE -> line.net();
      case QUANTITY -> micros;
      case WEIGHT -> line.goods().milligrams(micros);
    };
  }

  /** Tax by rate, minor units, in the order of the lines. */
  public Map<TaxRate, Long> byRate() {
    Map<TaxRate, Long> sums = new LinkedHashMap<>();
    for (TradeLine line : lines)
      if (line.tax() != 0) sums.merge(line.rate(), line.tax(), Math::addExact);
    return sums;
  }

  private static JournalLine taxLine(Catalogue book, Role role, TaxRate rate, long amount) {
    return new JournalLine(book.account(role).id(), 0, 0, new Money(amount), rate.code());
  }

  private JournalLine revenueOrExpense(TradeLine line, boolean buying) {
    long amount = buying ? line.net() : -line.net();
    if (line.account() != null)
      return new JournalLine(line.account().id(), 0, 0, new Money(amount), line.wording())
          .of(line.row());
    Item item = line.goods();
    long account = buying ? item.costAccount() : item.salesAccount();
    return new JournalLine(account, item.id(), 0, new Money(amount), "").of(line.row());
  }
}
