package zinctally.store.setup;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.papers.Place;
import zinctally.store.sql.Here;
import zinctally.store.sql.NewRow;
import zinctally.store.sql.PlaceNames;

/** Where goods are, and in what standings. */
@Repository
public class PlaceStore {
  private static final String CHOSEN = "p.active and p.owner_id is null and " + Here.CHOSEN;
  private final JdbcClient sql;

  PlaceStore(JdbcClient sql) {
    this.sql = sql;
  }

  /** Names of places in use, those whose goods are not free last. */
  public List<String> inUse() {
    return sql.sql(
            "select p.name from place p where "
                + CHOSEN
                + " order by p.for_sale desc, p.at_id, p.id")
        .query(String.class)
        .list();
  }

  /** Those whose goods may be sold. */
  public List<String> thatSell() {
    return sql.sql(
            "select p.name from place p where "
                + CHOSEN
                + " and exists (select 1 from standing t where t.id = p.standing_id and t.sold)"
                + " order by p.for_sale desc, p.at_id, p.id")
        .query(String.class)
        .list();
  }

  /** Those, whatever the standing of what is there, without more: where goods can come to. */
  public List<String> plain() {
    return sql.sql(
            "select p.name from place p where "
                + CHOSEN
                + " and p.at_id is null order by p.for_sale desc, p.id")
        .query(String.class)
        .list();
  }

  /** Names of what is at places and not ours, for those who move it. */
  public List<String> ofOthers() {
    return sql.sql(
            """
            select p.name from place p where p.owner_id is not null and %s
              and exists (select 1 from place_stock s where s.place_id = p.id and s.quantity <> 0)
            order by p.name limit 500
            """
                .formatted(Here.CHOSEN))
        .query(String.class)
        .list();
  }

  /** Names of where suppliers have good goods on consignment. */
  public List<String> ofSuppliers() {
    return sql.sql(
            """
            select p.name from place p join party o on o.id = p.owner_id and o.kind = 'SUPPLIER'
            where p.standing_id = 1 and %s
              and exists (select 1 from place_stock s where s.place_id = p.id and s.quantity <> 0)
            order by p.name limit 500
            """
                .formatted(Here.CHOSEN))
        .query(String.class)
        .list();
  }

  /** Places in use and those where something of ours is. */
  public List<Place> whereOurGoodsAre() {
    return sql.sql(
            """
            select id, name from place p where owner_id is null and (active and at_id is null
              or exists (select 1 from place_stock s where s.place_id = p.id and s.quantity <> 0))
            order by for_sale desc, coalesce(at_id, id), id
            """)
        .query((row, n) -> new Place(row.getLong(1), row.getString(2)))
        .list();
  }

  /**
   * @param rate code of the tax of items that have none; empty for none
   * @param forSale whether good goods there count as free
   */
  public record Row(
      long id, String name, Place.Kind kind, String rate, boolean forSale, boolean active) {}

  public List<Row> all() {
    return sql.sql(
            """
            select p.id, p.name, p.kind, coalesce(t.code, ''), p.for_sale, p.active from place p
            left join tax_rate t on t.id = p.tax_rate_id
            where p.at_id is null and p.owner_id is null and %s
            order by p.for_sale desc, p.id
            """
                .formatted(Here.CHOSEN))
        .query(
            (r, n) ->
                new Row(
                    r.getLong(1),
                    r.getString(2),
                    Place.Kind.valueOf(r.getString(3)),
                    r.getString(4),
                    r.getBoolean(5),
                    r.getBoolean(6)))
        .list();
  }

  /** Makes a place, or changes it; what is there in other standings goes with it. */
  public void save(Row place) {
    String rate = "(select id from tax_rate where code = :rate)";
    JdbcClient.StatementSpec save =
        place.id() == 0
            ? sql.sql(
                "insert into place (name, kind, for_sale, tax_rate_id) values (:name, :kind, :sale, "
                    + rate
                    + ")")
            : sql.sql(
                    "update place set name = :name, kind = :kind, active = :active,"
                        + " for_sale = :sale, tax_rate_id = "
                        + rate
                        + " where id = :id")
                .param("active", place.active())
                .param("id", place.id());
    save.param("name", place.name())
        .param("kind", place.kind().name())
        .param("sale", place.forSale())
        .param("rate", place.rate())
        .update();
    PlaceNames.follow(sql);
  }

  /**
   * @param sold whether goods in it may be sold
   * @param free whether they count as free
   */
  public record Standing(long id, String name, boolean sold, boolean free, boolean active) {}

  /** Standings, good goods first. */
  public List<Standing> standings() {
    return sql.sql("select id, name, sold, free, active from standing order by id")
        .query(
            (r, n) ->
                new Standing(
                    r.getLong(1),
                    r.getString(2),
                    r.getBoolean(3),
                    r.getBoolean(4),
                    r.getBoolean(5)))
        .list();
  }

  /** Names of those in use. */
  public List<String> standingsInUse() {
    return standings().stream().filter(Standing::active).map(Standing::name).toList();
  }

  /** Makes a standing, or changes it; goods in it go with it. */
  public void save(Standing standing) {
    if (standing.id() == 0)
      NewRow.id(
          sql.sql("insert into standing (name, sold, free) values (?, ?, ?)")
              .params(standing.name(), standing.sold(), standing.free()));
    else
      sql.sql("update standing set name = ?, sold = ?, free = ?, active = ? where id = ?")
          .params(
              standing.name(), standing.sold(), standing.free(), standing.active(), standing.id())
          .update();
    PlaceNames.follow(sql);
  }
}
