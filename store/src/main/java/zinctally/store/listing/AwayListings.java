package zinctally.store.listing;

import static zinctally.store.listing.Listing.Type.DATE;
import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.MONEY;
import static zinctally.store.listing.Listing.Type.NUMBER;
import static zinctally.store.listing.Listing.Type.QUANTITY;
import static zinctally.store.listing.Listing.Type.TEXT;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import zinctally.store.listing.Listing.Column;

/** Lists of goods that are not where they belong: on the way, out for repair, here to be mended. */
public final class AwayListings {
  private AwayListings() {}

  /** What was sent to another place and has not come there yet. */
  public static Listing onTheWay() {
    return new Listing(
        "On the way",
        """
        awaited a straight_join paper p on p.id = a.paper_id and p.state = 'POSTED'
        join paper_line n on n.paper_id = p.id and n.version = p.version and n.line = a.line
        join item i on i.id = a.item_id join place f on f.id = p.place_id
        join place l on l.id = n.place_id where a.what = 'ON_THE_WAY' and a.open_quantity > 0""",
        Map.of(),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("item_id", "", "i.id", HIDDEN),
            new Column("date", "Sent on", "p.date", DATE),
            new Column("number", "With", "p.number", TEXT, Papers.PAPER),
            new Column("code", "Code", "i.code", TEXT, Papers.ITEM),
            new Column("item", "Item", "i.name", TEXT, Papers.ITEM),
            new Column("from", "From", "f.name", TEXT),
            new Column("into", "Into", "l.name", TEXT),
            new Column("sent", "Sent", "a.quantity", QUANTITY),
            new Column("open", "Still on the way", "a.open_quantity", QUANTITY),
            new Column("days", "Days", "datediff(current_date, p.date)", NUMBER)),
        "a.id",
        "date",
        "Nothing is on the way between places.");
  }

  /** What is out for repair and not back. */
  public static Listing outForRepair() {
    return away(
        "Out for repair",
        List.of(
            new Column("since", "Out since", "p.date", DATE),
            new Column("number", "With", "p.number", TEXT, Papers.PAPER),
            new Column("repairer", "Repairer", "coalesce(w.name, 'here')", TEXT),
            new Column("code", "Code", "i.code", TEXT, Papers.ITEM),
            new Column("item", "Item", "i.name", TEXT, Papers.ITEM),
            new Column("wrong", "What is wrong", "n.wording", TEXT),
            new Column("due", "Back by", "p.due", DATE),
            new Column(
                "over",
                "Days over",
                "nullif(greatest(datediff(current_date, p.due), 0), 0)",
                NUMBER),
            new Column("open", "Still out", "a.open_quantity", QUANTITY),
            new Column("expected", "Expected cost", "nullif(p.net, 0)", MONEY, Papers.PAPER)
                .ofCost()),
        "since",
        "Nothing is out for repair. Press n, then x, when something goes to be mended.",
        "IN_REPAIR");
  }

  /** Customers' own goods that were taken in to be mended and are still here. */
  public static Listing toGiveBack() {
    return away(
        "Customers' goods to mend",
        List.of(
            new Column("since", "Here since", "p.date", DATE),
            new Column("number", "With", "p.number", TEXT, Papers.PAPER),
            new Column("customer", "Customer", "w.name", TEXT),
            new Column("code", "Code", "i.code", TEXT, Papers.ITEM),
            new Column("item", "Item", "i.name", TEXT, Papers.ITEM),
            new Column("wrong", "What is wrong", "n.wording", TEXT),
            new Column("due", "Promised for", "p.due", DATE),
            new Column(
                "over",
                "Days over",
                "nullif(greatest(datediff(current_date, p.due), 0), 0)",
                NUMBER),
            new Column("open", "Still here", "a.open_quantity", QUANTITY)),
        "since",
        "No customer's goods are here to be mended.",
        "TO_GIVE_BACK");
  }

  /** What papers' lines wait to have back, or to give back. */
  private static Listing away(
      String name, List<Column> own, String order, String empty, String what) {
    return new Listing(
        name,
        """
        awaited a straight_join paper p on p.id = a.paper_id and p.state = 'POSTED'
        join paper_line n on n.paper_id = p.id and n.version = p.version and n.line = a.line
        join item i on i.id = a.item_id left join party w on w.id = p.party_id
        where a.what = :what and a.open_quantity > 0""",
        Map.of("what", what),
        Stream.concat(
                Stream.of(
                    new Column("id", "", "p.id", HIDDEN),
                    new Column("item_id", "", "i.id", HIDDEN)),
                own.stream())
            .toList(),
        "a.id",
        order,
        empty);
  }
}
