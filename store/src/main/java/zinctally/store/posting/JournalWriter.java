package zinctally.store.posting;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import zinctally.core.ledger.JournalEntry;
import zinctally.core.ledger.JournalLine;
import zinctally.store.sql.Rows;

/** Writes journal entries and the sums by account; always inside one posting's transaction. */
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
  Map<LocalDate, Long> write(List<JournalEntry> journals, Of of, Set<Long> stock) {
    Map<LocalDate, Long> byDate = new HashMap<>();
    if (journals.isEmpty()) return byDate;
    List<Long> ids =
        jdbc.queryForList(
            "select next value for journal_id from seq_1_to_" + journals.size(), Long.class);
    List<Object[]> heads = new ArrayList<>();
    List<Object[]> lines = new ArrayList<>();
    MonthSums months = new MonthSums();
    Map<Long, MonthSums> byItem = new TreeMap<>();
    for (int i = 0; i < journals.size(); i++) {
      JournalEntry entry = journals.get(i);
      heads.add(
          new Object[] {
            ids.get(i),
            entry.date(),
            of.paper,
            of.version,
            of.reverses,
            of.till.orElse(null),
            of.at,
            of.posting
          });
      int n = 0;
      for (JournalLine line : entry.lines()) {
        long amount = line.amount().minor();
        lines.add(
            new Object[] {
              ids.get(i),
              n++,
              line.account(),
              entry.date(),
              line.item(),
              line.party(),
              amount,
              line.memo(),
              line.worked(),
              line.centre()
            });
        months.add(
            line.account(),
            entry.date().withDayOfMonth(1),
            Math.max(0, amount),
            Math.max(0, -amount));
        if (stock.contains(line.account()))
          byItem
              .computeIfAbsent(line.account(), a -> new MonthSums())
              .add(line.item(), entry.date().withDayOfMonth(1), amount, 0);
      }
    }
    Rows.write(
        jdbc,
        "insert into journal (id, date, paper_id, version, reverses, till_id, entered_at, posting_id)"
            + " values (?, ?, ?, ?, ?, ?, ?, ?)",
        heads);
    Rows.write(
        jdbc,
        "insert into journal_line (journal_id, line, account_id, date, item_id, party_id, amount, memo, worked, centre_id)"
            + " values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
        lines);
    Rows.write(
        jdbc,
        "insert into account_month values (?, ?, ?, ?) on duplicate key update"
            + " debit = debit + values(debit), credit = credit + values(credit)",
        months.rows(true));
    List<Object[]> cells = new ArrayList<>();
    byItem.forEach(
        (account, sums) ->
            sums.rows(false).forEach(c -> cells.add(new Object[] {account, c[0], c[1], c[2]})));
    Rows.write(
        jdbc,
        "insert into stock_account_month (account_id, item_id, month, amount) values (?, ?, ?, ?)"
            + " on duplicate key update amount = amount + values(amount)",
        cells);
    Rows.write(
        jdbc,
        "insert into stock_account_year (account_id, item_id, year, amount)"
            + " values (?, ?, year(?), ?)"
            + " on duplicate key update amount = amount + values(amount)",
        cells);
    for (int i = 0; i < journals.size(); i++) byDate.put(journals.get(i).date(), ids.get(i));
    return byDate;
  }
}
