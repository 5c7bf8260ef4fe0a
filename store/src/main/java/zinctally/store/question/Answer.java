package zinctally.store.question;

import java.util.List;
import zinctally.store.listing.Listing;

/**
 * What a question comes to: a list, and what could not be done as it was asked.
 *
 * @param faults sentences
 * @param groups keys of the columns that it is put together by; with rows of what each comes to
 *     where not only those are shown
 * @param divides whether something is divided, so that a cell may be empty
 */
public record Answer(Listing listing, List<String> faults, List<String> groups, boolean divides) {}
