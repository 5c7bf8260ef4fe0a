package zinctally.core.papers;

/**
 * A supplier or customer.
 *
 * @param id zero for one that is to be made when the paper is posted
 * @param termsDays days from a paper's date until it is due
 */
public record Party(long id, Kind kind, String name, int termsDays) {
  /** Which side of trade. */
  public enum Kind {
    SUPPLIER,
    CUSTOMER
  }
}
