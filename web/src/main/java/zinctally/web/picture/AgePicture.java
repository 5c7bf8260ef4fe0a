package zinctally.web.picture;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Bars for what is owed by age, as SVG wants them.
 *
 * @param bars one for each age
 */
public record AgePicture(List<Bar> bars, int width, int height) {
  private static final List<String> AGES =
      List.of("not due yet", "up to 30 days", "31 to 60", "61 to 90", "older");

  /**
   * @param x left edge, and width and height in the picture's units
   */
  public record Bar(String age, long amount, String x, String y, String width, String height) {}

  /** Amounts in minor units in the order of the ages; what is below zero has no bar. */
  public static AgePicture of(List<Long> amounts, int width, int height) {
    long most = Math.max(1, amounts.stream().mapToLong(Long::longValue).max().orElse(1));
    double step = width / (double) amounts.size();
    List<Bar> bars = new ArrayList<>();
    for (int i = 0; i < amounts.size(); i++) {
      double tall = Math.max(0, (height - 4) * (double) amounts.get(i) / most);
      bars.add(
          new Bar(
              AGES.get(i),
              amounts.get(i),
              number(i * step + 3),
              number(height - tall),
              number(step - 6),
              number(tall)));
    }
    return new AgePicture(bars, width, height);
  }

  /** All of it, minor units. */
  public long sum() {
    return bars.stream().mapToLong(Bar::amount).sum();
  }

  private static String number(double value) {
    return String.format(Locale.ROOT, "%.1f", value);
  }
}
