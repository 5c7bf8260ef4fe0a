package zinctally.core.papers.trade;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zinctally.core.papers.Party;
import zinctally.core.papers.Reading;
import zinctally.core.papers.money.OpenItem;
import zinctally.core.papers.read.PartyQuestions;
import zinctally.core.papers.read.Reader;

/** Reads a counter sale: what is sold as an invoice is, and how it is paid. */
public final class CounterReader {
  private final Reader in;
  private final List<Tender> tenders = new ArrayList<>();

  private CounterReader(Reader in) {
    this.in = in;
  }

  public static Reading sale(Reader in) {
    return new CounterReader(in).read();
  }

  private Reading read() {
    Trade trade = new TradeReader(in).read();
    String seller = seller();
    if (trade == null) return in.wrong();
    in.unpaid = trade;
    long total = trade.total();
    long card = paid("card", Tender.Kind.CARD);
    long voucher = paid("voucher", Tender.Kind.VOUCHER);
    long owed = amount("account");
    long rest = total - card - voucher - owed;
    CreditUsed credit = credit(trade.who(), rest);
    if (credit != null) rest -= credit.amount();
    long cash = rest;
    in.toPay = new Reading.Sums(trade.net(), trade.tax(), total, rest);
    if (rest < 0)
      in.fault(
          card > 0 ? "card" : voucher > 0 ? "voucher" : "account",
          in.say(card + voucher + owed)
              + " would be paid of "
              + in.say(total)
              + "; change is given on cash only.");
    long given = rest > 0 ? cash(rest) : amount("cash");
    if (rest > 0) tenders.add(new Tender(Tender.Kind.CASH, in.book.tender(Tender.Kind.CASH), rest));
    List<Instalments.Part> later = owed == 0 ? List.of() : later(trade, owed);
    if (owed > 0 && in.draft.party().isEmpty())
      in.fault("customer", "Who owes " + in.say(owed) + "? What is not paid at once needs a name.");
    if (owed > 0) PartyQuestions.credit(in, trade.who(), owed);
    return in.done(
        () ->
            new CounterSale(
                trade,
                List.copyOf(tenders),
                credit,
                given,
                Math.max(0, given - cash),
                later,
                seller));
  }

  /** Credit by its number: as much of it as is still to be paid; null for none. */
  private @Nullable CreditUsed credit(Party who, long rest) {
    String number = in.draft.field("credit");
    if (number.isEmpty()) return null;
    List<OpenItem> open = who.id() == 0 ? List.of() : in.book.openItems(who.id());
    Optional<OpenItem> credit =
        open.stream().filter(o -> o.number().equalsIgnoreCase(number) && o.open() < 0).findFirst();
    if (credit.isEmpty()) {
      in.fault(
          "credit",
          in.draft.party().isEmpty()
              ? "No credit \""
                  + number
                  + "\" is open over the counter; credit in a name needs the name above."
              : who.name() + " has no open credit \"" + number + "\".");
      return null;
    }
    if (rest == 0) in.fault("credit", "Nothing is left that it could pay; take it off.");
    if (rest <= 0) return null;
    return new CreditUsed(credit.get(), Math.min(rest, -credit.get().open()));
  }

  private String seller() {
    String typed = in.draft.field("seller");
    if (typed.isEmpty()) return "";
    Optional<String> login = in.book.seller(typed);
    if (login.isEmpty()) in.fault("seller", "Nobody here has the initials \"" + typed + "\".");
    return login.orElse("");
  }

  private long amount(String field) {
    String typed = in.draft.field(field);
    Long read = typed.isEmpty() ? Long.valueOf(0) : in.money(field, typed);
    return read == null ? 0 : read;
  }

  private long paid(String field, Tender.Kind kind) {
    long amount = amount(field);
    if (amount > 0) tenders.add(new Tender(kind, in.book.tender(kind), amount));
    return amount;
  }

  private long cash(long rest) {
    if (in.draft.field("cash").isEmpty()) {
      in.fault("cash", in.say(rest) + " is still to be paid: in cash, by card or otherwise.");
      return 0;
    }
    long given = amount("cash");
    if (given < rest && in.sound())
      in.fault(
          "cash",
          in.say(rest)
              + " is to be paid in cash and "
              + in.say(given)
              + " is given; "
              + in.say(rest - given)
              + " is missing.");
    return given;
  }

  /** What is owed, by the days on which it falls due. */
  private List<Instalments.Part> later(Trade trade, long owed) {
    String times = in.draft.field("times");
    String each = in.draft.field("each");
    LocalDate sold = trade.date();
    if (times.isEmpty() && each.isEmpty())
      return List.of(new Instalments.Part(sold.plusDays(trade.who().termsDays()), owed));
    Optional<Instalments.Every> every = Instalments.Every.of(in.draft.field("every"));
    if (every.isEmpty()) {
      in.fault("every", "How often: every week, fortnight or month?");
      return List.of();
    }
    if (!times.isEmpty() && !each.isEmpty()) {
      in.fault("each", "How many parts, or how much each: leave one of the two empty.");
      return List.of();
    }
    try {
      if (!times.isEmpty()) {
        BigDecimal parts = in.amount("times", times, 0);
        return parts == null
            ? List.of()
            : Instalments.inParts(owed, parts.intValueExact(), every.get(), sold);
      }
      Long part = in.money("each", each);
      return part == null ? List.of() : Instalments.of(owed, part, every.get(), sold);
    } catch (IllegalArgumentException | ArithmeticException tooMany) {
      in.fault(
          times.isEmpty() ? "each" : "times",
          "A plan has between 1 and " + Instalments.MOST + " parts.");
      return List.of();
    }
  }
}
