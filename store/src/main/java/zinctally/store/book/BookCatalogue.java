package zinctally.store.book;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import zinctally.core.goods.Item;
import zinctally.core.goods.ItemGroup;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.Centre;
import zinctally.core.ledger.Role;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Standing;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.back.CreditDue;
import zinctally.core.papers.back.ReturnReason;
import zinctally.core.papers.money.OpenItem;
import zinctally.core.papers.stock.Reason;
import zinctally.core.papers.tax.TaxBoxes;
import zinctally.core.papers.tax.TaxDue;
import zinctally.core.papers.trade.Tender;
import zinctally.store.goods.GroupStore;
import zinctally.store.ledger.AccountStore;

/** What the book knows, looked up once for one reading and remembered while it lasts. */
public final class BookCatalogue extends GoodsCatalogue {
  private final JdbcClient sql;
  private final long amends;
  private final boolean shortStock;
  private final Rules rules;

  private final PartyLookup parties;

  private final NamedLookup named;
  private final TaxLookup taxes;
  private final CentreLookup centres;
  private final GroupStore.Tree groups;

  BookCatalogue(
      JdbcClient sql,
      Book book,
      long amends,
      AccountStore accounts,
      GroupStore.Tree groups,
      ListPrices prices,
      Clock clock) {
    super(sql, groups, prices, amends);
    this.sql = sql;
    this.amends = amends;
    this.shortStock = book.shortStock();
    this.rules =
        new Rules(
            book.coin(),
            book.cutOver(),
            book.firstOpenDay(),
            LocalDate.now(clock),
            book.taxOnSums());
    this.named = new NamedLookup(sql, accounts.all());
    this.parties = new PartyLookup(sql, amends, rules);
    this.taxes = new TaxLookup(sql, amends);
    this.centres = new CentreLookup(sql, book.centres(), amends != 0, groups);
    this.groups = groups;
  }

  @Override
  public Rules rules() {
    return rules;
  }

  /** The posted paper that is amended; zero for none. */
  public long amends() {
    return amends;
  }

  @Override
  public Account tender(Tender.Kind kind) {
    return named.usual(kind.name());
  }

  @Override
  public Account smallRests() {
    return named.usual("REST");
  }

  @Override
  public Optional<Long> creditLimit(long party) {
    return parties.creditLimit(party);
  }

  @Override
  public Optional<Party> party(Party.Kind kind, String name) {
    return parties.named(kind, name);
  }

  @Override
  public List<OpenItem> openItems(long party) {
    return parties.openItems(party);
  }

  @Override
  public Optional<String> sameNumber(PaperKind kind, long party, String theirNumber) {
    return parties.sameNumber(kind, party, theirNumber);
  }

  /** Whether a person may take more than is there: the book must allow it, and the person may. */
  public boolean mayGoShort(String login) {
    return shortStock
        && sql.sql(
                "select exists (select 1 from app_user where login = ?"
                    + " and (role = 'OWNER' or may_sell_short))")
            .param(login)
            .query(Boolean.class)
            .single();
  }

  /** Ids of the accounts that hold stock. */
  public Set<Long> stockAccounts() {
    return named.stockAccounts();
  }

  @Override
  public Optional<Account> account(String typed) {
    return named.account(typed);
  }

  @Override
  public Account account(long id) {
    return named.account(id);
  }

  @Override
  public Account account(Role role) {
    return named.account(role);
  }

  @Override
  public Optional<Place> place(String name) {
    return places.named(name);
  }

  @Override
  public Optional<Standing> standing(String name) {
    return places.standing(name);
  }

  @Override
  public Place as(Place place, Standing standing, @Nullable Party owner) {
    return places.as(place, standing, owner);
  }

  @Override
  public Place repairer(@Nullable Party who) {
    return places.repairer(who);
  }

  @Override
  public Place atCustomer(Party who) {
    return places.atCustomer(who);
  }

  @Override
  public Optional<ItemGroup> group(String name) {
    return groups.named(name).map(g -> new ItemGroup(g.id(), g.name()));
  }

  @Override
  public Optional<Place> wentTo(String paperNumber) {
    return places.wentTo(paperNumber);
  }

  @Override
  public Place onTheWay() {
    return places.onTheWay();
  }

  @Override
  public Optional<TaxRate> taxRate(String code) {
    return named.taxRate(code);
  }

  @Override
  public boolean hasCentres() {
    return centres.used();
  }

  @Override
  public Optional<Centre> centre(String name) {
    return centres.named(name);
  }

  @Override
  public Optional<Centre> usualCentre(@Nullable Item item, @Nullable Place place) {
    return centres.usual(item, place, items.known());
  }

  @Override
  public TaxBoxes taxBoxes() {
    return taxes.boxes();
  }

  @Override
  public List<TaxDue> taxDue(LocalDate from, LocalDate to) {
    return taxes.due(from, to);
  }

  /** Accounts of sales tax and of purchase tax, in use or not. */
  public List<Account> taxAccounts() {
    return named.taxAccounts();
  }

  /** Whether a rate of tax has this code, in use or not. */
  public boolean isRate(String code) {
    return named.isRate(code);
  }

  @Override
  public Optional<Reason> reason(String name) {
    return named.reason(name);
  }

  @Override
  public Optional<ReturnReason> returnReason(String name) {
    return named.returnReason(name);
  }

  @Override
  public Optional<String> seller(String initials) {
    return named.seller(initials);
  }

  @Override
  public Optional<CreditDue> creditDue(long party, String returnNumber) {
    return parties.creditDue(party, returnNumber);
  }
}
