package zinctally.core.papers.money;

import static zinctally.core.papers.read.Reader.known;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zinctally.core.goods.Item;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.JournalEntry;
import zinctally.core.ledger.JournalLine;
import zinctally.core.number.Money;
import zinctally.core.papers.Reading;
import zinctally.core.papers.opening.OpeningBalances;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;

/** Reads what is written account by account: a journal by hand, opening balances. */
public final class AccountRowsReader {
  private AccountRowsReader() {}

  public static Reading journal(Reader in) {
    LocalDate date = in.date();
    String override = in.text("override");
    List<JournalLine> lines = accountRows(in, false, override);
    Money sum = JournalEntry.sum(lines);
    if (in.sound() && lines.isEmpty())
      in.fault("rows.0.account", "There is no line yet: an account and a debit or credit.");
    else if (in.sound() && sum.signum() != 0)
      in.fault(
          "",
          "Debits and credits differ by "
              + in.say(Math.abs(sum.minor()))
              + (sum.signum() > 0 ? ": debits are more." : ": credits are more."));
    return in.done(() -> new HandJournal(known(date), override, lines));
  }

  public static Reading openingBalances(Reader in) {
    List<JournalLine> lines = accountRows(in, true, "");
    in.book.rules().openingClosed().ifPresent(in::fault);
    if (in.sound() && lines.isEmpty())
      in.fault("rows.0.account", "There is no line yet: an account and its balance.");
    return in.done(() -> new OpeningBalances(in.book.rules().cutOver(), lines));
  }

  private static List<JournalLine> accountRows(Reader in, boolean opening, String override) {
    List<JournalLine> lines = new ArrayList<>();
    for (RowReader row : in.rows()) {
      String typed = row.cell("account");
      Optional<Account> account = in.book.account(typed);
      if (account.isEmpty())
        row.fault(
            "account",
            typed.isEmpty() ? "Which account?" : "There is no account \"" + typed + "\".");
      else checkAccount(in, row, account.get(), opening, override);
      long amount = debitOrCredit(in, row);
      long item = opening ? 0 : itemOf(row);
      if (account.isEmpty()) continue;
      row.facts(new Reading.RowFacts(item, account.get().label(), "", amount));
      String memo = row.memo();
      if (amount != 0)
        lines.add(
            new JournalLine(account.get().id(), item, 0, new Money(amount), memo).of(row.index()));
    }
    return List.copyOf(lines);
  }

  private static long itemOf(RowReader row) {
    return row.cell("item").isEmpty()
        ? 0
        : Optional.ofNullable(row.item()).map(Item::id).orElse(0L);
  }

  private static void checkAccount(
      Reader in, RowReader row, Account account, boolean opening, String override) {
    if (!account.active()) row.fault("account", account.label() + " is switched off.");
    if (!account.role().control()) return;
    if (opening) {
      String place =
          switch (account.role()) {
            case STOCK -> "it builds up from the items: enter Opening stock.";
            case RECEIVABLES, PAYABLES ->
                "it builds up from open bills and invoices: enter them under Opening bills and invoices.";
            case OPENING_CLEARING -> "it takes the other side of every opening entry by itself.";
            default -> "it builds up from papers.";
          };
      row.fault("account", account.label() + " is a control account; " + place);
    } else if (override.isEmpty()) {
      row.fault(
          "account",
          account.label()
              + " is kept by papers. To write on it by hand, say why in the override field; the tie-out will name this journal.");
    } else {
      row.note(
          "account",
          account.label()
              + " is kept by papers; this journal will stand in the tie-out as what keeps books apart.");
    }
  }

  private static long debitOrCredit(Reader in, RowReader row) {
    String debit = row.cell("debit");
    String credit = row.cell("credit");
    if (debit.isEmpty() == credit.isEmpty()) {
      row.fault(debit.isEmpty() ? "debit" : "credit", "A line has either a debit or a credit.");
      return 0;
    }
    String column = debit.isEmpty() ? "credit" : "debit";
    Long amount = in.money(row.at(column), debit.isEmpty() ? credit : debit);
    return amount == null ? 0 : debit.isEmpty() ? -amount : amount;
  }
}
