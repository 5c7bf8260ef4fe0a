package zinctally.store.listing;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** What of one column is let through. */
public sealed interface Narrow {
  /** Key of the column. */
  String column();

  /**
   * A text that holds all words of one of these.
   *
   * @param either alternatives, each of them words
   */
  record Words(String column, List<List<String>> either) implements Narrow {
    public Words {
      either = either.stream().map(List::copyOf).toList();
    }
  }

  /**
   * A date or a figure between two, both included.
   *
   * @param from as the column is stored: a {@code LocalDate}, minor units, millionths or a decimal;
   *     null for open
   * @param to the same
   */
  record Between(String column, @Nullable Object from, @Nullable Object to) implements Narrow {}
}
