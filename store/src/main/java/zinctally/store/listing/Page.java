package zinctally.store.listing;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * One page of a list.
 *
 * @param rows values by column key, plus {@code _id}
 * @param next where the next page goes on, or null at the end
 * @param totals what all rows come to, where that was asked with the page; else null
 */
public record Page(
    List<Map<String, Object>> rows, @Nullable String next, @Nullable Totals totals) {}
