package zinctally.store.posting;

import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Trait;
import zinctally.core.papers.tax.TaxReturn;

/** Keeps of which days a return is and which tax it declares; no other posting runs beside it. */
@Component
class TaxReturnsPosted implements Follower {
  private final JdbcTemplate jdbc;

  TaxReturnsPosted(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  @Override
  public boolean follows(PaperKind kind) {
    return kind.is(Trait.DECLARES);
  }

  @Override
  public void posted(Posted what) {
    TaxReturn declares = (TaxReturn) what.paper();
    voided(what.id());
    jdbc.update(
        "insert into tax_return values (?, ?, ?)", what.id(), declares.from(), declares.to());
    jdbc.update(
        "update tax_entry set return_id = ? where return_id is null and date <= ?",
        what.id(),
        declares.to());
  }

  @Override
  public void voided(long id) {
    jdbc.update("update tax_entry set return_id = null where return_id = ?", id);
    jdbc.update("delete from tax_return where paper_id = ?", id);
  }
}
