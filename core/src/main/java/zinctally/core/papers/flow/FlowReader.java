package zinctally.core.papers.flow;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.consign.Price;
import zinctally.core.papers.consign.Taking;
import zinctally.core.papers.read.NumbersReader;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;

/**
 * Reads how the goods of a line go on from earlier papers: which receipts a bill is for, which
 * orders or bills a receipt brings goods for, and the same for deliveries and invoices. A quantity
 * is taken from one line once only.
 */
public final class FlowReader {
  private final Reader in;

  private final @Nullable Party who;

  private final @Nullable LocalDate date;

  private final boolean comesLater;

  private final NumbersReader numbers;

  private final Taking taking;

  private final Trading way;

  private final Drawing drawing;

  private final AgainstEarlier against;

  private final NamedPapers papers;

  public FlowReader(Reader in, @Nullable Party who, @Nullable LocalDate date) {
    this.in = in;
    this.who = who;
    this.date = date;
    this.comesLater = "later".equals(in.draft.field("goods"));
    this.numbers = new NumbersReader(in);
    this.taking = new Taking(in, date, numbers);
    this.way = Trading.of(in.draft.kind());
    this.drawing = new Drawing(way);
    this.against = new AgainstEarlier(in, way, who, drawing);
    this.papers = new NamedPapers(in, way, who, date, drawing);
  }

  /**
   * Goods or services of a bill or invoice.
   *
   * @param place where they come to or go from
   * @param price what the line brings without tax; null while that is not known
   */
  public Flow asked(
      RowReader row, Item item, @Nullable Place place, long micros, @Nullable Price price) {
    Long net = price == null ? null : Long.valueOf(price.net());
    List<Awaited> named = papers.named(row, "order or " + way.moving().word(), item);
    if (named == null) return Flow.NONE;
    boolean ofMoved = !named.isEmpty() && named.get(0).kind() == way.moving();
    List<Awaited> waiting = NamedPapers.some(named, way.goodsWait(), item);
    if (!way.buying() && !papers.dated(row, waiting)) return Flow.NONE;
    List<Flow.Portion> before = drawing.before(waiting, micros);
    long left = micros - Drawing.quantity(before);
    String wanted = row.cell("of");
    long unbilled = waiting.stream().mapToLong(a -> Math.max(0, drawing.open(a))).sum();
    if (!before.isEmpty() && unbilled > 0)
      note(
          row,
          "quantity",
          "%s of %s are %s; %s more that %s with %s stay %s, not %s.",
          say(item, micros),
          item.name(),
          way.billed(),
          say(item, unbilled),
          way.came(),
          wanted,
          way.moved(),
          way.billed());
    List<Flow.Portion> ordered = List.of();
    long after = 0;
    if (ofMoved && left > 0) {
      if (waiting.isEmpty()) {
        row.fault("of", "%s did not %s with %s.".formatted(item.name(), way.come(), wanted));
        return Flow.NONE;
      }
      ask(
          row,
          "quantity",
          "%s of %s are %s, and only %s %s with %s and are not %s yet: the other %s would be %s"
              + " before they %s.",
          say(item, micros),
          item.name(),
          way.billed(),
          say(item, micros - left),
          way.came(),
          wanted,
          way.billed(),
          say(item, left),
          way.billed(),
          way.come());
      after = left;
    } else if (!named.isEmpty() && left > 0) {
      ordered = ordered(row, item, left, named, way.orderedPaper(), way.billed());
      if (comesLater && item.stocked()) after = left;
    } else if (left > 0) {
      if (comesLater && item.stocked()) after = left;
      else if (item.stocked())
        against.perhapsTheSame(
            row,
            item,
            way.goodsWait(),
            " " + way.came() + " with %s and are not " + way.billed() + " yet.",
            "more " + way.come() + " with this " + way.bill() + ".");
    }
    long now = item.stocked() ? left - after : 0;
    if (net != null) against.differences(row, item, micros, net, before, ordered);
    if (way.buying())
      return new Flow(
          now, before, after, ordered, arriving(row, item, place, now), List.of(), List.of());
    Taking.Leaving leaving =
        taking.leaving(row, item, place, now, () -> price == null ? null : price.of(now, micros));
    return new Flow(
        now,
        before,
        after,
        ordered,
        leaving.numbers(),
        leaving.taken(),
        price == null ? List.of() : taking.restated(named, before, price, micros));
  }

