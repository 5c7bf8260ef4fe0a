package zinctally.store.seal;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.stereotype.Component;
import zinctally.core.seal.Leaf;

/** Lines of the audit trail, closings of months among them. */
@Component
@Order(2)
class AuditLines implements Sealed {
  private final JdbcTemplate jdbc;

  AuditLines(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  @Override
  public String kind() {
    return "audit";
  }

  @Override
  public String table() {
    return "audit";
  }

  @Override
  public Map<Long, Leaf> leaves(long from, long to) {
    return new Written(jdbc, from, to)
        .leaf(
            "audit",
            """
            select id, id, at, login, subject, subject_id, what from audit
            where id between ? and ? order by id
            """)
        .words(
            "texts",
            "select id, before_text, after_text from audit where id between ? and ? order by id")
        .leaves();
  }

  @Override
  public Map<Long, String> names(List<Long> ids) {
    Map<Long, String> names = new HashMap<>();
    new NamedParameterJdbcTemplate(jdbc)
        .query(
            "select id, concat('audit line ', id, ', ', login, ' ', what, ' ', date(at))"
                + " from audit where id in (:ids)",
            Map.of("ids", ids),
            row -> {
              names.put(row.getLong(1), row.getString(2));
            });
    return names;
  }
}
