package zinctally.store.posting;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Component;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Adjustment;
import zinctally.core.papers.Charge;
import zinctally.core.papers.CounterSale;
import zinctally.core.papers.Delivery;
import zinctally.core.papers.Flow;
import zinctally.core.papers.OpeningStock;
import zinctally.core.papers.Order;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Payment;
import zinctally.core.papers.Place;
import zinctally.core.papers.Receipt;
import zinctally.core.papers.Recosting;
import zinctally.core.papers.Return;
import zinctally.core.papers.ReturnReason;
import zinctally.core.papers.StartTracking;
import zinctally.core.papers.SupplierCredit;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.Trade;
import zinctally.core.papers.WriteDown;

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
  record Head(
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
  Optional<Head> head(long id, boolean lock) {
    return sql.sql("select * from paper where id = ?" + (lock ? " for update" : ""))
        .param(id)
        .query(
            (row, n) ->
                new Head(
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

  /** Writes one line into the audit trail. */
  void audit(LocalDateTime at, String login, long paper, String what, String after) {
    sql.sql(
            "insert into audit (at, login, subject, subject_id, what, after_text)"
                + " values (?, ?, 'paper', ?, ?, ?)")
        .params(at, login, paper, what, after)
        .update();
  }

  /** Numbers run by kind and year without gaps: the row stays locked until the posting ends. */
  String number(Paper paper) {
    int year = paper.date().getYear();
    int last =
        sql.sql(
                "insert into paper_number values (?, ?, 1) on duplicate key update last = last + 1"
                    + " returning last")
            .params(paper.kind().name(), year)
            .query(Integer.class)
            .single();
    return paper.kind().prefix() + "-" + year + "-" + String.format("%04d", last);
  }

  /** Writes a new paper's head and returns its id. */
  long add(
      Paper paper,
      String number,
      long sequence,
      long stock,
      LocalDateTime now,
      String login,
      Optional<Long> till) {
    GeneratedKeyHolder key = new GeneratedKeyHolder();
    sql.sql(
            """
            insert into paper (kind, number, sequence, state, version, date, party_id, reference,
              due, place_id, net, tax, total, stock_value, posted_at, posted_by, seller, till_id)
            values (?, ?, ?, 'POSTED', 1, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
            """)
        .params(paper.kind().name(), number, sequence)
        .params(head(paper, stock))
        .params(Arrays.asList(now, login, seller(paper, login), till.orElse(null)))
        .update(key, "id");
    return key.getKey().longValue();
  }

  /** Who sold: named at the counter, of a return who sold what comes back, else who writes. */
  private String seller(Paper paper, String login) {
    if (paper instanceof CounterSale c) return c.seller().isEmpty() ? login : c.seller();
    if (!(paper instanceof Return back) || back.lines().isEmpty()) return login;
    return sql.sql("select if(seller = '', ?, seller) from paper where id = ?")
        .params(login, back.lines().get(0).of().paper())
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
    if (paper instanceof CounterSale c && !c.seller().isEmpty())
      sql.sql("update paper set seller = ? where id = ?").params(c.seller(), id).update();
  }

  private static List<Object> head(Paper paper, long stock) {
    String reference = "";
    LocalDate due = null;
    Long place = null;
    long net = paper.total();
    long tax = 0;
    if (paper instanceof CounterSale c) return head(c.sale(), stock);
    if (paper instanceof Trade t) {
      reference = t.theirNumber();
      due = t.due();
      place = t.place().id();
      net = t.net();
      tax = t.tax();
    } else if (paper instanceof Order o) {
      reference = o.reference();
      place = o.place().id();
      net = o.net();
      tax = o.tax();
    } else if (paper instanceof Receipt r) {
      reference = r.theirNumber();
      place = r.place().id();
    } else if (paper instanceof Delivery d) {
      reference = d.reference();
      place = d.place().id();
    } else if (paper instanceof Charge c) {
      reference = c.theirNumber();
      due = c.due();
      net = c.amount();
      tax = c.tax();
    } else if (paper instanceof Return r) {
      reference = r.reference();
      place = r.place().id();
      net = r.net();
      tax = r.tax();
    } else if (paper instanceof SupplierCredit c) {
      reference = c.theirNumber();
      net = c.net();
      tax = c.tax();
    } else if (paper instanceof Payment p) {
      reference = p.reference();
    }
    return Arrays.asList(
        paper.date(),
        paper.party().map(Party::id).orElse(null),
        reference,
        due,
        place,
        net,
        tax,
        paper.total(),
        stock);
  }

  void lines(Paper paper, long id, int version) {
    List<Object[]> rows = new ArrayList<>();
    for (Row l : rows(paper))
      rows.add(
          new Object[] {
            id,
            version,
            l.line(),
            l.item() == null ? null : l.item().id(),
            l.account(),
            l.place() == null ? null : l.place().id(),
            l.wording(),
            l.quantity() == null ? null : l.quantity().micros(),
            l.unit(),
            l.price(),
            l.discount(),
            l.net(),
            l.tax(),
            l.rate() == null ? null : l.rate().id(),
            l.of().paper() == 0 ? null : l.of().paper(),
            l.of().paper() == 0 ? null : l.of().line(),
            l.reason() == null ? null : l.reason().id()
          });
    jdbc.batchUpdate(
        "insert into paper_line (paper_id, version, line, item_id, account_id, place_id, wording,"
            + " quantity, unit, price, discount, net, tax, tax_rate_id, of_paper, of_line,"
            + " return_reason_id) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
        rows);
  }

  /** The earlier line a line goes on from; zeros for none. */
  private record Of(long paper, int line) {
    static final Of NOTHING = new Of(0, 0);

    static Of source(Flow flow) {
      return flow.source() == null ? NOTHING : new Of(flow.source().paper(), flow.source().line());
    }
  }

  /** A line as it is kept. */
  private record Row(
      int line,
      Item item,
      Long account,
      Place place,
      String wording,
      Quantity quantity,
      String unit,
      BigDecimal price,
      BigDecimal discount,
      long net,
      long tax,
      TaxRate rate,
      Of of,
      ReturnReason reason) {
    /** A line that bears no price of its own. */
    Row(
        int line,
        Item item,
        Place place,
        String wording,
        Quantity quantity,
        String unit,
        long net) {
      this(
          line,
          item,
          null,
          place,
          wording,
          quantity,
          unit,
          null,
          BigDecimal.ZERO,
          net,
          0,
          null,
          Of.NOTHING,
          null);
    }
  }

  private static List<Row> rows(Paper paper) {
    if (paper instanceof CounterSale c) return rows(c.sale());
    if (paper instanceof Trade t)
      return t.lines().stream()
          .map(
              l ->
                  new Row(
                      l.row(),
                      l.item(),
                      l.account() == null ? null : l.account().id(),
                      l.place(),
                      l.wording(),
                      l.quantity(),
                      l.unit(),
                      l.price(),
                      l.discount(),
                      l.net(),
                      l.tax(),
                      l.rate(),
                      Of.source(l.flow()),
                      null))
          .toList();
    if (paper instanceof Order o)
      return o.lines().stream()
          .map(
              l ->
                  new Row(
                      l.row(),
                      l.item(),
                      null,
                      o.place(),
                      o.kind() == PaperKind.PURCHASE_ORDER
                          ? l.item().purchaseWording()
                          : l.item().saleWording(),
                      l.quantity(),
                      l.unit(),
                      l.price(),
                      l.discount(),
                      l.net(),
                      l.tax(),
                      l.rate(),
                      Of.NOTHING,
                      null))
          .toList();
    if (paper instanceof Receipt r)
      return r.lines().stream()
          .map(
              l ->
                  new Row(
                      l.row(),
                      l.item(),
                      null,
                      r.place(),
                      "",
                      l.quantity(),
                      l.unit(),
                      l.price(),
                      BigDecimal.ZERO,
                      l.value(),
                      0,
                      null,
                      Of.source(l.flow()),
                      null))
          .toList();
    if (paper instanceof Delivery d)
      return d.lines().stream()
          .map(
              l ->
                  new Row(
                      l.row(),
                      l.item(),
                      null,
                      d.place(),
                      l.item().saleWording(),
                      l.quantity(),
                      l.unit(),
                      null,
                      BigDecimal.ZERO,
                      0,
                      0,
                      null,
                      Of.source(l.flow()),
                      null))
          .toList();
    if (paper instanceof SupplierCredit c)
      return c.lines().stream()
          .map(
              l ->
                  new Row(
                      l.row(),
                      null,
                      null,
                      null,
                      l.due().number(),
                      null,
                      "",
                      null,
                      BigDecimal.ZERO,
                      l.net(),
                      l.tax(),
                      l.due().rate(),
                      Of.NOTHING,
                      null))
          .toList();
    if (paper instanceof Adjustment a)
      return a.lines().stream()
          .map(
              l ->
                  new Row(
                      l.row(),
                      l.item(),
                      l.reason().account(),
                      a.place(),
                      l.reason().name() + (l.memo().isEmpty() ? "" : ": " + l.memo()),
                      l.quantity(),
                      l.unit(),
                      null,
                      BigDecimal.ZERO,
                      l.value(),
                      0,
                      null,
                      Of.NOTHING,
                      null))
          .toList();
    if (paper instanceof Return r)
      return r.lines().stream()
          .map(
              l ->
                  new Row(
                      l.row(),
                      l.item(),
                      null,
                      r.place(),
                      l.of().number(),
                      l.quantity(),
                      l.unit(),
                      null,
                      BigDecimal.ZERO,
                      l.net(),
                      l.tax(),
                      l.of().rate(),
                      new Of(l.of().paper(), l.of().line()),
                      l.reason()))
          .toList();
    if (paper instanceof Charge c)
      return c.lines().stream()
          .map(l -> new Row(l.row(), l.of().item(), null, l.of().number(), null, "", l.share()))
          .toList();
    if (paper instanceof WriteDown w)
      return w.lines().stream()
          .map(l -> new Row(l.row(), l.item(), null, l.memo(), null, "", l.change()))
          .toList();
    if (paper instanceof Recosting r) {
      List<Row> rows = new ArrayList<>();
      for (Item item : r.items()) rows.add(new Row(rows.size(), item, null, r.why(), null, "", 0));
      return rows;
    }
    if (paper instanceof StartTracking s)
      return s.lines().stream()
          .map(l -> new Row(l.row(), s.item(), l.place(), "", l.quantity(), "", l.value()))
          .toList();
    if (paper instanceof OpeningStock o)
      return o.lines().stream()
          .map(
              l ->
                  new Row(
                      l.row(),
                      l.item(),
                      l.place(),
                      "",
                      l.quantity(),
                      l.item().units().base().sign(),
                      l.value()))
          .toList();
    return List.of();
  }
}
