package zinctally.demo;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Fault;
import zinctally.store.Refused;
import zinctally.store.paper.DraftStore;
import zinctally.store.posting.Posting;

/** Posts a paper of the demo and says yes to what is only asked, as its people would. */
final class Yes {
  private Yes() {}

  static long post(Posting posting, DraftStore drafts, Draft draft, String login) {
    try {
      return posting.post(drafts.begin(draft, login), login);
    } catch (Refused refused) {
      List<Fault> faults = refused.faults();
      if (faults.stream().anyMatch(f -> f.question().isEmpty())) throw refused;
      Map<String, String> fields = new HashMap<>(draft.fields());
      faults.forEach(f -> fields.merge(Draft.AGREED, f.question(), (a, b) -> a + " " + b));
      return posting.post(
          drafts.begin(new Draft(draft.kind(), fields, draft.rows()), login), login);
    }
  }
}
