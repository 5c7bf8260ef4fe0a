package zinctally.store.listing;

import static zinctally.store.listing.Listing.Type.DATE;
import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.MONEY;
import static zinctally.store.listing.Listing.Type.NUMBER;
import static zinctally.store.listing.Listing.Type.PERCENT;
import static zinctally.store.listing.Listing.Type.PRICE;
import static zinctally.store.listing.Listing.Type.QUANTITY;
import static zinctally.store.listing.Listing.Type.TEXT;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import zinctally.core.papers.PaperKind;
import zinctally.store.listing.Listing.Column;

/** Goods of suppliers here on consignment, ours at customers', and customers' that stay here. */
public final class ConsignListings {
  private ConsignListings() {}

  /** What came of each supplier, and what became of it, up to a day. */
  public static Listing goods(LocalDate day) {
    return goods(day, column -> "");
  }

  /** The same of one supplier. */
  public static Listing goods(LocalDate day, long supplier) {
    return goods(day, column -> " and " + column + " = " + supplier);
  }

  /** What is owed is what is open now, less what came and was settled since. */
  private static Listing goods(LocalDate day, UnaryOperator<String> only) {
    return new Listing(
        "Consigned goods",
        """
        (select t.owner_id, t.item_id, sum(came) as came, sum(back) as back, sum(sold) as sold,
           sum(lost) as lost, sum(here) as here, sum(owed) as owed
         from (select l.owner_id, m.item_id, if(k.consigns > 0, m.quantity, 0) as came,
             if(k.consigns < 0, -m.quantity, 0) as back,
             if(k.earns or k.sale > 0, -m.quantity, 0) as sold,
             if(k.side = '', -m.quantity, 0) as lost, m.quantity as here, 0 as owed
           from place l straight_join quantity_move m on m.place_id = l.id and m.date <= :day
           straight_join paper p on p.id = m.paper_id straight_join paper_kind k on k.kind = p.kind
           where l.owner_id is not null%1$s
           union all
           select party_id, item_id, 0, 0, 0, 0, 0, open_value from awaited
           where what = 'CONSIGNED_SOLD' and open_value <> 0%2$s
           union all
           select a.party_id, a.item_id, 0, 0, 0, 0, 0, -a.value
           from paper p join awaited a on a.paper_id = p.id
           where p.date > :day and a.what = 'CONSIGNED_SOLD'%3$s
           union all
           select a.party_id, a.item_id, 0, 0, 0, 0, 0, f.value
           from fulfilment f join awaited a on a.id = f.awaited_id
           where f.date > :day and a.what = 'CONSIGNED_SOLD'%3$s) t
         group by t.owner_id, t.item_id) t
        join party w on w.id = t.owner_id and w.kind = 'SUPPLIER' join item i on i.id = t.item_id
        where true"""
            .formatted(only.apply("l.owner_id"), only.apply("party_id"), only.apply("a.party_id")),
        Map.of("day", day),
        List.of(
            new Column("party_id", "", "w.id", HIDDEN),
            new Column("item_id", "", "i.id", HIDDEN),
            new Column("supplier", "Supplier", "w.name", TEXT, "/buy/supplier/{party_id}"),
            new Column("code", "Code", "i.code", TEXT, Papers.ITEM),
            new Column("item", "Item", "i.name", TEXT, Papers.ITEM),
            new Column("came", "Came", "t.came", QUANTITY),
            new Column("sold", "Sold", "t.sold", QUANTITY),
            new Column("back", "Went back", "t.back", QUANTITY),
            new Column("lost", "Lost", "t.lost", QUANTITY),
            new Column("here", "Here", "t.here", QUANTITY),
            new Column("owed", "Owed", "t.owed", MONEY, "/buy/supplier/{party_id}")),
        "concat(lpad(w.id, 12, '0'), '.', lpad(i.id, 12, '0'))",
        "supplier",
        "Nobody has goods here on consignment. An agreement comes first: press n, then choose it.");
  }

  /** What came and went back, line by line. */
  public static Listing movements() {
    return new Listing(
            "Consignment in and back",
            """
            paper p straight_join paper_kind k on k.kind = p.kind
            straight_join paper_line n on n.paper_id = p.id and n.version = p.version
            straight_join item i on i.id = n.item_id join party w on w.id = p.party_id
            where p.kind in (:kinds)""",
            Map.of(),
            List.of(
                new Column("id", "", "p.id", HIDDEN),
                new Column("item_id", "", "i.id", HIDDEN),
                new Column("party_id", "", "w.id", HIDDEN),
                new Column("date", "Date", "p.date", DATE),
                new Column("number", "Number", "p.number", TEXT, Papers.PAPER),
                new Column("kind", "Paper", "k.words", TEXT),
                Papers.supplier(),
                Papers.reference("Their number"),
                new Column("code", "Code", "i.code", TEXT, Papers.ITEM),
                new Column("item", "Item", "i.name", TEXT, Papers.ITEM),
                new Column("quantity", "Quantity", "n.quantity", QUANTITY),
                new Column("note", "Note", "n.wording", TEXT),
                Papers.state()),
            "concat(lpad(p.id, 12, '0'), '.', lpad(n.line, 8, '0'))",
            "-date",
            "Nothing has come on consignment yet. Press n, then g, when somebody brings goods.")
        .of(PaperKind.CONSIGNMENT_IN, PaperKind.CONSIGNMENT_BACK);
  }

