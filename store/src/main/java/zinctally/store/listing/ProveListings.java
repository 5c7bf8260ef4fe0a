package zinctally.store.listing;

import static zinctally.store.listing.Listing.Type.DATE;
import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.MONEY;
import static zinctally.store.listing.Listing.Type.QUANTITY;
import static zinctally.store.listing.Listing.Type.TEXT;
import static zinctally.store.listing.Listing.Type.TIME;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.flow.Awaits;
import zinctally.store.listing.Listing.Column;
import zinctally.store.sql.Waiting;

/** The ledger, and what waits for its other half. */
public final class ProveListings {
  /** Rows of the ledger that are brought into another order than theirs while one waits. */
  private static final int AT_A_GLANCE = 10_000;

  private ProveListings() {}

  /** The lines of one month behind its sales, or behind its cost of goods sold. */
  public static Listing month(LocalDate month, boolean cost) {
    String accounts = cost ? "a.role = 'COST_OF_GOODS_SOLD'" : "a.kind = 'INCOME'";
    return new Listing(
        cost ? "Cost of goods sold" : "Sales",
        """
        journal_line l force index (line_by_date) straight_join account a on a.id = l.account_id
        straight_join journal j on j.id = l.journal_id straight_join paper p on p.id = j.paper_id
        left join item i on i.id = l.item_id left join party w on w.id = p.party_id
        where l.date between :first and :last and\s"""
            + accounts,
        Map.of("first", month, "last", month.plusMonths(1).minusDays(1)),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("item_id", "", "i.id", HIDDEN),
            new Column("date", "Date", "l.date", DATE),
            new Column("number", "Paper", "p.number", TEXT, Papers.PAPER),
            new Column("party", "Who", "w.name", TEXT),
            new Column("item", "Item", "i.name", TEXT, "/goods/item/{item_id}"),
            new Column("account", "Account", "a.name", TEXT),
            new Column("amount", "Amount", cost ? "l.amount" : "-l.amount", MONEY, Papers.PAPER)),
        "l.id",
        "-date",
        "Nothing in this month.");
  }

  /** The journal, an entry a row. */
  public static Listing journal() {
    return new Listing(
            "Journal",
            """
        journal j straight_join paper p on p.id = j.paper_id
        straight_join paper_kind k on k.kind = p.kind left join party w on w.id = p.party_id
        where true""",
            Map.of(),
            List.of(
                new Column("id", "", "p.id", HIDDEN),
                new Column("date", "Date", "j.date", DATE),
                new Column("number", "Paper", "p.number", TEXT, Papers.PAPER),
                new Column(
                    "kind", "What", "concat(k.words, if(j.reverses, ', taken back', ''))", TEXT),
                new Column("party", "Who", "w.name", TEXT),
                new Column("debit", "Debited", accounts("> 0"), TEXT).alone(),
                new Column("credit", "Credited", accounts("< 0"), TEXT).alone(),
                new Column(
                    "sum",
                    "Sum",
                    """
                (select coalesce(sum(m.amount), 0) from journal_line m
                 where m.journal_id = j.id and m.amount > 0)""",
                    MONEY,
                    Papers.PAPER)),
            "j.id",
            "-date",
            "Nothing has been posted.")
        .orderedUpTo(AT_A_GLANCE);
  }

  private static String accounts(String side) {
    return "(select group_concat(distinct concat(a.code, ' ', a.name) order by a.code separator"
        + " ', ') from journal_line m straight_join account a on a.id = m.account_id"
        + " where m.journal_id = j.id and m.amount "
        + side
        + ")";
  }

  /**
   * The journal line by line.
   *
   * @param centres whether the book has cost centres
   */
  public static Listing journalLines(boolean centres) {
    List<Column> columns =
        new ArrayList<>(
            List.of(
                new Column("id", "", "p.id", HIDDEN),
                new Column("account_id", "", "a.id", HIDDEN),
                new Column("date", "Date", "l.date", DATE),
                new Column("number", "Paper", "p.number", TEXT, Papers.PAPER),
                new Column(
                    "account",
                    "Account",
                    "concat(a.code, ' ', a.name)",
                    TEXT,
                    "/prove/account/{account_id}"),
                new Column("item", "Item", "i.name", TEXT),
                new Column("party", "Who", "w.name", TEXT),
                new Column(
                    "debit", "Debit", "if(l.amount > 0, l.amount, null)", MONEY, Papers.PAPER),
                new Column(
                    "credit", "Credit", "if(l.amount < 0, -l.amount, null)", MONEY, Papers.PAPER)));
    if (centres) columns.add(new Column("centre", "Cost centre", "c.name", TEXT));
    columns.add(new Column("memo", "Note", "l.memo", TEXT));
    return new Listing(
            "Journal, line by line",
            """
        journal_line l force index for order by (line_by_date)
        straight_join journal j on j.id = l.journal_id
        straight_join paper p on p.id = j.paper_id straight_join account a on a.id = l.account_id
        left join item i on i.id = l.item_id left join party w on w.id = l.party_id
        left join centre c on c.id = l.centre_id
        where true""",
            Map.of(),
            columns,
            "l.id",
            "-date",
            "Nothing has been posted.")
        .orderedUpTo(AT_A_GLANCE);
  }

  /** Who did what to which thing, latest first. */
  public static Listing audit() {
    return audit("true", Map.of());
  }

  /** All that ever happened to one thing. */
  public static Listing auditOf(String subject, long thing) {
    return audit(
        "a.subject = :subject and a.subject_id = :thing",
        Map.of("subject", subject, "thing", thing));
  }

  private static Listing audit(String which, Map<String, Object> params) {
    return new Listing(
            "Audit trail",
            "audit a left join paper p on a.subject = 'paper' and p.id = a.subject_id"
                + " left join item i on a.subject = 'item' and i.id = a.subject_id"
                + " left join party w on a.subject in ('customer', 'supplier') and w.id = a.subject_id"
                + " where "
                + which,
            params,
            List.of(
                new Column("id", "", "a.id", HIDDEN),
                new Column("paper", "", "p.id", HIDDEN),
                new Column("at", "When", "a.at", TIME),
                new Column("login", "Who", "a.login", TEXT),
                new Column("subject", "What", "a.subject", TEXT),
                new Column(
                    "thing",
                    "Which",
                    "coalesce(p.number, i.name, w.name)",
                    TEXT,
                    "/ask/audit/{id}"),
                new Column("what", "Done", "a.what", TEXT, "/ask/audit/{id}"),
                new Column("before", "Before", "left(a.before_text, 60)", TEXT, "/ask/audit/{id}"),
                new Column("note", "After", "left(a.after_text, 60)", TEXT, "/ask/audit/{id}")),
            "a.id",
            "-at",
            "Nothing has been done yet.")
        .orderedUpTo(AT_A_GLANCE);
  }

  /** Lines that waited for a bill or invoice, or for their goods, at the end of a day. */
  public static Listing awaited(Awaits what, LocalDate date) {
    boolean buying =
        what == Awaits.RECEIVED_BILL
            || what == Awaits.BILLED_GOODS
            || what == Awaits.CONSIGNED_SOLD;
    String party = buying ? "/buy/supplier/{party_id}" : "/sell/customer/{party_id}";
    return new Listing(
        what.role().words(),
        """
        (select a.id, a.item_id, a.party_id, a.paper_id, a.order_paper,
           a.quantity - coalesce(sum(f.quantity), 0) as quantity,
           a.value - coalesce(sum(f.value), 0) as value
         from (%s
               union select awaited_id from fulfilment where date > :date) w
         join awaited a on a.id = w.id and a.what = :what
         join paper p on p.id = a.paper_id and p.date <= :date
         left join fulfilment f on f.awaited_id = a.id and f.date <= :date
         group by a.id having quantity <> 0 or value <> 0
         union all
         select a.id, a.item_id, a.party_id, a.paper_id, a.order_paper, -sum(f.quantity),
           -sum(f.value)
         from paper p straight_join awaited a on a.paper_id = p.id and a.what = :what
         straight_join fulfilment f on f.awaited_id = a.id and f.date <= :date
         where p.date > :date group by a.id) t
        join paper p on p.id = t.paper_id join party w on w.id = t.party_id
        join item i on i.id = t.item_id left join paper o on o.id = nullif(t.order_paper, 0)
        where true"""
            .formatted(Waiting.open(what, "")),
        Map.of("what", what.name(), "date", date),
        List.of(
            new Column("id", "", "p.id", HIDDEN),
            new Column("item_id", "", "i.id", HIDDEN),
            new Column("order_id", "", "o.id", HIDDEN),
            new Column("party_id", "", "w.id", HIDDEN),
            new Column("date", "Date", "p.date", DATE),
            new Column("number", "Paper", "p.number", TEXT, Papers.PAPER),
            new Column("reference", "Their number", "p.reference", TEXT),
            new Column("party", buying ? "Supplier" : "Customer", "w.name", TEXT, party),
            new Column("order", "Order", "o.number", TEXT, "/papers/{order_id}"),
            new Column("item", "Item", "i.name", TEXT, Papers.ITEM),
            new Column("quantity", "Quantity", "t.quantity", QUANTITY),
            new Column("value", "Value", "t.value", MONEY, Papers.PAPER)),
        "t.id",
        "date",
        switch (what) {
          case RECEIVED_BILL -> "Every receipt is billed.";
          case BILLED_GOODS -> "Everything billed has come.";
          case CONSIGNED_SOLD -> "All that was sold of consigned goods is settled.";
          case SENT_INVOICE -> "Every delivery is invoiced.";
          default -> "Everything invoiced has gone.";
        });
  }

  /** Entries that were written by hand. */
  public static Listing byHand() {
    return Papers.list(
        "Journals by hand",
        "No journal by hand. Papers keep the ledger.",
        List.of(
            new Column(
                "accounts",
                "Accounts",
                """
                (select group_concat(distinct concat(a.code, ' ', a.name) order by a.code
                   separator ', ')
                 from journal j straight_join journal_line m on m.journal_id = j.id
                 straight_join account a on a.id = m.account_id
                 where j.paper_id = p.id and j.version = p.version)""",
                TEXT),
            new Column(
                "note",
                "Note",
                """
                (select group_concat(distinct nullif(m.memo, '') separator ', ')
                 from journal j straight_join journal_line m on m.journal_id = j.id
                 where j.paper_id = p.id and j.version = p.version)""",
                TEXT),
            Papers.total("Amount"),
            Papers.state(),
            Papers.postedBy()),
        PaperKind.JOURNAL);
  }
}
