package zinctally.store.posting;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import zinctally.core.ledger.JournalEntry;
import zinctally.core.ledger.JournalLine;
import zinctally.store.sql.Rows;

/** Writes journal entries; always inside one posting's transaction. */
@Component
class JournalWriter {
  private final JdbcTemplate jdbc;

  JournalWriter(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * What journal entries belong to.
   *
   * @param reverses whether they take back an earlier version
   * @param till through which their cash goes
   * @param at the moment at which they are made
   * @param posting to which they belong
   */
  record Of(
      long paper,
      int version,
      boolean reverses,
      Optional<Long> till,
      LocalDateTime at,
      long posting) {}

  /** Writes journal entries and returns their ids by posting date. */
  Map<LocalDate, Long> write(List<JournalEntry> journals, Of of) {
    Map<LocalDate, Long> byDate = new HashMap<>();
    if (journals.isEmpty()) return byDate;
    List<Object[]> heads = new ArrayList<>();
    for (JournalEntry entry : journals)
      heads.add(
          new Object[] {
            entry.date(), of.paper, of.version, of.reverses, of.till.orElse(null), of.at, of.posting
          });
    List<Long> ids =
        Rows.numbered(
            jdbc,
            "insert into journal (id, date, paper_id, version, reverses, till_id, entered_at, posting_id)"
                + " values (next value for journal_id, ?, ?, ?, ?, ?, ?, ?)",
            heads);
    List<Object[]> lines = new ArrayList<>();
    for (int i = 0; i < journals.size(); i++) {
      JournalEntry entry = journals.get(i);
      int n = 0;
      for (JournalLine line : entry.lines()) {
        lines.add(
            new Object[] {
              ids.get(i),
              n++,
              line.account(),
              entry.date(),
              line.item(),
              line.party(),
              line.amount().minor(),
              line.memo(),
              line.worked(),
              line.centre()
            });
      }
    }
    Rows.write(
        jdbc,
        "insert into journal_line (journal_id, line, account_id, date, item_id, party_id, amount, memo, worked, centre_id)"
            + " values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
        lines);
    for (int i = 0; i < journals.size(); i++) byDate.put(journals.get(i).date(), ids.get(i));
    return byDate;
  }
}
