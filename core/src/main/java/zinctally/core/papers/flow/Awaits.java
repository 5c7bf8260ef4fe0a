package zinctally.core.papers.flow;

import zinctally.core.ledger.Role;

/** What a line of a posted paper can wait for. */
public enum Awaits {
  /** A purchase order's goods. */
  ORDERED_GOODS(Role.NONE),
  /** A purchase order's bill. */
  ORDERED_BILL(Role.NONE),
  /** The bill for goods that have come. */
  RECEIVED_BILL(Role.RECEIVED_NOT_BILLED),
  /** The goods of a bill that came first. */
  BILLED_GOODS(Role.BILLED_NOT_RECEIVED),
  /** A sales order's goods, promised to a customer. */
  PROMISED_GOODS(Role.NONE),
  /** A sales order's invoice. */
  PROMISED_INVOICE(Role.NONE),
  /** The invoice for goods that have gone; stands at their cost. */
  SENT_INVOICE(Role.SENT_NOT_INVOICED),
  /** The goods of an invoice that was sent ahead; stands at their price. */
  INVOICED_GOODS(Role.BILLED_AHEAD),
  /** What a work order is to make. */
  TO_BE_MADE(Role.NONE),
  /** What goes into that, promised to it. */
  PROMISED_PARTS(Role.NONE),
  /** Goods that were sent to another place and are not there yet. */
  ON_THE_WAY(Role.NONE),
  /** Goods that are out for repair. */
  IN_REPAIR(Role.NONE),
  /** A customer's own goods, taken in to be mended. */
  TO_GIVE_BACK(Role.NONE),
  /** What is owed for consigned goods that were sold, or lost. */
  CONSIGNED_SOLD(Role.OWED_FOR_CONSIGNED),
  /** Goods that a customer has bought and that stay here for now. */
  KEPT_HERE(Role.NONE),
  /** Goods that were ordered on consignment. */
  TO_BE_CONSIGNED(Role.NONE);

  private final Role role;

  Awaits(Role role) {
    this.role = role;
  }

  /**
   * Whether something is open of it while anything stands on its account, whatever its quantity.
   */
  public boolean byValue() {
    return this == CONSIGNED_SOLD;
  }

  /** The account that what is awaited adds up to; {@link Role#NONE} when it is in no books. */
  public Role role() {
    return role;
  }
}
