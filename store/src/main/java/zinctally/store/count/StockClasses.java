package zinctally.store.count;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import zinctally.store.Retrying;
import zinctally.store.listing.Ask;
import zinctally.store.listing.ListingStore;

/**
 * Which goods are counted how often. Class A is what makes up the first 80 percent of what left in
 * a year, by cost; B the next 15, C the rest (common practice).
 */
@Service
public class StockClasses {
  /** Days after which goods of a class are counted again (common practice). */
  public static final Map<String, Integer> CYCLE = Map.of("A", 30, "B", 90, "C", 180);

  private final JdbcClient sql;
  private final ListingStore lists;
  private final CountSheets sheets;
  private final Retrying retrying;
  private final Clock clock;

  StockClasses(
      JdbcClient sql, ListingStore lists, CountSheets sheets, Retrying retrying, Clock clock) {
    this.sql = sql;
    this.lists = lists;
    this.sheets = sheets;
    this.retrying = retrying;
    this.clock = clock;
  }

  /** Sorts all items anew, by what left up to today. */
  @Scheduled(cron = "0 15 3 * * *")
  public void renew() {
    retrying.run(
        () ->
            sql.sql(
                    """
                    replace into item_class
                    select item_id, case when above < 80 * whole then 'A'
                      when above < 95 * whole then 'B' else 'C' end
                    from (
                      select item_id, left_value,
                        100 * (sum(left_value) over (order by left_value desc, item_id) - left_value)
                          as above,
                        sum(left_value) over () as whole
                      from (
                        select i.id as item_id, coalesce(-sum(n.value), 0) as left_value from item i
                        left join cost_entry n on n.item_id = i.id and n.quantity < 0
                          and n.posting_date > :from and n.posting_date <= :to
                        where i.kind = 'STOCKED' group by i.id) s) t
                    """)
                .param("from", LocalDate.now(clock).minusYears(1))
                .param("to", LocalDate.now(clock))
                .update());
  }

  /**
   * Draws a sheet for each place of all that is due and asked for.
   *
   * @return their numbers
   */
  public List<Long> begin(Ask ask, CountSheet.Rules rules, String login) {
    Map<String, List<String>> places = new LinkedHashMap<>();
    lists.all(
        CountListings.due(),
        ask.fromStart(),
        row ->
            places
                .computeIfAbsent(String.valueOf(row.get("place")), p -> new ArrayList<>())
                .add(String.valueOf(row.get("code"))));
    LocalDate today = LocalDate.now(clock);
    return retrying.run(
        () ->
            places.entrySet().stream()
                .map(
                    p ->
                        sheets.begin(
                            new CountSheets.Wanted(
                                p.getKey(),
                                today,
                                Scope.ITEMS,
                                String.join("\n", p.getValue()),
                                rules),
                            login))
                .toList());
  }
}
