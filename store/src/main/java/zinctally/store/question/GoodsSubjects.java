package zinctally.store.question;

import static zinctally.store.listing.Listing.Type.DATE;
import static zinctally.store.listing.Listing.Type.MONEY;
import static zinctally.store.listing.Listing.Type.NUMBER;
import static zinctally.store.listing.Listing.Type.PRICE;
import static zinctally.store.listing.Listing.Type.QUANTITY;
import static zinctally.store.listing.Listing.Type.TEXT;
import static zinctally.store.listing.Listing.Type.TIME;

import java.util.List;
import zinctally.store.sql.Here;
import zinctally.store.sql.Prices;

/** What can be asked about goods. */
final class GoodsSubjects {
  private GoodsSubjects() {}

  private static final String ITEM = "join item i on i.id = ";

  static final List<Subject> ALL =
      List.of(items(), stock(), movements(), costs(), lots(), counts(), workOrders(), consigned());

  private static Subject items() {
    return Subject.about("items", "Items", "An item, with what is here of it and what it is worth.")
        .from("item i", "true", "i.id")
        .join("h", "left join cost_pool h on h.item_id = i.id")
        .join(
            "pr",
            "left join item_price pr on pr.item_id = i.id and pr.list_id = (select min(id) from price_list)"
                + " and "
                + Prices.TODAY.replace("p.", "pr."))
        .item()
        .column("on_hand", "On hand", "coalesce(h.on_hand, 0)", QUANTITY, "", "stock quantity")
        .column("free", "Free", Here.FREE, QUANTITY, "", "available")
        .column(
            "ordered",
            "On order",
            "(select coalesce(sum(a.open_quantity), 0) from awaited a where a.item_id = i.id"
                + " and a.what in ('ORDERED_GOODS', 'TO_BE_MADE'))",
            QUANTITY,
            "",
            "coming")
        .column("reorder_point", "Reorder point", "i.reorder_point", QUANTITY, "", "minimum short")
        .column("reorder_quantity", "Reorder quantity", "i.reorder_quantity", QUANTITY)
        .column(
            "missing",
            "Under reorder point",
            "greatest(coalesce(i.reorder_point, 0) - (" + Here.FREE + "), 0)",
            QUANTITY,
            "",
            "short what to order")
        .cost("value", "Value", "coalesce(h.worth, 0)", MONEY, "worth stock value")
        .cost(
            "each",
            "Cost each",
            "cast(h.worth * 1000000 / nullif(h.on_hand, 0) / :minor as decimal(24,6))",
            PRICE,
            "average unit cost")
        .column("price", "Price", "pr.price", PRICE, "", "sells at")
        .column(
            "last_sold",
            "Last sold",
            "(select max(e.date) from cost_event e join paper p on p.id = e.paper_id"
                + " join paper_kind k on k.kind = p.kind and (k.sale > 0 or k.earns)"
                + " where e.item_id = i.id and not e.gone)",
            DATE,
            "",
            "dead slow sleeping stock")
        .column(
            "sold_90",
            "Sold in 90 days",
            "(select coalesce(sum(if(e.kind = 'OUT', e.quantity, -e.quantity)), 0) from cost_event e join paper p on p.id = e.paper_id"
                + " join paper_kind k on k.kind = p.kind and (k.sale > 0 or k.earns)"
                + " where e.item_id = i.id and not e.gone and e.kind in ('OUT', 'BACK')"
                + " and e.date > current_date - interval 90 day)",
            QUANTITY,
            "",
            "turnover slow fast")
        .sorted("code")
        .usual("code", "item", "group", "on_hand", "value")
        .done();
  }

