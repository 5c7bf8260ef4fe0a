package zinctally.store.posting;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.JournalEntry;
import zinctally.core.ledger.JournalLine;
import zinctally.core.ledger.Role;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Trait;
import zinctally.core.papers.tax.TaxDue;
import zinctally.core.papers.tax.Taxed;
import zinctally.core.proof.Proof;
import zinctally.store.book.BookCatalogue;
import zinctally.store.sql.Rows;

/** Writes what papers bear of tax by day and rate; always inside one posting's transaction. */
@Component
class TaxWriter {
  private final JdbcTemplate jdbc;

  TaxWriter(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * What a paper says of tax.
   *
   * @param taxed what it sells or buys by rate; empty when it is voided
   * @param on its day
   */
  record Said(PaperKind kind, List<Taxed> taxed, LocalDate on, BookCatalogue book) {
    /** What its journal lines on tax accounts are of is neither declared before nor by itself. */
    private boolean counts() {
      return !kind.is(Trait.OPENS) && !kind.is(Trait.DECLARES);
    }

    private String rate(JournalLine line) {
      return kind.is(Trait.BY_HAND) || !book.isRate(line.memo()) ? TaxDue.BY_HAND : line.memo();
    }
  }

  private record Key(LocalDate date, long account, Role side, String rate) {}

  private static final class Sums {
    private final Map<Key, long[]> sums = new LinkedHashMap<>();

    void add(Key key, long base, long tax) {
      long[] sum = sums.computeIfAbsent(key, k -> new long[2]);
      sum[0] = Math.addExact(sum[0], base);
      sum[1] = Math.addExact(sum[1], tax);
    }
  }

  void write(Said said, Proof.Work work, Undo undo, Entries.Of of) {
    if (!said.counts()) return;
    Map<Long, Role> accounts =
        said.book.taxAccounts().stream().collect(Collectors.toMap(Account::id, Account::role));
    Sums sums = new Sums();
    for (List<JournalEntry> entries : List.of(work.reversals(), work.journals()))
      for (JournalEntry entry : entries)
        for (JournalLine line : entry.lines()) {
          Role side = accounts.get(line.account());
          if (side == null) continue;
          long tax = side == Role.SALES_TAX ? -line.amount().minor() : line.amount().minor();
          sums.add(new Key(entry.date(), line.account(), side, said.rate(line)), 0, tax);
        }
    if (undo.paper() != 0) takeBack(undo, sums);
    for (Taxed one : said.taxed)
      sums.add(
          new Key(
              said.on,
              said.book.account(one.side()).id(),
              one.side(),
              one.rate() == null ? "" : one.rate().code()),
          one.base(),
          0);
    insert(sums, of);
  }

  /** What an earlier version sold or bought is taken back where its entries are. */
  private void takeBack(Undo undo, Sums sums) {
    jdbc.query(
        "select date, account_id, side, rate, sum(base) as base from tax_entry where paper_id = ?"
            + " group by date, account_id, side, rate having base <> 0",
        row -> {
          LocalDate date = row.getObject(1, LocalDate.class);
          sums.add(
              new Key(
                  date.isBefore(undo.floor()) ? undo.floor() : date,
                  row.getLong(2),
                  Role.valueOf(row.getString(3)),
                  row.getString(4)),
              -row.getLong(5),
              0);
        },
        undo.paper());
  }

  private void insert(Sums sums, Entries.Of of) {
    List<Object[]> rows = new ArrayList<>();
    sums.sums.forEach(
        (key, sum) -> {
          if (sum[0] != 0 || sum[1] != 0)
            rows.add(
                new Object[] {
                  of.posting(),
                  of.paper(),
                  key.date,
                  key.account,
                  key.side.name(),
                  key.rate,
                  sum[0],
                  sum[1]
                });
        });
    if (rows.isEmpty()) return;
    Rows.write(
        jdbc,
        "insert into tax_entry (posting_id, paper_id, date, account_id, side, rate, base, tax)"
            + " values (?, ?, ?, ?, ?, ?, ?, ?)",
        rows);
  }
}
