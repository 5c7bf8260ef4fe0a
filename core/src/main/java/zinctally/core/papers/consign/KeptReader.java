package zinctally.core.papers.consign;

import org.jspecify.annotations.Nullable;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Standing;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;

/**
 * Reads where goods are that are sold: whether they stay here, or are at the customer's already.
 */
public final class KeptReader {
  private KeptReader() {}

  /** Where goods of a place stay, as the customer's; null when they go. */
  public static @Nullable Place place(Reader in, @Nullable Place from, @Nullable Party who) {
    boolean invoiced = in.draft.field("goods").equals("stay");
    if (!invoiced && !in.draft.field("stay").equals("here")) return null;
    if (from == null || who == null) return null;
    if (from.kind() == Place.Kind.CUSTOMER) {
      in.fault(
          invoiced ? "goods" : "stay",
          "These goods are at " + from.site() + ", so they do not stay here.");
      return null;
    }
    return in.book.as(from, Standing.GOOD, who);
  }

  /** Says so when goods at one customer's would be sold to another. */
  public static void theirs(RowReader row, @Nullable Place from, @Nullable Party who) {
    if (from == null || who == null || from.host() == null) return;
    if (from.kind() != Place.Kind.CUSTOMER || from.host().equals(who)) return;
    row.fault(
        "place",
        "These goods are at "
            + from.host().name()
            + "'s; sell them to "
            + from.host().name()
            + ", or have them back first.");
  }
}
