package zinctally.web.paper;

import java.util.List;
import java.util.Optional;
import zinctally.core.papers.Draft;
import zinctally.store.paper.SavedDraft;
import zinctally.web.paper.form.PaperForm;

/**
 * A draft that another window has saved, posted or thrown away since this one saw it.
 *
 * @param happened who did what, as the beginning of a sentence
 * @param changes what stands here and there, as far as it differs
 * @param paper what it was posted as; zero for none
 * @param there whether it can still be looked at
 */
record Stale(String happened, List<TextChange> changes, long paper, boolean there) {
  /**
   * @param now the draft as it is; empty when it is gone
   * @param at when it was saved last, in words
   * @param typed what stands in this window
   * @param form says where the differences are
   */
  static Stale of(Optional<SavedDraft> now, String at, Draft typed, PaperForm form) {
    if (now.isEmpty())
      return new Stale("This draft has been thrown away in another window", List.of(), 0, false);
    SavedDraft draft = now.get();
    String did = draft.posted() ? " posted" : " saved";
    return new Stale(
        draft.savedBy() + did + " this draft in another window at " + at,
        TextChange.between(draft.draft(), typed, form),
        draft.paper(),
        true);
  }

  /** Whether the other window has the very same. */
  public boolean alike() {
    return changes.isEmpty();
  }
}
