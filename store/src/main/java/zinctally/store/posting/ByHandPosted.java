package zinctally.store.posting;

import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Trait;
import zinctally.core.papers.money.HandJournal;

/** Notes journals by hand on control accounts until a check has seen them. */
@Component
class ByHandPosted implements Follower {
  private final JdbcTemplate jdbc;

  ByHandPosted(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  @Override
  public boolean follows(PaperKind kind) {
    return kind.is(Trait.BY_HAND);
  }

  @Override
  public void posted(Posted what) {
    if (what.again() || !((HandJournal) what.paper()).override().isEmpty()) note(what.id());
  }

  @Override
  public void voided(long id) {
    note(id);
  }

  private void note(long id) {
    jdbc.update("insert into by_hand_unchecked (paper_id) values (?)", id);
  }
}
