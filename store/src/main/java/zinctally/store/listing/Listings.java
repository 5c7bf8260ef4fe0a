package zinctally.store.listing;

import static zinctally.store.listing.Listing.Type.DATE;
import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.MONEY;
import static zinctally.store.listing.Listing.Type.NUMBER;
import static zinctally.store.listing.Listing.Type.PERCENT;
import static zinctally.store.listing.Listing.Type.QUANTITY;
import static zinctally.store.listing.Listing.Type.TEXT;
import static zinctally.store.listing.Listing.Type.TIME;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import zinctally.core.number.Coin;
import zinctally.core.papers.PaperKind;
import zinctally.store.listing.Listing.Column;
import zinctally.store.sql.Prices;

/** The lists there are. */
public final class Listings {
  private Listings() {}

  private static final String NUMBER_LINK = "/papers/{id}";

  public static Listing items() {
    return new Listing(
        "Items",
        """
        item i join item_group g on g.id = i.group_id
        left join cost_pool h on h.item_id = i.id
        left join item_price p on p.item_id = i.id
          and p.list_id = (select min(id) from price_list) and %s
        where true"""
            .formatted(Prices.TODAY),
        Map.of(),
        List.of(
            new Column("id", "", "i.id", HIDDEN),
            new Column("code", "Code", "i.code", TEXT, "/goods/item/{id}"),
            new Column("name", "Name", "i.name", TEXT, "/goods/item/{id}"),
            new Column("group", "Group", "g.name", TEXT),
            new Column("on_hand", "On hand", "h.on_hand", QUANTITY, "/goods/item/{id}"),
            new Column("worth", "Worth", "h.worth", MONEY, "/goods/item/{id}"),
            new Column("price", "Sells at", "cast(p.price as decimal(18,2))", NUMBER),
            new Column("supplier", "Usual supplier", "i.supplier", TEXT),
            new Column(
                "state",
                "State",
                "if(i.active, if(i.to_complete, 'to be completed', ''), 'off')",
                TEXT)),
        "i.id",
        "code",
        "No item yet. Make one here, or bring a whole list in with Opening stock.");
  }

