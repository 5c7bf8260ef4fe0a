package zinctally.core.papers;

import java.util.Locale;

/**
 * A supplier or customer.
 *
 * @param id zero for one that is to be made when the paper is posted
 * @param termsDays days from a paper's date until it is due
 * @param active false when it is switched off and takes no more papers
 */
public record Party(long id, Kind kind, String name, int termsDays, boolean active) {
  /** Which side of trade. */
  public enum Kind {
    SUPPLIER,
    CUSTOMER;

    /** What the field of a paper is called that names it. */
    public String field() {
      return name().toLowerCase(Locale.ROOT);
    }
  }
}
