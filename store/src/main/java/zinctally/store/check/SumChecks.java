package zinctally.store.check;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What the tables must agree on among themselves, each as a query that finds what does not. */
@Component
class SumChecks {
  private static final int NAMED = 20;
  private final JdbcClient sql;

  SumChecks(JdbcClient sql) {
    this.sql = sql;
  }

  private static final List<Rule> RULES =
      Stream.of(
              LedgerRules.ALL,
              GoodsRules.ALL,
              CountRules.ALL,
              MakingRules.ALL,
              ConsignRules.ALL,
              PaperRules.ALL)
          .flatMap(List::stream)
          .toList();

  List<Finding> findings() {
    List<Finding> findings = new ArrayList<>();
    for (Rule rule : RULES) {
      long looked = sql.sql(rule.looked()).query(Long.class).single();
      long count =
          sql.sql("select count(*) from (" + rule.faults() + ") f").query(Long.class).single();
      List<String> named =
          count == 0
              ? List.of()
              : sql.sql(rule.faults() + " limit " + NAMED)
                  .query(
                      (row, n) ->
                          row.getString(1)
                              + ": "
                              + row.getString(2)
                              + " against "
                              + row.getString(3))
                  .list();
      findings.add(new Finding(rule.what(), looked, named, count));
    }
    return findings;
  }
}
