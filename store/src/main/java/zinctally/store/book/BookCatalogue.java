package zinctally.store.book;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import zinctally.core.cost.Position;
import zinctally.core.goods.Item;
import zinctally.core.goods.ItemKind;
import zinctally.core.goods.Tracking;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.Role;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.back.CreditDue;
import zinctally.core.papers.back.ReturnReason;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Traded;
import zinctally.core.papers.money.OpenItem;
import zinctally.core.papers.stock.Reason;
import zinctally.core.papers.stock.StartTracking;
import zinctally.core.papers.trade.Tender;
import zinctally.core.units.Unit;
import zinctally.core.units.Units;
import zinctally.store.goods.GroupStore;
import zinctally.store.ledger.AccountStore;
import zinctally.store.sql.Waiting;

/** What the book knows, looked up once for one reading and remembered while it lasts. */
public final class BookCatalogue implements Catalogue {
  private static final int CHUNK = 1000;
  private final JdbcClient sql;
  private final long amends;
  private final boolean shortStock;
  private final Rules rules;
  private final List<Account> accounts;
  private final GroupStore.Tree groups;
  private final Map<String, Optional<Item>> items = new HashMap<>();
  private final Map<String, Place> places = new HashMap<>();
  private final Map<String, TaxRate> rates = new HashMap<>();
  private final Map<String, Reason> reasons = new HashMap<>();
  private final Map<String, List<Awaited>> awaited = new HashMap<>();
  private final EarlierPapers earlier;
  private final Map<List<Long>, Promised> promises = new HashMap<>();
  private final Map<Long, Item> byId = new HashMap<>();
  private final LotLookup lots;
  private final CostLookup costs;
  private final PartyLookup parties;

  /** Items of which anything is promised; null while nobody has asked. */
  private Set<Long> promisedItems;

  BookCatalogue(
      JdbcClient sql,
      Book book,
      long amends,
      AccountStore accounts,
      GroupStore groups,
      Clock clock) {
    this.sql = sql;
    this.earlier = new EarlierPapers(sql, this::items);
    this.lots = new LotLookup(sql);
    this.costs = new CostLookup(sql);
    this.amends = amends;
    this.shortStock = book.shortStock();
    this.rules =
        new Rules(
            book.coin(),
            book.cutOver(),
            book.firstOpenDay(),
            LocalDate.now(clock),
            book.taxOnSums());
    this.parties = new PartyLookup(sql, amends, rules);
    this.accounts = accounts.all();
    this.groups = groups.tree();
    sql.sql("select id, name from place where active")
        .query((row, n) -> new Place(row.getLong(1), row.getString(2)))
        .list()
        .forEach(p -> places.put(key(p.name()), p));
    sql.sql("select id, code, name, percent from tax_rate where active")
        .query(
            (row, n) ->
                new TaxRate(
                    row.getLong(1), row.getString(2), row.getString(3), row.getBigDecimal(4)))
        .list()
        .forEach(r -> rates.put(key(r.code()), r));
    sql.sql("select id, name, account_id from reason where active")
        .query((row, n) -> new Reason(row.getLong(1), row.getString(2), row.getLong(3)))
        .list()
        .forEach(r -> reasons.put(key(r.name()), r));
  }

  private static String key(String typed) {
    return typed.strip().toLowerCase(Locale.ROOT);
  }

  @Override
  public Rules rules() {
    return rules;
  }

  /** Ids of the accounts that hold stock. */
  public Set<Long> stockAccounts() {
    return accounts.stream()
        .filter(a -> a.role() == Role.STOCK)
        .map(Account::id)
        .collect(Collectors.toSet());
  }

  /**
   * Holds goods in stock, in the order of their ids, until the transaction ends, and from then on
   * knows of items what they are now. What else is sold has no pool that two could take from.
   */
  public void hold(Collection<Long> ids) {
    items.clear();
    byId.clear();
    List<Long> all = ids.stream().sorted().toList();
    for (int from = 0; from < all.size(); from += CHUNK)
      sql.sql(
              ItemRows.SELECT
                  + " where i.id in (:ids) and i.kind = 'STOCKED' order by i.id for update")
          .param("ids", all.subList(from, Math.min(all.size(), from + CHUNK)))
          .query((row, n) -> found(ItemRows.item(row, groups)))
          .list()
          .forEach(item -> items.put(key(item.code()), Optional.of(item)));
  }

