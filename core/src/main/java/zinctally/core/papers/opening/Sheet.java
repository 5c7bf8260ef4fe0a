package zinctally.core.papers.opening;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import zinctally.core.number.Figures;
import zinctally.core.number.Form;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;

/**
 * A table as it came from a file or a paste: headings and rows of text.
 *
 * @param headings one for each column
 * @param form in which its figures are written; empty when nobody has said
 */
public record Sheet(List<String> headings, List<List<String>> rows, Optional<Form> form) {
  /** A table of which nobody has said how its figures are written. */
  public Sheet(List<String> headings, List<List<String>> rows) {
    this(headings, rows, Optional.empty());
  }

  /** Cells of column i of a draft stand under this name. */
  public static String cell(int column) {
    return "c" + column;
  }

  /**
   * As a draft of opening stock, columns matched by their headings. What each column holds stands
   * in the field {@code columns}, comma-separated, and can be changed there.
   */
  public Draft asOpeningStock(String place) {
    List<String> columns = new ArrayList<>();
    for (String heading : headings) {
      Optional<Column> match = Column.matching(heading);
      boolean taken = match.isPresent() && columns.contains(match.get().key());
      columns.add(match.isPresent() && !taken ? match.get().key() : "");
    }
    List<Map<String, String>> cells = new ArrayList<>(rows.size());
    for (List<String> row : rows) {
      Map<String, String> map = new HashMap<>();
      for (int i = 0; i < row.size() && i < headings.size(); i++)
        if (!row.get(i).isBlank()) map.put(cell(i), row.get(i).strip());
      cells.add(map);
    }
    Map<String, String> fields = new HashMap<>();
    fields.put("columns", String.join(",", columns));
    fields.put("headings", String.join("\t", headings));
    fields.put("place", place);
    fields.putAll(formOf(numbersIn(columns)));
    return new Draft(PaperKind.OPENING_STOCK, fields, cells);
  }

  /** The field that says whether anything has told the form of the figures. */
  public static final String FORM_KNOWN = "figures_known";

  private List<String> numbersIn(List<String> columns) {
    List<String> numbers = new ArrayList<>();
    for (int i = 0; i < columns.size(); i++)
      if (Column.isNumber(columns.get(i))) for (List<String> row : rows) numbers.add(cell(row, i));
    return numbers;
  }

  /** In which form the whole sheet's figures are written, and whether that is known. */
  private Map<String, String> formOf(List<String> numbers) {
    Form.Found found = form.map(f -> new Form.Found(form, false)).orElse(Form.found(numbers));
    Form is = found.form().orElse(Figures.form());
    boolean known =
        found.form().isPresent() && !found.mixed() || numbers.stream().noneMatch(Form::mayBeTwo);
    return Map.of(Draft.FIGURES, is.name(), FORM_KNOWN, known ? "yes" : "no");
  }

  /**
   * As a draft of opening balances: a column for the account's code, and debit and credit, or one
   * balance in which debits are above zero. Zero balances are left out.
   *
   * @throws IllegalArgumentException with a sentence when those headings are not there
   */
  public Draft asOpeningBalances() {
    int account = heading("account", "code", "account code", "number");
    int debit = heading("debit", "dr");
    int credit = heading("credit", "cr");
    int balance = heading("balance", "amount");
    if (account < 0 || (balance < 0 && (debit < 0 || credit < 0)))
      throw new IllegalArgumentException(
          "The first row must hold the headings account, and debit and credit, or balance.");
    List<String> numbers = new ArrayList<>();
    for (List<String> row : rows)
      for (int at : new int[] {debit, credit, balance}) numbers.add(cell(row, at));
    Map<String, String> fields = formOf(numbers);
    return Figures.in(
        Form.of(fields.getOrDefault(Draft.FIGURES, "")),
        () ->
            new Draft(PaperKind.OPENING_BALANCES, fields, lines(account, debit, credit, balance)));
  }

  private List<Map<String, String>> lines(int account, int debit, int credit, int balance) {
    List<Map<String, String>> lines = new ArrayList<>();
    for (List<String> row : rows) {
      Map<String, String> line = new HashMap<>();
      line.put("account", cell(row, account));
      String single = cell(row, balance);
      if (single.isEmpty()) {
        line.put("debit", unlessZero(cell(row, debit)));
        line.put("credit", unlessZero(cell(row, credit)));
      } else {
        boolean below = single.startsWith("-") || single.startsWith(Figures.MINUS);
        line.put(below ? "credit" : "debit", unlessZero(below ? single.substring(1) : single));
      }
      boolean nothing =
          line.getOrDefault("debit", "").isEmpty() && line.getOrDefault("credit", "").isEmpty();
      if (!nothing) lines.add(line);
    }
    return lines;
  }

  private int heading(String... words) {
    for (int i = 0; i < headings.size(); i++)
      if (List.of(words).contains(headings.get(i).strip().toLowerCase(Locale.ROOT))) return i;
    return -1;
  }

  private static String cell(List<String> row, int at) {
    return at < 0 || at >= row.size() ? "" : row.get(at).strip();
  }

  private static String unlessZero(String amount) {
    return Figures.read(amount).filter(a -> a.signum() == 0).isPresent() ? "" : amount;
  }
}
