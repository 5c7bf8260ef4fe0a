package zinctally.store.count;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import zinctally.core.number.Quantity;

/**
 * A sheet on which goods of a place are counted.
 *
 * @param date the day of the count, as of which its differences are posted
 * @param what which goods, in words
 * @param rules how they are counted
 * @param draft the draft of its differences; zero for none, or when it was thrown away
 * @param paper the paper that posted them; zero for none
 * @param number that paper's number; empty for none
 */
public record CountSheet(
    long id,
    long place,
    String placeName,
    LocalDate date,
    String what,
    Rules rules,
    State state,
    long draft,
    long paper,
    String number,
    String begunBy) {
  /** How far it is. */
  public enum State {
    /** It can be counted on. */
    OPEN("being counted"),
    /** Its differences are drafted. */
    CLOSED("differences drafted"),
    /** Its differences are posted, or there were none. */
    POSTED("done"),
    /** It was given up. */
    STOPPED("given up");

    private final String words;

    State(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /**
   * @param blind who counts does not see what the book holds
   * @param otherPerson a second count is by somebody else
   * @param quantity apart from which a second count is wanted, in each item's base unit; null: none
   * @param value likewise, minor units
   */
  public record Rules(
      boolean blind, boolean otherPerson, @Nullable Quantity quantity, @Nullable Long value) {}

  public boolean open() {
    return state == State.OPEN;
  }
}
