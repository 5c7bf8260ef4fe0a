package zinctally.store.house;

import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;

/** The books of the house. */
public class HouseStore {
  private final JdbcClient sql;
  private final Clock clock;

  HouseStore(JdbcClient sql, Clock clock) {
    this.sql = sql;
    this.clock = clock;
  }

  public Optional<Hosted> find(String name) {
    return sql.sql("select * from hosted where name = ?")
        .param(name)
        .query(HouseStore::row)
        .optional();
  }

  /** The book this thread is in; empty at the house itself. */
  public Optional<Hosted> here() {
    return Hosted.name(AtBook.database()).flatMap(this::find);
  }

  /** Every book, by name. */
  public List<Hosted> all() {
    return sql.sql("select * from hosted order by name").query(HouseStore::row).list();
  }

  /**
   * Takes a book in.
   *
   * @return whether the name was free; if not, nothing is changed
   */
  public boolean add(Hosted book) {
    try {
      return sql.sql(
                  """
                  insert into hosted
                    (name, title, open, people_most, at_once_most, megabytes_most, made_at)
                  values (?, ?, ?, ?, ?, ?, ?)
                  """)
              .params(
                  book.name(),
                  book.title(),
                  book.open(),
                  book.limits().people(),
                  book.limits().atOnce(),
                  book.limits().megabytes(),
                  LocalDateTime.now(clock))
              .update()
          > 0;
    } catch (DuplicateKeyException taken) {
      return false;
    }
  }

  /** Lets nobody in any more, or again, and says what a book may take. */
  public boolean change(String name, boolean open, Hosted.Limits limits) {
    return sql.sql(
                """
                update hosted set open = ?, people_most = ?, at_once_most = ?, megabytes_most = ?
                where name = ?
                """)
            .params(open, limits.people(), limits.atOnce(), limits.megabytes(), name)
            .update()
        > 0;
  }

  /**
   * Notes what a book is called and takes now.
   *
   * @param people who may sign in
   * @param bytes on disk, as the database estimates them
   */
  public void seen(String name, String title, int people, long bytes) {
    sql.sql("update hosted set title = ?, people = ?, megabytes = ?, seen_at = ? where name = ?")
        .params(
            title,
            people,
            BigDecimal.valueOf(bytes).movePointLeft(6),
            LocalDateTime.now(clock),
            name)
        .update();
  }

  private static Hosted row(ResultSet row, int n) throws SQLException {
    return new Hosted(
        row.getString("name"),
        row.getString("title"),
        row.getBoolean("open"),
        new Hosted.Limits(
            row.getInt("people_most"), row.getInt("at_once_most"), row.getInt("megabytes_most")));
  }
}
