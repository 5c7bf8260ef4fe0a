package zinctally.store.listing;

import static zinctally.store.listing.Listing.Type.DATE;
import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.MONEY;
import static zinctally.store.listing.Listing.Type.NUMBER;
import static zinctally.store.listing.Listing.Type.PERCENT;
import static zinctally.store.listing.Listing.Type.QUANTITY;
import static zinctally.store.listing.Listing.Type.TEXT;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zinctally.store.listing.Listing.Column;
import zinctally.store.sql.AccountLines;

/**
 * Sales, their cost and their margin, as the ledger has them on their day: revenue from the papers'
 * own lines, cost from the cost entries of what left with them, returns taken off.
 */
public final class SalesListings {
  private static final String OF_ITEM =
      "max(coalesce(i.code, '')) as code, max(coalesce(g.name, '')) as extra, ";

  private static final String OF_PAPER =
      "max(coalesce(w.name, '')) as extra, max(coalesce(u.name, p.seller)) as seller,"
          + " max(coalesce(l.name, '')) as place, max(if(k.back, 'return', '')) as kind,"
          + " min(t.first) as day, ";

  private SalesListings() {}

  /** What sales are summed by. */
  public enum By {
    ITEM("item", Along.ITEM, "i.id", "coalesce(i.name, 'no item')", "/goods/item/{key}"),
    GROUP(
        "group",
        Along.ITEM,
        "g.id",
        "coalesce(g.name, 'no item')",
        "/sell/sales/item?filter={name}"),
    CUSTOMER("customer", Along.PAPER, "w.id", "coalesce(w.name, 'nobody')", "/sell/customer/{key}"),
    STAFF(
        "staff",
        Along.PAPER,
        "p.seller",
        "coalesce(u.name, p.seller)",
        "/sell/sales/paper?filter={name}"),
    PLACE(
        "place",
        Along.PAPER,
        "l.id",
        "coalesce(l.name, 'no place')",
        "/sell/sales/paper?filter={name}"),
    MONTH("month", Along.DAY, "date_format(t.k, '%Y-%m')", "date_format(t.k, '%Y-%m')", ""),
    PAPER("paper", Along.PAPER, "p.id", "p.number", "/papers/{key}");

    private final String words;
    private final Along along;
    private final String key;
    private final String name;
    private final String href;

    By(String words, Along along, String key, String name, String href) {
      this.words = words;
      this.along = along;
      this.key = key;
      this.name = name;
      this.href = href;
    }

    public String words() {
      return words;
    }

    /** Empty for a word that sales are not summed by. */
    public static Optional<By> of(String word) {
      return Arrays.stream(values()).filter(b -> b.words.equals(word)).findFirst();
    }
  }

  /** What lines and entries are added up along before anything is looked up for them. */
  private enum Along {
    ITEM(
        "l.item_id",
        "",
        "n.item_id",
        "a.item_id",
        "left join item i on i.id = nullif(t.k, 0) left join item_group g on g.id = i.group_id"),
    DAY("l.date", "", "n.posting_date", "f.date", ""),
    PAPER(
        "j.paper_id",
        "join journal j on j.id = l.journal_id",
        "e.paper_id",
        "f.paper_id",
        """
        join paper p on p.id = t.k join paper_kind k on k.kind = p.kind
        left join party w on w.id = p.party_id left join place l on l.id = p.place_id
        left join app_user u on u.login = p.seller""");

    private final String ofLine;
    private final String journal;
    private final String ofEntry;
    private final String ofFulfilment;

    /** Joins what has a name for it. */
    private final String names;

    Along(String ofLine, String journal, String ofEntry, String ofFulfilment, String names) {
      this.ofLine = ofLine;
      this.journal = journal;
      this.ofEntry = ofEntry;
      this.ofFulfilment = ofFulfilment;
      this.names = names;
    }

    /**
     * Revenue, cost and quantity, with the first day and the last one of a sale, from {@code :from}
     * to {@code :to}.
     */
    String sold(LocalDate from, LocalDate to) {
      return """
      (select x.k, sum(x.net) as net, sum(x.cost) as cost, sum(x.quantity) as quantity,
         min(x.first) as first, max(x.last) as last from (
       select %s as k, sum(-l.amount) as net, 0 as cost, 0 as quantity, min(l.date) as first,
         max(if(l.amount < 0, l.date, null)) as last
       from account a %s where a.kind = 'INCOME' and not l.worked group by 1
       union all
       select %s, 0, sum(-n.value), sum(-n.quantity), min(n.posting_date), null
       from cost_entry n join cost_event e on e.id = n.event_id
       join account a on a.id = e.contra_account and a.role = 'COST_OF_GOODS_SOLD'
       where n.posting_date between :from and :to group by 1
       union all
       select %s, 0, sum(f.value), sum(f.quantity), min(f.date), null
       from fulfilment f join awaited a on a.id = f.awaited_id and a.what = 'SENT_INVOICE'
         and a.paper_id <> f.paper_id
       where f.date between :from and :to group by 1) x group by x.k)"""
          .strip()
          .formatted(ofLine, AccountLines.join(from, to) + journal, ofEntry, ofFulfilment);
    }
  }

