package zinctally.store.count;

import static zinctally.store.listing.Listing.Type.DATE;
import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.MONEY;
import static zinctally.store.listing.Listing.Type.NUMBER;
import static zinctally.store.listing.Listing.Type.PERCENT;
import static zinctally.store.listing.Listing.Type.QUANTITY;
import static zinctally.store.listing.Listing.Type.TEXT;
import static zinctally.store.listing.Listing.Type.TIME;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import zinctally.store.listing.Listing;
import zinctally.store.listing.Listing.Column;

/** Count sheets, what stands on them, and how well counts agree with the book. */
public final class CountListings {
  private static final String ITEM = "/goods/item/{item_id}";
  private static final int MOST = 100_000;

  private CountListings() {}

  /** Every sheet. */
  public static Listing sheets() {
    return new Listing(
        "Stock counts",
        """
        count_sheet s join place p on p.id = s.place_id
        left join paper q on q.id = s.paper_id where true""",
        Map.of(),
        List.of(
            new Column("id", "", "s.id", HIDDEN),
            new Column("paper_id", "", "s.paper_id", HIDDEN),
            new Column("count", "Count", "concat('Count ', s.id)", TEXT, "/handle/counts/{id}"),
            new Column("date", "Day", "s.date", DATE),
            new Column("place", "Place", "p.name", TEXT),
            new Column("what", "What", "s.what", TEXT, "/handle/counts/{id}"),
            new Column("lines", "Lines", of("count(*)"), NUMBER),
            new Column("counted", "Counted", of("count(l.counted)"), NUMBER),
            new Column("apart", "Apart", of("coalesce(sum(l.counted <> l.expected), 0)"), NUMBER),
            new Column("state", "State", state(), TEXT),
            new Column("number", "Paper", "coalesce(q.number, '')", TEXT, "/papers/{paper_id}"),
            new Column("by", "Begun by", "s.begun_by", TEXT)),
        "s.id",
        "-date",
        "No count yet. Begin one of a place, a shelf or a group; several people can count on it.");
  }

  private static String of(String what) {
    return "(select " + what + " from count_line l where l.sheet_id = s.id)";
  }

  private static String state() {
    return "case s.state "
        + Stream.of(CountSheet.State.values())
            .map(s -> "when '" + s.name() + "' then '" + s.words() + "' ")
            .reduce("", String::concat)
        + "end";
  }

  /** Every line of a sheet. */
  public static Listing lines(long sheet) {
    return new Listing(
            "Count " + sheet,
            CountLines.FROM + " where s.id = :sheet",
            Map.of("sheet", sheet),
            List.of(
                new Column("item_id", "", "i.id", HIDDEN),
                new Column("line_id", "", "l.id", HIDDEN),
                new Column("shelf", "Shelf", "i.shelf", TEXT),
                new Column("code", "Code", "i.code", TEXT, ITEM),
                new Column("item", "Item", "i.name", TEXT, ITEM),
                new Column("lot", "Lot or serial", "coalesce(t.code, '')", TEXT),
                new Column("expected", "Expected", "l.expected", QUANTITY),
                new Column(
                    "counted",
                    "Counted",
                    "l.counted",
                    QUANTITY,
                    "/handle/counts/" + sheet + "/lines/{line_id}"),
                new Column("apart", "Apart", "nullif(l.counted - l.expected, 0)", QUANTITY),
                new Column("value", "At present cost", "nullif(" + CountLines.WORTH + ", 0)", MONEY)
                    .ofCost(),
                new Column(
                    "reason",
                    "Reason",
                    "coalesce((select r.name from reason r where r.id = l.reason_id), '')",
                    TEXT),
                new Column(
                    "state",
                    "State",
                    "if(l.counted is null, 'not counted', if("
                        + CountLines.WANTED
                        + ", 'to count again', if(l.round > 1, 'counted twice', '')))",
                    TEXT),
                new Column("by", "Counted by", "l.counted_by", TEXT),
                new Column("at", "At", "l.counted_at", TIME)),
            "l.id",
            "shelf",
            "Nothing of that is on this sheet.")
        .addedUpTo(MOST);
  }

  /** By what the agreement of counts is looked at. */
  public enum By {
    PLACE("By place", "Place", "p.name"),
    GROUP("By group", "Group", "g.name"),
    COUNTER("By who counted", "Counted by", "l.counted_by"),
    MONTH("By month", "Month", "date_format(s.date, '%Y-%m')");

