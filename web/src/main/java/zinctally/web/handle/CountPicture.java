package zinctally.web.handle;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import zinctally.store.count.CountLine;

/**
 * The largest differences of a count as bars: what is missing to the left of a line, what is over
 * to its right.
 *
 * @param zero where the line stands
 */
record CountPicture(List<Bar> bars, String zero, int width, int height) {
  private static final int MOST = 12;
  private static final int ROW = 22;
  private static final int WIDTH = 700;
  private static final int NAMES = 280;
  private static final int FIGURES = 80;

  /**
   * @param y middle of its row
   * @param value minor units
   * @param end where its figure stands, and whether it stands left of that
   */
  record Bar(String name, long value, String x, String width, int y, String end, boolean left) {}

  static CountPicture of(List<CountLine> apart) {
    List<CountLine> largest =
        apart.stream()
            .filter(l -> l.value() != 0)
            .sorted(Comparator.comparingLong((CountLine l) -> -Math.abs(l.value())))
            .limit(MOST)
            .toList();
    long over = largest.stream().mapToLong(CountLine::value).max().orElse(0);
    long missing = -largest.stream().mapToLong(CountLine::value).min().orElse(0);
    over = Math.max(0, over);
    missing = Math.max(0, missing);
    double unit = (WIDTH - NAMES - 2.0 * FIGURES) / Math.max(1, over + missing);
    double zero = NAMES + FIGURES + missing * unit;
    int[] row = {0};
    List<Bar> bars =
        largest.stream()
            .map(
                l -> {
                  double wide = Math.abs(l.value()) * unit;
                  double x = l.value() < 0 ? zero - wide : zero;
                  boolean left = l.value() < 0;
                  double end = left ? x - 6 : x + wide + 6;
                  return new Bar(
                      shortened(l.label()),
                      l.value(),
                      number(x),
                      number(Math.max(1, wide)),
                      ROW * row[0]++ + ROW / 2,
                      number(end),
                      left);
                })
            .toList();
    return new CountPicture(bars, number(zero), WIDTH, ROW * Math.max(1, bars.size()));
  }

  private static String shortened(String name) {
    return name.length() > 38 ? name.substring(0, 37) + "…" : name;
  }

  private static String number(double value) {
    return String.format(Locale.ROOT, "%.1f", value);
  }
}
