package zinctally.store.listing;

import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Consumer;
import java.util.function.Function;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowCallbackHandler;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.stereotype.Repository;

/** Runs listings. */
@Repository
public class ListingStore {
  public static final int PAGE = 60;
  private static final int FETCHED = 500;

  /** What takes longer is given up, in the database too. */
  private static final int PAGE_SECONDS = 30;

  private static final int FILE_SECONDS = 600;
  private final NamedParameterJdbcTemplate jdbc;

  /** Brings rows a few at a time, so that a long list never stands in memory whole. */
  private final NamedParameterJdbcTemplate streamed;

  ListingStore(DataSource data) {
    JdbcTemplate page = new JdbcTemplate(data);
    page.setQueryTimeout(PAGE_SECONDS);
    jdbc = new NamedParameterJdbcTemplate(page);
    JdbcTemplate few = new JdbcTemplate(data);
    few.setFetchSize(FETCHED);
    few.setQueryTimeout(FILE_SECONDS);
    streamed = new NamedParameterJdbcTemplate(few);
  }

  public Page page(Listing listing, Ask ask) {
    if (listing.running() != null && listing.running().addsUp(listing, ask))
      return added(listing, listing.running(), ask);
    AskedSql sql = new AskedSql(listing, ask);
    if (listing.bounds().atOnce() && ask.after().isEmpty()) return atOnce(listing, sql);
    if (sql.ordersFirst()) return cut(ordered(listing, sql), null);
    List<Map<String, Object>> rows = new ArrayList<>();
    read(jdbc, listing, sql.rows(PAGE + 1), sql.params(), rows::add);
    return cut(rows, null);
  }

  /** A page of rows of which there may be one more than fit. */
  private static Page cut(List<Map<String, Object>> rows, @Nullable Totals totals) {
    if (rows.size() <= PAGE) return new Page(rows, null, totals);
    Map<String, Object> last = rows.get(PAGE - 1);
    return new Page(
        rows.subList(0, PAGE),
        last.get("_key") + String.valueOf(AskedSql.CUT) + last.get("_id"),
        totals);
  }

  /** The first page of a list of which all is worked out for it, and what all rows come to. */
  private Page atOnce(Listing listing, AskedSql sql) {
    List<Map<String, Object>> rows = new ArrayList<>();
    Totals[] totals = {new Totals(0, true, Map.of())};
    jdbc.query(
        sql.rowsAndSums(PAGE + 1),
        sql.params(),
        row -> {
          rows.add(values(row, listing));
          totals[0] = totals(row, listing, AskedSql::sum);
        });
    return cut(rows, totals[0]);
  }

  /**
   * Which rows come first is asked of what they are ordered by alone; only those are read whole.
   */
  private List<Map<String, Object>> ordered(Listing listing, AskedSql sql) {
    List<Long> ids = jdbc.query(sql.keys(PAGE + 1), sql.params(), (row, n) -> row.getLong("_id"));
    if (ids.isEmpty()) return List.of();
    Map<String, Map<String, Object>> byId = new HashMap<>();
    Map<String, Object> params = new HashMap<>(sql.params());
    params.put("ids", ids);
    read(jdbc, listing, sql.some(), params, row -> byId.put(String.valueOf(row.get("_id")), row));
    return ids.stream().map(String::valueOf).map(byId::get).filter(Objects::nonNull).toList();
  }

  /**
   * A page of a list whose own SQL adds up through all its rows: what stands before the first is
   * asked, and rows that follow each other are added to it; those that do not are asked one by one.
   */
  private Page added(Listing listing, Listing.Running running, Ask ask) {
    Page page = page(listing.parts(), ask);
    boolean follow = ask.isOwnOrder(listing);
    boolean down = listing.sort().startsWith("-");
    long at = 0;
    long last = 0;
    for (Map<String, Object> row : page.rows()) {
      long part = ((Number) Objects.requireNonNull(row.get(running.column()))).longValue();
      if (follow && row != page.rows().get(0)) at += down ? -last : part;
      else at = upTo(listing, running, row);
      last = part;
      row.put(running.column(), at);
    }
    return page;
  }

  /** What rows come to up to one of them, in the list's own order. */
  private long upTo(Listing listing, Listing.Running running, Map<String, Object> row) {
    Listing.Column own = Objects.requireNonNull(listing.column(Listing.bare(listing.sort())));
    Map<String, Object> params = new HashMap<>(listing.params());
    params.put("upToKey", row.get(own.key()));
    params.put("upToId", row.get("_id"));
    return running.before()
        + Objects.requireNonNull(
            jdbc.queryForObject(
                running.sum()
                    + " and ("
                    + own.sql()
                    + ", "
                    + listing.id()
                    + ") <= (:upToKey, :upToId)",
                params,
                Long.class));
  }

  /** Every row that the filter lets through, one by one. */
  public void all(Listing listing, Ask ask, Consumer<Map<String, Object>> each) {
    AskedSql sql = new AskedSql(listing, ask.fromStart());
    read(streamed, listing, sql.rows(Integer.MAX_VALUE), sql.params(), each);
  }

  /**
   * What all rows come to that the filter lets through, as far as the list is added up. What stands
   * on the first page whole is added up there; what is too long is only counted so far.
   */
  public Totals totals(Listing whole, Ask ask, Page first) {
    Listing listing = ask.narrow().isEmpty() ? whole.parts() : whole;
    if (first.totals() != null) return first.totals();
    if (first.next() == null) {
      Sums sums = new Sums(listing);
      first.rows().forEach(sums::add);
      return sums.totals();
    }
    AskedSql sql = new AskedSql(listing, ask.fromStart());
    if (sql.countsDearly()
        && Objects.requireNonNull(
                jdbc.queryForObject(
                    sql.count(listing.bounds().most() + 1), sql.params(), Long.class))
            > listing.bounds().most()) return new Totals(listing.bounds().most(), false, Map.of());
    return Objects.requireNonNull(
        jdbc.queryForObject(
            sql.sums(listing.bounds().most() + 1),
            sql.params(),
            (row, n) -> totals(row, listing, Listing.Column::key)));
  }

  /**
   * @param named what the sum of a column is called
   */
  private static Totals totals(
      ResultSet row, Listing listing, Function<Listing.Column, String> named) throws SQLException {
    long rows = row.getLong("_rows");
    if (rows > listing.bounds().most()) return new Totals(listing.bounds().most(), false, Map.of());
    Map<String, BigDecimal> sums = new HashMap<>();
    for (Listing.Column c : listing.summed()) {
      BigDecimal sum = row.getBigDecimal(named.apply(c));
      sums.put(c.key(), sum == null ? BigDecimal.ZERO : sum);
    }
    return new Totals(rows, true, sums);
  }

  private static void read(
      NamedParameterJdbcTemplate by,
      Listing listing,
      String sql,
      Map<String, Object> params,
      Consumer<Map<String, Object>> each) {
    by.query(sql, params, (RowCallbackHandler) row -> each.accept(values(row, listing)));
  }

  private static Map<String, Object> values(ResultSet row, Listing listing) throws SQLException {
    Map<String, Object> map = new LinkedHashMap<>();
    for (Listing.Column c : listing.columns()) map.put(c.key(), value(row, c));
    map.put("_key", row.getString("_key"));
    map.put("_id", row.getString("_id"));
    return map;
  }

  private static Object value(ResultSet row, Listing.Column column) throws SQLException {
    return switch (column.type()) {
      case DATE -> row.getObject(column.key(), LocalDate.class);
      case TIME -> row.getObject(column.key(), LocalDateTime.class);
      default -> row.getObject(column.key());
    };
  }
}
