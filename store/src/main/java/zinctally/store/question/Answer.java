package zinctally.store.question;

import java.util.List;
import java.util.Map;
import zinctally.store.listing.Listing;

/**
 * What a question comes to: a list, and what could not be done as it was asked.
 *
 * @param faults sentences
 * @param divides whether something is divided, so that a cell may be empty
 * @param beside the value that each column side by side stands under, by its key; without those
 *     that stand under nothing
 */
public record Answer(
    Listing listing, List<String> faults, boolean divides, Map<String, String> beside) {}
