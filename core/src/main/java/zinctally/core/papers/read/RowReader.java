package zinctally.core.papers.read;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.number.Figures;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Place;
import zinctally.core.papers.Reading;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.Trait;
import zinctally.core.units.Units;

/** Reads the cells of one row of the line table, and says what is wrong at them. */
public final class RowReader {
  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);
  private static final int LONGEST_NOTE = 300;

  /** Where the paper's own fields stand among its lines. */
  static final int HEAD = -1;

  private final Reader in;
  private final int index;

  RowReader(Reader in, int index) {
    this.in = in;
    this.index = index;
  }

  /** Where it stands, from zero; below zero for the paper's own fields. */
  public int index() {
    return index;
  }

  Catalogue book() {
    return in.book;
  }

  /** What is typed in a column. */
  public String cell(String column) {
    return index == HEAD ? in.draft.field(column) : in.draft.cell(index, column);
  }

  /** The name of its cell in a column. */
  public String at(String column) {
    return index == HEAD ? column : "rows." + index + "." + column;
  }

  public void fault(String column, String says) {
    in.fault(at(column), says);
  }

  public void note(String column, String says) {
    in.note(at(column), says);
  }

  /** Something unusual that may be right. */
  public void ask(String column, String says) {
    in.ask(at(column), says);
  }

  /** Its note; says so when it is too long. */
  public String memo() {
    String typed = cell("memo");
    if (typed.length() > LONGEST_NOTE)
      fault("memo", "This is " + typed.length() + " letters long; " + LONGEST_NOTE + " fit.");
    return typed;
  }

  /** Whether nothing in it is wrong, as far as it has been read. */
  public boolean sound() {
    return in.sound(index);
  }

  /** What is known of it; nothing stands beside the paper's own fields. */
  public void facts(Reading.RowFacts facts) {
    if (index != HEAD) in.facts.put(index, facts);
  }

  /**
   * What is known of a row with an item.
   *
   * @param quantity null when it could not be read
   * @param minor what it comes to, minor units; null when that cannot be told yet
   */
  public void facts(Item item, Units.@Nullable Typed quantity, @Nullable Long minor) {
    facts(new Reading.RowFacts(item.id(), item.name(), unit(item, quantity), minor));
  }

  /** The unit that was typed, else the item's base unit. */
  private static String unit(Item item, Units.@Nullable Typed quantity) {
    return quantity == null ? item.units().base().sign() : quantity.unit().sign();
  }

  /** What it comes to, minor units; null when that cannot be told. */
  public void amounting(@Nullable Long minor) {
    in.facts.computeIfPresent(index, (row, facts) -> facts.amounting(minor));
  }

  /** The item it names; null when there is none. */
  public @Nullable Item item() {
    String typed = cell("item");
    if (typed.isEmpty()) {
      fault("item", "Which item? Its code, barcode or name will do.");
      return null;
    }
    Optional<Item> item = in.book.item(typed);
    if (item.isEmpty()) return onTheSpot(typed);
    else if (!item.get().active()) {
      fault("item", item.get().name() + " is switched off; switch it on in Goods or take another.");
      return null;
    }
    return item.orElse(null);
  }

  /** What is bought or sold but is no item yet can be made one, to be completed later. */
  private @Nullable Item onTheSpot(String typed) {
    if (!in.draft.kind().is(Trait.PRICED) || typed.length() > 120) {
      fault("item", "No item has the code, barcode or name \"" + typed + "\".");
      return null;
    }
    ask("item", "\"" + typed + "\" is no item yet. Shall it be made one, to be completed later?");
    return in.book.newItem(-1L - index, typed, in.draft.kind().side().orElseThrow());
  }

  /** How many; null when that cannot be read. */
  public Units.@Nullable Typed quantity(Units units) {
    return quantity("quantity", units);
  }

  /** How many a column says; null when that cannot be read. */
  public Units.@Nullable Typed quantity(String column, Units units) {
    String typed = cell(column);
    Optional<Units.Typed> read = units.read(typed);
    if (read.isPresent()) in.askFigure(at(column), typed);
    if (read.isEmpty())
      fault(
          column,
          (typed.isEmpty() ? "How many? " : "\"" + typed + "\" is not a quantity of this item. ")
              + "Write a number, or with a unit: "
              + String.join(", ", units.shown().stream().map(Units.Shown::sign).toList())
              + ".");
    return read.orElse(null);
  }

  /**
   * Quantity times price less discount, in minor units; null when it is too large.
   *
   * @param price for one of the unit that was typed
   * @param discount percent off
   */
  public @Nullable Long amountOf(Units.Typed quantity, BigDecimal price, BigDecimal discount) {
    try {
      BigDecimal units =
          quantity
              .quantity()
              .decimal()
              .divide(quantity.unit().size().decimal(), 12, RoundingMode.HALF_UP);
      BigDecimal off = BigDecimal.ONE.subtract(discount.divide(HUNDRED));
      return in.book.rules().coin().rounded(units.multiply(price).multiply(off));
    } catch (ArithmeticException tooLarge) {
      fault("price", "Quantity times price is larger than any amount this book can hold.");
      return null;
    }
  }

  /**
   * Asks before goods are taken that are promised to orders written earlier.
   *
   * @param order the order they go to; zero for none
   */
  public void askPromised(Item item, @Nullable Place place, long micros, long order) {
    if (place == null || micros <= 0 || !item.stocked()) return;
    long taken = in.leaves.merge(List.of(item.id(), place.id()), micros, Long::sum);
    Catalogue.Promised promised = in.book.promised(item.id(), place.id(), order);
    if (promised.micros() == 0 || taken > promised.here()) return;
    long free = Math.max(0, promised.here() - promised.micros());
    if (taken <= free) return;
    ask(
        "quantity",
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

  /** A number in a column, with at most so many digits after the point; null when it is wrong. */
  @Nullable BigDecimal amount(String column, String typed, int places) {
    return in.amount(at(column), typed, places);
  }

  /** The price of a row for one of the unit typed; null when it is wrong, or empty and may be. */
  public @Nullable BigDecimal price(boolean wanted) {
    String typed = cell("price");
    if (typed.isEmpty()) {
      if (wanted) fault("price", "At what price? Write 0 for goods that cost nothing.");
      return null;
    }
    BigDecimal price = amount("price", typed, 6);
    if (price != null && price.signum() < 0) {
      fault(
          "price", "A price is not below zero; write what comes off as its own line or discount.");
      return null;
    }
    return price;
  }

  /** The rate of tax it bears; null for none. */
  public @Nullable TaxRate rate() {
    return in.rate(at("tax"), cell("tax"));
  }

  /** The cost of one of the unit that was typed; null when it is wrong. */
  public @Nullable BigDecimal unitCost() {
    BigDecimal cost = amount("unit_cost", cell("unit_cost"), 6);
    if (cost == null || cost.signum() >= 0) return cost;
    fault("unit_cost", "A cost is not below zero.");
    return null;
  }

  /** An item of a row that is kept in stock. */
  public @Nullable Item stocked(String otherwise) {
    Item item = item();
    if (item == null || item.stocked()) return item;
    fault("item", item.name() + " is not kept in stock; " + otherwise);
    return null;
  }

  /** Whether a row that goes on from an earlier paper says zero: none of that line, this time. */
  public boolean isZero() {
    boolean goesOn = !cell("of").isEmpty() || !cell("paper").isEmpty();
    return goesOn && Figures.read(cell("quantity")).filter(q -> q.signum() == 0).isPresent();
  }

  /** A quantity above zero. */
  public Units.@Nullable Typed above(Units units, String otherwise) {
    Units.Typed quantity = quantity(units);
    if (quantity == null || quantity.quantity().signum() > 0) return quantity;
    fault("quantity", "The quantity must be above zero" + otherwise);
    return null;
  }

  /** Writes something beside it. */
  public void beside(String what, String words) {
    in.facts.computeIfPresent(index, (r, facts) -> facts.with(what, words));
  }

  /** Where the goods of a row come to or go from: the paper's place if the row names none. */
  public @Nullable Place place(@Nullable Place ofPaper) {
    String typed = cell("place");
    return typed.isEmpty() ? ofPaper : in.place(at("place"), typed);
  }
}
