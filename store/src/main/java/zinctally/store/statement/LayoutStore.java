package zinctally.store.statement;

import java.time.Month;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.ledger.Account;
import zinctally.core.statement.Activity;
import zinctally.core.statement.BookYear;
import zinctally.core.statement.Layout;
import zinctally.core.statement.Part;
import zinctally.core.statement.Section;
import zinctally.store.NotKept;
import zinctally.store.ledger.AccountStore;
import zinctally.store.sql.NewRow;

/** The headings of the book's statements, the accounts under them, and the book's year. */
@Repository
public class LayoutStore {
  private final JdbcClient sql;
  private final AccountStore accounts;

  LayoutStore(JdbcClient sql, AccountStore accounts) {
    this.sql = sql;
    this.accounts = accounts;
  }

  public Layout layout() {
    Map<Long, Long> of = new HashMap<>();
    sql.sql("select id, section_id from account where section_id is not null")
        .query((row, n) -> of.put(row.getLong(1), row.getLong(2)))
        .list();
    return new Layout(sections(), accounts.all(), of);
  }

  /** All headings, part by part, in the order in which they stand under their own. */
  public List<Section> sections() {
    return sql.sql("select * from section order by part, coalesce(parent_id, 0), place, id")
        .query(
            (row, n) ->
                new Section(
                    row.getLong("id"),
                    Part.valueOf(row.getString("part")),
                    row.getLong("parent_id"),
                    row.getString("name"),
                    Activity.valueOf(row.getString("activity")),
                    row.getString("subtotal")))
        .list();
  }

  public BookYear year() {
    return new BookYear(
        Month.of(
            sql.sql("select coalesce((select year_from from book where id = 1), 1)")
                .query(Integer.class)
                .single()));
  }

  public void yearFrom(Month month) {
    sql.sql("update book set year_from = ? where id = 1").param(month.getValue()).update();
  }

  /**
   * Makes a heading (id zero) or changes one. The caller holds the book alone.
   *
   * @param place its order among those under the same heading
   * @return its id
   */
  public long save(Section section, int place) {
    if (section.name().isEmpty() || section.name().length() > 80)
      throw new NotKept("A heading needs a name of at most 80 letters.");
    if (section.subtotal().length() > 80)
      throw new NotKept("What the result is called down to here has at most 80 letters.");
    List<Section> all = sections();
    Optional<Section> same =
        all.stream()
            .filter(s -> s.part() == section.part() && s.id() != section.id())
            .filter(s -> s.name().equalsIgnoreCase(section.name()))
            .findFirst();
    if (same.isPresent())
      throw new NotKept(
          "There is a heading called "
              + same.get().name()
              + " in "
              + section.part().words()
              + " already.");
    Optional<Section> elsewhere =
        all.stream().filter(s -> s.id() == section.id() && s.part() != section.part()).findFirst();
    if (elsewhere.isPresent())
      throw new NotKept(
          section.name()
              + " stands in "
              + elsewhere.get().part().words()
              + " and stays there; make another one in "
              + section.part().words()
              + ".");
    notInItself(section, all);
    Long parent = section.parent() == 0 ? null : section.parent();
    if (section.id() == 0)
      return NewRow.id(
          sql.sql(
                  "insert into section (part, parent_id, place, name, activity, subtotal)"
                      + " values (?, ?, ?, ?, ?, ?)")
              .param(section.part().name())
              .param(parent)
              .params(place, section.name(), section.activity().name(), section.subtotal()));
    sql.sql(
            "update section set parent_id = ?, place = ?, name = ?, activity = ?, subtotal = ?"
                + " where id = ?")
        .param(parent)
        .params(place, section.name(), section.activity().name(), section.subtotal(), section.id())
        .update();
    return section.id();
  }

  private static void notInItself(Section section, List<Section> all) {
    long above = section.parent();
    while (above != 0) {
      long id = above;
      Section over =
          all.stream()
              .filter(s -> s.id() == id)
              .findFirst()
              .orElseThrow(() -> new NotKept("The heading it should stand under is not there."));
      if (over.part() != section.part())
        throw new NotKept(
            over.name()
                + " stands in "
                + over.part().words()
                + ", not in "
                + section.part().words()
                + ".");
      if (over.id() == section.id())
        throw new NotKept(section.name() + " would stand under itself.");
      above = over.parent();
    }
  }

  /** Takes a heading away under which nothing stands. */
  public void remove(Section section) {
    boolean used =
        sql.sql(
                "select exists (select 1 from account where section_id = :id)"
                    + " or exists (select 1 from section where parent_id = :id)")
            .param("id", section.id())
            .query(Boolean.class)
            .single();
    if (used)
      throw new NotKept(
          "Accounts or headings stand under " + section.name() + "; put them elsewhere first.");
    sql.sql("delete from section where id = ?").param(section.id()).update();
  }

  /** Puts an account under a heading, or under none. */
  public void place(Account account, Optional<Section> under) {
    if (under.isPresent() && !under.get().part().takes(account.kind()))
      throw new NotKept(
          account.label()
              + " is "
              + account.kind().words()
              + "; it cannot stand in "
              + under.get().part().words()
              + ".");
    sql.sql("update account set section_id = ? where id = ?")
        .param(under.map(Section::id).orElse(null))
        .param(account.id())
        .update();
  }
}
