package zinctally.core.moves;

import java.time.LocalDate;
import zinctally.core.cost.EventKind;

/**
 * A row of a movement file.
 *
 * @param line the file's line, for naming it
 * @param quantity millionths, above zero for in, out and back, else zero
 * @param value minor units, for in, charge and revalue, else zero
 * @param target index of the row it refers to, -1 for none
 */
public record Move(
    int line,
    LocalDate date,
    int item,
    EventKind kind,
    long quantity,
    long value,
    String ref,
    int target) {}
