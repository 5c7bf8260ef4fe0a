package zinctally.core.papers.move;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.number.Money;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Carried;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Place;
import zinctally.core.papers.Row;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Numbered;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.plan.Stocking;
import zinctally.core.papers.stock.Reason;

/**
 * What came of goods that were sent from another place of ours, and what is lost of them. What
 * neither came nor is lost stays on the way. Only what is lost has a cost and an entry.
 *
 * @param way where they were
 * @param into where they came to
 */
public record Arrival(LocalDate date, Place way, Place into, List<Line> lines) implements Paper {
  /**
   * @param of what the transfer's line waits for
   * @param quantity base units, above zero
   * @param lost why it will not come any more; null when it came
   */
  public record Line(
      int row,
      Awaited of,
      Quantity quantity,
      String unit,
      @Nullable Reason lost,
      String memo,
      List<Numbered> numbers) {
    Item item() {
      return of.item();
    }
  }

  @Override
  public Paper withPlaces(UnaryOperator<Place> made) {
    return new Arrival(date, made.apply(way), made.apply(into), lines);
  }

  @Override
  public PaperKind kind() {
    return PaperKind.ARRIVAL;
  }

  @Override
  public long total() {
    return 0;
  }

  @Override
  public Head head() {
    return new Head("", null, into, 0, 0);
  }

  @Override
  public List<Row> rows() {
    return lines.stream().map(this::row).toList();
  }

  private Row row(Line line) {
    Row row = Row.of(line.row(), line.item()).worded(line.memo());
    return line.lost() == null
        ? row.at(into).of(line.quantity(), line.unit())
        : row.at(way)
            .on(line.lost().account())
            .worded(line.lost().name() + (line.memo().isEmpty() ? "" : ": " + line.memo()))
            .of(line.quantity().negated(), line.unit());
  }

  @Override
  public List<Carried> carried() {
    return lines.stream()
        .map(l -> new Carried(l.item(), way, l.lost() == null ? into : null, l.quantity()))
        .toList();
  }

  @Override
  public Plan plan(Catalogue book) {
    Stocking stock = new Stocking();
    List<Plan.Fill> fills = new ArrayList<>();
    for (Line line : lines) {
      long micros = line.quantity().micros();
      if (line.lost() == null)
        stock.across(line.row(), line.item(), way, into, micros, line.numbers());
      else
        stock.out(line.row(), 0, line.item(), way, micros, line.lost().account(), line.numbers());
      fills.add(new Plan.Fill(line.row(), line.of().id(), line.quantity(), Money.ZERO, date));
    }
    return new Plan(stock.events, stock.moves, List.of(), List.of(), List.of(), List.of(), fills);
  }
}
