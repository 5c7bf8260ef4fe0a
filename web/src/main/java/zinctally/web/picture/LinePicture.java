package zinctally.web.picture;

import java.util.List;
import java.util.Locale;

/**
 * A line over time, as points for SVG.
 *
 * @param line points of the line
 * @param area the same, closed along the bottom
 * @param least the value at its foot
 * @param most the value at its top
 */
public record LinePicture(String line, String area, int width, int height, long least, long most) {
  private static final int EDGE = 1;

  /** Scales values into the box; a single value becomes a level line. */
  public static LinePicture of(List<Long> values, int width, int height) {
    if (values.isEmpty()) return new LinePicture("", "", width, height, 0, 0);
    long most = values.stream().mapToLong(Long::longValue).max().orElse(0);
    long least = Math.min(0, values.stream().mapToLong(Long::longValue).min().orElse(0));
    return of(values, least, most, width, height);
  }

  /** Scales values into the box between two bounds. */
  public static LinePicture of(List<Long> values, long least, long most, int width, int height) {
    List<Long> all = values.size() == 1 ? List.of(values.get(0), values.get(0)) : values;
    double span = Math.max(1, most - least);
    StringBuilder points = new StringBuilder();
    for (int i = 0; i < all.size(); i++) {
      double x = i * (double) width / (all.size() - 1);
      double y = EDGE + (height - 2 * EDGE) * (1 - (all.get(i) - least) / span);
      points.append(String.format(Locale.ROOT, "%s%.1f,%.1f", i == 0 ? "" : " ", x, y));
    }
    String area = "0," + height + " " + points + " " + width + "," + height;
    return new LinePicture(points.toString(), area, width, height, least, most);
  }
}
