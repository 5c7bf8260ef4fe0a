package zinctally.store.book;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeSet;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What goes into what, by recipes of any day. */
final class RecipeLookup {
  private final JdbcClient sql;
  private final long amends;

  /**
   * @param amends the recipe that is being changed, which counts no more; zero for none
   */
  RecipeLookup(JdbcClient sql, long amends) {
    this.sql = sql;
    this.amends = amends;
  }

  private record Edge(long whole, long part, String name) {}

  /** The names on the way from what goes into {@code other} down to an item. */
  Optional<String> way(long item, long other) {
    Map<Long, Edge> from = new HashMap<>();
    TreeSet<Long> wholes = new TreeSet<>(List.of(other));
    while (!wholes.isEmpty()) {
      TreeSet<Long> next = new TreeSet<>();
      for (Edge edge : edges(wholes))
        if (from.putIfAbsent(edge.part, edge) == null) {
          if (edge.part == item) return Optional.of(words(edge, other, from));
          next.add(edge.part);
        }
      wholes = next;
    }
    return Optional.empty();
  }

  private List<Edge> edges(TreeSet<Long> wholes) {
    return sql.sql(
            """
            select r.item_id, p.item_id, i.name from recipe r
            join recipe_part p on p.paper_id = r.paper_id join item i on i.id = p.item_id
            where r.item_id in (:wholes) and r.paper_id <> :amends order by 1, 2
            """)
        .param("wholes", wholes)
        .param("amends", amends)
        .query((row, n) -> new Edge(row.getLong(1), row.getLong(2), row.getString(3)))
        .list();
  }

  private static String words(Edge last, long other, Map<Long, Edge> from) {
    List<String> names = new ArrayList<>(List.of(last.name));
    for (Edge edge = last; edge.whole != other; names.add(0, edge.name))
      edge = Objects.requireNonNull(from.get(edge.whole));
    return String.join(", that of ", names);
  }
}
