package zinctally.store.posting;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.stereotype.Component;
import zinctally.core.cost.Spot;
import zinctally.core.papers.Fault;
import zinctally.core.papers.plan.Plan;
import zinctally.store.Refused;
import zinctally.store.sql.Rows;

/** Writes which goods moved, and what is where since; always inside one posting's transaction. */
@Component
class MoveWriter {
  private static final Comparator<List<Long>> BY_ITEM_AND_PLACE =
      Comparator.comparing((List<Long> key) -> key.get(0)).thenComparing(key -> key.get(1));
  private static final int CHUNK = 1000;
  private final JdbcTemplate jdbc;

  MoveWriter(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * @throws Refused when a serial number would be twice, or less of a lot than nothing
   */
  void write(Worker.Job job, Entries.Of by) {
    long paper = by.paper();
    List<Object[]> moves = new ArrayList<>();
    TreeMap<List<Long>, Long> places = new TreeMap<>(BY_ITEM_AND_PLACE);
    TreeMap<List<Long>, Long> lots = new TreeMap<>(BY_ITEM_AND_PLACE);
    for (Undo.Moved m : job.undo().moves()) {
      LocalDate date = job.undo().on(m.date());
      long back = m.quantity().negated().micros();
      moves.add(row(m.item(), m.place(), date, back, paper, m.spot(), m.lot(), by));
      if (m.lot() != 0) lots.merge(List.of(m.lot(), m.place()), back, Math::addExact);
      places.merge(List.of(m.item(), m.place()), back, Math::addExact);
    }
    for (Plan.Move m : job.plan().moves()) {
      Plan.Elsewhere of = m.of();
      LocalDate date = of == null ? job.date() : of.at().date();
      long belongs = of == null || of.paper() == 0 ? paper : of.paper();
      long micros = m.quantity().micros();
      long lot = m.lot() == null ? 0 : m.lot().id();
      moves.add(row(m.item(), m.place(), date, micros, belongs, m.spot(), lot, by));
      if (lot != 0) lots.merge(List.of(lot, m.place()), micros, Math::addExact);
      places.merge(List.of(m.item(), m.place()), micros, Math::addExact);
    }
    Rows.write(
        jdbc,
        "insert into quantity_move (item_id, place_id, date, quantity, paper_id, line, part, lot_id,"
            + " posting_id) values (?, ?, ?, ?, ?, ?, ?, ?, ?)",
        moves);
    Rows.write(
        jdbc,
        "insert into place_stock values (?, ?, ?)"
            + " on duplicate key update quantity = quantity + values(quantity)",
        places.entrySet().stream()
            .map(p -> new Object[] {p.getKey().get(0), p.getKey().get(1), p.getValue()})
            .toList());
    lots(lots);
  }

  private static Object[] row(
      long item,
      long place,
      LocalDate date,
      long micros,
      long paper,
      Spot spot,
      long lot,
      Entries.Of by) {
    return new Object[] {
      item, place, date, micros, paper, spot.line(), spot.part(), lot, by.posting()
    };
  }

  private void lots(TreeMap<List<Long>, Long> lots) {
    if (lots.isEmpty()) return;
    Rows.write(
        jdbc,
        "insert into lot_stock values (?, ?, ?)"
            + " on duplicate key update quantity = quantity + values(quantity)",
        lots.entrySet().stream()
            .map(l -> new Object[] {l.getKey().get(0), l.getKey().get(1), l.getValue()})
            .toList());
    jdbc.batchUpdate(
        "update lot set on_hand = on_hand + ? where id = ?",
        lots.entrySet().stream().map(l -> new Object[] {l.getValue(), l.getKey().get(0)}).toList());
    List<Fault> wrong = new ArrayList<>();
    NamedParameterJdbcTemplate named = new NamedParameterJdbcTemplate(jdbc);
    List<Long> ids = lots.keySet().stream().map(k -> k.get(0)).distinct().toList();
    for (int from = 0; from < ids.size(); from += CHUNK)
      named.query(
          """
          select l.code, i.name, p.name, s.quantity < 0, l.on_hand > 0
          from lot l join item i on i.id = l.item_id
          join lot_stock s on s.lot_id = l.id join place p on p.id = s.place_id
          where l.id in (:lots)
            and (s.quantity < 0 or i.tracking = 'SERIAL' and l.on_hand not in (0, 1000000))
          """,
          Map.of("lots", ids.subList(from, Math.min(ids.size(), from + CHUNK))),
          row -> {
            String what = row.getString(1) + " of " + row.getString(2);
            wrong.add(
                Fault.whole(
                    row.getBoolean(4)
                        ? row.getString(3) + " has less of " + what + " than this takes."
                        : what + " would be here twice."));
          });
    if (!wrong.isEmpty()) throw new Refused(wrong);
  }
}
