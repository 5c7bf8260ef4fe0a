package zinctally.web.listing;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import zinctally.web.picture.LinePicture;
import zinctally.web.shell.Say;

/**
 * A small picture of twelve months in a row.
 *
 * @param words the same, for who does not see it
 */
record Trend(LinePicture line, String words) {
  private static final int MONTHS = 12;
  private static final int WIDTH = 84;
  private static final int HEIGHT = 18;

  /**
   * @param value what stands now, and for each month how long ago it was and what it changed:
   *     {@code 40,1:-5,0:10}
   */
  static Trend of(String value, Say say) {
    String[] parts = value.split(",");
    Map<Integer, Long> changes = new HashMap<>();
    long now = Long.parseLong(parts[0]);
    for (int i = 1; i < parts.length; i++) {
      String[] change = parts[i].split(":");
      int ago = Integer.parseInt(change[0]);
      if (ago < 0) now -= Long.parseLong(change[1]); // of months to come
      else changes.merge(ago, Long.parseLong(change[1]), Long::sum);
    }
    List<Long> ends = new ArrayList<>();
    for (int ago = 0; ago < MONTHS; ago++) {
      ends.add(now);
      now -= changes.getOrDefault(ago, 0L);
    }
    Collections.reverse(ends);
    String words =
        "a year ago "
            + say.quantity(ends.get(0))
            + ", most "
            + say.quantity(Collections.max(ends))
            + ", now "
            + say.quantity(ends.get(MONTHS - 1));
    return new Trend(LinePicture.of(ends, WIDTH, HEIGHT), words);
  }
}
