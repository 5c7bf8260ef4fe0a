package zinctally.web.paper;

import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Trait;
import zinctally.store.book.Catalogues;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.PaperText;
import zinctally.store.paper.PostedPaper;
import zinctally.web.paper.form.Forms;
import zinctally.web.shell.ByKind;
import zinctally.web.shell.May;
import zinctally.web.shell.NotThere;

/** A posted paper written again: as a new draft, turned round, or as what brings it back. */
@Controller
class PaperAgain {
  private final PaperStore papers;
  private final PaperText texts;
  private final DraftStore drafts;
  private final Catalogues catalogues;
  private final Forms forms;
  private final StillWaits waits;
  private final Clock clock;

  PaperAgain(
      PaperStore papers,
      PaperText texts,
      DraftStore drafts,
      Catalogues catalogues,
      Forms forms,
      StillWaits waits,
      Clock clock) {
    this.papers = papers;
    this.texts = texts;
    this.drafts = drafts;
    this.catalogues = catalogues;
    this.forms = forms;
    this.waits = waits;
    this.clock = clock;
  }

  private PostedPaper paper(long id) {
    return papers.find(id).orElseThrow(() -> new NotThere("paper " + id));
  }

  /** A return of all that can still go back; lines that stay are taken out of the draft. */
  @ByKind
  @PostMapping("/papers/{id}/return")
  String giveBack(@PathVariable long id, Principal who) {
    PostedPaper paper = paper(id);
    Optional<PaperKind> back = PaperController.back(paper, waits.of(paper), who);
    May.must(back.isPresent());
    PaperKind kind = back.get();
    List<Map<String, String>> rows =
        Returnable.of(paper.number(), catalogues.open().traded(paper.number()));
    Map<String, String> fields = new HashMap<>();
    fields.put("date", LocalDate.now(clock).toString());
    kind.side().ifPresent(side -> fields.put(side.field(), paper.partyName()));
    fields.put("place", paper.place());
    return "redirect:/drafts/" + drafts.begin(new Draft(kind, fields, rows), who.getName());
  }

  @ByKind
  @PostMapping("/papers/{id}/copy")
  String copy(@PathVariable long id, Principal who) {
    PostedPaper paper = paper(id);
    May.must(May.write(who, paper.kind()) && forms.has(paper.kind()));
    return "redirect:/drafts/"
        + drafts.begin(
            TypedDraft.asItStood(texts.read(id, paper.version(), paper.kind()))
                .without(List.of(Draft.AGREED)),
            who.getName());
  }

  /** A journal by hand turned round: the one-step mend for what keeps books apart. */
  @ByKind
  @PostMapping("/papers/{id}/reverse")
  String reverse(@PathVariable long id, Principal who) {
    PostedPaper paper = paper(id);
    May.must(paper.kind().is(Trait.BY_HAND) && May.write(who, paper.kind()));
    Draft old = texts.read(id, paper.version(), paper.kind());
    List<Map<String, String>> rows =
        old.rows().stream()
            .map(
                row -> {
                  Map<String, String> turned = new HashMap<>(row);
                  turned.put("debit", row.getOrDefault("credit", ""));
                  turned.put("credit", row.getOrDefault("debit", ""));
                  return turned;
                })
            .toList();
    Map<String, String> fields = new HashMap<>(old.fields());
    fields.put("override", "Reverses " + paper.number());
    return "redirect:/drafts/" + drafts.begin(new Draft(paper.kind(), fields, rows), who.getName());
  }
}
