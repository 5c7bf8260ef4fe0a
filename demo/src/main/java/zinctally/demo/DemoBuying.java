package zinctally.demo;

import java.time.LocalDate;
import java.util.Map;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Repetition;
import zinctally.store.buy.RepeatStore;
import zinctally.store.paper.PaperText;
import zinctally.store.posting.Ordering;

/**
 * Buying in the demo's last weeks, in every order in which it happens: orders received in parts and
 * billed dearer, goods without a bill, a bill without goods, freight by weight, returns with credit
 * notes, extractors by serial number, treatments by lot, rent that repeats.
 */
@Component
class DemoBuying {
  private final PaperText texts;
  private final Ordering ordering;
  private final RepeatStore repeats;
  private final DemoSuppliers suppliers;
  private final DemoOrders orders;
  private final DemoBills bills;

  DemoBuying(
      PaperText texts,
      Ordering ordering,
      RepeatStore repeats,
      DemoSuppliers suppliers,
      DemoOrders orders,
      DemoBills bills) {
    this.texts = texts;
    this.ordering = ordering;
    this.repeats = repeats;
    this.suppliers = suppliers;
    this.orders = orders;
    this.bills = bills;
  }

  void write() {
    suppliers.write();
    orders.write();
    jars();
    treatments();
    smokers();
    rent();
  }

  /** A bill that came before its goods, of which some are still to come. */
  private void jars() {
    String bill =
        bills.post(
            PaperKind.BILL,
            "2026-11-03",
            "Calder Glass",
            Map.of("their_number", "44713", "goods", "later"),
            "item quantity price tax",
            "JAR-34",
            "20 tray",
            "9.84",
            "S");
    bills.post(
        PaperKind.RECEIPT,
        "2026-11-11",
        "Calder Glass",
        DemoBills.theirs("W-1180"),
        "of item quantity",
        bill,
        "JAR-34",
        "12 tray");
  }

  /** Lots with expiry: received, not billed yet, some sold. */
  private void treatments() {
    bills.post(
        PaperKind.RECEIPT,
        "2026-11-12",
        "Ansel Apiary Health",
        DemoBills.theirs("AH-5521"),
        "item quantity price numbers",
        "MTS-20",
        "60",
        "17.20",
        "M-2611 2027-11-30: 40, M-2612 2028-01-31: 20");
    bills.post(
        PaperKind.INVOICE,
        "2026-11-17",
        "Fenwick Garden",
        Map.of(),
        "item quantity price tax numbers",
        "MTS-20",
        "12",
        "31.00",
        "S",
        "M-2611");
  }

  /** An order of which the rest was cancelled. */
  private void smokers() {
    String order =
        bills.post(
            PaperKind.PURCHASE_ORDER,
            "2026-10-08",
            "Brenn Metalwork",
            Map.of(),
            "item quantity price tax",
            "SMK-03",
            "10",
            "14.10",
            "S");
    bills.post(
        PaperKind.RECEIPT,
        "2026-10-21",
        "Brenn Metalwork",
        DemoBills.theirs("BM-0071"),
        "of item quantity",
        order,
        "SMK-03",
        "6");
    ordering.end(bills.id(order), DemoPapers.LOGIN);
  }

  private void rent() {
    String bill =
        bills.post(
            PaperKind.BILL,
            "2026-11-01",
            "Wickmere Estate",
            DemoBills.theirs("Barn 11/26"),
            "item price",
            "6000",
            "420.00");
    repeats.add(
        bills.id(bill),
        "Rent of the barn",
        texts.read(bills.id(bill), 1, PaperKind.BILL),
        new Repetition(Repetition.Every.MONTH, LocalDate.of(2026, 12, 1), null, null),
        DemoPapers.LOGIN);
  }
}
