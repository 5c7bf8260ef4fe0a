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

/** Makes PDF from templates, in the fonts of the screen; others know the letters they lack. */
@Component
public class PdfPages {
  private static final String OWN = "/fonts/";
  private static final String OTHERS = "/net/sf/jasperreports/fonts/dejavu/";
  private final TemplateEngine templates;

  PdfPages(TemplateEngine templates) {
    this.templates = templates;
  }

  public byte[] of(String template, Context context) throws IOException {
    return of(template, context, new PdfRendererBuilder());
  }

  /** Tagged, so that it can be read out: its template says a title and a language. */
  public byte[] tagged(String template, Context context) throws IOException {
    PdfRendererBuilder builder = new PdfRendererBuilder();
    builder.usePdfUaAccessibility(true);
    return of(template, context, builder);
  }

  private byte[] of(String template, Context context, PdfRendererBuilder builder)
      throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    builder.withHtmlContent(templates.process(template, context), null);
    builder.useUnicodeBidiSplitter(new ICUBidiSplitter.ICUBidiSplitterFactory());
    builder.useUnicodeBidiReorderer(new ICUBidiReorderer());
    builder.defaultTextDirection(PdfRendererBuilder.TextDirection.LTR);
    font(builder, OWN + "PublicSans-Regular.ttf", "Public Sans", 400);
    font(builder, OWN + "PublicSans-Bold.ttf", "Public Sans", 700);
    font(builder, OWN + "Literata-Regular.ttf", "Literata", 400);
    font(builder, OTHERS + "DejaVuSansCondensed.ttf", "DejaVu Sans Condensed", 400);
    font(builder, OTHERS + "DejaVuSansCondensed-Bold.ttf", "DejaVu Sans Condensed", 700);
    font(builder, OTHERS + "DejaVuSerif.ttf", "DejaVu Serif", 400);
    builder.toStream(out);
    builder.run();
    return out.toByteArray();
  }

  private static void font(PdfRendererBuilder builder, String file, String name, int weight) {
    builder.useFont(
        () -> PdfPages.class.getResourceAsStream(file), name, weight, FontStyle.NORMAL, true);
  }
}
