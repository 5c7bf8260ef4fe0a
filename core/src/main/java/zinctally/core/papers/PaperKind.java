package zinctally.core.papers;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** The papers that can be written. */
public enum PaperKind {
  OPENING_BALANCES("Opening balances", "OB", "prove"),
  OPENING_STOCK("Opening stock", "OS", "goods"),
  OPENING_PARTIES("Opening bills and invoices", "OP", "prove"),
  PURCHASE_ORDER("Purchase order", "PO", "buy"),
  RECEIPT("Receipt", "R", "buy"),
  BILL("Supplier bill", "B", "buy"),
  CHARGE("Charges on goods", "CH", "buy"),
  SUPPLIER_RETURN("Return to supplier", "RS", "buy"),
  SUPPLIER_CREDIT("Supplier's credit note", "SC", "buy"),
  SUPPLIER_PAYMENT("Payment to supplier", "PS", "buy"),
  SALES_ORDER("Sales order", "SO", "sell"),
  DELIVERY("Delivery", "D", "sell"),
  INVOICE("Invoice", "INV", "sell"),
  COUNTER_SALE("Counter sale", "CS", "sell"),
  CUSTOMER_RETURN("Customer return", "RC", "sell"),
  CUSTOMER_PAYMENT("Payment from customer", "PC", "sell"),
  ADJUSTMENT("Adjustment", "A", "handle"),
  WRITE_DOWN("Write-down", "WD", "handle"),
  START_TRACKING("Start of tracking", "ST", "goods"),
  RECOSTING("Recosting", "RK", "prove"),
  JOURNAL("Journal by hand", "J", "prove");

  private final String words;
  private final String prefix;
  private final String area;

  PaperKind(String words, String prefix, String area) {
    this.words = words;
    this.prefix = prefix;
    this.area = area;
  }

  public String words() {
    return words;
  }

  /** What it is called inside a sentence: {@code bill}, {@code delivery}. */
  String word() {
    return this == BILL ? "bill" : words.toLowerCase(Locale.ROOT);
  }

  /** What its numbers start with. */
  public String prefix() {
    return prefix;
  }

  /** The area of the thumb index it belongs to. */
  public String area() {
    return area;
  }

  /** Whom it is from or for; empty for a paper of no single party. */
  public Optional<Party.Kind> side() {
    return switch (area) {
      case "buy" -> Optional.of(Party.Kind.SUPPLIER);
      case "sell" -> Optional.of(Party.Kind.CUSTOMER);
      default -> Optional.empty();
    };
  }

  /** Whether it sells: asks a customer for money, and takes goods along. */
  public boolean sells() {
    return this == INVOICE || this == COUNTER_SALE;
  }

  /** Whether reading it asks what else is known of its party: their number, what they may owe. */
  public boolean asksOfParty() {
    return switch (this) {
      case BILL, CHARGE, SUPPLIER_CREDIT, SALES_ORDER, INVOICE, COUNTER_SALE -> true;
      default -> false;
    };
  }

  /** Whether it changes what an item is, which every other posting relies on. */
  public boolean changesItems() {
    return this == START_TRACKING;
  }

  /** Its word in addresses: {@code supplier-payment}. */
  public String slug() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /**
   * @throws IllegalArgumentException when no paper has that word
   */
  public static PaperKind ofSlug(String slug) {
    return Arrays.stream(values())
        .filter(k -> k.slug().equals(slug))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("No paper is called " + slug));
  }
}
