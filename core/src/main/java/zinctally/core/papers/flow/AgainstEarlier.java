package zinctally.core.papers.flow;

import java.math.BigDecimal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.number.Figures;
import zinctally.core.number.Quantity;
import zinctally.core.number.Share;
import zinctally.core.papers.Party;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;

/** What is said of a line beside the earlier papers it goes on from, or might. */
final class AgainstEarlier {
  private final Reader in;

  private final Trading way;
  private final @Nullable Party who;
  private final Drawing drawing;

  AgainstEarlier(Reader in, Trading way, @Nullable Party who, Drawing drawing) {
    this.in = in;
    this.way = way;
    this.who = who;
    this.drawing = drawing;
  }

  /**
   * Says by how much a bill or invoice differs from what was expected.
   *
   * @param before what it is for of goods that moved first
   * @param ordered what it is for of orders
   */
  void differences(
      RowReader row,
      Item item,
      long micros,
      long net,
      List<Flow.Portion> before,
      List<Flow.Portion> ordered) {
    long received = Drawing.quantity(before);
    if (received > 0 && way.buying()) {
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

  private void difference(RowReader row, Item item, long micros, long difference, String than) {
    if (difference == 0) return;
    int digits = in.book.rules().coin().digits();
    BigDecimal each = in.book.rules().coin().each(Math.abs(difference), micros);
    row.note(
        "price",
        item.name()
            + (way.buying() ? " is billed " : " is invoiced ")
            + Figures.grouped(each, digits)
            + (difference > 0 ? " over " : " under ")
            + than
            + ": "
            + in.say(Math.abs(difference))
            + (difference > 0 ? " more for " : " less for ")
            + item.units().say(new Quantity(micros))
            + ".");
  }

  /** Goods of this kind wait for a bill, or a bill for its goods: are these the same? */
  void perhapsTheSame(RowReader row, Item item, Awaits what, String waits, String otherwise) {
    if (who == null || who.id() == 0) return;
    in.book.awaited(what, who.id(), item.id()).stream()
        .filter(a -> drawing.open(a) > 0)
        .findFirst()
        .ifPresent(
            a ->
                row.ask(
                    "of",
                    item.units().say(new Quantity(drawing.open(a)))
                        + " of "
                        + item.name()
                        + waits.formatted(a.number())
                        + " If these are the same, name that paper; if not, "
                        + otherwise));
  }
}
