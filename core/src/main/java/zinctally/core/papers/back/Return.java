package zinctally.core.papers.back;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import zinctally.core.cost.EventKind;
import zinctally.core.goods.Item;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.JournalLine;
import zinctally.core.ledger.Role;
import zinctally.core.number.Money;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Row;
import zinctally.core.papers.Sum;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Flow;
import zinctally.core.papers.flow.Numbered;
import zinctally.core.papers.flow.Traded;
import zinctally.core.papers.plan.Linking;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.plan.Stocking;
import zinctally.core.papers.stock.Reason;
import zinctally.core.papers.tax.Taxed;

/**
 * Goods that go back to the supplier they came from, or come back from the customer they went to,
 * for credit at the price of the first paper. To a supplier they leave at the cost of their own
 * arrival; what that differs from the credit is a purchase price difference. From a customer goods
 * come back at the cost at which they left. What was not billed or invoiced yet needs no credit: it
 * no longer waits for its bill or invoice. What was sent and comes back uninvoiced passes through
 * cost of goods sold both ways, so that later changes of its cost do too and leave nothing there.
 *
 * @param money gives the money back; null when it is credit
 */
public record Return(
    PaperKind kind,
    LocalDate date,
    Party who,
    String reference,
    String note,
    @Nullable Account money,
    Place place,
    List<Line> lines)
    implements Paper {
  /**
   * @param quantity base units, above zero
   * @param net minor units without tax: credit, or what no longer waits for a bill; zero for goods
   *     that were sent and not invoiced
   * @param drawn minor units that leave the account on which it waits for its bill or invoice; zero
   *     when it has one
   * @param tax minor units
   * @param reason null when none is given
   * @param goes where the goods go, or leave
   * @param thrown why they are thrown away at once, at the cost at which they left; null when they
   *     are kept
   */
  public record Line(
      int row,
      Item item,
      Quantity quantity,
      String unit,
      long net,
      long drawn,
      long tax,
      @Nullable ReturnReason reason,
      Place goes,
      @Nullable Reason thrown,
      List<Part> parts) {
    /** The line they came or went with. */
    public Traded of() {
      return parts.get(0).of();
    }

    private Line at(Place made) {
      return new Line(row, item, quantity, unit, net, drawn, tax, reason, made, thrown, parts);
    }

    boolean unbilled() {
      return of().unbilled() != null;
    }
  }

  /**
   * Some of what came or went together.
   *
   * @param quantity millionths
   * @param numbers which of them, of a tracked item
   */
  public record Part(Traded of, long quantity, List<Numbered> numbers) {}

  private boolean toSupplier() {
    return kind == PaperKind.SUPPLIER_RETURN;
  }

  @Override
  public Paper withPlaces(UnaryOperator<Place> made) {
    List<Line> there = lines.stream().map(l -> l.at(made.apply(l.goes))).toList();
    return new Return(kind, date, who, reference, note, money, place, there);
  }

  @Override
  public Optional<Party> party() {
    return Optional.of(who);
  }

  /** Minor units to be credited, without tax. */
  public long net() {
    return lines.stream().filter(l -> !l.unbilled()).mapToLong(Line::net).reduce(0, Math::addExact);
  }

  public long tax() {
    return lines.stream().mapToLong(Line::tax).reduce(0, Math::addExact);
  }

  @Override
  public long total() {
    return Math.addExact(net(), tax());
  }

  @Override
  public Head head() {
    return new Head(reference, null, place, net(), tax());
  }

  @Override
  public List<Row> rows() {
    return lines.stream()
        .map(
            l ->
                Row.of(l.row(), l.item())
                    .at(place)
                    .worded(l.of().number())
                    .of(l.quantity(), l.unit())
                    .worth(l.net(), l.tax(), l.of().rate())
                    .from(new Row.From(l.of().paper(), l.of().line()))
                    .because(l.reason()))
        .toList();
  }

  /** What was not billed yet bore no tax. */
  @Override
  public List<Taxed> taxed() {
    Set<Integer> unbilled =
        lines.stream().filter(Line::unbilled).map(Line::row).collect(Collectors.toSet());
    return Taxed.of(
        toSupplier() ? Role.PURCHASE_TAX : Role.SALES_TAX,
        -1,
        rows().stream().filter(r -> !unbilled.contains(r.line())).toList());
  }

  @Override
  public List<Sum> sums() {
    return Sum.of("Credit", net(), tax());
  }

  /** A return is the seller's of whom it takes back. */
  @Override
  public long soldWith() {
    return lines.isEmpty() ? 0 : lines.get(0).of().paper();
  }

  @Override
  public Plan plan(Catalogue book) {
    int sign = toSupplier() ? 1 : -1;
    long differences = book.account(Role.PRICE_DIFFERENCES).id();
    Stocking stock = new Stocking();
    Linking links = new Linking(this, who, book);
    List<JournalLine> known = links.known;
    Map<TaxRate, Long> taxes = new LinkedHashMap<>();
    EventKind event = toSupplier() ? EventKind.OUT : EventKind.BACK;
    for (Line line : lines) {
      long contra = toSupplier() ? differences : line.item().costAccount();
      for (int i = 0; i < line.parts().size(); i++) {
        Part part = line.parts().get(i);
        stock.back(
            line.row(),
            i,
            event,
            line.item(),
            line.goes(),
            part.quantity(),
            part.of().event(),
            contra,
            part.numbers());
        if (line.thrown() != null)
          stock.outAgain(
              line.row(),
              i,
              line.parts().size(),
              line.item(),
              line.goes(),
              part.quantity(),
              line.thrown().account(),
              part.numbers());
      }
      if (line.tax() != 0) taxes.merge(line.of().rate(), line.tax(), Math::addExact);
      if (line.unbilled()) ends(line, links);
    }
    long owed = sign * total();
    Role control = toSupplier() ? Role.PAYABLES : Role.RECEIVABLES;
    Role tax = toSupplier() ? Role.PURCHASE_TAX : Role.SALES_TAX;
    long other = toSupplier() ? differences : book.account(Role.SALES_RETURNS).id();
    known.add(
        money == null
            ? new JournalLine(book.account(control).id(), 0, who.id(), new Money(owed), note)
            : new JournalLine(money.id(), 0, 0, new Money(owed), note));
    taxes.forEach(
        (rate, sum) ->
            known.add(
                new JournalLine(
                    book.account(tax).id(), 0, 0, new Money(-sign * sum), rate.code())));
    for (Line line : lines)
      known.add(
          new JournalLine(other, line.item().id(), 0, new Money(-sign * line.net()), "")
              .of(line.row()));
    List<Plan.Due> dues =
        owed == 0 || money != null
            ? List.of()
            : List.of(new Plan.Due(who.id(), reference, date, date, new Money(owed), who));
    return new Plan(stock.events, stock.moves, known, dues, List.of(), List.of(), links.fills);
  }

  /** What a line no longer waits for: the bill of goods that came, the invoice of goods sent. */
  private void ends(Line line, Linking links) {
    Awaited waits = Objects.requireNonNull(line.of().unbilled());
    Item item = line.item();
    long micros = line.quantity().micros();
    links.fill(line.row(), waits, micros, line.drawn());
    if (toSupplier()) {
      links.between(Role.RECEIVED_NOT_BILLED, item, line.drawn(), waits.number());
      return;
    }
    links.between(Role.SENT_NOT_INVOICED, item, -line.drawn(), waits.number());
    links.known.add(
        new JournalLine(item.costAccount(), item.id(), 0, new Money(line.drawn()), waits.number())
            .of(line.row()));
    links.bill(line.row(), new Flow.Portion(waits, micros, line.drawn()));
  }
}
