package zinctally.store.prove;

import java.time.LocalDate;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.papers.Party;
import zinctally.store.listing.AgeListings;
import zinctally.store.listing.Listing;

/** What is owed to suppliers or by customers, by how long it has been due. */
@Repository
public class AgeStore {
  private final JdbcClient sql;

  AgeStore(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * Minor units by age; below zero is credit.
   *
   * @param notDue on that day
   */
  public record Owed(long notDue, long to30, long to60, long to90, long older) {
    public long all() {
      return notDue + to30 + to60 + to90 + older;
    }

    public List<Long> parts() {
      return List.of(notDue, to30, to60, to90, older);
    }
  }

  /** What was owed in all at the end of a day. */
  public Owed owed(Party.Kind side, LocalDate date) {
    return owed(AgeListings.ageing(side, date), "");
  }

  /** What was owed to or by one party at the end of a day. */
  public Owed owed(Party.Kind side, long party, LocalDate date) {
    return owed(AgeListings.ageing(side, date), " and t.id = " + party);
  }

  private Owed owed(Listing ageing, String which) {
    return sql.sql(
            "select coalesce(sum(t.not_due), 0), coalesce(sum(t.d30), 0), coalesce(sum(t.d60), 0),"
                + " coalesce(sum(t.d90), 0), coalesce(sum(t.older), 0) from "
                + ageing.from()
                + which)
        .params(ageing.params())
        .query(
            (row, n) ->
                new Owed(
                    row.getLong(1), row.getLong(2), row.getLong(3), row.getLong(4), row.getLong(5)))
        .single();
  }
}
