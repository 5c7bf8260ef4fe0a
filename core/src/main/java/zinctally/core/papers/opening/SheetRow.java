package zinctally.core.papers.opening;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zinctally.core.number.Figures;
import zinctally.core.number.Form;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Fault;

/** Reads the cells of one row of the opening sheet. */
final class SheetRow {
  private final Draft draft;
  private final Map<Column, Integer> at;
  private final int row;
  private final List<Fault> faults;
  private final List<Fault> questions;

  SheetRow(
      Draft draft, Map<Column, Integer> at, int row, List<Fault> faults, List<Fault> questions) {
    this.draft = draft;
    this.at = at;
    this.row = row;
    this.faults = faults;
    this.questions = questions;
  }

  String text(Column column) {
    Integer i = at.get(column);
    return i == null ? "" : draft.cell(row, Sheet.cell(i));
  }

  Fault at(Column column, String says) {
    Integer i = at.get(column);
    return Fault.at(row, i == null ? column.key() : Sheet.cell(i), says);
  }

  void fault(Column column, String says) {
    faults.add(at(column, says));
  }

  /** A number not below zero, or null when empty or wrong. */
  @Nullable BigDecimal number(Column column, int places) {
    String typed = text(column);
    if (typed.isEmpty()) return null;
    Optional<BigDecimal> read = Figures.read(typed);
    if (read.isEmpty()) {
      fault(
          column,
          "\""
              + typed
              + "\" is not a number as this sheet writes them, like "
              + Figures.form().sample()
              + ".");
      return null;
    }
    if (read.get().signum() < 0) {
      fault(column, typed + " is below zero; opening stock has nothing below zero.");
      return null;
    }
    if ("no".equals(draft.field(Sheet.FORM_KNOWN)) && Form.mayBeTwo(typed))
      questions.add(
          at(
              column,
              typed
                  + " may be "
                  + typed.replaceAll("[.,]", "")
                  + " or a fraction; it is read as "
                  + Figures.grouped(read.get(), 0)
                  + ". How figures are written can be changed above."));
    BigDecimal bare = read.get().stripTrailingZeros();
    if (bare.scale() > places) {
      fault(column, typed + " has more than " + places + " digits after the point.");
      return null;
    }
    if (bare.precision() - bare.scale() > 11) {
      fault(column, typed + " is larger than this book can hold.");
      return null;
    }
    return read.get();
  }
}
