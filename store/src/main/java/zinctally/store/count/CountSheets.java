package zinctally.store.count;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Fault;
import zinctally.store.Audit;
import zinctally.store.Refused;
import zinctally.store.Retrying;
import zinctally.store.sql.NewRow;

/** Count sheets, from when they are drawn to when they are done. */
@Repository
public class CountSheets {
  private final JdbcClient sql;
  private final Audit audit;
  private final Retrying retrying;

  CountSheets(JdbcClient sql, Audit audit, Retrying retrying) {
    this.sql = sql;
    this.audit = audit;
    this.retrying = retrying;
  }

  /**
   * A sheet to be drawn.
   *
   * @param value the shelf, group, supplier or codes of items, one a line; empty where none is
   *     asked
   */
  public record Wanted(
      String place, LocalDate date, Scope scope, String value, CountSheet.Rules rules) {
    private List<String> values() {
      return Arrays.stream(value.split("[\\n,;]+"))
          .map(String::strip)
          .filter(v -> !v.isEmpty())
          .toList();
    }

    private String words() {
      String one = value.strip().replaceAll("\\s+", " ");
      String words = scope.named() ? scope.brief() + " " + one : scope.brief();
      return words.length() > 200 ? words.substring(0, 199) + "…" : words;
    }
  }

  /**
   * Draws a sheet of what the book has there now; what is listed by name is on it even when there
   * is none.
   *
   * @return its number
   * @throws Refused when an item that is listed does not exist, or nothing there is of what is
   *     asked
   */
  public long begin(Wanted wanted, String login) {
    return retrying.run(
        () -> {
          long place =
              sql.sql("select id from place where name = ?")
                  .param(wanted.place())
                  .query(Long.class)
                  .single();
          CountSheet.Rules rules = wanted.rules();
          long sheet =
              NewRow.id(
                  sql.sql(
                          """
                          insert into count_sheet (place_id, date, what, blind, other_person,
                            tolerance_quantity, tolerance_value, begun_by)
                          values (?, ?, ?, ?, ?, ?, ?, ?)
                          """)
                      .params(place, wanted.date(), wanted.words())
                      .params(rules.blind(), rules.otherPerson())
                      .param(rules.quantity() == null ? null : rules.quantity().micros())
                      .param(rules.value())
                      .param(login));
          if (wanted.scope() == Scope.ITEMS) known(wanted.values());
          if (draw(sheet, place, wanted) == 0 && wanted.scope().named())
            refuse("value", "Nothing that " + wanted.place() + " has is of that.");
          audit.write(login, "count", sheet, "begin", wanted.place() + ", " + wanted.words());
          return sheet;
        });
  }

  private void known(List<String> codes) {
    List<String> there =
        sql.sql("select lower(code) from item where code in (:codes) and kind = 'STOCKED'")
            .param("codes", codes)
            .query(String.class)
            .list();
    codes.stream()
        .filter(c -> !there.contains(c.toLowerCase(Locale.ROOT)))
        .findFirst()
        .ifPresent(
            c -> refuse("value", "No item that is kept in stock has the code \"" + c + "\"."));
  }

  private static void refuse(String cell, String says) {
    throw new Refused(List.of(new Fault(cell, says)));
  }

  private int draw(long sheet, long place, Wanted wanted) {
    String there = wanted.scope() == Scope.ITEMS ? "true" : "coalesce(s.quantity, 0) <> 0";
    return sql.sql(
            """
            insert into count_line (sheet_id, item_id, lot_id)
            select :sheet, i.id, 0 from item i
            left join place_stock s on s.item_id = i.id and s.place_id = :place
            where i.kind = 'STOCKED' and i.tracking = 'NONE' and %s and %s
            union all
            select :sheet, i.id, l.id from lot_stock s
            join lot l on l.id = s.lot_id join item i on i.id = l.item_id
            where s.place_id = :place and s.quantity <> 0 and %s
            """
                .formatted(there, wanted.scope().sql(), wanted.scope().sql()))
        .param("sheet", sheet)
        .param("place", place)
        .param("value", wanted.value().strip())
        .param("values", wanted.values())
        .update();
  }

  public Optional<CountSheet> find(long id) {
    return sql.sql(
            """
            select s.*, p.name as place_name, q.number, d.id as open_draft from count_sheet s
            join place p on p.id = s.place_id left join paper q on q.id = s.paper_id
            left join draft d on d.id = s.draft_id and d.paper_id is null
            where s.id = ?
            """)
        .param(id)
        .query(CountSheets::row)
        .optional();
  }

  /**
   * @param lines how many things are to be counted
   * @param counted how many of them are
   * @param people who counted, by login
   */
  public record Progress(long lines, long counted, List<String> people) {
    /** How many are not counted yet. */
    public long left() {
      return lines - counted;
    }
  }

  public Progress progress(long sheet) {
    List<String> people =
        sql.sql(
                """
                select distinct counted_by from count_line
                where sheet_id = ? and counted_by <> '' order by counted_by
                """)
            .param(sheet)
            .query(String.class)
            .list();
    return sql.sql("select count(*), count(counted) from count_line where sheet_id = ?")
        .param(sheet)
        .query((row, n) -> new Progress(row.getLong(1), row.getLong(2), people))
        .single();
  }

  /** Gives it up: nothing was posted of it and nothing will be. */
  public void stop(long sheet, String login) {
    turn(sheet, CountSheet.State.OPEN, CountSheet.State.STOPPED, login);
  }

  /**
   * Lets counting go on, once the draft of its differences is thrown away.
   *
   * @throws Refused while that draft waits
   */
  public void reopen(long sheet, String login) {
    retrying.run(
        () -> {
          boolean waits =
              sql.sql(
                      """
                      select count(*) from draft d join count_sheet s on s.draft_id = d.id
                      where s.id = ? and d.paper_id is null for update
                      """)
                  .param(sheet)
                  .query(Boolean.class)
                  .single();
          if (waits)
            throw Refused.because(
                "The draft of its differences waits; throw it away to go on counting.");
          turn(sheet, CountSheet.State.CLOSED, CountSheet.State.OPEN, login);
          return true;
        });
  }

  private void turn(long sheet, CountSheet.State from, CountSheet.State to, String login) {
    retrying.run(
        () -> {
          int turned =
              sql.sql("update count_sheet set state = ? where id = ? and state = ?")
                  .params(to.name(), sheet, from.name())
                  .update();
          if (turned == 0)
            throw Refused.because("Count " + sheet + " is not " + from.words() + " any more.");
          audit.write(login, "count", sheet, to.words(), "");
          return true;
        });
  }

  private static CountSheet row(ResultSet row, int n) throws SQLException {
    @Nullable Long quantity = row.getObject("tolerance_quantity", Long.class);
    return new CountSheet(
        row.getLong("id"),
        row.getLong("place_id"),
        row.getString("place_name"),
        row.getObject("date", LocalDate.class),
        row.getString("what"),
        new CountSheet.Rules(
            row.getBoolean("blind"),
            row.getBoolean("other_person"),
            quantity == null ? null : new Quantity(quantity),
            row.getObject("tolerance_value", Long.class)),
        CountSheet.State.valueOf(row.getString("state")),
        row.getLong("open_draft"),
        row.getLong("paper_id"),
        row.getString("number") == null ? "" : row.getString("number"),
        row.getString("begun_by"));
  }
}
