package zinctally.web.paper;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.PostedPaper;
import zinctally.store.paper.SavedDraft;
import zinctally.store.sell.TillStore;

/** What stands above a counter sale: the one before, the till, sales that are put aside. */
@Component
class CounterBeside {
  private static final int MOST = 6;
  private final TillStore tills;
  private final DraftStore drafts;
  private final PaperStore papers;

  CounterBeside(TillStore tills, DraftStore drafts, PaperStore papers) {
    this.tills = tills;
    this.drafts = drafts;
    this.papers = papers;
  }

  /** A sale that is put aside. */
  record Held(long id, String words) {}

  /**
   * @param done the sale before, just posted; null for none
   * @param change handed back on it, in words
   */
  record Shown(TillStore.Till till, @Nullable PostedPaper done, String change, List<Held> held) {}

  void show(SavedDraft sale, String login, Model model) {
    Optional<TillStore.Till> till = tills.of(login);
    if (till.isEmpty()) return;
    List<Held> held =
        tills.held(till.get().place()).stream()
            .filter(id -> id != sale.id())
            .limit(MOST)
            .flatMap(id -> drafts.find(id).stream())
            .map(d -> new Held(d.id(), words(d)))
            .toList();
    PostedPaper done =
        model.getAttribute("done") instanceof Long id ? papers.find(id).orElse(null) : null;
    String change = model.getAttribute("change") instanceof String words ? words : "";
    model.addAttribute("counter", new Shown(till.get(), done, change, held));
  }

  private static String words(SavedDraft held) {
    String who = held.draft().field("customer");
    String first = held.draft().rows().isEmpty() ? "" : held.draft().cell(0, "item");
    int more = held.draft().typedRows().size() - 1;
    return (who.isEmpty() ? first : who) + (more > 0 ? " +" + more : "");
  }
}
