package zinctally.store.listing;

import static zinctally.store.listing.Listing.Type.DATE;
import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.MONEY;
import static zinctally.store.listing.Listing.Type.NUMBER;
import static zinctally.store.listing.Listing.Type.TEXT;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.tax.TaxBox;
import zinctally.store.listing.Listing.Column;

/** Tax by period and rate, and the papers behind it; its sums are those of the tax accounts. */
public final class TaxListings {
  private TaxListings() {}

  private static final String SIDE = "if(e.side = 'SALES_TAX', 'sales', 'purchases')";
  private static final String RATE = "if(e.rate = '', '(none)', e.rate)";
  private static final String OF_DAYS = "e.date between :from and :to";
  private static final Column LATE =
      new Column("late", "Late", "if(t.day < :from, 'late', '')", TEXT);
  private static final List<Column> PAPERS =
      List.of(
          new Column("id", "", "p.id", HIDDEN),
          new Column("day", "Date", "t.day", DATE),
          new Column("number", "Paper", "p.number", TEXT, Papers.PAPER),
          new Column("reference", "Their number", "p.reference", TEXT),
          new Column("party", "Who", "w.name", TEXT),
          new Column("side", "On", "t.side", TEXT),
          new Column("rate", "Rate", "t.rate", TEXT),
          new Column("base", "Without tax", "t.base", MONEY, Papers.PAPER),
          new Column("tax", "Tax", "t.tax", MONEY, Papers.PAPER));

  /** Base and tax by rate in some days, both ends with them. */
  public static Listing byRate(LocalDate from, LocalDate to) {
    return new Listing(
        "Tax",
        "(select "
            + SIDE
            + " as side, "
            + RATE
            + " as rate, sum(e.base) as base, sum(e.tax) as tax, count(distinct e.paper_id) as papers"
            + " from tax_entry e where "
            + OF_DAYS
            + " group by 1, 2) t left join tax_rate r on r.code = t.rate where true",
        Map.of("from", from, "to", to),
        List.of(
            new Column("side", "On", "t.side", TEXT),
            new Column(
                "rate", "Rate", "t.rate", TEXT, "/prove/tax/papers?filter={rate}" + days(from, to)),
            new Column("name", "Name", "r.name", TEXT),
            new Column("percent", "Percent", "cast(r.percent as decimal(7,2))", NUMBER),
            new Column("base", "Without tax", "t.base", MONEY),
            new Column(
                "tax", "Tax", "t.tax", MONEY, "/prove/tax/papers?filter={rate}" + days(from, to)),
            new Column("papers", "Papers", "t.papers", NUMBER)),
        "concat(t.side, '.', t.rate)",
        "-side",
        "No tax in these days.");
  }

  private static String days(LocalDate from, LocalDate to) {
    return "&from=" + from + "&to=" + to;
  }

  /** Tax returns. */
  public static Listing returns() {
    return Papers.list(
        "Tax returns",
        "No tax return yet.",
        List.of(
            Papers.supplier(),
            new Column(
                "from",
                "From",
                "(select from_day from tax_return t where t.paper_id = p.id)",
                DATE),
            new Column(
                "to", "To", "(select to_day from tax_return t where t.paper_id = p.id)", DATE),
            Papers.due(),
            Papers.total("To pay"),
            Papers.open("Still open"),
            Papers.state()),
        PaperKind.TAX_RETURN);
  }

  /**
   * What a box of a return would count up to a day, paper by paper.
   *
   * @param from what is of earlier days is late
   */
  public static Listing waiting(TaxBox box, LocalDate from, LocalDate to) {
    Map<String, Object> params = new HashMap<>();
    params.put("side", box.counts().side().name());
    params.put("to", to);
    if (!box.rates().isEmpty()) params.put("rates", box.rates());
    return declared(
        "Box " + box.code() + ", " + box.words(),
        "e.return_id is null and e.date <= :to and e.side = :side"
            + (box.rates().isEmpty() ? "" : " and e.rate in (:rates)"),
        params,
        from);
  }

  /**
   * What a posted return declares, paper by paper.
   *
   * @param from its first day
   */
  public static Listing declared(long paper, String number, LocalDate from) {
    return declared(
        "Declared with " + number, "e.return_id = :paper", Map.of("paper", paper), from);
  }

  private static Listing declared(
      String name, String which, Map<String, Object> params, LocalDate from) {
    Map<String, Object> all = new HashMap<>(params);
    all.put("from", from);
    return behind(name, which, all, List.of(LATE), "No paper stands behind this.");
  }

  /** The papers behind the tax of some days. */
  public static Listing papers(LocalDate from, LocalDate to) {
    return behind(
        "Papers with tax",
        OF_DAYS,
        Map.of("from", from, "to", to),
        List.of(),
        "No paper with tax in these days.");
  }

  private static Listing behind(
      String name, String which, Map<String, Object> params, List<Column> more, String empty) {
    List<Column> columns = new ArrayList<>(PAPERS);
    columns.addAll(more);
    columns.add(Papers.state());
    return new Listing(
        name,
        "(select e.paper_id, e.date as day, "
            + SIDE
            + " as side, "
            + RATE
            + " as rate, sum(e.base) as base, sum(e.tax) as tax from tax_entry e where "
            + which
            + " group by 1, 2, 3, 4 having base <> 0 or tax <> 0) t"
            + " join paper p on p.id = t.paper_id left join party w on w.id = p.party_id where true",
        params,
        columns,
        "concat(lpad(p.id, 12, '0'), t.side, t.rate, t.day)",
        "-day",
        empty);
  }
}
