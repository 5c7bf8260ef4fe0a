package zinctally.store.posting;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import zinctally.core.number.Figures;
import zinctally.core.papers.Draft;
import zinctally.core.papers.DraftReader;
import zinctally.core.papers.Reading;
import zinctally.core.papers.Trait;
import zinctally.core.papers.opening.OpeningStockReader;
import zinctally.core.papers.opening.Sheet;
import zinctally.store.book.BookCatalogue;

/** Reads what was typed against a book. */
final class Typing {
  private Typing() {}

  static Reading read(Draft draft, BookCatalogue book) {
    named(draft, book);
    return Figures.in(
        draft.form(),
        () ->
            draft.kind().is(Trait.SHEET)
                ? new OpeningStockReader(book, book::newItem).read(draft)
                : new DraftReader(book).read(draft));
  }

  /** Fetches the items a draft names, and says which they are. */
  static Set<Long> named(Draft draft, BookCatalogue book) {
    boolean sheet = draft.kind().is(Trait.SHEET);
    int code = sheet ? List.of(draft.field("columns").split(",", -1)).indexOf("code") : 0;
    if (code < 0) return Set.of();
    String column = sheet ? Sheet.cell(code) : "item";
    List<String> typed = draft.rows().stream().map(r -> r.getOrDefault(column, "")).toList();
    book.fetch(typed, sheet);
    Set<Long> items = new TreeSet<>();
    for (String cell : typed) book.item(cell).ifPresent(item -> items.add(item.id()));
    book.item(draft.field("item")).ifPresent(item -> items.add(item.id()));
    return items;
  }
}
