package zinctally.store.listing;

import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.MONEY;
import static zinctally.store.listing.Listing.Type.TEXT;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import zinctally.core.papers.Party;
import zinctally.store.listing.Listing.Column;

/** What is owed, by how long it has been due. */
public final class AgeListings {
  private AgeListings() {}

  /** What is owed to suppliers, or by customers, at the end of a day. */
  public static Listing ageing(Party.Kind side, LocalDate date) {
    boolean owing = side == Party.Kind.SUPPLIER;
    String card = owing ? "/buy/supplier/{id}" : "/sell/customer/{id}";
    String sign = owing ? "-" : "";
    return new Listing(
        owing ? "Owed to suppliers, by age" : "Owed by customers, by age",
        "(select w.id, w.name, "
            + sign
            + "sum(u.open) as open, "
            + bucket(sign, "u.due >= :date", "not_due")
            + ", "
            + bucket(sign, "u.due < :date and u.due >= :d30", "d30")
            + ", "
            + bucket(sign, "u.due < :d30 and u.due >= :d60", "d60")
            + ", "
            + bucket(sign, "u.due < :d60 and u.due >= :d90", "d90")
            + ", "
            + bucket(sign, "u.due < :d90", "older")
            + " "
            + """
             from (
              select party_id, due, open from open_item where open < 0 or open > 0
              union all
              select o.party_id, o.due, -o.amount from paper p join open_item o on o.paper_id = p.id
              where p.date > :date
              union all
              select o.party_id, o.due, -s.amount from settlement s
              join open_item o on o.id = s.open_item_id where s.date > :date) u
             join party w on w.id = u.party_id and w.kind = :side
             group by w.id having open <> 0 or not_due <> 0 or d30 <> 0 or d60 <> 0 or d90 <> 0
               or older <> 0) t where true""",
        Map.of(
            "side", side.name(),
            "date", date,
            "d30", date.minusDays(30),
            "d60", date.minusDays(60),
            "d90", date.minusDays(90)),
        List.of(
            new Column("id", "", "t.id", HIDDEN),
            new Column("name", "Who", "t.name", TEXT, card),
            new Column("open", "All", "t.open", MONEY, card),
            new Column("not_due", "Not due yet", "t.not_due", MONEY),
            new Column("d30", "Up to 30 days", "t.d30", MONEY),
            new Column("d60", "31 to 60", "t.d60", MONEY),
            new Column("d90", "61 to 90", "t.d90", MONEY),
            new Column("older", "Older", "t.older", MONEY)),
        "t.id",
        "name",
        "Nothing was open.");
  }

  private static String bucket(String sign, String when, String name) {
    return sign + "sum(if(" + when + ", u.open, 0)) as " + name;
  }
}
