package zinctally.store.tax;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.papers.tax.TaxBoxes;
import zinctally.core.papers.tax.TaxDays;
import zinctally.core.papers.tax.TaxDue;
import zinctally.store.book.BookCatalogue;
import zinctally.store.book.Catalogues;

/** What of tax waits to be declared, and what was. */
@Repository
public class TaxReturnStore {
  private final JdbcClient sql;
  private final Catalogues catalogues;

  TaxReturnStore(JdbcClient sql, Catalogues catalogues) {
    this.sql = sql;
    this.catalogues = catalogues;
  }

  /** A return that stands: its days, and to whom. */
  public record Declared(String number, TaxDays days, String office) {}

  /** The latest return; empty before the first. */
  public Optional<Declared> latest() {
    return sql.sql(
            """
            select p.number, t.from_day, t.to_day, w.name
            from tax_return t join paper p on p.id = t.paper_id join party w on w.id = p.party_id
            order by t.to_day desc, t.paper_id desc limit 1
            """)
        .query((row, n) -> declared(row))
        .optional();
  }

  /** A return; empty for a paper that is none, or is void. */
  public Optional<Declared> of(long paper) {
    return sql.sql(
            """
            select p.number, t.from_day, t.to_day, w.name
            from tax_return t join paper p on p.id = t.paper_id join party w on w.id = p.party_id
            where t.paper_id = ?
            """)
        .param(paper)
        .query((row, n) -> declared(row))
        .optional();
  }

  private static Declared declared(ResultSet row) throws SQLException {
    return new Declared(
        row.getString(1),
        new TaxDays(row.getObject(2, LocalDate.class), row.getObject(3, LocalDate.class)),
        row.getString(4));
  }

  /** The days of which a return is next: as many months as the latest, else the last quarter. */
  public TaxDays next(LocalDate today) {
    return latest().map(l -> l.days().next()).orElseGet(() -> TaxDays.quarterBefore(today));
  }

  /**
   * What waits to be declared.
   *
   * @param inNone what of it stands in no box
   */
  public record Waiting(
      List<TaxDue> dues, List<TaxBoxes.Filled> boxes, List<TaxDue> inNone, long toPay) {
    /** Minor units of it that are of days before. */
    public long late() {
      return TaxDue.toPay(dues.stream().filter(TaxDue::late).toList());
    }
  }

  public Waiting waiting(TaxDays days) {
    BookCatalogue book = catalogues.open();
    List<TaxDue> dues = book.taxDue(days.from(), days.to());
    TaxBoxes boxes = book.taxBoxes();
    return new Waiting(dues, boxes.fill(dues), boxes.inNone(dues), TaxDue.toPay(dues));
  }
}
