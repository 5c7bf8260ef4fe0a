package zinctally.store.posting;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.papers.Fault;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Trait;
import zinctally.core.papers.count.StockCount;
import zinctally.store.Refused;

/** A count sheet is done when its differences are posted, and not when that is void again. */
@Component
class CountsPosted implements Follower {
  private final JdbcClient sql;

  CountsPosted(JdbcClient sql) {
    this.sql = sql;
  }

  @Override
  public boolean follows(PaperKind kind) {
    return kind.is(Trait.COUNTED);
  }

  /**
   * @throws Refused when its sheet is still counted on, is another place's, or was posted already
   */
  @Override
  public void posted(Posted what) {
    StockCount count = (StockCount) what.paper();
    voided(what.id());
    if (count.sheet() == 0) return;
    int done =
        sql.sql(
                """
                update count_sheet set state = 'POSTED', paper_id = ?
                where id = ? and place_id = ? and state = 'CLOSED'
                """)
            .params(what.id(), count.sheet(), count.place().id())
            .update();
    if (done == 0)
      throw new Refused(
          List.of(
              new Fault(
                  "sheet",
                  "Count "
                      + count.sheet()
                      + " is not a closed count of "
                      + count.place().name()
                      + "; its page says how far it is.")));
  }

  @Override
  public void voided(long id) {
    sql.sql("update count_sheet set state = 'CLOSED', paper_id = null where paper_id = ?")
        .param(id)
        .update();
  }
}
