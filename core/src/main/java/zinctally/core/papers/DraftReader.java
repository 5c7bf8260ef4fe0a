package zinctally.core.papers;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import zinctally.core.goods.Item;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.JournalLine;
import zinctally.core.ledger.Role;
import zinctally.core.number.Share;
import zinctally.core.units.Units;

/** Turns a draft into a paper, or says what is wrong with it and what would be right. */
public final class DraftReader {
  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);
  private final Catalogue book;

  public DraftReader(Catalogue book) {
    this.book = book;
  }

  /** Reads a whole draft; never throws for what was typed. */
  public Reading read(Draft draft) {
    Reader reader = new Reader(draft, book);
    return switch (draft.kind()) {
      case BILL, INVOICE -> trade(reader);
      case ADJUSTMENT -> adjustment(reader);
      case SUPPLIER_PAYMENT, CUSTOMER_PAYMENT -> payment(reader);
      case JOURNAL -> journal(reader);
      case OPENING_BALANCES -> openingBalances(reader);
      case OPENING_PARTIES -> openingParties(reader);
      case OPENING_STOCK ->
          throw new IllegalArgumentException("opening stock is read by its own reader");
    };
  }

  private Reading trade(Reader in) {
    boolean buying = in.draft.kind() == PaperKind.BILL;
    LocalDate date = in.date();
    Party.Kind side = buying ? Party.Kind.SUPPLIER : Party.Kind.CUSTOMER;
    Party who = in.party(buying ? "supplier" : "customer", side);
    int terms = who == null ? 0 : who.termsDays();
    LocalDate due = date == null ? null : in.day("due", date.plusDays(terms));
    if (due != null && date != null && due.isBefore(date))
      in.fault("due", "Due on " + due + ", which is before the paper's date " + date + ".");
    String number = in.text(buying ? "their_number" : "reference");
    Place place = in.place("place", in.draft.field("place"));
    boolean taxIncluded = "included".equals(in.draft.field("prices"));
    List<TradeLine> lines = new ArrayList<>();
    for (int row = 0; row < in.draft.rows().size(); row++) {
      if (in.draft.blank(row)) continue;
      TradeLine line = tradeLine(in, row, taxIncluded, buying);
      if (line != null) lines.add(line);
    }
    if (lines.isEmpty() && in.faults.isEmpty())
      in.fault("rows.0.item", "There is no line yet: name an item and how many.");
    return in.done(
        () -> new Trade(in.draft.kind(), date, due, who, number, place, List.copyOf(lines)));
  }

  private TradeLine tradeLine(Reader in, int row, boolean taxIncluded, boolean buying) {
    int faultsBefore = in.faults.size();
    String typed = in.draft.cell(row, "item");
    Optional<Account> account =
        typed.isEmpty() || book.item(typed).isPresent() ? Optional.empty() : book.account(typed);
    Item item = null;
    if (account.isPresent()) checkFreeAccount(in, row, account.get());
    else item = in.item(row);
    Units units = item == null ? Units.of(zinctally.core.units.Unit.EACH) : item.units();
    boolean one = account.isPresent() && in.draft.cell(row, "quantity").isEmpty();
    Units.Typed quantity =
        one
            ? units.read("1").orElseThrow()
            : item == null && account.isEmpty() ? null : in.quantity(row, units);
    if (quantity != null && quantity.quantity().signum() <= 0) {
      in.faults.add(
          Fault.at(
              row, "quantity", "The quantity must be above zero; what comes back is a return."));
    }
    if (item == null && account.isEmpty()) return null;
    BigDecimal price = price(in, row);
    BigDecimal discount = buying ? BigDecimal.ZERO : discount(in, row);
    TaxRate rate = rate(in, row);
    String name = item != null ? item.name() : account.get().label();
    Long shown = null;
    if (quantity != null && price != null && discount != null)
      shown = safeAmount(in, row, quantity, price, discount);
    in.rows.put(
        row,
        new Reading.RowFacts(
            item == null ? 0 : item.id(),
            name,
            quantity == null ? units.base().sign() : quantity.unit().sign(),
            shown));
    if (in.faults.size() == faultsBefore && shown != null) {
      long tax = rate == null ? 0 : taxIncluded ? rate.within(shown) : rate.onNet(shown);
      return new TradeLine(
          row,
          item,
          account.orElse(null),
          item == null ? "" : buying ? item.purchaseWording() : item.saleWording(),
          quantity.quantity(),
          quantity.unit().sign(),
          price,
          discount,
          taxIncluded ? shown - tax : shown,
          tax,
          rate);
    }
    return null;
  }

  private void checkFreeAccount(Reader in, int row, Account account) {
    if (!account.active())
      in.faults.add(Fault.at(row, "item", account.label() + " is switched off."));
    if (account.role().control())
      in.faults.add(
          Fault.at(
              row,
              "item",
              account.label()
                  + " is a control account; it is kept by papers and takes no line by hand."));
  }

  private BigDecimal price(Reader in, int row) {
    String typed = in.draft.cell(row, "price");
    String cell = "rows." + row + ".price";
    if (typed.isEmpty()) {
      in.fault(cell, "At what price? Write 0 for goods that cost nothing.");
      return null;
    }
    BigDecimal price = in.amount(cell, typed, 6);
    if (price != null && price.signum() < 0) {
      in.fault(
          cell, "A price is not below zero; write what comes off as its own line or discount.");
      return null;
    }
    return price;
  }

  private BigDecimal discount(Reader in, int row) {
    String typed = in.draft.cell(row, "discount").replace("%", "").strip();
    if (typed.isEmpty()) return BigDecimal.ZERO;
    String cell = "rows." + row + ".discount";
    BigDecimal percent = in.amount(cell, typed, 4);
    if (percent == null) return null;
    if (percent.signum() < 0 || percent.compareTo(HUNDRED) > 0) {
      in.fault(cell, "A discount is between 0 and 100 percent.");
      return null;
    }
    return percent;
  }

  private TaxRate rate(Reader in, int row) {
    String typed = in.draft.cell(row, "tax");
    if (typed.isEmpty()) return null;
    Optional<TaxRate> rate = book.taxRate(typed);
    if (rate.isEmpty())
      in.faults.add(
          Fault.at(row, "tax", "There is no tax rate \"" + typed + "\"; Set up lists them."));
    return rate.orElse(null);
  }

  private Long safeAmount(
      Reader in, int row, Units.Typed quantity, BigDecimal price, BigDecimal discount) {
    try {
      BigDecimal units =
          quantity
              .quantity()
              .decimal()
              .divide(quantity.unit().size().decimal(), 12, RoundingMode.HALF_UP);
      BigDecimal off = BigDecimal.ONE.subtract(discount.divide(HUNDRED));
      return book.rules().coin().rounded(units.multiply(price).multiply(off));
    } catch (ArithmeticException tooLarge) {
      in.faults.add(
          Fault.at(
              row, "price", "Quantity times price is larger than any amount this book can hold."));
      return null;
    }
  }

  private Reading adjustment(Reader in) {
    LocalDate date = in.date();
    Place place = in.place("place", in.draft.field("place"));
    List<Adjustment.Line> lines = new ArrayList<>();
    for (int row = 0; row < in.draft.rows().size(); row++) {
      if (in.draft.blank(row)) continue;
      int faultsBefore = in.faults.size();
      Item item = in.item(row);
      if (item != null && !item.stocked()) {
        in.faults.add(
            Fault.at(
                row, "item", item.name() + " is not kept in stock; there is nothing to adjust."));
        item = null;
      }
      Units.Typed quantity = item == null ? null : in.quantity(row, item.units());
      if (quantity != null && quantity.quantity().signum() == 0)
        in.faults.add(Fault.at(row, "quantity", "Up or down by how many? Zero changes nothing."));
      Reason reason = reason(in, row);
      Long value = item == null || quantity == null ? null : foundValue(in, row, item, quantity);
      if (item != null)
        in.rows.put(
            row,
            new Reading.RowFacts(
                item.id(), item.name(), quantity == null ? "" : quantity.unit().sign(), value));
      if (in.faults.size() == faultsBefore && value != null)
        lines.add(
            new Adjustment.Line(
                row,
                item,
                quantity.quantity(),
                quantity.unit().sign(),
                value,
                reason,
                in.draft.cell(row, "memo")));
    }
    if (lines.isEmpty() && in.faults.isEmpty())
      in.fault(
          "rows.0.item", "There is no line yet: name an item and by how many it is up or down.");
    return in.done(() -> new Adjustment(date, place, List.copyOf(lines)));
  }

  private Reason reason(Reader in, int row) {
    String typed = in.draft.cell(row, "reason");
    Optional<Reason> reason = book.reason(typed);
    if (reason.isEmpty())
      in.faults.add(
          Fault.at(
              row,
              "reason",
              typed.isEmpty()
                  ? "For what reason?"
                  : "There is no reason \"" + typed + "\"; Set up lists them."));
    return reason.orElse(null);
  }

  /** What was found is worth the unit cost typed, else the latest known. */
  private Long foundValue(Reader in, int row, Item item, Units.Typed quantity) {
    if (quantity.quantity().signum() < 0) return 0L;
    String typed = in.draft.cell(row, "unit_cost");
    if (!typed.isEmpty()) {
      BigDecimal cost = in.amount("rows." + row + ".unit_cost", typed, 6);
      if (cost == null) return null;
      if (cost.signum() < 0) {
        in.faults.add(Fault.at(row, "unit_cost", "A cost is not below zero."));
        return null;
      }
      return safeAmount(in, row, quantity, cost, BigDecimal.ZERO);
    }
    Optional<Catalogue.LatestCost> latest = book.latestCost(item.id());
    if (latest.isEmpty()) {
      in.faults.add(
          Fault.at(
              row, "unit_cost", "No cost of " + item.name() + " is known yet; at what unit cost?"));
      return null;
    }
    return Share.of(latest.get().value(), quantity.quantity().micros(), latest.get().micros());
  }

  private Reading payment(Reader in) {
    boolean paying = in.draft.kind() == PaperKind.SUPPLIER_PAYMENT;
    LocalDate date = in.date();
    Party who =
        in.party(
            paying ? "supplier" : "customer", paying ? Party.Kind.SUPPLIER : Party.Kind.CUSTOMER);
    Account money = moneyAccount(in);
    Long amount = in.money("amount", in.draft.field("amount"));
    if (amount != null && amount == 0) in.fault("amount", "How much money? Zero moves nothing.");
    String reference = in.text("reference");
    List<Payment.Line> lines = new ArrayList<>();
    Set<Long> seen = new HashSet<>();
    List<OpenItem> open = who == null || who.id() == 0 ? List.of() : book.openItems(who.id());
    long settled = 0;
    for (int row = 0; row < in.draft.rows().size(); row++) {
      if (in.draft.cell(row, "paper").isEmpty() || in.draft.cell(row, "amount").isEmpty()) continue;
      Payment.Line line = settlement(in, row, open, paying);
      if (line == null || line.amount() == 0) continue;
      if (!seen.add(line.item().id()))
        in.faults.add(
            Fault.at(row, "paper", line.item().number() + " is already on a line above."));
      lines.add(line);
      settled += line.amount();
    }
    if (amount != null && settled > amount)
      in.fault(
          "amount",
          "The lines settle " + say(settled) + ", more than the " + say(amount) + " paid.");
    return in.done(
        () ->
            new Payment(in.draft.kind(), date, who, money, amount, reference, List.copyOf(lines)));
  }

  private Payment.Line settlement(Reader in, int row, List<OpenItem> open, boolean paying) {
    String typed = in.draft.cell(row, "paper");
    Optional<OpenItem> item =
        open.stream()
            .filter(o -> paying ? o.open() < 0 : o.open() > 0)
            .filter(o -> o.number().equalsIgnoreCase(typed))
            .findFirst();
    Long amount = in.money("rows." + row + ".amount", in.draft.cell(row, "amount"));
    if (item.isEmpty()) {
      in.faults.add(Fault.at(row, "paper", "Nothing numbered \"" + typed + "\" is open here."));
      return null;
    }
    long left = Math.abs(item.get().open());
    if (amount != null && amount > left)
      in.faults.add(Fault.at(row, "amount", "Only " + say(left) + " of " + typed + " is open."));
    return amount == null ? null : new Payment.Line(row, item.get(), amount);
  }

  private Account moneyAccount(Reader in) {
    String typed = in.draft.field("money");
    Optional<Account> account = book.account(typed);
    if (account.isEmpty()) in.fault("money", "From or to which bank or cash account?");
    else if (account.get().role() != Role.MONEY || !account.get().active()) {
      in.fault("money", account.get().label() + " is no bank or cash account in use.");
      return null;
    }
    return account.orElse(null);
  }

  private Reading journal(Reader in) {
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
              + say(Math.abs(sum))
              + (sum > 0 ? ": debits are more." : ": credits are more."));
    return in.done(() -> new HandJournal(date, override, lines));
  }

  private Reading openingBalances(Reader in) {
    List<JournalLine> lines = accountRows(in, true, "");
    if (in.faults.isEmpty() && lines.isEmpty())
      in.fault("rows.0.account", "There is no line yet: an account and its balance.");
    return in.done(() -> new OpeningBalances(book.rules().cutOver(), lines));
  }

  private List<JournalLine> accountRows(Reader in, boolean opening, String override) {
    List<JournalLine> lines = new ArrayList<>();
    for (int row = 0; row < in.draft.rows().size(); row++) {
      if (in.draft.blank(row)) continue;
      String typed = in.draft.cell(row, "account");
      Optional<Account> account = book.account(typed);
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

  private long itemOf(Reader in, int row) {
    return in.draft.cell(row, "item").isEmpty()
        ? 0
        : Optional.ofNullable(in.item(row)).map(Item::id).orElse(0L);
  }

  private void checkAccount(Reader in, int row, Account account, boolean opening, String override) {
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

  private long debitOrCredit(Reader in, int row) {
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

  private Reading openingParties(Reader in) {
    LocalDate cutOver = book.rules().cutOver();
    List<OpeningParties.Line> lines = new ArrayList<>();
    for (int row = 0; row < in.draft.rows().size(); row++) {
      if (in.draft.blank(row)) continue;
      String at = "rows." + row + ".";
      String side = in.draft.cell(row, "side").toLowerCase(java.util.Locale.ROOT);
      if (!side.equals("bill") && !side.equals("invoice"))
        in.fault(at + "side", "Write bill for what we owe, invoice for what is owed to us.");
      Party.Kind kind = side.equals("bill") ? Party.Kind.SUPPLIER : Party.Kind.CUSTOMER;
      Party party = in.party(at + "party", in.draft.cell(row, "party"), kind);
      String number = in.draft.cell(row, "number");
      if (number.isEmpty()) in.fault(at + "number", "Its number, so that a payment can find it.");
      LocalDate date = in.day(at + "date", in.draft.cell(row, "date"), cutOver);
      LocalDate due = date == null ? null : in.day(at + "due", in.draft.cell(row, "due"), date);
      if (date != null && date.isAfter(cutOver))
        in.fault(
            at + "date",
            date + " is after the cut-over date " + cutOver + "; enter it as a paper of its own.");
      Long amount = in.money(at + "amount", in.draft.cell(row, "amount"));
      if (amount != null && amount == 0)
        in.fault(at + "amount", "How much is open? It cannot be zero.");
      in.rows.put(row, new Reading.RowFacts(0, "", "", amount));
      if (party != null && amount != null && date != null && due != null)
        lines.add(new OpeningParties.Line(row, party, number, date, due, amount));
    }
    if (lines.isEmpty() && in.faults.isEmpty())
      in.fault("rows.0.party", "There is no line yet: who, which number, how much.");
    return in.done(() -> new OpeningParties(cutOver, List.copyOf(lines)));
  }

  private String say(long minor) {
    return book.rules().coin().say(minor);
  }
}
