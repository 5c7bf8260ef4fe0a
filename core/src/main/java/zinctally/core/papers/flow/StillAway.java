package zinctally.core.papers.flow;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;

/** What went away with an earlier paper and comes back, or arrives, line by line. */
public final class StillAway {
  private final String paper;
  private final Words words;
  private final List<Awaited> away;
  private final Map<Long, Long> taken = new HashMap<>();

  /**
   * What is said when something is wrong.
   *
   * @param which asks for the paper's number
   * @param nothing of that number is away, as in {@code nothing was sent}
   * @param went as in {@code sent}
   * @param still where it is, as in {@code on the way}
   */
  public record Words(String which, String nothing, String went, String still) {}

  private StillAway(String paper, Words words, List<Awaited> away) {
    this.paper = paper;
    this.words = words;
    this.away = away;
  }

  /**
   * @param field names the earlier paper
   * @param date on which it comes; null when that is wrong
   */
  public static StillAway with(
      Reader in, String field, Awaits what, @Nullable LocalDate date, Words words) {
    String paper = in.draft.field(field);
    List<Awaited> away =
        paper.isEmpty()
            ? List.of()
            : in.book.awaited(paper).stream().filter(a -> a.what() == what).toList();
    if (away.isEmpty())
      in.fault(
          field, paper.isEmpty() ? words.which : "With \"" + paper + "\" " + words.nothing + ".");
    else if (date != null && date.isBefore(away.get(0).date()))
      in.fault(
          "date",
          "They were " + words.went + " on " + away.get(0).date() + "; they cannot come before.");
    return new StillAway(paper, words, away);
  }

  public boolean isNothing() {
    return away.isEmpty();
  }

  /** The earlier paper's line it is of: the first with as much still away. */
  public Optional<Awaited> take(RowReader row, Item item, long micros) {
    List<Awaited> alike = away.stream().filter(a -> a.item().id() == item.id()).toList();
    Optional<Awaited> enough = alike.stream().filter(a -> left(a) >= micros).findFirst();
    if (alike.isEmpty())
      row.fault("item", item.name() + " was not " + words.went + " with " + paper + ".");
    else if (enough.isEmpty())
      row.fault(
          "quantity",
          item.units().say(new Quantity(Math.max(0, alike.stream().mapToLong(this::left).sum())))
              + " are "
              + words.still
              + " with "
              + paper
              + "; what was there besides is an adjustment.");
    enough.ifPresent(a -> taken.merge(a.id(), micros, Long::sum));
    return enough;
  }

  private long left(Awaited one) {
    return one.openQuantity() - taken.getOrDefault(one.id(), 0L);
  }
}
