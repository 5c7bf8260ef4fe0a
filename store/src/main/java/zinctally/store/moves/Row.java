package zinctally.store.moves;

import zinctally.core.cost.EventKind;

/**
 * A row of a movement file as it is read.
 *
 * @param day days since 1970-01-01
 * @param quantity millionths
 * @param value minor units
 * @param ref what others may call it, may be empty
 * @param target the ref it names, may be empty
 */
record Row(
    int line,
    int day,
    int item,
    EventKind kind,
    long quantity,
    long value,
    String ref,
    String target) {}
