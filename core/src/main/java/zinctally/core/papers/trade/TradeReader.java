package zinctally.core.papers.trade;

import static zinctally.core.papers.read.Reader.known;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.goods.Tracking;
import zinctally.core.ledger.Account;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Reading;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.consign.KeptReader;
import zinctally.core.papers.consign.Price;
import zinctally.core.papers.flow.Flow;
import zinctally.core.papers.flow.FlowReader;
import zinctally.core.papers.read.Discount;
import zinctally.core.papers.read.LineAmounts;
import zinctally.core.papers.read.Margin;
import zinctally.core.papers.read.OnAccount;
import zinctally.core.papers.read.PartyQuestions;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;
import zinctally.core.papers.read.Weights;
import zinctally.core.units.Unit;
import zinctally.core.units.Units;

/** Reads a bill or an invoice: items, and accounts for what is no item. */
public final class TradeReader {
  private final Reader in;
  private final boolean buying;
  private final @Nullable LocalDate date;
  private final @Nullable Party who;
  private final @Nullable Place place;
  private final FlowReader flows;

  TradeReader(Reader in) {
    this.in = in;
    buying = in.draft.kind() == PaperKind.BILL;
    date = in.date();
    who = in.party();
    place = in.place("place", in.draft.field("place"));
    flows = new FlowReader(in, who, date);
  }

  public static Reading trade(Reader in) {
    TradeReader reader = new TradeReader(in);
    Trade trade = reader.read();
    if (!reader.buying && trade != null) PartyQuestions.credit(in, trade.who(), trade.total());
    return trade == null ? in.wrong() : in.done(() -> trade);
  }

  /** The paper; null when something in it is wrong. */
  @Nullable Trade read() {
    try {
      return sound();
    } catch (ArithmeticException tooLarge) {
      in.tooLarge();
      return null;
    }
  }

  private @Nullable Trade sound() {
    LocalDate due = in.due(date, who);
    String number = in.text(buying ? "their_number" : "reference");
    if (buying) PartyQuestions.sameNumber(in, who, number);
    List<Typed> typed = new ArrayList<>();
    for (RowReader row : in.rows()) if (!row.isZero()) typed(row).ifPresent(typed::add);
    List<TradeLine> lines = lines(typed);
    if (typed.isEmpty() && in.sound())
      in.fault("rows.0.item", "There is no line yet: name an item and how many.");
    Trade.Bears bears = buying ? bears(in, lines) : Trade.Bears.EXPENSE;
    return in.sound()
        ? new Trade(
            in.draft.kind(),
            known(date),
            known(due),
            known(who),
            number,
            known(place),
            List.copyOf(lines),
            bears)
        : null;
  }

  /**
   * A row as far as it could be read.
   *
   * @param item null for a line on an account
   * @param off its discount and what it comes to; null when it cannot be told
   * @param sound whether nothing in it is wrong
   */
  private record Typed(
      RowReader row,
      @Nullable Item item,
      @Nullable Account account,
      @Nullable Place place,
      String wording,
      Units.@Nullable Typed quantity,
      @Nullable BigDecimal price,
      @Nullable Discount off,
      @Nullable TaxRate rate,
      boolean sound) {
    /** What it comes to, minor units; null when that cannot be told. */
    @Nullable Long amount() {
      return off == null ? null : off.amount();
    }
  }

  private Optional<Typed> typed(RowReader row) {
    Optional<Account> account = OnAccount.of(row);
    Item item = account.isPresent() ? null : row.item();
    if (item == null && account.isEmpty()) return Optional.empty();
    Units units = item == null ? Units.of(Unit.EACH) : item.units();
    boolean alone = account.isPresent() || in.draft.kind() == PaperKind.COUNTER_SALE;
    boolean one = alone && row.cell("quantity").isEmpty();
    Units.Typed quantity =
        one ? units.read("1").orElseThrow() : row.above(units, "; what comes back is a return.");
    BigDecimal price = price(row, item);
    if (item != null) row.facts(item, quantity, null);
    else
      row.facts(
          new Reading.RowFacts(
              account.get(), (quantity == null ? units.baseShown() : quantity.unit()).sign()));
    Discount off = quantity == null || price == null ? null : Discount.read(row, quantity, price);
    TaxRate rate = row.rate();
    Place from = row.place(place);
    if (item != null && !buying) KeptReader.theirs(row, from, who);
    String wording =
        item == null
            ? OnAccount.wording(row)
            : buying ? item.purchaseWording() : item.saleWording();
    return Optional.of(
        new Typed(
            row,
            item,
            account.orElse(null),
            from,
            wording,
            quantity,
            price,
            off,
            rate,
            row.sound()));
  }

