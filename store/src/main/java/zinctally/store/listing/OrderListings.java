package zinctally.store.listing;

import static zinctally.store.listing.Listing.Type.DATE;
import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.MONEY;
import static zinctally.store.listing.Listing.Type.NUMBER;
import static zinctally.store.listing.Listing.Type.PRICE;
import static zinctally.store.listing.Listing.Type.QUANTITY;
import static zinctally.store.listing.Listing.Type.TEXT;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import zinctally.core.number.Coin;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.store.listing.Listing.Column;
import zinctally.store.sql.Here;
import zinctally.store.sql.Waiting;

/** Orders, and what ought to be ordered. */
public final class OrderListings {
  private OrderListings() {}

  /**
   * An order's state in words, over {@code paper p}, {@code paper_kind k}, {@code order_head d},
   * {@code book b}.
   */
  public static final String ORDER_STATE =
      """
      case when p.state = 'VOID' then 'void'
        when k.approved and b.approver <> '' and d.approved_at is null then 'waits for approval'
        when d.ended_at is not null then 'cancelled'
        when not exists (select 1 from awaited a where a.paper_id = p.id
                         and a.what in ('ORDERED_GOODS', 'PROMISED_GOODS', 'TO_BE_MADE', 'TO_BE_CONSIGNED')
                         and a.open_quantity > 0)
          and not exists (select 1 from awaited a where a.paper_id = p.id
                          and a.what in ('ORDERED_BILL', 'PROMISED_INVOICE')
                          and a.open_quantity > 0
                          and not exists (select 1 from awaited g where g.paper_id = p.id
                                          and g.line = a.line
                                          and g.what in ('ORDERED_GOODS', 'PROMISED_GOODS')))
          then 'complete'
        when exists (select 1 from awaited a where a.paper_id = p.id
                     and a.what in ('ORDERED_GOODS', 'PROMISED_GOODS', 'TO_BE_MADE', 'TO_BE_CONSIGNED')
                     and a.open_quantity < a.quantity)
          then case k.side when 'CUSTOMER' then 'part delivered' when 'SUPPLIER' then 'part received'
            else 'in hand' end
        else 'open' end""";

  /** Work orders, how much of each is made, and how far they are. */
  public static Listing workOrders() {
    return new Listing(
        "Work orders",
        """
        awaited t straight_join paper p on p.id = t.paper_id straight_join paper_kind k on k.kind = p.kind
        join order_head d on d.paper_id = p.id join book b on b.id = 1
        join item i on i.id = t.item_id left join place l on l.id = p.place_id
        where t.what = 'TO_BE_MADE'""",
        Map.of(),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("item_id", "", "i.id", HIDDEN),
            new Column("date", "Date", "p.date", DATE),
            new Column("number", "Number", "p.number", TEXT, Papers.PAPER),
            new Column("code", "Code", "i.code", TEXT, Papers.ITEM),
            new Column("item", "What is to be made", "i.name", TEXT, Papers.ITEM),
            new Column("quantity", "In all", "t.quantity", QUANTITY),
            new Column("open", "Still to make", "greatest(0, t.open_quantity)", QUANTITY),
            new Column("place", "At", "l.name", TEXT),
            new Column("expected", "Wanted by", "d.expected", DATE),
            new Column("state", "State", ORDER_STATE, TEXT),
            new Column("who", "Written by", "p.posted_by", TEXT)),
        "t.id",
        "-date",
        "No work order yet. Begin one with a recipe's Order it, or write one.");
  }

  /** Purchase orders or sales orders with their states. */
  public static Listing orders(PaperKind kind) {
    boolean buying = kind.isWith(Party.Kind.SUPPLIER);
    return new Listing(
        buying ? "Purchase orders" : "Sales orders",
        """
        paper p straight_join paper_kind k on k.kind = p.kind
        join order_head d on d.paper_id = p.id join book b on b.id = 1
        left join party w on w.id = p.party_id left join place l on l.id = p.place_id
        where p.kind = :kind""",
        Map.of("kind", kind.name()),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("date", "Date", "p.date", DATE),
            new Column("number", "Number", "p.number", TEXT, Papers.PAPER),
            new Column(
                "party",
                buying ? "Supplier" : "Customer",
                "w.name",
                TEXT,
                buying ? "/buy/supplier/{party_id}" : "/sell/customer/{party_id}"),
            new Column("party_id", "", "w.id", HIDDEN),
            Papers.what(),
            new Column("expected", "Expected", "d.expected", DATE),
            new Column("total", "Total", "p.total", MONEY, Papers.PAPER),
            new Column("state", "State", ORDER_STATE, TEXT),
            new Column("who", "Written by", "p.posted_by", TEXT)),
        "p.id",
        "-date",
        buying
            ? "No order yet. Press n, then o, to write the first; What to order drafts them."
            : "No order yet. Press n, then s, to write the first.");
  }

  /** Minor units for millionths, as a price for one base unit. */
  static final String EACH = "cast(s.net * 1000000 / s.quantity / :minor as decimal(18,4))";

  static BigDecimal minor(Coin coin) {
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

      left join (select s.item_id, sum(s.quantity) as quantity from place_stock s
         join place p on p.id = s.place_id and not p.for_sale and p.owner_id is null
         group by s.item_id) aside
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
            new Column("code", "Code", "i.code", TEXT, Papers.ITEM),
            new Column("name", "Item", "i.name", TEXT, Papers.ITEM),
            new Column("on_hand", "On hand", "coalesce(h.on_hand, 0)", QUANTITY, Papers.ITEM),
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
            new Column("each", "Last price", EACH, PRICE)),
        "i.id",
        "code",
        "Nothing runs short that is not on order.");
  }

  /** What experience suggests of when to order and how much, beside what is set. */
  public static Listing fromExperience() {
    return new Listing(
        "Reorder from experience",
        "reorder_advice r join item i on i.id = r.item_id where true",
        Map.of(),
        List.of(
            new Column("id", "", "i.id", HIDDEN),
            new Column("micros_point", "", "r.point", HIDDEN),
            new Column("micros_quantity", "", "r.quantity", HIDDEN),
            new Column("code", "Code", "i.code", TEXT, "/goods/item/{id}"),
            new Column("item", "Item", "i.name", TEXT, "/goods/item/{id}"),
            new Column("weekly", "Sold a week", "r.weekly", NUMBER),
            new Column("lead", "Days to come", "r.lead_days", NUMBER),
            new Column(
                "cover",
                "Days of cover",
                "floor(greatest(" + Here.FREE + ", 0) / 1000000 / nullif(r.weekly, 0) * 7)",
                NUMBER),
            new Column("now", "Reorder point", "i.reorder_point", QUANTITY),
            new Column("point", "Suggested point", "r.point", QUANTITY),
            new Column("now_quantity", "Reorder quantity", "i.reorder_quantity", QUANTITY),
            new Column("quantity", "Suggested quantity", "r.quantity", QUANTITY),
            new Column("reason", "Why", "r.reason", TEXT)),
        "i.id",
        "code",
        "Nothing has been sold in enough weeks yet: four of the last twenty-six are needed.");
  }
}
