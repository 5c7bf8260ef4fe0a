package zinctally.store.posting;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.cost.Making;
import zinctally.core.cost.Position;
import zinctally.core.cost.Spot;
import zinctally.store.sql.Rows;

/** What posted papers made of what. */
@Component
class Makings {
  private static final int CHUNK = 1000;
  private final JdbcClient sql;
  private final JdbcTemplate jdbc;

  Makings(JdbcClient sql, JdbcTemplate jdbc) {
    this.sql = sql;
    this.jdbc = jdbc;
  }

  /**
   * @param at where each result stands in event order, by event
   */
  record Posted(Making making, Map<Long, Position> at) {
    Position of(Making.Result result) {
      return Objects.requireNonNull(at.get(result.event()));
    }
  }

  /** Whatever was made of what left with some events of an item. */
  List<Posted> of(long item, Collection<Long> outs) {
    if (outs.isEmpty() || !goesInto(item)) return List.of();
    List<Long> all = new ArrayList<>(new TreeSet<>(outs));
    TreeSet<Long> papers = new TreeSet<>();
    for (int from = 0; from < all.size(); from += CHUNK)
      papers.addAll(
          sql.sql("select paper_id from made_of where event_id in (:events) and weight is null")
              .param("events", all.subList(from, Math.min(all.size(), from + CHUNK)))
              .query(Long.class)
              .list());
    return papers.isEmpty() ? List.of() : of(papers);
  }

  private boolean goesInto(long item) {
    return sql.sql("select exists (select 1 from made_of where item_id = ? and weight is null)")
        .param(item)
        .query(Boolean.class)
        .single();
  }

  private List<Posted> of(Collection<Long> papers) {
    record Row(
        long paper,
        long charges,
        long event,
        @Nullable Long weight,
        long item,
        long booked,
        Position at) {}
    Map<Long, List<Row>> byPaper = new LinkedHashMap<>();
    sql.sql(
            """
            select m.paper_id, m.charges, o.event_id, o.weight, e.item_id, e.booked,
              e.date, e.sequence, e.line, e.part
            from making m join made_of o on o.paper_id = m.paper_id
            join cost_event e on e.id = o.event_id
            where m.paper_id in (:papers) order by e.date, e.sequence, o.event_id
            """)
        .param("papers", papers)
        .query(
            (row, n) ->
                new Row(
                    row.getLong("paper_id"),
                    row.getLong("charges"),
                    row.getLong("event_id"),
                    row.getObject("weight", Long.class),
                    row.getLong("item_id"),
                    row.getLong("booked"),
                    new Position(
                        row.getObject("date", LocalDate.class),
                        row.getLong("sequence"),
                        new Spot(row.getInt("line"), row.getInt("part")))))
        .list()
        .forEach(r -> byPaper.computeIfAbsent(r.paper, p -> new ArrayList<>()).add(r));
    List<Posted> posted = new ArrayList<>();
    for (List<Row> rows : byPaper.values()) {
      List<Making.Component> components = new ArrayList<>();
      List<Making.Result> results = new ArrayList<>();
      Map<Long, Position> at = new LinkedHashMap<>();
      for (Row r : rows)
        if (r.weight == null) components.add(new Making.Component(r.item, r.event, -r.booked));
        else {
          results.add(new Making.Result(r.item, r.event, r.weight, r.booked));
          at.put(r.event, r.at);
        }
      posted.add(new Posted(new Making(components, rows.get(0).charges, results), at));
    }
    return posted;
  }

  /**
   * Writes what a paper makes, in place of what an earlier version made.
   *
   * @param undone whether there was one
   */
  void write(long paper, Worked worked, boolean undone) {
    if (undone) {
      jdbc.update("delete from made_of where paper_id = ?", paper);
      jdbc.update("delete from making where paper_id = ?", paper);
    }
    Making making = worked.making();
    if (making == null) return;
    jdbc.update("insert into making values (?, ?)", paper, making.charges());
    List<Object[]> rows = new ArrayList<>();
    for (Making.Component part : making.components())
      rows.add(new Object[] {part.event(), paper, part.item(), null});
    for (Making.Result result : making.results())
      rows.add(new Object[] {result.event(), paper, result.item(), result.weight()});
    Rows.write(
        jdbc,
        "insert into made_of (event_id, paper_id, item_id, weight) values (?, ?, ?, ?)",
        rows);
  }

  /** Writes what was made before at what it is worth now. */
  void revalue(Map<Long, Long> values) {
    jdbc.batchUpdate(
        "update cost_event set value = ? where id = ?",
        values.entrySet().stream().map(v -> new Object[] {v.getValue(), v.getKey()}).toList());
  }
}
