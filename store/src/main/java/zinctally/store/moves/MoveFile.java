package zinctally.store.moves;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Method;
import zinctally.core.number.Quantity;
import zinctally.store.opening.SheetReader;

/**
 * Reads a movement file: RFC 4180 CSV in UTF-8, columns in any order. Where its headings are parted
 * by semicolons or tabs, so are all rows, and a comma may stand for the decimal point.
 */
final class MoveFile {
  private static final List<String> COLUMNS =
      List.of("date", "item", "event", "quantity", "value", "ref", "target");
  private static final int LONGEST_FIRST_LINE = 4096;
  final List<String> items = new ArrayList<>();
  final List<Method> methods = new ArrayList<>();
  private final Findings faults;
  private final Rows rows;
  private final boolean decimalComma;
  private final Method usual;
  private final int digits;
  private final Map<String, Integer> itemsByName = new HashMap<>();
  private final Map<String, Integer> days = new HashMap<>();
  private final Map<String, Integer> columns = new HashMap<>();
  private int dateAt;
  private int itemAt;
  private int eventAt;
  private int quantityAt;
  private int valueAt;
  private int refAt;
  private int targetAt;
  private int methodAt;
  private String lastDay = "";
  private int lastDate;

  /**
   * @param digits of the currency
   * @param rows take those of the file
   * @throws IOException when it cannot be read, or what was read not be kept
   */
  MoveFile(BufferedReader text, Method usual, int digits, Rows rows, Findings faults)
      throws IOException {
    this.usual = usual;
    this.digits = digits;
    this.rows = rows;
    this.faults = faults;
    char separator = SheetReader.separator(firstLine(text));
    decimalComma = separator != ',';
    CSVFormat format = CSVFormat.RFC4180.builder().setDelimiter(separator).get();
    try (Records records = new Records(CSVParser.parse(text, format))) {
      read(records);
    } catch (UncheckedIOException broken) {
      if (broken.getCause() instanceof CharacterCodingException notText) throw notText;
      faults.add(
          0, "not readable as CSV: " + Objects.requireNonNull(broken.getCause()).getMessage());
    }
  }

  /** The first line, which is still to be read, without the mark that some files begin with. */
  private static String firstLine(BufferedReader text) throws IOException {
    text.mark(1);
    if (text.read() != '\uFEFF') text.reset();
    text.mark(LONGEST_FIRST_LINE);
    StringBuilder line = new StringBuilder();
    for (int c = text.read(); c >= 0 && c != '\n' && line.length() < LONGEST_FIRST_LINE - 1; ) {
      line.append((char) c);
      c = text.read();
    }
    text.reset();
    return line.toString();
  }

  private void read(Records records) throws IOException {
    boolean first = true;
    for (Records.Batch batch = records.next(); !batch.isLast(); batch = records.next()) {
      for (int i = 0; i < batch.size(); i++) {
        if (first) {
          first = false;
          headings(batch.row(i), batch.line(i));
          if (faults.any()) return;
        } else if (batch.row(i).size() > 1 || !batch.row(i).get(0).isEmpty()) {
          move(batch.row(i), batch.line(i));
        }
      }
    }
    if (first) faults.add(1, "the file is empty; its first row must hold the headings");
  }

  private void headings(CSVRecord row, int line) {
    for (int i = 0; i < row.size(); i++) {
      String heading = row.get(i).strip().toLowerCase(Locale.ROOT);
      if (!COLUMNS.contains(heading) && !heading.equals("method"))
        fault(line, "column \"" + row.get(i) + "\" is not known");
      else if (columns.put(heading, i) != null)
        fault(line, "column \"" + heading + "\" stands twice");
    }
    for (String column : COLUMNS)
      if (!columns.containsKey(column)) fault(line, "column \"" + column + "\" is missing");
    dateAt = columns.getOrDefault("date", -1);
    itemAt = columns.getOrDefault("item", -1);
    eventAt = columns.getOrDefault("event", -1);
    quantityAt = columns.getOrDefault("quantity", -1);
    valueAt = columns.getOrDefault("value", -1);
    refAt = columns.getOrDefault("ref", -1);
    targetAt = columns.getOrDefault("target", -1);
    methodAt = columns.getOrDefault("method", -1);
  }

  private void fault(int line, String says) {
    faults.add(line, says);
  }

  private static String cell(CSVRecord row, int at) {
    return at < 0 || at >= row.size() ? "" : row.get(at);
  }

