package zinctally.core.papers;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import zinctally.core.goods.Item;
import zinctally.core.number.Figures;
import zinctally.core.number.Quantity;
import zinctally.core.number.Share;

/**
 * Reads how the goods of a line go on from earlier papers: which receipts a bill is for, which
 * orders or bills a receipt brings goods for. A quantity is taken from one line once only.
 */
final class FlowReader {
  private final Reader in;
  private final Party who;
  private final LocalDate date;
  private final Place place;
  private final boolean comesLater;
  private final NumbersReader numbers;
  private final Map<String, List<Awaited>> papers = new HashMap<>();
  private final Map<Long, Long> takenQuantity = new HashMap<>();
  private final Map<Long, Long> takenValue = new HashMap<>();

  FlowReader(Reader in, Party who, LocalDate date, Place place) {
    this.in = in;
    this.who = who;
    this.date = date;
    this.place = place;
    this.comesLater = "later".equals(in.draft.field("goods"));
    this.numbers = new NumbersReader(in);
  }

  /** Goods of an invoice go with it; what was promised in an order is promised no more. */
  Flow sold(int row, Item item, long micros) {
    List<Awaited> named = named(row, "of", "sales order", item);
    if (named == null) return Flow.NONE;
    List<Flow.Portion> ordered =
        named.isEmpty()
            ? List.of()
            : ordered(row, item, micros, named, Awaits.PROMISED_INVOICE, "invoiced");
    boolean asked = item.tracked() && item.stocked();
    List<Numbered> given = asked ? numbers.leaving(row, item, micros, place) : List.of();
    return new Flow(
        item.stocked() ? micros : 0, List.of(), 0, ordered, given == null ? List.of() : given);
  }

  /**
   * Goods or services of a bill.
   *
   * @param net minor units of the line without tax; null while they are not known
   */
  Flow billed(int row, Item item, long micros, Long net) {
    List<Awaited> named = named(row, "of", "order or receipt", item);
    if (named == null) return Flow.NONE;
    List<Flow.Portion> before = new ArrayList<>();
    long left = micros;
    boolean ofReceipt = !named.isEmpty() && named.get(0).kind() == PaperKind.RECEIPT;
    for (Awaited receipt : some(named, Awaits.RECEIVED_BILL, item)) {
      Flow.Portion portion = take(receipt, Math.min(left, open(receipt)));
      if (portion == null) continue;
      before.add(portion);
      left -= portion.quantity();
      if (receipt.order().bill() != 0)
        takenQuantity.merge(receipt.order().bill(), portion.quantity(), Long::sum);
    }
    String wanted = in.draft.cell(row, "of");
    long unbilled =
        some(named, Awaits.RECEIVED_BILL, item).stream().mapToLong(a -> Math.max(0, open(a))).sum();
    if (!before.isEmpty() && unbilled > 0)
      in.notes.add(
          Fault.at(
              row,
              "quantity",
              say(item, micros)
                  + " of "
                  + item.name()
                  + " are billed; "
                  + say(item, unbilled)
                  + " more that came with "
                  + wanted
                  + " stay received, not billed."));
    List<Flow.Portion> ordered = List.of();
    long after = 0;
    if (ofReceipt && left > 0) {
      if (some(named, Awaits.RECEIVED_BILL, item).isEmpty()) {
        in.faults.add(Fault.at(row, "of", item.name() + " did not come with " + wanted + "."));
        return Flow.NONE;
      }
      in.ask(
          "rows." + row + ".quantity",
          say(item, micros)
              + " of "
              + item.name()
              + " are billed, and only "
              + say(item, micros - left)
              + " came with "
              + wanted
              + " and are not billed yet: the other "
              + say(item, left)
              + " would be billed before they come.");
      after = left;
    } else if (!named.isEmpty() && left > 0) {
      ordered = ordered(row, item, left, named, Awaits.ORDERED_BILL, "billed");
      if (comesLater && item.stocked()) after = left;
    } else if (left > 0) {
      if (comesLater && item.stocked()) after = left;
      else if (item.stocked()) notBilledYet(row, item);
    }
    long now = item.stocked() ? left - after : 0;
    if (net != null) differences(row, item, micros, net, before, ordered);
    List<Numbered> given =
        now > 0 && item.tracked() ? numbers.arriving(row, item, now, place) : List.of();
    return new Flow(now, before, after, ordered, given == null ? List.of() : given);
  }

