package zinctally.store.sql;

/** Pieces of SQL about what papers wait for. */
public final class Waiting {
  /** Which rows of {@code awaited a} are goods on order; a bill of an order waits for the same. */
  public static final String ON_ORDER =
      "a.open_quantity > 0 and (a.what = 'ORDERED_GOODS'"
          + " or a.what = 'BILLED_GOODS' and a.order_paper = 0)";

  /** Which rows of {@code awaited a} are goods promised to customers. */
  public static final String PROMISED = "a.open_quantity > 0 and a.what = 'PROMISED_GOODS'";

  private Waiting() {}
}
