package zinctally.store.posting;

import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Trait;
import zinctally.core.papers.consign.Consignment;
import zinctally.core.papers.flow.Numbered;

/** What numbered pieces are sold for that came with a price of their own. */
@Component
class PiecePrices implements Follower {
  private final JdbcTemplate jdbc;

  PiecePrices(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  @Override
  public boolean follows(PaperKind kind) {
    return kind.is(Trait.LABELLED);
  }

  @Override
  public void posted(Posted what) {
    for (Consignment.Line line : ((Consignment) what.paper()).lines())
      for (Numbered piece : line.goods().numbers())
        if (line.price() != null || what.again())
          jdbc.update(
              "update lot set price = ? where item_id = ? and code = ?",
              line.price(),
              line.goods().item().id(),
              piece.lot().code());
  }
}
