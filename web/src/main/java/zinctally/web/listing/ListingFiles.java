package zinctally.web.listing;

import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;
import zinctally.core.number.Coin;
import zinctally.core.number.Quantity;
import zinctally.store.book.Book;
import zinctally.store.book.BookStore;
import zinctally.store.listing.Ask;
import zinctally.store.listing.Listing;
import zinctally.store.listing.Listing.Column;
import zinctally.store.listing.ListingStore;
import zinctally.store.listing.Sums;
import zinctally.store.listing.Totals;
import zinctally.web.shell.PdfPages;
import zinctally.web.shell.Say;

/** A listing as a file: all that the filter lets through, what it comes to, and what it is. */
@Component
class ListingFiles {
  static final List<String> FORMS = List.of("csv", "xlsx", "pdf");
  private static final Map<String, String> TYPES =
      Map.of(
          "csv",
          "text/csv;charset=UTF-8",
          "xlsx",
          "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
          "pdf",
          MediaType.APPLICATION_PDF_VALUE);
  private static final int MOST_PRINTED = 3000;
  private static final int ABOVE = 3; // rows over the headings of a sheet
  private final ListingStore store;
  private final Cells cells;
  private final BookStore books;
  private final PdfPages pages;
  private final Say say;
  private final Clock clock;

  ListingFiles(
      ListingStore store, Cells cells, BookStore books, PdfPages pages, Say say, Clock clock) {
    this.store = store;
    this.cells = cells;
    this.books = books;
    this.pages = pages;
    this.say = say;
    this.clock = clock;
  }

  /**
   * @param facts the day it stands for and what it leaves out
   */
  record About(String name, List<String> facts) {}

  /**
   * Writes the file that is asked for. It is made whole before it is sent, so that who reads slowly
   * holds nothing up.
   */
  void send(String form, Listing listing, Ask ask, About about, HttpServletResponse response)
      throws IOException {
    Book book = books.book();
    List<String> facts = new ArrayList<>(about.facts);
    facts.add(book.name());
    facts.add("Made " + say.moment(LocalDateTime.now(clock)));
    About whole = new About(about.name, facts);
    Path file = Files.createTempFile("zinc-list", "." + form);
    try {
      make(file, form, listing, ask, whole, book.coin());
      response.setHeader(
          HttpHeaders.CONTENT_DISPOSITION,
          ContentDisposition.attachment().filename(fileName(about.name, form)).build().toString());
      response.setContentType(TYPES.get(form));
      response.setContentLengthLong(Files.size(file));
      Files.copy(file, response.getOutputStream());
    } finally {
      Files.delete(file);
    }
  }

