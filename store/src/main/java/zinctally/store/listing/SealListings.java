package zinctally.store.listing;

import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.NUMBER;
import static zinctally.store.listing.Listing.Type.TEXT;
import static zinctally.store.listing.Listing.Type.TIME;

import java.util.List;
import java.util.Map;
import zinctally.store.listing.Listing.Column;

/** Seals, and what has changed words of what is sealed. */
public final class SealListings {
  private SealListings() {}

  public static Listing seals() {
    return new Listing(
        "Seals",
        "seal s where true",
        Map.of(),
        List.of(
            new Column("no", "Seal", "s.no", NUMBER),
            new Column("at", "Made", "s.at", TIME),
            new Column("leaves", "Holds", "s.leaves", NUMBER).addedUp(),
            new Column("hash", "Its hash", "lower(hex(s.hash))", TEXT),
            new Column(
                "months",
                "Made when closing",
                """
                (select group_concat(date_format(p.month, '%Y-%m') order by p.month separator ', ')
                 from period p where p.seal_no = s.no)""",
                TEXT)),
        "s.no",
        "-no",
        "Nothing is sealed yet; it is within a minute of being posted.");
  }

  /** Words that were changed by erasing a person or merging two; no figures are ever. */
  public static Listing changes() {
    return new Listing(
        "Sealed words that were changed",
        """
        seal_change c left join posting t on c.kind = 'posting' and t.id = c.of_id
        left join paper p on p.id = t.paper_id where true""",
        Map.of(),
        List.of(
            new Column("paper", "", "p.id", HIDDEN),
            new Column("at", "When", "c.at", TIME),
            new Column("login", "Who", "c.login", TEXT),
            new Column("why", "Why", "c.why", TEXT),
            new Column(
                "of",
                "Words of",
                "coalesce(p.number, concat('audit line ', c.of_id))",
                TEXT,
                "/papers/{paper}")),
        "c.id",
        "-at",
        "No words of what is sealed have been changed.");
  }
}