  private static Subject stock() {
    return Subject.about(
            "stock",
            "Stock by place",
            "An item at a place in a standing, how many there are, and what they are worth.")
        .from("place_stock s", "s.quantity <> 0", "concat(s.item_id, '.', s.place_id)")
        .join("i", ITEM + "s.item_id")
        .join("o", "join place o on o.id = s.place_id")
        .join("p", "join place p on p.id = s.place_id")
        .join("h", "left join cost_pool h on h.item_id = s.item_id")
        .item()
        .place()
        .column(
            "quantity",
            "Quantity",
            "s.quantity",
            QUANTITY,
            "/goods/item/{item_id}",
            "pieces how many on hand")
        .cost("value", "Value", "(" + Here.WORTH + ")", MONEY, "worth stock value")
        .sorted("code")
        .usual("item", "group", "place", "standing", "quantity", "value")
        .done();
  }

  private static Subject movements() {
    return Subject.about(
            "movements",
            "Movements",
            "Something that came to a place or left it, by a line of a paper.")
        .from("quantity_move m", "true", "m.id")
        .thinnedBy("m", "item_id", "place_id")
        .join("i", ITEM + "m.item_id")
        .join("o", "join place o on o.id = m.place_id")
        .join("p", "join paper p on p.id = m.paper_id")
        .join("w", "left join party w on w.id = p.party_id")
        .join("lt", "left join lot lt on lt.id = nullif(m.lot_id, 0)")
        .column("moved", "Day", "m.date", DATE, "", "date when")
        .item()
        .place()
        .paper()
        .party("Who")
        .column("lot", "Lot or serial number", "lt.code", TEXT, "", "batch")
        .column("quantity", "Quantity", "m.quantity", QUANTITY, "/papers/{paper_id}", "moved")
        .column("came", "Came", "greatest(m.quantity, 0)", QUANTITY, "", "in")
        .column("left", "Left", "greatest(-m.quantity, 0)", QUANTITY, "", "out")
        .sorted("-moved")
        .usual("moved", "item", "place", "number", "kind", "quantity")
        .done();
  }

  private static Subject costs() {
    return Subject.about(
            "costs",
            "Cost entries",
            "A line of the stock book: what changed an item's value, and why.")
        .from("cost_entry n", "true", "n.id")
        .thinnedBy("n", "item_id", "account_id")
        .join("i", ITEM + "n.item_id")
        .join("p", "join paper p on p.id = n.cause_id")
        .join("w", "left join party w on w.id = p.party_id")
        .join("a", "join account a on a.id = n.account_id")
        .column("booked", "Booked on", "n.posting_date", DATE, "", "day date posting")
        .item()
        .paper()
        .party("Who")
        .column("account", "Account", "concat(a.code, ' ', a.name)", TEXT)
        .column("quantity", "Quantity", "n.quantity", QUANTITY)
        .cost("value", "Value", "n.value", MONEY, "cost worth")
        .column("entered", "Entered", "n.entered_at", TIME)
        .sorted("-booked")
        .usual("booked", "item", "number", "kind", "quantity", "value")
        .done();
  }

  private static Subject lots() {
    return Subject.about(
            "lots", "Lots and serial numbers", "A lot or a numbered piece, and where it is.")
        .from("lot lt", "true", "concat(lt.id, '.', coalesce(s.place_id, 0))")
        .join("s", "left join lot_stock s on s.lot_id = lt.id and s.quantity <> 0")
        .join("i", ITEM + "lt.item_id")
        .join("o", "left join place o on o.id = s.place_id")
        .leads("lot_id", "lt.id")
        .column(
            "lot", "Lot or serial number", "lt.code", TEXT, "/goods/lot/{lot_id}", "batch number")
        .item()
        .place()
        .column("expiry", "Expires", "lt.expiry", DATE, "", "best before")
        .column("days", "Days left", "datediff(lt.expiry, current_date)", NUMBER, "", "expiring")
        .column("quantity", "Quantity", "coalesce(s.quantity, 0)", QUANTITY)
        .column("in_all", "Here in all", "lt.on_hand", QUANTITY)
        .sorted("lot")
        .usual("lot", "item", "place", "expiry", "days", "quantity")
        .done();
  }

