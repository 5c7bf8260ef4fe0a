package zinctally.core.cost;

/**
 * One thing that happens to a cost pool.
 *
 * @param id names the event within its pool; never zero
 * @param kind what happens
 * @param quantity millionths of the base unit, above zero for in, out and back, else zero
 * @param value minor units: what an in is worth before charges, or what a charge or revalue adds
 * @param target the arrival a charge or a targeted out belongs to, or the out a back returns; zero
 *     for none
 */
public record CostEvent(
    long id, EventKind kind, Position at, long quantity, long value, long target) {}
