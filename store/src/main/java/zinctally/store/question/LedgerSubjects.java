package zinctally.store.question;

import static zinctally.store.listing.Listing.Type.DATE;
import static zinctally.store.listing.Listing.Type.MONEY;
import static zinctally.store.listing.Listing.Type.TEXT;
import static zinctally.store.listing.Listing.Type.TIME;

import java.util.List;

/** What can be asked about the ledger and who did what. */
final class LedgerSubjects {
  private LedgerSubjects() {}

  static final List<Subject> ALL = List.of(journal(), audit());

  private static Subject journal() {
    return Subject.about(
            "journal", "Journal lines", "A line of the ledger: a debit above zero, a credit below.")
        .from("journal_line l", "true", "l.id")
        .thinnedBy("l", "account_id", "item_id", "centre_id")
        .join("j", "join journal j on j.id = l.journal_id")
        .join("p", "join paper p on p.id = j.paper_id")
        .join("a", "join account a on a.id = l.account_id")
        .join("i", "left join item i on i.id = nullif(l.item_id, 0)")
        .join("g", "left join item_group g on g.id = i.group_id")
        .join("w", "left join party w on w.id = coalesce(nullif(l.party_id, 0), p.party_id)")
        .join("c", "left join centre c on c.id = l.centre_id")
        .leads("account_id", "a.id")
        .column("day", "Day", "l.date", DATE, "", "date posting")
        .column(
            "account",
            "Account",
            "concat(a.code, ' ', a.name)",
            TEXT,
            "/prove/account/{account_id}",
            "ledger")
        .column("of", "Kind of account", "lower(a.kind)", TEXT, "", "income expense asset")
        .paper()
        .item()
        .party("Who")
        .column("centre", "Cost centre", "c.name", TEXT, "", "branch department project")
        .column("note", "Note", "l.memo", TEXT, "", "memo")
        .column("amount", "Amount", "l.amount", MONEY, "/papers/{paper_id}", "balance")
        .column("debit", "Debit", "greatest(l.amount, 0)", MONEY)
        .column("credit", "Credit", "greatest(-l.amount, 0)", MONEY)
        .column("entered", "Entered", "j.entered_at", TIME)
        .sorted("-day")
        .usual("day", "account", "number", "party", "debit", "credit")
        .ofLedger()
        .done();
  }

  private static Subject audit() {
    return Subject.about("audit", "Audit trail", "Something that somebody did, and when.")
        .from("audit x", "true", "x.id")
        .join("p", "left join paper p on x.subject = 'paper' and p.id = x.subject_id")
        .leads("paper_id", "p.id")
        .column("at", "When", "x.at", TIME, "", "moment date")
        .column("who", "Who", "x.login", TEXT, "", "person login")
        .column("subject", "To what", "x.subject", TEXT, "", "thing")
        .column("number", "Paper", "p.number", TEXT, "/papers/{paper_id}", "")
        .column("what", "Done", "x.what", TEXT, "", "change")
        .column("before", "Before", "left(x.before_text, 200)", TEXT)
        .column("after", "After", "left(x.after_text, 200)", TEXT)
        .sorted("-at")
        .usual("at", "who", "subject", "number", "what")
        .ofLedger()
        .done();
  }
}
