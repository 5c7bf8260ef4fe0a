package zinctally.core.papers;

import java.util.Locale;
import java.util.Objects;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * Where goods are, in what condition, and whose they are. Quantities are kept for each of these;
 * costs are not: what is ours has the same cost wherever and however it is, what is not ours has
 * none.
 *
 * @param id zero when none has been there in that standing, or of that owner, so far: it is made
 *     with the first paper that brings some
 * @param at id of the place alone, whatever the standing and whosever the goods; zero when it is
 *     made with the paper, too
 * @param site what that is called
 * @param owner whose goods they are; null for ours
 * @param host at whose premises it is; null for ours
 */
public record Place(
    long id,
    String name,
    Kind kind,
    long at,
    String site,
    Standing standing,
    @Nullable Party owner,
    @Nullable Party host) {
  /** What a place is. */
  public enum Kind {
    STORE("Store or shop"),
    VAN("Van or stall"),
    CUSTOMER("At a customer's"),
    REPAIRER("At a repairer's"),
    WAY("On the way");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }

    /** Whether people say that goods come or go there; to the others papers take them. */
    public boolean isChosen() {
      return this != REPAIRER && this != WAY;
    }
  }

  /** Who owns what is not ours. */
  public Party whose() {
    return Objects.requireNonNull(owner);
  }

  /** Good goods of ours. */
  public Place(long id, String name) {
    this(id, name, Kind.STORE, id, name, Standing.GOOD, null, null);
  }

  /** Where a repairer works, not made yet: the bench of the house for null. */
  public static Place fresh(@Nullable Party repairer) {
    String name = repairer == null ? "Repair bench" : repairer.name();
    return new Place(0, name, Kind.REPAIRER, 0, name, Standing.GOOD, null, repairer);
  }

  /** Where a customer keeps goods of ours, not made yet. */
  public static Place freshAt(Party customer) {
    String name = "At " + customer.name();
    return new Place(0, name, Kind.CUSTOMER, 0, name, Standing.GOOD, null, customer);
  }

  /** The same for goods in another standing or of another owner, not made yet. */
  public Place fresh(Standing other, @Nullable Party whose) {
    String name =
        site
            + (other.isGood() ? "" : ", " + other.name().toLowerCase(Locale.ROOT))
            + (whose == null ? "" : ", of " + whose.name());
    return new Place(0, name, kind, at, site, other, whose, host);
  }

  /** The same once everyone it speaks of is made. */
  public Place with(UnaryOperator<Party> made) {
    return new Place(
        id,
        name,
        kind,
        at,
        site,
        standing,
        owner == null ? null : made.apply(owner),
        host == null ? null : made.apply(host));
  }

  /** Whether goods there are ours. */
  public boolean ours() {
    return owner == null;
  }

  /** Whether goods there may be sold. */
  public boolean sells() {
    return ours() && standing.sold() && kind.isChosen();
  }

  /** Whether it is the place itself, for good goods of ours. */
  public boolean isPlain() {
    return ours() && standing.isGood();
  }
}
