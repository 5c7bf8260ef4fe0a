package zinctally.store.sql;

import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * What places are called after: the place alone, the standing, the owner, whom it is with. A name
 * that another place has already stays as it was.
 */
public final class PlaceNames {
  private static final String AT_OTHERS =
      """
      update ignore place p join party w on w.id = p.host_id
      set p.name = if(p.kind = 'REPAIRER', w.name, concat('At ', w.name))
      where p.at_id is null""";
  private static final String PARTS =
      """
      update ignore place p join place a on a.id = p.at_id
        join standing t on t.id = p.standing_id left join party w on w.id = p.owner_id
      set p.name = concat(a.name, if(t.id = 1, '', concat(', ', lower(t.name))),
          if(w.id is null, '', concat(', of ', w.name))),
        p.kind = a.kind, p.active = a.active or a.kind in ('REPAIRER', 'WAY'),
        p.tax_rate_id = a.tax_rate_id, p.for_sale = a.for_sale and t.free and w.id is null""";

  private PlaceNames() {}

  /**
   * Has what goods in another standing, of others, or at a repairer's are at take after what that
   * is called now, and whether it sells.
   */
  public static void follow(JdbcClient sql) {
    sql.sql(PARTS).update();
  }

  /** The same for what a supplier or customer owns, or is kept with one. */
  public static void followParty(JdbcClient sql, long party) {
    sql.sql(AT_OTHERS + " and p.host_id = ?").param(party).update();
    sql.sql(PARTS + " where p.owner_id = :party or p.host_id = :party")
        .param("party", party)
        .update();
  }
}
