package zinctally.store.statement;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.number.Money;
import zinctally.core.statement.Balances;
import zinctally.core.statement.Known;
import zinctally.store.sql.AccountLines;

/** Balances of accounts at a day, as the book knows them now or knew them at a moment. */
@Repository
public class BalancesStore {
  private final JdbcClient sql;

  BalancesStore(JdbcClient sql) {
    this.sql = sql;
  }

  /** Looks each day up once; for one statement, not to be kept. */
  public Balances balances() {
    return new Balances() {
      private record Asked(Optional<LocalDate> from, LocalDate to, Optional<LocalDateTime> known) {}

      private final Map<Asked, Map<Long, Money>> seen = new HashMap<>();
      private final Map<List<Object>, Map<Long, Money>> borneSeen = new HashMap<>();

      @Override
      public Map<Long, Money> at(LocalDate day, Optional<LocalDateTime> known) {
        return seen.computeIfAbsent(
            new Asked(Optional.empty(), day, known), a -> balances(day, known.orElse(Known.NOW)));
      }

      @Override
      public Map<Long, Money> borne(
          LocalDate from, LocalDate to, Optional<LocalDateTime> known, Set<Long> centres) {
        return borneSeen.computeIfAbsent(
            List.of(from, to, known, centres),
            a -> BalancesStore.this.borne(from, to, known.orElse(Known.NOW), centres));
      }

      @Override
      public Map<Long, Money> takenOver(
          LocalDate from, LocalDate to, Optional<LocalDateTime> known) {
        return seen.computeIfAbsent(
            new Asked(Optional.of(from), to, known),
            a -> opened(from, to, known.orElse(Known.NOW)));
      }
    };
  }

  /** Months before from totals, the rest of the month from lines, less what was entered later. */
  private Map<Long, Money> balances(LocalDate day, LocalDateTime known) {
    return read(
        sql.sql(
                """
                select account_id, sum(amount) from (
                  select account_id, debit - credit as amount from account_month where month < :month
                  union all
                  select account_id, amount from journal_line where date between :month and :day
                  union all
                  select l.account_id, -l.amount from journal j
                  straight_join journal_line l on l.journal_id = j.id
                  where j.entered_at > :known and j.date <= :day) t
                group by account_id
                """)
            .param("month", day.withDayOfMonth(1))
            .param("day", day)
            .param("known", known));
  }

  /** From lines: of income and expense, and of the days asked for alone. */
  private Map<Long, Money> borne(
      LocalDate from, LocalDate to, LocalDateTime known, Set<Long> centres) {
    return read(
        sql.sql(
                """
                select l.account_id, sum(l.amount) from account a
                %s and l.centre_id in (:centres)
                join journal j on j.id = l.journal_id and j.entered_at <= :known
                where a.kind in ('INCOME', 'EXPENSE') group by l.account_id
                """
                    .formatted(AccountLines.join(from, to)))
            .param("from", from)
            .param("to", to)
            .param("known", known)
            .param("centres", centres));
  }

  private Map<Long, Money> opened(LocalDate from, LocalDate to, LocalDateTime known) {
    return read(
        sql.sql(
                """
                select l.account_id, sum(l.amount) from paper_kind k
                straight_join paper p on p.kind = k.kind and p.date <= :to
                straight_join journal j on j.paper_id = p.id and j.date between :from and :to
                  and j.entered_at <= :known
                straight_join journal_line l on l.journal_id = j.id
                where k.opening group by l.account_id
                """)
            .param("from", from)
            .param("to", to)
            .param("known", known));
  }

  private static Map<Long, Money> read(JdbcClient.StatementSpec asked) {
    Map<Long, Money> balances = new HashMap<>();
    asked.query((row, n) -> balances.put(row.getLong(1), new Money(row.getLong(2)))).list();
    return balances;
  }
}