  /** What is agreed with whom, from when. */
  public static Listing agreements() {
    return new Listing(
        "Consignment agreements",
        """
        agreement_line a join paper p on p.id = a.paper_id join party w on w.id = a.party_id
        left join item i on i.id = a.item_id left join item_group g on g.id = a.group_id
        where p.state = 'POSTED'""",
        Map.of(),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("party_id", "", "w.id", HIDDEN),
            new Column("supplier", "Supplier", "w.name", TEXT, "/buy/supplier/{party_id}"),
            new Column("number", "Number", "p.number", TEXT, Papers.PAPER),
            new Column("from", "From", "a.date", DATE),
            new Column("about", "About", "coalesce(i.name, g.name, 'everything')", TEXT),
            new Column("each", "Cost each", "a.each_cost", PRICE),
            new Column("share", "Their share", "a.percent", PERCENT),
            new Column("least", "At least", "a.least", PRICE),
            new Column(
                "discounts",
                "Discounts are borne by",
                "elt(field(a.discounts, 'BOTH', 'OURS', 'THEIRS'), 'both', 'us', 'them')",
                TEXT),
            new Column("losses", "Losses by", "if(a.loss_ours, 'us', 'them')", TEXT)),
        "concat(lpad(p.id, 12, '0'), '.', lpad(a.line, 8, '0'))",
        "supplier",
        "Nothing is agreed with anybody yet.");
  }

  /** What was paid out for consigned goods. */
  public static Listing settlements() {
    return Papers.list(
        "Consignment settlements",
        "Nothing is settled yet. What is owed for consigned goods offers it.",
        List.of(
            Papers.supplier(),
            Papers.reference("Their number"),
            Papers.what(),
            Papers.due(),
            Papers.total("Total").apart(),
            Papers.open("Still open").apart()),
        PaperKind.SETTLEMENT);
  }

  /** Ours at customers': what went there, and what became of it. */
  public static Listing atCustomers() {
    return new Listing(
        "At customers",
        """
        (select l.host_id, m.item_id, min(if(m.quantity > 0, m.date, null)) as since,
           sum(if(p.kind = 'CONSIGNMENT_OUT', m.quantity, 0)) as sent,
           sum(if(k.earns or k.sale > 0, -m.quantity, 0)) as sold,
           sum(if(k.side = '' and p.kind <> 'TRANSFER', -m.quantity, 0)) as lost,
           sum(if(p.kind = 'TRANSFER', -m.quantity, 0)) as back, sum(m.quantity) as there
         from place l straight_join quantity_move m on m.place_id = l.id
         straight_join paper p on p.id = m.paper_id straight_join paper_kind k on k.kind = p.kind
         where l.kind = 'CUSTOMER' and l.host_id is not null
         group by l.host_id, m.item_id) t
        join party w on w.id = t.host_id join item i on i.id = t.item_id where true""",
        Map.of(),
        List.of(
            new Column("party_id", "", "w.id", HIDDEN),
            new Column("item_id", "", "i.id", HIDDEN),
            new Column("customer", "Customer", "w.name", TEXT, "/sell/customer/{party_id}"),
            new Column("code", "Code", "i.code", TEXT, Papers.ITEM),
            new Column("item", "Item", "i.name", TEXT, Papers.ITEM),
            new Column("since", "Since", "t.since", DATE),
            new Column("sent", "Sent", "t.sent", QUANTITY),
            new Column("sold", "Reported sold", "t.sold", QUANTITY),
            new Column("back", "Came back", "t.back", QUANTITY),
            new Column("lost", "Lost", "t.lost", QUANTITY),
            new Column("there", "Should be there", "t.there", QUANTITY)),
        "concat(lpad(w.id, 12, '0'), '.', lpad(i.id, 12, '0'))",
        "customer",
        "Nothing of ours is at a customer's on consignment.");
  }

  /** What customers have bought and left here. */
  public static Listing kept() {
    return new Listing(
        "Kept for customers",
        """
        awaited a straight_join paper p on p.id = a.paper_id and p.state = 'POSTED'
        join item i on i.id = a.item_id join party w on w.id = a.party_id
        where a.what = 'KEPT_HERE' and a.open_quantity > 0""",
        Map.of(),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("item_id", "", "i.id", HIDDEN),
            new Column("party_id", "", "w.id", HIDDEN),
            new Column("customer", "Customer", "w.name", TEXT, "/sell/customer/{party_id}"),
            new Column("number", "Sold with", "p.number", TEXT, Papers.PAPER),
            new Column("since", "Since", "p.date", DATE),
            new Column("days", "Days", "datediff(current_date, p.date)", NUMBER),
            new Column("code", "Code", "i.code", TEXT, Papers.ITEM),
            new Column("item", "Item", "i.name", TEXT, Papers.ITEM),
            new Column("bought", "Bought", "a.quantity", QUANTITY),
            new Column("here", "Still here", "a.open_quantity", QUANTITY)),
        "a.id",
        "since",
        "No customer has left here what they bought.");
  }
}
