package zinctally.store.check;

import java.time.Clock;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.store.Retrying;
import zinctally.store.seal.Sealer;
import zinctally.store.sql.NewRow;

/** Checks of all that must hold, with what they found and when. */
@Repository
public class CheckRuns {
  private static final int KEPT = 60;
  private final CheckStore checks;
  private final Retrying retrying;
  private final JdbcClient sql;
  private final Clock clock;
  private final Sealer sealer;

  CheckRuns(CheckStore checks, Retrying retrying, JdbcClient sql, Clock clock, Sealer sealer) {
    this.sealer = sealer;
    this.checks = checks;
    this.retrying = retrying;
    this.sql = sql;
    this.clock = clock;
  }

  /**
   * A check that was made.
   *
   * @param beganAt the moment of the book that it saw
   * @param cause {@code nightly}, {@code start}, {@code closing}, {@code recosting} or {@code
   *     asked}
   * @param faults how many things did not hold
   */
  public record Run(
      long id, LocalDateTime beganAt, LocalDateTime endedAt, String cause, int rules, long faults) {
    public boolean clean() {
      return faults == 0;
    }
  }

  /** Seals and checks everything and keeps what was found; some two months of verdicts stay. */
  public Run run(String cause) {
    sealer.seal();
    LocalDateTime began = LocalDateTime.now(clock);
    List<Long> byHand = sql.sql("select id from by_hand_unchecked").query(Long.class).list();
    List<Finding> findings = checks.findings();
    return retrying.run(() -> keep(began, cause, findings, byHand));
  }

  /**
   * @param byHand of the journals by hand those that the check has seen for certain
   */
  private Run keep(LocalDateTime began, String cause, List<Finding> findings, List<Long> byHand) {
    if (!byHand.isEmpty())
      sql.sql("delete from by_hand_unchecked where id in (:ids)").param("ids", byHand).update();
    long faults = findings.stream().mapToLong(Finding::count).sum();
    LocalDateTime ended = LocalDateTime.now(clock);
    long id =
        NewRow.id(
            sql.sql(
                    "insert into check_run (began_at, ended_at, cause, rules, faults)"
                        + " values (?, ?, ?, ?, ?)")
                .params(began, ended, cause, findings.size(), faults));
    int line = 0;
    for (Finding finding : findings)
      sql.sql("insert into check_finding values (?, ?, ?, ?, ?, ?, ?)")
          .params(id, line++, finding.what(), finding.looked(), finding.count())
          .params(String.join("\n", finding.faults()), String.join("\n", finding.items()))
          .update();
    sql.sql("delete from check_finding where run_id <= ?").param(id - KEPT).update();
    sql.sql("delete from check_run where id <= ?").param(id - KEPT).update();
    return new Run(id, began, ended, cause, findings.size(), faults);
  }

  /** The one that saw the book last, not the one that ended last: two can run at a time. */
  public Optional<Run> latest() {
    return runs(1).stream().findFirst();
  }

  /** Checks made, what saw the book last first. */
  public List<Run> runs(int atMost) {
    return sql.sql("select * from check_run order by began_at desc, id desc limit ?")
        .param(atMost)
        .query(
            (row, n) ->
                new Run(
                    row.getLong("id"),
                    row.getObject("began_at", LocalDateTime.class),
                    row.getObject("ended_at", LocalDateTime.class),
                    row.getString("cause"),
                    row.getInt("rules"),
                    row.getLong("faults")))
        .list();
  }

  /** What a check found, rule by rule. */
  public List<Finding> findings(long run) {
    return sql.sql("select * from check_finding where run_id = ? order by count > 0 desc, line")
        .param(run)
        .query(
            (row, n) ->
                new Finding(
                    row.getString("what"),
                    row.getLong("looked"),
                    lines(row.getString("faults")),
                    row.getLong("count"),
                    lines(row.getString("items"))))
        .list();
  }

  private static List<String> lines(String text) {
    return text.isEmpty() ? List.of() : List.of(text.split("\n"));
  }
}