  /** Goods of a receipt: of bills that came first, of orders, or of neither. */
  Flow received(int row, Item item, long micros) {
    List<Awaited> named = named(row, "of", "order or bill", item);
    if (named == null) return Flow.NONE;
    List<Flow.Portion> before = new ArrayList<>();
    long left = micros;
    for (Awaited bill : some(named, Awaits.BILLED_GOODS, item)) {
      Flow.Portion portion = take(bill, Math.min(left, open(bill)));
      if (portion == null) continue;
      before.add(portion);
      left -= portion.quantity();
      if (bill.order().goods() != 0)
        takenQuantity.merge(bill.order().goods(), portion.quantity(), Long::sum);
    }
    String wanted = in.draft.cell(row, "of");
    boolean ofBill = !named.isEmpty() && named.get(0).kind() == PaperKind.BILL;
    List<Flow.Portion> ordered = List.of();
    if (ofBill && left > 0) {
      if (some(named, Awaits.BILLED_GOODS, item).isEmpty()) {
        in.faults.add(
            Fault.at(row, "of", "No " + item.name() + " of " + wanted + " is still to come."));
        return Flow.NONE;
      }
      in.ask(
          "rows." + row + ".quantity",
          say(item, micros - left)
              + " of "
              + item.name()
              + " are billed on "
              + wanted
              + " and still to come; this brings "
              + say(item, left)
              + " more, which would wait for another bill.");
    } else if (!named.isEmpty() && left > 0)
      ordered = ordered(row, item, left, named, Awaits.ORDERED_GOODS, "received");
    else if (left > 0) billedBefore(row, item);
    List<Numbered> given = item.tracked() ? numbers.arriving(row, item, micros, place) : List.of();
    return new Flow(left, before, 0, ordered, given == null ? List.of() : given);
  }

  private String say(Item item, long micros) {
    return item.units().say(new Quantity(micros));
  }

  private long open(Awaited awaited) {
    return awaited.openQuantity() - takenQuantity.getOrDefault(awaited.id(), 0L);
  }

  /** Takes some of what an earlier line waits for; null for nothing. */
  private Flow.Portion take(Awaited of, long micros) {
    if (micros <= 0) return null;
    long quantity = takenQuantity.getOrDefault(of.id(), 0L);
    long value = takenValue.getOrDefault(of.id(), 0L);
    long drawn = of.draw(micros, quantity, value);
    takenQuantity.merge(of.id(), micros, Math::addExact);
    takenValue.merge(of.id(), drawn, Math::addExact);
    return new Flow.Portion(of, micros, drawn);
  }

  private static List<Awaited> some(List<Awaited> named, Awaits what, Item item) {
    return named.stream().filter(a -> a.what() == what && a.item().id() == item.id()).toList();
  }

  /** What the paper named in the row waits for; none when none is named, null when it is wrong. */
  private List<Awaited> named(int row, String column, String kinds, Item item) {
    String number = in.draft.cell(row, column);
    if (number.isEmpty()) return List.of();
    List<Awaited> found =
        papers.computeIfAbsent(
            number.toUpperCase(java.util.Locale.ROOT), n -> in.book.awaited(number));
    if (found.isEmpty()) {
      in.faults.add(
          Fault.at(
              row,
              column,
              "No "
                  + kinds
                  + " \""
                  + number
                  + "\" that waits for goods or a bill is posted here."));
      return null;
    }
    Awaited first =
        found.stream()
            .filter(a -> a.number().equalsIgnoreCase(number))
            .findFirst()
            .orElse(found.get(0));
    if (who != null && first.party() != who.id()) {
      in.faults.add(Fault.at(row, column, number + " is not " + who.name() + "'s."));
      return null;
    }
    boolean goods = in.draft.kind() == PaperKind.RECEIPT || !comesLater;
    boolean order =
        first.kind() == PaperKind.PURCHASE_ORDER || first.kind() == PaperKind.SALES_ORDER;
    if (order && goods && date != null && date.isBefore(first.date())) {
      in.faults.add(
          Fault.at(
              row, column, number + " is of " + first.date() + "; its goods cannot come before."));
      return null;
    }
    if (order && !first.order().open()) {
      in.faults.add(Fault.at(row, column, number + " is not approved yet."));
      return null;
    }
    found.stream()
        .filter(
            a ->
                a.item().id() == item.id()
                    && (in.draft.kind() == PaperKind.RECEIPT
                        ? a.what() == Awaits.ORDERED_GOODS
                            || a.what() == Awaits.BILLED_GOODS && first.kind() == PaperKind.BILL
                        : a.what() == Awaits.RECEIVED_BILL
                            || a.what() == Awaits.ORDERED_BILL
                            || a.what() == Awaits.PROMISED_INVOICE))
        .findFirst()
        .ifPresent(a -> in.awaited(row, say(item, Math.max(0, open(a)))));
    return found;
  }

