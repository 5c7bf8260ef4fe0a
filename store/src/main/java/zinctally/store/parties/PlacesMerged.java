package zinctally.store.parties;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.store.sql.PlaceNames;

/** Where goods of a party are, or goods are with it, when it turns out to be another. */
@Component
class PlacesMerged {
  private final JdbcClient sql;

  PlacesMerged(JdbcClient sql) {
    this.sql = sql;
  }

  /** Has them be the other's; what both had at the same place, in the same standing, is one. */
  void merge(long from, long into) {
    for (Pair bench : pairs("host_id", from, into)) {
      sql.sql("update place set at_id = ? where at_id = ?").params(bench.into, bench.from).update();
      fold(bench);
    }
    sql.sql("update place set host_id = ? where host_id = ?").params(into, from).update();
    sql.sql("update place set owner_id = ? where owner_id = ?").params(into, from).update();
    for (@Nullable Pair twice = twice(); twice != null; twice = twice()) fold(twice);
    PlaceNames.follow(sql);
  }

  private record Pair(long from, long into) {}

  /** The one that each has of the same kind, not at another place. */
  private List<Pair> pairs(String column, long from, long into) {
    return sql.sql(
            "select f.id, i.id from place f join place i on i.kind = f.kind and i.at_id is null"
                + " and i."
                + column
                + " = :into where f.at_id is null and f."
                + column
                + " = :from")
        .param("from", from)
        .param("into", into)
        .query((row, n) -> new Pair(row.getLong(1), row.getLong(2)))
        .list();
  }

  /** Two that are of the same place, standing and owner. */
  private @Nullable Pair twice() {
    return sql.sql(
            """
            select max(id), min(id) from place where at_id is not null
            group by at_id, standing_id, owner_id having count(*) > 1 limit 1
            """)
        .query((row, n) -> new Pair(row.getLong(1), row.getLong(2)))
        .optional()
        .orElse(null);
  }

  /** All that is, or was, at the one is at the other. */
  private void fold(Pair pair) {
    for (String table : List.of("quantity_move", "paper", "paper_line", "count_sheet"))
      sql.sql("update " + table + " set place_id = ? where place_id = ?")
          .params(pair.into, pair.from)
          .update();
    for (String stock : List.of("place_stock:item_id", "lot_stock:lot_id")) {
      String table = stock.split(":")[0];
      String of = stock.split(":")[1];
      sql.sql(
              "insert into "
                  + table
                  + " ("
                  + of
                  + ", place_id, quantity) select "
                  + of
                  + ", ?, quantity from "
                  + table
                  + " o where o.place_id = ?"
                  + " on duplicate key update quantity = "
                  + table
                  + ".quantity + values(quantity)")
          .params(pair.into, pair.from)
          .update();
      sql.sql("delete from " + table + " where place_id = ?").param(pair.from).update();
    }
    sql.sql("delete from place where id = ?").param(pair.from).update();
  }
}
