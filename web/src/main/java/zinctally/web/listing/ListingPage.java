package zinctally.web.listing;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.math.BigDecimal;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import org.thymeleaf.context.Context;
import zinctally.core.number.Quantity;
import zinctally.store.book.BookStore;
import zinctally.store.listing.Listing;
import zinctally.store.listing.ListingStore;
import zinctally.web.shell.PdfPages;
import zinctally.web.shell.Say;

/** Shows a listing on a page, or sends it as a file when the address asks for one. */
@Component
public class ListingPage {
  private static final int MOST_PRINTED = 3000;
  private static final Pattern KEY = Pattern.compile("\\{(\\w+)}");
  private final ListingStore store;
  private final Say say;
  private final BookStore books;
  private final PdfPages pages;

  ListingPage(ListingStore store, Say say, BookStore books, PdfPages pages) {
    this.pages = pages;
    this.store = store;
    this.say = say;
    this.books = books;
  }

  /** One cell as it is shown; a whole one, such as a date or a number, never wraps. */
  public record Cell(String text, String href, boolean figure, boolean quiet, boolean whole) {}

  /**
   * A heading, where clicking it leads, and how it is sorted now: none, ascending or descending.
   */
  public record Head(String words, String key, String href, boolean figure, String sorted) {}

  /** All the template needs. */
  public record View(
      String name,
      String path,
      String filter,
      String sort,
      String keep,
      List<Head> heads,
      List<List<Cell>> rows,
      String next,
      String empty,
      boolean first) {}

  /**
   * Puts the view into the model as {@code list}; or writes a file and returns null for the view.
   *
   * @param template the page that shows the list; a request by htmx gets the rows alone
   */
  public String show(
      Listing listing,
      String template,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    ListingStore.Ask ask =
        new ListingStore.Ask(
            text(request, "filter"), text(request, "sort"), text(request, "after"));
    String as = text(request, "as");
    try {
      if (as.equals("csv")) return csv(listing, ask, response);
      if (as.equals("xlsx")) return xlsx(listing, ask, response);
      if (as.equals("pdf")) return pdf(listing, ask, response);
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
    model.addAttribute("list", view(listing, ask, request));
    return request.getHeader("HX-Request") != null ? "listing/table :: rows" : template;
  }

  private View view(Listing listing, ListingStore.Ask ask, HttpServletRequest request) {
    var page = store.page(listing, ask);
    String sort = ask.sort().isEmpty() ? listing.sort() : ask.sort();
    String keep = keep(request);
    String path = request.getRequestURI();
    List<Listing.Column> shown = listing.shown();
    List<Head> heads =
        shown.stream()
            .map(
                c -> {
                  boolean up = sort.equals(c.key());
                  boolean down = sort.equals("-" + c.key());
                  String turn = up ? "-" + c.key() : c.key();
                  return new Head(
                      c.heading(),
                      c.key(),
                      path + "?sort=" + turn + "&filter=" + encode(ask.filter()) + keep,
                      c.type().figure(),
                      up ? "ascending" : down ? "descending" : "none");
                })
            .toList();
    List<List<Cell>> rows =
        page.rows().stream().map(row -> shown.stream().map(c -> cell(c, row)).toList()).toList();
    String next =
        page.next() == null
            ? null
            : path
                + "?sort="
                + sort
                + "&filter="
                + encode(ask.filter())
                + keep
                + "&after="
                + encode(page.next());
    return new View(
        listing.name(),
        path,
        ask.filter(),
        sort,
        keep,
        heads,
        rows,
        next,
        listing.empty(),
        ask.after().isEmpty());
  }

  private Cell cell(Listing.Column column, Map<String, Object> row) {
    Object value = row.get(column.key());
    boolean named = value != null && !value.toString().isEmpty();
    String href = column.link().isEmpty() || !named ? null : link(column.link(), row);
    if (value == null) return new Cell("", null, column.type().figure(), true, false);
    return switch (column.type()) {
      case MONEY -> {
        long minor = ((Number) value).longValue();
        yield new Cell(say.money(minor), href, true, minor == 0, true);
      }
      case QUANTITY -> {
        long micros = ((Number) value).longValue();
        yield new Cell(say.quantity(micros), href, true, micros == 0, true);
      }
      case PERCENT -> new Cell(say.percent((BigDecimal) value), href, true, false, true);
      case NUMBER -> new Cell(String.valueOf(value), href, true, false, true);
      case TIME -> new Cell(say.moment((LocalDateTime) value), href, false, false, true);
      default -> {
        boolean whole =
            column.type() == Listing.Type.DATE || List.of("number", "code").contains(column.key());
        yield new Cell(String.valueOf(value), href, false, false, whole);
      }
    };
  }

  private static String link(String pattern, Map<String, Object> row) {
    Matcher keys = KEY.matcher(pattern);
    StringBuilder link = new StringBuilder();
    while (keys.find()) {
      if (row.get(keys.group(1)) == null) return null;
      keys.appendReplacement(
          link, Matcher.quoteReplacement(encode(String.valueOf(row.get(keys.group(1))))));
    }
    return keys.appendTail(link).toString();
  }

  private static String keep(HttpServletRequest request) {
    StringBuilder keep = new StringBuilder();
    request
        .getParameterMap()
        .forEach(
            (name, values) -> {
              if (!List.of("filter", "sort", "after", "as").contains(name))
                keep.append('&').append(encode(name)).append('=').append(encode(values[0]));
            });
    return keep.toString();
  }

  private static String text(HttpServletRequest request, String name) {
    String value = request.getParameter(name);
    return value == null ? "" : value.length() > 300 ? value.substring(0, 300) : value;
  }

  private static String encode(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8);
  }

