package zinctally.store.seal;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.seal.Hash;
import zinctally.core.seal.Leaf;
import zinctally.core.seal.Seal;

/** Seals and their leaves, as they were written. */
@Repository
public class SealStore {
  private final JdbcClient sql;

  SealStore(JdbcClient sql) {
    this.sql = sql;
  }

  public Optional<Seal> latest() {
    return sql.sql("select * from seal order by no desc limit 1").query(SealStore::seal).optional();
  }

  /** The seal that was made when the month of a day was closed; empty while it is open. */
  public Optional<Seal> ofClosed(LocalDate day) {
    return sql.sql("select s.* from period p join seal s on s.no = p.seal_no where p.month = ?")
        .param(day.withDayOfMonth(1))
        .query(SealStore::seal)
        .optional();
  }

  /** Notes the seal that was made when a month was closed. */
  public void closed(LocalDate month, long no) {
    sql.sql("update period set seal_no = ? where month = ?").params(no, month).update();
  }

  /** Seals from one on, some of them. */
  List<Written> seals(long from, int atMost) {
    return sql.sql("select * from seal where no >= ? order by no limit ?")
        .params(from, atMost)
        .query((row, n) -> new Written(seal(row, n), new Hash(row.getBytes("hash"))))
        .list();
  }

  /** A seal, and the hash that stands at it. */
  record Written(Seal seal, Hash hash) {}

  List<Leaf> leaves(long seal) {
    return sql.sql("select figures, words from seal_leaf where seal_no = ? order by place")
        .param(seal)
        .query((row, n) -> new Leaf(new Hash(row.getBytes(1)), new Hash(row.getBytes(2))))
        .list();
  }

  private static Seal seal(ResultSet row, int n) throws SQLException {
    return new Seal(
        row.getLong("no"),
        row.getObject("at", LocalDateTime.class),
        row.getInt("leaves"),
        new Hash(row.getBytes("root")),
        new Hash(row.getBytes("before_hash")));
  }
}