  /**
   * Fetches the items with these codes in few queries.
   *
   * @param onlyCodes whether what is no code is no item either, so that nothing else is looked for
   */
  public void fetch(Collection<String> codes, boolean onlyCodes) {
    List<String> all =
        codes.stream()
            .map(BookCatalogue::key)
            .filter(c -> !c.isEmpty() && !items.containsKey(c))
            .distinct()
            .toList();
    if (onlyCodes) all.forEach(code -> items.put(code, Optional.empty()));
    for (int from = 0; from < all.size(); from += CHUNK) {
      sql.sql(ItemRows.SELECT + " where i.code in (:codes)")
          .param("codes", all.subList(from, Math.min(all.size(), from + CHUNK)))
          .query((row, n) -> found(ItemRows.item(row, groups)))
          .list()
          .forEach(item -> items.put(key(item.code()), Optional.of(followed(item))));
    }
  }

  @Override
  public Optional<Item> item(String typed) {
    return items.computeIfAbsent(
        key(typed),
        wanted ->
            wanted.isEmpty()
                ? Optional.empty()
                : by("i.code", wanted)
                    .or(() -> by("i.gtin", wanted))
                    .or(() -> by("i.name", wanted))
                    .or(() -> byTheirCode(wanted))
                    .map(this::followed));
  }

  /** The item that one leads to which is no longer used; in what was posted it stays itself. */
  private Item followed(Item item) {
    if (item.active() || amends != 0) return item;
    return sql.sql("select merged_into from item where id = ? and merged_into is not null")
        .param(item.id())
        .query(Long.class)
        .optional()
        .map(into -> items(List.of(into)).get(into))
        .orElse(item);
  }

  /** By a supplier's own code for it, when that means one item. */
  private Optional<Item> byTheirCode(String wanted) {
    List<Long> ids =
        sql.sql(
                "select distinct item_id from supplier_item where code = ?"
                    + " union select id from item where supplier_code = ? limit 2")
            .params(wanted, wanted)
            .query(Long.class)
            .list();
    return ids.size() == 1 ? Optional.ofNullable(items(ids).get(ids.get(0))) : Optional.empty();
  }

  private Optional<Item> by(String column, String wanted) {
    return sql.sql(
            ItemRows.SELECT + " where " + column + " = ? order by i.active desc, i.id limit 1")
        .param(wanted)
        .query((row, n) -> found(ItemRows.item(row, groups)))
        .optional();
  }

  private Item found(Item item) {
    byId.put(item.id(), item);
    return item;
  }

  /** Items by id, for those who have only that. */
  public Map<Long, Item> items(Collection<Long> ids) {
    List<Long> missing = ids.stream().filter(id -> !byId.containsKey(id)).distinct().toList();
    if (!missing.isEmpty())
      sql.sql(ItemRows.SELECT + " where i.id in (:ids)")
          .param("ids", missing)
          .query((row, n) -> found(ItemRows.item(row, groups)))
          .list();
    Map<Long, Item> items = new HashMap<>();
    for (Long id : ids) if (byId.containsKey(id)) items.put(id, byId.get(id));
    return items;
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
    return usual(kind.name());
  }

  @Override
  public Account smallRests() {
    return usual("REST");
  }

  private Account usual(String purpose) {
    return account(
        sql.sql("select account_id from tender where kind = ?")
            .param(purpose)
            .query(Long.class)
            .single());
  }

  @Override
  public Optional<String> seller(String initials) {
    return sql.sql("select login from app_user where initials = ? and active and role <> 'READER'")
        .param(initials.strip())
        .query(String.class)
        .optional();
  }

  @Override
  public Optional<LatestCost> presentCost(long item) {
    return costs.present(item, byId.keySet());
  }

  @Override
  public Optional<Long> creditLimit(long party) {
    return parties.creditLimit(party);
  }

