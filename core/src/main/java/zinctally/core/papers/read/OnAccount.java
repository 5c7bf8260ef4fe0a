package zinctally.core.papers.read;

import java.util.Optional;
import zinctally.core.ledger.Account;

/** Reads a line that names an account where others name an item. */
public final class OnAccount {
  private OnAccount() {}

  /**
   * The account a line names, alone or followed by words of its own; empty when it names an item or
   * nothing. Says so when the account takes no line by hand.
   */
  public static Optional<Account> of(RowReader row) {
    String cell = row.cell("item");
    if (cell.isEmpty() || row.book().item(cell).isPresent()) return Optional.empty();
    Optional<Account> account =
        row.book()
            .account(cell)
            .or(
                () ->
                    cell.indexOf(' ') < 0
                        ? Optional.empty()
                        : row.book().account(cell.split(" ", 2)[0]));
    account.ifPresent(a -> check(row, a));
    return account;
  }

  /** The words after the account's code; empty for none. */
  public static String wording(RowReader row) {
    String cell = row.cell("item");
    return row.book().account(cell).isPresent() || cell.indexOf(' ') < 0
        ? ""
        : cell.split(" ", 2)[1].strip();
  }

  private static void check(RowReader row, Account account) {
    if (!account.active()) row.fault("item", account.label() + " is switched off.");
    if (account.role().control())
      row.fault(
          "item",
          account.label()
              + " is a control account; it is kept by papers and takes no line by hand.");
  }
}
