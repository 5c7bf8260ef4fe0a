package zinctally.store.paper;

import java.time.LocalDate;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What a paper goes on from and what went on from it, in the order in which it happened. */
@Repository
public class ChainStore {
  private static final int MOST = 24;
  private final JdbcClient sql;

  ChainStore(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * A paper of the chain.
   *
   * @param kind what it is, in words
   */
  public record Step(long id, String kind, String number, LocalDate date, boolean isVoid) {}

  /**
   * The chain of a paper, itself with it: orders, receipts, bills and whatever names them in its
   * lines, and the payments that settle these. A payment ends a chain, as it settles much that has
   * nothing to do with it.
   */
  public List<Step> of(long paper) {
    return sql.sql(
            """
            with recursive c (id) as (
              select cast(:paper as signed)
              union
              select l.of_paper from c join paper p on p.id = c.id
              join paper_line l on l.paper_id = p.id and l.version = p.version
              where l.of_paper is not null
              union
              select p.id from c join paper_line l on l.of_paper = c.id
              join paper p on p.id = l.paper_id and p.version = l.version
            )
            select p.id, k.words, p.number, p.date, p.state = 'VOID' as void
            from (select id from c union
                  select s.paper_id from c join open_item o on o.paper_id = c.id
                  join settlement s on s.open_item_id = o.id
                  group by s.paper_id, o.id having sum(s.amount) <> 0) x
            join paper p on p.id = x.id join paper_kind k on k.kind = p.kind
            order by p.date, p.id limit :most
            """)
        .param("paper", paper)
        .param("most", MOST)
        .query(
            (row, n) ->
                new Step(
                    row.getLong("id"),
                    row.getString("words"),
                    row.getString("number"),
                    row.getObject("date", LocalDate.class),
                    row.getBoolean("void")))
        .list();
  }
}
