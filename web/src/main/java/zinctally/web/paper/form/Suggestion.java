package zinctally.web.paper.form;

import java.util.List;
import java.util.function.Function;

/**
 * What a cell offers while it is typed.
 *
 * @param key its word in addresses
 * @param offers what could be meant by the letters typed so far
 */
public record Suggestion(String key, Function<String, List<Offer>> offers) {}
