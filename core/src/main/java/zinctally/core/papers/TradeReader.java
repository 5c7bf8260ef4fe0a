package zinctally.core.papers;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zinctally.core.goods.Item;
import zinctally.core.ledger.Account;
import zinctally.core.units.Units;

/** Reads a bill or an invoice: items, and accounts for what is no item. */
final class TradeReader {
  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

  private TradeReader() {}

  static Reading trade(Reader in) {
    boolean buying = in.draft.kind() == PaperKind.BILL;
    LocalDate date = in.date();
    Party who = in.party();
    int terms = who == null ? 0 : who.termsDays();
    LocalDate due = date == null ? null : in.day("due", date.plusDays(terms));
    if (due != null && date != null && due.isBefore(date))
      in.fault("due", "Due on " + due + ", which is before the paper's date " + date + ".");
    String number = in.text(buying ? "their_number" : "reference");
    if (buying) in.askSameNumber(who, number);
    Place place = in.place("place", in.draft.field("place"));
    boolean taxIncluded = "included".equals(in.draft.field("prices"));
    FlowReader flows = new FlowReader(in, who, date, place);
    List<TradeLine> lines = new ArrayList<>();
    for (int row = 0; row < in.draft.rows().size(); row++) {
      if (in.draft.blank(row)) continue;
      TradeLine line = tradeLine(in, row, taxIncluded, buying, flows);
      if (line != null) lines.add(line);
    }
    if (lines.isEmpty() && in.faults.isEmpty())
      in.fault("rows.0.item", "There is no line yet: name an item and how many.");
    Trade.Bears bears = buying ? bears(in, lines) : Trade.Bears.EXPENSE;
    return in.done(
        () -> new Trade(in.draft.kind(), date, due, who, number, place, List.copyOf(lines), bears));
  }

  /** How the lines that are no goods are shared over those that are. */
  private static Trade.Bears bears(Reader in, List<TradeLine> lines) {
    Trade.Bears bears =
        switch (in.draft.field("charges")) {
          case "value" -> Trade.Bears.VALUE;
          case "quantity" -> Trade.Bears.QUANTITY;
          case "weight" -> Trade.Bears.WEIGHT;
          default -> Trade.Bears.EXPENSE;
        };
    List<TradeLine> goods = lines.stream().filter(TradeLine::moves).toList();
    if (bears == Trade.Bears.EXPENSE || lines.stream().allMatch(l -> l.item() != null))
      return Trade.Bears.EXPENSE;
    List<Item> items = goods.stream().map(TradeLine::item).toList();
    if (bears == Trade.Bears.WEIGHT && !in.weighed("charges", items)) return bears;
    if (goods.isEmpty())
      in.fault(
          "charges",
          "There are no goods on this bill to bear its charges; write Charges on goods instead.");
    else if (bears == Trade.Bears.VALUE && goods.stream().allMatch(l -> l.net() == 0))
      in.fault("charges", "These goods cost nothing; share by quantity or by weight.");
    return bears;
  }

  private static TradeLine tradeLine(
      Reader in, int row, boolean taxIncluded, boolean buying, FlowReader flows) {
    int faultsBefore = in.faults.size();
    String typed = in.draft.cell(row, "item");
    Optional<Account> account =
        typed.isEmpty() || in.book.item(typed).isPresent()
            ? Optional.empty()
            : in.book.account(typed);
    Item item = null;
    if (account.isPresent()) checkFreeAccount(in, row, account.get());
    else item = in.item(row);
    Units units = item == null ? Units.of(zinctally.core.units.Unit.EACH) : item.units();
    boolean one = account.isPresent() && in.draft.cell(row, "quantity").isEmpty();
    Units.Typed quantity =
        one
            ? units.read("1").orElseThrow()
            : item == null && account.isEmpty()
                ? null
                : in.above(row, units, "; what comes back is a return.");
    if (item == null && account.isEmpty()) return null;
    BigDecimal price = in.price(row, true);
    BigDecimal discount = buying ? BigDecimal.ZERO : discount(in, row);
    TaxRate rate = in.rate(row);
    String name = item != null ? item.name() : account.get().label();
    Long shown = null;
    if (quantity != null && price != null && discount != null)
      shown = in.amountOf(row, quantity, price, discount);
    in.rows.put(
        row,
        new Reading.RowFacts(
            item == null ? 0 : item.id(),
            name,
            quantity == null ? units.base().sign() : quantity.unit().sign(),
            shown));
    long tax =
        rate == null || shown == null ? 0 : taxIncluded ? rate.within(shown) : rate.onNet(shown);
    Long net = shown == null ? null : Long.valueOf(taxIncluded ? shown - tax : shown);
    Flow flow = Flow.NONE;
    if (item != null && quantity != null)
      flow = flows.asked(row, item, quantity.quantity().micros(), net);
    if (in.faults.size() == faultsBefore && net != null) {
      return new TradeLine(
          row,
          item,
          account.orElse(null),
          item == null ? "" : buying ? item.purchaseWording() : item.saleWording(),
          quantity.quantity(),
          quantity.unit().sign(),
          price,
          discount,
          net,
          tax,
          rate,
          flow);
    }
    return null;
  }

  private static void checkFreeAccount(Reader in, int row, Account account) {
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

  private static BigDecimal discount(Reader in, int row) {
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
}
