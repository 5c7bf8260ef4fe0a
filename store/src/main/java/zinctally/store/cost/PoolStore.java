package zinctally.store.cost;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.cost.Booked;
import zinctally.core.cost.CostEvent;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Method;
import zinctally.core.cost.Past;
import zinctally.core.cost.Pool;
import zinctally.core.cost.PoolState;
import zinctally.core.cost.Position;
import zinctally.core.cost.Spot;
import zinctally.core.cost.Trace;
import zinctally.core.number.Coin;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;

/** Cost pools, their events and checkpoints. */
@Repository
public class PoolStore {
  private static final int CHUNK = 1000;
  private final JdbcClient sql;
  private final JdbcTemplate jdbc;

  PoolStore(JdbcClient sql, JdbcTemplate jdbc) {
    this.sql = sql;
    this.jdbc = jdbc;
  }

  /** Heads of the pools of {@code items}, in the order of their ids. */
  public Map<Long, PoolHead> heads(Collection<Long> items) {
    TreeSet<Long> ordered = new TreeSet<>(items);
    Map<Long, PoolHead> heads = new LinkedHashMap<>();
    for (long item : ordered) heads.put(item, PoolHead.empty(item));
    List<Long> all = ordered.stream().filter(id -> id > 0).toList();
    for (int from = 0; from < all.size(); from += CHUNK) {
      List<Long> part = all.subList(from, Math.min(all.size(), from + CHUNK));
      sql.sql("select * from cost_pool where item_id in (:items)")
          .param("items", part)
          .query(PoolStore::head)
          .list()
          .forEach(head -> heads.put(head.item(), head));
    }
    return heads;
  }

  private static PoolHead head(ResultSet row, int n) throws SQLException {
    LocalDate date = row.getObject("last_date", LocalDate.class);
    PoolState state =
        PoolText.read(
            row.getString("layers"), row.getLong("latest_quantity"), row.getLong("latest_value"));
    Position last =
        new Position(
            date,
            row.getLong("last_sequence"),
            new Spot(row.getInt("last_line"), row.getInt("last_part")));
    return new PoolHead(row.getLong("item_id"), state, last, row.getInt("since_checkpoint"));
  }

  /**
   * The latest state of each item before its position: a checkpoint's, or that of an empty pool.
   *
   * @param at by item; few enough for one command
   */
  public Map<Long, PoolHead> statesBefore(Map<Long, Position> at) {
    Map<Long, PoolHead> states = new LinkedHashMap<>();
    List<Object> params = new ArrayList<>();
    at.forEach(
        (item, before) -> {
          states.put(item, PoolHead.empty(item));
          params.addAll(
              List.of(
                  item,
                  before.date(),
                  before.sequence(),
                  before.spot().part(),
                  before.spot().line()));
        });
    String one =
        """
        (select * from cost_checkpoint
         where item_id = ? and (date, sequence, part, line) < (?, ?, ?, ?)
         order by date desc, sequence desc, part desc, line desc limit 1)
        """;
    if (!at.isEmpty())
      sql.sql(String.join(" union all ", Collections.nCopies(at.size(), one)))
          .params(params)
          .query(PoolStore::checkpoint)
          .list()
          .forEach(state -> states.put(state.item(), state));
    return states;
  }

  /** The latest state of one item before a position. */
  public PoolHead stateBefore(long item, Position at) {
    return Objects.requireNonNull(statesBefore(Map.of(item, at)).get(item));
  }

  /** Every state kept on the way. */
  public List<PoolHead> checkpoints(long item) {
    return sql.sql(
            "select * from cost_checkpoint where item_id = ? order by date, sequence, part, line")
        .param(item)
        .query(PoolStore::checkpoint)
        .list();
  }

  private static PoolHead checkpoint(ResultSet row, int n) throws SQLException {
    PoolState state =
        PoolText.read(
            row.getString("layers"), row.getLong("latest_quantity"), row.getLong("latest_value"));
    Position at =
        new Position(row.getObject("date", LocalDate.class), row.getLong("sequence"), spot(row));
    return new PoolHead(row.getLong("item_id"), state, at, 0);
  }

  /** The pool of one item as it stands. */
  public PoolHead head(long item) {
    return Objects.requireNonNull(heads(List.of(item)).get(item));
  }

  private static final Position BEGINNING = new Position(LocalDate.of(1000, 1, 1), 0, Spot.FIRST);

  /** All events of an item, in event order. */
  public List<Booked> events(long item) {
    return eventsAfter(item, null);
  }

