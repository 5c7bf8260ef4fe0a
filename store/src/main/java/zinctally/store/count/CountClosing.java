package zinctally.store.count;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import zinctally.core.number.Figures;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.Audit;
import zinctally.store.Refused;
import zinctally.store.Retrying;
import zinctally.store.paper.DraftStore;

/** Closes a count sheet and drafts the paper of its differences. */
@Service
public class CountClosing {
  private final JdbcClient sql;
  private final CountSheets sheets;
  private final CountLines lines;
  private final DraftStore drafts;
  private final Audit audit;
  private final Retrying retrying;

  CountClosing(
      JdbcClient sql,
      CountSheets sheets,
      CountLines lines,
      DraftStore drafts,
      Audit audit,
      Retrying retrying) {
    this.sql = sql;
    this.sheets = sheets;
    this.lines = lines;
    this.drafts = drafts;
    this.audit = audit;
    this.retrying = retrying;
  }

  /** What becomes of what was not counted. */
  public enum Uncounted {
    /** It stays as the book has it. */
    LEAVE,
    /** There is none of it. */
    NONE
  }

  /**
   * Nothing is added to the sheet from now on, and what is apart stands in a draft to be looked at
   * and posted. A sheet that is nowhere apart is done with this.
   *
   * @param uncounted empty when everything is counted
   * @return the draft's id; empty when nothing is apart
   * @throws Refused when nothing is counted, a second count is wanted, or it is not said what
   *     becomes of what was not counted
   */
  public Optional<Long> close(long id, Optional<Uncounted> uncounted, String login) {
    return retrying.run(
        () -> {
          String state =
              sql.sql("select state from count_sheet where id = ? for update")
                  .param(id)
                  .query(String.class)
                  .single();
          if (!state.equals(CountSheet.State.OPEN.name()))
            refuse("Count " + id + " is not open any more.");
          CountSheets.Progress progress = sheets.progress(id);
          if (progress.counted() == 0) refuse("Nothing is counted yet.");
          long wanted = lines.sums(id).wanted();
          if (wanted > 0)
            refuse(
                "A second count is wanted of "
                    + wanted
                    + (wanted == 1 ? " line" : " lines")
                    + "; count again, or take them as they are.");
          if (progress.left() > 0) left(id, uncounted, login);
          return draft(sheets.find(id).orElseThrow(), login);
        });
  }

  private void left(long sheet, Optional<Uncounted> uncounted, String login) {
    Uncounted choice =
        uncounted.orElseThrow(
            () ->
                Refused.because(
                    "Not everything is counted: does the rest stay, or is there none?"));
    if (choice == Uncounted.LEAVE) return;
    sql.sql(
            """
            insert into count_entry (line_id, round, quantity, expected, by_login)
            select l.id, l.round, 0, %s, ? from %s where s.id = ? and l.counted is null
            """
                .formatted(CountLines.HELD_NOW, CountLines.FROM))
        .params(login, sheet)
        .update();
    sql.sql(
            """
            update count_line l join count_sheet s on s.id = l.sheet_id
            set l.expected = %s, l.counted = 0, l.counted_at = now(3), l.counted_by = ?
            where s.id = ? and l.counted is null
            """
                .formatted(CountLines.HELD_NOW))
        .params(login, sheet)
        .update();
  }

  private Optional<Long> draft(CountSheet sheet, String login) {
    List<CountLine> apart = lines.apart(sheet.id());
    Optional<Long> draft = Optional.empty();
    if (!apart.isEmpty()) {
      Map<Long, String> reasons = reasons();
      Map<String, String> fields =
          Map.of(
              "date", sheet.date().toString(),
              "place", sheet.placeName(),
              "sheet", String.valueOf(sheet.id()));
      draft =
          Optional.of(
              drafts.begin(
                  new Draft(
                      PaperKind.STOCK_COUNT,
                      fields,
                      apart.stream().map(line -> row(line, reasons)).toList()),
                  login));
    }
    sql.sql("update count_sheet set state = ?, draft_id = ? where id = ?")
        .param((apart.isEmpty() ? CountSheet.State.POSTED : CountSheet.State.CLOSED).name())
        .param(draft.orElse(null))
        .param(sheet.id())
        .update();
    audit.write(login, "count", sheet.id(), "close", apart.size() + " lines apart");
    return draft;
  }

  private static Map<String, String> row(CountLine line, Map<Long, String> reasons) {
    Map<String, String> row = new HashMap<>();
    Quantity counted = line.apart().plus(line.expected());
    row.put("item", line.code());
    row.put("expected", plain(line.expected()));
    row.put("counted", plain(counted));
    if (!line.lotCode().isEmpty()) row.put("numbers", line.lotCode());
    if (line.reason() != null) row.put("reason", reasons.getOrDefault(line.reason(), ""));
    return row;
  }

  private static String plain(Quantity quantity) {
    return Figures.plain(quantity.decimal().stripTrailingZeros());
  }

  private Map<Long, String> reasons() {
    Map<Long, String> reasons = new HashMap<>();
    sql.sql("select id, name from reason")
        .query(
            row -> {
              reasons.put(row.getLong(1), row.getString(2));
            });
    return reasons;
  }

  private static void refuse(String says) {
    throw Refused.because(says);
  }
}
