package zinctally.web.consign;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.thymeleaf.context.Context;
import zinctally.core.papers.PaperKind;
import zinctally.store.consign.ConsignStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.PostedPaper;
import zinctally.web.picture.BarPicture;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.PdfPages;
import zinctally.web.shell.Say;

/** Labels of ours for what came on consignment, as PDF. */
@Controller
class LabelsController {
  private static final int MOST = 600;
  private static final int ACROSS = 3;
  private final PaperStore papers;
  private final ConsignStore consigned;
  private final PdfPages pages;
  private final Say say;

  LabelsController(PaperStore papers, ConsignStore consigned, PdfPages pages, Say say) {
    this.papers = papers;
    this.consigned = consigned;
    this.pages = pages;
    this.say = say;
  }

  /** One label, as it is printed. */
  record Label(String name, String number, String price, String code, BarPicture bars) {}

  @GetMapping("/papers/{id:\\d+}/labels")
  ResponseEntity<byte[]> labels(@PathVariable long id) throws IOException {
    PostedPaper paper =
        papers
            .find(id)
            .filter(p -> p.kind().is(PaperKind.Trait.LABELLED) && !p.isVoid())
            .orElseThrow(() -> new NotThere("labels of paper " + id));
    List<Label> all = new ArrayList<>();
    for (ConsignStore.Label one : consigned.labels(id, MOST))
      for (int n = 0; n < one.many() && all.size() < MOST; n++) all.add(shown(one));
    List<List<Label>> rows = new ArrayList<>();
    for (int from = 0; from < all.size(); from += ACROSS)
      rows.add(all.subList(from, Math.min(all.size(), from + ACROSS)));
    Context context = new Context();
    context.setVariable("title", paper.number());
    context.setVariable("rows", rows);
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_PDF)
        .headers(
            h ->
                h.setContentDisposition(
                    ContentDisposition.inline()
                        .filename("labels-" + paper.number() + ".pdf")
                        .build()))
        .body(pages.of("consign/labels", context));
  }

  private Label shown(ConsignStore.Label one) {
    return new Label(
        one.name(),
        one.number(),
        one.price() == null ? "" : say.price(one.price()),
        one.code(),
        BarPicture.of(one.code()));
  }
}
