package zinctally.web.picture;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.oned.Code128Reader;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Read back by the reader of a barcode library (ZXing). */
class BarPictureTest {
  @ParameterizedTest
  @ValueSource(strings = {"JAR-34", "4006381333931", "EX 0061/a"})
  void a_scanner_reads_what_was_drawn(String text) throws Exception {
    BufferedImage picture = ImageIO.read(new ByteArrayInputStream(BarPicture.of(text).png()));
    int[] dots =
        picture.getRGB(0, 0, picture.getWidth(), picture.getHeight(), null, 0, picture.getWidth());
    assertThat(
            new Code128Reader()
                .decode(
                    new BinaryBitmap(
                        new HybridBinarizer(
                            new RGBLuminanceSource(picture.getWidth(), picture.getHeight(), dots))))
                .getText())
        .isEqualTo(text);
  }

  @Test
  void what_a_barcode_cannot_hold_has_none() {
    assertThat(BarPicture.of("").drawn()).isFalse();
    assertThat(BarPicture.of("Bürste").drawn()).isFalse();
  }
}
