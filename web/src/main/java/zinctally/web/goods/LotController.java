package zinctally.web.goods;

import java.io.IOException;
import org.springframework.http.ContentDisposition;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import zinctally.store.goods.LotStore;
import zinctally.store.goods.LotTrace;
import zinctally.web.paper.SlipPdf;
import zinctally.web.shell.NotThere;

/** Lots and serial numbers: the list, and the trace of each. */
@Controller
class LotController {
  private final LotStore lots;
  private final LotTrace traces;
  private final SlipPdf pdfs;

  LotController(LotStore lots, LotTrace traces, SlipPdf pdfs) {
    this.lots = lots;
    this.traces = traces;
    this.pdfs = pdfs;
  }

  /** Where a single numbered piece came from, to hand over with it. */
  @GetMapping("/goods/lot/{id:\\d+}/slip")
  ResponseEntity<byte[]> slip(@PathVariable long id) throws IOException {
    LotStore.Card lot =
        lots.find(id)
            .filter(LotStore.Card::serial)
            .orElseThrow(() -> new NotThere("a slip of lot " + id));
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_PDF)
        .headers(
            h ->
                h.setContentDisposition(
                    ContentDisposition.inline().filename("slip-" + id + ".pdf").build()))
        .body(pdfs.slip(lot));
  }

  @GetMapping("/goods/lot/{id:\\d+}")
  String trace(@PathVariable long id, Model model) {
    model.addAttribute("lot", lots.find(id).orElseThrow(() -> new NotThere("lot " + id)));
    model.addAttribute("wentIn", traces.wentIn(id));
    model.addAttribute("wentInto", traces.wentInto(id));
    return "goods/lot";
  }
}
