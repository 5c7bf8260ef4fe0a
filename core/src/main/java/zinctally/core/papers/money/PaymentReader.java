package zinctally.core.papers.money;

import static zinctally.core.papers.read.Reader.known;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.Role;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Reading;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;

/** Reads a payment to a supplier or from a customer. */
public final class PaymentReader {
  private static final BigDecimal SMALL = BigDecimal.valueOf(5);

  private PaymentReader() {}

  public static Reading payment(Reader in) {
    boolean paying = in.draft.kind() == PaperKind.SUPPLIER_PAYMENT;
    LocalDate date = in.date();
    Party who = in.party();
    Account money = moneyAccount(in);
    BigDecimal typed = amount(in);
    String reference = in.text("reference");
    List<Payment.Line> lines = new ArrayList<>();
    Set<Long> seen = new HashSet<>();
    List<OpenItem> open = who == null || who.id() == 0 ? List.of() : in.book.openItems(who.id());
    long settled = 0;
    for (RowReader row : in.rows()) {
      if (row.cell("paper").isEmpty() || row.cell("amount").isEmpty()) continue;
      Payment.Line line = settlement(in, row, open, seen, paying);
      if (line == null || line.amount() == 0) continue;
      if (!seen.add(line.item().id()))
        row.fault("paper", line.item().number() + " is already on a line above.");
      lines.add(line);
      settled += line.asks();
    }
    Long amount = typed == null ? null : in.book.rules().coin().minor(typed);
    if (amount != null && amount == 0 && lines.isEmpty())
      in.fault(
          "amount", "How much money? Zero moves nothing; it can set credit against what is owed.");
    Optional<Payment.WrittenOff> rest = Optional.empty();
    if (!paying && amount != null && settled > amount && in.draft.field("rest").equals("off")) {
      long missing = settled - amount;
      long most = in.book.rules().coin().minor(SMALL);
      if (missing <= most)
        rest = Optional.of(new Payment.WrittenOff(missing, in.book.smallRests()));
      else
        in.fault(
            "rest",
            in.say(missing) + " is no small rest; up to " + in.say(most) + " is written off here.");
    } else if (amount != null && settled > amount)
      in.fault(
          "amount",
          "The lines settle " + in.say(settled) + ", more than the " + in.say(amount) + " paid.");
    if (amount != null && amount < 0 && settled != amount)
      in.fault(
          "amount",
          "Money comes back for credit: the lines come to "
              + in.say(settled)
              + ", and "
              + in.say(amount)
              + " is paid.");
    Optional<Payment.WrittenOff> off = rest;
    if (amount != null && amount > settled && in.sound())
      in.ask(
          "amount",
          in.say(amount - settled)
              + " is more than the lines settle. Shall it stay as "
              + (paying ? "paid ahead to " : "credit of ")
              + (who == null ? "them" : who.name())
              + "?");
    return in.done(
        () ->
            new Payment(
                in.draft.kind(),
                known(date),
                known(who),
                known(money),
                known(amount),
                reference,
                List.copyOf(lines),
                off));
  }

  /** By their number; when several bear it, the next that no line settles yet. */
  private static Optional<OpenItem> theirs(List<OpenItem> open, String typed, Set<Long> seen) {
    List<OpenItem> some = open.stream().filter(o -> o.number().equalsIgnoreCase(typed)).toList();
    return some.stream()
        .filter(o -> !seen.contains(o.id()))
        .findFirst()
        .or(() -> some.stream().findFirst());
  }

  private static Payment.@Nullable Line settlement(
      Reader in, RowReader row, List<OpenItem> open, Set<Long> seen, boolean paying) {
    String typed = row.cell("paper");
    Optional<OpenItem> item =
        open.stream()
            .filter(o -> o.name().equalsIgnoreCase(typed))
            .findFirst()
            .or(() -> theirs(open, typed, seen));
    Long amount = in.money(row.at("amount"), row.cell("amount"));
    if (item.isEmpty()) {
      row.fault("paper", "Nothing numbered \"" + typed + "\" is open here.");
      return null;
    }
    long left = Math.abs(item.get().open());
    if (amount != null && amount > left)
      row.fault("amount", "Only " + in.say(left) + " of " + typed + " is open.");
    boolean credit = paying == item.get().open() > 0;
    return amount == null ? null : new Payment.Line(row.index(), item.get(), amount, credit);
  }

  /** What changes hands, either sign; empty is nothing, for credit set against what is owed. */
  private static @Nullable BigDecimal amount(Reader in) {
    String typed = in.draft.field("amount").replace('−', '-');
    int digits = in.book.rules().coin().digits();
    return typed.isEmpty() ? BigDecimal.ZERO : in.amount("amount", typed, digits);
  }

  /** The bank or cash account that takes or gives money; null when none is named rightly. */
  private static @Nullable Account moneyAccount(Reader in) {
    Optional<Account> account = in.book.account(in.draft.field("money"));
    if (account.isEmpty()) in.fault("money", "From or to which bank or cash account?");
    else if (account.get().role() != Role.MONEY || !account.get().active()) {
      in.fault("money", account.get().label() + " is no bank or cash account in use.");
      return null;
    }
    return account.orElse(null);
  }
}
