package zinctally.store.statement;

import java.time.Clock;
import java.time.LocalDateTime;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Reports that were handed out, so that they can be made again and held against what is known. */
@Repository
public class HandedOutStore {
  private static final int LONGEST_NAME = 160;
  private static final int LONGEST_ADDRESS = 1000;
  private final JdbcClient sql;
  private final Clock clock;

  HandedOutStore(JdbcClient sql, Clock clock) {
    this.sql = sql;
    this.clock = clock;
  }

  /**
   * @param how the form of the file, or {@code sent}
   * @param address gives it again once the moment is added; what is too long to be kept is not
   */
  public void add(String login, String name, String how, String address) {
    if (address.length() > LONGEST_ADDRESS) return;
    String kept = name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) : name;
    sql.sql("insert into handed_out (at, login, name, how, address) values (?, ?, ?, ?, ?)")
        .params(LocalDateTime.now(clock), login, kept, how, address)
        .update();
  }
}
