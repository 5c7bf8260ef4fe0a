package zinctally.store.question;

import java.util.List;
import zinctally.store.listing.Listing;

/**
 * What a question comes to: a list, and what could not be done as it was asked.
 *
 * @param faults sentences
 * @param divides whether something is divided, so that a cell may be empty
 */
public record Answer(Listing listing, List<String> faults, boolean divides) {
  /** With this begins the link of a column that stands side by side; then comes its value. */
  public static final String BESIDE = "=";
}
