package zinctally.store.parties;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.papers.Party;
import zinctally.core.papers.trade.CounterSale;
import zinctally.store.Audit;
import zinctally.store.seal.ChangingWords;

/**
 * Makes one of two suppliers or customers that are one. Papers, what is open and what is awaited
 * move from the one to the other; amounts and dates stay, so every sum over all parties does too.
 * What was typed on a paper stays as it was typed.
 */
@Repository
public class MergeStore {
  private final JdbcClient sql;
  private final PlacesMerged places;
  private final ChangingWords words;
  private final Audit audit;

  MergeStore(JdbcClient sql, PlacesMerged places, Audit audit, ChangingWords words) {
    this.words = words;
    this.places = places;
    this.audit = audit;
    this.sql = sql;
  }

  /** A supplier or customer by name; merged into another when {@code into} is not zero. */
  public record Named(long id, Party.Kind kind, String name, long into) {}

  public Optional<Named> find(long id) {
    return sql.sql(
            "select id, kind, name, coalesce(merged_into, 0) as merged_into from party where id = ?")
        .param(id)
        .query(
            (row, n) ->
                new Named(
                    row.getLong(1),
                    Party.Kind.valueOf(row.getString(2)),
                    row.getString(3),
                    row.getLong(4)))
        .optional();
  }

  /** Whom a name belongs to: to whoever it was merged into. */
  public Optional<Named> named(Party.Kind kind, String name) {
    return sql.sql("select coalesce(merged_into, id) from party where kind = ? and name = ?")
        .params(kind.name(), name.strip())
        .query(Long.class)
        .optional()
        .flatMap(this::find);
  }

  /** Names that were merged into a party. */
  public List<String> namesOf(long id) {
    return sql.sql("select name from party where merged_into = ? order by name")
        .param(id)
        .query(String.class)
        .list();
  }

  /**
   * What a party has.
   *
   * @param open how many bills, invoices or credits are open
   * @param owed signed minor units of them, above zero when owed to us
   * @param awaited lines of papers that wait for something
   */
  public record Has(long papers, long open, long owed, long awaited) {
    /** What both have together. */
    public Has and(Has other) {
      return new Has(
          papers + other.papers,
          open + other.open,
          Math.addExact(owed, other.owed),
          awaited + other.awaited);
    }
  }

  public Has has(long id) {
    return sql.sql(
            """
            select (select count(*) from paper where party_id = :id),
              (select count(*) from open_item where party_id = :id and open <> 0),
              (select coalesce(sum(open), 0) from open_item where party_id = :id and open <> 0),
              (select count(*) from awaited where party_id = :id
                and (open_quantity > 0 or open_value <> 0))
            """)
        .param("id", id)
        .query((row, n) -> new Has(row.getLong(1), row.getLong(2), row.getLong(3), row.getLong(4)))
        .single();
  }

  /** Why two cannot be merged, as a sentence; empty when they can. */
  public Optional<String> refusal(Named from, Optional<Named> into, String typed) {
    String kind = from.kind().field();
    if (from.name().equals(CounterSale.NOBODY))
      return Optional.of(from.name() + " stands for every customer without a name; it stays.");
    if (from.into() != 0) return Optional.of(from.name() + " has been merged already.");
    if (into.isEmpty())
      return Optional.of(
          "There is no " + kind + " called \"" + typed + "\"; choose one of those there are.");
    if (into.get().id() == from.id())
      return Optional.of("That is the same " + kind + "; choose the other one.");
    if (into.get().name().equals(CounterSale.NOBODY))
      return Optional.of(
          into.get().name()
              + " stands for every customer without a name; nobody is merged into it.");
    return Optional.empty();
  }

  /**
   * Merges one into another. The caller holds the book alone, so that no paper of either is being
   * posted, and has asked for a {@link #refusal}.
   */
  public void merge(Named from, Named into, String login) {
    for (String table : List.of("paper", "open_item", "awaited", "journal_line", "agreement_line"))
      move("update " + table + " set party_id = ? where party_id = ?", from, into);
    supplierItems(from, into);
    if (from.kind() == Party.Kind.SUPPLIER)
      sql.sql("update item set supplier = ? where supplier = ?")
          .params(into.name(), from.name())
          .update();
    reminders(from, into);
    words.about(
        List.of(from.id(), into.id()),
        "merged " + from.kind().field() + " " + from.id() + " into " + into.id(),
        login,
        () -> places.merge(from.id(), into.id()));
    move("update party set merged_into = ? where merged_into = ?", from, into);
    sql.sql("update party set merged_into = ?, active = false where id = ?")
        .params(into.id(), from.id())
        .update();
    audit.write(
        login,
        from.kind().field(),
        from.id(),
        "merged",
        from.name(),
        into.id() + " " + into.name());
  }

  /** Of one item the price asked last counts, whichever of the two asked it; codes are kept. */
  private void supplierItems(Named from, Named into) {
    sql.sql(
            """
            update supplier_item n join supplier_item o on o.item_id = n.item_id
            set n.code = if(n.code = '', o.code, n.code), o.code = if(n.code = '', o.code, n.code)
            where o.party_id = :from and n.party_id = :into
            """)
        .param("from", from.id())
        .param("into", into.id())
        .update();
    sql.sql(
            """
            delete o from supplier_item o join supplier_item n on n.item_id = o.item_id
            where o.party_id = :from and n.party_id = :into
              and coalesce(n.date, '1000-01-01') >= coalesce(o.date, '1000-01-01')
            """)
        .param("from", from.id())
        .param("into", into.id())
        .update();
    sql.sql(
            """
            delete n from supplier_item n join supplier_item o on o.item_id = n.item_id
            where o.party_id = :from and n.party_id = :into
            """)
        .param("from", from.id())
        .param("into", into.id())
        .update();
    move("update supplier_item set party_id = ? where party_id = ?", from, into);
  }

  /** A reminder that is not sent yet is drafted anew from what is open then. */
  private void reminders(Named from, Named into) {
    sql.sql(
            "delete d from reminder_due d join reminder r on r.id = d.reminder_id"
                + " where r.party_id = ? and r.sent_at is null")
        .param(from.id())
        .update();
    sql.sql("delete from reminder where party_id = ? and sent_at is null")
        .param(from.id())
        .update();
    move("update reminder set party_id = ? where party_id = ?", from, into);
  }

  private void move(String update, Named from, Named into) {
    sql.sql(update).params(into.id(), from.id()).update();
  }
}
