package zinctally.store.find;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Looks for items, papers and accounts by a few letters. */
@Repository
public class FindStore {
  private final JdbcClient sql;

  FindStore(JdbcClient sql) {
    this.sql = sql;
  }

  /** Something found. */
  public record Hit(long id, String words, String aside) {}

  public List<Hit> items(String typed, int atMost) {
    return hits(
        "select id, name, code from item where code like :start or name like :within or gtin = :word"
            + " order by code = :word desc, name limit :most",
        typed,
        atMost);
  }

  /** By our number or by any part of the other side's number, or who it is with. */
  public List<Hit> papers(String typed, int atMost) {
    return hits(
        """
        select p.id, p.number, concat_ws(', ', w.name, nullif(p.reference, ''), p.date) from paper p
        left join party w on w.id = p.party_id
        where p.number like :within or p.reference like :within or w.name like :start
        order by p.date desc, p.id desc limit :most
        """,
        typed,
        atMost);
  }

  public List<Hit> suppliers(String typed, int atMost) {
    return hits(
        "select id, name, 'supplier' from party"
            + " where kind = 'SUPPLIER' and merged_into is null and name like :within"
            + " order by name like :start desc, name limit :most",
        typed,
        atMost);
  }

  /** Lots and serial numbers. */
  public List<Hit> lots(String typed, int atMost) {
    return hits(
        "select l.id, l.code, i.name from lot l join item i on i.id = l.item_id"
            + " where l.code like :start order by l.code limit :most",
        typed,
        atMost);
  }

  public List<Hit> accounts(String typed, int atMost) {
    return hits(
        "select id, concat(code, ' ', name), 'account' from account"
            + " where code like :start or name like :within order by code limit :most",
        typed,
        atMost);
  }

  private List<Hit> hits(String query, String typed, int atMost) {
    return sql.sql(query)
        .param("word", typed)
        .param("start", Like.escaped(typed) + "%")
        .param("within", "%" + Like.escaped(typed) + "%")
        .param("most", atMost)
        .query((row, n) -> new Hit(row.getLong(1), row.getString(2), row.getString(3)))
        .list();
  }
}
