package zinctally.web.paper;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import zinctally.core.papers.Draft;
import zinctally.store.book.BookCatalogue;

/** Something that an empty paper can be filled with, when it is asked for. */
public interface Filling {
  /**
   * @param words what is offered
   * @param rows what is typed into its lines then
   */
  record Offered(String words, List<Map<String, String>> rows) {}

  /** What is offered to a paper as it stands; empty for nothing. */
  Optional<Offered> offered(Draft draft, BookCatalogue book);
}