  private Object plain(Listing.Column column, Object value) {
    if (value == null) return "";
    return switch (column.type()) {
      case MONEY -> books.book().coin().decimal(((Number) value).longValue());
      case QUANTITY -> new BigDecimal(new Quantity(((Number) value).longValue()).toString());
      default -> value;
    };
  }

  private String csv(Listing listing, ListingStore.Ask ask, HttpServletResponse response)
      throws IOException {
    head(response, "text/csv;charset=UTF-8", listing.name() + ".csv");
    Writer out = new OutputStreamWriter(response.getOutputStream(), StandardCharsets.UTF_8);
    CSVPrinter csv = new CSVPrinter(out, CSVFormat.RFC4180);
    csv.printRecord(listing.shown().stream().map(Listing.Column::heading).toList());
    store.all(
        listing,
        ask,
        row -> {
          try {
            csv.printRecord(
                listing.shown().stream().map(c -> harmless(plain(c, row.get(c.key())))).toList());
          } catch (IOException broken) {
            throw new UncheckedIOException(broken);
          }
        });
    csv.flush();
    return null;
  }

  /** A text that a spreadsheet would take for a formula gets a quote before it. */
  private static Object harmless(Object value) {
    return value instanceof String text && text.matches("[=+@\\t\\r-].*") ? "'" + text : value;
  }

  private String xlsx(Listing listing, ListingStore.Ask ask, HttpServletResponse response)
      throws IOException {
    head(
        response,
        "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
        listing.name() + ".xlsx");
    OutputStream out = response.getOutputStream();
    Workbook book = new Workbook(out, "Zinc Tally", "1.0");
    Worksheet sheet = book.newWorksheet(listing.name().length() > 31 ? "List" : listing.name());
    List<Listing.Column> shown = listing.shown();
    for (int c = 0; c < shown.size(); c++) sheet.value(0, c, shown.get(c).heading());
    int[] r = {0};
    store.all(
        listing,
        ask,
        row -> {
          r[0]++;
          for (int c = 0; c < shown.size(); c++) {
            Object value = plain(shown.get(c), row.get(shown.get(c).key()));
            if (value instanceof Number number) sheet.value(r[0], c, number);
            else sheet.value(r[0], c, String.valueOf(value));
          }
        });
    book.finish();
    return null;
  }

  private String pdf(Listing listing, ListingStore.Ask ask, HttpServletResponse response)
      throws IOException {
    List<List<Cell>> rows = new ArrayList<>();
    store.all(
        listing,
        ask,
        row -> {
          if (rows.size() < MOST_PRINTED)
            rows.add(listing.shown().stream().map(c -> cell(c, row)).toList());
        });
    head(response, "application/pdf", listing.name() + ".pdf");
    Context context = new Context();
    context.setVariable("list", listing);
    context.setVariable("filter", ask.filter());
    context.setVariable("book", books.book());
    context.setVariable("rows", rows);
    context.setVariable("all", rows.size() < MOST_PRINTED);
    response.getOutputStream().write(pages.of("listing/print", context));
    return null;
  }

  private static void head(HttpServletResponse response, String type, String name) {
    response.setContentType(type);
    response.setHeader(
        "Content-Disposition",
        "attachment; filename=\""
            + name.toLowerCase(java.util.Locale.ROOT).replaceAll("[^a-z0-9.]+", "-")
            + "\"");
  }
}
