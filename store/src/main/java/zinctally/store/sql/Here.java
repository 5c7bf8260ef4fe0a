package zinctally.store.sql;

/** Pieces of SQL about how many of an item there are for those who want some. */
public final class Here {
  private Here() {}

  /** Good, ours, and at places that sell; of {@code item i}. */
  public static final String HERE =
      "(select coalesce(sum(s.quantity), 0) from place_stock s"
          + " join place p on p.id = s.place_id and p.for_sale where s.item_id = i.id)";

  /** That, less what is promised; of {@code item i}. */
  public static final String FREE =
      HERE
          + " - (select coalesce(sum(a.open_quantity), 0) from awaited a where a.item_id = i.id and "
          + Waiting.PROMISED
          + ")";
}
