package zinctally.store.listing;

import static zinctally.store.listing.Listing.Type.DATE;
import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.MONEY;
import static zinctally.store.listing.Listing.Type.TEXT;

import java.util.List;
import java.util.Map;
import zinctally.core.papers.PaperKind;
import zinctally.store.listing.Listing.Column;

/** The lists of the counter. */
public final class CounterListings {
  private CounterListings() {}

  /** Tills with what should have been in them and what was. */
  public static Listing tills() {
    return new Listing(
        "Tills",
        """
        till t join place l on l.id = t.place_id left join paper p on p.id = t.paper_id
        where true""",
        Map.of(),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("opened", "Opened", "date(t.opened_at)", DATE),
            new Column("place", "At", "l.name", TEXT),
            new Column("by", "By", "t.opened_by", TEXT),
            new Column("float", "Cash at first", "t.opening_float", MONEY).apart(),
            new Column("closed", "Closed", "date(t.closed_at)", DATE),
            new Column("expected", "Should hold", "t.expected", MONEY).apart(),
            new Column("counted", "Counted", "t.counted", MONEY).apart(),
            new Column("gap", "Difference", "t.counted - t.expected", MONEY, Papers.PAPER),
            new Column("number", "Booked with", "p.number", TEXT, Papers.PAPER)),
        "t.id",
        "-opened",
        "No till has been opened yet. Counter, under Sell, opens the first.");
  }

  /** What cards were asked for, latest first. */
  public static Listing cards() {
    return new Listing(
        "Card payments",
        "card_payment c left join paper p on p.id = c.paper_id where true",
        Map.of(),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("card", "", "c.id", HIDDEN),
            new Column("at", "Asked", "date(c.at)", DATE, "/sell/card/{card}"),
            new Column("by", "By", "c.login", TEXT),
            new Column("amount", "Amount", "c.amount", MONEY, "/sell/card/{card}"),
            new Column(
                "state",
                "State",
                """
                case c.state when 'BOOKED' then 'booked' when 'DECLINED' then 'declined'
                  when 'BACK' then 'given back' when 'DUE_BACK' then 'to be given back'
                  when 'CHARGED' then 'charged, not booked' else 'asked, no answer' end""",
                TEXT,
                "/sell/card/{card}"),
            new Column("reference", "Reader's number", "c.reference", TEXT),
            new Column("number", "Booked with", "p.number", TEXT, Papers.PAPER)),
        "c.id",
        "-at",
        "No card has paid at the counter yet.");
  }

  public static Listing sales() {
    return Papers.list(
        "Counter sales",
        "Nothing is sold over the counter yet.",
        List.of(
            Papers.customer(),
            Papers.what(),
            Papers.place("At"),
            new Column("seller", "Sold by", "p.seller", TEXT),
            new Column("tender", "Paid by", Papers.MONEY_ACCOUNTS, TEXT),
            Papers.net("Without tax"),
            Papers.total("Total"),
            Papers.open("Still open"),
            Papers.state()),
        PaperKind.COUNTER_SALE);
  }
}
