package zinctally.core.papers.opening;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.number.Coin;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Fault;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Place;
import zinctally.core.papers.Reading;
import zinctally.core.papers.flow.Numbered;
import zinctally.core.papers.read.NumbersReader;
import zinctally.core.units.Unit;
import zinctally.core.units.Units;

/**
 * Reads an opening stock sheet: every row's quantity x cost is held against its value, and what
 * looks like a slip is asked about. It goes in whole or not at all.
 */
public final class OpeningStockReader {
  private final Catalogue book;

  private final NewItems newItems;

  private final List<Fault> faults = new ArrayList<>();

  private final List<Fault> questions = new ArrayList<>();

  private final List<OpeningStock.Line> lines = new ArrayList<>();

  private final Map<Integer, Reading.RowFacts> facts = new TreeMap<>();

  private final Map<String, Integer> seen = new HashMap<>();

  /** Makes up items that the book does not have yet. */
  @FunctionalInterface
  public interface NewItems {
    /** An item as it will be made, with the accounts its group gives it. */
    Item make(long id, String code, String name, String group, Units units);
  }

  public OpeningStockReader(Catalogue book, NewItems newItems) {
    this.book = book;
    this.newItems = newItems;
  }

  /** Reads the whole sheet; a reader serves one sheet. */
  public Reading read(Draft draft) {
    String[] columns = draft.field("columns").split(",", -1);
    Map<Column, Integer> at = new EnumMap<>(Column.class);
    for (int i = 0; i < columns.length; i++) {
      for (Column column : Column.values()) {
        if (!column.key().equals(columns[i])) continue;
        if (at.put(column, i) != null)
          faults.add(new Fault("columns", column.words() + " is matched to two columns."));
      }
    }
    book.rules().openingClosed().ifPresent(faults::add);
    for (Column needed : List.of(Column.CODE, Column.QUANTITY))
      if (!at.containsKey(needed))
        faults.add(new Fault("columns", "No column is matched to " + needed.words() + "."));
    if (!at.containsKey(Column.VALUE) && !at.containsKey(Column.UNIT_COST))
      faults.add(new Fault("columns", "A column for Unit cost or Total value is needed."));
    if (faults.isEmpty())
      for (int row = 0; row < draft.rows().size(); row++)
        if (!draft.blank(row)) row(draft, at, row);
    if (faults.isEmpty() && lines.isEmpty()) faults.add(Fault.whole("There is no row yet."));
    if (!questions.isEmpty() && faults.isEmpty() && !"seen".equals(draft.field("questions")))
      faults.add(
          new Fault(
              "questions",
              (questions.size() == 1
                  ? "One row looks like a slip; look at it, then tick that it is right."
                  : questions.size()
                      + " rows look like a slip; look at them, then tick that they are right.")));
    Optional<zinctally.core.papers.Paper> paper =
        faults.isEmpty()
            ? Optional.of(new OpeningStock(book.rules().cutOver(), List.copyOf(lines)))
            : Optional.empty();
    return new Reading(paper, faults, questions, facts);
  }

  private void row(Draft draft, Map<Column, Integer> at, int row) {
    int faultsBefore = faults.size();
    SheetRow in = new SheetRow(draft, at, row, faults, questions);
    String code = in.text(Column.CODE);
    String name = in.text(Column.NAME);
    if (code.isEmpty()) in.fault(Column.CODE, "Every row needs an item code.");
    if (code.length() > 40) in.fault(Column.CODE, "A code may be 40 letters long.");
    if (name.length() > 120) in.fault(Column.NAME, "A name may be 120 letters long.");
    Optional<Unit> unit =
        in.text(Column.UNIT).isEmpty() ? Optional.of(Unit.EACH) : Unit.read(in.text(Column.UNIT));
    if (unit.isEmpty())
      in.fault(
          Column.UNIT,
          "\""
              + in.text(Column.UNIT)
              + "\" is no unit known here; use one of "
              + String.join(", ", Arrays.stream(Unit.values()).map(Unit::sign).toList())
              + ".");
    Optional<Item> known = code.isEmpty() ? Optional.empty() : book.item(code);
    if (known.isPresent()
        && !in.text(Column.UNIT).isEmpty()
        && unit.isPresent()
        && known.get().units().base() != unit.get())
      in.fault(
          Column.UNIT,
          code
              + " is counted in "
              + known.get().units().base().sign()
              + ", not in "
              + unit.get().sign()
              + ".");
    if (known.isPresent() && !known.get().stocked())
      in.fault(Column.CODE, code + " is " + known.get().kind().words() + ".");
    if (known.isEmpty() && name.isEmpty())
      in.fault(
          Column.NAME, "No item has the code " + code + " yet; to make it, its name is needed.");
    String placeName =
        in.text(Column.PLACE).isEmpty() ? draft.field("place") : in.text(Column.PLACE);
    Optional<Place> place = book.place(placeName);
    if (place.isEmpty())
      in.fault(Column.PLACE, "There is no place called \"" + placeName + "\"; Set up lists them.");
    Integer before = seen.putIfAbsent(code.toLowerCase(Locale.ROOT) + "\n" + placeName, row);
    if (before != null && !code.isEmpty())
      in.fault(
          Column.CODE,
          code + " stands already in row " + (before + 1) + "; put both together in one row.");
    BigDecimal quantity = in.number(Column.QUANTITY, Quantity.PLACES);
    if (quantity == null && in.text(Column.QUANTITY).isEmpty())
      in.fault(Column.QUANTITY, "How many are on hand? Write 0 for none.");
    BigDecimal cost = in.number(Column.UNIT_COST, 6);
    BigDecimal value = in.number(Column.VALUE, book.rules().coin().digits());
    BigDecimal price = in.number(Column.PRICE, 6);
    if (faults.size() > faultsBefore || quantity == null) return;
    Long worth = worth(in, quantity, cost, value, price);
    if (worth == null) return;
    Item item =
        known.orElseGet(
            () ->
                newItems.make(
                    -(row + 1L), code, name, in.text(Column.GROUP), Units.of(unit.orElseThrow())));
    long micros = Quantity.of(quantity).micros();
    List<Numbered> numbers =
        item.tracked() && micros > 0
            ? NumbersReader.arriving(
                PaperKind.OPENING_STOCK,
                book,
                item,
                micros,
                place.get(),
                in.text(Column.NUMBERS),
                says -> in.fault(Column.NUMBERS, says))
            : List.of();
    if (!item.tracked() && !in.text(Column.NUMBERS).isEmpty())
      in.fault(
          Column.NUMBERS,
          item.name()
              + " is not told apart by lots or serial numbers; set that on the item first, or leave"
              + " this empty.");
    known.ifPresent(there -> askAgain(in, there));
    if (faults.size() > faultsBefore) return;
    facts.put(
        row,
        new Reading.RowFacts(
            Math.max(0, item.id()), item.name(), item.units().base().sign(), worth));
    lines.add(
        new OpeningStock.Line(
            row,
            item,
            in.text(Column.GROUP),
            Quantity.of(quantity),
            worth,
            price,
            place.get(),
            numbers));
  }