  private void move(CSVRecord row, int line) throws IOException {
    int date = day(cell(row, dateAt), line);
    String item = cell(row, itemAt);
    if (item.isEmpty()) fault(line, "item is empty");
    EventKind kind = kind(cell(row, eventAt), line);
    Method method = method(cell(row, methodAt), line);
    long quantity = 0;
    long value = 0;
    if (kind != null) {
      boolean counts = kind == EventKind.IN || kind == EventKind.OUT || kind == EventKind.BACK;
      boolean valued = kind != EventKind.OUT && kind != EventKind.BACK;
      String typed = cell(row, quantityAt);
      quantity = number("quantity", typed, Quantity.PLACES, counts, kind, line);
      value = number("value", cell(row, valueAt), digits, valued, kind, line);
      if (counts && quantity <= 0 && !faults.on(line))
        fault(line, "quantity \"" + typed + "\" is not above zero");
      if (kind == EventKind.IN && value < 0)
        fault(line, "value \"" + cell(row, valueAt) + "\" is below zero");
    }
    String ref = cell(row, refAt);
    Integer known = itemsByName.get(item);
    if (known == null) {
      known = items.size();
      itemsByName.put(item, known);
      items.add(item);
      methods.add(method);
    } else if (methods.get(known) != method) {
      fault(line, "item \"" + item + "\" is costed by another method above");
    }
    if (kind == null) return;
    String target = cell(row, targetAt);
    if (target.isEmpty() && kind == EventKind.BACK)
      fault(line, "target is empty; back needs the out it returns");
    else if (target.isEmpty() && kind == EventKind.CHARGE)
      fault(line, "target is empty; charge needs the in it belongs to");
    rows.add(new Row(line, date, known, kind, quantity, value, ref, target));
  }

  private int day(String typed, int line) {
    if (typed.equals(lastDay)) return lastDate;
    try {
      lastDate = days.computeIfAbsent(typed, MoveFile::fourDigitYear);
      lastDay = typed;
      return lastDate;
    } catch (DateTimeParseException notADate) {
      fault(line, "date \"" + typed + "\" is not a date such as 2026-03-09");
      return 0;
    }
  }

  private static int fourDigitYear(String typed) {
    LocalDate date = LocalDate.parse(typed);
    if (date.getYear() < 0 || date.getYear() > 9999)
      throw new DateTimeParseException("a year of four digits", typed, 0);
    return (int) date.toEpochDay();
  }

  private @Nullable EventKind kind(String typed, int line) {
    switch (typed) {
      case "in":
        return EventKind.IN;
      case "out":
        return EventKind.OUT;
      case "back":
        return EventKind.BACK;
      case "charge":
        return EventKind.CHARGE;
      case "revalue":
        return EventKind.REVALUE;
      default:
        fault(line, "event \"" + typed + "\" is not one of in, out, back, charge, revalue");
        return null;
    }
  }

  private Method method(String typed, int line) {
    if (typed.isEmpty()) return usual;
    Method method = CostCommand.method(typed);
    if (method == null) fault(line, "method \"" + typed + "\" is not one of fifo, average, lifo");
    return method == null ? usual : method;
  }

  private long number(
      String column, String typed, int places, boolean wanted, EventKind kind, int line) {
    if (typed.isEmpty() && !wanted) return 0;
    if (typed.isEmpty()) fault(line, column + " is empty; " + kind.word() + " needs one");
    else if (!wanted)
      fault(line, column + " \"" + typed + "\" is given; " + kind.word() + " has none");
    else return scaled(column, typed, places, line);
    return 0;
  }

  /** A plain decimal as a whole number of its smallest places. */
  private long scaled(String column, String typed, int places, int line) {
    int i = typed.charAt(0) == '-' ? 1 : 0;
    long number = 0;
    int after = -1;
    boolean any = false;
    try {
      for (; i < typed.length(); i++) {
        char c = typed.charAt(i);
        if ((c == '.' || c == ',' && decimalComma) && after < 0) {
          after = 0;
        } else if (c >= '0' && c <= '9') {
          any = true;
          if (after >= places) {
            if (c == '0') continue;
            fault(
                line,
                column + " \"" + typed + "\" has more than " + places + " digits after the point");
            return 0;
          }
          number = Math.addExact(Math.multiplyExact(number, 10), c - '0');
          if (after >= 0) after++;
        } else {
          any = false;
          break;
        }
      }
      if (!any) {
        fault(line, column + " \"" + typed + "\" is not a decimal number");
        return 0;
      }
      for (int n = Math.max(0, after); n < places; n++) number = Math.multiplyExact(number, 10);
    } catch (ArithmeticException tooLarge) {
      fault(line, column + " \"" + typed + "\" is too large");
      return 0;
    }
    return typed.charAt(0) == '-' ? -number : number;
  }
}
