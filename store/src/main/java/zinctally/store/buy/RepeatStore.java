package zinctally.store.buy;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Repetition;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.DraftText;
import zinctally.store.sql.NewRow;

/** Papers that are begun again and again, as drafts to be looked at; none posts itself. */
@Repository
public class RepeatStore {
  private static final List<String> EACH_TIME_ANEW =
      List.of("date", "due", "their_number", "reference", "expected", Draft.AGREED);
  private final JdbcClient sql;
  private final DraftStore drafts;

  RepeatStore(JdbcClient sql, DraftStore drafts) {
    this.sql = sql;
    this.drafts = drafts;
  }

  /**
   * @param runs days gone by, missed ones too
   * @param next null when it is over
   */
  public record Repeat(
      long id, String title, Draft text, Repetition repetition, int runs, LocalDate next) {}

  public Optional<Repeat> find(long id) {
    return sql.sql("select * from repeating where id = ?")
        .param(id)
        .query(RepeatStore::row)
        .optional();
  }

  private static Repeat row(ResultSet row, int n) throws SQLException {
    return new Repeat(
        row.getLong("id"),
        row.getString("title"),
        DraftText.read(PaperKind.valueOf(row.getString("kind")), row.getString("text")),
        new Repetition(
            Repetition.Every.valueOf(row.getString("every")),
            row.getObject("start", LocalDate.class),
            row.getObject("until", LocalDate.class),
            row.getObject("times", Integer.class)),
        row.getInt("runs"),
        row.getObject("next", LocalDate.class));
  }

  /**
   * Sets a paper to repeat; what is new each time is left out of it.
   *
   * @param paper the posted paper; from the same day in the same rhythm it repeats once
   */
  public long add(long paper, String title, Draft text, Repetition repetition, String login) {
    return NewRow.id(
        sql.sql(
                """
            insert into repeating
              (paper_id, kind, text, title, every, start, until, times, next, made_by)
            values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
            on duplicate key update id = last_insert_id(id), next = coalesce(next, values(next))
            """)
            .params(
                paper,
                text.kind().name(),
                DraftText.write(text.without(EACH_TIME_ANEW)),
                title,
                repetition.every().name(),
                repetition.start())
            .param(repetition.until())
            .param(repetition.times())
            .param(repetition.day(0).orElse(null))
            .param(login));
  }

  /** It repeats no more. */
  public void stop(long id) {
    sql.sql("update repeating set next = null where id = ?").param(id).update();
  }

  /** Begins the drafts that are due; whoever comes first begins each. */
  @Transactional
  public int begin(LocalDate today) {
    List<Repeat> due =
        sql.sql("select * from repeating where next <= ? order by id for update")
            .param(today)
            .query(RepeatStore::row)
            .list();
    int begun = 0;
    for (Repeat repeat : due) {
      Optional<Repetition.Due> now = repeat.repetition.due(repeat.runs, today);
      int gone = now.map(Repetition.Due::gone).orElse(repeat.runs);
      sql.sql("update repeating set runs = ?, next = ? where id = ?")
          .param(gone)
          .param(repeat.repetition.day(gone).orElse(null))
          .param(repeat.id)
          .update();
      if (now.isEmpty()) continue;
      Map<String, String> fields = new HashMap<>(repeat.text.fields());
      fields.put("date", now.get().day().toString());
      drafts.begin(new Draft(repeat.text.kind(), fields, repeat.text.rows()), "repeating");
      begun++;
    }
    return begun;
  }
}
