package zinctally.core.papers.order;

import static zinctally.core.papers.read.Reader.known;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Fault;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Reading;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.read.Discount;
import zinctally.core.papers.read.LineAmounts;
import zinctally.core.papers.read.Margin;
import zinctally.core.papers.read.PartyQuestions;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;
import zinctally.core.units.Units;

/** Reads a purchase order or a sales order. */
public final class OrderReader {
  private OrderReader() {}

  public static Reading order(Reader in) {
    LocalDate date = in.date();
    boolean buying = in.draft.kind() == PaperKind.PURCHASE_ORDER;
    Party who = in.party();
    String reference = in.text("reference");
    boolean when = !in.draft.field("expected").isEmpty();
    LocalDate expected = when ? in.day("expected", null) : null;
    if (expected != null && date != null && expected.isBefore(date))
      in.fault(
          "expected",
          "Expected on " + expected + ", which is before the order's date " + date + ".");
    Place place = in.place("place", in.draft.field("place"));
    String notes = in.text("notes");
    List<Typed> typed = new ArrayList<>();
    for (RowReader row : in.rows()) typed(row, buying).ifPresent(typed::add);
    List<Order.Line> lines = lines(in, typed);
    boolean consigned = buying && in.draft.field("consigned").equals("yes");
    if (consigned)
      for (Order.Line line : lines)
        if (!line.item().stocked())
          in.row(line.row())
              .fault(
                  "item", line.item().name() + " is not kept in stock; nobody can leave it here.");
    if (!buying) promised(in, lines, place);
    if (!buying)
      PartyQuestions.credit(
          in, who, lines.stream().mapToLong(l -> Math.addExact(l.net(), l.tax())).sum());
    if (lines.isEmpty() && in.sound())
      in.fault("rows.0.item", "There is no line yet: name an item and how many.");
    return in.done(
        () ->
            new Order(
                in.draft.kind(),
                known(date),
                known(who),
                reference,
                expected,
                known(place),
                notes,
                consigned,
                List.copyOf(lines)));
  }

  /** A row in which nothing is wrong. */
  private record Typed(
      RowReader row,
      Item item,
      Units.Typed quantity,
      @Nullable BigDecimal price,
      BigDecimal percent,
      long amount,
      @Nullable TaxRate rate) {}

  private static Optional<Typed> typed(RowReader row, boolean buying) {
    Item item = row.item();
    Units.Typed quantity = item == null ? null : row.above(item.units(), ".");
    BigDecimal price = row.price(!buying);
    TaxRate rate = row.rate();
    if (item == null) return Optional.empty();
    row.facts(item, quantity, null);
    Discount off =
        quantity == null || price == null
            ? new Discount(BigDecimal.ZERO, 0L)
            : Discount.read(row, quantity, price);
    if (price != null && off != null) row.amounting(off.amount());
    return !row.sound() || quantity == null || off == null || off.amount() == null
        ? Optional.empty()
        : Optional.of(new Typed(row, item, quantity, price, off.percent(), off.amount(), rate));
  }

  /** The rows with net and tax, which may be worked out on the sums of the whole order. */
  private static List<Order.Line> lines(Reader in, List<Typed> typed) {
    try {
      return sound(in, typed);
    } catch (ArithmeticException tooLarge) {
      in.tooLarge();
      return List.of();
    }
  }

  private static List<Order.Line> sound(Reader in, List<Typed> typed) {
    LineAmounts amounts =
        in.amounts(typed.stream().map(t -> new LineAmounts.Line(t.amount, t.rate)).toList());
    List<Order.Line> lines = new ArrayList<>();
    for (int i = 0; i < typed.size(); i++) {
      Typed t = typed.get(i);
      long net = amounts.net()[i];
      if (in.draft.kind() == PaperKind.SALES_ORDER)
        Margin.say(t.row, t.item, t.quantity.quantity().micros(), net);
      lines.add(
          new Order.Line(
              t.row.index(),
              t.item,
              t.quantity.quantity(),
              t.quantity.unit().sign(),
              t.price,
              t.percent,
              net,
              amounts.tax()[i],
              t.rate));
    }
    return lines;
  }

  /** Says where the lines promise more than is free. */
  private static void promised(Reader in, List<Order.Line> lines, @Nullable Place place) {
    if (place == null) return;
    Map<Long, Long> promised = new HashMap<>();
    for (Order.Line line : lines) if (line.item().stocked()) promised(in, line, place, promised);
  }

  private static void promised(Reader in, Order.Line line, Place place, Map<Long, Long> promised) {
    long micros = line.quantity().micros();
    long before = promised.merge(line.item().id(), micros, Long::sum) - micros;
    Catalogue.Free free = in.book.free(line.item().id(), place.id());
    long here = Math.max(0, free.here() - before);
    if (micros <= here) return;
    Units units = line.item().units();
    String elsewhere =
        free.everywhere() > free.here()
            ? ", " + units.say(new Quantity(free.everywhere() - free.here())) + " elsewhere"
            : "";
    String coming =
        free.onOrder() <= 0
            ? "; none is on order"
            : "; "
                + units.say(new Quantity(free.onOrder()))
                + " on order"
                + (free.expected() == null ? "" : ", expected " + free.expected());
    in.note(
        Fault.at(
            line.row(),
            "quantity",
            line.item().name()
                + " is short: "
                + units.say(new Quantity(here))
                + " of "
                + units.say(line.quantity())
                + " are free here"
                + elsewhere
                + coming
                + "."));
  }
}
