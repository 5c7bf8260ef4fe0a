package zinctally.web.picture;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import java.util.Map;

/**
 * A QR code (ISO/IEC 18004) as a path to be drawn.
 *
 * @param size modules on each side, quiet zone included
 * @param path the dark modules
 */
public record QrPicture(int size, String path) {
  private static final int QUIET = 4; // ISO/IEC 18004: the quiet zone is four modules wide

  public static QrPicture of(String text) {
    try {
      BitMatrix modules =
          new QRCodeWriter()
              .encode(text, BarcodeFormat.QR_CODE, 0, 0, Map.of(EncodeHintType.MARGIN, QUIET));
      StringBuilder path = new StringBuilder();
      for (int y = 0; y < modules.getHeight(); y++)
        for (int x = 0; x < modules.getWidth(); x++)
          if (modules.get(x, y)) path.append("M%d %dh1v1h-1z".formatted(x, y));
      return new QrPicture(modules.getWidth(), path.toString());
    } catch (WriterException tooLong) {
      throw new IllegalArgumentException(tooLong);
    }
  }
}