  /** Of an order's lines; what is over, or not on it, is asked about. */
  private List<Flow.Portion> ordered(
      int row, Item item, long micros, List<Awaited> named, Awaits what, String done) {
    List<Awaited> lines = some(named, what, item);
    String number = in.draft.cell(row, "of");
    if (lines.isEmpty()) {
      in.ask("rows." + row + ".item", item.name() + " is not on " + number + ".");
      return List.of();
    }
    long open = lines.stream().mapToLong(l -> Math.max(0, open(l))).sum();
    long ordered = lines.stream().mapToLong(Awaited::quantity).sum();
    if (micros > open)
      in.ask(
          "rows." + row + ".quantity",
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
      Flow.Portion portion = take(lines.get(i), last ? left : Math.min(left, open(lines.get(i))));
      if (portion == null) continue;
      portions.add(portion);
      left -= portion.quantity();
    }
    return portions;
  }

  /** Goods of this kind wait for a bill from this supplier: is it the same ones? */
  private void notBilledYet(int row, Item item) {
    if (who == null || who.id() == 0) return;
    in.book.awaited(Awaits.RECEIVED_BILL, who.id(), item.id()).stream()
        .filter(a -> open(a) > 0)
        .findFirst()
        .ifPresent(
            a ->
                in.ask(
                    "rows." + row + ".of",
                    say(item, open(a))
                        + " of "
                        + item.name()
                        + " came with "
                        + a.number()
                        + " and are not billed yet. If these are the same, name that receipt;"
                        + " if not, more come with this bill."));
  }

  private void billedBefore(int row, Item item) {
    if (who == null || who.id() == 0) return;
    in.book.awaited(Awaits.BILLED_GOODS, who.id(), item.id()).stream()
        .filter(a -> open(a) > 0)
        .findFirst()
        .ifPresent(
            a ->
                in.ask(
                    "rows." + row + ".of",
                    say(item, open(a))
                        + " of "
                        + item.name()
                        + " are billed on "
                        + a.number()
                        + " and have not come. If these are the same, name that bill;"
                        + " if not, these wait for a bill of their own."));
  }

  /** Says by how much the bill differs from what was expected. */
  private void differences(
      int row,
      Item item,
      long micros,
      long net,
      List<Flow.Portion> before,
      List<Flow.Portion> ordered) {
    long received = before.stream().mapToLong(Flow.Portion::quantity).sum();
    if (received > 0) {
      long expected = before.stream().mapToLong(Flow.Portion::value).sum();
      Awaited receipt = before.get(0).of();
      boolean fromOrder =
          receipt.order().paper() != 0
              && Share.of(receipt.order().net(), received, receipt.order().quantity()) == expected;
      difference(
          row,
          item,
          received,
          Share.of(net, received, micros) - expected,
          fromOrder
              ? "the order, " + receipt.order().number()
              : "the receipt, " + receipt.number());
    }
    for (Flow.Portion portion : ordered) {
      Awaited line = portion.of();
      if (line.price() == null) continue;
      difference(
          row,
          item,
          portion.quantity(),
          Share.of(net, portion.quantity(), micros)
              - Share.of(line.net(), portion.quantity(), line.quantity()),
          "the order, " + line.number());
    }
  }

  private void difference(int row, Item item, long micros, long difference, String than) {
    if (difference == 0) return;
    int digits = in.book.rules().coin().digits();
    BigDecimal each = in.book.rules().coin().each(Math.abs(difference), micros);
    in.notes.add(
        Fault.at(
            row,
            "price",
            item.name()
                + " is billed "
                + Figures.grouped(each, digits)
                + (difference > 0 ? " over " : " under ")
                + than
                + ": "
                + in.say(Math.abs(difference))
                + (difference > 0 ? " more for " : " less for ")
                + say(item, micros)
                + "."));
  }
}
