package zinctally.core.papers.move;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Numbered;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.plan.Stocking;

/**
 * Goods that go from one place to another, or are in another condition from now on. Whosever they
 * are, they are worth the same wherever and however they are, so it changes no cost and writes
 * nothing into the ledger.
 *
 * @param place where they are, and how
 * @param into where they go, and how they are there
 * @param way where they are until somebody there says that they have come; null when they are there
 *     at once
 */
public record Transfer(
    LocalDate date, Place place, Place into, @Nullable Place way, String note, List<Line> lines)
    implements Paper {
  /**
   * @param quantity base units, above zero
   * @param numbers lots or serial numbers that go; empty for an item without
   */
  public record Line(
      int row, Item item, Quantity quantity, String unit, String memo, List<Numbered> numbers) {}

  @Override
  public Paper withPlaces(UnaryOperator<Place> made) {
    return new Transfer(
        date,
        made.apply(place),
        made.apply(into),
        way == null ? null : made.apply(way),
        note,
        lines);
  }

  @Override
  public PaperKind kind() {
    return PaperKind.TRANSFER;
  }

  @Override
  public long total() {
    return 0;
  }

  @Override
  public Head head() {
    return new Head("", null, place, 0, 0);
  }

  @Override
  public List<Row> rows() {
    return lines.stream()
        .map(l -> Row.of(l.row(), l.item()).at(into).worded(l.memo()).of(l.quantity(), l.unit()))
        .toList();
  }

  private Place next() {
    return way == null ? into : way;
  }

  @Override
  public List<Carried> carried() {
    return lines.stream().map(l -> new Carried(l.item(), place, next(), l.quantity())).toList();
  }

  @Override
  public Plan plan(Catalogue book) {
    Stocking stock = new Stocking();
    List<Plan.Wait> awaits = new ArrayList<>();
    for (Line line : lines) {
      stock.across(
          line.row(), line.item(), place, next(), line.quantity().micros(), line.numbers());
      if (way != null)
        awaits.add(
            new Plan.Wait(
                line.row(),
                Awaits.ON_THE_WAY,
                line.item().id(),
                0,
                line.quantity(),
                Optional.of(Money.ZERO),
                0,
                0));
    }
    return new Plan(List.of(), stock.moves, List.of(), List.of(), List.of(), awaits, List.of());
  }
}
