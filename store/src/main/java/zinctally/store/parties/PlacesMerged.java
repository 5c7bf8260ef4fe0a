package zinctally.store.parties;

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
    sql.sql("update place set host_id = ? where host_id = ?").params(into, from).update();
    sql.sql("update place set owner_id = ? where owner_id = ?").params(into, from).update();
    for (@Nullable Pair bench = bench(into); bench != null; bench = bench(into)) {
      sql.sql("update place set at_id = ? where at_id = ?")
          .params(bench.stays, bench.gone)
          .update();
      fold(bench);
    }
    for (@Nullable Pair twice = twice(); twice != null; twice = twice()) fold(twice);
    PlaceNames.followParty(sql, into);
  }

  private record Pair(long gone, long stays) {}

  /** Two benches of one repairer. */
  private @Nullable Pair bench(long repairer) {
    return pair(
        sql.sql(
                """
                select max(id), min(id) from place where at_id is null and host_id = ?
                group by kind having count(*) > 1 limit 1
                """)
            .param(repairer));
  }

  /** Two that are of the same place, standing and owner. */
  private @Nullable Pair twice() {
    return pair(
        sql.sql(
            """
            select max(id), min(id) from place where at_id is not null
            group by at_id, standing_id, owner_id having count(*) > 1 limit 1
            """));
  }

  private static @Nullable Pair pair(JdbcClient.StatementSpec asked) {
    return asked
        .query((row, n) -> new Pair(row.getLong(1), row.getLong(2)))
        .optional()
        .orElse(null);
  }

  /** All that is, or was, at the one is at the other. */
  private void fold(Pair pair) {
    sql.sql("call fold_place(?, ?)").params(pair.gone, pair.stays).update();
  }
}
