package zinctally.store.listing;

import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.TEXT;
import static zinctally.store.listing.Listing.Type.TIME;

import java.util.List;
import java.util.Map;
import zinctally.store.listing.Listing.Column;

/** Questions that are kept, and letters with their answers. */
public final class AskListings {
  private AskListings() {}

  /** One's own, and those that are shared with one's role. */
  public static Listing questions(String login, String role) {
    return new Listing(
        "Questions",
        "question q where (q.owner = :login or find_in_set(:role, q.roles) > 0)",
        Map.of("login", login, "role", role),
        List.of(
            new Column("id", "", "q.id", HIDDEN),
            new Column("name", "Name", "q.name", TEXT, "/ask/question/{id}"),
            new Column("owner", "By", "if(q.owner = :login, 'you', q.owner)", TEXT),
            new Column("shared", "Shared with", "lower(replace(q.roles, ',', ', '))", TEXT),
            new Column(
                "pinned",
                "On your Day page",
                "if(exists (select 1 from question_pin p where p.question_id = q.id"
                    + " and p.login = :login), 'yes', '')",
                TEXT),
            new Column(
                "sent",
                "Sent by itself to",
                "(select group_concat(s.sent_to separator '; ') from question_schedule s"
                    + " where s.question_id = q.id)",
                TEXT),
            new Column("changed", "Changed", "q.changed_at", TIME)),
        "q.id",
        "name",
        "You have kept no question yet, and none is shared with you: begin one, or open a ready answer.");
  }

  /** Letters, the latest first. */
  public static Listing letters() {
    return new Listing(
        "Outbox",
        "outbox o where true",
        Map.of(),
        List.of(
            new Column("id", "", "o.id", HIDDEN),
            new Column("at", "When", "o.at", TIME),
            new Column("to", "To", "o.sent_to", TEXT),
            new Column("subject", "What", "o.subject", TEXT, "/ask/outbox/{id}"),
            new Column("file", "File", "o.file_name", TEXT, "/ask/outbox/{id}/file"),
            new Column(
                "state",
                "State",
                "case o.state when 'KEPT' then 'kept here' else lower(o.state) end",
                TEXT),
            new Column("fault", "What was wrong", "o.fault", TEXT),
            new Column("login", "By", "o.login", TEXT)),
        "o.id",
        "-at",
        "Nothing has been sent. A question that is kept can be sent every day, week or month.");
  }
}
