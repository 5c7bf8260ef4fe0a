package zinctally.store.count;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.number.Quantity;
import zinctally.store.sql.UnitColumns;

/** What stands on a count sheet. */
@Repository
public class CountLines {
  /** Millionths that the book holds now of a line {@code l} on a sheet {@code s}. */
  static final String HELD_NOW =
      """
      coalesce(if(l.lot_id = 0,
        (select a.quantity from place_stock a where a.item_id = l.item_id and a.place_id = s.place_id),
        (select b.quantity from lot_stock b where b.lot_id = l.lot_id and b.place_id = s.place_id)), 0)""";

  /** Minor units that a line's difference is worth at what its item costs now. */
  public static final String WORTH =
      """
      coalesce(round((l.counted - l.expected) * if(h.on_hand > 0, h.worth, h.latest_value)
        / nullif(if(h.on_hand > 0, h.on_hand, h.latest_quantity), 0)), 0)""";

  /** Whether a second count of it is wanted. */
  public static final String WANTED =
      "coalesce(l.counted is not null and l.round = 1 and not l.accepted"
          + " and (abs(l.counted - l.expected) > s.tolerance_quantity or abs("
          + WORTH
          + ") > s.tolerance_value), false)";

  /**
   * Lines {@code l} of a sheet {@code s}, with item {@code i}, lot {@code t} and pool {@code h}.
   */
  public static final String FROM =
      """
      count_line l join count_sheet s on s.id = l.sheet_id join item i on i.id = l.item_id
      left join lot t on t.id = l.lot_id left join cost_pool h on h.item_id = l.item_id""";

  private final JdbcClient sql;

  CountLines(JdbcClient sql) {
    this.sql = sql;
  }

  /** Which lines of a sheet. */
  public enum Which {
    ALL("all", "true"),
    LEFT("not counted", "l.counted is null"),
    COUNTED("counted", "l.counted is not null"),
    WANTED("to count again", CountLines.WANTED);

    private final String words;
    private final String sql;

    Which(String words, String sql) {
      this.words = words;
      this.sql = sql;
    }

    public String words() {
      return words;
    }
  }

  /**
   * Lines in the order of shelves.
   *
   * @param find letters that code, name, shelf or lot has; empty for all
   */
  public List<CountLine> page(long sheet, Which which, String find, int from, int atMost) {
    return select(
            "l.sheet_id = :sheet and "
                + which.sql
                + """
                   and (:find = '' or instr(concat_ws(' ', i.code, i.name, i.shelf, t.code), :find))
                  order by i.shelf, i.code, t.code, l.id limit :most offset :from
                  """,
            Map.of("sheet", sheet, "find", find.strip(), "most", atMost, "from", from))
        .list();
  }

  /** A line of a sheet; empty when it has none of that id. */
  public Optional<CountLine> find(long sheet, long line) {
    return select("l.sheet_id = :sheet and l.id = :line", Map.of("sheet", sheet, "line", line))
        .optional();
  }

  /** The line on which a thing is counted; empty when it is not on the sheet. */
  public Optional<CountLine> of(long sheet, long item, long lot) {
    return select(
            "l.sheet_id = :sheet and l.item_id = :item and l.lot_id = :lot",
            Map.of("sheet", sheet, "item", item, "lot", lot))
        .optional();
  }

  /** Every line whose count is not what was expected, in the order of shelves. */
  public List<CountLine> apart(long sheet) {
    return select(
            "l.sheet_id = :sheet and l.counted <> l.expected order by i.shelf, i.code, t.code, l.id",
            Map.of("sheet", sheet))
        .list();
  }

  private JdbcClient.MappedQuerySpec<CountLine> select(String where, Map<String, ?> params) {
    return sql.sql(
            """
            select l.id as line, l.lot_id, l.round, l.counted, coalesce(l.expected, %s) as expected,
              if(l.counted is null, 0, %s - l.expected) as since, %s as worth, %s as wanted,
              l.counted_by, l.counted_at, l.reason_id, t.code as lot_code, i.*
            from %s where %s
            """
                .formatted(HELD_NOW, HELD_NOW, WORTH, WANTED, FROM, where))
        .params(params)
        .query(CountLines::row);
  }

  private static CountLine row(ResultSet row, int n) throws SQLException {
    @Nullable Long counted = row.getObject("counted", Long.class);
    String lot = row.getString("lot_code");
    return new CountLine(
        row.getLong("line"),
        row.getLong("id"),
        row.getString("code"),
        row.getString("name"),
        row.getString("shelf"),
        UnitColumns.units(row),
        row.getString("tracking").equals("SERIAL"),
        row.getLong("lot_id"),
        lot == null ? "" : lot,
        row.getInt("round"),
        counted == null ? null : new Quantity(counted),
        new Quantity(row.getLong("expected")),
        new Quantity(row.getLong("since")),
        row.getLong("worth"),
        row.getBoolean("wanted"),
        row.getString("counted_by"),
        row.getObject("counted_at", LocalDateTime.class),
        row.getObject("reason_id", Long.class));
  }

  /**
   * What was counted at once.
   *
   * @param round of counting; entries of earlier rounds count no more
   * @param takenBackBy who said that it was wrong; empty when it counts
   */
  public record Entry(
      long id,
      int round,
      Quantity quantity,
      Quantity expected,
      String spot,
      String by,
      LocalDateTime at,
      String takenBackBy) {}

  /** All entries of a line, newest first. */
  public List<Entry> entries(long line) {
    return sql.sql("select * from count_entry where line_id = ? order by id desc")
        .param(line)
        .query(
            (row, n) ->
                new Entry(
                    row.getLong("id"),
                    row.getInt("round"),
                    new Quantity(row.getLong("quantity")),
                    new Quantity(row.getLong("expected")),
                    row.getString("spot"),
                    row.getString("by_login"),
                    row.getObject("at", LocalDateTime.class),
                    row.getString("taken_back_by")))
        .list();
  }

  /**
   * What the differences come to.
   *
   * @param apart how many lines
   * @param over minor units at present cost, from zero
   * @param missing likewise
   * @param wanted how many lines want a second count
   */
  public record Sums(long apart, long over, long missing, long wanted) {}

  public Sums sums(long sheet) {
    return sql.sql(
            """
            select coalesce(sum(l.counted <> l.expected), 0), coalesce(sum(greatest(%s, 0)), 0),
              coalesce(sum(greatest(-%s, 0)), 0), coalesce(sum(%s), 0)
            from %s where s.id = ?
            """
                .formatted(WORTH, WORTH, WANTED, FROM))
        .param(sheet)
        .query((row, n) -> new Sums(row.getLong(1), row.getLong(2), row.getLong(3), row.getLong(4)))
        .single();
  }
}
