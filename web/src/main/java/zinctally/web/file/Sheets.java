package zinctally.web.file;

import java.io.OutputStream;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import zinctally.core.number.Coin;

/** What spreadsheets that are handed out have in common. */
public final class Sheets {
  /** Rows over the headings: the name, what it is, and an empty one. */
  public static final int ABOVE = 3;

  private Sheets() {}

  public static Workbook book(OutputStream out) {
    return new Workbook(out, "Zinc Tally", "1.0");
  }

  /** A sheet with its name and what it is over the headings, which stay in sight. */
  public static Worksheet sheet(Workbook book, String name, String facts) {
    Worksheet sheet = book.newWorksheet(sheetName(name));
    sheet.value(0, 0, name);
    sheet.style(0, 0).bold().set();
    sheet.value(1, 0, facts);
    sheet.freezePane(0, ABOVE + 1);
    return sheet;
  }

  /** What a spreadsheet takes for the name of a sheet: at most 31 letters, none of some signs. */
  private static String sheetName(String name) {
    String plain = name.replaceAll("[\\\\/?*\\[\\]:']", " ").strip();
    String cut = plain.length() > 31 ? plain.substring(0, 31).strip() : plain;
    return cut.isEmpty() ? "List" : cut;
  }

  /** The format of amounts. */
  public static String money(Coin coin) {
    return coin.digits() == 0 ? "#,##0" : "#,##0." + "0".repeat(coin.digits());
  }

  public static void heading(Worksheet sheet, int column, String words) {
    sheet.value(ABOVE, column, words);
    sheet.style(ABOVE, column).bold().set();
  }
}