    private final String words;
    private final String heading;
    private final String sql;

    By(String words, String heading, String sql) {
      this.words = words;
      this.heading = heading;
      this.sql = sql;
    }

    public String words() {
      return words;
    }

    /** Its word in addresses. */
    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /** How many lines of counts done in the last two years agreed, and what was over and missing. */
  public static Listing agreement(By by) {
    return new Listing(
        "How counts agree, " + by.words().toLowerCase(Locale.ROOT),
        """
        (select %s as name, count(*) as counted, sum(l.counted = l.expected) as agreed,
           sum(greatest(%s, 0)) as above, sum(greatest(-%s, 0)) as below
         from %s join place p on p.id = s.place_id join item_group g on g.id = i.group_id
         where s.state = 'POSTED' and l.counted is not null
           and s.date > current_date - interval 2 year
         group by %s) a where true"""
            .formatted(by.sql, CountLines.WORTH, CountLines.WORTH, CountLines.FROM, by.sql),
        Map.of(),
        List.of(
            new Column("name", by.heading, "a.name", TEXT),
            new Column("counted", "Lines counted", "a.counted", NUMBER).addedUp(),
            new Column("agreed", "Agreed", "a.agreed", NUMBER).addedUp(),
            new Column("percent", "Of a hundred", "round(100 * a.agreed / a.counted, 1)", PERCENT),
            new Column("above", "Over", "a.above", MONEY).ofCost(),
            new Column("below", "Missing", "a.below", MONEY).ofCost()),
        "a.name",
        by == By.MONTH ? "-name" : "percent",
        "No count is done yet.");
  }

  private static final String COUNTED_LAST =
      """
      place_stock k join item i on i.id = k.item_id join place p on p.id = k.place_id
      join item_group g on g.id = i.group_id
      left join item_class a on a.item_id = i.id
      left join (
        select l.item_id, s.place_id, max(l.counted_at) as at
        from count_line l join count_sheet s on s.id = l.sheet_id and s.state = 'POSTED'
          and s.date > current_date - interval 2 year
        where l.counted_at is not null group by l.item_id, s.place_id) c
        on c.item_id = k.item_id and c.place_id = k.place_id
      where k.quantity <> 0""";

  /** Days after which an item is counted again. */
  private static final String CYCLE =
      "case a.class when 'A' then %d when 'B' then %d else %d end"
          .formatted(
              StockClasses.CYCLE.get("A"),
              StockClasses.CYCLE.get("B"),
              StockClasses.CYCLE.get("C"));

  /** What is at each place, and when it was counted there last. */
  public static Listing lastCounted() {
    return counted("When goods were counted last", COUNTED_LAST, "at", "Nothing is anywhere.");
  }

  /** What was not counted for longer than its class asks, and is on no sheet that is open. */
  public static Listing due() {
    return counted(
        "To count today",
        COUNTED_LAST
            + " and p.active and i.active and coalesce(datediff(current_date, c.at) > "
            + CYCLE
            + """
              , true) and not exists (
                select 1 from count_line o join count_sheet w on w.id = o.sheet_id
                where o.item_id = i.id and w.place_id = p.id and w.state in ('OPEN', 'CLOSED'))""",
        "class",
        "Nothing is due: all that is anywhere was counted as often as its class asks.");
  }

  private static Listing counted(String name, String from, String sort, String empty) {
    return new Listing(
        name,
        from,
        Map.of(),
        List.of(
            new Column("item_id", "", "i.id", HIDDEN),
            new Column("place", "Place", "p.name", TEXT),
            new Column("shelf", "Shelf", "i.shelf", TEXT),
            new Column("code", "Code", "i.code", TEXT, ITEM),
            new Column("item", "Item", "i.name", TEXT, ITEM),
            new Column("group", "Group", "g.name", TEXT),
            new Column("class", "Class", "coalesce(a.class, 'C')", TEXT),
            new Column("here", "Here", "k.quantity", QUANTITY),
            new Column("at", "Counted last", "c.at", TIME),
            new Column("days", "Days since", "datediff(current_date, c.at)", NUMBER)),
        "concat(lpad(i.id, 12, '0'), '.', lpad(p.id, 8, '0'))",
        sort,
        empty);
  }
}