  private void make(Path file, String form, Listing listing, Ask ask, About about, Coin coin)
      throws IOException {
    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
      switch (form) {
        case "csv" -> csv(listing, ask, about, coin, out);
        case "xlsx" -> xlsx(listing, ask, about, coin, out);
        default -> pdf(listing, ask, about, out);
      }
    }
  }

  private static String fileName(String name, String form) {
    String plain =
        name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
    return (plain.isEmpty() ? "list" : plain) + "." + form;
  }

  private static Object plain(Column column, @Nullable Object value, Coin coin) {
    if (value == null) return "";
    return switch (column.type()) {
      case MONEY -> coin.decimal(((Number) value).longValue());
      case QUANTITY -> new Quantity(((Number) value).longValue()).decimal();
      case PRICE -> coin.price((BigDecimal) value);
      default -> value;
    };
  }

  /** The last rows: what it comes to and what it is, so that headings stay the first row. */
  private void csv(Listing listing, Ask ask, About about, Coin coin, OutputStream out)
      throws IOException {
    CSVPrinter csv =
        new CSVPrinter(new OutputStreamWriter(out, StandardCharsets.UTF_8), CSVFormat.RFC4180);
    csv.printRecord(listing.shown().stream().map(Column::heading).toList());
    Sums sums = new Sums(listing);
    store.all(
        listing,
        ask,
        row -> {
          sums.add(row);
          try {
            csv.printRecord(
                listing.shown().stream()
                    .map(c -> harmless(plain(c, row.get(c.key()), coin)))
                    .toList());
          } catch (IOException broken) {
            throw new UncheckedIOException(broken);
          }
        });
    Totals totals = sums.totals();
    List<Object> foot = new ArrayList<>();
    for (Column c : listing.shown())
      foot.add(
          c.summed()
              ? plain(c, totals.sums().get(c.key()), coin)
              : foot.isEmpty() ? "In all " + totals.rows() : "");
    csv.printRecord(foot);
    csv.printRecord(about.name + ". " + String.join(". ", about.facts));
    csv.flush();
  }

  /** A text that a spreadsheet would take for a formula gets a quote before it. */
  static Object harmless(Object value) {
    return value instanceof String text
            && !text.isEmpty()
            && "=+-@\t\r\n".indexOf(text.charAt(0)) >= 0
        ? "'" + text
        : value;
  }

  private void xlsx(Listing listing, Ask ask, About about, Coin coin, OutputStream out)
      throws IOException {
    Workbook book = new Workbook(out, "Zinc Tally", "1.0");
    Worksheet sheet = book.newWorksheet(sheetName(about.name));
    sheet.value(0, 0, about.name);
    sheet.style(0, 0).bold().set();
    sheet.value(1, 0, String.join(". ", about.facts));
    List<Column> shown = listing.shown();
    for (int c = 0; c < shown.size(); c++) {
      sheet.value(ABOVE, c, shown.get(c).heading());
      sheet.style(ABOVE, c).bold().set();
    }
    sheet.freezePane(0, ABOVE + 1);
    int[] at = {ABOVE};
    store.all(
        listing,
        ask,
        row -> {
          at[0]++;
          for (int c = 0; c < shown.size(); c++)
            write(
                sheet,
                at[0],
                c,
                shown.get(c),
                plain(shown.get(c), row.get(shown.get(c).key()), coin),
                coin);
        });
    sheet.value(at[0] + 1, 0, "In all " + (at[0] - ABOVE));
    for (int c = 0; c < shown.size(); c++)
      if (shown.get(c).summed() && at[0] > ABOVE) total(sheet, at[0], c, shown.get(c), coin);
    book.finish();
  }

  /** What a spreadsheet takes for the name of a sheet: at most 31 letters, none of some signs. */
  private static String sheetName(String name) {
    String plain = name.replaceAll("[\\\\/?*\\[\\]:']", " ").strip();
    String cut = plain.length() > 31 ? plain.substring(0, 31).strip() : plain;
    return cut.isEmpty() ? "List" : cut;
  }

  private static String money(Coin coin) {
    return coin.digits() == 0 ? "#,##0" : "#,##0." + "0".repeat(coin.digits());
  }

  private static void write(
      Worksheet sheet, int row, int c, Column column, Object value, Coin coin) {
    if (value instanceof LocalDate date) {
      sheet.value(row, c, date);
      sheet.style(row, c).format("yyyy-mm-dd").set();
    } else if (value instanceof LocalDateTime at) {
      sheet.value(row, c, at);
      sheet.style(row, c).format("yyyy-mm-dd hh:mm").set();
    } else if (value instanceof Number number) {
      sheet.value(row, c, number);
      if (column.type() == Listing.Type.MONEY) sheet.style(row, c).format(money(coin)).set();
    } else if (!String.valueOf(value).isEmpty()) sheet.value(row, c, String.valueOf(value));
  }

  /** Adds itself up again when rows are taken out. */
  private static void total(Worksheet sheet, int last, int c, Column column, Coin coin) {
    sheet.formula(last + 1, c, "SUM(" + sheet.range(ABOVE + 1, c, last, c) + ")");
    sheet.style(last + 1, c).bold().set();
    if (column.type() == Listing.Type.MONEY) sheet.style(last + 1, c).format(money(coin)).set();
  }

  private void pdf(Listing listing, Ask ask, About about, OutputStream out) throws IOException {
    List<List<Cells.Cell>> rows = new ArrayList<>();
    Sums sums = new Sums(listing);
    store.all(
        listing,
        ask,
        row -> {
          sums.add(row);
          if (rows.size() < MOST_PRINTED) rows.add(cells.row(listing, row));
        });
    Context context = new Context();
    context.setVariable("about", about);
    context.setVariable("columns", listing.shown());
    context.setVariable("rows", rows);
    Totals totals = sums.totals();
    context.setVariable("foot", cells.foot(listing, totals));
    context.setVariable("all", totals.rows() <= MOST_PRINTED);
    out.write(pages.of("listing/print", context));
  }
}
