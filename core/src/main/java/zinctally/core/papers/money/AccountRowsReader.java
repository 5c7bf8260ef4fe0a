package zinctally.core.papers.money;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zinctally.core.goods.Item;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.JournalLine;
import zinctally.core.papers.Fault;
import zinctally.core.papers.Reading;
import zinctally.core.papers.opening.OpeningBalances;
import zinctally.core.papers.read.Reader;

/** Reads what is written account by account: a journal by hand, opening balances. */
public final class AccountRowsReader {
  private AccountRowsReader() {}

  public static Reading journal(Reader in) {
    LocalDate date = in.date();
    String override = in.text("override");
    List<JournalLine> lines = accountRows(in, false, override);
    long sum = lines.stream().mapToLong(JournalLine::amount).sum();
    if (in.faults.isEmpty() && lines.isEmpty())
      in.fault("rows.0.account", "There is no line yet: an account and a debit or credit.");
    else if (in.faults.isEmpty() && sum != 0)
      in.fault(
          "",
          "Debits and credits differ by "
              + in.say(Math.abs(sum))
              + (sum > 0 ? ": debits are more." : ": credits are more."));
    return in.done(() -> new HandJournal(date, override, lines));
  }

  public static Reading openingBalances(Reader in) {
    List<JournalLine> lines = accountRows(in, true, "");
    in.book.rules().openingClosed().ifPresent(in.faults::add);
    if (in.faults.isEmpty() && lines.isEmpty())
      in.fault("rows.0.account", "There is no line yet: an account and its balance.");
    return in.done(() -> new OpeningBalances(in.book.rules().cutOver(), lines));
  }

  private static List<JournalLine> accountRows(Reader in, boolean opening, String override) {
    List<JournalLine> lines = new ArrayList<>();
    for (int row = 0; row < in.draft.rows().size(); row++) {
      if (in.draft.blank(row)) continue;
      String typed = in.draft.cell(row, "account");
      Optional<Account> account = in.book.account(typed);
      if (account.isEmpty())
        in.faults.add(
            Fault.at(
                row,
                "account",
                typed.isEmpty() ? "Which account?" : "There is no account \"" + typed + "\"."));
      else checkAccount(in, row, account.get(), opening, override);
      long amount = debitOrCredit(in, row);
      long item = opening ? 0 : itemOf(in, row);
      if (account.isEmpty()) continue;
      in.rows.put(row, new Reading.RowFacts(item, account.get().label(), "", amount));
      String memo = in.draft.cell(row, "memo");
      if (amount != 0) lines.add(new JournalLine(account.get().id(), item, 0, amount, memo));
    }
    return List.copyOf(lines);
  }

  private static long itemOf(Reader in, int row) {
    return in.draft.cell(row, "item").isEmpty()
        ? 0
        : Optional.ofNullable(in.item(row)).map(Item::id).orElse(0L);
  }

  private static void checkAccount(
      Reader in, int row, Account account, boolean opening, String override) {
    if (!account.active())
      in.faults.add(Fault.at(row, "account", account.label() + " is switched off."));
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
      in.faults.add(Fault.at(row, "account", account.label() + " is a control account; " + place));
    } else if (override.isEmpty()) {
      in.faults.add(
          Fault.at(
              row,
              "account",
              account.label()
                  + " is kept by papers. To write on it by hand, say why in the override field; the tie-out will name this journal."));
    } else {
      in.notes.add(
          Fault.at(
              row,
              "account",
              account.label()
                  + " is kept by papers; this journal will stand in the tie-out as what keeps books apart."));
    }
  }

  private static long debitOrCredit(Reader in, int row) {
    String debit = in.draft.cell(row, "debit");
    String credit = in.draft.cell(row, "credit");
    if (debit.isEmpty() == credit.isEmpty()) {
      in.faults.add(
          Fault.at(
              row, debit.isEmpty() ? "debit" : "credit", "A line has either a debit or a credit."));
      return 0;
    }
    String column = debit.isEmpty() ? "credit" : "debit";
    Long amount = in.money("rows." + row + "." + column, debit.isEmpty() ? credit : debit);
    return amount == null ? 0 : debit.isEmpty() ? -amount : amount;
  }
}
