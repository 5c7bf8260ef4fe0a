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
   * The chain of a paper, itself with it: what it goes on from and what that goes on from, what
   * went on from it, and the payments that settle these. It goes straight up and straight down, so
   * that it never takes in the whole history of a customer; a payment ends it, as it settles much
   * that has nothing to do with it.
   */
  public List<Step> of(long paper) {
    return sql.sql(
            """
            with recursive up (id) as (
              select cast(:paper as signed)
              union
              select l.of_paper from up join paper p on p.id = up.id
              join paper_line l on l.paper_id = p.id and l.version = p.version
              where l.of_paper is not null
              union
              select a.paper_id from up join fulfilment f on f.paper_id = up.id
              join awaited a on a.id = f.awaited_id
            ), down (id) as (
              select cast(:paper as signed)
              union
              select p.id from down join paper_line l on l.of_paper = down.id
              join paper p on p.id = l.paper_id and p.version = l.version
              union
              select f.paper_id from down join awaited a on a.paper_id = down.id
              join fulfilment f on f.awaited_id = a.id
            ), c (id) as (select id from up union select id from down)
            select * from (
              select p.id, k.words, p.number, p.date, p.state = 'VOID' as void
              from (select id from c union
                    select s.paper_id from c join open_item o on o.paper_id = c.id
                    join settlement s on s.open_item_id = o.id
                    group by s.paper_id, o.id having sum(s.amount) <> 0) x
              join paper p on p.id = x.id join paper_kind k on k.kind = p.kind
              order by p.id <> :paper, p.date desc, p.id desc limit :most) t
            order by date, id
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
