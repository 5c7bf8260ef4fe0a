package zinctally.store.sell;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import zinctally.store.Audit;
import zinctally.store.find.Like;
import zinctally.store.sql.PlaceNames;

/** Customers: what is known of each, and on what terms they buy. */
@Repository
public class CustomerStore {
  private final JdbcClient sql;
  private final Audit audit;

  CustomerStore(JdbcClient sql, Audit audit) {
    this.audit = audit;
    this.sql = sql;
  }

  /**
   * @param termsDays days from an invoice's date until it is due
   * @param priceList zero for the book's first
   * @param discount percent off every price
   * @param creditLimit minor units; null for no limit
   * @param taxRate the rate they pay whatever the item's; zero for the item's
   * @param language of the papers they are handed, two letters
   * @param places delivery addresses, one a line
   */
  public record Card(
      long id,
      String name,
      int termsDays,
      long priceList,
      BigDecimal discount,
      @Nullable Long creditLimit,
      long taxRate,
      String address,
      String places,
      String email,
      String phone,
      String taxNumber,
      String notes,
      String language,
      boolean active) {
    /** Their own address and every delivery address. */
    public List<String> addresses() {
      List<String> all = new java.util.ArrayList<>();
      if (!address.isBlank()) all.add(address);
      Arrays.stream(places.split("\\R")).map(String::strip).forEach(all::add);
      return all.stream().filter(a -> !a.isEmpty()).distinct().toList();
    }
  }

  /**
   * @param open minor units that are left of it, above zero
   */
  public record Credit(String number, String customer, LocalDate date, long open) {}

  /** Credit that customers have not used yet, the latest first. */
  public List<Credit> credits(String typed, int atMost) {
    String like = Like.escaped(typed);
    return sql.sql(
            """
            select o.number, c.name as customer, o.date, -o.open as open from open_item o
            join party c on c.id = o.party_id and c.kind = 'CUSTOMER'
            where o.open < 0 and (o.number like :within or c.name like :within)
            order by o.date desc, o.id desc limit :most
            """)
        .param("within", "%" + like + "%")
        .param("most", atMost)
        .query(Credit.class)
        .list();
  }

  public Optional<Card> card(long id) {
    return by("id = ?", id);
  }

  public Optional<Card> named(String name) {
    return by(
        "id = (select coalesce(merged_into, id) from party where kind = 'CUSTOMER' and name = ?)",
        name.strip());
  }

  private Optional<Card> by(String which, Object value) {
    return sql.sql("select * from party where kind = 'CUSTOMER' and " + which)
        .param(value)
        .query(
            (row, n) ->
                new Card(
                    row.getLong("id"),
                    row.getString("name"),
                    row.getInt("terms_days"),
                    row.getLong("price_list_id"),
                    row.getBigDecimal("discount").stripTrailingZeros(),
                    row.getObject("credit_limit", Long.class),
                    row.getLong("tax_rate_id"),
                    row.getString("address"),
                    row.getString("places"),
                    row.getString("email"),
                    row.getString("phone"),
                    row.getString("tax_number"),
                    row.getString("notes"),
                    row.getString("language"),
                    row.getBoolean("active")))
        .optional();
  }

  /**
   * Makes a customer or changes one.
   *
   * @return its id; empty when another has the name already
   */
  @Transactional
  public Optional<Long> save(Card card, String login) {
    String before = card.id() == 0 ? null : card(card.id()).map(Card::toString).orElse(null);
    try {
      if (card.id() == 0)
        sql.sql("insert into party (kind, name) values ('CUSTOMER', ?)")
            .param(card.name())
            .update();
      long id = card.id() != 0 ? card.id() : named(card.name()).orElseThrow().id();
      sql.sql(
              """
              update party set name = ?, terms_days = ?, price_list_id = nullif(?, 0),
                discount = ?, credit_limit = ?, tax_rate_id = nullif(?, 0), address = ?,
                places = ?, email = ?, phone = ?, tax_number = ?, notes = ?, language = ?, active = ?
              where id = ?
              """)
          .params(
              Arrays.asList(
                  card.name(),
                  card.termsDays(),
                  card.priceList(),
                  card.discount(),
                  card.creditLimit(),
                  card.taxRate(),
                  card.address(),
                  card.places(),
                  card.email(),
                  card.phone(),
                  card.taxNumber(),
                  card.notes(),
                  card.language(),
                  card.active(),
                  id))
          .update();
      PlaceNames.followParty(sql, id);
      audit.write(
          login, "customer", id, card.id() == 0 ? "made" : "changed", before, card.toString());
      return Optional.of(id);
    } catch (DuplicateKeyException taken) {
      return Optional.empty();
    }
  }
}
