package zinctally.core.papers;

import java.time.LocalDate;

/**
 * Something a party owes us (above zero) or we owe a party (below zero), until it is settled.
 *
 * @param amount minor units at the start
 * @param open minor units still open, same sign
 */
public record OpenItem(
    long id, long party, String number, LocalDate date, LocalDate due, long amount, long open) {}
