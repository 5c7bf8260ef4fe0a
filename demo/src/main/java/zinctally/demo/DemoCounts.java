package zinctally.demo;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.number.Quantity;
import zinctally.store.count.CountClosing;
import zinctally.store.count.CountLine;
import zinctally.store.count.CountLines;
import zinctally.store.count.CountSheet;
import zinctally.store.count.CountSheets;
import zinctally.store.count.Counting;
import zinctally.store.count.Scope;
import zinctally.store.count.StockClasses;
import zinctally.store.posting.Posting;

/** What is counted in the demo book: a group each month, the barn being counted at the end. */
@Component
class DemoCounts {
  private static final List<String> GROUPS =
      List.of(
          "Jars and labels",
          "Hives and boxes",
          "Frames and foundation",
          "Tools and smokers",
          "Treatments",
          "Honey and wax");
  private static final String[] PEOPLE = {"bookkeeper", "counter", "owner"};
  private final Random dice = new Random(14);
  private final CountSheets sheets;
  private final CountLines lines;
  private final Counting counting;
  private final CountClosing closing;
  private final StockClasses classes;
  private final Posting posting;
  private final JdbcClient sql;
  private int counts;

  DemoCounts(
      CountSheets sheets,
      CountLines lines,
      Counting counting,
      CountClosing closing,
      StockClasses classes,
      Posting posting,
      JdbcClient sql) {
    this.sheets = sheets;
    this.lines = lines;
    this.counting = counting;
    this.closing = closing;
    this.classes = classes;
    this.posting = posting;
    this.sql = sql;
  }

  /** On a Thursday in the middle of each month one group is counted. */
  void day(LocalDate day) {
    if (day.getDayOfMonth() < 15 || day.getDayOfMonth() > 21 || day.getDayOfWeek().getValue() != 4)
      return;
    String group = GROUPS.get(counts++ % GROUPS.size());
    long sheet = begin(day, Scope.GROUP, group);
    for (CountLine line : lines.page(sheet, CountLines.Which.ALL, "", 0, 500)) count(sheet, line);
    closing
        .close(sheet, Optional.of(CountClosing.Uncounted.LEAVE), DemoPapers.LOGIN)
        .ifPresent(draft -> posting.post(draft, DemoPapers.LOGIN));
    dated(sheet, day);
  }

  /** The count that goes on at the end of the book. */
  void open(LocalDate day) {
    long sheet = begin(day, Scope.ALL, "");
    int at = 0;
    for (CountLine line : lines.page(sheet, CountLines.Which.ALL, "", 0, 500))
      if (at++ % 5 < 3) count(sheet, line);
    classes.renew();
  }

  private long begin(LocalDate day, Scope scope, String value) {
    return sheets.begin(
        new CountSheets.Wanted(
            "Barn store", day, scope, value, new CountSheet.Rules(false, true, null, 10_000L)),
        DemoPapers.LOGIN);
  }

  /** Now and then a few are missing, and more seldom one is over. */
  private void count(long sheet, CountLine line) {
    long here = line.expected().micros() / Quantity.ONE;
    if (here < 0) return;
    int off = dice.nextInt(12);
    long apart = off < 2 ? -1 - dice.nextInt(2) : off == 2 && !line.serial() ? 1 : 0;
    long counted = line.expected().micros() + Math.max(-here, here > 4 ? apart : 0) * Quantity.ONE;
    counting.enter(
        sheet,
        new Counting.Counted(line.item(), line.lot(), new Quantity(counted), "", null),
        PEOPLE[dice.nextInt(PEOPLE.length)]);
  }

  /** They were counted on the day of their sheet. */
  private void dated(long sheet, LocalDate day) {
    sql.sql("update count_line set counted_at = ? where sheet_id = ?")
        .params(day.atTime(17, 5), sheet)
        .update();
    sql.sql(
            """
            update count_entry e join count_line l on l.id = e.line_id
            set e.at = l.counted_at where l.sheet_id = ?
            """)
        .param(sheet)
        .update();
    sql.sql("update count_sheet set begun_at = ? where id = ?")
        .params(day.atTime(16, 0), sheet)
        .update();
  }
}
