package zinctally.store.sql;

import zinctally.core.papers.flow.Awaits;

/** Pieces of SQL about what papers wait for. */
public final class Waiting {
  /**
   * Which rows of {@code awaited a} are goods on order, also on consignment, or to be made; a bill
   * of an order waits for the same.
   */
  public static final String ON_ORDER =
      "a.open_quantity > 0 and (a.what = 'ORDERED_GOODS'"
          + " or a.what = 'BILLED_GOODS' and a.order_paper = 0 or a.what in ('TO_BE_MADE', 'TO_BE_CONSIGNED'))";

  /** Which rows of {@code awaited a} are goods promised to customers or to work orders. */
  public static final String PROMISED =
      "a.open_quantity > 0 and a.what in ('PROMISED_GOODS', 'PROMISED_PARTS')";

  private Waiting() {}

  /**
   * Ids of the rows of {@code awaited} of which something is open, in the order of indexes.
   *
   * @param and more conditions, each beginning with {@code and}; may be empty
   */
  public static String open(Awaits what, String and) {
    String rows = "select id from awaited where what = '" + what.name() + "' " + and;
    return what.byValue()
        ? rows + " and open_quantity > 0 union " + rows + " and open_value <> 0"
        : rows + " and open_quantity > 0";
  }
}
