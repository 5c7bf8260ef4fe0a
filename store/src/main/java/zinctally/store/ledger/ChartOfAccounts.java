package zinctally.store.ledger;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.AccountKind;
import zinctally.core.ledger.Role;
import zinctally.core.papers.opening.Sheet;
import zinctally.store.NotKept;

/** Changes to the chart of accounts, kept such that every role the book needs is filled once. */
@Service
public class ChartOfAccounts {
  private final AccountStore accounts;

  ChartOfAccounts(AccountStore accounts) {
    this.accounts = accounts;
  }

  /** Makes an account (id zero) or changes one. */
  @Transactional
  public void save(Account account) {
    List<Account> all = accounts.all();
    if (account.code().isEmpty() || account.code().length() > 20)
      throw new NotKept("An account needs a code of at most 20 letters.");
    if (account.name().isEmpty() || account.name().length() > 120)
      throw new NotKept("An account needs a name of at most 120 letters.");
    Optional<Account> same =
        all.stream()
            .filter(a -> a.code().equalsIgnoreCase(account.code()) && a.id() != account.id())
            .findFirst();
    if (same.isPresent())
      throw new NotKept(account.code() + " is the code of " + same.get().name() + " already.");
    if (account.role() != Role.NONE && account.kind() != account.role().kind())
      throw new NotKept(
          "An account for "
              + account.role().words()
              + " is of the kind "
              + account.role().kind().words()
              + ", not "
              + account.kind().words()
              + ".");
    if (account.id() == 0) {
      single(all, account);
      accounts.add(account.code(), account.name(), account.kind(), account.role());
      return;
    }
    Account before =
        all.stream()
            .filter(a -> a.id() == account.id())
            .findFirst()
            .orElseThrow(() -> new NotKept("This account is no longer there."));
    if (before.role() != account.role() || (before.active() && !account.active())) {
      if (before.role() != Role.NONE && onlyOne(all, before))
        throw new NotKept(
            before.label()
                + " is the book's only account for "
                + before.role().words()
                + "; it stays.");
      if (before.role() != account.role() && accounts.used(account.id()))
        throw new NotKept(before.label() + " is in use; what it is for stays.");
      single(all, account);
    }
    if (before.kind() != account.kind() && accounts.used(account.id()))
      throw new NotKept(
          before.label() + " is in use; its kind stays " + before.kind().words() + ".");
    accounts.change(account);
  }

  private static boolean onlyOne(List<Account> all, Account account) {
    return all.stream()
        .noneMatch(a -> a.id() != account.id() && a.role() == account.role() && a.active());
  }

  /** All roles but stock, money and none are filled by one account each. */
  private static void single(List<Account> all, Account account) {
    Role role = account.role();
    if (role == Role.NONE
        || role == Role.STOCK
        || role == Role.MONEY
        || role == Role.SALES
        || role == Role.COST_OF_GOODS_SOLD) return;
    Optional<Account> other =
        all.stream()
            .filter(a -> a.role() == role && a.id() != account.id() && a.active())
            .findFirst();
    if (other.isPresent())
      throw new NotKept(
          role.words() + " is kept on " + other.get().label() + "; there is one such account.");
  }

  /**
   * Takes a chart from a table with the headings code, name, kind and, if wished, role: accounts
   * with a known code are renamed, others made. All of it, or nothing.
   *
   * @param replace whether accounts that are not in the table go, where nothing uses them and the
   *     book can do without
   * @return how many accounts the chart has then
   */
  @Transactional
  public int take(Sheet sheet, boolean replace) {
    List<String> heads =
        sheet.headings().stream().map(h -> h.strip().toLowerCase(Locale.ROOT)).toList();
    int code = heads.indexOf("code");
    int name = heads.indexOf("name");
    int kind = heads.indexOf("kind");
    int role = heads.indexOf("role");
    if (code < 0 || name < 0 || kind < 0)
      throw new NotKept(
          "The first row must hold the headings code, name and kind; role may follow.");
    Set<String> seen = new HashSet<>();
    List<String> wrong = new ArrayList<>();
    int row = 1;
    for (List<String> cells : sheet.rows()) {
      row++;
      try {
        String typedCode = cell(cells, code);
        if (!seen.add(typedCode.toLowerCase(Locale.ROOT)))
          throw new NotKept(typedCode + " stands here twice.");
        AccountKind typedKind = kind(cell(cells, kind));
        Optional<Account> known =
            accounts.all().stream().filter(a -> a.code().equalsIgnoreCase(typedCode)).findFirst();
        Role typedRole =
            role < 0 ? known.map(Account::role).orElse(Role.NONE) : role(cell(cells, role));
        save(
            new Account(
                known.map(Account::id).orElse(0L),
                typedCode,
                cell(cells, name),
                typedKind,
                typedRole,
                true));
      } catch (NotKept fault) {
        wrong.add("Row " + row + ": " + fault.getMessage());
      }
    }
    if (!wrong.isEmpty())
      throw new NotKept(
          "Nothing was taken. "
              + String.join(" ", wrong.subList(0, Math.min(10, wrong.size())))
              + (wrong.size() > 10 ? " And " + (wrong.size() - 10) + " more." : ""));
    if (replace)
      for (Account account : accounts.all()) {
        boolean needed = account.role() != Role.NONE && onlyOne(accounts.all(), account);
        if (!needed
            && !seen.contains(account.code().toLowerCase(Locale.ROOT))
            && !accounts.used(account.id())) accounts.remove(account.id());
      }
    return accounts.all().size();
  }

  private static String cell(List<String> cells, int at) {
    return at < cells.size() ? cells.get(at).strip() : "";
  }

  private static AccountKind kind(String typed) {
    for (AccountKind kind : AccountKind.values())
      if (kind.words().equalsIgnoreCase(typed)) return kind;
    throw new NotKept(
        "\"" + typed + "\" is no kind; use asset, liability, equity, income or expense.");
  }

  private static Role role(String typed) {
    if (typed.isEmpty()) return Role.NONE;
    for (Role role : Role.values())
      if (role.words().equalsIgnoreCase(typed) || role.name().equalsIgnoreCase(typed)) return role;
    throw new NotKept("\"" + typed + "\" is no role an account can have.");
  }
}
