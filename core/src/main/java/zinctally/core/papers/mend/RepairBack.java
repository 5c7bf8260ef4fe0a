package zinctally.core.papers.mend;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import zinctally.core.ledger.Account;
import zinctally.core.number.Money;
import zinctally.core.papers.Carried;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Row;
import zinctally.core.papers.Sum;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.move.Moved;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.plan.Stocking;
import zinctally.core.papers.stock.Reason;

/**
 * What comes back from repair, good or not, and what is scrap. What mending costs is an expense, or
 * belongs to the goods from the day they are back (IAS 2 paragraph 10: costs of bringing them to
 * their present condition); then what left before that day bears nothing of it.
 *
 * @param bench where they were
 * @param intoGoods whether what mending costs, now or by a bill to come, belongs to the goods
 * @param account from which what it costs now is taken; null when none of it is known yet
 */
public record RepairBack(
    LocalDate date, Place bench, boolean intoGoods, @Nullable Account account, List<Line> lines)
    implements Paper {
  /**
   * @param of what the line of the paper awaits with which it went out
   * @param into where it comes to, and in what standing; null when it is scrap
   * @param scrap why it is written off; null when it comes back
   * @param charge minor units of what mending it costs that are added to it
   */
  public record Line(
      Moved goods, Awaited of, @Nullable Place into, @Nullable Reason scrap, long charge) {
    private Place place() {
      return Objects.requireNonNull(into);
    }
  }

  @Override
  public PaperKind kind() {
    return PaperKind.REPAIR_BACK;
  }

  /** Who mended; nobody when it was the bench of the house. */
  @Override
  public Optional<Party> party() {
    return Optional.ofNullable(bench.host());
  }

  @Override
  public Paper withPlaces(UnaryOperator<Place> made) {
    List<Line> there =
        lines.stream()
            .map(
                l ->
                    l.into == null
                        ? l
                        : new Line(l.goods, l.of, made.apply(l.into), null, l.charge))
            .toList();
    return new RepairBack(date, made.apply(bench), intoGoods, account, there);
  }

  @Override
  public long total() {
    return lines.stream().mapToLong(Line::charge).reduce(0, Math::addExact);
  }

  @Override
  public Head head() {
    return new Head("", null, bench, total(), 0);
  }

  @Override
  public List<Row> rows() {
    return lines.stream().map(this::row).toList();
  }

  private Row row(Line line) {
    Moved goods = line.goods;
    if (line.scrap == null) return goods.at(line.place()).worth(line.charge);
    return goods
        .at(bench)
        .on(line.scrap.account())
        .worded(line.scrap.name() + (goods.memo().isEmpty() ? "" : ": " + goods.memo()))
        .of(goods.quantity().negated(), goods.unit());
  }

  @Override
  public List<Carried> carried() {
    return lines.stream()
        .map(l -> new Carried(l.goods.item(), bench, l.into, l.goods.quantity()))
        .toList();
  }

  @Override
  public List<Sum> sums() {
    return total() == 0 ? List.of() : List.of(new Sum("Mending, added to the goods", total()));
  }

  @Override
  public Plan plan(Catalogue book) {
    Stocking stock = new Stocking();
    List<Plan.Fill> fills = new ArrayList<>();
    for (Line line : lines) {
      Moved goods = line.goods;
      if (line.scrap != null)
        stock.out(
            goods.row(),
            0,
            goods.item(),
            bench,
            goods.quantity().micros(),
            line.scrap.account(),
            goods.numbers());
      else {
        goods.across(stock, bench, line.place());
        if (intoGoods)
          stock.anew(
              goods.row(),
              goods.item(),
              goods.quantity().micros(),
              line.charge,
              account == null ? 0 : account.id(),
              goods.numbers());
      }
      fills.add(new Plan.Fill(goods.row(), line.of.id(), goods.quantity(), Money.ZERO, date));
    }
    return new Plan(stock.events, stock.moves, List.of(), List.of(), List.of(), List.of(), fills);
  }
}
