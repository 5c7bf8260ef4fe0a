package zinctally.web.shell;

import com.openhtmltopdf.bidi.support.ICUBidiReorderer;
import com.openhtmltopdf.bidi.support.ICUBidiSplitter;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import org.springframework.stereotype.Component;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;

/** Makes PDF from templates, with fonts of its own that know more than Western letters. */
@Component
public class PdfPages {
  private static final String FONTS = "/net/sf/jasperreports/fonts/dejavu/";
  private final TemplateEngine templates;

  PdfPages(TemplateEngine templates) {
    this.templates = templates;
  }

  public byte[] of(String template, Context context) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    PdfRendererBuilder builder = new PdfRendererBuilder();
    builder.withHtmlContent(templates.process(template, context), null);
    builder.useUnicodeBidiSplitter(new ICUBidiSplitter.ICUBidiSplitterFactory());
    builder.useUnicodeBidiReorderer(new ICUBidiReorderer());
    builder.defaultTextDirection(PdfRendererBuilder.TextDirection.LTR);
    font(builder, "DejaVuSansCondensed.ttf", "DejaVu Sans Condensed", 400);
    font(builder, "DejaVuSansCondensed-Bold.ttf", "DejaVu Sans Condensed", 700);
    font(builder, "DejaVuSerif.ttf", "DejaVu Serif", 400);
    builder.toStream(out);
    builder.run();
    return out.toByteArray();
  }

  private static void font(PdfRendererBuilder builder, String file, String name, int weight) {
    builder.useFont(
        () -> PdfPages.class.getResourceAsStream(FONTS + file),
        name,
        weight,
        FontStyle.NORMAL,
        true);
  }
}
