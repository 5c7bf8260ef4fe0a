package zinctally.store.listing;

import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.MONEY;
import static zinctally.store.listing.Listing.Type.PRICE;
import static zinctally.store.listing.Listing.Type.QUANTITY;
import static zinctally.store.listing.Listing.Type.TEXT;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zinctally.core.number.Coin;
import zinctally.core.statement.Known;
import zinctally.store.listing.Listing.Column;
import zinctally.store.sql.Prices;

/** What goods are worth at a day, and what they would fetch. */
public final class ValuationListings {
  private ValuationListings() {}

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

  private static final String ENTERED_LATER =
      """

      union all
      select item_id, -quantity, -value from cost_entry
      where entered_at > :known and posting_date <= :date""";

  /**
   * What each item was worth at the end of a day.
   *
   * @param recent whether the day is nearer to now than to the start of the books
   */
  public static Listing valuation(LocalDate date, boolean recent) {
    return valuation(date, recent, Optional.empty());
  }

  /**
   * The same as it was known at a moment: without what was entered later.
   *
   * @param known empty for all that is known now
   */
  public static Listing valuation(LocalDate date, boolean recent, Optional<LocalDateTime> known) {
    LocalDate month = date.withDayOfMonth(1);
    return new Listing(
            "Valuation",
            // items in the order of their codes first, so that a page needs no sorting of them all
            "item i force index for order by (item_by_code) straight_join (select u.item_id,"
                + " sum(u.quantity) as quantity, sum(u.value) as value from ("
                + (recent ? BACK_FROM_NOW : UP_TO)
                + (known.isPresent() ? ENTERED_LATER : "")
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
                "date", date,
                "known", known.orElse(Known.NOW)),
            List.of(
                new Column("id", "", "i.id", HIDDEN),
                new Column("code", "Code", "i.code", TEXT, "/goods/item/{id}"),
                new Column("name", "Item", "i.name", TEXT, "/goods/item/{id}"),
                new Column("group", "Group", "g.name", TEXT),
                new Column("quantity", "Quantity", "t.quantity", QUANTITY, "/goods/item/{id}"),
                new Column("value", "Value", "t.value", MONEY, "/goods/item/{id}")),
            "i.id",
            "code",
            "Nothing was on hand.")
        .addedUpTo(GoodsListings.ALL_ITEMS);
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
            new Column("price", "Sells at", "p.price", PRICE),
            new Column("fetches", "Would fetch", REALISABLE, MONEY),
            new Column("difference", "Difference", WRITE_DOWN, MONEY),
            new Column("under", "Under cost now", "nullif(h.written_down, 0)", MONEY)),
        "i.id",
        "code",
        "Nothing stands above what it would fetch.");
  }
}
