package zinctally.core.papers;

/**
 * Something wrong with what was typed.
 *
 * @param cell where: a field's name, or {@code rows.3.price} for a cell of the line table, counted
 *     from zero; empty when it is the paper as a whole
 * @param says what is wrong and what would be right, as a sentence
 * @param question when it is something unusual that may be right: what answers it, once for all and
 *     for these figures only; else empty
 */
public record Fault(String cell, String says, String question) {
  public Fault(String cell, String says) {
    this(cell, says, "");
  }

  /** The same, as a question to be answered with yes. */
  public Fault asked() {
    return new Fault(cell, says, Integer.toHexString((cell + says).hashCode()));
  }

  public static Fault at(int row, String column, String says) {
    return new Fault("rows." + row + "." + column, says);
  }

  public static Fault whole(String says) {
    return new Fault("", says);
  }

  /** The line it is on, from zero; below zero when it is on none. */
  public int row() {
    String[] parts = cell.split("\\.");
    return parts.length < 3 ? -1 : Integer.parseInt(parts[1]);
  }

  /** Where, for people: {@code Line 4, price}. */
  public String where() {
    if (cell.isEmpty()) return "";
    if (row() < 0) return cell.replace('_', ' ');
    return "Line " + (row() + 1) + ", " + cell.split("\\.")[2].replace('_', ' ');
  }
}
