package zinctally.store.parties;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.ColumnMapRowMapper;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.papers.Party;
import zinctally.core.papers.trade.CounterSale;
import zinctally.store.Audit;
import zinctally.store.listing.PartyListings;
import zinctally.store.parties.MergeStore.Has;
import zinctally.store.parties.MergeStore.Named;
import zinctally.store.seal.ChangingWords;
import zinctally.store.sql.PlaceNames;

/**
 * What is kept about a supplier or customer as a person: all of it to hand out, and out of the book
 * again. Figures, dates and numbers of papers stay in any case; name, address and tax number stay
 * as long as the papers must be kept that show them.
 */
@Repository
public class PersonStore {
  private final JdbcClient sql;
  private final Audit audit;
  private final Clock clock;
  private final MergeStore parties;
  private final ChangingWords words;

  PersonStore(JdbcClient sql, Audit audit, Clock clock, MergeStore parties, ChangingWords words) {
    this.words = words;
    this.sql = sql;
    this.audit = audit;
    this.clock = clock;
    this.parties = parties;
  }

  /** For how many years after the end of the year a paper is of it is kept. */
  public int keepYears() {
    return sql.sql("select keep_years from book where id = 1").query(Integer.class).single();
  }

  public void keepYears(int years) {
    sql.sql("update book set keep_years = ? where id = 1").param(years).update();
  }

  /**
   * How far a party is out of the book.
   *
   * @param papersUntil the last day on which their papers must be kept; null when there are none
   * @param erasedAt null when nothing has been taken out
   */
  public record State(@Nullable LocalDate papersUntil, @Nullable LocalDateTime erasedAt) {
    /** Whether name, address and tax number stand on papers that must still be kept. */
    public boolean papersKept(LocalDate today) {
      return papersUntil != null && !papersUntil.isBefore(today);
    }
  }

  public State state(long id) {
    return sql.sql(
            "select "
                + PartyListings.KEPT_UNTIL
                + ", w.erased_at from party w join book b on b.id = 1 where w.id = ?")
        .param(id)
        .query(
            (row, n) ->
                new State(row.getObject(1, LocalDate.class), row.getObject(2, LocalDateTime.class)))
        .single();
  }

  /** A part of what is kept about a party, also under the names that were merged into it. */
  public enum Part {
    CARD("select * from party where id = :id or merged_into = :id"),
    PAPERS(
        """
        select p.kind, p.number, p.date, p.due, p.reference, p.state, p.net, p.tax, p.total,
          v.version, v.posted_at, v.posted_by, v.text as typed
        from paper p join paper_version v on v.paper_id = p.id
        where p.party_id = :id order by p.date, p.id, v.version
        """),
    OPEN("select number, date, due, amount, open from open_item where party_id = :id order by id"),
    REMINDERS(
        "select made_at, made_by, words, sent_at from reminder where party_id = :id order by id"),
    DRAFTS(
        """
        select d.kind, d.saved_at, d.saved_by, d.text as typed from draft d
        join party w on w.id = :id and json_value(d.text, concat('$.fields.', lower(w.kind))) = w.name
        where d.paper_id is null order by d.id
        """),
    CHANGES(
        """
        select at, login, what, before_text, after_text from audit
        where subject in ('customer', 'supplier')
          and subject_id in (select id from party where id = :id or merged_into = :id) order by id
        """);

    private final String select;

    Part(String select) {
      this.select = select;
    }
  }

  public long count(Part part, long id) {
    return sql.sql("select count(*) from (" + part.select + ") kept")
        .param("id", id)
        .query(Long.class)
        .single();
  }

  /** Column by column as it is stored: amounts in minor units, quantities in millionths. */
  public List<Map<String, Object>> rows(Part part, long id) {
    return sql.sql(part.select).param("id", id).query(new ColumnMapRowMapper()).list();
  }

  /** Why nothing is taken out, as a sentence; empty when it can be. */
  public Optional<String> refusal(Named party) {
    if (party.name().equals(CounterSale.NOBODY))
      return Optional.of(party.name() + " stands for every customer without a name; it stays.");
    if (party.into() != 0)
      return Optional.of("It was made one with another; what is kept stands there.");
    Has has = parties.has(party.id());
    if (has.open() > 0)
      return Optional.of(
          "Bills, invoices or credits are still open ("
              + has.open()
              + "); they are settled first.");
    if (has.awaited() > 0)
      return Optional.of(
          "Goods or papers are still awaited ("
              + has.awaited()
              + " lines); orders are completed or given up first.");
    long drafts = count(Part.DRAFTS, party.id());
    if (drafts > 0)
      return Optional.of(
          "Drafts are open with this name (" + drafts + "); they are posted or thrown away first.");
    return Optional.empty();
  }

  /**
   * Takes out what nothing needs: telephone, e-mail, other addresses, notes, words of reminders,
   * and what the card held before each change; and name, address, tax number and what was typed on
   * papers, once those need not be kept. The caller holds the book alone and has asked for a {@link
   * #refusal}.
   */
  public void erase(Named party, String login) {
    boolean kept = state(party.id()).papersKept(LocalDate.now(clock));
    for (long id : ids(party.id())) {
      sql.sql(
              "update party set email = '', phone = '', places = '', notes = '', active = false,"
                  + " erased_at = ? where id = ?")
          .params(LocalDateTime.now(clock), id)
          .update();
      if (!kept)
        sql.sql("update party set name = ?, address = '', tax_number = '' where id = ?")
            .params("Erased " + id, id)
            .update();
    }
    PlaceNames.followParty(sql, party.id());
    sql.sql("update reminder set words = '' where party_id = ?").param(party.id()).update();
    if (!kept) typed(party);
    words.about(
        ids(party.id()),
        "erased " + party.kind().field() + " " + party.id(),
        login,
        () -> sql.sql("call erase_person(?)").param(party.id()).update());
    audit.write(
        login, party.kind().field(), party.id(), "erased", kept ? "but what papers show" : "whole");
  }

  /** The text of drafts that were posted is a copy of what their paper holds. */
  private void typed(Named party) {
    sql.sql(
            """
            update draft d join paper p on p.id = d.paper_id
            set d.text = json_replace(d.text, :field, :name, '$.fields.address', '')
            where p.party_id = :id
            """)
        .param("field", "$.fields." + party.kind().field())
        .param("name", "Erased " + party.id())
        .param("id", party.id())
        .update();
    if (party.kind() == Party.Kind.SUPPLIER)
      sql.sql("update item set supplier = ? where supplier = ?")
          .params("Erased " + party.id(), party.name())
          .update();
  }

  private List<Long> ids(long id) {
    return sql.sql("select id from party where id = :id or merged_into = :id")
        .param("id", id)
        .query(Long.class)
        .list();
  }
}
