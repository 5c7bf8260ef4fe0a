package zinctally.store.listing;

import static zinctally.store.listing.Listing.Type.DATE;
import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.MONEY;
import static zinctally.store.listing.Listing.Type.NUMBER;
import static zinctally.store.listing.Listing.Type.TEXT;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import zinctally.store.listing.Listing.Column;

/** Tax by period and rate, and the papers behind it; its sums are those of the tax accounts. */
public final class TaxListings {
  private TaxListings() {}

  /**
   * What each paper bears of a rate: its base from its lines, its tax from the ledger; lines
   * without a rate stand under (none), so that the bases of sales add up to what was sold. A voided
   * paper is taken off on the day it was voided.
   */
  private static final String PARTS =
      """
      (select j.paper_id, l.date as day, a.role,
         if(k.by_hand, 'by hand', l.memo) as rate,
         if(k.head_taxed, if(j.reverses, -p.net, p.net), 0) as base, l.amount as tax
       from account a join journal_line l on l.account_id = a.id and l.date between :from and :to
       join journal j on j.id = l.journal_id join paper p on p.id = j.paper_id
       join paper_kind k on k.kind = p.kind where a.role in ('SALES_TAX', 'PURCHASE_TAX')
       union all
       select p.id, p.date, k.tax_role, coalesce(t.code, '(none)'), k.tax_sign * l.net, 0
       from paper p join paper_kind k on k.kind = p.kind and k.tax_role <> ''
       join paper_line l on l.paper_id = p.id and l.version = p.version
         and (l.tax_rate_id is not null or l.net <> 0)
       left join tax_rate t on t.id = l.tax_rate_id
       where p.date between :from and :to
       union all
       select p.id, v.day, k.tax_role, coalesce(t.code, '(none)'), -k.tax_sign * l.net, 0
       from (select paper_id, max(date) as day from journal where reverses group by paper_id) v
       join paper p on p.id = v.paper_id and p.state = 'VOID'
       join paper_kind k on k.kind = p.kind and k.tax_role <> ''
       join paper_line l on l.paper_id = p.id and l.version = p.version
         and (l.tax_rate_id is not null or l.net <> 0)
       left join tax_rate t on t.id = l.tax_rate_id
       where v.day between :from and :to) x
      left join tax_rate r on r.code = x.rate""";

  private static final String SIDE = "if(x.role = 'SALES_TAX', 'sales', 'purchases')";
  private static final String SIGN = "if(x.role = 'SALES_TAX', -1, 1)";

  /** Base and tax by rate in some days, both ends with them. */
  public static Listing byRate(LocalDate from, LocalDate to) {
    return new Listing(
        "Tax",
        "(select "
            + SIDE
            + " as side, x.rate, max(r.name) as name, max(r.percent) as percent, sum("
            + SIGN
            + " * x.base) as base, sum("
            + SIGN
            + " * x.tax) as tax, count(distinct x.paper_id) as papers from "
            + PARTS
            + " group by 1, 2) t where true",
        Map.of("from", from, "to", to),
        List.of(
            new Column("side", "On", "t.side", TEXT),
            new Column(
                "rate", "Rate", "t.rate", TEXT, "/prove/tax/papers?filter={rate}" + days(from, to)),
            new Column("name", "Name", "t.name", TEXT),
            new Column("percent", "Percent", "cast(t.percent as decimal(7,2))", NUMBER),
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

  /** The papers behind the tax of some days. */
  public static Listing papers(LocalDate from, LocalDate to) {
    return new Listing(
        "Papers with tax",
        "(select "
            + SIDE
            + " as side, x.rate, x.paper_id, x.day, sum("
            + SIGN
            + " * x.base) as base, sum("
            + SIGN
            + " * x.tax) as tax from "
            + PARTS
            + " group by 1, 2, 3, 4 having base <> 0 or tax <> 0) t"
            + " join paper p on p.id = t.paper_id left join party w on w.id = p.party_id"
            + " where true",
        Map.of("from", from, "to", to),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("day", "Date", "t.day", DATE),
            new Column("number", "Paper", "p.number", TEXT, "/papers/{id}"),
            new Column("reference", "Their number", "p.reference", TEXT),
            new Column("party", "Who", "w.name", TEXT),
            new Column("side", "On", "t.side", TEXT),
            new Column("rate", "Rate", "t.rate", TEXT),
            new Column("base", "Without tax", "t.base", MONEY, "/papers/{id}"),
            new Column("tax", "Tax", "t.tax", MONEY, "/papers/{id}"),
            Papers.state()),
        "concat(lpad(p.id, 12, '0'), t.side, t.rate, t.day)",
        "-day",
        "No paper with tax in these days.");
  }
}
