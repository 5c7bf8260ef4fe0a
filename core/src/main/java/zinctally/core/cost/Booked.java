package zinctally.core.cost;

/**
 * An event together with what the stock book says of it so far.
 *
 * @param charges minor units of all charges that belong to it, when it is an in or a back; else
 *     zero
 * @param value the signed sum of its cost entries, minor units; zero for an event not yet posted
 * @param fresh whether it has no cost entries yet
 */
public record Booked(CostEvent event, long charges, long value, boolean fresh) {}
