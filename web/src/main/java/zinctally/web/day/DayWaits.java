package zinctally.web.day;

import java.security.Principal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import zinctally.core.papers.flow.Awaits;
import zinctally.store.book.BookStore;
import zinctally.store.opening.OpeningStore;
import zinctally.store.prove.DayStore;
import zinctally.store.prove.DayStore.Overdue;
import zinctally.store.prove.DayStore.Waiting;
import zinctally.store.sell.CardPayments;
import zinctally.store.tax.TaxReturnStore;
import zinctally.web.machine.Machine;
import zinctally.web.shell.May;
import zinctally.web.shell.Sees;

/** What waits for somebody: each a sentence, with the page on which it is seen to. */
@Component
class DayWaits {
  private final DayStore days;
  private final BookStore books;
  private final OpeningStore opening;
  private final CardPayments payments;
  private final Machine machine;
  private final TaxReturnStore taxReturns;

  DayWaits(
      DayStore days,
      BookStore books,
      OpeningStore opening,
      CardPayments payments,
      Machine machine,
      TaxReturnStore taxReturns) {
    this.days = days;
    this.books = books;
    this.opening = opening;
    this.payments = payments;
    this.machine = machine;
    this.taxReturns = taxReturns;
  }

  /** All of it that leads to a page which a person comes to. */
  List<Waiting> of(LocalDate today, Principal who, Sees.By by) {
    Waits waits = new Waits();
    if (May.own(who) && books.begun())
      machine
          .worry()
          .ifPresent(
              says -> waits.all.add(new Waiting(says, "", null, "See how", "/setup/machine")));
    waits.since(
        days.overdue("CUSTOMER", today),
        "invoice is past its due date",
        "invoices are past their due date",
        "See them",
        "/sell/open");
    waits.since(
        days.overdue("SUPPLIER", today),
        "bill is past its due date",
        "bills are past their due date",
        "Pay them",
        "/buy/open");
    waits.many(
        days.underReorder(),
        "item is at or under its reorder point",
        "items are at or under their reorder point",
        "Order them",
        "/buy/to-order");
    waits.since(
        days.awaited(Awaits.RECEIVED_BILL),
        "receipt waits for its bill",
        "receipts wait for their bills",
        "See them",
        "/prove/received");
    waits.many(
        days.toDeliver(),
        "order can go, in part or whole",
        "orders can go, in part or whole",
        "Pick them",
        "/sell/picking");
    waits.since(
        days.awaited(Awaits.SENT_INVOICE),
        "delivery waits for its invoice",
        "deliveries wait for their invoices",
        "See them",
        "/prove/sent");
    waits.since(
        days.awaited(Awaits.CONSIGNED_SOLD),
        "line sold consigned goods that are not settled",
        "lines sold consigned goods that are not settled",
        "Settle them",
        "/buy/consigned");
    waits.late(
        days.late(Awaits.IN_REPAIR, today),
        "repair is overdue",
        "repairs are overdue",
        "/handle/repairs");
    waits.late(
        days.late(Awaits.TO_GIVE_BACK, today),
        "customer waits for goods to be mended",
        "customers wait for goods to be mended",
        "/handle/customers-goods");
    waits.late(
        days.late(Awaits.TO_BE_MADE, today),
        "work order is past its day",
        "work orders are past their day",
        "/handle/work-orders");
    waits.many(
        days.toComplete(),
        "item was made from a paper and is to be completed",
        "items were made from papers and are to be completed",
        "Complete them",
        "/goods?filter=to+be+completed");
    waits.many(
        days.toApprove(),
        "order waits for approval",
        "orders wait for approval",
        "See them",
        "/buy/orders?filter=approval");
    waits.many(
        days.counting(),
        "stock count is not done yet",
        "stock counts are not done yet",
        "See to them",
        "/handle/counts");
    waits.many(
        days.soldShort(),
        "line sold goods that have not come yet",
        "lines sold goods that have not come yet",
        "See them",
        "/ask/short");
    waits.many(
        payments.open(),
        "card payment is not settled",
        "card payments are not settled",
        "See to them",
        "/sell/cards");
    long clearing = opening.clearing();
    if (clearing != 0)
      waits.all.add(
          new Waiting(
              "Opening clearing is not zero yet",
              "",
              clearing,
              "Go on with the opening",
              "/opening"));
    tax(today).ifPresent(waits.all::add);
    waits.all.removeIf(w -> !by.page(w.href().split("[?]")[0]));
    return waits.all;
  }

  /** The days after those that were declared last, once they are over. */
  private Optional<Waiting> tax(LocalDate today) {
    return taxReturns
        .latest()
        .map(l -> l.days().next())
        .filter(next -> next.to().isBefore(today))
        .map(
            next ->
                new Waiting(
                    "Tax up to " + next.to() + " waits to be declared",
                    "",
                    taxReturns.waiting(next).toPay(),
                    "Declare it",
                    "/prove/tax/return"));
  }

  /** What there is none of does not wait. */
  private static final class Waits {
    private final List<Waiting> all = new ArrayList<>();

    void many(long n, String one, String many, String words, String href) {
      add(n, one, many, "", null, words, href);
    }

    void since(Overdue waiting, String one, String many, String words, String href) {
      add(waiting.count(), one, many, "since " + waiting.since(), waiting.amount(), words, href);
    }

    /** What should have been done on a day that is past. */
    void late(Overdue waiting, String one, String many, String href) {
      add(waiting.count(), one, many, "since " + waiting.since(), null, "See to them", href);
    }

    private void add(
        long n,
        String one,
        String many,
        String since,
        @Nullable Long amount,
        String words,
        String href) {
      if (n > 0) all.add(new Waiting(n + " " + (n == 1 ? one : many), since, amount, words, href));
    }
  }
}
