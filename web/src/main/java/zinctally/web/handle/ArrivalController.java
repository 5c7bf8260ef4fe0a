package zinctally.web.handle;

import java.security.Principal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.flow.Awaits;
import zinctally.store.book.Catalogues;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.PaperText;
import zinctally.store.paper.PostedPaper;
import zinctally.web.paper.Heads;
import zinctally.web.shell.ByKind;
import zinctally.web.shell.May;
import zinctally.web.shell.NotThere;

/** Goods that were sent to another place, and come there. */
@Controller
class ArrivalController {
  private final PaperStore papers;
  private final PaperText texts;
  private final Catalogues catalogues;
  private final DraftStore drafts;
  private final Heads heads;

  ArrivalController(
      PaperStore papers, PaperText texts, Catalogues catalogues, DraftStore drafts, Heads heads) {
    this.papers = papers;
    this.texts = texts;
    this.catalogues = catalogues;
    this.drafts = drafts;
    this.heads = heads;
  }

  /** Begins the arrival of all that is still on the way with a transfer. */
  @ByKind
  @PostMapping("/papers/{id:\\d+}/arrive")
  String arrive(@PathVariable long id, Principal who) {
    May.must(May.write(who, PaperKind.ARRIVAL));
    PostedPaper sent = papers.find(id).orElseThrow(() -> new NotThere("transfer " + id));
    Draft text = texts.read(id, sent.version(), sent.kind());
    List<Map<String, String>> rows =
        catalogues.open().awaited(sent.number()).stream()
            .filter(a -> a.what() == Awaits.ON_THE_WAY && a.openQuantity() > 0)
            .map(
                a -> {
                  Map<String, String> row =
                      new HashMap<>(RecipeRows.row(a.item(), new Quantity(a.openQuantity())));
                  if (a.openQuantity() == a.quantity() && a.line() < text.rows().size())
                    row.put("numbers", text.cell(a.line(), "numbers"));
                  return row;
                })
            .toList();
    if (rows.isEmpty()) throw new NotThere("anything on the way with " + sent.number());
    Map<String, String> fields = new HashMap<>(heads.defaults(PaperKind.ARRIVAL));
    fields.put("transfer", sent.number());
    fields.put("into", text.field("into"));
    return "redirect:/drafts/"
        + drafts.begin(new Draft(PaperKind.ARRIVAL, fields, rows), who.getName());
  }
}
