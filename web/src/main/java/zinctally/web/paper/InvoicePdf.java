package zinctally.web.paper;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import org.springframework.stereotype.Component;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;
import zinctally.store.book.BookStore;
import zinctally.store.paper.PostedPaper;
import zinctally.web.shell.Say;

/** An invoice as a PDF, with fonts of its own that know more than Western letters. */
@Component
class InvoicePdf {
  private static final String FONTS = "/net/sf/jasperreports/fonts/dejavu/";
  private final TemplateEngine templates;
  private final BookStore books;
  private final Say say;

  InvoicePdf(TemplateEngine templates, BookStore books, Say say) {
    this.templates = templates;
    this.books = books;
    this.say = say;
  }

  byte[] invoice(PostedPaper paper) throws IOException {
    Context context = new Context();
    context.setVariable("paper", paper);
    context.setVariable("book", books.book());
    context.setVariable("say", say);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    PdfRendererBuilder builder = new PdfRendererBuilder();
    builder.withHtmlContent(templates.process("paper/invoice-pdf", context), null);
    font(builder, "DejaVuSansCondensed.ttf", "DejaVu Sans Condensed", 400);
    font(builder, "DejaVuSansCondensed-Bold.ttf", "DejaVu Sans Condensed", 700);
    font(builder, "DejaVuSerif.ttf", "DejaVu Serif", 400);
    builder.toStream(out);
    builder.run();
    return out.toByteArray();
  }

  private static void font(PdfRendererBuilder builder, String file, String name, int weight) {
    builder.useFont(
        () -> InvoicePdf.class.getResourceAsStream(FONTS + file),
        name,
        weight,
        FontStyle.NORMAL,
        true);
  }
}