  /** Posted papers of some kinds. */
  public static Listing papers(String name, String empty, PaperKind... kinds) {
    StringBuilder in = new StringBuilder();
    for (PaperKind kind : kinds)
      in.append(in.isEmpty() ? "'" : ", '").append(kind.name()).append('\'');
    return new Listing(
        name,
        "paper p left join party w on w.id = p.party_id left join place l on l.id = p.place_id"
            + " where p.kind in ("
            + in
            + ")",
        Map.of(),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("date", "Date", "p.date", DATE),
            new Column("number", "Number", "p.number", TEXT, NUMBER_LINK),
            new Column("party", "Who", "w.name", TEXT),
            new Column("reference", "Their number", "p.reference", TEXT),
            new Column("what", "What", BuyListings.WHAT, TEXT),
            new Column("total", "Total", SIGNED_TOTAL, MONEY, NUMBER_LINK),
            new Column(
                "open",
                "Still open",
                "(select sum(abs(o.open)) from open_item o where o.paper_id = p.id)",
                MONEY),
            new Column("stock", "Stock", "nullif(p.stock_value, 0)", MONEY),
            new Column("due", "Due", "p.due", DATE),
            new Column("state", "State", STATE, TEXT),
            new Column("who", "Posted by", "p.posted_by", TEXT)),
        "p.id",
        "-date",
        empty);
  }

  /** All papers of a day or later, with what they did to stock, sales and cost. */
  public static Listing dayBook(LocalDate from) {
    return new Listing(
        "Day book",
        "paper p left join party w on w.id = p.party_id where p.date >= :from",
        Map.of("from", from),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("date", "Date", "p.date", DATE),
            new Column("number", "Paper", "p.number", TEXT, NUMBER_LINK),
            new Column("party", "Who", "w.name", TEXT),
            new Column("stock", "Stock", "nullif(p.stock_value, 0)", MONEY, NUMBER_LINK),
            new Column("sales", "Sales", "nullif(" + SALES + ", 0)", MONEY, NUMBER_LINK),
            new Column("cost", "Cost", "nullif(" + COST + ", 0)", MONEY, NUMBER_LINK),
            new Column(
                "margin",
                "Margin",
                "if("
                    + SALES
                    + " > 0, round(100 * ("
                    + SALES
                    + " - "
                    + COST
                    + ") / "
                    + SALES
                    + ", 1), null)",
                PERCENT),
            new Column("state", "State", STATE, TEXT)),
        "p.id",
        "-date",
        "No paper yet.");
  }

  static final String STATE =
      "case when p.state = 'VOID' then 'void' else concat_ws(', ', if(p.kind in ('CUSTOMER_RETURN',"
          + " 'SUPPLIER_RETURN'), 'return', null), if(p.version > 1, concat('version ', p.version),"
          + " null)) end";

  /** What comes or goes back stands out by its sign. */
  static final String SIGNED_TOTAL =
      "if(p.kind in ('CUSTOMER_RETURN', 'SUPPLIER_RETURN', 'SUPPLIER_CREDIT'), -p.total, p.total)";

  /** What a paper of selling has booked as income, less what it took back. */
  private static final String SALES =
      """
      if(p.kind in ('INVOICE', 'COUNTER_SALE', 'DELIVERY', 'CUSTOMER_RETURN'),
        (select coalesce(-sum(l.amount), 0) from journal j
         join journal_line l on l.journal_id = j.id
         join account a on a.id = l.account_id and a.kind = 'INCOME' where j.paper_id = p.id), 0)""";

  /** What its goods cost, as known now: those it moved, and those moved before it. */
  private static final String COST =
      """
      if(p.kind in ('INVOICE', 'COUNTER_SALE', 'DELIVERY', 'CUSTOMER_RETURN'),
        (select coalesce(-sum(e.booked), 0) from cost_event e
         join account a on a.id = e.contra_account and a.role = 'COST_OF_GOODS_SOLD'
         where e.paper_id = p.id and not e.gone)
        + (select coalesce(sum(f.value), 0) from fulfilment f
           join awaited w on w.id = f.awaited_id and w.what = 'SENT_INVOICE'
             and w.paper_id <> f.paper_id where f.paper_id = p.id), 0)""";

  /** Every account with its balance at a date. */
  public static Listing accounts(LocalDate date) {
    return new Listing(
        "Trial balance",
        """
        (select a.id, a.code, a.name, a.kind, a.role, a.active,
          coalesce((select sum(m.debit - m.credit) from account_month m
                    where m.account_id = a.id and m.month < :month), 0)
          + coalesce((select sum(l.amount) from journal_line l
                      where l.account_id = a.id and l.date between :month and :date), 0) as balance
         from account a) t
        where true""",
        Map.of("month", date.withDayOfMonth(1), "date", date),
        List.of(
            new Column("id", "", "t.id", HIDDEN),
            new Column("code", "Code", "t.code", TEXT, "/prove/account/{id}"),
            new Column("name", "Account", "t.name", TEXT, "/prove/account/{id}"),
            new Column("kind", "Kind", "lower(t.kind)", TEXT),
            new Column(
                "debit",
                "Debit",
                "if(t.balance > 0, t.balance, null)",
                MONEY,
                "/prove/account/{id}"),
            new Column(
                "credit",
                "Credit",
                "if(t.balance < 0, -t.balance, null)",
                MONEY,
                "/prove/account/{id}")),
        "t.id",
        "code",
        "There is no account.");
  }

  /** Lines of one account. */
  public static Listing account(long id) {
    return new Listing(
        "Account detail",
        """
        journal_line l join journal j on j.id = l.journal_id join paper p on p.id = j.paper_id
        left join item i on i.id = l.item_id left join party w on w.id = l.party_id
        where l.account_id = :account""",
        Map.of("account", id),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("date", "Date", "l.date", DATE),
            new Column("number", "Paper", "p.number", TEXT, NUMBER_LINK),
            new Column("item", "Item", "i.name", TEXT),
            new Column("party", "Who", "w.name", TEXT),
            new Column("memo", "Note", "l.memo", TEXT),
            new Column("debit", "Debit", "if(l.amount > 0, l.amount, null)", MONEY, NUMBER_LINK),
            new Column(
                "credit", "Credit", "if(l.amount < 0, -l.amount, null)", MONEY, NUMBER_LINK)),
        "l.id",
        "-date",
        "Nothing has been booked on this account.");
  }

  /** The lines of one month behind its sales, or behind its cost of goods sold. */
  public static Listing month(LocalDate month, boolean cost) {
    String accounts = cost ? "a.role = 'COST_OF_GOODS_SOLD'" : "a.kind = 'INCOME'";
    return new Listing(
        cost ? "Cost of goods sold" : "Sales",
        """
        account a join journal_line l on l.account_id = a.id and l.date between :first and :last
        join journal j on j.id = l.journal_id join paper p on p.id = j.paper_id
        left join item i on i.id = l.item_id left join party w on w.id = p.party_id
        where\s"""
            + accounts,
        Map.of("first", month, "last", month.plusMonths(1).minusDays(1)),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("item_id", "", "i.id", HIDDEN),
            new Column("date", "Date", "l.date", DATE),
            new Column("number", "Paper", "p.number", TEXT, NUMBER_LINK),
            new Column("party", "Who", "w.name", TEXT),
            new Column("item", "Item", "i.name", TEXT, "/goods/item/{item_id}"),
            new Column("account", "Account", "a.name", TEXT),
            new Column("amount", "Amount", cost ? "l.amount" : "-l.amount", MONEY, NUMBER_LINK)),
        "l.id",
        "-date",
        "Nothing in this month.");
  }

  /** Every cost entry of an item: what moved its quantity and its worth, and which paper did. */
  public static Listing movements(long item) {
    return new Listing(
        "Movements",
        """
        cost_entry n join cost_event e on e.id = n.event_id join paper p on p.id = e.paper_id
        join paper c on c.id = n.cause_id left join party w on w.id = p.party_id
        where n.item_id = :item""",
        Map.of("item", item),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("cause_id", "", "c.id", HIDDEN),
            new Column("date", "Date", "n.posting_date", DATE),
            new Column("number", "Paper", "p.number", TEXT, NUMBER_LINK),
            new Column("party", "Who", "w.name", TEXT),
            new Column("quantity", "Quantity", "nullif(n.quantity, 0)", QUANTITY, NUMBER_LINK),
            new Column("value", "Value", "n.value", MONEY, NUMBER_LINK),
            new Column(
                "cause",
                "Put right by",
                "if(c.id <> p.id, c.number, '')",
                TEXT,
                "/papers/{cause_id}")),
        "n.id",
        "-date",
        "Nothing has moved yet.");
  }

  public static Listing journal() {
    return new Listing(
        "Journal",
        """
        journal_line l join journal j on j.id = l.journal_id join paper p on p.id = j.paper_id
        join account a on a.id = l.account_id
        left join item i on i.id = l.item_id left join party w on w.id = l.party_id
        where true""",
        Map.of(),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("account_id", "", "a.id", HIDDEN),
            new Column("date", "Date", "l.date", DATE),
            new Column("number", "Paper", "p.number", TEXT, NUMBER_LINK),
            new Column(
                "account",
                "Account",
                "concat(a.code, ' ', a.name)",
                TEXT,
                "/prove/account/{account_id}"),
            new Column("item", "Item", "i.name", TEXT),
            new Column("party", "Who", "w.name", TEXT),
            new Column("debit", "Debit", "if(l.amount > 0, l.amount, null)", MONEY, NUMBER_LINK),
            new Column("credit", "Credit", "if(l.amount < 0, -l.amount, null)", MONEY, NUMBER_LINK),
            new Column("memo", "Note", "l.memo", TEXT)),
        "l.id",
        "-date",
        "Nothing has been posted.");
  }

  /**
   * Sums up to the end of a day: whole years before, months of the year before, the month's days.
   */
  private static final String UP_TO =
      """
      select item_id, quantity, value from item_year where year < :year
      union all
      select item_id, quantity, value from item_month where month >= :january and month < :month
      union all
      select item_id, quantity, value from cost_entry where posting_date between :month and :date""";

  /** The same, as what is there now less all that came after that day. */
  private static final String BACK_FROM_NOW =
      """
      select item_id, on_hand as quantity, worth as value from cost_pool
      union all
      select item_id, -quantity, -value from item_year where year > :year
      union all
      select item_id, -quantity, -value from item_month
      where month > :month and month <= :december
      union all
      select item_id, -quantity, -value from cost_entry
      where posting_date > :date and posting_date <= :end""";

  /**
   * What each item was worth at the end of a day.
   *
   * @param recent whether the day is nearer to now than to the start of the books
   */
  public static Listing valuation(LocalDate date, boolean recent) {
    LocalDate month = date.withDayOfMonth(1);
    return new Listing(
        "Valuation",
        // items in the order of their codes first, so that a page needs no sorting of them all
        "item i force index for order by (code) straight_join (select u.item_id,"
            + " sum(u.quantity) as quantity, sum(u.value) as value from ("
            + (recent ? BACK_FROM_NOW : UP_TO)
            + """
            ) u group by u.item_id) t on t.item_id = i.id
            straight_join item_group g on g.id = i.group_id
            where (t.quantity <> 0 or t.value <> 0)""",
        Map.of(
            "year", date.getYear(),
            "january", date.withDayOfYear(1),
            "december", LocalDate.of(date.getYear(), 12, 1),
            "month", month,
            "end", month.plusMonths(1).minusDays(1),
            "date", date),
        List.of(
            new Column("id", "", "i.id", HIDDEN),
            new Column("code", "Code", "i.code", TEXT, "/goods/item/{id}"),
            new Column("name", "Item", "i.name", TEXT, "/goods/item/{id}"),
            new Column("group", "Group", "g.name", TEXT),
            new Column("quantity", "Quantity", "t.quantity", QUANTITY, "/goods/item/{id}"),
            new Column("value", "Value", "t.value", MONEY, "/goods/item/{id}")),
        "i.id",
        "code",
        "Nothing was on hand.");
  }

  private static final String REALISABLE =
      "round(p.price * (1 - :percent / 100) * :minor * h.on_hand / 1000000)";
  private static final String WRITE_DOWN = "least(" + REALISABLE + " - h.worth, h.written_down)";

  /**
   * Items whose worth is not what they would fetch: to be written down, or back up to cost at most.
   *
   * @param percent cost to sell, of the price in the first list
   */
  public static Listing writeDowns(BigDecimal percent, Coin coin) {
    return new Listing(
        "Write-downs to propose",
        """
        item i join cost_pool h on h.item_id = i.id
        join item_price p on p.item_id = i.id and p.list_id = (select min(id) from price_list)
          and\s"""
            + Prices.TODAY
            + " where h.on_hand > 0 and "
            + WRITE_DOWN
            + " <> 0",
        Map.of("percent", percent, "minor", BigDecimal.TEN.pow(coin.digits())),
        List.of(
            new Column("id", "", "i.id", HIDDEN),
            new Column("code", "Code", "i.code", TEXT, "/goods/item/{id}"),
            new Column("name", "Item", "i.name", TEXT, "/goods/item/{id}"),
            new Column("on_hand", "On hand", "h.on_hand", QUANTITY),
            new Column("worth", "Stands at", "h.worth", MONEY, "/goods/item/{id}"),
            new Column("price", "Sells at", "cast(p.price as decimal(18,2))", NUMBER),
            new Column("fetches", "Would fetch", REALISABLE, MONEY),
            new Column("difference", "Difference", WRITE_DOWN, MONEY),
            new Column("under", "Under cost now", "nullif(h.written_down, 0)", MONEY)),
        "i.id",
        "code",
        "Nothing stands above what it would fetch.");
  }

  public static Listing placeStock() {
    return new Listing(
        "What is where",
        """
        place_stock s join item i on i.id = s.item_id join place p on p.id = s.place_id
        where s.quantity <> 0""",
        Map.of(),
        List.of(
            new Column("id", "", "i.id", HIDDEN),
            new Column("place", "Place", "p.name", TEXT),
            new Column("code", "Code", "i.code", TEXT, "/goods/item/{id}"),
            new Column("name", "Item", "i.name", TEXT, "/goods/item/{id}"),
            new Column("shelf", "Shelf", "i.shelf", TEXT),
            new Column("quantity", "Quantity", "s.quantity", QUANTITY, "/goods/item/{id}")),
        "concat(lpad(i.id, 12, '0'), '.', p.id)",
        "place",
        "Nothing is on hand anywhere.");
  }

  public static Listing reorder() {
    return new Listing(
        "Under reorder point",
        """
        item i left join cost_pool h on h.item_id = i.id
        where i.active and i.reorder_point is not null
          and coalesce(h.on_hand, 0) <= i.reorder_point""",
        Map.of(),
        List.of(
            new Column("id", "", "i.id", HIDDEN),
            new Column("code", "Code", "i.code", TEXT, "/goods/item/{id}"),
            new Column("name", "Item", "i.name", TEXT, "/goods/item/{id}"),
            new Column(
                "on_hand", "On hand", "coalesce(h.on_hand, 0)", QUANTITY, "/goods/item/{id}"),
            new Column("point", "Reorder point", "i.reorder_point", QUANTITY),
            new Column("quantity", "Order quantity", "i.reorder_quantity", QUANTITY),
            new Column("supplier", "Usual supplier", "i.supplier", TEXT)),
        "i.id",
        "code",
        "No item is at or under its reorder point.");
  }

  /** What suppliers or customers have open. */
  public static Listing open(String partyKind) {
    return new Listing(
        partyKind.equals("SUPPLIER") ? "Owed to suppliers" : "Owed by customers",
        """
        open_item o join party w on w.id = o.party_id join paper p on p.id = o.paper_id
        where o.open <> 0 and w.kind = :kind""",
        Map.of("kind", partyKind),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("party", "Who", "w.name", TEXT),
            new Column("number", "Number", "o.number", TEXT, NUMBER_LINK),
            new Column("date", "Date", "o.date", DATE),
            new Column("due", "Due", "o.due", DATE),
            new Column(
                "amount", "Amount", partyKind.equals("SUPPLIER") ? "-o.amount" : "o.amount", MONEY),
            new Column(
                "open",
                "Still open",
                partyKind.equals("SUPPLIER") ? "-o.open" : "o.open",
                MONEY,
                NUMBER_LINK)),
        "o.id",
        "due",
        "Nothing is open.");
  }

  /** Outs that no goods were there for; what comes next covers them, oldest first. */
  public static Listing uncovered() {
    return new Listing(
        "Sold short",
        """
        uncovered_out u join cost_event e on e.id = u.event_id join paper p on p.id = e.paper_id
        join item i on i.id = u.item_id left join party w on w.id = p.party_id where true""",
        Map.of(),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("item_id", "", "i.id", HIDDEN),
            new Column("date", "Date", "e.date", DATE),
            new Column("number", "Paper", "p.number", TEXT, NUMBER_LINK),
            new Column("party", "Who", "w.name", TEXT),
            new Column("code", "Code", "i.code", TEXT, "/goods/item/{item_id}"),
            new Column("name", "Item", "i.name", TEXT, "/goods/item/{item_id}"),
            new Column("quantity", "Not there yet", "u.quantity", QUANTITY),
            new Column("value", "Provisional cost", "u.value", MONEY, NUMBER_LINK),
            new Column("supplier", "Usual supplier", "i.supplier", TEXT)),
        "u.event_id",
        "date",
        "Nothing is sold that has not come.");
  }

  public static Listing audit() {
    return new Listing(
        "Audit trail",
        "audit a left join paper p on a.subject = 'paper' and p.id = a.subject_id where true",
        Map.of(),
        List.of(
            new Column("paper", "", "p.id", HIDDEN),
            new Column("at", "When", "a.at", TIME),
            new Column("login", "Who", "a.login", TEXT),
            new Column("subject", "What", "a.subject", TEXT),
            new Column("number", "Paper", "p.number", TEXT, "/papers/{paper}"),
            new Column("what", "Done", "a.what", TEXT),
            new Column(
                "note", "Note", "if(a.subject = 'item', '', left(a.after_text, 120))", TEXT)),
        "a.id",
        "-at",
        "Nothing has been done yet.");
  }
}
