package zinctally.store.listing;

import java.util.Arrays;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** How people like their lists: what they chose stays chosen. */
@Repository
public class ChoiceStore {
  private final JdbcClient sql;

  ChoiceStore(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * @param sort as a list's order is asked for; empty for its own
   * @param hidden keys of the columns that are left out
   */
  public record Choice(String sort, Set<String> hidden) {
    public static final Choice NONE = new Choice("", Set.of());
  }

  /**
   * @param list its address, with {@code #} for numbers in it
   */
  public Choice of(String login, String list) {
    return sql.sql("select sort, hidden from list_choice where login = ? and list = ?")
        .params(login, list)
        .query(
            (row, n) ->
                new Choice(
                    row.getString(1),
                    Arrays.stream(row.getString(2).split(","))
                        .filter(k -> !k.isEmpty())
                        .collect(Collectors.toSet())))
        .optional()
        .orElse(Choice.NONE);
  }

  public void sorted(String login, String list, String sort) {
    sql.sql(
            "insert into list_choice (login, list, sort) values (?, ?, ?)"
                + " on duplicate key update sort = values(sort)")
        .params(login, list, sort)
        .update();
  }

  public void hidden(String login, String list, Set<String> columns) {
    sql.sql(
            "insert into list_choice (login, list, hidden) values (?, ?, ?)"
                + " on duplicate key update hidden = values(hidden)")
        .params(login, list, String.join(",", new TreeSet<>(columns)))
        .update();
  }
}
