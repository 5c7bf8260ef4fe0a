package zinctally.bench.big;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.sql.DataSource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * What of a copy stands in text: what was typed on papers, with the codes, names and numbers of the
 * copy in the place of the small book's, and the layers of pools, with its arrivals.
 */
final class CopiedTexts {
  private static final int BATCH = 1_000;
  private static final Pattern WORDS = Pattern.compile("\"((?:[^\"\\\\]|\\\\.)*)\"");
  private static final Pattern ARRIVAL = Pattern.compile("(^|[;|])(\\d+),");

  private record Version(long paper, int version, String text) {}

  private record Pool(long item, String key, String layers) {}

  private final JdbcClient sql;
  private final JdbcTemplate rows;
  private final String from;
  private final Copied copied;
  private final List<Version> versions;
  private final List<Pool> pools;
  private final List<Pool> checkpoints;

  CopiedTexts(JdbcClient sql, DataSource source, String from, Copied copied) {
    this.sql = sql;
    this.rows = new JdbcTemplate(source);
    this.from = from;
    this.copied = copied;
    versions =
        sql.sql("select paper_id, version, text from " + from + ".paper_version")
            .query((row, n) -> new Version(row.getLong(1), row.getInt(2), row.getString(3)))
            .list();
    pools = pools("select item_id, '', layers from " + from + ".cost_pool");
    checkpoints =
        pools(
            "select item_id, concat(date, ' ', sequence, ' ', line, ' ', part), layers from "
                + from
                + ".cost_checkpoint");
  }

  private List<Pool> pools(String asked) {
    return sql.sql(asked)
        .query((row, n) -> new Pool(row.getLong(1), row.getString(2), row.getString(3)))
        .list();
  }

  /** Writes those of one copy, whose rows are there already. */
  void write(int copy, int years) {
    writeVersions(copy);
    writePools(copy, years);
  }

  private void writeVersions(int copy) {
    long papers = copied.added("paper", copy);
    Map<String, String> known = new HashMap<>();
    for (String[] one :
        List.of(
            new String[] {"item", "code", "item"},
            new String[] {"party", "name", "party"},
            new String[] {"paper", "number", "paper"}))
      sql.sql(
              "select o.%s, n.%s from %s.%s o join %s n on n.id = o.id + %d"
                  .formatted(one[1], one[1], from, one[0], one[0], copied.added(one[2], copy)))
          .query((row, n) -> known.put(row.getString(1), row.getString(2)))
          .list();
    List<Object[]> texts = new ArrayList<>();
    for (Version one : versions) {
      String text =
          WORDS
              .matcher(one.text)
              .replaceAll(
                  found ->
                      Matcher.quoteReplacement(
                          "\"" + known.getOrDefault(found.group(1), found.group(1)) + "\""));
      texts.add(new Object[] {one.paper, String.valueOf(one.version), text});
    }
    hold(texts);
    sql.sql(
            "insert into paper_version (paper_id, version, text, posted_at, posted_by, what) select"
                + " s.paper_id + ?, s.version, t.text, s.posted_at, s.posted_by, s.what from copied_text t"
                + " join "
                + from
                + ".paper_version s on s.paper_id = t.id and s.version = t.at")
        .param(papers)
        .update();
  }

  private void writePools(int copy, int years) {
    long items = copied.added("item", copy);
    long papers = copied.added("sequence", copy);
    hold(pools.stream().map(p -> held(p, copy)).toList());
    sql.sql(
            "insert into cost_pool (item_id, on_hand, worth, layers, last_date, last_sequence, last_line,"
                + " last_part, since_checkpoint, latest_quantity, latest_value, written_down) select"
                + " s.item_id + ?, s.on_hand, s.worth, t.text, date_sub(s.last_date, interval ? year),"
                + " s.last_sequence + ?, s.last_line, s.last_part, s.since_checkpoint, s.latest_quantity,"
                + " s.latest_value, s.written_down from copied_text t join "
                + from
                + ".cost_pool s on s.item_id = t.id")
        .params(items, years, papers)
        .update();
    hold(checkpoints.stream().map(p -> held(p, copy)).toList());
    sql.sql(
            "insert into cost_checkpoint (item_id, date, sequence, line, part, layers, latest_quantity,"
                + " latest_value) select s.item_id + ?, date_sub(s.date, interval ? year), s.sequence + ?,"
                + " s.line, s.part, t.text, s.latest_quantity, s.latest_value from copied_text t join "
                + from
                + ".cost_checkpoint s on s.item_id = t.id"
                + " and t.at = concat(s.date, ' ', s.sequence, ' ', s.line, ' ', s.part)")
        .params(items, years, papers)
        .update();
  }

  private Object[] held(Pool pool, int copy) {
    return new Object[] {pool.item, pool.key, layers(pool.layers, copy)};
  }

  private String layers(String layers, int copy) {
    long events = copied.added("event", copy);
    return ARRIVAL
        .matcher(layers)
        .replaceAll(
            (MatchResult found) -> {
              long event = Long.parseLong(Objects.requireNonNull(found.group(2)));
              return found.group(1).replace("|", "\\|") + (event == 0 ? 0 : event + events) + ",";
            });
  }

  /** Puts texts where one statement can join them. */
  private void hold(List<Object[]> texts) {
    sql.sql(
            "create or replace temporary table copied_text (id bigint, at varchar(80), text mediumtext,"
                + " key (id, at)) default charset utf8mb4")
        .update();
    for (int i = 0; i < texts.size(); i += BATCH)
      rows.batchUpdate(
          "insert into copied_text (id, at, text) values (?, ?, ?)",
          texts.subList(i, Math.min(texts.size(), i + BATCH)));
  }
}
