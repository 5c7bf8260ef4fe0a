package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.text.Normalizer;

/** What a PDF says, read back by Poppler, which has no part in writing it. */
final class PdfText {
  private PdfText() {}

  /** The text of a PDF that the signed-in person fetches; letters set as one are two again. */
  static String at(Page page, String url) throws Exception {
    Path file = Files.createTempFile("zinc", ".pdf");
    try {
      Files.write(file, page.request().get(url).body());
      Process reader =
          new ProcessBuilder("pdftotext", "-layout", "-enc", "UTF-8", file.toString(), "-")
              .redirectErrorStream(true)
              .start();
      String text = new String(reader.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      assertThat(reader.waitFor()).as(text).isZero();
      return Normalizer.normalize(text, Normalizer.Form.NFKC);
    } finally {
      Files.delete(file);
    }
  }
}
