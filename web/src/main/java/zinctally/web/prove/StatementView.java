package zinctally.web.prove;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import zinctally.core.number.Money;
import zinctally.core.statement.Column;
import zinctally.core.statement.Line;
import zinctally.core.statement.Statement;
import zinctally.web.shell.Say;

/**
 * A statement as its page shows it.
 *
 * @param heads over its columns of figures
 * @param exports the same as files
 */
record StatementView(
    String name,
    List<String> heads,
    List<Row> rows,
    List<String> facts,
    Map<String, String> exports) {
  /** A figure and where it leads; null for nowhere. */
  record Cell(String text, @Nullable String href, boolean quiet) {}

  /**
   * @param style of the row: what kind of line it is and how deep it stands
   */
  record Row(
      String words, @Nullable String href, String style, boolean heading, List<Cell> cells) {}

  static List<String> heads(Statement statement, boolean compared) {
    List<String> heads = new ArrayList<>(statement.columns().stream().map(Column::words).toList());
    if (compared) heads.addAll(List.of("Difference", "in %"));
    return heads;
  }

  static List<Row> rows(Statement statement, boolean compared, StatementLinks links, Say say) {
    return statement.lines().stream().map(l -> row(l, statement, compared, links, say)).toList();
  }

  private static Row row(
      Line line, Statement statement, boolean compared, StatementLinks links, Say say) {
    List<Cell> cells = new ArrayList<>();
    for (int c = 0; c < line.amounts().size(); c++) {
      Money amount = line.amounts().get(c);
      cells.add(
          new Cell(
              say.money(amount.minor()),
              links.of(line, statement.columns().get(c)),
              amount.signum() == 0));
    }
    if (compared && !cells.isEmpty()) {
      cells.add(
          new Cell(
              line.difference().map(d -> say.change(d.minor())).orElse(""),
              null,
              line.difference().filter(d -> d.signum() != 0).isEmpty()));
      cells.add(new Cell(line.percent().map(say::share).orElse(""), null, false));
    }
    return new Row(
        line.words(),
        line.account() == 0 ? null : links.of(line, statement.columns().get(0)),
        line.kind().name().toLowerCase(Locale.ROOT) + " d" + line.depth(),
        line.kind() == Line.Kind.HEADING,
        cells);
  }
}