  /** Asks about goods of which some have been opened already. */
  private void askAgain(SheetRow in, Item item) {
    if (book.presentCost(item.id()).isEmpty()) return;
    long there = book.opened(item.id());
    if (there > 0)
      questions.add(
          in.at(
              Column.QUANTITY,
              item.units().say(new Quantity(there))
                  + " of "
                  + item.name()
                  + " are there on the first day already; these come on top."));
  }

  /** Minor units of the row, or null when the columns disagree. */
  private @Nullable Long worth(
      SheetRow in,
      BigDecimal quantity,
      @Nullable BigDecimal cost,
      @Nullable BigDecimal value,
      @Nullable BigDecimal price) {
    Coin coin = book.rules().coin();
    if (quantity.signum() == 0) {
      if (value == null || value.signum() == 0) return 0L;
      in.fault(
          Column.VALUE,
          "A value of " + value + " without any goods; give the quantity or write 0.");
      return null;
    }
    if (cost == null && value == null) {
      in.fault(Column.UNIT_COST, "What did they cost? Give the unit cost or the total value.");
      return null;
    }
    BigDecimal product = cost == null ? null : quantity.multiply(cost);
    if (cost != null && product != null && value != null) {
      BigDecimal rounding =
          quantity
              .multiply(BigDecimal.ONE.movePointLeft(Math.max(cost.scale(), coin.digits())))
              .add(BigDecimal.ONE.movePointLeft(coin.digits()))
              .divide(BigDecimal.valueOf(2), 12, RoundingMode.HALF_UP);
      if (product.subtract(value).abs().compareTo(rounding) > 0) {
        in.fault(
            Column.VALUE,
            quantity.stripTrailingZeros().toPlainString()
                + " \u00d7 "
                + cost
                + " is "
                + coin.say(coin.rounded(product))
                + ", but the value column says "
                + coin.say(coin.minor(value))
                + "; a unit cost of "
                + value
                    .divide(quantity, coin.digits() + 2, RoundingMode.HALF_UP)
                    .stripTrailingZeros()
                    .toPlainString()
                + " would agree"
                + (price != null && price.compareTo(cost) == 0
                    ? ". The unit cost is the selling price."
                    : "."));
        return null;
      }
    }
    if (cost != null && price != null && cost.signum() > 0 && cost.compareTo(price) == 0)
      questions.add(
          in.at(
              Column.UNIT_COST,
              "The unit cost " + cost + " is the same as the selling price; is it the cost?"));
    else if (cost != null && price != null && price.signum() > 0 && cost.compareTo(price) > 0)
      questions.add(
          in.at(
              Column.UNIT_COST,
              "The unit cost " + cost + " is above the selling price " + price + "."));
    return coin.rounded(value != null ? value : Objects.requireNonNull(product));
  }

  /** The headings a fault's column stands under, for people. */
  public static String columnWords(Draft draft, String cell) {
    String[] parts = cell.split("\\.");
    if (parts.length < 3 || !parts[2].matches("c\\d+"))
      return parts[parts.length - 1].replace('_', ' ');
    int i = Integer.parseInt(parts[2].substring(1));
    Supplier<String> plain = () -> "column " + (i + 1);
    String[] headings = draft.field("headings").split("\t", -1);
    return i < headings.length && !headings[i].isBlank() ? headings[i] : plain.get();
  }
}
