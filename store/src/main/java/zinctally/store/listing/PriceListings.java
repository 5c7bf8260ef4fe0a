package zinctally.store.listing;

import static zinctally.store.listing.Listing.Type.DATE;
import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.PERCENT;
import static zinctally.store.listing.Listing.Type.PRICE;
import static zinctally.store.listing.Listing.Type.QUANTITY;
import static zinctally.store.listing.Listing.Type.TEXT;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import zinctally.store.listing.Listing.Column;

/** What goods sell at. */
public final class PriceListings {
  private PriceListings() {}

  private static final String ITEM = "/goods/item/{item_id}";

  /**
   * Every price of every list, past and to come, against the present cost.
   *
   * @param minor how many minor units make one of the book's currency
   */
  public static Listing prices(BigDecimal minor) {
    String cost =
        "if(h.on_hand > 0, h.worth / h.on_hand, h.latest_value / nullif(h.latest_quantity, 0))"
            + " * 1000000 / :minor";
    return new Listing(
        "Prices",
        "item_price p join item i on i.id = p.item_id and i.active"
            + " join price_list l on l.id = p.list_id"
            + " left join cost_pool h on h.item_id = i.id where true",
        Map.of("minor", minor),
        List.of(
            new Column("item_id", "", "i.id", HIDDEN),
            new Column("list", "Price list", "l.name", TEXT),
            new Column("code", "Code", "i.code", TEXT, ITEM),
            new Column("item", "Item", "i.name", TEXT, ITEM),
            new Column("from", "From", "if(p.from_date < '1900-01-01', null, p.from_date)", DATE),
            new Column("least", "At least", "nullif(p.min_quantity, 0)", QUANTITY),
            new Column("price", "Price", "p.price", PRICE),
            new Column("cost", "Cost now", "cast(" + cost + " as decimal(18,4))", PRICE).ofCost(),
            new Column(
                    "margin",
                    "Margin",
                    "cast(100 * (p.price - " + cost + ") / nullif(p.price, 0) as decimal(9,1))",
                    PERCENT)
                .ofCost(),
            new Column(
                    "markup",
                    "Markup",
                    "cast(100 * (p.price - "
                        + cost
                        + ") / nullif("
                        + cost
                        + ", 0) as decimal(9,1))",
                    PERCENT)
                .ofCost(),
            new Column("state", "State", "if(p.price < " + cost + ", 'under cost', '')", TEXT)
                .ofCost()),
        "concat(i.code, '.', p.list_id, '.', p.from_date, '.', lpad(p.min_quantity, 18, '0'))",
        "list",
        "No price yet. An item's form sets the first.");
  }
}
