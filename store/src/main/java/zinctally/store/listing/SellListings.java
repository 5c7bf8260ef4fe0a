package zinctally.store.listing;

import static zinctally.store.listing.Listing.Type.DATE;
import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.MONEY;
import static zinctally.store.listing.Listing.Type.NUMBER;
import static zinctally.store.listing.Listing.Type.QUANTITY;
import static zinctally.store.listing.Listing.Type.TEXT;

import java.util.List;
import java.util.Map;
import zinctally.core.papers.PaperKind;
import zinctally.store.listing.Listing.Column;
import zinctally.store.sql.Waiting;

/** The lists of selling. */
public final class SellListings {
  private SellListings() {}

  public static Listing deliveries() {
    return new Listing(
        "Deliveries",
        """
        paper p left join party w on w.id = p.party_id left join place l on l.id = p.place_id
        where p.kind = :kind""",
        Map.of("kind", PaperKind.DELIVERY.name()),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("party_id", "", "w.id", HIDDEN),
            new Column("date", "Date", "p.date", DATE),
            new Column("number", "Number", "p.number", TEXT, Papers.PAPER),
            new Column("party", "Customer", "w.name", TEXT, "/sell/customer/{party_id}"),
            new Column("reference", "Their reference", "p.reference", TEXT),
            Papers.what(),
            new Column("place", "Out of", "l.name", TEXT),
            new Column("stock", "Left at cost", "-p.stock_value", MONEY, Papers.PAPER).ofCost(),
            new Column(
                "open",
                "Not invoiced",
                """
                (select nullif(sum(a.open_value), 0) from awaited a
                 where a.paper_id = p.id and a.what = 'SENT_INVOICE')""",
                MONEY,
                Papers.PAPER),
            Papers.state()),
        "p.id",
        "-date",
        "Nothing has gone without its invoice yet. Press n, then d, when goods go.");
  }

  /**
   * Which rows of {@code awaited a} are goods still to go; an order's invoice waits for the same.
   */
  private static final String TO_GO =
      "a.open_quantity > 0 and (a.what = 'PROMISED_GOODS'"
          + " or a.what = 'INVOICED_GOODS' and a.order_paper = 0)";

  /**
   * Lines still to go, and how much of what is at their place is left for each: those wanted first
   * come first.
   */
  private static final String ALLOTTED =
      """
      (select a.id, a.paper_id, a.line, a.item_id, a.party_id, a.open_quantity as open, p.place_id,
         d.expected, coalesce(s.quantity, 0) as here,
         least(a.open_quantity, greatest(0, coalesce(s.quantity, 0) + a.open_quantity
           - sum(a.open_quantity) over (partition by a.item_id, p.place_id
               order by coalesce(d.expected, '9999-12-31'), p.date, a.id
               rows unbounded preceding))) as ready
       from awaited a join paper p on p.id = a.paper_id
       left join order_head d on d.paper_id = p.id
       left join place_stock s on s.item_id = a.item_id and s.place_id = p.place_id
       where\s"""
          + TO_GO
          + ") t join paper p on p.id = t.paper_id join item i on i.id = t.item_id"
          + " join party w on w.id = t.party_id left join place l on l.id = t.place_id";

  /** Lines of orders, and of invoices sent ahead, whose goods are still to go. */
  public static Listing toDeliver() {
    return new Listing(
        "To deliver",
        ALLOTTED + " where true",
        Map.of(),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("item_id", "", "i.id", HIDDEN),
            new Column("party_id", "", "w.id", HIDDEN),
            new Column("expected", "Wanted by", "t.expected", DATE),
            new Column("number", "Paper", "p.number", TEXT, Papers.PAPER),
            new Column("party", "Customer", "w.name", TEXT, "/sell/customer/{party_id}"),
            new Column("code", "Code", "i.code", TEXT, Papers.ITEM),
            new Column("item", "Item", "i.name", TEXT, Papers.ITEM),
            new Column("open", "Still to go", "t.open", QUANTITY, Papers.PAPER),
            new Column("place", "Out of", "l.name", TEXT),
            new Column("ready", "Can go", "t.ready", QUANTITY),
            new Column("coming", "On order", ON_ORDER, QUANTITY, "/buy/orders?filter={item}"),
            new Column("due", "Expected", EXPECTED, DATE),
            new Column(
                "state",
                "State",
                "if(t.ready >= t.open, 'all here', if(t.ready > 0, 'part here', 'short'))",
                TEXT)),
        "t.id",
        "expected",
        "Every order has gone.");
  }

  private static final String ON_ORDER =
      "(select nullif(sum(a.open_quantity), 0) from awaited a where a.item_id = t.item_id and "
          + Waiting.ON_ORDER
          + ")";

  private static final String EXPECTED =
      "(select min(d.expected) from awaited a join order_head d on d.paper_id = a.paper_id"
          + " where a.item_id = t.item_id and a.what = 'ORDERED_GOODS' and a.open_quantity > 0)";

  /** What to take from which shelf for orders that can go; lots that expire first come first. */
  public static Listing picking() {
    return new Listing(
        "Picking list",
        ALLOTTED + " where t.ready > 0",
        Map.of(),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("item_id", "", "i.id", HIDDEN),
            new Column("place", "Place", "l.name", TEXT),
            new Column("shelf", "Shelf", "i.shelf", TEXT),
            new Column("code", "Code", "i.code", TEXT, Papers.ITEM),
            new Column("item", "Item", "i.name", TEXT, Papers.ITEM),
            new Column("ready", "Take", "t.ready", QUANTITY),
            new Column(
                "lots",
                "Lots, earliest first",
                """
                (select group_concat(o.code order by coalesce(o.expiry, '9999-12-31'), o.code
                   separator ', ') from lot o join lot_stock k on k.lot_id = o.id
                 where o.item_id = t.item_id and k.place_id = t.place_id and k.quantity > 0)""",
                TEXT),
            new Column("number", "For", "p.number", TEXT, Papers.PAPER),
            new Column("party", "Customer", "w.name", TEXT),
            new Column("expected", "Wanted by", "t.expected", DATE)),
        "concat(coalesce(l.name, ''), '.', i.shelf, '.', lpad(t.id, 12, '0'))",
        "place",
        "Nothing that is wanted is here.");
  }

  /** Customers with what they owe now. */
  public static Listing customers() {
    return new Listing(
        "Customers",
        """
        party w left join price_list l on l.id = w.price_list_id
        left join tax_rate t on t.id = w.tax_rate_id
        left join (select party_id, sum(open) as owed from open_item where open < 0 or open > 0
                   group by party_id) o on o.party_id = w.id
        where w.kind = 'CUSTOMER' and w.merged_into is null""",
        Map.of(),
        List.of(
            new Column("id", "", "w.id", HIDDEN),
            new Column("name", "Customer", "w.name", TEXT, "/sell/customer/{id}"),
            new Column("terms", "Terms, days", "w.terms_days", NUMBER),
            new Column("list", "Prices", "l.name", TEXT),
            new Column("discount", "Off %", "cast(nullif(w.discount, 0) as decimal(7,2))", NUMBER),
            new Column("tax", "Tax", "t.code", TEXT),
            new Column("phone", "Telephone", "w.phone", TEXT),
            new Column("limit", "May owe", "w.credit_limit", MONEY).apart(),
            new Column("owed", "Owes", "o.owed", MONEY, "/sell/customer/{id}"),
            new Column(
                "state",
                "State",
                "if(not w.active, 'off', if(o.owed > w.credit_limit, 'over the limit', ''))",
                TEXT)),
        "w.id",
        "name",
        "No customer yet. Writing an invoice makes one; a name is enough.");
  }

  /** Reminders, those not sent yet first. */
  public static Listing reminders() {
    return new Listing(
        "Reminders",
        """
        reminder r join party w on w.id = r.party_id
        left join (select party_id, sum(open) as late from open_item
                   where open > 0 and due < current_date group by party_id) o on o.party_id = w.id
        where true""",
        Map.of(),
        List.of(
            new Column("id", "", "r.id", HIDDEN),
            new Column("party_id", "", "w.id", HIDDEN),
            new Column("state", "State", "if(r.sent_at is null, 'draft', 'sent')", TEXT),
            new Column("name", "Customer", "w.name", TEXT, "/sell/reminder/{id}"),
            new Column("late", "Past its date now", "o.late", MONEY, "/sell/customer/{party_id}"),
            new Column(
                "asked",
                "Asked for",
                "(select sum(d.open) from reminder_due d where d.reminder_id = r.id)",
                MONEY),
            new Column("made", "Drafted", "date(r.made_at)", DATE),
            new Column("sent", "Sent", "date(r.sent_at)", DATE),
            new Column("by", "By", "r.made_by", TEXT)),
        "r.id",
        "state",
        "No reminder yet. The button drafts one for each customer who is late.");
  }

  public static Listing invoices() {
    return Papers.list(
        "Invoices",
        "No invoice yet. Press n, then i, to write the first.",
        List.of(
            Papers.customer(),
            Papers.reference("Their order"),
            Papers.what(),
            Papers.net("Without tax"),
            Papers.total("Total"),
            Papers.open("Still open"),
            Papers.due(),
            Papers.state(),
            new Column("seller", "Sold by", "p.seller", TEXT)),
        PaperKind.INVOICE);
  }

  /** What customers brought back, and what they were credited. */
  public static Listing returns() {
    return Papers.list(
        "Returns from customers",
        "Nothing has come back yet.",
        List.of(
            Papers.customer(),
            Papers.what(),
            Papers.reasons(),
            Papers.place("Into"),
            Papers.stock("Came back at", ""),
            Papers.total("Credit"),
            Papers.open("Still open"),
            Papers.state()),
        PaperKind.CUSTOMER_RETURN);
  }

  public static Listing payments() {
    return Papers.list(
        "Payments from customers",
        "No payment yet.",
        List.of(
            Papers.customer(),
            new Column("account", "Into", Papers.MONEY_ACCOUNTS, TEXT),
            new Column("settles", "For", Papers.SETTLES, TEXT),
            Papers.total("Received"),
            Papers.open("Paid ahead"),
            Papers.reference("Note"),
            Papers.state(),
            Papers.postedBy()),
        PaperKind.CUSTOMER_PAYMENT);
  }
}
