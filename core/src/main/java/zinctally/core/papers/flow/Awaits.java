package zinctally.core.papers.flow;

import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import zinctally.core.ledger.Role;
import zinctally.core.papers.PaperKind;

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
  INVOICED_GOODS(Role.BILLED_AHEAD);

  private static final Map<PaperKind, Set<Awaits>> BROUGHT =
      Map.of(
          PaperKind.RECEIPT, EnumSet.of(ORDERED_GOODS, BILLED_GOODS),
          PaperKind.BILL, EnumSet.of(RECEIVED_BILL, ORDERED_BILL),
          PaperKind.DELIVERY, EnumSet.of(PROMISED_GOODS, INVOICED_GOODS),
          PaperKind.INVOICE, EnumSet.of(SENT_INVOICE, PROMISED_INVOICE));
  private final Role role;

  Awaits(Role role) {
    this.role = role;
  }

  /** What a paper of this kind can bring of what earlier ones wait for. */
  public static Set<Awaits> broughtBy(PaperKind kind) {
    return BROUGHT.getOrDefault(kind, Set.of());
  }

  /** The account that what is awaited adds up to; {@link Role#NONE} when it is in no books. */
  public Role role() {
    return role;
  }
}
