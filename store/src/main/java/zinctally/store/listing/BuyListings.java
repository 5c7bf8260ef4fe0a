package zinctally.store.listing;

import static zinctally.store.listing.Listing.Type.DATE;
import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.MONEY;
import static zinctally.store.listing.Listing.Type.NUMBER;
import static zinctally.store.listing.Listing.Type.QUANTITY;
import static zinctally.store.listing.Listing.Type.TEXT;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import zinctally.core.number.Coin;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.flow.Awaits;
import zinctally.store.listing.Listing.Column;
import zinctally.store.sql.Waiting;

/** The lists of buying. */
public final class BuyListings {
  private BuyListings() {}

  private static final String PAPER = "/papers/{id}";
  private static final String ITEM = "/goods/item/{item_id}";

  /** An order's state in words, over {@code paper p}, {@code order_head d}, {@code book b}. */
  public static final String ORDER_STATE =
      """
      case when p.state = 'VOID' then 'void'
        when p.kind = 'PURCHASE_ORDER' and b.approver <> '' and d.approved_at is null then 'waits for approval'
        when d.ended_at is not null then 'cancelled'
        when not exists (select 1 from awaited a where a.paper_id = p.id
                         and a.what in ('ORDERED_GOODS', 'PROMISED_GOODS')
                         and a.open_quantity > 0)
          and not exists (select 1 from awaited a where a.paper_id = p.id
                          and a.what in ('ORDERED_BILL', 'PROMISED_INVOICE')
                          and a.open_quantity > 0
                          and not exists (select 1 from awaited g where g.paper_id = p.id
                                          and g.line = a.line
                                          and g.what in ('ORDERED_GOODS', 'PROMISED_GOODS')))
          then 'complete'
        when exists (select 1 from awaited a where a.paper_id = p.id
                     and a.what in ('ORDERED_GOODS', 'PROMISED_GOODS')
                     and a.open_quantity < a.quantity)
          then if(p.kind = 'SALES_ORDER', 'part delivered', 'part received')
        else 'open' end""";

  static final String WHAT =
      """
      coalesce((select group_concat(distinct i.name order by n.line separator ', ')
        from paper_line n join item i on i.id = n.item_id
        where n.paper_id = p.id and n.version = p.version and n.line < 3), '')""";

