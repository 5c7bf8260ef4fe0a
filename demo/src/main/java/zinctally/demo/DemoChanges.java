package zinctally.demo;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.PaperText;
import zinctally.store.posting.Posting;
import zinctally.store.posting.Voiding;
import zinctally.store.prove.PeriodStore;

/**
 * What was found out afterwards in the demo's books: a bill forgotten, one with a wrong price, an
 * adjustment that was none, goods that have lost worth, and the months that are closed.
 */
@Component
class DemoChanges {
  private final DraftStore drafts;
  private final PaperText texts;
  private final Posting posting;
  private final Voiding voiding;
  private final PeriodStore periods;
  private final JdbcClient sql;

  DemoChanges(
      DraftStore drafts,
      PaperText texts,
      Posting posting,
      Voiding voiding,
      PeriodStore periods,
      JdbcClient sql) {
    this.drafts = drafts;
    this.texts = texts;
    this.posting = posting;
    this.voiding = voiding;
    this.periods = periods;
    this.sql = sql;
  }

  void write() {
    forgottenBill();
    wrongPrice();
    noBreakage();
    levels();
    lostWorth();
    try {
      for (int month = 9; month <= 12; month++)
        periods.close(LocalDate.of(2025, month, 1), "", "owner");
    } catch (PeriodStore.Wrong refused) {
      throw new IllegalStateException(refused);
    }
  }

  private long post(PaperKind kind, Map<String, String> fields, Map<String, String> row) {
    return Yes.post(posting, drafts, new Draft(kind, fields, List.of(row)), DemoPapers.LOGIN);
  }

  /** What the van should have on board. */
  private void levels() {
    sql.sql(
            """
            insert into item_place (item_id, place_id, least, most)
            select i.id, p.id, 30000000, 60000000 from item i join place p on p.name = 'Market van'
            where i.code in ('HNY-WF', 'JAR-22')
            """)
        .update();
  }

  /** Honey that came in March and was billed in November: every sale since costs a little more. */
  private void forgottenBill() {
    post(
        PaperKind.BILL,
        Map.of(
            "date", "2026-03-05",
            "supplier", "Moorland Hives",
            "their_number", "MH-1180",
            "place", "Barn store",
            "prices", "excluded"),
        Map.of("item", "HNY-WF", "quantity", "24", "price", "7.60", "tax", "Z"));
  }

  private void wrongPrice() {
    long bill =
        sql.sql("select max(id) from paper where kind = 'BILL' and number = 'B-2026-0050'")
            .query(Long.class)
            .single();
    Draft typed = texts.read(bill, 1, PaperKind.BILL);
    List<Map<String, String>> rows = new ArrayList<>(typed.rows());
    Map<String, String> first = new HashMap<>(rows.get(0));
    first.put(
        "price", new BigDecimal(first.get("price")).add(new BigDecimal("0.10")).toPlainString());
    rows.set(0, first);
    Draft next = new Draft(PaperKind.BILL, typed.fields(), rows);
    posting.post(drafts.beginAmending(bill, 1, next, DemoPapers.LOGIN), DemoPapers.LOGIN);
  }

  /** Three excluders written off as broken, then found behind the shelf. */
  private void noBreakage() {
    long paper =
        post(
            PaperKind.ADJUSTMENT,
            Map.of("date", "2026-11-19", "place", "Barn store"),
            Map.of("item", "QEX-01", "quantity", "-3", "reason", "Breakage"));
    voiding.voidPaper(
        paper, LocalDate.of(2026, 11, 19), "found behind the shelf", DemoPapers.LOGIN);
  }

  private void lostWorth() {
    post(
        PaperKind.WRITE_DOWN,
        Map.of("date", "2026-11-20"),
        Map.of(
            "item",
            "EXH-03",
            "price",
            "155",
            "to_sell",
            "8",
            "memo",
            "the new model sells better"));
  }
}
