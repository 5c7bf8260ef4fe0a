package zinctally.store.posting;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import zinctally.core.goods.Item;
import zinctally.core.ledger.JournalLine;
import zinctally.core.proof.Proof;
import zinctally.store.sql.Rows;

/**
 * Adds what a posting writes to the sums that are kept of both books. These rows are everyone's:
 * they are written last, always in the same order, and held until the posting ends.
 */
@Component
class Totals {
  private final JdbcTemplate jdbc;

  Totals(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * @param items by id, all that the work speaks of
   * @param stock ids of the accounts that hold stock
   */
  void write(Proof.Work work, Map<Long, Item> items, Set<Long> stock) {
    ofItems(work, items);
    ofAccounts(work, stock);
    ofStock(work, items);
  }

  private static Stream<Proof.StockEntry> entries(Proof.Work work) {
    return Stream.concat(work.entries().stream(), work.undone().stream());
  }

  private void ofItems(Proof.Work work, Map<Long, Item> items) {
    MonthSums byMonth = new MonthSums();
    MonthSums byYear = new MonthSums();
    entries(work)
        .forEach(
            e -> {
              LocalDate month = e.postingDate().withDayOfMonth(1);
              byMonth.add(e.item(), month, e.quantity(), e.value());
              byYear.add(e.item(), month.withDayOfYear(1), e.quantity(), e.value());
            });
    Rows.write(
        jdbc,
        "insert into item_month (item_id, month, quantity, value) values (?, ?, ?, ?) on duplicate key update"
            + " quantity = quantity + values(quantity), value = value + values(value)",
        byMonth.rows(true));
    Rows.write(
        jdbc,
        "insert into item_year (item_id, year, quantity, value) values (?, year(?), ?, ?) on duplicate key update"
            + " quantity = quantity + values(quantity), value = value + values(value)",
        byYear.rows(true));
  }

  private void ofAccounts(Proof.Work work, Set<Long> stock) {
    MonthSums months = new MonthSums();
    Map<Long, MonthSums> byItem = new TreeMap<>();
    Stream.concat(work.reversals().stream(), work.journals().stream())
        .forEach(
            entry -> {
              LocalDate month = entry.date().withDayOfMonth(1);
              for (JournalLine line : entry.lines()) {
                long amount = line.amount().minor();
                months.add(line.account(), month, Math.max(0, amount), Math.max(0, -amount));
                if (stock.contains(line.account()))
                  byItem
                      .computeIfAbsent(line.account(), a -> new MonthSums())
                      .add(line.item(), month, amount, 0);
              }
            });
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
    Rows.write(
        jdbc,
        "insert into account_month values (?, ?, ?, ?) on duplicate key update"
            + " debit = debit + values(debit), credit = credit + values(credit)",
        months.rows(true));
  }

  private void ofStock(Proof.Work work, Map<Long, Item> items) {
    MonthSums byAccount = new MonthSums();
    entries(work)
        .forEach(
            e ->
                byAccount.add(
                    Objects.requireNonNull(items.get(e.item())).stockAccount(),
                    e.postingDate().withDayOfMonth(1),
                    e.value(),
                    0));
    Rows.write(
        jdbc,
        "insert into stock_month values (?, ?, ?) on duplicate key update"
            + " value = value + values(value)",
        byAccount.rows(false));
  }
}
