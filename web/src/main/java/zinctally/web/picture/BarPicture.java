package zinctally.web.picture;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.oned.Code128Writer;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Base64;
import javax.imageio.ImageIO;

/**
 * A barcode (ISO/IEC 15417, Code 128) as a picture for paper.
 *
 * @param png empty for a text that has none
 */
public record BarPicture(byte[] png) {
  private static final int LONGEST = 40;
  private static final int MODULE = 3; // dots, so that it stays sharp
  private static final int HEIGHT = 48;
  private static final int WHITE = 0xffffff;

  /** Of a text of letters, digits and signs of ASCII; none for any other. */
  public static BarPicture of(String text) {
    if (text.isEmpty()
        || !text.chars().allMatch(c -> c >= ' ' && c < 127)
        || text.length() > LONGEST) return new BarPicture(new byte[0]);
    BitMatrix bars = new Code128Writer().encode(text, BarcodeFormat.CODE_128, 0, 1);
    BufferedImage picture =
        new BufferedImage(bars.getWidth() * MODULE, HEIGHT, BufferedImage.TYPE_BYTE_BINARY);
    for (int x = 0; x < picture.getWidth(); x++)
      for (int y = 0; y < HEIGHT; y++) if (!bars.get(x / MODULE, 0)) picture.setRGB(x, y, WHITE);
    try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
      ImageIO.write(picture, "png", out);
      return new BarPicture(out.toByteArray());
    } catch (IOException never) {
      throw new UncheckedIOException(never);
    }
  }

  /** Whether there is anything to be drawn. */
  public boolean drawn() {
    return png.length > 0;
  }

  /** The picture in the address of itself. */
  public String src() {
    return "data:image/png;base64," + Base64.getEncoder().encodeToString(png);
  }
}
