package zinctally.web.paper;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import zinctally.core.number.Quantity;
import zinctally.store.paper.PostedPaper;

/** Files of labels for what came with a paper, so many to a file. */
public final class LabelSheets {
  /** So many labels are in one file at most. */
  public static final int MOST = 600;

  private LabelSheets() {}

  /**
   * One file of them.
   *
   * @param from how many are in those before
   * @param words what leads to it
   */
  public record Sheet(int from, String words) {}

  /** The files with a label for each piece that came with a paper. */
  static List<Sheet> of(PostedPaper paper) {
    Map<Long, Long> micros =
        paper.lines().stream()
            .collect(
                Collectors.groupingBy(
                    PostedPaper.Line::item, Collectors.summingLong(l -> l.measure().micros())));
    long pieces = micros.values().stream().mapToLong(m -> -Math.floorDiv(-m, Quantity.ONE)).sum();
    if (pieces <= MOST) return List.of(new Sheet(0, "Labels"));
    return IntStream.iterate(0, from -> from < pieces, from -> from + MOST)
        .mapToObj(
            from ->
                new Sheet(
                    from, "Labels %d to %d".formatted(from + 1, Math.min(from + MOST, pieces))))
        .toList();
  }
}
