package zinctally.core.papers.read;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Supplier;
import zinctally.core.goods.Item;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.Role;
import zinctally.core.number.Figures;
import zinctally.core.number.Quantity;
import zinctally.core.number.Share;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Fault;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Reading;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.money.OpenItem;
import zinctally.core.papers.trade.CounterSale;
import zinctally.core.papers.trade.Trade;
import zinctally.core.units.Units;

/** Reads single fields and cells of one draft, and gathers what is wrong. */
public final class Reader {
  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);
  private static final int LONGEST_TEXT = 500;
  public final Draft draft;
  public final Catalogue book;
  public final List<Fault> faults = new ArrayList<>();
  public final List<Fault> notes = new ArrayList<>();
  public final Map<Integer, Reading.RowFacts> rows = new TreeMap<>();
  public Reading.Sums toPay;

  /** What would be sold, when only how it is paid is not right yet; else null. */
  public Trade unpaid;

  /** What leaves with the rows read so far, by item and place. */
  private final Map<List<Long>, Long> leaves = new HashMap<>();

  public Reader(Draft draft, Catalogue book) {
    this.draft = draft;
    this.book = book;
  }

  public Reading done(Supplier<Paper> paper) {
    Optional<Paper> read = Optional.empty();
    if (faults.isEmpty()) {
      try {
        read = Optional.of(paper.get());
        read.get().total();
      } catch (ArithmeticException tooLarge) {
        read = Optional.empty();
        faults.add(Fault.whole("The amounts are too large to add up."));
      }
    }
    return new Reading(
        read, List.copyOf(faults), List.copyOf(notes), rows, toPay, Optional.ofNullable(unpaid));
  }

  /**
   * Something unusual that may be right: it stops the paper until it is answered with yes, for
   * exactly what it says.
   */
  public void ask(String cell, String says) {
    Fault question = new Fault(cell, says).asked();
    boolean answered =
        List.of(draft.field(Draft.AGREED).split("\\s+")).contains(question.question());
    if (answered) notes.add(new Fault(cell, says));
    else faults.add(question);
  }

  /** Notes something beside a row. */
  public void beside(int row, String what, String words) {
    rows.computeIfPresent(row, (r, facts) -> facts.with(what, words));
  }

  public void fault(String cell, String says) {
    faults.add(new Fault(cell, says));
  }

  public String text(String field) {
    String typed = draft.field(field);
    if (typed.length() > LONGEST_TEXT)
      fault(field, "This is " + typed.length() + " letters long; " + LONGEST_TEXT + " fit.");
    return typed;
  }

  /** The paper's date: open, not before the cut-over, not absurdly far off. */
  public LocalDate date() {
    LocalDate date = day("date", null);
    if (date == null) return null;
    Catalogue.Rules rules = book.rules();
    if (date.isBefore(rules.cutOver()))
      fault(
          "date",
          date + " is before the cut-over date " + rules.cutOver() + "; the books start there.");
    else if (date.isBefore(rules.firstOpenDay()))
      fault(
          "date",
          date + " is in a closed period; the first open day is " + rules.firstOpenDay() + ".");
    else if (date.isAfter(rules.today().plusYears(1)))
      fault("date", date + " is more than a year ahead; is the year right?");
    else if (date.isAfter(rules.today())) notes.add(new Fault("date", date + " is in the future."));
    return date;
  }

  public LocalDate day(String field, LocalDate ifEmpty) {
    return day(field, draft.field(field), ifEmpty);
  }

  public LocalDate day(String cell, String typed, LocalDate ifEmpty) {
    if (typed.isEmpty() && ifEmpty != null) return ifEmpty;
    LocalDate today = book.rules().today();
    LocalDate from =
        cell.equals("date") ? today : Days.read(draft.field("date"), today, today).orElse(today);
    Optional<LocalDate> day = Days.read(typed, today, from);
    if (day.isEmpty())
      fault(
          cell,
          (typed.isEmpty() ? "A date is wanted" : "\"" + typed + "\" is not a date")
              + "; write it as 2026-03-09, 9.3.2026, today or +30.");
    return day.orElse(null);
  }

  /** Whom the paper is from or for. */
  public Party party() {
    Party.Kind side = draft.kind().side().orElseThrow();
    return party(side.field(), draft.party(), side);
  }

  public Party party(String cell, String name, Party.Kind kind) {
    String who = kind.field();
    if (name.isEmpty() && draft.kind() == PaperKind.COUNTER_SALE)
      return book.party(kind, CounterSale.NOBODY)
          .orElse(new Party(0, kind, CounterSale.NOBODY, 0, true));
    if (name.isEmpty()) {
      fault(cell, "Which " + who + "? A name is enough.");
      return null;
    }
    if (name.length() > 120) {
      fault(cell, "A name may be 120 letters long.");
      return null;
    }
    Optional<Party> known = book.party(kind, name);
    if (known.isPresent() && !known.get().active()) {
      fault(cell, name + " is switched off; switch it on again on its card or take another.");
      return null;
    }
    return known.orElseGet(
        () -> {
          notes.add(new Fault(cell, name + " is new and will be made a " + who + "."));
          return new Party(0, kind, name, 30, true);
        });
  }

  public Place place(String cell, String typed) {
    Optional<Place> place = book.place(typed);
    if (place.isEmpty())
      fault(cell, typed.isEmpty() ? "Which place?" : "There is no place called \"" + typed + "\".");
    return place.orElse(null);
  }

  /** Where the goods of a row come to or go from: the paper's place if the row names none. */
  public Place place(int row, Place ofPaper) {
    String typed = draft.cell(row, "place");
    return typed.isEmpty() ? ofPaper : place("rows." + row + ".place", typed);
  }

  public Item item(int row) {
    String typed = draft.cell(row, "item");
    if (typed.isEmpty()) {
      faults.add(Fault.at(row, "item", "Which item? Its code, barcode or name will do."));
      return null;
    }
    Optional<Item> item = book.item(typed);
    if (item.isEmpty()) return onTheSpot(row, typed);
    else if (!item.get().active()) {
      faults.add(
          Fault.at(
              row,
              "item",
              item.get().name() + " is switched off; switch it on in Goods or take another."));
      return null;
    }
    return item.orElse(null);
  }

  /** What is bought or sold but is no item yet can be made one, to be completed later. */
  private Item onTheSpot(int row, String typed) {
    boolean trade =
        switch (draft.kind()) {
          case BILL, INVOICE, COUNTER_SALE, PURCHASE_ORDER, SALES_ORDER -> true;
          default -> false;
        };
    if (!trade || typed.length() > 120) {
      faults.add(Fault.at(row, "item", "No item has the code, barcode or name \"" + typed + "\"."));
      return null;
    }
    ask(
        "rows." + row + ".item",
        "\"" + typed + "\" is no item yet. Shall it be made one, to be completed later?");
    return book.newItem(-1L - row, typed, draft.kind().side().orElseThrow());
  }

  public Units.Typed quantity(int row, Units units) {
    String typed = draft.cell(row, "quantity");
    Optional<Units.Typed> read = units.read(typed);
    if (read.isPresent()) askFigure("rows." + row + ".quantity", typed);
    if (read.isEmpty())
      faults.add(
          Fault.at(
              row,
              "quantity",
              (typed.isEmpty()
                      ? "How many? "
                      : "\"" + typed + "\" is not a quantity of this item. ")
                  + "Write a number, or with a unit: "
                  + String.join(", ", units.shown().stream().map(Units.Shown::sign).toList())
                  + "."));
    return read.orElse(null);
  }

  /** A money amount with at most {@code places} digits after the point; null when it is wrong. */
  public BigDecimal amount(String cell, String typed, int places) {
    Optional<BigDecimal> read = Figures.read(typed);
    if (read.isEmpty()) {
      fault(
          cell,
          "\""
              + typed
              + "\" is not a number; write it like 1234"
              + Figures.form().decimal()
              + "50.");
      return null;
    }
    if (read.get().stripTrailingZeros().scale() > places) {
      fault(cell, typed + " has more than " + places + " digits after the point.");
      return null;
    }
    if (read.get().precision() - read.get().scale() > 12) {
      fault(cell, typed + " is larger than any amount this book can hold.");
      return null;
    }
    askFigure(cell, typed);
    return read.get();
  }

  /** Asks about a figure that would be another number to people who write theirs otherwise. */
  private void askFigure(String cell, String typed) {
    if (!Figures.doubtful(typed)) return;
    char group = Figures.form().group();
    ask(
        cell,
        "\""
            + typed
            + "\" is taken as thousands, "
            + typed.replace(String.valueOf(group), "")
            + ". If a fraction is meant, write it with \""
            + Figures.form().decimal()
            + "\".");
  }

  /** An amount in minor units, zero or more; null when it is wrong. */
  public Long money(String cell, String typed) {
    BigDecimal read = amount(cell, typed, book.rules().coin().digits());
    if (read == null) return null;
    if (read.signum() < 0) {
      fault(cell, typed + " is below zero; the amount is written without a sign.");
      return null;
    }
    return book.rules().coin().minor(read);
  }

  /**
   * Quantity times price less discount, in minor units; null when it is too large.
   *
   * @param price for one of the unit that was typed
   * @param discount percent off
   */
  public Long amountOf(int row, Units.Typed quantity, BigDecimal price, BigDecimal discount) {
    try {
      BigDecimal units =
          quantity
              .quantity()
              .decimal()
              .divide(quantity.unit().size().decimal(), 12, RoundingMode.HALF_UP);
      BigDecimal off = BigDecimal.ONE.subtract(discount.divide(HUNDRED));
      return book.rules().coin().rounded(units.multiply(price).multiply(off));
    } catch (ArithmeticException tooLarge) {
      faults.add(
          Fault.at(
              row, "price", "Quantity times price is larger than any amount this book can hold."));
      return null;
    }
  }

  public String say(long minor) {
    return book.rules().coin().say(minor);
  }

  /**
   * Asks before goods are taken that are promised to orders written earlier.
   *
   * @param order the order they go to; zero for none
   */
  public void askPromised(int row, Item item, Place place, long micros, long order) {
    if (place == null || micros <= 0 || !item.stocked()) return;
    long taken = leaves.merge(List.of(item.id(), place.id()), micros, Long::sum);
    Catalogue.Promised promised = book.promised(item.id(), place.id(), order);
    if (promised.micros() == 0 || taken > promised.here()) return;
    long free = Math.max(0, promised.here() - promised.micros());
    if (taken <= free) return;
    ask(
        "rows." + row + ".quantity",
        "Of "
            + item.units().say(new Quantity(promised.here()))
            + " at "
            + place.name()
            + ", "
            + item.units().say(new Quantity(promised.micros()))
            + " are promised before, first to "
            + promised.first()
            + "; "
            + item.units().say(new Quantity(free))
            + " are free, and this takes "
            + item.units().say(new Quantity(taken))
            + ".");
  }

  /** Asks when another paper of this kind from them bears their number. */
  public void askSameNumber(Party who, String theirNumber) {
    if (who == null || who.id() == 0 || theirNumber.isEmpty()) return;
    book.sameNumber(draft.kind(), who.id(), theirNumber)
        .ifPresent(other -> ask("their_number", other + " bears the same number."));
  }

  /** Whether the weight of all these is known; says of which it is not. */
  public boolean weighed(String field, List<Item> items) {
    List<String> unknown =
        items.stream().filter(i -> i.weight() == null).map(Item::name).distinct().toList();
    if (unknown.isEmpty()) return true;
    fault(
        field,
        "The weight of "
            + String.join(", ", unknown)
            + " is not known; write it on the item, or share otherwise.");
    return false;
  }

  /** The price of a row for one of the unit typed; null when it is wrong, or empty and may be. */
  public BigDecimal price(int row, boolean wanted) {
    String typed = draft.cell(row, "price");
    String cell = "rows." + row + ".price";
    if (typed.isEmpty()) {
      if (wanted) fault(cell, "At what price? Write 0 for goods that cost nothing.");
      return null;
    }
    BigDecimal price = amount(cell, typed, 6);
    if (price != null && price.signum() < 0) {
      fault(cell, "A price is not below zero; write what comes off as its own line or discount.");
      return null;
    }
    return price;
  }

  public TaxRate rate(int row) {
    String typed = draft.cell(row, "tax");
    if (typed.isEmpty()) return null;
    Optional<TaxRate> rate = book.taxRate(typed);
    if (rate.isEmpty())
      faults.add(
          Fault.at(row, "tax", "There is no tax rate \"" + typed + "\"; Set up lists them."));
    return rate.orElse(null);
  }

  /** An item of a row that is kept in stock. */
  public Item stocked(int row, String otherwise) {
    Item item = item(row);
    if (item == null || item.stocked()) return item;
    faults.add(Fault.at(row, "item", item.name() + " is not kept in stock; " + otherwise));
    return null;
  }

  /** Whether a row that goes on from an earlier paper says zero: none of that line, this time. */
  public boolean notThisLine(int row) {
    boolean goesOn = !draft.cell(row, "of").isEmpty() || !draft.cell(row, "paper").isEmpty();
    return goesOn
        && Figures.read(draft.cell(row, "quantity")).filter(q -> q.signum() == 0).isPresent();
  }

  /** A quantity above zero. */
  public Units.Typed above(int row, Units units, String otherwise) {
    Units.Typed quantity = quantity(row, units);
    if (quantity == null || quantity.quantity().signum() > 0) return quantity;
    faults.add(Fault.at(row, "quantity", "The quantity must be above zero" + otherwise));
    return null;
  }

  /**
   * @param percent off the price, up to four places
   * @param amount minor units that are left; null when it is too large
   */
  public record Discounted(BigDecimal percent, Long amount) {}

  /** A row's discount, typed as percent or as the new price: each fills in the other. */
  public Discounted discounted(int row, Units.Typed quantity, BigDecimal price) {
    String typed = draft.cell(row, "discount").replace("%", "").strip();
    String at = draft.cell(row, "at");
    String cell = "rows." + row + ".discount";
    if (!typed.isEmpty() && !at.isEmpty()) {
      fault("rows." + row + ".at", "Percent off, or the new price: leave one of the two empty.");
      return null;
    }
    if (!at.isEmpty()) return newPrice(row, quantity, price, at);
    if (typed.isEmpty())
      return new Discounted(BigDecimal.ZERO, amountOf(row, quantity, price, BigDecimal.ZERO));
    BigDecimal percent = amount(cell, typed, 4);
    if (percent == null) return null;
    if (percent.signum() < 0 || percent.compareTo(HUNDRED) > 0) {
      fault(cell, "A discount is between 0 and 100 percent.");
      return null;
    }
    BigDecimal left = price.multiply(HUNDRED.subtract(percent)).divide(HUNDRED);
    beside(row, "at", Figures.grouped(left, Math.min(4, Math.max(2, left.scale()))));
    return new Discounted(percent, amountOf(row, quantity, price, percent));
  }

  private Discounted newPrice(int row, Units.Typed quantity, BigDecimal price, String typed) {
    String cell = "rows." + row + ".at";
    BigDecimal at = amount(cell, typed, 6);
    if (at == null) return null;
    if (at.signum() < 0 || at.compareTo(price) > 0) {
      fault(cell, "The new price is between 0 and " + Figures.plain(price) + ".");
      return null;
    }
    BigDecimal percent =
        price.signum() == 0
            ? BigDecimal.ZERO
            : price.subtract(at).multiply(HUNDRED).divide(price, 4, RoundingMode.HALF_UP);
    beside(
        row,
        "discount",
        Figures.plain(percent.setScale(2, RoundingMode.HALF_UP).stripTrailingZeros()));
    return new Discounted(percent, amountOf(row, quantity, at, BigDecimal.ZERO));
  }

  /** Net and tax of the lines, with what comes off the whole taken off. */
  public LineAmounts amounts(List<LineAmounts.Line> lines) {
    boolean included = "included".equals(draft.field("prices"));
    long sum = lines.stream().mapToLong(LineAmounts.Line::amount).reduce(0, Math::addExact);
    return LineAmounts.of(lines, offTheWhole(sum), included, book.rules().taxOnSums());
  }

  /** The bank or cash account that takes or gives money; null when none is named rightly. */
  public Account moneyAccount() {
    Optional<Account> account = book.account(draft.field("money"));
    if (account.isEmpty()) fault("money", "From or to which bank or cash account?");
    else if (account.get().role() != Role.MONEY || !account.get().active()) {
      fault("money", account.get().label() + " is no bank or cash account in use.");
      return null;
    }
    return account.orElse(null);
  }

  /** What comes off the whole, an amount or percent; minor units. */
  private long offTheWhole(long sum) {
    String typed = draft.field("off");
    if (typed.isEmpty() || sum == 0) return 0;
    boolean percent = typed.endsWith("%");
    BigDecimal read =
        amount(
            "off",
            percent ? typed.substring(0, typed.length() - 1).strip() : typed,
            percent ? 4 : book.rules().coin().digits());
    if (read == null) return 0;
    BigDecimal most = percent ? HUNDRED : book.rules().coin().decimal(sum);
    if (read.signum() < 0 || read.compareTo(most) > 0) {
      fault(
          "off",
          "Between 0 and "
              + (percent ? "100 %" : say(sum) + ", which is all of it,")
              + " can come off the whole.");
      return 0;
    }
    if (!percent) return book.rules().coin().minor(read);
    return BigDecimal.valueOf(sum)
        .multiply(read)
        .divide(HUNDRED, 0, RoundingMode.HALF_UP)
        .longValueExact();
  }

  /**
   * Says what a line earns at the present cost of its goods, and when that is less than nothing.
   */
  public void margin(int row, Item item, long micros, long net) {
    Optional<Catalogue.LatestCost> present = book.presentCost(item.id());
    if (present.isEmpty() || micros == 0) return;
    long cost = Share.of(present.get().value(), micros, present.get().micros());
    if (net != 0)
      beside(
          row,
          "margin",
          BigDecimal.valueOf(net - cost)
                  .multiply(HUNDRED)
                  .divide(BigDecimal.valueOf(net), 0, RoundingMode.HALF_UP)
                  .toPlainString()
                  .replace('-', '−')
              + " %");
    if (net >= cost) return;
    int digits = book.rules().coin().digits();
    notes.add(
        Fault.at(
            row,
            "price",
            item.name()
                + " is sold at "
                + Figures.grouped(book.rules().coin().each(net, micros), digits)
                + ", under its present cost of "
                + Figures.grouped(
                    book.rules().coin().each(present.get().value(), present.get().micros()), digits)
                + "."));
  }

  /** Asks when a customer would owe more than their limit. */
  public void askCredit(Party who, long more) {
    if (who == null || who.id() == 0) return;
    Optional<Long> limit = book.creditLimit(who.id());
    if (limit.isEmpty()) return;
    long owed =
        Math.addExact(book.openItems(who.id()).stream().mapToLong(OpenItem::open).sum(), more);
    if (owed > limit.get())
      ask(
          who.kind().field(),
          who.name() + " would owe " + say(owed) + "; the limit is " + say(limit.get()) + ".");
  }
}