  /** Goods of a receipt or delivery: of papers that asked first, of orders, or of neither. */
  public Flow moved(RowReader row, Item item, @Nullable Place place, long micros) {
    List<Awaited> named = papers.named(row, "order or " + way.bill(), item);
    if (named == null) return Flow.NONE;
    List<Awaited> waiting = NamedPapers.some(named, way.paperWaits(), item);
    List<Flow.Portion> before = drawing.before(waiting, micros);
    long left = micros - Drawing.quantity(before);
    String wanted = row.cell("of");
    boolean ofBill = !named.isEmpty() && named.get(0).kind() == way.asking();
    List<Flow.Portion> ordered = List.of();
    if (ofBill && left > 0) {
      if (waiting.isEmpty()) {
        row.fault("of", "No %s of %s is still to %s.".formatted(item.name(), wanted, way.come()));
        return Flow.NONE;
      }
      ask(
          row,
          "quantity",
          "%s of %s are %s on %s and still to %s; this %s %s more, which would wait for another %s.",
          say(item, micros - left),
          item.name(),
          way.billed(),
          wanted,
          way.come(),
          way.buying() ? "brings" : "takes",
          say(item, left),
          way.bill());
    } else if (!named.isEmpty() && left > 0)
      ordered = ordered(row, item, left, named, way.orderedGoods(), way.moved());
    else if (left > 0)
      against.perhapsTheSame(
          row,
          item,
          way.paperWaits(),
          " are "
              + way.billed()
              + (way.buying() ? " on %s and have not come." : " on %s and have not gone."),
          "these wait for " + (way.buying() ? "a bill" : "an invoice") + " of their own.");
    if (way.buying())
      return new Flow(
          left, before, 0, ordered, arriving(row, item, place, micros), List.of(), List.of());
    List<Flow.Portion> agreed = ordered;
    Taking.Leaving leaving =
        taking.leaving(
            row, item, place, micros, () -> taking.expected(item, who, micros, before, agreed));
    return new Flow(left, before, 0, ordered, leaving.numbers(), leaving.taken(), List.of());
  }

  /** Which lots or serial numbers come; none when something is wrong with them. */
  private List<Numbered> arriving(RowReader row, Item item, @Nullable Place place, long micros) {
    if (micros <= 0 || !item.tracked() || !item.stocked()) return List.of();
    List<Numbered> given = numbers.arriving(row, item, micros, place);
    return given == null ? List.of() : given;
  }

  private void note(RowReader row, String cell, String says, Object... words) {
    row.note(cell, says.formatted(words));
  }

  private void ask(RowReader row, String cell, String says, Object... words) {
    in.ask(row.at(cell), says.formatted(words));
  }

  private String say(Item item, long micros) {
    return item.units().say(new Quantity(micros));
  }

  /** Of an order's lines; what is over, or not on it, is asked about. */
  private List<Flow.Portion> ordered(
      RowReader row, Item item, long micros, List<Awaited> named, Awaits what, String done) {
    List<Awaited> lines = NamedPapers.some(named, what, item);
    String number = row.cell("of");
    if (lines.isEmpty()) {
      row.ask("item", item.name() + " is not on " + number + ".");
      return List.of();
    }
    long open = lines.stream().mapToLong(l -> Math.max(0, drawing.open(l))).sum();
    long ordered = lines.stream().mapToLong(Awaited::quantity).sum();
    if (micros > open)
      row.ask(
          "quantity",
          say(item, ordered)
              + " of "
              + item.name()
              + " were ordered on "
              + number
              + " and "
              + say(item, ordered - open)
              + " are "
              + done
              + " already; this is "
              + say(item, micros)
              + ", "
              + say(item, micros - open)
              + " too many.");
    List<Flow.Portion> portions = new ArrayList<>();
    long left = micros;
    for (int i = 0; i < lines.size() && left > 0; i++) {
      boolean last = i == lines.size() - 1;
      Flow.Portion portion =
          drawing.take(lines.get(i), last ? left : Math.min(left, drawing.open(lines.get(i))));
      if (portion == null) continue;
      portions.add(portion);
      left -= portion.quantity();
    }
    return portions;
  }
}
