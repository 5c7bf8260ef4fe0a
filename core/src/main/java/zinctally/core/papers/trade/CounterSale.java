package zinctally.core.papers.trade;

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
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.tax.Taxed;

/**
 * A sale over the counter: an invoice whose goods go with it and which is paid at once, in one or
 * several ways, with credit for goods that came back, or in part on account or by instalments.
 *
 * @param credit what is paid with credit; null for nothing
 * @param given minor units of cash handed over
 * @param change minor units of it handed back
 * @param later what is still owed, by the day it is due
 * @param seller the login of who sold; empty for whoever posts it
 */
public record CounterSale(
    Trade sale,
    List<Tender> tenders,
    @Nullable CreditUsed credit,
    long given,
    long change,
    List<Instalments.Part> later,
    String seller)
    implements Paper {
  /** Who buys when nobody is named. */
  public static final String NOBODY = "Over the counter";

  @Override
  public PaperKind kind() {
    return PaperKind.COUNTER_SALE;
  }

  @Override
  public LocalDate date() {
    return sale.date();
  }

  @Override
  public Optional<Party> party() {
    return sale.party();
  }

  @Override
  public Paper withParties(UnaryOperator<Party> made) {
    return new CounterSale(
        (Trade) sale.withParties(made), tenders, credit, given, change, later, seller);
  }

  @Override
  public Paper withPlaces(UnaryOperator<Place> made) {
    return new CounterSale(sale.withPlaces(made), tenders, credit, given, change, later, seller);
  }

  @Override
  public List<Carried> carried() {
    return sale.carried();
  }

  @Override
  public Paper withItems(UnaryOperator<Item> made) {
    return new CounterSale(
        (Trade) sale.withItems(made), tenders, credit, given, change, later, seller);
  }

  @Override
  public List<Fault> beyond(Allowed allowed, Catalogue book) {
    return sale.bounds(allowed, book).owes(sale.who(), owed()).faults();
  }

  @Override
  public long total() {
    return sale.total();
  }

  /** Minor units that are not paid at once. */
  public long owed() {
    return later.stream().mapToLong(Instalments.Part::amount).sum();
  }

  @Override
  public Head head() {
    return sale.head();
  }

  @Override
  public List<Row> rows() {
    return sale.rows();
  }

  @Override
  public List<Taxed> taxed() {
    return sale.taxed();
  }

  /** What it comes to and how it is paid; what matters to the customer comes last. */
  @Override
  public List<Sum> sums() {
    List<Sum> sums = new ArrayList<>(sale.sums());
    for (Tender tender : tenders) sums.add(new Sum("In " + tender.kind().words(), tender.amount()));
    if (credit != null) sums.add(new Sum("Credit of " + credit.credit().number(), credit.amount()));
    for (Instalments.Part part : later) sums.add(new Sum("Due " + part.due(), part.amount()));
    if (given != 0) sums.add(new Sum("Cash given", given));
    sums.add(new Sum("Change", change));
    return sums;
  }

  @Override
  public Optional<Place> counter() {
    return Optional.of(sale.place());
  }

  @Override
  public Plan plan(Catalogue book) {
    List<JournalLine> settled = new ArrayList<>();
    for (Tender tender : tenders)
      settled.add(
          new JournalLine(
              tender.account().id(), 0, 0, new Money(tender.amount()), tender.kind().words()));
    Party who = sale.who();
    if (owed() != 0)
      settled.add(
          new JournalLine(book.account(Role.RECEIVABLES).id(), 0, who.id(), new Money(owed()), ""));
    if (credit != null)
      settled.add(
          new JournalLine(
              book.account(Role.RECEIVABLES).id(),
              0,
              who.id(),
              new Money(credit.amount()),
              "credit " + credit.credit().number()));
    List<Plan.Settlement> settlements =
        credit == null
            ? List.of()
            : List.of(new Plan.Settlement(credit.credit().id(), new Money(credit.amount())));
    List<Plan.Due> dues = new ArrayList<>();
    for (int i = 0; i < later.size(); i++)
      dues.add(
          new Plan.Due(
              who.id(),
              later.size() == 1 ? "" : "/" + (i + 1),
              date(),
              later.get(i).due(),
              new Money(later.get(i).amount()),
              who));
    return sale.plan(book, settled, dues, settlements);
  }
}
