package zinctally.store.listing;

import static zinctally.store.listing.Listing.Type.DATE;
import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.MONEY;
import static zinctally.store.listing.Listing.Type.TEXT;

import java.util.List;
import java.util.Map;
import zinctally.core.papers.Party;
import zinctally.store.listing.Listing.Column;

/** What suppliers and customers have open, and their papers. */
public final class PartyListings {
  private static final String LATEST = "(select max(p.date) from paper p where p.party_id = w.id)";

  /**
   * The last day on which papers of party {@code w} must be kept by book {@code b}; null without
   * any.
   */
  public static final String KEPT_UNTIL =
      "makedate(year(" + LATEST + ") + b.keep_years + 1, 1) - interval 1 day";

  private PartyListings() {}

  /** What suppliers or customers have open. */
  public static Listing open(Party.Kind side) {
    boolean owing = side == Party.Kind.SUPPLIER;
    String sign = owing ? "-" : "";
    return new Listing(
            owing ? "Owed to suppliers" : "Owed by customers",
            """
        open_item o straight_join party w on w.id = o.party_id
        left join paper p on p.id = o.paper_id
        where (o.open < 0 or o.open > 0) and w.kind = :side""",
            Map.of("side", side.name()),
            List.of(
                new Column("id", "", "p.id", HIDDEN),
                new Column("party_id", "", "w.id", HIDDEN),
                owing ? Papers.supplier() : Papers.customer(),
                new Column("number", "Number", "o.number", TEXT, Papers.PAPER),
                Papers.reference(owing ? "Their number" : "Their order"),
                new Column("date", "Date", "o.date", DATE),
                new Column("due", "Due", "o.due", DATE),
                new Column("amount", "Amount", sign + "o.amount", MONEY),
                new Column("open", "Still open", sign + "o.open", MONEY, Papers.PAPER)),
            "o.id",
            "due",
            "Nothing is open.")
        .ordersFirst();
  }

  /** All papers of a party. */
  public static Listing ofParty(long party) {
    return new Listing(
        "Papers",
        "paper p straight_join paper_kind k on k.kind = p.kind where p.party_id = :party",
        Map.of("party", party),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("date", "Date", "p.date", DATE),
            new Column("number", "Number", "p.number", TEXT, Papers.PAPER),
            new Column("kind", "Paper", "k.words", TEXT),
            Papers.reference("Their number"),
            Papers.what(),
            Papers.due(),
            Papers.total("Total").apart(),
            Papers.open("Still open").apart(),
            Papers.state()),
        "p.id",
        "-date",
        "No paper yet.");
  }

  /** Suppliers and customers as persons about whom something is kept, and until when. */
  public static Listing personal() {
    return new Listing(
        "Personal data",
        """
        party w join book b on b.id = 1 where w.merged_into is null""",
        Map.of(),
        List.of(
            new Column("id", "", "w.id", HIDDEN),
            new Column("name", "Name", "w.name", TEXT, "/parties/{id}/personal"),
            new Column("kind", "Who", "if(w.kind = 'CUSTOMER', 'customer', 'supplier')", TEXT),
            new Column("last", "Latest paper", LATEST, DATE),
            new Column("until", "Papers kept until", KEPT_UNTIL, DATE),
            new Column("erased", "Erased", "cast(w.erased_at as date)", DATE),
            new Column("state", "State", "if(w.active, 'in use', 'switched off')", TEXT)),
        "w.id",
        "name",
        "There are no suppliers or customers yet.");
  }
}
