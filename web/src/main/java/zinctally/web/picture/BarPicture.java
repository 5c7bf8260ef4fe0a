package zinctally.web.picture;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.oned.Code128Writer;

/**
 * A barcode (ISO/IEC 15417, Code 128) as a path to be drawn, one unit high.
 *
 * @param width in modules, quiet zones included
 * @param path the dark bars
 */
public record BarPicture(int width, String path) {
  private static final int QUIET = 10; // ISO/IEC 15417: ten modules on each side

  /** Of a text of letters, digits and signs of ASCII; none for any other. */
  public static BarPicture of(String text) {
    if (text.isEmpty() || !text.chars().allMatch(c -> c >= ' ' && c < 127) || text.length() > 40)
      return new BarPicture(0, "");
    BitMatrix bars = new Code128Writer().encode(text, BarcodeFormat.CODE_128, 0, 1);
    int first = 0;
    while (!bars.get(first, 0)) first++;
    StringBuilder path = new StringBuilder();
    int last = first;
    for (int x = first; x < bars.getWidth(); x++)
      if (bars.get(x, 0)) {
        path.append("M%d 0h1v1h-1z".formatted(x - first + QUIET));
        last = x;
      }
    return new BarPicture(last - first + 1 + 2 * QUIET, path.toString());
  }

  /** Whether there is anything to be drawn. */
  public boolean drawn() {
    return width > 0;
  }
}