  /** The price typed, else that of the pieces named. */
  private @Nullable BigDecimal price(RowReader row, @Nullable Item item) {
    boolean pieces = !buying && row.cell("price").isEmpty() && !row.cell("numbers").isEmpty();
    Optional<BigDecimal> own =
        pieces && item != null && item.tracking() == Tracking.SERIAL
            ? in.book.piecePrice(item.id(), List.of(row.cell("numbers").strip().split("[,;\\s]+")))
            : Optional.empty();
    own.ifPresent(
        p ->
            row.note(
                "price",
                "They have a price of their own: "
                    + in.book.rules().coin().price(p).toPlainString()
                    + "."));
    return own.isPresent() ? own.get() : row.price(true);
  }

  /** The rows with their amounts, once what comes off the whole is spread over them. */
  private List<TradeLine> lines(List<Typed> typed) {
    List<Typed> priced = typed.stream().filter(t -> t.amount() != null).toList();
    LineAmounts amounts =
        in.amounts(
            priced.stream().map(t -> new LineAmounts.Line(known(t.amount()), t.rate)).toList());
    Map<Typed, Integer> places = new IdentityHashMap<>();
    priced.forEach(t -> places.put(t, places.size()));
    List<TradeLine> lines = new ArrayList<>();
    for (Typed t : typed) {
      int at = places.getOrDefault(t, -1);
      Long net = at < 0 ? null : Long.valueOf(amounts.net()[at]);
      if (at >= 0) t.row.amounting(t.amount());
      line(t, net, at < 0 ? 0 : amounts.tax()[at]).ifPresent(lines::add);
    }
    return lines;
  }

  private Optional<TradeLine> line(Typed t, @Nullable Long net, long tax) {
    Flow flow = Flow.NONE;
    if (t.item != null && t.quantity != null) {
      long micros = t.quantity.quantity().micros();
      flow = flows.asked(t.row, t.item, t.place, micros, price(t, net));
      if (!buying) t.row.askPromised(t.item, t.place, flow.ours(), flow.order());
      if (!buying && net != null) Margin.say(t.row, t.item, micros, net);
    }
    if (!t.sound
        || net == null
        || t.quantity == null
        || t.price == null
        || t.off == null
        || t.place == null
        || !t.row.sound()) return Optional.empty();
    return Optional.of(
        new TradeLine(
            t.row.index(),
            t.item,
            t.account,
            t.place,
            t.wording,
            t.quantity.quantity(),
            t.quantity.unit().sign(),
            t.price,
            t.off.percent(),
            net,
            tax,
            t.rate,
            flow,
            kept(t)));
  }

  /** What a line brings, with and without discount; null while that is not known. */
  private @Nullable Price price(Typed t, @Nullable Long net) {
    if (net == null || t.quantity == null || t.price == null) return null;
    if (buying) return new Price(net, net);
    Long full = t.row.amountOf(t.quantity, t.price, BigDecimal.ZERO);
    if (full == null) return null;
    boolean included = "included".equals(in.draft.field("prices"));
    return new Price(included && t.rate != null ? full - t.rate.within(full) : full, net);
  }

  /** Where its goods stay, when they do. */
  private @Nullable Place kept(Typed t) {
    return t.item != null && t.item.stocked() ? KeptReader.place(in, t.place, who) : null;
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
    if (bears == Trade.Bears.WEIGHT && !Weights.known(in, "charges", items)) return bears;
    if (goods.isEmpty())
      in.fault(
          "charges",
          "There are no goods on this bill to bear its charges; write Charges on goods instead.");
    else if (bears == Trade.Bears.VALUE && goods.stream().allMatch(l -> l.net() == 0))
      in.fault("charges", "These goods cost nothing; share by quantity or by weight.");
    return bears;
  }
}
