package zinctally.store.book;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.papers.Allowed;
import zinctally.core.papers.TaxRate;

/** What goods are sold for by the price lists. */
@Repository
public class ListPrices {
  /** Of prices that are worked out. */
  private static final int PLACES = 4;

  private final JdbcClient sql;

  ListPrices(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * A price for one base unit, from a quantity on.
   *
   * @param atLeast millionths
   * @param withTax whether it holds its tax
   */
  public record Step(long atLeast, BigDecimal price, boolean withTax) {
    /** The price with tax or without; as it stands when no rate is known. */
    public BigDecimal in(boolean tax, Optional<TaxRate> rate) {
      if (tax == withTax || rate.isEmpty()) return price;
      BigDecimal factor = BigDecimal.ONE.add(rate.get().percent().movePointLeft(2));
      return tax
          ? price.multiply(factor).setScale(PLACES, RoundingMode.HALF_UP)
          : price.divide(factor, PLACES, RoundingMode.HALF_UP);
    }
  }

  /** What a list says of some items on a day; where it says nothing, the first list does. */
  public record Listed(Map<Long, List<Step>> steps) {
    /**
     * @param micros millionths that are bought
     */
    public Optional<Step> price(long item, long micros) {
      return steps.getOrDefault(item, List.of()).stream()
          .filter(s -> s.atLeast <= micros)
          .findFirst();
    }
  }

  /**
   * @param list zero for the first
   */
  public Listed listed(Collection<Long> items, long list, LocalDate on) {
    Map<Long, List<Step>> steps = new HashMap<>();
    if (!items.isEmpty())
      sql.sql(
              """
              select p.item_id, p.min_quantity, p.price, l.with_tax
              from item_price p join price_list l on l.id = p.list_id
              where p.item_id in (:items) and p.from_date <= :on
                and not exists (select 1 from item_price x
                  where x.item_id = p.item_id and x.list_id = p.list_id
                    and x.min_quantity = p.min_quantity and x.from_date > p.from_date
                    and x.from_date <= :on)
              order by p.item_id, p.list_id = :list desc, p.list_id, p.min_quantity desc
              """)
          .param("items", items)
          .param("on", on)
          .param("list", list)
          .query(
              (row, n) ->
                  steps
                      .computeIfAbsent(row.getLong(1), i -> new ArrayList<>())
                      .add(new Step(row.getLong(2), row.getBigDecimal(3), row.getBoolean(4))))
          .list();
    return new Listed(steps);
  }

  /**
   * What an item is sold to a customer for; empty without a price.
   *
   * @param micros millionths that are bought
   */
  Optional<Allowed.ListPrice> of(
      long item, long customer, long micros, LocalDate on, @Nullable TaxRate rate) {
    record Terms(long list, BigDecimal off) {}
    Terms terms =
        sql.sql("select coalesce(price_list_id, 0), discount from party where id = ?")
            .param(customer)
            .query((row, n) -> new Terms(row.getLong(1), row.getBigDecimal(2)))
            .optional()
            .orElse(new Terms(0, BigDecimal.ZERO));
    return listed(List.of(item), terms.list, on)
        .price(item, micros)
        .map(step -> new Allowed.ListPrice(step.in(false, Optional.ofNullable(rate)), terms.off));
  }
}
