package zinctally.core.papers.money;

import java.time.LocalDate;

/**
 * Something a party owes us (above zero) or we owe a party (below zero), until it is settled.
 *
 * @param amount minor units at the start
 * @param open minor units still open, same sign
 * @param paper our number of the paper that made it, when nothing else of that paper is open; empty
 *     otherwise
 */
public record OpenItem(
    long id,
    long party,
    String number,
    LocalDate date,
    LocalDate due,
    long amount,
    long open,
    String paper) {
  /** What names it: our own paper, or the part of that which it is. */
  public String name() {
    return paper.isEmpty() || number.startsWith(paper) ? number : paper;
  }
}
