package zinctally.core.papers.stock;

import static zinctally.core.papers.read.Reader.known;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.goods.ItemKind;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.Role;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Place;
import zinctally.core.papers.Reading;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;
import zinctally.core.units.Units;

/** Reads the start of tracking: what was on hand must cover what was sold since. */
public final class StartTrackingReader {
  private StartTrackingReader() {}

  public static Reading startTracking(Reader in) {
    LocalDate date = in.date();
    Item item = item(in);
    Account other = other(in);
    List<StartTracking.Sold> sold =
        item == null || date == null ? List.of() : in.book.soldSince(item.id(), date);
    List<StartTracking.Line> lines = new ArrayList<>();
    Map<Long, Long> here = new LinkedHashMap<>();
    for (RowReader row : in.rows()) {
      StartTracking.Line line = line(in, row, item);
      if (line == null) continue;
      lines.add(line);
      here.merge(line.place().id(), line.quantity().micros(), Math::addExact);
    }
    if (item != null && date != null) enough(in, item, date, sold, here);
    if (lines.isEmpty() && in.sound())
      in.fault("rows.0.place", "There is no line yet: where, how many, at what unit cost.");
    return in.done(
        () -> new StartTracking(known(date), known(item), known(other), List.copyOf(lines), sold));
  }

  private static @Nullable Item item(Reader in) {
    String typed = in.draft.field("item");
    Optional<Item> item = in.book.item(typed);
    if (typed.isEmpty()) in.fault("item", "Which item? Its code or name will do.");
    else if (item.isEmpty()) in.fault("item", "No item has the code or name \"" + typed + "\".");
    else if (item.get().kind() == ItemKind.STOCKED)
      in.fault("item", item.get().name() + " is kept in stock already.");
    else if (item.get().tracked())
      in.fault(
          "item",
          item.get().name()
              + " is told apart "
              + item.get().tracking().words()
              + "; what was sold of it did not say which. Switch that off on the item first.");
    else return StartTracking.stocked(item.get());
    return null;
  }

  private static @Nullable Account other(Reader in) {
    String typed = in.draft.field("account");
    Optional<Account> account =
        typed.isEmpty()
            ? Optional.of(in.book.account(Role.OPENING_CLEARING))
            : in.book.account(typed);
    if (account.isEmpty()) in.fault("account", "There is no account \"" + typed + "\".");
    else if (!account.get().active()
        || account.get().role().control() && account.get().role() != Role.OPENING_CLEARING) {
      in.fault(
          "account",
          account.get().label()
              + " cannot bear it; Opening clearing can, or the account its purchases went to.");
      return null;
    }
    return account.orElse(null);
  }

  private static StartTracking.@Nullable Line line(Reader in, RowReader row, @Nullable Item item) {
    Place place = in.place(row.at("place"), row.cell("place"));
    Units.Typed quantity = item == null ? null : row.quantity(item.units());
    if (quantity != null && quantity.quantity().signum() <= 0)
      row.fault("quantity", "How many were there? Above zero.");
    boolean empty = row.cell("unit_cost").isEmpty();
    if (empty) row.fault("unit_cost", "At what unit cost?");
    BigDecimal cost = empty ? null : row.unitCost();
    if (!row.sound() || item == null || quantity == null || cost == null) return null;
    Long value = row.amountOf(quantity, cost, BigDecimal.ZERO);
    if (value == null) return null;
    row.facts(item, quantity, value);
    return new StartTracking.Line(row.index(), known(place), quantity.quantity(), value);
  }

  private static void enough(
      Reader in, Item item, LocalDate date, List<StartTracking.Sold> sold, Map<Long, Long> here) {
    Map<Long, Long> gone = new LinkedHashMap<>();
    Map<Long, String> names = new LinkedHashMap<>();
    for (StartTracking.Sold sale : sold) {
      gone.merge(sale.place(), sale.quantity(), Math::addExact);
      names.put(sale.place(), sale.placeName());
    }
    if (gone.isEmpty()) {
      in.note("date", "None was sold since " + date + ".");
      return;
    }
    gone.forEach(
        (place, quantity) -> {
          String says =
              item.units().say(new Quantity(quantity))
                  + " were sold out of "
                  + names.get(place)
                  + " since "
                  + date;
          if (here.getOrDefault(place, 0L) >= quantity)
            in.note("date", says + "; those sales get their cost.");
          else
            in.fault("rows.0.quantity", says + "; at least that many must have been there then.");
        });
  }
}
