package zinctally.web.listing;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.jspecify.annotations.Nullable;
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
import zinctally.web.file.Download;
import zinctally.web.file.OnPaper;
import zinctally.web.file.Sheets;
import zinctally.web.shell.PdfPages;
import zinctally.web.shell.Say;

/** A listing as a file: all that the filter lets through, what it comes to, and what it is. */
@Component
class ListingFiles {
  private static final int MOST_PRINTED = 3000;
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

  /** Sends the file that is asked for. */
  void send(String form, Listing listing, Ask ask, About about, HttpServletResponse response)
      throws IOException {
    Download.send(
        form, about.name, response, out -> write(form, listing, ask, about, OnPaper.PLAIN, out));
  }

  /** Writes the file that is asked for. */
  void write(String form, Listing listing, Ask ask, About about, OnPaper paper, OutputStream out)
      throws IOException {
    Book book = books.book();
    List<String> facts = new ArrayList<>(about.facts);
    facts.add(book.name());
    facts.add("Made " + say.moment(LocalDateTime.now(clock)));
    About whole = new About(paper.titled(about.name), facts);
    switch (form) {
      case "csv" -> csv(listing, ask, whole, book.coin(), out);
      case "xlsx" -> xlsx(listing, ask, whole, book.coin(), out);
      default -> pdf(listing, ask, whole, paper, out);
    }
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
                    .map(c -> Download.harmless(plain(c, row.get(c.key()), coin)))
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

  private void xlsx(Listing listing, Ask ask, About about, Coin coin, OutputStream out)
      throws IOException {
    Workbook book = Sheets.book(out);
    Worksheet sheet = Sheets.sheet(book, about.name, String.join(". ", about.facts));
    List<Column> shown = listing.shown();
    for (int c = 0; c < shown.size(); c++) Sheets.heading(sheet, c, shown.get(c).heading());
    int[] at = {Sheets.ABOVE};
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
    sheet.value(at[0] + 1, 0, "In all " + (at[0] - Sheets.ABOVE));
    for (int c = 0; c < shown.size(); c++)
      if (shown.get(c).summed() && at[0] > Sheets.ABOVE) total(sheet, at[0], c, shown.get(c), coin);
    book.finish();
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
      if (column.type() == Listing.Type.MONEY) sheet.style(row, c).format(Sheets.money(coin)).set();
    } else if (!String.valueOf(value).isEmpty()) sheet.value(row, c, String.valueOf(value));
  }

  /** Adds itself up again when rows are taken out. */
  private static void total(Worksheet sheet, int last, int c, Column column, Coin coin) {
    sheet.formula(last + 1, c, "SUM(" + sheet.range(Sheets.ABOVE + 1, c, last, c) + ")");
    sheet.style(last + 1, c).bold().set();
    if (column.type() == Listing.Type.MONEY)
      sheet.style(last + 1, c).format(Sheets.money(coin)).set();
  }

  private void pdf(Listing listing, Ask ask, About about, OnPaper paper, OutputStream out)
      throws IOException {
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
    context.setVariable("paper", paper);
    context.setVariable("book", books.book());
    out.write(pages.of("listing/print", context));
  }
}
