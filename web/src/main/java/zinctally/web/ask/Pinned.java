package zinctally.web.ask;

import java.security.Principal;
import java.util.ArrayList;
import java.util.List;
import org.springframework.dao.QueryTimeoutException;
import org.springframework.stereotype.Component;
import zinctally.store.question.QuestionStore;
import zinctally.store.question.QuestionStore.Kept;
import zinctally.web.listing.ListingPage;
import zinctally.web.listing.ListingPage.Glance;
import zinctally.web.shell.May;
import zinctally.web.shell.Sees;

/** Questions that somebody has on the Day page, answered. */
@Component
public class Pinned {
  private static final int ROWS = 5;
  private final QuestionStore questions;
  private final Asking asking;
  private final ListingPage lists;

  Pinned(QuestionStore questions, Asking asking, ListingPage lists) {
    this.questions = questions;
    this.asking = asking;
    this.lists = lists;
  }

  /** A question and the first rows of its answer. */
  public record Note(long id, String name, Glance answer) {}

  /** What takes too long is left out; its own page says so. */
  public List<Note> of(Principal who, Sees.By by) {
    List<Note> notes = new ArrayList<>();
    for (Kept kept : questions.pinned(who.getName(), May.role(who).name()))
      try {
        asking
            .ask(kept.name(), Asking.read(kept.asked()), by)
            .ifPresent(
                a ->
                    notes.add(
                        new Note(
                            kept.id(), kept.name(), lists.glance(a.answer().listing(), ROWS))));
      } catch (QueryTimeoutException tooLong) {
        continue;
      }
    return notes;
  }
}
