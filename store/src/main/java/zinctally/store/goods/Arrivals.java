package zinctally.store.goods;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.cost.Booked;
import zinctally.core.cost.EventKind;
import zinctally.core.units.Units;
import zinctally.store.cost.PoolStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.sql.UnitColumns;

/** What came, with what was charged on it later and of what it was made. */
@Repository
public class Arrivals {
  private final PoolStore pools;
  private final PaperStore papers;
  private final JdbcClient sql;

  Arrivals(PoolStore pools, PaperStore papers, JdbcClient sql) {
    this.pools = pools;
    this.papers = papers;
    this.sql = sql;
  }

  /** An amount that was added to an arrival, or taken off it, after it came. */
  public record Charge(PaperStore.PaperRef paper, long amount) {}

  /**
   * An arrival, and what of it is spoken of.
   *
   * @param paper null for goods that have not come yet, or that share one average
   * @param quantity millionths spoken of
   * @param value minor units of those
   * @param whole millionths that came
   * @param price minor units for all of those, before charges
   * @param made of what it was made; null when it was not
   */
  public record Part(
      PaperStore.@Nullable PaperRef paper,
      boolean back,
      long quantity,
      long value,
      long whole,
      long price,
      List<Charge> charges,
      @Nullable Made made) {
    public long wholeValue() {
      return price + charges.stream().mapToLong(Charge::amount).sum();
    }
  }

  /**
   * What went into something.
   *
   * @param work minor units that were added
   */
  public record Made(List<Component> components, long work) {}

  /**
   * @param quantity millionths
   * @param cost minor units
   */
  public record Component(String item, Units units, long quantity, long cost) {}

  /** What is known of arrivals, by their events. */
  Map<Long, Part> of(List<Long> events) {
    Map<Long, Part> parts = new HashMap<>();
    List<Long> wanted = events.stream().filter(e -> e > 0).distinct().toList();
    if (wanted.isEmpty()) return parts;
    Map<Long, List<Charge>> charges = new HashMap<>();
    Map<Long, List<long[]>> charged = new HashMap<>();
    sql.sql(
            "select target_id, id, value from cost_event"
                + " where target_id in (:events) and kind = 'CHARGE' and not gone order by date, id")
        .param("events", wanted)
        .query(
            (row, n) ->
                charged
                    .computeIfAbsent(row.getLong(1), k -> new ArrayList<>())
                    .add(new long[] {row.getLong(2), row.getLong(3)}))
        .list();
    List<Long> all = new ArrayList<>(wanted);
    charged.values().forEach(list -> list.forEach(c -> all.add(c[0])));
    Map<Long, PaperStore.PaperRef> refs = papers.ofEvents(all);
    charged.forEach(
        (arrival, list) ->
            charges.put(
                arrival,
                list.stream()
                    .map(c -> new Charge(Objects.requireNonNull(refs.get(c[0])), c[1]))
                    .toList()));
    Map<Long, Made> made = made(wanted);
    for (Booked booked : pools.events(wanted)) {
      long id = booked.event().id();
      boolean back = booked.event().kind() == EventKind.BACK;
      parts.put(
          id,
          new Part(
              refs.get(id),
              back,
              0,
              0,
              booked.event().quantity(),
              back ? booked.value() : booked.event().value(),
              charges.getOrDefault(id, List.of()),
              made.get(id)));
    }
    return parts;
  }

  /** Of what arrivals were made, those that were. */
  private Map<Long, Made> made(List<Long> events) {
    Map<Long, Made> made = new HashMap<>();
    sql.sql(
            """
            select r.event_id, m.charges, i.name, i.*, e.quantity, e.booked
            from made_of r join making m on m.paper_id = r.paper_id
            join made_of c on c.paper_id = r.paper_id and c.weight is null
            join cost_event e on e.id = c.event_id join item i on i.id = e.item_id
            where r.event_id in (:events) and r.weight is not null
            order by r.event_id, e.line, e.part
            """)
        .param("events", events)
        .query(
            row -> {
              long work = row.getLong("charges");
              made.computeIfAbsent(row.getLong("event_id"), e -> new Made(new ArrayList<>(), work))
                  .components
                  .add(
                      new Component(
                          row.getString("name"),
                          UnitColumns.units(row),
                          row.getLong("quantity"),
                          -row.getLong("booked")));
            });
    return made;
  }
}
