package zinctally.store.seal;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import zinctally.core.seal.Leaf;

/** What changed words of sealed rows, by ways that the book has for it. */
@Component
@Order(3)
class Changes implements Sealed {
  private final JdbcTemplate jdbc;

  Changes(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  @Override
  public String kind() {
    return "change";
  }

  @Override
  public String table() {
    return "seal_change";
  }

  @Override
  public Map<Long, Leaf> leaves(long from, long to) {
    return new Written(jdbc, from, to)
        .leaf(
            "change",
            """
            select id, id, kind, of_id, lower(hex(was)), lower(hex(becomes)), at, login, why
            from seal_change where id between ? and ? order by id
            """)
        .leaves();
  }

  @Override
  public Map<Long, String> names(List<Long> ids) {
    Map<Long, String> names = new HashMap<>();
    ids.forEach(id -> names.put(id, "change " + id + " of sealed words"));
    return names;
  }
}
