package zinctally.web.prove;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.Month;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;
import zinctally.core.number.Coin;
import zinctally.core.number.Money;
import zinctally.core.statement.BookYear;
import zinctally.core.statement.Line;
import zinctally.core.statement.Statement;
import zinctally.store.book.Book;
import zinctally.store.book.BookStore;
import zinctally.web.file.Download;
import zinctally.web.file.OnPaper;
import zinctally.web.file.Sheets;
import zinctally.web.shell.PdfPages;
import zinctally.web.shell.Say;

/** Statements as files. */
@Component
class StatementFiles {
  private static final StatementLinks NOWHERE =
      new StatementLinks(true, LocalDate.EPOCH, new BookYear(Month.JANUARY));
  private final BookStore books;
  private final PdfPages pages;
  private final StatementWords words;
  private final Say say;

  StatementFiles(BookStore books, PdfPages pages, StatementWords words, Say say) {
    this.books = books;
    this.pages = pages;
    this.words = words;
    this.say = say;
  }

  /**
   * What is written.
   *
   * @param compared whether the first two columns have a difference
   * @param flows whether figures are of days from and to
   */
  record Whole(Statement statement, boolean compared, boolean flows, List<String> facts) {
    List<String> heads() {
      return StatementView.heads(statement, compared);
    }
  }

  void write(String form, Whole whole, OnPaper paper, OutputStream out) throws IOException {
    Book book = books.book();
    switch (form) {
      case "csv" -> csv(whole, paper, book.coin(), out);
      case "xlsx" -> xlsx(whole, paper, book.coin(), out);
      default -> pdf(whole, paper, book, out);
    }
  }

  private void csv(Whole whole, OnPaper paper, Coin coin, OutputStream out) throws IOException {
    CSVPrinter csv =
        new CSVPrinter(new OutputStreamWriter(out, StandardCharsets.UTF_8), CSVFormat.RFC4180);
    List<Object> heads = new ArrayList<>(List.of(""));
    heads.addAll(whole.heads());
    csv.printRecord(heads);
    for (Line line : whole.statement.lines()) {
      List<Object> cells = new ArrayList<>();
      cells.add(Download.harmless(line.words()));
      for (Money amount : line.amounts()) cells.add(coin.decimal(amount.minor()));
      if (whole.compared && !line.amounts().isEmpty()) {
        cells.add(line.difference().map(d -> coin.decimal(d.minor())).orElseThrow());
        line.percent().ifPresent(cells::add);
      }
      csv.printRecord(cells);
    }
    csv.printRecord(paper.titled(whole.statement.name()) + ". " + String.join(". ", whole.facts));
    csv.flush();
  }

  /** Sums are formulas, so that they follow what is changed in the sheet. */
  private void xlsx(Whole whole, OnPaper paper, Coin coin, OutputStream out) throws IOException {
    Workbook book = Sheets.book(out);
    Worksheet sheet =
        Sheets.sheet(book, paper.titled(whole.statement.name()), String.join(". ", whole.facts));
    List<String> heads = whole.heads();
    for (int c = 0; c < heads.size(); c++) Sheets.heading(sheet, c + 1, heads.get(c));
    List<Line> lines = whole.statement.lines();
    for (int n = 0; n < lines.size(); n++) {
      Line line = lines.get(n);
      int row = Sheets.ABOVE + 1 + n;
      sheet.value(row, 0, line.words());
      var style = sheet.style(row, 0).indent(line.depth());
      if (bold(line)) style = style.bold();
      style.set();
      for (int c = 0; c < line.amounts().size(); c++) amount(sheet, row, c + 1, line, c, coin);
      if (whole.compared && !line.amounts().isEmpty()) {
        int c = line.amounts().size() + 1;
        sheet.formula(row, c, sheet.range(row, 1, row, 1) + "-" + sheet.range(row, 2, row, 2));
        sheet.style(row, c).format(Sheets.money(coin)).set();
        Optional<BigDecimal> percent = line.percent();
        if (percent.isPresent()) sheet.value(row, c + 1, percent.get());
      }
    }
    sheet.width(0, 44);
    book.finish();
  }

  private static boolean bold(Line line) {
    return line.kind() != Line.Kind.ACCOUNT && line.kind() != Line.Kind.PROFIT;
  }

  private static void amount(Worksheet sheet, int row, int column, Line line, int c, Coin coin) {
    if (line.adds().isEmpty())
      sheet.value(row, column, coin.decimal(line.amounts().get(c).minor()));
    else sheet.formula(row, column, sum(sheet, line.adds(), column));
    var style = sheet.style(row, column).format(Sheets.money(coin));
    if (bold(line)) style = style.bold();
    style.set();
  }

  /** Lines that follow each other are one range. */
  private static String sum(Worksheet sheet, List<Integer> adds, int column) {
    List<String> ranges = new ArrayList<>();
    for (int i = 0; i < adds.size(); ) {
      int last = i;
      while (last + 1 < adds.size() && adds.get(last + 1) == adds.get(last) + 1) last++;
      int above = Sheets.ABOVE + 1;
      ranges.add(
          sheet.range(above + adds.get(i), column, above + adds.get(last), column).toString());
      i = last + 1;
    }
    return "SUM(" + String.join(",", ranges) + ")";
  }

  private void pdf(Whole whole, OnPaper paper, Book book, OutputStream out) throws IOException {
    Statement said = words.in(paper.locale(), whole.statement);
    Context context = new Context(paper.locale());
    context.setVariable("title", paper.titled(said.name()));
    context.setVariable("paper", paper);
    context.setVariable("book", book);
    context.setVariable("facts", whole.facts);
    context.setVariable("heads", StatementView.heads(said, whole.compared));
    context.setVariable("rows", StatementView.rows(said, whole.compared, NOWHERE, say));
    out.write(pages.tagged("prove/statement-print", context));
  }
}
