package zinctally.store.listing;

import static zinctally.store.listing.Listing.Type.DATE;
import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.MONEY;
import static zinctally.store.listing.Listing.Type.TEXT;
import static zinctally.store.listing.Listing.Type.TIME;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zinctally.core.statement.Borne;
import zinctally.core.statement.Known;
import zinctally.store.listing.Listing.Column;

/** The ledger by account, of days and as of a moment; and what came after it. */
public final class StatementListings {
  /** Each entry is worked out from all its lines. */
  private static final int A_GLANCE = 500;

  private StatementListings() {}

  /**
   * Every account with its balance before, what moved, and its balance at the end: months from
   * totals, the rest from lines, less what was entered after the moment.
   *
   * @param known the moment up to which entries count; empty for all
   */
  public static Listing trialBalance(LocalDate from, LocalDate to, Optional<LocalDateTime> known) {
    String account =
        "/prove/account/{id}?from="
            + from
            + "&to="
            + to
            + known.map(k -> "&known=" + Known.said(k)).orElse("");
    return new Listing(
        "Trial balance",
        """
        (select a.id, a.code, a.name, a.kind,
           coalesce(sum(t.opening), 0) as opening, coalesce(sum(t.debit), 0) as debit,
           coalesce(sum(t.credit), 0) as credit
         from account a left join (
           select account_id, debit - credit as opening, 0 as debit, 0 as credit
           from account_month where month < :month
           union all
           select account_id, amount, 0, 0 from journal_line
           where date >= :month and date < :from
           union all
           select account_id, 0, greatest(amount, 0), greatest(-amount, 0) from journal_line
           where date between :from and least(:to, last_day(:from))
           union all
           select account_id, 0, debit, credit from account_month
           where month > :from and month < :lastMonth
           union all
           select account_id, 0, greatest(amount, 0), greatest(-amount, 0) from journal_line
           where date between greatest(:lastMonth, last_day(:from) + interval 1 day) and :to
           union all
           select l.account_id, if(l.date < :from, -l.amount, 0),
             if(l.date < :from, 0, -greatest(l.amount, 0)),
             if(l.date < :from, 0, -greatest(-l.amount, 0))
           from journal j straight_join journal_line l on l.journal_id = j.id
           where j.entered_at > :known and j.date <= :to) t on t.account_id = a.id
         group by a.id) t
        where true""",
        Map.of(
            "month", from.withDayOfMonth(1),
            "from", from,
            "to", to,
            "lastMonth", to.withDayOfMonth(1),
            "known", known.orElse(Known.NOW)),
        List.of(
            new Column("id", "", "t.id", HIDDEN),
            new Column("code", "Code", "t.code", TEXT, account),
            new Column("name", "Account", "t.name", TEXT, account),
            new Column("kind", "Kind", "lower(t.kind)", TEXT),
            new Column("opening", "Opening", "t.opening", MONEY, account),
            new Column("debit", "Debit", "t.debit", MONEY, account),
            new Column("credit", "Credit", "t.credit", MONEY, account),
            new Column("closing", "Closing", "t.opening + t.debit - t.credit", MONEY, account)),
        "t.id",
        "code",
        "There is no account.");
  }

  /**
   * Lines of one account from a day to a day, each with the balance down to it.
   *
   * @param opening its balance before, minor units
   * @param known the moment up to which entries count; empty for all
   * @param borne the cost centres whose lines count; empty for all
   * @param centres whether the book has any
   */
  public static Listing account(
      long id,
      LocalDate from,
      LocalDate to,
      long opening,
      Optional<LocalDateTime> known,
      Optional<Borne> borne,
      boolean centres) {
    Map<String, Object> params = new HashMap<>();
    params.put("account", id);
    params.put("from", from);
    params.put("to", to);
    params.put("opening", opening);
    known.ifPresent(k -> params.put("known", k));
    borne.ifPresent(b -> params.put("centres", b.centres()));
    List<Column> columns =
        new ArrayList<>(
            List.of(
                new Column("id", "", "p.id", HIDDEN),
                new Column("date", "Date", "l.date", DATE),
                new Column("number", "Paper", "p.number", TEXT, Papers.PAPER),
                new Column("item", "Item", "i.name", TEXT),
                new Column("party", "Who", "w.name", TEXT)));
    if (centres) columns.add(new Column("centre", "Cost centre", "c.name", TEXT));
    columns.addAll(
        List.of(
            new Column("memo", "Note", "l.memo", TEXT),
            new Column("debit", "Debit", "if(l.amount > 0, l.amount, null)", MONEY, Papers.PAPER),
            new Column(
                "credit", "Credit", "if(l.amount < 0, -l.amount, null)", MONEY, Papers.PAPER),
            new Column("balance", "Balance", "l.balance", MONEY).apart(),
            new Column("entered", "Entered", "l.entered_at", TIME)));
    String which =
        "l.account_id = :account and l.date between :from and :to"
            + (borne.isPresent() ? " and l.centre_id in (:centres)" : "");
    String entered = known.isPresent() ? " and j.entered_at <= :known" : "";
    boolean totals = known.isEmpty() && borne.isEmpty();
    Listing lines =
        new Listing(
                "Account detail",
                lines(
                    which + entered,
                    ", :opening + sum(l.amount) over (order by l.date, l.id) as balance"),
                params,
                columns,
                "l.id",
                "-date",
                "Nothing was booked on this account in these days.")
            .running(
                new Listing.Running(
                    "balance",
                    lines(which + entered, ""),
                    "l.amount",
                    totals
                        ? UP_TO_A_LINE
                        : "select coalesce(sum(l.amount), 0) from journal_line l"
                            + (known.isPresent() ? " join journal j on j.id = l.journal_id" : "")
                            + " where "
                            + which
                            + entered,
                    opening,
                    totals));
    // without totals the list's own SQL says balances in other orders, and reads all lines anyway
    return totals ? lines.orderedUpTo(20 * A_GLANCE) : lines;
  }

