package zinctally.store.sql;

/** Pieces of SQL about prices. */
public final class Prices {
  /** Selects, of {@code item_price p}, the price of a list that counts today for one piece. */
  public static final String TODAY =
      """
      p.min_quantity = 0 and p.from_date = (select max(x.from_date) from item_price x
        where x.item_id = p.item_id and x.list_id = p.list_id and x.min_quantity = 0
          and x.from_date <= current_date)""";

  private Prices() {}
}
