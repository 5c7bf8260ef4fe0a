package zinctally.store.book;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.Role;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.back.ReturnReason;
import zinctally.core.papers.stock.Reason;

/** Finds what is set up in a book and has a name: accounts, rates, reasons. */
final class NamedLookup {
  private final JdbcClient sql;
  private final List<Account> accounts;

  /** All, in use or not; null while nobody has asked. */
  private @Nullable List<Rate> rates;

  private record Rate(TaxRate rate, boolean active) {}

  /** By name; null while nobody has asked. */
  private @Nullable Map<String, Reason> reasons;

  NamedLookup(JdbcClient sql, List<Account> accounts) {
    this.sql = sql;
    this.accounts = accounts;
  }

  private List<Rate> rates() {
    if (rates == null)
      rates =
          sql.sql("select id, code, name, percent, active from tax_rate")
              .query(
                  (row, n) ->
                      new Rate(
                          new TaxRate(
                              row.getLong(1),
                              row.getString(2),
                              row.getString(3),
                              row.getBigDecimal(4)),
                          row.getBoolean(5)))
              .list();
    return rates;
  }

  private static String key(String typed) {
    return typed.strip().toLowerCase(Locale.ROOT);
  }

  /** Ids of the accounts that hold stock. */
  Set<Long> stockAccounts() {
    return accounts.stream()
        .filter(a -> a.role() == Role.STOCK)
        .map(Account::id)
        .collect(Collectors.toSet());
  }

  /** Accounts of sales tax and of purchase tax, in use or not. */
  List<Account> taxAccounts() {
    return accounts.stream()
        .filter(a -> a.role() == Role.SALES_TAX || a.role() == Role.PURCHASE_TAX)
        .toList();
  }

  /** Whether a rate of tax has this code, in use or not. */
  boolean isRate(String code) {
    return rates().stream().anyMatch(r -> r.rate.code().equals(code));
  }

  /** The rate of a row with the columns rate, code, name and percent; null for none. */
  static @Nullable TaxRate rate(ResultSet row) throws SQLException {
    return row.getLong("rate") == 0
        ? null
        : new TaxRate(
            row.getLong("rate"),
            row.getString("code"),
            row.getString("name"),
            row.getBigDecimal("percent"));
  }

  /** The account that is used for a purpose of which there is one. */
  Account usual(String purpose) {
    return account(
        sql.sql("select account_id from tender where kind = ?")
            .param(purpose)
            .query(Long.class)
            .single());
  }

  Optional<Account> account(String typed) {
    String wanted = key(typed);
    return accounts.stream()
        .filter(
            a ->
                key(a.code()).equals(wanted)
                    || key(a.name()).equals(wanted)
                    || key(a.label()).equals(wanted))
        .findFirst();
  }

  Account account(long id) {
    return accounts.stream().filter(a -> a.id() == id).findFirst().orElseThrow();
  }

  Account account(Role role) {
    return accounts.stream()
        .filter(a -> a.role() == role && a.active())
        .findFirst()
        .orElseThrow(() -> new IllegalStateException("no account in use is for " + role.words()));
  }

  Optional<TaxRate> taxRate(String code) {
    return rates().stream()
        .filter(r -> r.active && key(r.rate.code()).equals(key(code)))
        .map(Rate::rate)
        .findFirst();
  }

  Optional<Reason> reason(String name) {
    if (reasons == null)
      reasons =
          sql
              .sql("select id, name, account_id from reason where active")
              .query((row, n) -> new Reason(row.getLong(1), row.getString(2), row.getLong(3)))
              .list()
              .stream()
              .collect(Collectors.toMap(r -> key(r.name()), r -> r));
    return Optional.ofNullable(reasons.get(key(name)));
  }

  Optional<ReturnReason> returnReason(String name) {
    return sql.sql("select id, name from return_reason where name = ? and active")
        .param(name.strip())
        .query((row, n) -> new ReturnReason(row.getLong(1), row.getString(2)))
        .optional();
  }

  Optional<String> seller(String initials) {
    return sql.sql("select login from app_user where initials = ? and active and role <> 'READER'")
        .param(initials.strip())
        .query(String.class)
        .optional();
  }
}
