package zinctally.store.book;

import java.time.LocalDate;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import zinctally.core.ledger.Role;
import zinctally.core.papers.tax.TaxBox;
import zinctally.core.papers.tax.TaxBoxes;
import zinctally.core.papers.tax.TaxDue;

/** What tax waits to be declared, and the boxes it is declared in. */
final class TaxLookup {
  private final JdbcClient sql;
  private final long amends;

  /**
   * @param amends the posted return that is amended, which declares what it declared anew
   */
  TaxLookup(JdbcClient sql, long amends) {
    this.sql = sql;
    this.amends = amends;
  }

  TaxBoxes boxes() {
    return new TaxBoxes(
        sql.sql("select code, words, counts, of from tax_box order by place, id")
            .query(
                (row, n) ->
                    new TaxBox(
                        row.getString(1),
                        row.getString(2),
                        TaxBox.Counts.valueOf(row.getString(3)),
                        row.getString(4)))
            .list());
  }

  List<TaxDue> due(LocalDate from, LocalDate to) {
    return sql.sql(
            """
            select account_id, side, rate, sum(base) as base, sum(tax) as tax, late from (
              select account_id, side, rate, sum(base) as base, sum(tax) as tax,
                date < :from as late
              from tax_entry where return_id is null and date <= :to
              group by account_id, side, rate, late
              union all
              select account_id, side, rate, sum(base), sum(tax), date < :from as late
              from tax_entry where return_id = :amends and date <= :to
              group by account_id, side, rate, late) t
            group by account_id, side, rate, late having base <> 0 or tax <> 0
            order by late desc, side desc, rate, account_id
            """)
        .param("from", from)
        .param("to", to)
        .param("amends", amends)
        .query(
            (row, n) ->
                new TaxDue(
                    row.getLong(1),
                    Role.valueOf(row.getString(2)),
                    row.getString(3),
                    row.getLong(4),
                    row.getLong(5),
                    row.getBoolean(6)))
        .list();
  }
}
