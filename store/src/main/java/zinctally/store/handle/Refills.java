package zinctally.store.handle;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.units.Units;
import zinctally.store.listing.Ask;
import zinctally.store.listing.HandleListings;
import zinctally.store.listing.ListingStore;
import zinctally.store.paper.DraftStore;
import zinctally.store.sql.UnitColumns;

/** Transfers that fill up places which have less of an item than they should. */
@Repository
public class Refills {
  private final JdbcClient sql;
  private final ListingStore lists;
  private final DraftStore drafts;

  Refills(JdbcClient sql, ListingStore lists, DraftStore drafts) {
    this.sql = sql;
    this.lists = lists;
    this.drafts = drafts;
  }

  /**
   * Something to take from one place to another.
   *
   * @param micros millionths, above zero
   */
  public record Bring(long item, String from, String into, long micros) {}

  private record Wanted(long item, String into, long needed) {}

  /** An item, by its code, that a draft takes to a place already. */
  private record Drafted(String code, String into) {}

  /**
   * What would fill up places that are short, of what other places can spare above what they should
   * have themselves: of each item from where most is. What nobody can spare is left out, and so is
   * what a draft of a transfer takes there already.
   */
  public List<Bring> toBring(Ask ask) {
    Set<Drafted> drafted = drafted();
    List<Wanted> wanted = new ArrayList<>();
    lists.all(
        HandleListings.wanting(),
        ask.fromStart(),
        row -> {
          String into = String.valueOf(row.get("place"));
          if (!drafted.contains(key(String.valueOf(row.get("code")), into)))
            wanted.add(new Wanted(number(row, "item_id"), into, number(row, "needed")));
        });
    Map<Long, Map<String, Long>> spare =
        spare(wanted.stream().map(Wanted::item).distinct().toList());
    List<Bring> bring = new ArrayList<>();
    for (Wanted one : wanted) {
      Map<String, Long> places = spare.getOrDefault(one.item(), Map.of());
      places.entrySet().stream()
          .filter(p -> !p.getKey().equals(one.into()) && p.getValue() > 0)
          .max(Map.Entry.comparingByValue())
          .ifPresent(
              most -> {
                long taken = Math.min(one.needed(), most.getValue());
                most.setValue(most.getValue() - taken);
                bring.add(new Bring(one.item(), most.getKey(), one.into(), taken));
              });
    }
    return bring;
  }

  /**
   * Begins one draft for each two places. The caller holds the book alone, so that nobody drafts
   * the same meanwhile.
   *
   * @return the drafts' ids
   */
  public List<Long> draft(Ask ask, LocalDate day, String login) {
    List<Bring> bring = toBring(ask);
    Map<Long, Map.Entry<String, Units>> items =
        items(bring.stream().map(Bring::item).distinct().toList());
    Map<Map<String, String>, List<Map<String, String>>> papers = new LinkedHashMap<>();
    for (Bring one : bring) {
      Map.Entry<String, Units> item = Objects.requireNonNull(items.get(one.item()));
      papers
          .computeIfAbsent(
              Map.of("date", day.toString(), "place", one.from(), "into", one.into()),
              head -> new ArrayList<>())
          .add(
              Map.of(
                  "item",
                  item.getKey(),
                  "quantity",
                  item.getValue().typed(new Quantity(one.micros()))));
    }
    return papers.entrySet().stream()
        .map(p -> drafts.begin(new Draft(PaperKind.TRANSFER, p.getKey(), p.getValue()), login))
        .toList();
  }

  private static Drafted key(String code, String into) {
    return new Drafted(code.strip().toLowerCase(Locale.ROOT), into);
  }

  private Set<Drafted> drafted() {
    Set<Drafted> drafted = new HashSet<>();
    for (Draft draft : drafts.open(PaperKind.TRANSFER))
      draft.rows().forEach(r -> drafted.add(key(r.getOrDefault("item", ""), draft.field("into"))));
    return drafted;
  }

  private static long number(Map<String, Object> row, String column) {
    return ((Number) Objects.requireNonNull(row.get(column))).longValue();
  }

  /** Code and units of items. */
  private Map<Long, Map.Entry<String, Units>> items(List<Long> ids) {
    Map<Long, Map.Entry<String, Units>> items = new HashMap<>();
    if (!ids.isEmpty())
      sql.sql("select * from item where id in (:ids)")
          .param("ids", ids)
          .query(
              row -> {
                items.put(
                    row.getLong("id"), Map.entry(row.getString("code"), UnitColumns.units(row)));
              });
    return items;
  }

  private Map<Long, Map<String, Long>> spare(List<Long> items) {
    Map<Long, Map<String, Long>> spare = new HashMap<>();
    if (!items.isEmpty())
      sql.sql(
              """
              select s.item_id, p.name, s.quantity - coalesce(m.least, 0) from place_stock s
              join place p on p.id = s.place_id and p.for_sale
              left join item_place m on m.item_id = s.item_id and m.place_id = s.place_id
              where s.item_id in (:items) and s.quantity > coalesce(m.least, 0) order by p.name
              """)
          .param("items", items)
          .query(
              row -> {
                spare
                    .computeIfAbsent(row.getLong(1), k -> new LinkedHashMap<>())
                    .put(row.getString(2), row.getLong(3));
              });
    return spare;
  }
}