  /** An item that is not made yet, with what its group, or the top group, gives it. */
  public Item newItem(long id, String code, String name, String group, Units units) {
    GroupStore.Group in = groups.named(group).orElse(groups.top());
    return new Item(
        id,
        code,
        name,
        ItemKind.STOCKED,
        units,
        groups.method(in.id()),
        groups.stockAccount(in.id()),
        groups.salesAccount(in.id()),
        groups.costAccount(in.id()),
        "",
        "",
        true,
        Tracking.NONE,
        null);
  }

  @Override
  public Optional<Account> account(String typed) {
    String wanted = key(typed);
    return accounts.stream()
        .filter(
            a ->
                key(a.code()).equals(wanted)
                    || key(a.name()).equals(wanted)
                    || key(a.label()).equals(wanted))
        .findFirst();
  }

  @Override
  public Account account(long id) {
    return accounts.stream().filter(a -> a.id() == id).findFirst().orElseThrow();
  }

  @Override
  public Account account(Role role) {
    return accounts.stream()
        .filter(a -> a.role() == role && a.active())
        .findFirst()
        .orElseThrow(() -> new IllegalStateException("no account in use is for " + role.words()));
  }

  @Override
  public Optional<Party> party(Party.Kind kind, String name) {
    return parties.named(kind, name);
  }

  @Override
  public Optional<Place> place(String name) {
    return Optional.ofNullable(places.get(key(name)));
  }

  @Override
  public Optional<TaxRate> taxRate(String code) {
    return Optional.ofNullable(rates.get(key(code)));
  }

  @Override
  public Optional<Reason> reason(String name) {
    return Optional.ofNullable(reasons.get(key(name)));
  }

  @Override
  public List<OpenItem> openItems(long party) {
    return parties.openItems(party);
  }

  @Override
  public long opened(long item) {
    return sql.sql(
            """
            select coalesce(sum(e.quantity), 0) from cost_event e
            join paper p on p.id = e.paper_id join paper_kind k on k.kind = p.kind and k.opens
            where e.item_id = ? and e.date <= ? and not e.gone and e.paper_id <> ?
            """)
        .params(item, rules.cutOver(), amends)
        .query(Long.class)
        .single();
  }

  @Override
  public Standing standing(long item, LocalDate date) {
    return costs.standing(item, date);
  }

  @Override
  public List<Traded> traded(String paperNumber) {
    return earlier.traded(paperNumber, amends);
  }

  @Override
  public Map<Long, List<LateCharge>> chargedAfter(LocalDate date, Collection<Long> arrivals) {
    return earlier.chargedAfter(date, arrivals);
  }

  @Override
  public List<Awaited> awaited(String paperNumber) {
    return earlier.awaited(paperNumber, amends);
  }

  @Override
  public List<Awaited> awaited(Awaits what, long party, long item) {
    return awaited
        .computeIfAbsent(what + " " + party, k -> earlier.awaited(what, party, amends))
        .stream()
        .filter(a -> a.item().id() == item)
        .toList();
  }

  @Override
  public Optional<String> sameNumber(PaperKind kind, long party, String theirNumber) {
    return parties.sameNumber(kind, party, theirNumber);
  }

  @Override
  public Optional<ReturnReason> returnReason(String name) {
    return sql.sql("select id, name from return_reason where name = ? and active")
        .param(name.strip())
        .query((row, n) -> new ReturnReason(row.getLong(1), row.getString(2)))
        .optional();
  }

  @Override
  public List<Kept> lots(long item, Collection<String> codes) {
    return lots.named(item, codes, amends);
  }

  @Override
  public List<Kept> lotsAt(long item, long place, int atMost) {
    return lots.at(item, place, atMost, amends);
  }

  @Override
  public Free free(long item, long place) {
    return sql.sql(
            """
            select
              (select coalesce(sum(quantity), 0) from place_stock
               where item_id = :item and place_id = :place) as here,
              (select coalesce(sum(s.quantity), 0) from place_stock s
               join place p on p.id = s.place_id and (p.for_sale or p.id = :place)
               where s.item_id = :item) as everywhere,
              (select coalesce(sum(a.open_quantity), 0) from awaited a
               where a.item_id = :item and a.paper_id <> :amends and %s) as promised,
              (select coalesce(sum(a.open_quantity), 0) from awaited a
               where a.item_id = :item and %s) as on_order,
              (select min(d.expected) from awaited a join order_head d on d.paper_id = a.paper_id
               where a.item_id = :item and a.what = 'ORDERED_GOODS' and a.open_quantity > 0)
                as expected
            """
                .formatted(Waiting.PROMISED, Waiting.ON_ORDER))
        .param("item", item)
        .param("place", place)
        .param("amends", amends)
        .query(
            (row, n) ->
                new Free(
                    Math.max(0, row.getLong(1) - row.getLong(3)),
                    Math.max(0, row.getLong(2) - row.getLong(3)),
                    row.getLong(4),
                    row.getObject(5, LocalDate.class)))
        .single();
  }

