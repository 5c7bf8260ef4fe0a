package zinctally.store.book;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import zinctally.core.goods.Item;
import zinctally.core.goods.ItemGroup;
import zinctally.core.goods.ItemKind;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.Centre;
import zinctally.core.ledger.Role;
import zinctally.core.papers.Allowed;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Standing;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.back.CreditDue;
import zinctally.core.papers.back.ReturnReason;
import zinctally.core.papers.consign.Terms;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Traded;
import zinctally.core.papers.money.OpenItem;
import zinctally.core.papers.stock.Reason;
import zinctally.core.papers.stock.StartTracking;
import zinctally.core.papers.tax.TaxBoxes;
import zinctally.core.papers.tax.TaxDue;
import zinctally.core.papers.trade.Tender;
import zinctally.core.units.Unit;
import zinctally.core.units.Units;
import zinctally.store.goods.GroupStore;
import zinctally.store.ledger.AccountStore;

/** What the book knows, looked up once for one reading and remembered while it lasts. */
public final class BookCatalogue implements Catalogue {
  private final JdbcClient sql;
  private final ListPrices prices;
  private final long amends;
  private final boolean shortStock;
  private final Rules rules;

  private final Map<String, List<Awaited>> awaited = new HashMap<>();

  private final LotLookup lots;

  private final CostLookup costs;

  private final PartyLookup parties;

  private final ItemLookup items;
  private final NamedLookup named;
  private final PlaceLookup places;
  private final PromiseLookup promises;
  private final AwaitedLookup earlier;
  private final TradedLookup traded;
  private final RecipeLookup recipes;
  private final ConsignLookup consigned;
  private final TaxLookup taxes;
  private final CentreLookup centres;
  private final GroupStore.Tree groups;

  BookCatalogue(
      JdbcClient sql,
      Book book,
      long amends,
      AccountStore accounts,
      GroupStore groups,
      ListPrices prices,
      Clock clock) {
    this.sql = sql;
    this.prices = prices;
    this.amends = amends;
    this.shortStock = book.shortStock();
    this.rules =
        new Rules(
            book.coin(),
            book.cutOver(),
            book.firstOpenDay(),
            LocalDate.now(clock),
            book.taxOnSums());
    GroupStore.Tree tree = groups.tree();
    this.items = new ItemLookup(sql, tree, amends != 0);
    this.named = new NamedLookup(sql, accounts.all());
    this.places = new PlaceLookup(sql);
    this.lots = new LotLookup(sql);
    this.costs = new CostLookup(sql, amends);
    this.promises = new PromiseLookup(sql, amends);
    this.parties = new PartyLookup(sql, amends, rules);
    this.earlier = new AwaitedLookup(sql, amends, items::of);
    this.traded = new TradedLookup(sql, amends, items::of, earlier);
    this.recipes = new RecipeLookup(sql, amends);
    this.consigned = new ConsignLookup(sql, amends, places);
    this.taxes = new TaxLookup(sql, amends);
    this.centres = new CentreLookup(sql, book.centres(), amends != 0, tree);
    this.groups = tree;
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
  public Item newItem(long id, String name, Party.Kind side) {
    Item item = newItem(id, "", name, "", Units.of(Unit.EACH));
    return side == Party.Kind.SUPPLIER ? item : item.withKind(ItemKind.NOT_STOCKED);
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
  public Optional<String> goesInto(long item, long other) {
    return recipes.way(item, other);
  }

  @Override
  public Optional<LatestCost> presentCost(long item) {
    return costs.present(item, items.known());
  }

  @Override
  public Optional<Allowed.ListPrice> listPrice(
      Item item, long customer, long micros, LocalDate on, @Nullable TaxRate rate) {
    return prices.of(item.id(), customer, micros, on, rate);
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
  public Worth worth(long item, LocalDate date) {
    return costs.worth(item, date);
  }

  @Override
  public List<Traded> traded(String paperNumber) {
    return traded.traded(paperNumber);
  }

  @Override
  public Map<Long, List<LateCharge>> chargedAfter(LocalDate date, Collection<Long> arrivals) {
    return costs.chargedAfter(date, arrivals);
  }

  @Override
  public List<Awaited> awaited(String paperNumber) {
    return earlier.awaited(paperNumber);
  }

  @Override
  public List<Awaited> awaited(Awaits what, long party, long item) {
    return awaited.computeIfAbsent(what + " " + party, k -> earlier.awaited(what, party)).stream()
        .filter(a -> a.item().id() == item)
        .toList();
  }

  @Override
  public Optional<String> sameNumber(PaperKind kind, long party, String theirNumber) {
    return parties.sameNumber(kind, party, theirNumber);
  }

  @Override
  public List<Kept> lots(long item, Collection<String> codes) {
    return lots.named(item, codes, amends);
  }

  @Override
  public Optional<BigDecimal> piecePrice(long item, Collection<String> codes) {
    return lots.price(item, codes);
  }

  @Override
  public List<Kept> lotsAt(long item, long place, int atMost) {
    return lots.at(item, place, atMost, amends);
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

  /** See {@link ItemLookup#hold}. */
  public void hold(Collection<Long> ids) {
    items.hold(ids);
  }

  /** See {@link ItemLookup#fetch}. */
  public void fetch(Collection<String> codes, boolean onlyCodes) {
    items.fetch(codes, onlyCodes);
  }

  @Override
  public Optional<Item> item(String typed) {
    return items.item(typed);
  }

  /** Items by id, for those who have only that. */
  public Map<Long, Item> items(Collection<Long> ids) {
    return items.of(ids);
  }

  /** An item that is not made yet, with what its group, or the top group, gives it. */
  public Item newItem(long id, String code, String name, String group, Units units) {
    return items.newItem(id, code, name, group, units);
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
  public List<Consigned> consigned(long item, Place place) {
    return consigned.consigned(item, place);
  }

  @Override
  public long onHand(long item, Place place, LocalDate from) {
    return consigned.onHand(item, place.id(), from);
  }

  @Override
  public Optional<Terms> terms(long supplier, long item, LocalDate on) {
    return consigned.terms(supplier, item, on);
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

  /** Millionths of an item at a place. */
  public long here(long item, long place) {
    return promises.here(item, place);
  }

  @Override
  public Free free(long item, long place) {
    return promises.free(item, place);
  }

  @Override
  public Promised promised(long item, long place, long order) {
    return promises.promised(item, place, order);
  }

  @Override
  public long opened(long item) {
    return costs.opened(item, rules.cutOver());
  }

  @Override
  public List<StartTracking.Sold> soldSince(long item, LocalDate date) {
    return costs.soldSince(item, date);
  }

  @Override
  public Optional<CreditDue> creditDue(long party, String returnNumber) {
    return parties.creditDue(party, returnNumber);
  }

  @Override
  public Optional<LatestCost> latestCost(long item) {
    return costs.latest(item);
  }
}
