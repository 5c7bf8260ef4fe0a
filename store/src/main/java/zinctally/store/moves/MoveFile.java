package zinctally.store.moves;

import java.io.IOException;
import java.io.Reader;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Method;
import zinctally.core.moves.Move;
import zinctally.core.number.Quantity;

/** Reads a movement file: RFC 4180 CSV in UTF-8, columns in any order. */
final class MoveFile {
  private static final List<String> COLUMNS =
      List.of("date", "item", "event", "quantity", "value", "ref", "target");
  final List<Move> moves = new ArrayList<>();
  final List<String> items = new ArrayList<>();
  final List<Method> methods = new ArrayList<>();
  final List<String> faults = new ArrayList<>();
  private final String name;
  private final Method usual;
  private final int digits;
  private final Map<String, Integer> itemsByName = new HashMap<>();
  private final Map<String, Integer> rowsByRef = new HashMap<>();
  private final Map<Integer, String> targets = new HashMap<>();
  private final Map<String, LocalDate> days = new HashMap<>();

  /**
   * @param digits of the currency
   * @throws IOException when it cannot be read
   */
  MoveFile(String name, Reader text, Method usual, int digits) throws IOException {
    this.name = name;
    this.usual = usual;
    this.digits = digits;
    try (CSVParser parser = CSVParser.parse(text, CSVFormat.RFC4180)) {
      read(parser);
    } catch (java.io.UncheckedIOException broken) {
      faults.add(name + ": not readable as CSV: " + broken.getCause().getMessage());
    }
  }

  private void read(CSVParser parser) {
    Map<String, Integer> at = new HashMap<>();
    boolean first = true;
    for (CSVRecord row : parser) {
      int line = (int) parser.getCurrentLineNumber();
      if (first) {
        first = false;
        for (int i = 0; i < row.size(); i++) {
          String heading = row.get(i).replace("\uFEFF", "").strip().toLowerCase(Locale.ROOT);
          if (!COLUMNS.contains(heading) && !heading.equals("method"))
            fault(line, "column \"" + row.get(i) + "\" is not known");
          else if (at.put(heading, i) != null)
            fault(line, "column \"" + heading + "\" stands twice");
        }
        for (String column : COLUMNS)
          if (!at.containsKey(column)) fault(line, "column \"" + column + "\" is missing");
        if (!faults.isEmpty()) return;
      } else if (row.size() > 1 || !row.get(0).isEmpty()) {
        move(row, at, line);
      }
    }
    if (first) faults.add(name + ":1: the file is empty; its first row must hold the headings");
    resolve();
  }

  private void fault(int line, String says) {
    faults.add(name + ":" + line + ": " + says);
  }

  private static String cell(CSVRecord row, Map<String, Integer> at, String column) {
    Integer i = at.get(column);
    return i == null || i >= row.size() ? "" : row.get(i);
  }

  private void move(CSVRecord row, Map<String, Integer> at, int line) {
    int before = faults.size();
    LocalDate date = day(cell(row, at, "date"), line);
    String item = cell(row, at, "item");
    if (item.isEmpty()) fault(line, "item is empty");
    EventKind kind = kind(cell(row, at, "event"), line);
    Method method = method(cell(row, at, "method"), line);
    long quantity = 0;
    long value = 0;
    if (kind != null) {
      boolean counts = kind == EventKind.IN || kind == EventKind.OUT || kind == EventKind.BACK;
      boolean valued = kind != EventKind.OUT && kind != EventKind.BACK;
      quantity = number(row, at, "quantity", Quantity.PLACES, counts, kind, line);
      value = number(row, at, "value", digits, valued, kind, line);
      if (counts && quantity <= 0 && faults.size() == before)
        fault(line, "quantity \"" + cell(row, at, "quantity") + "\" is not above zero");
      if (kind == EventKind.IN && value < 0)
        fault(line, "value \"" + cell(row, at, "value") + "\" is below zero");
    }
    String ref = cell(row, at, "ref");
    if (!ref.isEmpty() && rowsByRef.putIfAbsent(ref, moves.size()) != null)
      fault(
          line,
          "ref \"" + ref + "\" stands already on line " + moves.get(rowsByRef.get(ref)).line());
    String target = cell(row, at, "target");
    if (!target.isEmpty()) targets.put(moves.size(), target);
    Integer known = itemsByName.putIfAbsent(item, items.size());
    if (known == null) {
      items.add(item);
      methods.add(method);
    } else if (methods.get(known) != method) {
      fault(line, "item \"" + item + "\" is costed by another method above");
    }
    moves.add(new Move(line, date, itemsByName.get(item), kind, quantity, value, ref, -1));
  }

  private LocalDate day(String typed, int line) {
    LocalDate kept = days.get(typed);
    if (kept != null) return kept;
    try {
      LocalDate day = LocalDate.parse(typed);
      days.put(typed, day);
      return day;
    } catch (DateTimeParseException notADate) {
      fault(line, "date \"" + typed + "\" is not a date such as 2026-03-09");
      return LocalDate.MIN;
    }
  }

  private EventKind kind(String typed, int line) {
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
      CSVRecord row,
      Map<String, Integer> at,
      String column,
      int places,
      boolean wanted,
      EventKind kind,
      int line) {
    String typed = cell(row, at, column);
    String event = kind.name().toLowerCase(Locale.ROOT);
    if (typed.isEmpty()) {
      if (wanted) fault(line, column + " is empty; " + event + " needs one");
      return 0;
    }
    if (!wanted) {
      fault(line, column + " \"" + typed + "\" is given; " + event + " has none");
      return 0;
    }
    return scaled(column, typed, places, line);
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
        if (c == '.' && after < 0) {
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

  private void resolve() {
    for (int row = 0; row < moves.size(); row++) {
      Move move = moves.get(row);
      String target = targets.get(row);
      if (move.kind() == null) continue;
      if (target == null) {
        if (move.kind() == EventKind.BACK)
          fault(move.line(), "target is empty; back needs the out it returns");
        if (move.kind() == EventKind.CHARGE)
          fault(move.line(), "target is empty; charge needs the in it belongs to");
        continue;
      }
      Integer at = rowsByRef.get(target);
      EventKind needed =
          switch (move.kind()) {
            case BACK -> EventKind.OUT;
            case CHARGE, OUT -> EventKind.IN;
            case IN, REVALUE -> null;
          };
      if (needed == null)
        fault(move.line(), "target \"" + target + "\" is given; this event has none");
      else if (at == null) fault(move.line(), "target \"" + target + "\" is no ref in this file");
      else if (moves.get(at).kind() != needed)
        fault(
            move.line(),
            "target \"" + target + "\" is not an " + needed.name().toLowerCase(Locale.ROOT));
      else if (moves.get(at).item() != move.item())
        fault(move.line(), "target \"" + target + "\" belongs to another item");
      else
        moves.set(
            row,
            new Move(
                move.line(),
                move.date(),
                move.item(),
                move.kind(),
                move.quantity(),
                move.value(),
                move.ref(),
                at));
    }
  }
}