  /**
   * Events of each item after its position, in event order; all of an item's when it is null.
   *
   * @param after by item; few enough for one command
   */
  public Map<Long, List<Booked>> eventsAfter(Map<Long, @Nullable Position> after) {
    Map<Long, List<Booked>> events = new HashMap<>();
    if (after.isEmpty()) return events;
    List<Object> params = new ArrayList<>();
    after.forEach((item, at) -> params.addAll(List.of(item, (at == null ? BEGINNING : at).date())));
    sql.sql(
            "select item_id, id, kind, date, sequence, part, line, quantity, value, target_id, charges, booked"
                + " from cost_event where not gone and ("
                + String.join(
                    " or ", Collections.nCopies(after.size(), "item_id = ? and date >= ?"))
                + ") order by item_id, date, sequence, part, line")
        .params(params)
        .query(
            row -> {
              long item = row.getLong("item_id");
              Booked event = booked(row, 0);
              Position at = after.get(item);
              if (at == null || at.before(event.event().at()))
                events.computeIfAbsent(item, i -> new ArrayList<>()).add(event);
            });
    return events;
  }

  /** Events of an item after a position, in event order; all of them when it is null. */
  public List<Booked> eventsAfter(long item, @Nullable Position after) {
    return eventsAfter(Collections.singletonMap(item, after)).getOrDefault(item, List.of());
  }

  /** Single events by id. */
  public List<Booked> events(Collection<Long> ids) {
    if (ids.isEmpty()) return List.of();
    return sql.sql(
            """
            select id, kind, date, sequence, part, line, quantity, value, target_id, charges, booked
            from cost_event where id in (:ids)
            """)
        .param("ids", ids)
        .query(PoolStore::booked)
        .list();
  }

  /** Where an event stands. */
  public record Placed(long event, long item, Position at) {}

  public List<Placed> positions(Collection<Long> events) {
    if (events.isEmpty()) return List.of();
    return sql.sql(
            "select id, item_id, date, sequence, part, line from cost_event where id in (:ids)")
        .param("ids", events)
        .query(
            (row, n) ->
                new Placed(
                    row.getLong(1),
                    row.getLong(2),
                    new Position(row.getObject(3, LocalDate.class), row.getLong(4), spot(row))))
        .list();
  }

  /** An item's pool, ready to go on from a state; with the cost to assume if it may go short. */
  public Pool pool(long item, Method method, PoolHead start, boolean mayGoShort, Trace trace) {
    Pool pool = new Pool(method, start.state(), mayGoShort, past(item, start.last()), trace);
    if (mayGoShort) standardCost(item).ifPresent(c -> pool.withStandardCost(c.micros(), c.value()));
    return pool;
  }

  /** What to assume goods cost that were never received: a value for a quantity. */
  private Optional<Catalogue.LatestCost> standardCost(long item) {
    return sql.sql(
            "select i.standard_cost, b.currency from item i, book b"
                + " where i.id = ? and i.standard_cost is not null")
        .param(item)
        .query(
            (row, n) -> {
              int digits = Coin.of(row.getString(2)).digits();
              long million = row.getBigDecimal(1).movePointRight(digits + 6).longValueExact();
              return new Catalogue.LatestCost(million, Quantity.ONE * 1_000_000);
            })
        .optional();
  }

  private static Spot spot(ResultSet row) throws SQLException {
    return new Spot(row.getInt("line"), row.getInt("part"));
  }

  private static Booked booked(ResultSet row, int n) throws SQLException {
    CostEvent event =
        new CostEvent(
            row.getLong("id"),
            EventKind.valueOf(row.getString("kind")),
            new Position(
                row.getObject("date", LocalDate.class), row.getLong("sequence"), spot(row)),
            row.getLong("quantity"),
            row.getLong("value"),
            row.getLong("target_id"));
    return new Booked(event, row.getLong("charges"), row.getLong("booked"), false);
  }

  /** Answers for events at or before {@code start} from what is booked of them. */
  public Past past(long item, @Nullable Position start) {
    if (start == null) return Past.NONE;
    return new Past() {
      @Override
      public @Nullable Goods arrival(long id) {
        return sql.sql(
                "select quantity, if(kind = 'BACK', booked, value) + charges from cost_event"
                    + " where id = ? and item_id = ? and kind in ('IN', 'BACK') and not gone")
            .params(id, item)
            .query((row, n) -> new Goods(row.getLong(1), row.getLong(2)))
            .optional()
            .orElse(null);
      }

      @Override
      public @Nullable Goods gone(long id) {
        return sql.sql(
                """
                select o.quantity - coalesce(sum(b.quantity), 0),
                       -o.booked - coalesce(sum(b.booked), 0)
                from cost_event o
                left join cost_event b on b.target_id = o.id and b.kind = 'BACK' and not b.gone
                  and (b.date, b.sequence, b.part, b.line) <= (?, ?, ?, ?)
                where o.id = ? and o.item_id = ? and o.kind = 'OUT' and not o.gone
                group by o.id
                """)
            .params(
                start.date(), start.sequence(), start.spot().part(), start.spot().line(), id, item)
            .query((row, n) -> new Goods(row.getLong(1), row.getLong(2)))
            .optional()
            .orElse(null);
      }
    };
  }

  /** {@code count} ids for new events. */
  public List<Long> nextIds(int count) {
    return jdbc.queryForList(
        "select next value for cost_event_id from seq_1_to_" + count, Long.class);
  }
}