  private static Subject counts() {
    return Subject.about(
            "counts", "Counts", "A line of a count: what was expected, and what was found.")
        .from("count_line c", "true", "c.id")
        .join("sh", "join count_sheet sh on sh.id = c.sheet_id")
        .join("i", ITEM + "c.item_id")
        .join("o", "join place o on o.id = sh.place_id")
        .join("h", "left join cost_pool h on h.item_id = c.item_id")
        .join("r", "left join reason r on r.id = c.reason_id")
        .join("lt", "left join lot lt on lt.id = nullif(c.lot_id, 0)")
        .leads("sheet_id", "sh.id")
        .column("sheet", "Sheet", "sh.id", NUMBER, "/handle/counts/{sheet_id}", "count")
        .column("day", "Day", "sh.date", DATE, "", "date")
        .item()
        .place()
        .column("lot", "Lot or serial number", "lt.code", TEXT)
        .column("expected", "Expected", "c.expected", QUANTITY)
        .column("counted", "Counted", "c.counted", QUANTITY, "", "found")
        .column("difference", "Difference", "c.counted - c.expected", QUANTITY, "", "missing over")
        .cost(
            "worth",
            "Difference at cost",
            "round((c.counted - c.expected) * h.worth / nullif(h.on_hand, 0))",
            MONEY,
            "value shrinkage")
        .column("reason", "Reason", "r.name", TEXT)
        .column("who", "Counted by", "c.counted_by", TEXT)
        .column("what", "State of the sheet", "lower(sh.state)", TEXT)
        .sorted("-sheet")
        .usual("sheet", "day", "item", "expected", "counted", "difference")
        .done();
  }

  private static Subject workOrders() {
    return Subject.about(
            "making",
            "Work orders",
            "A line of a work order that waits: its result, or a part of it.")
        .from("awaited aw", "aw.what in ('TO_BE_MADE', 'PROMISED_PARTS')", "aw.id")
        .join("p", "join paper p on p.id = aw.paper_id")
        .join("i", ITEM + "aw.item_id")
        .join("d", "left join order_head d on d.paper_id = aw.paper_id")
        .paper()
        .item()
        .column("part", "Is", "if(aw.what = 'TO_BE_MADE', 'result', 'part')", TEXT)
        .column("wanted", "Wanted by", "d.expected", DATE, "", "due")
        .column("quantity", "Quantity", "aw.quantity", QUANTITY, "", "ordered")
        .column("open", "Still to come", "aw.open_quantity", QUANTITY, "", "missing open")
        .column("approved", "Approved by", "d.approved_by", TEXT)
        .column("ended", "Ended", "d.ended_at", TIME)
        .sorted("-date")
        .usual("date", "number", "item", "part", "quantity", "open")
        .done();
  }

  private static Subject consigned() {
    return Subject.about(
            "consigned",
            "Consigned goods",
            "A movement of goods that others own: what came, was sold, went back.")
        .from("place o", "o.owner_id is not null", "m.id")
        .join("m", "join quantity_move m on m.place_id = o.id")
        .join("i", ITEM + "m.item_id")
        .join("p", "join paper p on p.id = m.paper_id")
        .join("w", "join party w on w.id = o.owner_id")
        .column("moved", "Day", "m.date", DATE, "", "date")
        .party("Owner of the goods")
        .item()
        .place()
        .paper()
        .column("quantity", "Quantity", "m.quantity", QUANTITY, "/papers/{paper_id}", "here")
        .column("came", "Came", "if(k.consigns > 0, m.quantity, 0)", QUANTITY)
        .column("sold", "Sold", "if(k.earns or k.sale > 0, -m.quantity, 0)", QUANTITY)
        .column("back", "Went back", "if(k.consigns < 0, -m.quantity, 0)", QUANTITY)
        .sorted("-moved")
        .usual("moved", "party", "item", "came", "sold", "back", "quantity")
        .done();
  }
}
