package zinctally.store.listing;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.stereotype.Repository;
import zinctally.store.find.Like;

/** Runs listings. */
@Repository
public class ListingStore {
  public static final int PAGE = 60;
  private final NamedParameterJdbcTemplate jdbc;

  ListingStore(JdbcTemplate jdbc) {
    this.jdbc = new NamedParameterJdbcTemplate(jdbc);
  }

  /**
   * What a reader asks of a list.
   *
   * @param filter words that must all occur, in any text or date column
   * @param sort a column's key, with a leading minus for descending; unknown keys are ignored
   * @param after where to go on, from {@link Page#next()}; empty for the start
   */
  public record Ask(String filter, String sort, String after) {
    public static final Ask ALL = new Ask("", "", "");
  }

  public Page page(Listing listing, Ask ask) {
    List<Map<String, Object>> rows = new ArrayList<>();
    run(listing, ask, PAGE + 1, rows::add);
    if (rows.size() <= PAGE) return new Page(rows, null);
    Map<String, Object> last = rows.get(PAGE - 1);
    return new Page(rows.subList(0, PAGE), last.get("_key") + "\u001f" + last.get("_id"));
  }

  /** Every row that the filter lets through, one by one. */
  public void all(Listing listing, Ask ask, Consumer<Map<String, Object>> each) {
    run(listing, new Ask(ask.filter(), ask.sort(), ""), Integer.MAX_VALUE, each);
  }

  private void run(Listing listing, Ask ask, int atMost, Consumer<Map<String, Object>> each) {
    String sort = ask.sort().isEmpty() ? listing.sort() : ask.sort();
    boolean down = sort.startsWith("-");
    Listing.Column by = listing.column(down ? sort.substring(1) : sort);
    if (by == null) {
      down = listing.sort().startsWith("-");
      by = listing.column(down ? listing.sort().substring(1) : listing.sort());
    }
    // the column of the first sort is never null, so that its index gives the order
    String key =
        sort.equals(listing.sort())
            ? by.sql()
            : "coalesce(" + by.sql() + ", " + (by.type().figure() ? "0" : "''") + ")";
    Map<String, Object> params = new HashMap<>(listing.params());
    List<String> conditions = new ArrayList<>();
    int n = 0;
    for (String word : ask.filter().toLowerCase(Locale.ROOT).split("\\s+")) {
      if (word.isEmpty() || n == 8) continue;
      String param = "word" + n++;
      params.put(param, "%" + Like.escaped(word) + "%");
      conditions.add(
          listing.columns().stream()
              .filter(c -> c.type() == Listing.Type.TEXT || c.type() == Listing.Type.DATE)
              .map(c -> "coalesce(" + c.sql() + ", '') like :" + param)
              .collect(Collectors.joining(" or ", "(", ")")));
    }
    int cut = ask.after().indexOf('\u001f');
    if (cut >= 0) {
      params.put("afterKey", ask.after().substring(0, cut));
      params.put("afterId", ask.after().substring(cut + 1));
      conditions.add(key + (down ? " <= " : " >= ") + ":afterKey");
      conditions.add(
          "(" + key + ", " + listing.id() + ") " + (down ? "<" : ">") + " (:afterKey, :afterId)");
    }
    String select =
        listing.columns().stream()
            .map(c -> c.sql() + " as `" + c.key() + "`")
            .collect(Collectors.joining(", "));
    String order = down ? " desc" : "";
    String text =
        "select "
            + select
            + ", "
            + key
            + " as _key, "
            + listing.id()
            + " as _id from "
            + listing.from()
            + (conditions.isEmpty() ? "" : " and " + String.join(" and ", conditions))
            + " order by "
            + key
            + order
            + ", "
            + listing.id()
            + order
            + (atMost == Integer.MAX_VALUE ? "" : " limit " + atMost);
    jdbc.query(
        text,
        params,
        row -> {
          Map<String, Object> map = new LinkedHashMap<>();
          for (Listing.Column c : listing.columns())
            map.put(
                c.key(),
                c.type() == Listing.Type.TIME
                    ? row.getObject(c.key(), LocalDateTime.class)
                    : row.getObject(c.key()));
          map.put("_key", row.getString("_key"));
          map.put("_id", row.getString("_id"));
          each.accept(map);
        });
  }
}
