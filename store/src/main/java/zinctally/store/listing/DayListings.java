package zinctally.store.listing;

import static zinctally.store.listing.Listing.Type.DATE;
import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.MONEY;
import static zinctally.store.listing.Listing.Type.PERCENT;
import static zinctally.store.listing.Listing.Type.TEXT;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import zinctally.store.listing.Listing.Column;

/** All papers, day by day. */
public final class DayListings {
  private static final int A_PAGE_READ_ALL_DAY = 1_000;

  private DayListings() {}

  /** All papers of a day or later, with what they did to stock, sales and cost. */
  public static Listing dayBook(LocalDate from) {
    return new Listing(
            "Day book",
            "paper p straight_join paper_kind k on k.kind = p.kind"
                + " left join party w on w.id = p.party_id where p.date >= :from",
            Map.of("from", from),
            List.of(
                new Column("id", "", "p.id", HIDDEN),
                new Column("date", "Date", "p.date", DATE),
                new Column("number", "Paper", "p.number", TEXT, Papers.PAPER),
                new Column("party", "Who", "w.name", TEXT),
                new Column("kind", "What", "k.words", TEXT),
                new Column("stock", "Stock", "nullif(p.stock_value, 0)", MONEY, Papers.PAPER)
                    .ofCost(),
                new Column("sales", "Sales", "nullif(" + SALES + ", 0)", MONEY, Papers.PAPER),
                new Column("cost", "Cost", "nullif(" + COST + ", 0)", MONEY, Papers.PAPER).ofCost(),
                new Column(
                        "margin",
                        "Margin",
                        "if("
                            + SALES
                            + " > 0, round(100 * ("
                            + SALES
                            + " - "
                            + COST
                            + ") / "
                            + SALES
                            + ", 1), null)",
                        PERCENT)
                    .ofCost(),
                new Column("state", "State", Papers.STATE, TEXT)),
            "p.id",
            "-date",
            "No paper yet.")
        .addedUpTo(A_PAGE_READ_ALL_DAY);
  }

  /** The same, only the papers of customers. */
  public static Listing ofCustomers(Listing dayBook) {
    return dayBook.also("k.side = 'CUSTOMER'");
  }

  /** What a paper of selling has booked as income, less what it took back. */
  private static final String SALES =
      """
      if(k.earns,
        (select coalesce(-sum(l.amount), 0) from journal j
         straight_join journal_line l on l.journal_id = j.id
         straight_join account a on a.id = l.account_id and a.kind = 'INCOME' where j.paper_id = p.id), 0)""";

  /** What its goods cost, as known now: those it moved, and those moved before it. */
  private static final String COST =
      """
      if(k.earns,
        (select coalesce(-sum(e.booked), 0) from cost_event e
         join account a on a.id = e.contra_account and a.role = 'COST_OF_GOODS_SOLD'
         where e.paper_id = p.id and not e.gone)
        + (select coalesce(sum(f.value), 0) from fulfilment f
           join awaited w on w.id = f.awaited_id and w.what = 'SENT_INVOICE'
             and w.paper_id <> f.paper_id where f.paper_id = p.id), 0)""";
}
