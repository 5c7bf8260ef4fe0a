package zinctally.core.papers.consign;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.goods.ItemGroup;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Row;
import zinctally.core.papers.plan.Plan;

/**
 * What is agreed with a supplier about goods on consignment, from a day on. It moves and books
 * nothing; a later one takes the place of an earlier one for what it names.
 */
public record Agreement(LocalDate date, Party who, String note, List<Line> lines) implements Paper {
  /**
   * @param item null for a group, or for all there is
   * @param group null for an item, or for all there is
   * @param says the terms in words
   */
  public record Line(
      int row, @Nullable Item item, @Nullable ItemGroup group, Terms terms, String says) {}

  @Override
  public PaperKind kind() {
    return PaperKind.AGREEMENT;
  }

  @Override
  public Optional<Party> party() {
    return Optional.of(who);
  }

  @Override
  public Paper withParties(UnaryOperator<Party> made) {
    return new Agreement(date, made.apply(who), note, lines);
  }

  /** It asks for no money. */
  @Override
  public long total() {
    return 0;
  }

  @Override
  public Head head() {
    return Head.of(0);
  }

  @Override
  public List<Row> rows() {
    return lines.stream()
        .map(
            l ->
                Row.of(l.row, l.item)
                    .worded(
                        l.item != null
                            ? l.says
                            : (l.group == null ? "Everything" : "All of " + l.group.name())
                                + ": "
                                + l.says))
        .toList();
  }

  @Override
  public Plan plan(Catalogue book) {
    return Plan.NOTHING;
  }
}
