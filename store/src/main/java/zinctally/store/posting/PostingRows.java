package zinctally.store.posting;

import java.time.LocalDateTime;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.store.sql.NewRow;

/** Each posting, next version or voiding is a row, to which belongs all that it writes. */
@Component
class PostingRows {
  private final JdbcClient sql;

  PostingRows(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * @param what posted, amended or voided
   */
  long begin(long paper, int version, String what, LocalDateTime at, String login) {
    return NewRow.id(
        sql.sql("insert into posting (paper_id, version, what, at, login) values (?, ?, ?, ?, ?)")
            .params(paper, version, what, at, login));
  }
}
