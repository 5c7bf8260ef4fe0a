package zinctally.store.listing;

import static zinctally.store.listing.Listing.Type.DATE;
import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.MONEY;
import static zinctally.store.listing.Listing.Type.PRICE;
import static zinctally.store.listing.Listing.Type.QUANTITY;
import static zinctally.store.listing.Listing.Type.TEXT;
import static zinctally.store.listing.Listing.Type.TREND;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import zinctally.core.papers.Place;
import zinctally.store.listing.Listing.Column;
import zinctally.store.sql.Here;
import zinctally.store.sql.Prices;

/** Items, where they are, and what moved them. */
public final class GoodsListings {
  private GoodsListings() {}

  static final int ALL_ITEMS = 100_000;

  /** What is on hand, and by how much each month changed it, the present one being zero. */
  private static final String TREND_SQL =
      """
      concat(coalesce(h.on_hand, 0), coalesce((
        select group_concat(',', timestampdiff(month, m.month, last_day(current_date)), ':',
          m.quantity order by m.month separator '')
        from item_month m where m.item_id = i.id
          and m.month > last_day(current_date) - interval 13 month), ''))""";

  private static final String SELLS_AT =
      "(select p.price from item_price p where p.item_id = i.id"
          + " and p.list_id = (select min(id) from price_list) and "
          + Prices.TODAY
          + ")";

  public static Listing items() {
    return new Listing(
            "Items",
            """
        item i left join item_group g on g.id = i.group_id
        left join cost_pool h on h.item_id = i.id
        where true""",
            Map.of(),
            List.of(
                new Column("id", "", "i.id", HIDDEN),
                new Column("code", "Code", "i.code", TEXT, "/goods/item/{id}"),
                new Column("name", "Name", "i.name", TEXT, "/goods/item/{id}"),
                new Column("group", "Group", "g.name", TEXT),
                new Column("on_hand", "On hand", "h.on_hand", QUANTITY, "/goods/item/{id}"),
                new Column("free", "Free", Here.FREE, QUANTITY, "/goods/item/{id}/where"),
                new Column("worth", "Worth", "h.worth", MONEY, "/goods/item/{id}").ofCost(),
                new Column("trend", "Twelve months", TREND_SQL, TREND),
                new Column("price", "Sells at", SELLS_AT, PRICE),
                new Column("supplier", "Usual supplier", "i.supplier", TEXT),
                new Column(
                    "state",
                    "State",
                    "if(i.active, if(i.to_complete, 'to be completed', ''), 'off')",
                    TEXT)),
            "i.id",
            "code",
            "No item yet. Make one here, or bring a whole list in with Opening stock.")
        .addedUpTo(ALL_ITEMS)
        .ordersFirst();
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
            new Column("number", "Paper", "p.number", TEXT, Papers.PAPER),
            new Column("party", "Who", "w.name", TEXT),
            new Column("quantity", "Quantity", "nullif(n.quantity, 0)", QUANTITY, Papers.PAPER),
            new Column("value", "Value", "n.value", MONEY, Papers.PAPER).ofCost(),
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
            new Column("free", "Free", Here.FREE, QUANTITY, "/goods/item/{id}/where"),
            new Column("point", "Reorder point", "i.reorder_point", QUANTITY),
            new Column("quantity", "Order quantity", "i.reorder_quantity", QUANTITY),
            new Column("supplier", "Usual supplier", "i.supplier", TEXT)),
        "i.id",
        "code",
        "No item is at or under its reorder point.");
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
            new Column("number", "Paper", "p.number", TEXT, Papers.PAPER),
            new Column("party", "Who", "w.name", TEXT),
            new Column("code", "Code", "i.code", TEXT, "/goods/item/{item_id}"),
            new Column("name", "Item", "i.name", TEXT, "/goods/item/{item_id}"),
            new Column("quantity", "Not there yet", "u.quantity", QUANTITY),
            new Column("value", "Provisional cost", "u.value", MONEY, Papers.PAPER).ofCost(),
            new Column("supplier", "Usual supplier", "i.supplier", TEXT)),
        "u.event_id",
        "date",
        "Nothing is sold that has not come.");
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
                new Column("item", "Item", "i.name", TEXT, Papers.ITEM),
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
            "Nothing is told apart yet. An item's form says whether its goods are, by lot or serial number.")
        .ordersFirst();
  }

  /** What is at each place, in which standing, and whose it is. */
  public static Listing shelf() {
    return new Listing(
        "The shelf",
        """
        place_stock s straight_join item i on i.id = s.item_id
        straight_join place p on p.id = s.place_id
        join place a on a.id = coalesce(p.at_id, p.id) join standing t on t.id = p.standing_id
        left join party o on o.id = p.owner_id left join cost_pool h on h.item_id = s.item_id
        where s.quantity <> 0""",
        Map.of(),
        List.of(
            new Column("item_id", "", "i.id", HIDDEN),
            new Column("place", "Place", "a.name", TEXT),
            new Column("standing", "Standing", "t.name", TEXT),
            new Column("owner", "Whose", "coalesce(o.name, 'ours')", TEXT),
            new Column("code", "Code", "i.code", TEXT, Papers.ITEM),
            new Column("item", "Item", "i.name", TEXT, "/goods/item/{item_id}/where"),
            new Column("shelf", "Shelf", "i.shelf", TEXT),
            new Column("quantity", "Quantity", "s.quantity", QUANTITY),
            new Column("worth", "Worth now", Here.WORTH, MONEY, Papers.ITEM).ofCost()),
        "concat(lpad(i.id, 12, '0'), '.', lpad(p.id, 8, '0'))",
        "code",
        "Nothing is anywhere yet.");
  }

  /** Items by places, and what they are worth in all. */
  public static Listing placeStock(List<Place> places) {
    List<Column> columns =
        new ArrayList<>(
            List.of(
                new Column("item_id", "", "i.id", HIDDEN),
                new Column("code", "Code", "i.code", TEXT, Papers.ITEM),
                new Column("name", "Item", "i.name", TEXT, Papers.ITEM),
                new Column("group", "Group", "g.name", TEXT),
                new Column("shelf", "Shelf", "i.shelf", TEXT)));
    for (Place place : places)
      columns.add(new Column("at" + place.id(), place.name(), at(place.id()), QUANTITY));
    columns.add(new Column("all", "In all", "h.on_hand", QUANTITY, Papers.ITEM));
    columns.add(new Column("value", "Worth", "h.worth", MONEY, Papers.ITEM).ofCost());
    return new Listing(
            "What is where",
            """
            item i force index for order by (item_by_code) straight_join cost_pool h on h.item_id = i.id
            straight_join item_group g on g.id = i.group_id
            where (h.on_hand <> 0 or h.worth <> 0 or exists (
              select 1 from place_stock s where s.item_id = i.id and s.quantity <> 0))""",
            Map.of(),
            columns,
            "i.id",
            "code",
            "Nothing is on hand anywhere.")
        .addedUpTo(ALL_ITEMS)
        .ordersFirst();
  }

  private static String at(long place) {
    return "(select nullif(s.quantity, 0) from place_stock s where s.item_id = i.id and s.place_id = "
        + place
        + ")";
  }
}
