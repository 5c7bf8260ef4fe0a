package zinctally.store.listing;

import java.util.List;

/**
 * What a reader asks of a list.
 *
 * @param filter words that must all occur, in any text or date column
 * @param narrow what of single columns is let through; all must hold
 * @param sort a column's key, with a leading minus for descending; unknown keys are ignored
 * @param after where to go on, from {@link Page#next()}; empty for the start
 */
public record Ask(String filter, List<Narrow> narrow, String sort, String after) {
  public static final Ask ALL = of("");

  public Ask {
    narrow = List.copyOf(narrow);
  }

  /** All that holds these words, in the list's own order. */
  public static Ask of(String filter) {
    return new Ask(filter, List.of(), "", "");
  }

  /** The same, in another order when none is asked for. */
  public Ask orSort(String otherwise) {
    return sort.isEmpty() ? new Ask(filter, narrow, otherwise, after) : this;
  }

  /** Whether rows are ordered or let through by a column. */
  boolean names(String column) {
    return Listing.bare(sort).equals(column)
        || narrow.stream().anyMatch(n -> n.column().equals(column));
  }

  /** Whether all rows of a list are asked for, in the list's own order. */
  boolean isOwnOrder(Listing listing) {
    return filter.isBlank()
        && narrow.isEmpty()
        && (!listing.sorts(sort) || sort.equals(listing.sort()));
  }

  /** The same from its start. */
  public Ask fromStart() {
    return new Ask(filter, narrow, sort, "");
  }
}
