package zinctally.core.papers.flow;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Trait;

/**
 * A paper that can be written from a posted one. Which follows which is known here alone.
 *
 * @param words on the button for it
 * @param ahead whether its goods move later
 */
public record Next(PaperKind kind, String words, boolean ahead) {
  private Next(PaperKind kind, String words) {
    this(kind, words, false);
  }

  /** Whether it is written at the counter: an exchange. */
  public boolean overCounter() {
    return kind.is(Trait.COUNTER);
  }

  /**
   * What is still open of a posted paper.
   *
   * @param awaits what its lines wait for
   * @param owing whether we owe something for it
   * @param owed whether something of it is owed to us
   * @param whole whether nothing of that is settled yet
   */
  public record Open(Set<Awaits> awaits, boolean owing, boolean owed, boolean whole) {
    public Open {
      awaits = Set.copyOf(awaits);
    }

    boolean any(Awaits one, Awaits other) {
      return awaits.contains(one) || awaits.contains(other);
    }
  }

  /** What can follow, in the order of the work. */
  public static List<Next> after(PaperKind kind, Open open) {
    List<Next> next = new ArrayList<>();
    if (open.any(Awaits.ORDERED_GOODS, Awaits.BILLED_GOODS))
      next.add(new Next(PaperKind.RECEIPT, "Goods have come"));
    if (open.any(Awaits.ORDERED_BILL, Awaits.RECEIVED_BILL))
      next.add(new Next(PaperKind.BILL, "Bill has come"));
    if (open.any(Awaits.PROMISED_GOODS, Awaits.INVOICED_GOODS))
      next.add(new Next(PaperKind.DELIVERY, "Deliver what is here"));
    if (open.awaits.contains(Awaits.SENT_INVOICE))
      next.add(new Next(PaperKind.INVOICE, "Invoice what went"));
    if (open.awaits.contains(Awaits.PROMISED_INVOICE)) {
      next.add(new Next(PaperKind.INVOICE, "Send and invoice"));
      if (open.awaits.contains(Awaits.PROMISED_GOODS))
        next.add(new Next(PaperKind.INVOICE, "Invoice ahead", true));
    }
    if (open.any(Awaits.PROMISED_GOODS, Awaits.INVOICED_GOODS))
      next.add(new Next(PaperKind.WORK_ORDER, "Make what is missing"));
    if (open.awaits.contains(Awaits.TO_BE_MADE))
      next.add(new Next(PaperKind.ASSEMBLY, "Make what is left"));
    if (open.awaits.contains(Awaits.ON_THE_WAY))
      next.add(new Next(PaperKind.ARRIVAL, "They have come"));
    if (open.awaits.contains(Awaits.IN_REPAIR))
      next.add(new Next(PaperKind.REPAIR_BACK, "They are back"));
    if (open.awaits.contains(Awaits.TO_GIVE_BACK))
      next.add(new Next(PaperKind.GIVEN_BACK, "Give them back"));
    if (open.awaits.contains(Awaits.TO_BE_CONSIGNED))
      next.add(new Next(PaperKind.CONSIGNMENT_IN, "Goods have come"));
    if (open.awaits.contains(Awaits.KEPT_HERE))
      next.add(new Next(PaperKind.HANDED_OVER, "Hand them over"));
    if (kind == PaperKind.CONSIGNMENT_OUT) {
      next.add(new Next(PaperKind.INVOICE, "Invoice what they sold"));
      next.add(new Next(PaperKind.TRANSFER, "Some come back"));
    }
    if (kind == PaperKind.TAKEN_IN) next.add(new Next(PaperKind.INVOICE, "Invoice the work"));
    if (open.owing && (kind.is(Trait.BILLS) || kind.is(Trait.SETTLES)))
      next.add(new Next(PaperKind.SUPPLIER_PAYMENT, "Pay"));
    if (open.owed && kind.is(Trait.SELLS))
      next.add(new Next(PaperKind.CUSTOMER_PAYMENT, "Payment has come"));
    if (open.owing && kind == PaperKind.CUSTOMER_RETURN)
      next.add(new Next(PaperKind.COUNTER_SALE, "Exchange over the counter"));
    if (open.owed && open.whole && kind == PaperKind.SUPPLIER_RETURN)
      next.add(new Next(PaperKind.SUPPLIER_CREDIT, "Credit note has come"));
    return next;
  }

  /** Whether goods it took elsewhere can be taken back the same way. */
  public static boolean goesBack(PaperKind kind, Set<Awaits> awaits) {
    return kind == PaperKind.TRANSFER && !awaits.contains(Awaits.ON_THE_WAY);
  }

  /** The paper that takes goods of one back; empty when none moved with it, or all are settled. */
  public static Optional<PaperKind> back(PaperKind kind, Set<Awaits> awaits) {
    if (kind.is(Trait.BRINGS_IN)) return Optional.of(PaperKind.SUPPLIER_RETURN);
    boolean sells = kind.is(Trait.SELLS);
    boolean sent = kind.is(Trait.SENDS) && awaits.contains(Awaits.SENT_INVOICE);
    return sells || sent ? Optional.of(PaperKind.CUSTOMER_RETURN) : Optional.empty();
  }
}
