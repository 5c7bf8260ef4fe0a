package zinctally.store.posting;

import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Trait;
import zinctally.core.papers.consign.Agreement;

/** What is kept of agreements, to say what is owed for consigned goods. */
@Component
class AgreementsPosted implements Follower {
  private final JdbcTemplate jdbc;

  AgreementsPosted(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  @Override
  public boolean follows(PaperKind kind) {
    return kind.is(Trait.AGREES);
  }

  @Override
  public void posted(Posted what) {
    Agreement agreement = (Agreement) what.paper();
    voided(what.id());
    for (Agreement.Line line : agreement.lines())
      jdbc.update(
          "insert into agreement_line (paper_id, line, party_id, date, item_id, group_id,"
              + " each_cost, percent, least, discounts, loss_ours)"
              + " values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
          what.id(),
          line.row(),
          agreement.who().id(),
          agreement.date(),
          line.item() == null ? null : line.item().id(),
          line.group() == null ? null : line.group().id(),
          line.terms().each(),
          line.terms().percent(),
          line.terms().least(),
          line.terms().discounts().name(),
          line.terms().lossOurs());
  }

  @Override
  public void voided(long id) {
    jdbc.update("delete from agreement_line where paper_id = ?", id);
  }
}
