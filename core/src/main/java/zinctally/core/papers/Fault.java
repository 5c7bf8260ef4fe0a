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

  /** Where, for people: {@code Line 4, price}. */
  public String where() {
    if (cell.isEmpty()) return "";
    String[] parts = cell.split("\\.");
    if (parts.length < 3) return cell.replace('_', ' ');
    return "Line " + (Integer.parseInt(parts[1]) + 1) + ", " + parts[2].replace('_', ' ');
  }
}