  /**
   * The rest of the first month when that is not whole, whole months from totals, and the last
   * month up to the line.
   */
  private static final String UP_TO_A_LINE =
      """
      select coalesce(sum(l.amount), 0)
        + (select coalesce(sum(m.debit - m.credit), 0) from account_month m
           where m.account_id = :account and m.month >= :from and m.month < %1$s)
        + (select coalesce(sum(n.amount), 0) from journal_line n
           where n.account_id = :account and day(:from) > 1
             and n.date between :from and least(last_day(:from), %1$s - interval 1 day))
      from journal_line l
      where l.account_id = :account and l.date between greatest(:from, %1$s) and :upToKey"""
          .formatted("cast(date_format(:upToKey, '%Y-%m-01') as date)");

  /** Lines of the ledger with their papers. */
  private static String lines(String which, String more) {
    return """
        (select l.id, l.date, l.amount, l.memo, l.item_id, l.party_id, j.paper_id, j.entered_at,
           l.centre_id%s
         from journal_line l straight_join journal j on j.id = l.journal_id where %s) l
        straight_join paper p on p.id = l.paper_id
        left join item i on i.id = l.item_id left join party w on w.id = l.party_id
        left join centre c on c.id = l.centre_id
        where true"""
        .formatted(more, which);
  }

  /** Entries of some days that were made after a moment, and what each did. */
  public static Listing since(LocalDateTime known, LocalDate from, LocalDate to) {
    return new Listing(
            "What has changed since",
            """
        journal j join paper p on p.id = j.paper_id join paper_kind k on k.kind = p.kind
        left join party w on w.id = p.party_id
        where j.entered_at > :known and j.date between :from and :to""",
            Map.of("known", known, "from", from, "to", to),
            List.of(
                new Column("id", "", "p.id", HIDDEN),
                new Column("entered", "Entered", "j.entered_at", TIME),
                new Column("date", "Of", "j.date", DATE),
                new Column("number", "Paper", "p.number", TEXT, Papers.PAPER),
                new Column(
                    "kind", "What", "concat(k.words, if(j.reverses, ', taken back', ''))", TEXT),
                new Column("party", "Who", "w.name", TEXT),
                new Column("stock", "Stock", of("a.role = 'STOCK'", ""), MONEY, Papers.PAPER),
                new Column(
                    "profit",
                    "Profit",
                    of("a.kind in ('INCOME', 'EXPENSE')", "-"),
                    MONEY,
                    Papers.PAPER),
                new Column(
                    "owed",
                    "Receivable less payable",
                    of("a.role in ('RECEIVABLES', 'PAYABLES')", ""),
                    MONEY,
                    Papers.PAPER),
                new Column("money", "Money", of("a.role = 'MONEY'", ""), MONEY, Papers.PAPER)),
            "j.id",
            "-entered",
            "Nothing was entered since then that is of these days.")
        .orderedUpTo(10 * A_GLANCE)
        .addedUpTo(A_GLANCE);
  }

  private static String of(String which, String sign) {
    return "(select coalesce(sum("
        + sign
        + "l.amount), 0) from journal_line l straight_join account a on a.id = l.account_id"
        + " where l.journal_id = j.id and "
        + which
        + ")";
  }

  /** Reports that were handed out, each leading to the same as it was and as it is now. */
  public static Listing handedOut() {
    return new Listing(
        "Handed out",
        "handed_out h where true",
        Map.of(),
        List.of(
            new Column(
                "then",
                "",
                "concat(h.address, if(h.address like '%?%', '&', '?'), 'known=',"
                    + " replace(h.at, ' ', 'T'))",
                HIDDEN),
            new Column("now", "", "h.address", HIDDEN),
            new Column("at", "Handed out", "h.at", TIME),
            new Column("name", "What", "h.name", TEXT, "{then}"),
            new Column("how", "As", "upper(h.how)", TEXT),
            new Column("login", "By", "h.login", TEXT),
            new Column("today", "Today", "'as it is now'", TEXT, "{now}")),
        "h.id",
        "-at",
        "Nothing has been handed out yet: what is exported or sent is kept here with its moment.");
  }
}
