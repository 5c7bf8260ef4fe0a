package zinctally.store.sql;

/** Pieces of SQL about where goods are, and how many there are for those who want some. */
public final class Here {
  private Here() {}

  /** Which rows of {@code place p} people choose; to the others papers take goods by themselves. */
  public static final String CHOSEN = "p.kind not in ('REPAIRER', 'WAY')";

  /** Millionths that are good, ours, and at places that sell; of {@code item i}. */
  public static final String HERE = here("i.id");

  /** Those, less what is promised; of {@code item i}. */
  public static final String FREE = free("i.id");

  private static String here(String item) {
    return "(select coalesce(sum(s.quantity), 0) from place_stock s"
        + " join place p on p.id = s.place_id and p.for_sale where s.item_id = "
        + item
        + ")";
  }

  /**
   * What is free of an item.
   *
   * @param item an expression that gives its id
   */
  public static String free(String item) {
    return here(item)
        + " - (select coalesce(sum(a.open_quantity), 0) from awaited a where a.item_id = "
        + item
        + " and "
        + Waiting.PROMISED
        + ")";
  }

  /**
   * Minor units that are worth, at present cost, what of ours is in a row of {@code place_stock s},
   * of {@code cost_pool h}; what an item's rows are worth adds up to what the item is. Null for
   * what is not ours, as {@code place p} says.
   */
  public static final String WORTH =
      """
      if(p.owner_id is null and h.on_hand <> 0,
        round(cast(h.worth as decimal(38,0)) * (%1$s) / h.on_hand)
          - round(cast(h.worth as decimal(38,0)) * ((%1$s) - s.quantity) / h.on_hand), null)"""
          .formatted(
              "select sum(x.quantity) from place_stock x join place y on y.id = x.place_id"
                  + " and y.owner_id is null where x.item_id = s.item_id"
                  + " and x.place_id <= s.place_id");
}
