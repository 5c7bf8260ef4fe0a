package zinctally.store.goods;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.number.Quantity;
import zinctally.store.Audit;

/**
 * Makes one of two items that are one. Each keeps its history: costs of two pools cannot be put
 * together without changing what was sold at them. From then on the code, barcode and names of the
 * one lead to the other.
 */
@Repository
public class ItemMerges {
  private final JdbcClient sql;
  private final Audit audit;

  ItemMerges(JdbcClient sql, Audit audit) {
    this.audit = audit;
    this.sql = sql;
  }

  public record Named(long id, String code, String name) {
    public String label() {
      return code + ", " + name;
    }
  }

  private Optional<Named> one(String which, Object value) {
    return sql.sql("select id, code, name from item where " + which)
        .param(value)
        .query(Named.class)
        .optional();
  }

  /** The item that one leads to; empty while it is in use itself. */
  public Optional<Named> into(long id) {
    return one("id = (select merged_into from item where id = ? and not active)", id);
  }

  /** Items that lead to one. */
  public List<Named> of(long id) {
    return sql.sql(
            "select id, code, name from item where merged_into = ? and not active order by code")
        .param(id)
        .query(Named.class)
        .list();
  }

  /** Why an item cannot lead to another, as a sentence; empty when it can. */
  public Optional<String> refusal(ItemCard from, ItemCard into) {
    if (from.id() == into.id()) return Optional.of("That is the same item; choose the other one.");
    if (from.kind() != into.kind())
      return Optional.of("One of the two is kept in stock and the other is not.");
    if (from.units().base() != into.units().base())
      return Optional.of(
          "They are counted in different units, "
              + from.units().base().sign()
              + " and "
              + into.units().base().sign()
              + ".");
    if (into(into.id()).isPresent())
      return Optional.of(into.code() + " leads to another item itself; choose that one.");
    long onHand =
        sql.sql("select coalesce(sum(abs(quantity)), 0) from place_stock where item_id = ?")
            .param(from.id())
            .query(Long.class)
            .single();
    if (onHand != 0)
      return Optional.of(
          from.units().say(new Quantity(onHand))
              + " of "
              + from.code()
              + " are on hand. Adjust them down, and "
              + into.code()
              + " up by as many at their unit cost, on one paper first.");
    long waits =
        sql.sql("select count(*) from awaited where item_id = ? and open_quantity > 0")
            .param(from.id())
            .query(Long.class)
            .single();
    if (waits != 0)
      return Optional.of(
          waits
              + (waits == 1 ? " line of a paper still waits" : " lines of papers still wait")
              + " for "
              + from.code()
              + "; bring or end what is open first.");
    return Optional.empty();
  }

  /**
   * Switches an item off and lets its names lead to another. The caller holds the book alone and
   * has asked for a {@link #refusal}.
   */
  public void merge(ItemCard from, ItemCard into, String login) {
    sql.sql("update item set merged_into = ? where merged_into = ?")
        .params(into.id(), from.id())
        .update();
    sql.sql("update item set merged_into = ?, active = false where id = ?")
        .params(into.id(), from.id())
        .update();
    audit.write(login, "item", from.id(), "merged", from.code(), into.id() + " " + into.code());
  }
}
