package zinctally.store.sell;

import java.time.LocalDate;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.papers.PaperKind;

/** What a customer owed, was charged and paid in a stretch of time, as the ledger has it. */
@Repository
public class StatementStore {
  private final JdbcClient sql;

  StatementStore(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * @param before minor units owed when it begins
   */
  public record Statement(LocalDate from, LocalDate to, long before, List<Line> lines) {
    /** Minor units owed at its end. */
    public long after() {
      return before + lines.stream().mapToLong(Line::amount).sum();
    }
  }

  /**
   * @param amount minor units; above zero what is charged, below zero what is paid or credited
   * @param after minor units owed after it
   */
  public record Line(
      LocalDate date, String number, String reference, String what, long amount, long after) {}

  public Statement of(long customer, LocalDate from, LocalDate to) {
    long before =
        sql.sql(
                """
                select coalesce(sum(l.amount), 0) from journal_line l
                join account a on a.id = l.account_id and a.role = 'RECEIVABLES'
                where l.party_id = ? and l.date < ?
                """)
            .params(customer, from)
            .query(Long.class)
            .single();
    long[] owed = {before};
    List<Line> lines =
        sql.sql(
                """
                select l.date, p.number, p.reference, p.kind, sum(l.amount) as amount
                from journal_line l join account a on a.id = l.account_id and a.role = 'RECEIVABLES'
                join journal j on j.id = l.journal_id join paper p on p.id = j.paper_id
                where l.party_id = ? and l.date between ? and ?
                group by l.date, p.id having amount <> 0 order by l.date, p.id
                """)
            .params(customer, from, to)
            .query(
                (row, n) -> {
                  owed[0] += row.getLong(5);
                  return new Line(
                      row.getObject(1, LocalDate.class),
                      row.getString(2),
                      row.getString(3),
                      PaperKind.valueOf(row.getString(4)).words(),
                      row.getLong(5),
                      owed[0]);
                })
            .list();
    return new Statement(from, to, before, lines);
  }
}
