package zinctally.demo;

import java.io.IOException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.paper.DraftStore;

/**
 * Writes the demo book, Wickmere Bee Yard: its opening goes through the import anyone uses, its
 * papers through the posting anyone uses. The same on every run; all names are invented.
 */
@Component
public class DemoBook {
  private static final Logger LOG = LoggerFactory.getLogger(DemoBook.class);

  private static final LocalDate END = LocalDate.of(2026, 11, 20);

  private final DraftStore drafts;

  private final DemoChanges changes;

  private final DemoBuying buying;

  private final DemoTrade trade;

  private final DemoSelling selling;

  private final DemoOpening opening;
  private final DemoDays days;
  private final DemoCounts counts;
  private final DemoMaking making;
  private final DemoMending mending;
  private final DemoConsigning consigning;
  private final DemoTax tax;

  DemoBook(
      DraftStore drafts,
      DemoOpening opening,
      DemoDays days,
      DemoCounts counts,
      DemoMaking making,
      DemoMending mending,
      DemoConsigning consigning,
      DemoTax tax,
      DemoChanges changes,
      DemoBuying buying,
      DemoTrade trade,
      DemoSelling selling) {
    this.drafts = drafts;
    this.opening = opening;
    this.days = days;
    this.counts = counts;
    this.making = making;
    this.mending = mending;
    this.consigning = consigning;
    this.tax = tax;
    this.changes = changes;
    this.buying = buying;
    this.trade = trade;
    this.selling = selling;
  }

  /** Writes the whole book into an empty database. */
  public void write() throws IOException {
    opening.write();
    int papers = 0;
    for (LocalDate day = DemoOpening.CUT_OVER.plusDays(1); !day.isAfter(END); day = day.plusDays(1))
      if (day.getDayOfWeek() != DayOfWeek.SUNDAY) {
        papers += days.day(day);
        trade.day(day);
        making.day(day);
        mending.day(day);
        consigning.day(day);
        counts.day(day);
        tax.day(day);
      }
    begin(
        PaperKind.BILL,
        Map.of(
            "supplier",
            "Orrin Joinery",
            "their_number",
            "OJ-2207",
            "date",
            END.toString(),
            "place",
            "Barn store",
            "prices",
            "excluded"),
        List.of(
            row("BBX-10", "20", "18.60"),
            row("FRD-01", "6 cs", "41.00"),
            row("HST-02", "12", "9.25")));
    changes.write();
    buying.write();
    selling.write();
    mending.write();
    consigning.write();
    counts.open(END);
    LOG.info("The demo book is written: {} papers after the opening.", papers);
  }

  private static Map<String, String> row(String item, String quantity, String price) {
    Map<String, String> row = new HashMap<>();
    row.put("item", item);
    row.put("quantity", quantity);
    row.put("price", price);
    return row;
  }

  private long begin(PaperKind kind, Map<String, String> fields, List<Map<String, String>> rows) {
    return drafts.begin(new Draft(kind, fields, rows), DemoPapers.LOGIN);
  }
}
