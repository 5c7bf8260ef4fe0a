package zinctally.demo;

import java.util.Map;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;

/** Hives and extractors ordered, come in parts, billed, charged and sent back. */
@Component
class DemoOrders {
  private final DemoBills bills;

  DemoOrders(DemoBills bills) {
    this.bills = bills;
  }

  void write() {
    joinery();
    extractors();
  }

  /**
   * An order in two receipts, billed dearer after some is sold; another of which some is to come.
   */
  private void joinery() {
    String who = "Orrin Joinery";
    String order =
        bills.post(
            PaperKind.PURCHASE_ORDER,
            "2026-10-05",
            who,
            Map.of("expected", "2026-10-14"),
            "item quantity price tax",
            "BBX-10",
            "20",
            "17.00",
            "S",
            "SBX-06",
            "30",
            "12.40",
            "S");
    bills.post(
        PaperKind.RECEIPT,
        "2026-10-12",
        who,
        DemoBills.theirs("LS-4411"),
        "of item quantity",
        order,
        "BBX-10",
        "12",
        order,
        "SBX-06",
        "30");
    bills.post(
        PaperKind.INVOICE,
        "2026-10-15",
        "Hollin Orchard",
        Map.of(),
        "item quantity price tax",
        "SBX-06",
        "18",
        "23.50",
        "S");
    bills.post(
        PaperKind.RECEIPT,
        "2026-10-19",
        who,
        DemoBills.theirs("LS-4437"),
        "of item quantity",
        order,
        "BBX-10",
        "8");
    String bill =
        bills.post(
            PaperKind.BILL,
            "2026-10-26",
            who,
            DemoBills.theirs("OJ-2188"),
            "of item quantity price tax",
            order,
            "BBX-10",
            "20",
            "17.70",
            "S",
            order,
            "SBX-06",
            "30",
            "12.40",
            "S");
    String back =
        bills.post(
            PaperKind.SUPPLIER_RETURN,
            "2026-10-29",
            who,
            Map.of("reason", "joints open"),
            "paper item quantity reason",
            bill,
            "BBX-10",
            "2",
            "Faulty");
    bills.post(
        PaperKind.SUPPLIER_CREDIT, "2026-11-04", who, DemoBills.theirs("OJ-C17"), "paper", back);
    bills.post(
        PaperKind.SUPPLIER_PAYMENT,
        "2026-11-06",
        who,
        Map.of("money", "1000", "amount", "828.72"),
        "paper amount",
        "OJ-2188",
        "871.20",
        "OJ-C17",
        "42.48");
    String open =
        bills.post(
            PaperKind.PURCHASE_ORDER,
            "2026-11-09",
            who,
            Map.of("expected", "2026-11-27", "notes", "Please ring before you come."),
            "item quantity price tax",
            "HST-02",
            "12",
            "9.25",
            "S",
            "FRD-01",
            "4 cs",
            "41.00",
            "S",
            "NUC-05",
            "6",
            "",
            "S");
    bills.post(
        PaperKind.RECEIPT,
        "2026-11-18",
        who,
        DemoBills.theirs("LS-4502"),
        "of item quantity",
        open,
        "FRD-01",
        "3 cs");
  }

  /** Serial numbers: ordered, part received, billed, one sold, one sent back, freight by weight. */
  private void extractors() {
    String who = "Brenn Metalwork";
    String order =
        bills.post(
            PaperKind.PURCHASE_ORDER,
            "2026-10-20",
            who,
            Map.of("expected", "2026-12-01"),
            "item quantity price tax",
            "EXS-06",
            "6",
            "212.00",
            "S");
    String receipt =
        bills.post(
            PaperKind.RECEIPT,
            "2026-10-28",
            who,
            DemoBills.theirs("BM-0077"),
            "of item quantity numbers",
            order,
            "EXS-06",
            "4",
            "4 from EX-0061");
    String bill =
        bills.post(
            PaperKind.BILL,
            "2026-10-30",
            who,
            DemoBills.theirs("26-1180"),
            "of item quantity price tax",
            receipt,
            "EXS-06",
            "4",
            "215.00",
            "S");
    bills.post(
        PaperKind.CHARGE,
        "2026-11-10",
        "Larkin Carriers",
        Map.of(
            "their_number", "LC-90312",
            "what", "Freight from Brenn and Thornby",
            "amount", "64.00",
            "tax", "S",
            "spread", "weight"),
        "bill item",
        receipt,
        "",
        "R-2026-0002",
        "BBX-10");
    bills.post(
        PaperKind.INVOICE,
        "2026-11-09",
        "Wend Valley Keepers",
        Map.of(),
        "item quantity price tax numbers",
        "EXS-06",
        "1",
        "349.00",
        "S",
        "EX-0062");
    bills.post(
        PaperKind.SUPPLIER_RETURN,
        "2026-11-16",
        who,
        Map.of("reason", "bearing worn on arrival"),
        "paper item quantity numbers reason",
        bill,
        "EXS-06",
        "1",
        "EX-0064",
        "Faulty");
  }
}