  /** Sales of some days, both ends with them. */
  public static Listing sales(By by, LocalDate from, LocalDate to) {
    boolean paper = by == By.PAPER;
    List<Column> columns = new ArrayList<>();
    columns.add(new Column("key", "", "s.k", HIDDEN));
    columns.add(new Column("name", heading(by), "s.name", TEXT, by.href));
    if (by == By.ITEM) {
      columns.add(new Column("code", "Code", "s.code", TEXT));
      columns.add(new Column("group", "Group", "s.extra", TEXT));
      columns.add(new Column("quantity", "Sold", "s.quantity", QUANTITY));
    }
    if (paper) {
      columns.add(new Column("day", "Date", "s.day", DATE));
      columns.add(new Column("who", "Customer", "s.extra", TEXT));
      columns.add(new Column("seller", "Sold by", "s.seller", TEXT));
      columns.add(new Column("place", "Place", "s.place", TEXT));
      columns.add(new Column("kind", "What", "s.kind", TEXT));
    }
    columns.add(new Column("net", "Sales", "s.net", MONEY));
    columns.add(new Column("cost", "Cost", "s.cost", MONEY));
    columns.add(new Column("margin", "Margin", "s.net - s.cost", MONEY));
    columns.add(
        new Column(
            "percent",
            "Margin %",
            "cast(100 * (s.net - s.cost) / nullif(s.net, 0) as decimal(9,1))",
            PERCENT));
    return new Listing(
            "Sales by " + by.words,
            "(select "
                + by.key
                + " as k, "
                + by.name
                + " as name, "
                + (by == By.ITEM ? OF_ITEM : "")
                + (paper ? OF_PAPER : "")
                + "sum(t.quantity) as quantity, sum(t.net) as net, sum(t.cost) as cost from "
                + by.along.sold(from, to)
                + " t "
                + by.along.names
                + " group by 1, 2 having net <> 0 or cost <> 0) s where true",
            Map.of("from", from, "to", to),
            columns,
            "coalesce(s.k, 0)",
            by == By.MONTH ? "name" : "-net",
            "Nothing was sold in these days.")
        .atOnce();
  }

  /** Items that were sold in some days, or are in stock now: what sells, and what sleeps. */
  public static Listing map(LocalDate from, LocalDate to) {
    return new Listing(
            "What sells, what sleeps",
            "(select i.id as k, i.name, i.code, coalesce(s.net, 0) as net, coalesce(s.cost, 0) as cost,"
                + " coalesce(s.quantity, 0) as quantity, coalesce(h.worth, 0) as worth, s.last"
                + " from item i left join cost_pool h on h.item_id = i.id left join "
                + Along.ITEM.sold(from, to)
                + " s on s.k = i.id where s.k is not null or h.worth <> 0) s where true",
            Map.of("from", from, "to", to),
            List.of(
                new Column("key", "", "s.k", HIDDEN),
                new Column("name", "Item", "s.name", TEXT, "/goods/item/{key}"),
                new Column("code", "Code", "s.code", TEXT),
                new Column("quantity", "Sold", "s.quantity", QUANTITY),
                new Column("net", "Sales", "s.net", MONEY),
                new Column("cost", "Cost", "s.cost", MONEY),
                new Column("margin", "Margin", "s.net - s.cost", MONEY),
                new Column(
                    "percent",
                    "Margin %",
                    "cast(100 * (s.net - s.cost) / nullif(s.net, 0) as decimal(9,1))",
                    PERCENT),
                new Column("worth", "In stock now", "s.worth", MONEY),
                new Column("last", "Last sold", "s.last", DATE)),
            "s.k",
            "-net",
            "Nothing was sold in these days, and nothing is in stock.")
        .atOnce();
  }

  /** What each of the staff sold, returns taken off: the basis of a commission. */
  public static Listing commission(LocalDate from, LocalDate to) {
    return new Listing(
        "Sold by whom",
        """
        (select p.seller, coalesce(max(u.name), p.seller) as name,
           sum(k.sale > 0) as sales, sum(k.sale < 0) as returns,
           sum(if(k.sale > 0, p.net, 0)) as sold,
           sum(if(k.sale < 0, -p.net, 0)) as back
         from paper p join paper_kind k on k.kind = p.kind and k.sale <> 0
         left join app_user u on u.login = p.seller where p.state = 'POSTED'
           and p.date between :from and :to
         group by p.seller) t where true""",
        Map.of("from", from, "to", to),
        List.of(
            new Column("name", "Who", "t.name", TEXT, "/sell/sales/paper?filter={name}"),
            new Column("sales", "Sales", "t.sales", NUMBER),
            new Column("sold", "Sold without tax", "t.sold", MONEY),
            new Column("returns", "Returns", "t.returns", NUMBER),
            new Column("back", "Taken back", "t.back", MONEY),
            new Column("basis", "Basis", "t.sold + t.back", MONEY)),
        "t.seller",
        "name",
        "Nobody has sold anything in these days.");
  }

  private static String heading(By by) {
    return by.words.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + by.words.substring(1);
  }
}
