package zinctally.core.papers.consign;

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
import zinctally.core.papers.Party;
import zinctally.core.papers.Reading;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Flow;
import zinctally.core.papers.read.LineAmounts;
import zinctally.core.papers.read.PartyQuestions;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;
import zinctally.core.units.Units;

/** Reads what is paid out for consigned goods that were sold. */
public final class SettlementReader {
  private final Reader in;
  private final @Nullable LocalDate date;
  private final @Nullable Party who;
  private final Map<Long, Long> quantities = new HashMap<>();
  private final Map<Long, Long> values = new HashMap<>();

  private SettlementReader(Reader in) {
    this.in = in;
    date = in.date();
    who = owner();
  }

  public static Reading settlement(Reader in) {
    SettlementReader reader = new SettlementReader(in);
    try {
      return reader.read();
    } catch (ArithmeticException tooLarge) {
      in.tooLarge();
      return in.wrong();
    }
  }

  private @Nullable Party owner() {
    String typed = in.draft.party();
    Optional<Party> known = in.book.party(Party.Kind.SUPPLIER, typed);
    if (known.isEmpty())
      in.fault(
          "supplier",
          typed.isEmpty()
              ? "With whom? A name is enough."
              : "Nothing of \"" + typed + "\" was sold here.");
    return known.orElse(null);
  }

  private record Typed(
      RowReader row,
      Item item,
      Units.Typed quantity,
      List<Flow.Portion> of,
      long net,
      @Nullable TaxRate rate) {
    boolean sound() {
      return row.sound();
    }
  }

  private Reading read() {
    LocalDate due = in.due(date, who);
    String number = in.text("their_number");
    PartyQuestions.sameNumber(in, who, number);
    String note = in.text("notes");
    List<Typed> typed = new ArrayList<>();
    for (RowReader row : in.rows()) line(row).ifPresent(typed::add);
    if (typed.isEmpty() && in.sound())
      in.fault("rows.0.item", "There is no line yet: what that was sold is settled?");
    List<Settlement.Line> lines = lines(typed.stream().filter(Typed::sound).toList());
    return in.done(() -> new Settlement(known(date), known(due), known(who), number, note, lines));
  }

  private List<Settlement.Line> lines(List<Typed> typed) {
    LineAmounts amounts =
        LineAmounts.of(
            typed.stream().map(t -> new LineAmounts.Line(t.net, t.rate)).toList(),
            0,
            false,
            in.book.rules().taxOnSums());
    List<Settlement.Line> lines = new ArrayList<>();
    for (int i = 0; i < typed.size(); i++) {
      Typed t = typed.get(i);
      lines.add(
          new Settlement.Line(
              t.row.index(),
              t.item,
              t.quantity.quantity(),
              t.quantity.unit().sign(),
              amounts.net()[i],
              amounts.tax()[i],
              t.rate,
              t.of));
    }
    return List.copyOf(lines);
  }

  private Optional<Typed> line(RowReader row) {
    Item item = row.stocked("nobody left it here.");
    if (item == null) return Optional.empty();
    Units.Typed quantity = row.quantity(item.units());
    if (quantity != null && quantity.quantity().signum() < 0)
      row.fault("quantity", "Write 0 where only an amount is put right.");
    TaxRate rate = row.rate();
    row.facts(item, quantity, null);
    if (quantity == null || who == null || date == null || !row.sound()) return Optional.empty();
    List<Flow.Portion> of = sold(who, date, row, item, quantity.quantity().micros());
    long agreed = of.stream().mapToLong(Flow.Portion::value).sum();
    row.beside("owed", in.say(agreed));
    Long net = row.cell("amount").isEmpty() ? Long.valueOf(agreed) : amount(row);
    if (net == null) return Optional.empty();
    if (net < 0 && quantity.quantity().signum() > 0)
      row.fault(
          "amount",
          "What was sold is settled at 0 or more; a supplier's credit is a paper of its own.");
    row.amounting(net);
    if (net != agreed && row.sound()) apart(row, item, of, net - agreed);
    return Optional.of(new Typed(row, item, quantity, of, net, rate));
  }

  private @Nullable Long amount(RowReader row) {
    BigDecimal typed =
        in.amount(row.at("amount"), row.cell("amount"), in.book.rules().coin().digits());
    return typed == null ? null : Long.valueOf(in.book.rules().coin().minor(typed));
  }

  private void apart(RowReader row, Item item, List<Flow.Portion> of, long difference) {
    if (of.stream().anyMatch(p -> p.of().arrivals().isEmpty()))
      row.fault(
          "amount",
          "Nothing is owed for what of "
              + item.name()
              + " was lost; leave the amount at "
              + in.say(0)
              + ".");
    else
      row.note(
          "amount",
          item.name()
              + " is settled at "
              + in.say(Math.abs(difference))
              + (difference > 0 ? " more" : " less")
              + " than is owed; its cost changes by that.");
  }

  /** What was sold and is not settled, the oldest first; of one paper when the row names it. */
  private List<Flow.Portion> sold(
      Party who, LocalDate date, RowReader row, Item item, long micros) {
    String number = row.cell("of");
    List<Flow.Portion> portions = new ArrayList<>();
    long left = micros;
    long there = 0;
    for (Awaited sold : in.book.awaited(Awaits.CONSIGNED_SOLD, who.id(), item.id())) {
      if (!number.isEmpty() && !sold.number().equalsIgnoreCase(number)) continue;
      if (date.isBefore(sold.date())) continue;
      long open = sold.openQuantity() - quantities.getOrDefault(sold.id(), 0L);
      there += Math.max(0, open);
      boolean rest = open == 0 && micros == 0;
      long some = Math.min(open, left);
      if (some <= 0 && !rest) continue;
      Flow.Portion portion = draw(sold, Math.max(0, some), rest);
      if (rest && portion.value() == 0) continue;
      portions.add(portion);
      left -= portion.quantity();
    }
    if (left > 0 || portions.isEmpty())
      row.fault(
          "quantity",
          item.units().say(new Quantity(there))
              + " of "
              + item.name()
              + " of "
              + who.name()
              + (number.isEmpty() ? "" : " with " + number)
              + " were sold by "
              + date
              + " and are not settled"
              + (micros == 0 ? ", and no amount is left to be put right." : "."));
    return portions;
  }

  private Flow.Portion draw(Awaited sold, long micros, boolean rest) {
    long quantity = quantities.getOrDefault(sold.id(), 0L);
    long value = values.getOrDefault(sold.id(), 0L);
    long drawn = rest ? sold.openValue() - value : sold.draw(micros, quantity, value);
    quantities.merge(sold.id(), micros, Math::addExact);
    values.merge(sold.id(), drawn, Math::addExact);
    return new Flow.Portion(sold, micros, drawn);
  }
}
