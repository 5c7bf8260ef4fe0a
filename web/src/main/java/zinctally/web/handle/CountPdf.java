package zinctally.web.handle;

import java.io.IOException;
import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.thymeleaf.context.Context;
import zinctally.store.count.CountLine;
import zinctally.store.count.CountLines;
import zinctally.store.count.CountSheet;
import zinctally.store.count.CountSheets;
import zinctally.web.picture.BarPicture;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.PdfPages;

/** Count sheets on paper, with barcodes and room to write. */
@Controller
class CountPdf {
  private static final int MOST = 5000;
  private final CountSheets sheets;
  private final CountLines lines;
  private final PdfPages pages;

  CountPdf(CountSheets sheets, CountLines lines, PdfPages pages) {
    this.sheets = sheets;
    this.lines = lines;
    this.pages = pages;
  }

  /** A line with what a scanner reads of it. */
  record Printed(CountLine line, BarPicture bars) {}

  @GetMapping("/handle/counts/{id:\\d+}/print")
  ResponseEntity<byte[]> print(@PathVariable long id) throws IOException {
    CountSheet sheet = sheets.find(id).orElseThrow(() -> new NotThere("count " + id));
    List<Printed> printed =
        lines.page(id, CountLines.Which.ALL, "", 0, MOST).stream()
            .map(l -> new Printed(l, BarPicture.of(l.lotCode().isEmpty() ? l.code() : l.lotCode())))
            .toList();
    Context context = new Context();
    context.setVariable("sheet", sheet);
    context.setVariable("lines", printed);
    String file = "count-" + id + ".pdf";
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_PDF)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(file).build().toString())
        .body(pages.of("handle/count-print", context));
  }
}
