package zinctally.store.count;

import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;
import zinctally.core.number.Quantity;
import zinctally.core.units.Units;

/**
 * One thing that is counted on a sheet.
 *
 * @param lot its lot or serial number's id; zero for none
 * @param lotCode empty for none
 * @param round which counting of it this is, from 1
 * @param counted null while it is not
 * @param expected what the book held when it was counted last, else what it holds now
 * @param since by how much the book has changed since it was counted
 * @param value minor units that the difference is worth at present cost; 0 while nothing is counted
 * @param wanted whether a second count is wanted
 * @param by who counted it last; empty while nobody did
 * @param at null while nobody did
 * @param reason null when nobody gave one
 */
public record CountLine(
    long id,
    long item,
    String code,
    String name,
    String shelf,
    Units units,
    boolean serial,
    long lot,
    String lotCode,
    int round,
    @Nullable Quantity counted,
    Quantity expected,
    Quantity since,
    long value,
    boolean wanted,
    String by,
    @Nullable LocalDateTime at,
    @Nullable Long reason) {
  /** What it is called. */
  public String label() {
    return lotCode.isEmpty() ? code + " " + name : code + " " + name + ", " + lotCode;
  }

  /** What is over, or below zero missing; zero while it is not counted. */
  public Quantity apart() {
    return counted == null ? Quantity.ZERO : counted.minus(expected);
  }
}
