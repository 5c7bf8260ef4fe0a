package zinctally.web.handle;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import zinctally.core.number.Quantity;
import zinctally.core.papers.make.Batch;
import zinctally.store.book.BookCatalogue;
import zinctally.web.paper.ItemRow;

/** Lines of papers by a recipe, as they are typed. */
final class RecipeRows {
  private RecipeRows() {}

  /** What goes into so many, waste and work included. */
  static List<Map<String, String>> goingIn(Batch batch, Quantity many, BookCatalogue book) {
    return Stream.concat(parts(batch, many).stream(), work(batch, many, book).stream()).toList();
  }

  /** What goes into so many, without work. */
  static List<Map<String, String>> parts(Batch batch, Quantity many) {
    return batch.parts().stream().map(p -> ItemRow.of(p.item(), batch.needed(p, many))).toList();
  }

  /** The work of so many. */
  static List<Map<String, String>> work(Batch batch, Quantity many, BookCatalogue book) {
    return batch.work().stream()
        .map(
            w ->
                Map.of(
                    "item",
                    (w.account().code() + " " + w.wording()).strip(),
                    "amount",
                    book.rules().coin().plain(batch.charged(w, many))))
        .toList();
  }

  /** What is in so many. */
  static List<Map<String, String>> comingOut(Batch batch, Quantity many) {
    return batch.parts().stream()
        .map(p -> ItemRow.of(p.item(), batch.needed(p.withoutWaste(), many)))
        .toList();
  }
}
