package zinctally.store.listing;

import static zinctally.store.listing.Listing.Type.DATE;
import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.MONEY;
import static zinctally.store.listing.Listing.Type.NUMBER;
import static zinctally.store.listing.Listing.Type.PRICE;
import static zinctally.store.listing.Listing.Type.QUANTITY;
import static zinctally.store.listing.Listing.Type.TEXT;

import java.util.List;
import java.util.Map;
import zinctally.core.number.Coin;
import zinctally.core.papers.PaperKind;
import zinctally.store.listing.Listing.Column;

/** The lists of buying. */
public final class BuyListings {
  private BuyListings() {}

  public static Listing receipts() {
    return new Listing(
        "Receipts",
        """
        paper p left join party w on w.id = p.party_id left join place l on l.id = p.place_id
        where p.kind = :kind""",
        Map.of("kind", PaperKind.RECEIPT.name()),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("party_id", "", "w.id", HIDDEN),
            new Column("date", "Date", "p.date", DATE),
            new Column("number", "Number", "p.number", TEXT, Papers.PAPER),
            new Column("party", "Supplier", "w.name", TEXT, "/buy/supplier/{party_id}"),
            new Column("reference", "Delivery note", "p.reference", TEXT),
            Papers.what(),
            new Column("place", "Into", "l.name", TEXT),
            new Column("stock", "Came in at", "p.total", MONEY, Papers.PAPER),
            new Column(
                "open",
                "Not billed",
                """
                (select nullif(sum(a.open_value), 0) from awaited a
                 where a.paper_id = p.id and a.what = 'RECEIVED_BILL')""",
                MONEY,
                Papers.PAPER),
            Papers.state()),
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

  /** What a supplier calls our items, and what they cost last. */
  public static Listing supplierItems(long party, Coin coin) {
    return new Listing(
        "Items",
        """
        supplier_item s join item i on i.id = s.item_id left join cost_pool h on h.item_id = i.id
        left join paper p on p.id = s.paper_id where s.party_id = :party""",
        Map.of("party", party, "minor", OrderListings.minor(coin)),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("item_id", "", "i.id", HIDDEN),
            new Column("code", "Code", "i.code", TEXT, Papers.ITEM),
            new Column("name", "Item", "i.name", TEXT, Papers.ITEM),
            new Column("theirs", "Their code", "s.code", TEXT),
            new Column("each", "Last price, each", OrderListings.EACH, PRICE),
            new Column("date", "On", "s.date", DATE),
            new Column("number", "Bill", "p.number", TEXT, Papers.PAPER),
            new Column("on_hand", "On hand", "h.on_hand", QUANTITY)),
        "i.id",
        "code",
        "Nothing is known of what comes from here yet; bills teach it.");
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
        where p.kind = :kind and p.state = 'POSTED'""",
        Map.of("kind", PaperKind.SUPPLIER_RETURN.name()),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("item_id", "", "i.id", HIDDEN),
            new Column("of_id", "", "o.id", HIDDEN),
            new Column("party_id", "", "w.id", HIDDEN),
            new Column("reason", "Reason", "coalesce(r.name, 'none given')", TEXT),
            new Column("party", "Supplier", "w.name", TEXT, "/buy/supplier/{party_id}"),
            new Column("date", "Date", "p.date", DATE),
            new Column("number", "Return", "p.number", TEXT, Papers.PAPER),
            new Column("item", "Item", "i.name", TEXT, Papers.ITEM),
            new Column("quantity", "Quantity", "l.quantity", QUANTITY),
            new Column("net", "Credit without tax", "l.net", MONEY, Papers.PAPER),
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
         where p.kind = :kind and p.state = 'POSTED'
         group by coalesce(r.name, 'none given'), w.id) t where true""",
        Map.of("kind", PaperKind.SUPPLIER_RETURN.name()),
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

  public static Listing bills() {
    return Papers.list(
        "Bills",
        "No bill yet. Press n, then b, to write the first.",
        List.of(
            Papers.supplier(),
            Papers.reference("Their number"),
            Papers.what(),
            Papers.net("Without tax"),
            Papers.total("Total"),
            Papers.open("Still open"),
            Papers.due(),
            Papers.state(),
            Papers.postedBy()),
        PaperKind.BILL);
  }

  public static Listing charges() {
    return Papers.list(
        "Charges",
        "No freight, duty or other charge on goods yet.",
        List.of(
            Papers.supplier(),
            Papers.reference("Their number"),
            new Column(
                "on",
                "On goods of",
                """
                (select group_concat(distinct n.wording order by n.wording separator ', ')
                 from paper_line n where n.paper_id = p.id and n.version = p.version)""",
                TEXT),
            Papers.net("Without tax"),
            Papers.stock("Into stock", ""),
            Papers.total("Total"),
            Papers.open("Still open"),
            Papers.due(),
            Papers.state()),
        PaperKind.CHARGE);
  }

  /** What went back to suppliers, and what they credited. */
  public static Listing returns() {
    return Papers.list(
        "Returns and credit notes",
        "Nothing has gone back yet.",
        List.of(
            Papers.supplier(),
            new Column("kind", "Paper", "k.words", TEXT),
            Papers.reference("Their number"),
            Papers.what(),
            Papers.reasons(),
            Papers.stock("Left at cost", "-"),
            // a return and the credit note that answers it are one credit, not two
            Papers.total("Credit").apart(),
            Papers.state()),
        PaperKind.SUPPLIER_RETURN,
        PaperKind.SUPPLIER_CREDIT);
  }

  public static Listing payments() {
    return Papers.list(
        "Payments to suppliers",
        "No payment yet.",
        List.of(
            Papers.supplier(),
            new Column("account", "Out of", Papers.MONEY_ACCOUNTS, TEXT),
            new Column("settles", "For", Papers.SETTLES, TEXT),
            Papers.total("Paid"),
            Papers.open("Paid ahead"),
            Papers.reference("Note"),
            Papers.state(),
            Papers.postedBy()),
        PaperKind.SUPPLIER_PAYMENT);
  }
}
