package zinctally.store.posting;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.ledger.Centre;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Row;
import zinctally.store.sql.NewRow;
import zinctally.store.sql.Rows;

/** Heads and lines of posted papers. */
@Component
class PaperRows {
  private final JdbcClient sql;
  private final JdbcTemplate jdbc;

  PaperRows(JdbcClient sql, JdbcTemplate jdbc) {
    this.sql = sql;
    this.jdbc = jdbc;
  }

  /** What must be known of a posted paper to amend or void it. */
  record Posted(
      long id,
      PaperKind kind,
      String number,
      boolean isVoid,
      int version,
      LocalDate date,
      long sequence) {}

  /**
   * @param lock whether to hold it until the transaction ends
   */
  Optional<Posted> head(long id, boolean lock) {
    return sql.sql("select * from paper where id = ?" + (lock ? " for update" : ""))
        .param(id)
        .query(
            (row, n) ->
                new Posted(
                    id,
                    PaperKind.valueOf(row.getString("kind")),
                    row.getString("number"),
                    row.getString("state").equals("VOID"),
                    row.getInt("version"),
                    row.getObject("date", LocalDate.class),
                    row.getLong("sequence")))
        .optional();
  }

  void setVoid(long id) {
    sql.sql("update paper set state = 'VOID', stock_value = 0 where id = ?").param(id).update();
  }

  /**
   * Gives a paper its number. Numbers run by kind and year without gaps: the row they are counted
   * in stays locked until the posting ends.
   */
  String number(Paper paper, long id) {
    int year = paper.date().getYear();
    int last =
        sql.sql(
                "insert into paper_number values (?, ?, 1) on duplicate key update last = last + 1"
                    + " returning last")
            .params(paper.kind().name(), year)
            .query(Integer.class)
            .single();
    String number = paper.kind().prefix() + "-" + year + "-" + String.format("%04d", last);
    sql.sql("update paper set number = ? where id = ?").params(number, id).update();
    return number;
  }

  /**
   * Writes a new paper's head and returns its id. Until it is given its number it bears one that no
   * other has.
   */
  long add(
      Paper paper,
      long sequence,
      long stock,
      LocalDateTime now,
      String login,
      Optional<Long> till) {
    return NewRow.id(
        sql.sql(
                """
            insert into paper (kind, number, sequence, state, version, date, party_id, reference,
              due, place_id, net, tax, total, stock_value, posted_at, posted_by, seller, till_id)
            values (?, concat('~', ?), ?, 'POSTED', 1, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
            """)
            .params(paper.kind().name(), sequence, sequence)
            .params(head(paper, stock))
            .params(Arrays.asList(now, login, seller(paper, login), till.orElse(null))));
  }

  /** Who sold: named at the counter, of a return who sold what comes back, else who writes. */
  private String seller(Paper paper, String login) {
    if (!paper.seller().isEmpty() || paper.soldWith() == 0)
      return paper.seller().isEmpty() ? login : paper.seller();
    return sql.sql("select if(seller = '', ?, seller) from paper where id = ?")
        .params(login, paper.soldWith())
        .query(String.class)
        .single();
  }

  /** Puts a paper's head as its next version has it. */
  void amend(long id, int version, Paper paper, long stock) {
    sql.sql(
            """
            update paper set version = ?, date = ?, party_id = ?, reference = ?, due = ?,
              place_id = ?, net = ?, tax = ?, total = ?, stock_value = ? where id = ?
            """)
        .param(version)
        .params(head(paper, stock))
        .param(id)
        .update();
    if (!paper.seller().isEmpty())
      sql.sql("update paper set seller = ? where id = ?").params(paper.seller(), id).update();
  }

  private static List<Object> head(Paper paper, long stock) {
    Head head = paper.head();
    return Arrays.asList(
        paper.date(),
        paper.party().map(Party::id).orElse(null),
        head.reference(),
        head.due(),
        head.place() == null ? null : head.place().id(),
        head.net(),
        head.tax(),
        paper.total(),
        stock);
  }

  /**
   * @param centres that bear the lines, by line
   */
  void lines(Paper paper, long id, int version, Map<Integer, Centre> centres) {
    Rows.write(
        jdbc,
        "insert into paper_line (paper_id, version, line, item_id, account_id, place_id, wording,"
            + " quantity, unit, price, discount, net, tax, tax_rate_id, of_paper, of_line,"
            + " return_reason_id, centre_id) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
        paper.rows().stream()
            .map(row -> columns(row, id, version, centres.get(row.line())))
            .toList());
  }

  private static Object[] columns(Row row, long id, int version, @Nullable Centre centre) {
    return new Object[] {
      id,
      version,
      row.line(),
      row.item() == null ? null : row.item().id(),
      row.account(),
      row.place() == null ? null : row.place().id(),
      row.wording(),
      row.quantity() == null ? null : row.quantity().micros(),
      row.unit(),
      row.price(),
      row.discount(),
      row.net(),
      row.tax(),
      row.rate() == null ? null : row.rate().id(),
      row.from().isThere() ? row.from().paper() : null,
      row.from().isThere() ? row.from().line() : null,
      row.reason() == null ? null : row.reason().id(),
      centre == null ? null : centre.id()
    };
  }
}