  /** Purchase orders or sales orders with their states. */
  public static Listing orders(PaperKind kind) {
    boolean buying = kind == PaperKind.PURCHASE_ORDER;
    return new Listing(
        buying ? "Purchase orders" : "Sales orders",
        """
        paper p join order_head d on d.paper_id = p.id join book b on b.id = 1
        left join party w on w.id = p.party_id left join place l on l.id = p.place_id
        where p.kind = :kind""",
        Map.of("kind", kind.name()),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("date", "Date", "p.date", DATE),
            new Column("number", "Number", "p.number", TEXT, PAPER),
            new Column(
                "party",
                buying ? "Supplier" : "Customer",
                "w.name",
                TEXT,
                buying ? "/buy/supplier/{party_id}" : "/sell/customer/{party_id}"),
            new Column("party_id", "", "w.id", HIDDEN),
            new Column("what", "What", WHAT, TEXT),
            new Column("expected", "Expected", "d.expected", DATE),
            new Column("total", "Total", "p.total", MONEY, PAPER),
            new Column("state", "State", ORDER_STATE, TEXT),
            new Column("who", "Written by", "p.posted_by", TEXT)),
        "p.id",
        "-date",
        buying
            ? "No order yet. Press n, then o, to write the first; What to order drafts them."
            : "No order yet. Press n, then s, to write the first.");
  }

  public static Listing receipts() {
    return new Listing(
        "Receipts",
        """
        paper p left join party w on w.id = p.party_id left join place l on l.id = p.place_id
        where p.kind = 'RECEIPT'""",
        Map.of(),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("party_id", "", "w.id", HIDDEN),
            new Column("date", "Date", "p.date", DATE),
            new Column("number", "Number", "p.number", TEXT, PAPER),
            new Column("party", "Supplier", "w.name", TEXT, "/buy/supplier/{party_id}"),
            new Column("reference", "Delivery note", "p.reference", TEXT),
            new Column("what", "What", WHAT, TEXT),
            new Column("place", "Into", "l.name", TEXT),
            new Column("stock", "Came in at", "p.total", MONEY, PAPER),
            new Column(
                "open",
                "Not billed",
                """
                (select nullif(sum(a.open_value), 0) from awaited a
                 where a.paper_id = p.id and a.what = 'RECEIVED_BILL')""",
                MONEY,
                PAPER),
            new Column("state", "State", "if(p.state = 'VOID', 'void', '')", TEXT)),
        "p.id",
        "-date",
        "Nothing has come without its bill yet. Press n, then r, when goods come.");
  }

  /** Suppliers with what is owed to them now. */
  public static Listing suppliers() {
    return new Listing(
        "Suppliers",
        """
        party w left join account a on a.id = w.account_id
        left join (select party_id, -sum(open) as owed from open_item where open < 0 or open > 0
                   group by party_id) o on o.party_id = w.id
        where w.kind = 'SUPPLIER' and w.merged_into is null""",
        Map.of(),
        List.of(
            new Column("id", "", "w.id", HIDDEN),
            new Column("name", "Supplier", "w.name", TEXT, "/buy/supplier/{id}"),
            new Column("terms", "Terms, days", "w.terms_days", NUMBER),
            new Column("account", "Usual account", "a.name", TEXT),
            new Column("email", "E-mail", "w.email", TEXT),
            new Column("phone", "Telephone", "w.phone", TEXT),
            new Column("owed", "Owed", "o.owed", MONEY, "/buy/supplier/{id}"),
            new Column("state", "State", "if(w.active, '', 'off')", TEXT)),
        "w.id",
        "name",
        "No supplier yet. Writing a bill makes one; a name is enough.");
  }

  /** All papers of a party. */
  public static Listing ofParty(long party) {
    return new Listing(
        "Papers",
        "paper p where p.party_id = :party",
        Map.of("party", party),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("date", "Date", "p.date", DATE),
            new Column("number", "Number", "p.number", TEXT, PAPER),
            new Column("reference", "Their number", "p.reference", TEXT),
            new Column("what", "What", WHAT, TEXT),
            new Column("due", "Due", "p.due", DATE),
            new Column("total", "Total", Listings.SIGNED_TOTAL, MONEY, PAPER),
            new Column(
                "open",
                "Still open",
                "(select nullif(sum(abs(o.open)), 0) from open_item o where o.paper_id = p.id)",
                MONEY),
            new Column("state", "State", Listings.STATE, TEXT)),
        "p.id",
        "-date",
        "No paper yet.");
  }

  /** What a supplier calls our items, and what they cost last. */
  public static Listing supplierItems(long party, Coin coin) {
    return new Listing(
        "Items",
        """
        supplier_item s join item i on i.id = s.item_id left join cost_pool h on h.item_id = i.id
        left join paper p on p.id = s.paper_id where s.party_id = :party""",
        Map.of("party", party, "minor", minor(coin)),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("item_id", "", "i.id", HIDDEN),
            new Column("code", "Code", "i.code", TEXT, ITEM),
            new Column("name", "Item", "i.name", TEXT, ITEM),
            new Column("theirs", "Their code", "s.code", TEXT),
            new Column("each", "Last price, each", EACH, NUMBER),
            new Column("date", "On", "s.date", DATE),
            new Column("number", "Bill", "p.number", TEXT, PAPER),
            new Column("on_hand", "On hand", "h.on_hand", QUANTITY)),
        "i.id",
        "code",
        "Nothing is known of what comes from here yet; bills teach it.");
  }

  /** Minor units for millionths, as a price for one base unit. */
  private static final String EACH = "cast(s.net * 1000000 / s.quantity / :minor as decimal(18,4))";

  private static BigDecimal minor(Coin coin) {
    return BigDecimal.TEN.pow(coin.digits());
  }

  private static String sums(String which, String name) {
    return " left join (select a.item_id, sum(a.open_quantity) as quantity from awaited a where "
        + which
        + " group by a.item_id) "
        + name
        + " on "
        + name
        + ".item_id = i.id";
  }

  private static final String ASIDE =
      """
      \sleft join (select s.item_id, sum(s.quantity) as quantity from place_stock s
         join place p on p.id = s.place_id and not p.for_sale group by s.item_id) aside
         on aside.item_id = i.id""";

  private static final String COMING = "coalesce(coming.quantity, 0)";
  private static final String GIVEN = "coalesce(given.quantity, 0)";
  private static final String FREE =
      "(coalesce(h.on_hand, 0) - coalesce(aside.quantity, 0) - " + GIVEN + ")";

  private static final String PACK = "greatest(i.pack_size, 1)";

  private static final String SUGGESTED =
      "ceil(greatest(coalesce(i.reorder_quantity, 0), i.reorder_point - "
          + FREE
          + " - "
          + COMING
          + ", 1) / "
          + PACK
          + ") * "
          + PACK;

  /** Items that run short, beyond what is on order already. */
  public static Listing toOrder(Coin coin) {
    return new Listing(
        "What to order",
        """
        item i left join cost_pool h on h.item_id = i.id
        left join party w on w.kind = 'SUPPLIER' and w.name = i.supplier
        left join supplier_item s on s.party_id = w.id and s.item_id = i.id"""
            + sums(Waiting.ON_ORDER, "coming")
            + sums(Waiting.PROMISED, "given")
            + ASIDE
            + " where i.active and i.kind = 'STOCKED' and i.reorder_point is not null and "
            + FREE
            + " + "
            + COMING
            + " <= i.reorder_point",
        Map.of("minor", minor(coin)),
        List.of(
            new Column("id", "", "i.id", HIDDEN),
            new Column("item_id", "", "i.id", HIDDEN),
            new Column("party_id", "", "w.id", HIDDEN),
            new Column("code", "Code", "i.code", TEXT, ITEM),
            new Column("name", "Item", "i.name", TEXT, ITEM),
            new Column("on_hand", "On hand", "coalesce(h.on_hand, 0)", QUANTITY, ITEM),
            new Column("promised", "Promised", GIVEN, QUANTITY, "/sell/orders?filter={name}"),
            new Column("on_order", "On order", COMING, QUANTITY, "/buy/orders?filter={name}"),
            new Column("free", "Free", FREE, QUANTITY),
            new Column("point", "Reorder point", "i.reorder_point", QUANTITY),
            new Column("suggested", "Suggested", SUGGESTED, QUANTITY),
            new Column(
                "pack",
                "In packs of",
                "if(i.pack_name = '', '', concat(trim(trailing '.' from trim(trailing '0' from"
                    + " cast(i.pack_size / 1000000 as decimal(18,6)))), ' (', i.pack_name, ')'))",
                TEXT),
            new Column(
                "supplier", "Usual supplier", "i.supplier", TEXT, "/buy/supplier/{party_id}"),
            new Column("each", "Last price", EACH, NUMBER)),
        "i.id",
        "code",
        "Nothing runs short that is not on order.");
  }

  /** Returns to suppliers, line by line, with reasons. */
  public static Listing returned() {
    return new Listing(
        "Returns by reason",
        """
        paper p join paper_line l on l.paper_id = p.id and l.version = p.version
        join party w on w.id = p.party_id join item i on i.id = l.item_id
        left join return_reason r on r.id = l.return_reason_id
        left join paper o on o.id = l.of_paper
        where p.kind = 'SUPPLIER_RETURN' and p.state = 'POSTED'""",
        Map.of(),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("item_id", "", "i.id", HIDDEN),
            new Column("of_id", "", "o.id", HIDDEN),
            new Column("party_id", "", "w.id", HIDDEN),
            new Column("reason", "Reason", "coalesce(r.name, 'none given')", TEXT),
            new Column("party", "Supplier", "w.name", TEXT, "/buy/supplier/{party_id}"),
            new Column("date", "Date", "p.date", DATE),
            new Column("number", "Return", "p.number", TEXT, PAPER),
            new Column("item", "Item", "i.name", TEXT, ITEM),
            new Column("quantity", "Quantity", "l.quantity", QUANTITY),
            new Column("net", "Credit without tax", "l.net", MONEY, PAPER),
            new Column("of", "Came with", "o.number", TEXT, "/papers/{of_id}")),
        "concat(lpad(p.id, 12, '0'), '.', lpad(l.line, 8, '0'))",
        "reason",
        "Nothing has gone back yet.");
  }

  /** The same, summed by reason and supplier. */
  public static Listing returnSums() {
    return new Listing(
        "Returns by reason and supplier",
        """
        (select coalesce(r.name, 'none given') as reason, w.name as party, w.id as party_id,
           count(*) as n, sum(l.net) as net, max(p.date) as latest
         from paper p join paper_line l on l.paper_id = p.id and l.version = p.version
         join party w on w.id = p.party_id
         left join return_reason r on r.id = l.return_reason_id
         where p.kind = 'SUPPLIER_RETURN' and p.state = 'POSTED'
         group by coalesce(r.name, 'none given'), w.id) t where true""",
        Map.of(),
        List.of(
            new Column("party_id", "", "t.party_id", HIDDEN),
            new Column("reason", "Reason", "t.reason", TEXT, "/buy/returns/lines?filter={reason}"),
            new Column("party", "Supplier", "t.party", TEXT, "/buy/supplier/{party_id}"),
            new Column("n", "Lines", "t.n", NUMBER),
            new Column("latest", "Latest", "t.latest", DATE),
            new Column("net", "Credit without tax", "t.net", MONEY)),
        "concat(t.reason, '.', t.party_id)",
        "reason",
        "Nothing has gone back yet.");
  }

  /** Lines that waited for a bill or invoice, or for their goods, at the end of a day. */
  public static Listing awaited(Awaits what, LocalDate date) {
    boolean buying = what == Awaits.RECEIVED_BILL || what == Awaits.BILLED_GOODS;
    String party = buying ? "/buy/supplier/{party_id}" : "/sell/customer/{party_id}";
    return new Listing(
        what.role().words(),
        """
        (select a.id, a.item_id, a.party_id, a.paper_id, a.order_paper,
           a.quantity - coalesce(sum(f.quantity), 0) as quantity,
           a.value - coalesce(sum(f.value), 0) as value
         from (select id from awaited where what = :what and open_quantity > 0
               union select awaited_id from fulfilment where date > :date) w
         join awaited a on a.id = w.id and a.what = :what
         join paper p on p.id = a.paper_id and p.date <= :date
         left join fulfilment f on f.awaited_id = a.id and f.date <= :date
         group by a.id having quantity <> 0 or value <> 0
         union all
         select a.id, a.item_id, a.party_id, a.paper_id, a.order_paper, -sum(f.quantity),
           -sum(f.value)
         from paper p straight_join awaited a on a.paper_id = p.id and a.what = :what
         straight_join fulfilment f on f.awaited_id = a.id and f.date <= :date
         where p.date > :date group by a.id) t
        join paper p on p.id = t.paper_id join party w on w.id = t.party_id
        join item i on i.id = t.item_id left join paper o on o.id = nullif(t.order_paper, 0)
        where true""",
        Map.of("what", what.name(), "date", date),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("item_id", "", "i.id", HIDDEN),
            new Column("order_id", "", "o.id", HIDDEN),
            new Column("party_id", "", "w.id", HIDDEN),
            new Column("date", "Date", "p.date", DATE),
            new Column("number", "Paper", "p.number", TEXT, PAPER),
            new Column("reference", "Their number", "p.reference", TEXT),
            new Column("party", buying ? "Supplier" : "Customer", "w.name", TEXT, party),
            new Column("order", "Order", "o.number", TEXT, "/papers/{order_id}"),
            new Column("item", "Item", "i.name", TEXT, ITEM),
            new Column("quantity", "Quantity", "t.quantity", QUANTITY),
            new Column("value", "Value", "t.value", MONEY, PAPER)),
        "t.id",
        "date",
        switch (what) {
          case RECEIVED_BILL -> "Every receipt is billed.";
          case BILLED_GOODS -> "Everything billed has come.";
          case SENT_INVOICE -> "Every delivery is invoiced.";
          default -> "Everything invoiced has gone.";
        });
  }

  /** Lots and serial numbers, and where they are. */
  public static Listing lots() {
    return new Listing(
        "Lots and serial numbers",
        "lot l join item i on i.id = l.item_id where true",
        Map.of(),
        List.of(
            new Column("id", "", "l.id", HIDDEN),
            new Column("item_id", "", "i.id", HIDDEN),
            new Column("code", "Number", "l.code", TEXT, "/goods/lot/{id}"),
            new Column("item", "Item", "i.name", TEXT, ITEM),
            new Column("kind", "Kind", "if(i.tracking = 'SERIAL', 'serial', 'lot')", TEXT),
            new Column("expiry", "Expires", "l.expiry", DATE),
            new Column("on_hand", "On hand", "l.on_hand", QUANTITY, "/goods/lot/{id}"),
            new Column(
                "where",
                "Where",
                """
                coalesce((select group_concat(p.name order by p.name separator ', ')
                  from lot_stock s join place p on p.id = s.place_id
                  where s.lot_id = l.id and s.quantity > 0), '')""",
                TEXT)),
        "l.id",
        "code",
        "Nothing is told apart yet. An item's form says whether its goods are, by lot or serial number.");
  }

  /** What repeats. */
  public static Listing repeating() {
    return new Listing(
        "Repeating",
        "repeating r where true",
        Map.of(),
        List.of(
            new Column("id", "", "r.id", HIDDEN),
            new Column("title", "What", "r.title", TEXT, "/buy/repeating/{id}"),
            new Column("every", "Every", "lower(r.every)", TEXT),
            new Column("start", "From", "r.start", DATE),
            new Column("next", "Next", "coalesce(r.next, '')", TEXT),
            new Column("until", "Until", "r.until", DATE),
            new Column("times", "Times", "r.times", NUMBER),
            new Column("runs", "So far", "r.runs", NUMBER),
            new Column("state", "State", "if(r.next is null, 'over', '')", TEXT)),
        "r.id",
        "title",
        "Nothing repeats yet. A posted bill or order can be set to repeat.");
  }
}
