package zinctally.store.make;

import java.time.LocalDate;
import zinctally.core.papers.make.Batch;

/**
 * A posted recipe.
 *
 * @param number its paper's
 * @param from the day from which on things are made by it
 * @param place where they are made; empty for anywhere
 */
public record KnownRecipe(long paper, String number, LocalDate from, String place, Batch batch) {}
