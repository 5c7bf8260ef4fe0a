package zinctally.core.statement;

import java.util.List;
import zinctally.core.number.Money;

/** A statement, as it is laid out. */
public record Statement(String name, List<Column> columns, List<Line> lines) {
  public Statement {
    columns = List.copyOf(columns);
    lines = List.copyOf(lines);
  }

  /**
   * What a line comes to.
   *
   * @param words of the line; the last that is called so counts
   * @throws IllegalArgumentException when no line is called so
   */
  public Money amount(String words, int column) {
    return lines.stream()
        .filter(l -> l.words().equals(words) && !l.amounts().isEmpty())
        .reduce((a, b) -> b)
        .orElseThrow(() -> new IllegalArgumentException("no line is called " + words))
        .amounts()
        .get(column);
  }
}
