package zinctally.store.buy;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import zinctally.core.papers.Catalogue;
import zinctally.store.Audit;
import zinctally.store.sql.PlaceNames;

/** Suppliers: what is known of each, what is owed to them. */
@Repository
public class SupplierStore {
  private final JdbcClient sql;
  private final Audit audit;

  SupplierStore(JdbcClient sql, Audit audit) {
    this.audit = audit;
    this.sql = sql;
  }

  /**
   * @param termsDays days from a bill's date until it is due
   * @param account the account its bills usually go to; zero for none
   * @param language of the papers it is handed, two letters
   * @param taxRate what its bills bear whatever the item; zero as the item
   */
  public record Card(
      long id,
      String name,
      int termsDays,
      long account,
      long taxRate,
      String address,
      String email,
      String phone,
      String taxNumber,
      String notes,
      String language,
      boolean active) {}

  public Optional<Card> card(long id) {
    return sql.sql("select * from party where id = ? and kind = 'SUPPLIER'")
        .param(id)
        .query(
            (row, n) ->
                new Card(
                    id,
                    row.getString("name"),
                    row.getInt("terms_days"),
                    row.getLong("account_id"),
                    row.getLong("tax_rate_id"),
                    row.getString("address"),
                    row.getString("email"),
                    row.getString("phone"),
                    row.getString("tax_number"),
                    row.getString("notes"),
                    row.getString("language"),
                    row.getBoolean("active")))
        .optional();
  }

  /** The rate that a supplier's bills bear whatever the item; zero as the item. */
  public long taxRate(String name) {
    return sql.sql(
            "select coalesce(w.tax_rate_id, 0) from party p"
                + " join party w on w.id = coalesce(p.merged_into, p.id)"
                + " where p.kind = 'SUPPLIER' and p.name = ?")
        .param(name)
        .query(Long.class)
        .optional()
        .orElse(0L);
  }

  /** What a supplier calls our items, by item. */
  public Map<Long, String> codes(long id) {
    Map<Long, String> codes = new HashMap<>();
    sql.sql(
            """
            select item_id, code from supplier_item where party_id = :id and code <> ''
            union select i.id, i.supplier_code from item i join party w on w.name = i.supplier
            where w.id = :id and i.supplier_code <> ''
            """)
        .param("id", id)
        .query((row, n) -> codes.putIfAbsent(row.getLong(1), row.getString(2)))
        .list();
    return codes;
  }

  /**
   * Makes a supplier or changes one.
   *
   * @return its id; empty when another has the name already
   */
  @Transactional
  public Optional<Long> save(Card card, String login) {
    String before = card.id() == 0 ? null : card(card.id()).map(Card::toString).orElse(null);
    try {
      if (card.id() == 0)
        sql.sql("insert into party (kind, name) values ('SUPPLIER', ?)")
            .param(card.name())
            .update();
      long id =
          card.id() != 0
              ? card.id()
              : sql.sql("select id from party where kind = 'SUPPLIER' and name = ?")
                  .param(card.name())
                  .query(Long.class)
                  .single();
      sql.sql(
              """
              update party set name = ?, terms_days = ?, account_id = nullif(?, 0),
                tax_rate_id = nullif(?, 0), address = ?, email = ?, phone = ?, tax_number = ?,
                notes = ?, language = ?, active = ?
              where id = ?
              """)
          .params(
              card.name(),
              card.termsDays(),
              card.account(),
              card.taxRate(),
              card.address(),
              card.email(),
              card.phone(),
              card.taxNumber(),
              card.notes(),
              card.language(),
              card.active(),
              id)
          .update();
      PlaceNames.followParty(sql, id);
      audit.write(
          login, "supplier", id, card.id() == 0 ? "made" : "changed", before, card.toString());
      return Optional.of(id);
    } catch (DuplicateKeyException taken) {
      return Optional.empty();
    }
  }

  /** What a supplier calls one of our items; an empty code forgets it. */
  public void theirCode(long supplier, long item, String code) {
    sql.sql(
            "insert into supplier_item (party_id, item_id, code) values (?, ?, ?)"
                + " on duplicate key update code = values(code)")
        .params(supplier, item, code)
        .update();
  }

  /** What a supplier asked last for some items, without tax. */
  public Map<Long, Catalogue.LatestCost> lastPrices(long supplier, List<Long> items) {
    Map<Long, Catalogue.LatestCost> last = new HashMap<>();
    if (items.isEmpty()) return last;
    sql.sql(
            """
            select item_id, net, quantity from supplier_item
            where party_id = :party and item_id in (:items) and quantity > 0
            """)
        .param("party", supplier)
        .param("items", items)
        .query(
            (row, n) ->
                last.put(row.getLong(1), new Catalogue.LatestCost(row.getLong(2), row.getLong(3))))
        .list();
    return last;
  }
}
