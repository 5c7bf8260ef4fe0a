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
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
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
  void send(
      String form,
      Listing listing,
      Ask ask,
      About about,
      OnPaper paper,
      HttpServletResponse response)
      throws IOException {
    Download.send(form, about.name, response, out -> write(form, listing, ask, about, paper, out));
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
            for (Listing.Subtotal level : Cells.ended(listing, ask.sort(), row))
              csv.printRecord(
                  listing.shown().stream()
                      .map(c -> Download.harmless(subtotal(c, level, row, coin)))
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

  private static Object subtotal(
      Column column, Listing.Subtotal level, Map<String, Object> row, Coin coin) {
    if (column.key().equals(level.by())) return row.get(level.by()) + ", in all";
    String sum = level.sums().get(column.key());
    return sum == null ? "" : plain(column, row.get(sum), coin);
  }

  private void xlsx(Listing listing, Ask ask, About about, Coin coin, OutputStream out)
      throws IOException {
    Workbook book = Sheets.book(out);
    Worksheet sheet = Sheets.sheet(book, about.name, String.join(". ", about.facts));
    List<Column> shown = listing.shown();
    for (int c = 0; c < shown.size(); c++) Sheets.heading(sheet, c, shown.get(c).heading());
    int[] at = {Sheets.ABOVE};
    long[] rows = {0};
    Map<String, Integer> begun = new HashMap<>();
    store.all(
        listing,
        ask,
        row -> {
          at[0]++;
          rows[0]++;
          for (int c = 0; c < shown.size(); c++)
            write(
                sheet,
                at[0],
                c,
                shown.get(c),
                plain(shown.get(c), row.get(shown.get(c).key()), coin),
                coin);
          for (Listing.Subtotal level : listing.subtotals(ask.sort()))
            begun.putIfAbsent(level.last(), at[0]);
          for (Listing.Subtotal level : Cells.ended(listing, ask.sort(), row)) {
            int first = Objects.requireNonNull(begun.remove(level.last()));
            at[0]++;
            for (int c = 0; c < shown.size(); c++)
              if (shown.get(c).key().equals(level.by())) {
                sheet.value(at[0], c, row.get(level.by()) + ", in all");
                sheet.style(at[0], c).bold().set();
              } else if (level.sums().containsKey(shown.get(c).key()))
                total(sheet, first, at[0] - 1, at[0], c, shown.get(c), coin);
          }
        });
    sheet.value(at[0] + 1, 0, "In all " + rows[0]);
    for (int c = 0; c < shown.size(); c++)
      if (shown.get(c).summed() && at[0] > Sheets.ABOVE)
        total(sheet, Sheets.ABOVE + 1, at[0], at[0] + 1, c, shown.get(c), coin);
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

  /** Adds itself up again when rows are taken out; sums within it do not count twice. */
  private static void total(
      Worksheet sheet, int first, int last, int row, int c, Column column, Coin coin) {
    sheet.formula(row, c, "SUBTOTAL(9," + sheet.range(first, c, last, c) + ")");
    sheet.style(row, c).bold().set();
    if (column.type() == Listing.Type.MONEY)
      sheet.style(row, c).bold().format(Sheets.money(coin)).set();
  }

  private void pdf(Listing listing, Ask ask, About about, OnPaper paper, OutputStream out)
      throws IOException {
    List<Cells.Row> rows = new ArrayList<>();
    Sums sums = new Sums(listing);
    store.all(
        listing,
        ask,
        row -> {
          sums.add(row);
          if (rows.size() < MOST_PRINTED) rows.addAll(cells.rows(listing, ask.sort(), row));
        });
    Context context = new Context();
    context.setVariable("about", about);
    context.setVariable("columns", listing.shown());
    context.setVariable("rows", rows);
    Totals totals = sums.totals();
    context.setVariable("foot", cells.foot(listing, totals, Integer.MAX_VALUE));
    context.setVariable("all", totals.rows() <= MOST_PRINTED);
    context.setVariable("paper", paper);
    context.setVariable("book", books.book());
    out.write(pages.tagged("listing/print", context));
  }
}
