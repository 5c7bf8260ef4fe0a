package zinctally.core.papers.stock;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import zinctally.core.goods.Item;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Row;
import zinctally.core.papers.plan.Plan;

/**
 * Items whose pools are worked out again from their first event, so that every paper is booked at
 * the cost that a replay gives. What differs is posted as for any late paper; it moves no goods.
 */
public record Recosting(LocalDate date, List<Item> items, String why) implements Paper {
  @Override
  public PaperKind kind() {
    return PaperKind.RECOSTING;
  }

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
    return IntStream.range(0, items.size())
        .mapToObj(i -> Row.of(i, items.get(i)).worded(why))
        .toList();
  }

  @Override
  public Plan plan(Catalogue book) {
    return Plan.again(items.stream().map(Item::id).toList());
  }
}
