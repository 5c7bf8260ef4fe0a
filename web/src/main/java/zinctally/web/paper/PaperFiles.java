package zinctally.web.paper;

import java.io.IOException;
import org.springframework.http.ContentDisposition;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import zinctally.core.papers.Trait;
import zinctally.store.buy.OrderStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.PostedPaper;
import zinctally.store.paper.SettledStore;
import zinctally.web.shell.NotThere;

/** Posted papers as files. */
@Controller
class PaperFiles {
  private final PaperStore papers;
  private final OrderStore orders;
  private final SettledStore settled;
  private final PaperPdf pdfs;
  private final AccountPdf accounts;
  private final UblInvoice ubl;

  PaperFiles(
      PaperStore papers,
      OrderStore orders,
      SettledStore settled,
      PaperPdf pdfs,
      AccountPdf accounts,
      UblInvoice ubl) {
    this.papers = papers;
    this.orders = orders;
    this.settled = settled;
    this.pdfs = pdfs;
    this.accounts = accounts;
    this.ubl = ubl;
  }

  private PostedPaper paper(long id) {
    return papers.find(id).orElseThrow(() -> new NotThere("paper " + id));
  }

  /** An invoice as a UBL 2.1 file. */
  @GetMapping("/papers/{id}/ubl")
  ResponseEntity<byte[]> ubl(@PathVariable long id) {
    PostedPaper paper = paper(id);
    if (!paper.kind().is(Trait.SELLS) || paper.isVoid())
      throw new NotThere("a UBL file of " + paper.number());
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_XML)
        .headers(
            h ->
                h.setContentDisposition(
                    ContentDisposition.attachment().filename(paper.number() + ".xml").build()))
        .body(ubl.of(paper));
  }

  @GetMapping("/papers/{id}/pdf")
  ResponseEntity<byte[]> pdf(@PathVariable long id) throws IOException {
    PostedPaper paper = paper(id);
    if (!paper.kind().is(Trait.HANDED)) throw new NotThere("a PDF of " + paper.number());
    if (orders.head(id).filter(order -> !order.approved()).isPresent())
      throw new NotThere("a PDF of " + paper.number() + " before it is approved");
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_PDF)
        .headers(
            h ->
                h.setContentDisposition(
                    ContentDisposition.inline().filename(paper.number() + ".pdf").build()))
        .body(
            paper.kind().is(Trait.PAYS)
                ? accounts.payment(paper, settled.settles(id))
                : pdfs.handed(paper));
  }
}
