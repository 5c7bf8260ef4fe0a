package zinctally.web.paper;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;
import zinctally.store.book.BookStore;
import zinctally.store.buy.OrderStore;
import zinctally.store.buy.SupplierStore;
import zinctally.store.paper.PostedPaper;
import zinctally.web.shell.Say;

/** Papers to hand over as PDF, with fonts of its own that know more than Western letters. */
@Component
class PaperPdf {
  private static final String FONTS = "/net/sf/jasperreports/fonts/dejavu/";
  private final TemplateEngine templates;
  private final BookStore books;
  private final Say say;

  PaperPdf(TemplateEngine templates, BookStore books, Say say) {
    this.templates = templates;
    this.books = books;
    this.say = say;
  }

  byte[] invoice(PostedPaper paper) throws IOException {
    return pdf("paper/invoice-pdf", new Context(), paper);
  }

  /**
   * @param supplier empty for a customer's order
   */
  byte[] order(PostedPaper paper, OrderStore.Head order, Optional<SupplierStore.Card> supplier)
      throws IOException {
    Context context = new Context();
    context.setVariable("order", order);
    context.setVariable("supplier", supplier.orElse(null));
    return pdf("paper/order-pdf", context, paper);
  }

  private byte[] pdf(String template, Context context, PostedPaper paper) throws IOException {
    context.setVariable("paper", paper);
    context.setVariable("book", books.book());
    context.setVariable("say", say);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    PdfRendererBuilder builder = new PdfRendererBuilder();
    builder.withHtmlContent(templates.process(template, context), null);
    font(builder, "DejaVuSansCondensed.ttf", "DejaVu Sans Condensed", 400);
    font(builder, "DejaVuSansCondensed-Bold.ttf", "DejaVu Sans Condensed", 700);
    font(builder, "DejaVuSerif.ttf", "DejaVu Serif", 400);
    builder.toStream(out);
    builder.run();
    return out.toByteArray();
  }

  private static void font(PdfRendererBuilder builder, String file, String name, int weight) {
    builder.useFont(
        () -> PaperPdf.class.getResourceAsStream(FONTS + file),
        name,
        weight,
        FontStyle.NORMAL,
        true);
  }
}
