package zinctally.store.cost;

import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.cost.PoolState;
import zinctally.core.cost.Position;
import zinctally.store.sql.Rows;

/** Writes what pools come to; the caller holds their items. */
@Repository
public class PoolWriter {
  private final JdbcClient sql;
  private final JdbcTemplate jdbc;

  PoolWriter(JdbcClient sql, JdbcTemplate jdbc) {
    this.sql = sql;
    this.jdbc = jdbc;
  }

  /** A state to be written. */
  public record Kept(long item, @Nullable Position at, PoolState state, int sinceCheckpoint) {}

  /** Writes heads, and drops those of pools without events; the caller holds their locks. */
  public void writeHeads(List<Kept> heads) {
    for (Kept head : heads)
      if (head.at() == null)
        sql.sql("delete from cost_pool where item_id = ?").param(head.item()).update();
    Rows.write(
        jdbc,
        """
        insert into cost_pool (item_id, on_hand, worth, layers, last_date, last_sequence, last_part,
          last_line, since_checkpoint, latest_quantity, latest_value, written_down)
        values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
        on duplicate key update on_hand = values(on_hand), worth = values(worth),
          layers = values(layers), last_date = values(last_date),
          last_sequence = values(last_sequence), last_part = values(last_part),
          last_line = values(last_line),
          since_checkpoint = values(since_checkpoint),
          latest_quantity = values(latest_quantity), latest_value = values(latest_value),
          written_down = values(written_down)
        """,
        heads.stream()
            .filter(k -> k.at() != null)
            .map(
                k ->
                    new Object[] {
                      k.item(),
                      k.state().onHand(),
                      k.state().worth(),
                      PoolText.write(k.state()),
                      k.at().date(),
                      k.at().sequence(),
                      k.at().spot().part(),
                      k.at().spot().line(),
                      k.sinceCheckpoint(),
                      k.state().latestQuantity(),
                      k.state().latestValue(),
                      k.state().writtenDown()
                    })
            .toList());
  }

  /** Puts down which outs of an item stand uncovered. */
  public void writeUncovered(long item, PoolState state) {
    sql.sql("delete from uncovered_out where item_id = ?").param(item).update();
    Rows.write(
        jdbc,
        "insert into uncovered_out (event_id, item_id, quantity, value) values (?, ?, ?, ?)",
        state.uncovered().stream()
            .map(u -> new Object[] {u.out(), item, u.quantity(), u.value()})
            .toList());
  }

  /** Drops checkpoints after a position, which a replay has overtaken, and writes new ones. */
  public void writeCheckpoints(long item, @Nullable Position after, List<Kept> checkpoints) {
    if (after != null)
      sql.sql(
              "delete from cost_checkpoint where item_id = ? and (date, sequence, part, line) > (?, ?, ?, ?)")
          .params(item, after.date(), after.sequence(), after.spot().part(), after.spot().line())
          .update();
    Rows.write(
        jdbc,
        "insert into cost_checkpoint (item_id, date, sequence, part, line, layers, latest_quantity,"
            + " latest_value) values (?, ?, ?, ?, ?, ?, ?, ?)",
        checkpoints.stream()
            .map(
                k -> {
                  Position at = Objects.requireNonNull(k.at());
                  return new Object[] {
                    item,
                    at.date(),
                    at.sequence(),
                    at.spot().part(),
                    at.spot().line(),
                    PoolText.write(k.state()),
                    k.state().latestQuantity(),
                    k.state().latestValue()
                  };
                })
            .toList());
  }
}
