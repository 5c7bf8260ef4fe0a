package zinctally.store.paper;

import java.time.LocalDate;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What papers have settled of each other. */
@Repository
public class SettledStore {
  private final JdbcClient sql;

  SettledStore(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * Something that one paper settled of another.
   *
   * @param other the other paper's id
   * @param number its number, ours
   * @param named under which it was owed, when that is another; else empty
   * @param dated the other paper's date
   * @param date of the settling
   * @param amount minor units
   */
  public record Settled(
      long other, String number, String named, LocalDate dated, LocalDate date, long amount) {}

  /** What a paper, as a payment, has settled of others. */
  public List<Settled> settles(long paper) {
    return settled("s.paper_id = :paper and o.paper_id <> :paper", "o.paper_id", paper);
  }

  /** Which papers have settled something of this one. */
  public List<Settled> settledBy(long paper) {
    return settled("o.paper_id = :paper and s.paper_id <> :paper", "s.paper_id", paper);
  }

  private List<Settled> settled(String which, String other, long paper) {
    return sql.sql(
            """
            select p.id, p.number, if(o.number = p.number, '', o.number) as named, p.date as dated,
              max(s.date) as date,
              sum(s.amount) as amount
            from settlement s join open_item o on o.id = s.open_item_id join paper p on p.id = %s
            where %s group by p.id, o.id having amount <> 0 order by date, p.id
            """
                .formatted(other, which))
        .param("paper", paper)
        .query(
            (row, n) ->
                new Settled(
                    row.getLong("id"),
                    row.getString("number"),
                    row.getString("named"),
                    row.getObject("dated", LocalDate.class),
                    row.getObject("date", LocalDate.class),
                    Math.abs(row.getLong("amount"))))
        .list();
  }
}
