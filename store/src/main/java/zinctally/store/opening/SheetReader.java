package zinctally.store.opening;

import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.StringReader;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import zinctally.core.number.Form;
import zinctally.core.papers.opening.Sheet;

/** Reads a table out of a file or a paste. */
public final class SheetReader {
  public static final int MOST_ROWS = 50_000;
  private static final int MOST_COLUMNS = 60;
  private static final int LONGEST_CELL = 2000;
  private static final int MOST_LETTERS = 16_000_000;
  private static final String BROKEN =
      "This spreadsheet cannot be read; save it again as XLSX or CSV.";

  /** A file that holds no table we can read; the message is a sentence for people. */
  public static final class Unreadable extends Exception {
    Unreadable(String message) {
      super(message);
    }
  }

  private SheetReader() {}

  /**
   * @param name the file's name, whose ending is held against its contents
   * @throws Unreadable when it is empty, too long, or not what its name says
   */
  public static Sheet file(String name, byte[] bytes) throws Unreadable {
    if (bytes.length == 0) throw new Unreadable("The file is empty.");
    boolean zip = bytes.length > 3 && bytes[0] == 'P' && bytes[1] == 'K';
    boolean named = name.toLowerCase(java.util.Locale.ROOT).endsWith(".xlsx");
    if (named && !zip)
      throw new Unreadable(
          "Its name ends in .xlsx but it is not such a file; save it as XLSX or CSV again.");
    if (zip) return workbook(bytes);
    if (bytes.length > 1 && bytes[0] == (byte) 0xD0 && bytes[1] == (byte) 0xCF)
      throw new Unreadable("This is a spreadsheet of the old .xls kind; save it as XLSX or CSV.");
    return text(decoded(bytes));
  }

  private static String decoded(byte[] bytes) throws Unreadable {
    if (bytes.length > 1
        && ((bytes[0] == (byte) 0xFF && bytes[1] == (byte) 0xFE)
            || (bytes[0] == (byte) 0xFE && bytes[1] == (byte) 0xFF)))
      return new String(bytes, StandardCharsets.UTF_16);
    for (byte b : bytes)
      if (b == 0)
        throw new Unreadable("This is no text file; CSV, XLSX or pasted rows can be read.");
    try {
      String text =
          StandardCharsets.UTF_8
              .newDecoder()
              .onMalformedInput(CodingErrorAction.REPORT)
              .decode(ByteBuffer.wrap(bytes))
              .toString();
      return text.startsWith("\uFEFF") ? text.substring(1) : text;
    } catch (CharacterCodingException notUtf8) {
      return new String(bytes, java.nio.charset.Charset.forName("windows-1252"));
    }
  }

  /** CSV with commas or semicolons, or rows copied from a spreadsheet, with tabs. */
  public static Sheet text(String text) throws Unreadable {
    if (text.isBlank()) throw new Unreadable("There is nothing in it.");
    String first = text.strip().lines().findFirst().orElse("");
    CSVFormat format =
        CSVFormat.RFC4180
            .builder()
            .setDelimiter(separator(first))
            .setIgnoreEmptyLines(true)
            .setTrim(true)
            .get();
    Rows rows = new Rows();
    try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
      for (CSVRecord record : parser) rows.add(record.toList());
    } catch (IOException | java.io.UncheckedIOException broken) {
      throw new Unreadable(
          "Row " + (rows.seen + 1) + " cannot be read: a quotation mark is not closed.");
    }
    return rows.sheet(Optional.empty());
  }

  /** The sign that parts the cells of a text with this first line: tab, semicolon or comma. */
  public static char separator(String first) {
    if (first.indexOf('\t') >= 0) return '\t';
    return count(first, ';') > count(first, ',') ? ';' : ',';
  }

  private static long count(String text, char wanted) {
    return text.chars().filter(c -> c == wanted).count();
  }

  private static Sheet workbook(byte[] bytes) throws Unreadable {
    Rows rows = new Rows();
    try {
      Packed.check(bytes);
    } catch (IOException broken) {
      throw new Unreadable(BROKEN);
    }
    try (ReadableWorkbook book =
            new ReadableWorkbook(new BufferedInputStream(new ByteArrayInputStream(bytes)));
        var stream = book.getFirstSheet().openStream()) {
      for (var all = stream.iterator(); all.hasNext(); ) {
        Row row = all.next();
        List<String> cells = new ArrayList<>();
        for (Cell cell : row) cells.add(cell == null ? "" : plain(cell));
        rows.add(cells);
      }
    } catch (IOException | RuntimeException broken) {
      throw new Unreadable(BROKEN);
    }
    return rows.sheet(Optional.of(Form.POINT));
  }

  /** A formula counts as the value it last had. */
  private static String plain(Cell cell) {
    if (cell.getValue() instanceof java.math.BigDecimal number)
      return number.round(new java.math.MathContext(15)).stripTrailingZeros().toPlainString();
    String text = cell.getText();
    return text == null ? "" : text;
  }

  /** Rows as they are read, with bounds. */
  private static final class Rows {
    private final List<List<String>> all = new ArrayList<>();
    private int seen;
    private long letters;

    void add(List<String> cells) throws Unreadable {
      seen++;
      int columns = cells.size();
      while (columns > 0 && cells.get(columns - 1).isBlank()) columns--;
      if (columns == 0) return;
      if (all.size() > MOST_ROWS)
        throw new Unreadable("There are more than " + MOST_ROWS + " rows; bring them in in parts.");
      if (columns > MOST_COLUMNS)
        throw new Unreadable(
            "There are more than " + MOST_COLUMNS + " columns; is this the right file?");
      for (String cell : cells.subList(0, columns)) {
        if (cell.length() > LONGEST_CELL)
          throw new Unreadable(
              "Row "
                  + seen
                  + " has a cell of "
                  + cell.length()
                  + " letters; nothing that is read here has more than "
                  + LONGEST_CELL
                  + ".");
        letters += cell.length();
      }
      if (letters > MOST_LETTERS)
        throw new Unreadable("There is more in it than can be read at once; bring it in in parts.");
      all.add(List.copyOf(cells.subList(0, columns)));
    }

    Sheet sheet(Optional<Form> form) throws Unreadable {
      if (all.size() < 2)
        throw new Unreadable("The first row must hold headings, and at least one row must follow.");
      List<String> headings = new ArrayList<>(all.get(0));
      int widest = all.stream().mapToInt(List::size).max().orElse(0);
      while (headings.size() < widest) headings.add("");
      return new Sheet(List.copyOf(headings), all.subList(1, all.size()), form);
    }
  }
}