  @Override
  public Promised promised(long item, long place, long order) {
    if (promisedItems == null)
      promisedItems =
          new HashSet<>(
              sql.sql("select distinct a.item_id from awaited a where " + Waiting.PROMISED)
                  .query(Long.class)
                  .list());
    if (!promisedItems.contains(item)) return new Promised(0, 0, "");
    return promises.computeIfAbsent(
        List.of(item, place, order), k -> readPromised(item, place, order));
  }

  private Promised readPromised(long item, long place, long order) {
    return sql.sql(
            """
            select coalesce(max(s.quantity), 0), coalesce(sum(o.open_quantity), 0),
              coalesce(substring_index(group_concat(concat(o.number, ' of ', o.date)
                order by o.date, o.id separator '|'), '|', 1), '')
            from (select quantity from place_stock where item_id = :item and place_id = :place) s
            left join (
              select a.open_quantity, p.number, p.date, p.id from awaited a
              join paper p on p.id = a.paper_id and p.state = 'POSTED' and p.place_id = :place
              where a.item_id = :item and p.id not in (:order, :amends) and %s
                and (:order = 0 or (p.date, p.id) <
                  (select b.date, b.id from paper b where b.id = :order))) o on true
            """
                .formatted(Waiting.PROMISED))
        .param("item", item)
        .param("place", place)
        .param("order", order)
        .param("amends", amends)
        .query(
            (row, n) ->
                new Promised(row.getLong(1) + moved(item, place), row.getLong(2), row.getString(3)))
        .single();
  }

  /** Millionths of an item at a place. */
  public long here(long item, long place) {
    return sql.sql("select quantity from place_stock where item_id = ? and place_id = ?")
        .params(item, place)
        .query(Long.class)
        .optional()
        .orElse(0L);
  }

  /** What the paper being amended has taken from a place, millionths. */
  private long moved(long item, long place) {
    if (amends == 0) return 0;
    return sql.sql(
            "select coalesce(-sum(quantity), 0) from quantity_move"
                + " where paper_id = ? and item_id = ? and place_id = ?")
        .params(amends, item, place)
        .query(Long.class)
        .single();
  }

  @Override
  public Optional<CreditDue> creditDue(long party, String returnNumber) {
    Optional<OpenItem> open =
        openItems(party).stream()
            .filter(o -> o.open() > 0 && o.open() == o.amount())
            .filter(o -> earlier.isOf(o.id(), PaperKind.SUPPLIER_RETURN, returnNumber))
            .findFirst();
    return open.flatMap(o -> earlier.creditDue(o));
  }

  @Override
  public List<StartTracking.Sold> soldSince(long item, LocalDate date) {
    return sql.sql(
            """
            select p.id, p.date, p.sequence, l.line, l.place_id, w.name, l.quantity
            from paper_line l join paper p on p.id = l.paper_id and p.version = l.version
            join paper_kind k on k.kind = p.kind and k.sale > 0 join place w on w.id = l.place_id
            where l.item_id = ?
              and p.state = 'POSTED' and p.date >= ?
              and not exists (select 1 from cost_event e
                              where e.paper_id = p.id and e.line = l.line and not e.gone)
            order by p.date, p.sequence, l.line
            """)
        .params(item, date)
        .query(
            (row, n) ->
                new StartTracking.Sold(
                    row.getLong(1),
                    new Position(row.getObject(2, LocalDate.class), row.getLong(3), row.getInt(4)),
                    row.getLong(5),
                    row.getString(6),
                    row.getLong(7)))
        .list();
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

  @Override
  public Optional<LatestCost> latestCost(long item) {
    return costs.latest(item);
  }
}
