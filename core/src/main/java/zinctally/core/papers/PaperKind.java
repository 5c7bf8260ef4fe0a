package zinctally.core.papers;

import static zinctally.core.papers.Trait.*;

import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** The papers that can be written. */
public enum PaperKind {
  OPENING_BALANCES("Opening balances", "OB", "", "prove", "take over start", Set.of(OPENS)),
  OPENING_STOCK("Opening stock", "OS", "", "goods", "take over start", Set.of(OPENS, SHEET)),
  OPENING_PARTIES(
      "Opening bills and invoices", "OP", "", "prove", "take over open items", Set.of(OPENS)),
  PURCHASE_ORDER(
      "Purchase order", "PO", "o", "buy", "po buy", Set.of(ORDERS, PRICED, HANDED, REPEATS)),
  RECEIPT(
      "Receipt",
      "R",
      "r",
      "buy",
      "goods received arrived came",
      Set.of(MOVES_GOODS, VALUED, BRINGS_IN)),
  BILL(
      "Supplier bill",
      "B",
      "b",
      "buy",
      "purchase vendor invoice",
      Set.of(MOVES_GOODS, BILLS, PRICED, REPEATS, BRINGS_IN, ASKS_OF_PARTY, BORNE)),
  CHARGE(
      "Charges on goods",
      "CH",
      "c",
      "buy",
      "freight duty landed cost carriage",
      Set.of(VALUED, ASKS_OF_PARTY)),
  SUPPLIER_RETURN(
      "Return to supplier",
      "RS",
      "",
      "buy",
      "send back defect",
      Set.of(MOVES_GOODS, VALUED, BORNE)),
  SUPPLIER_CREDIT(
      "Supplier's credit note",
      "SC",
      "",
      "buy",
      "credited",
      Set.of(VALUED, ASKS_OF_PARTY, CREDITS, BORNE)),
  SUPPLIER_PAYMENT("Payment to supplier", "PS", "p", "buy", "pay bill", Set.of(PAYS, HANDED)),
  AGREEMENT(
      "Consignment agreement",
      "CA",
      "",
      "buy",
      "terms commission share of the price",
      Set.of(AGREES)),
  CONSIGNMENT_IN(
      "Consignment in",
      "CI",
      "g",
      "buy",
      "goods of others keeper brings sale or return",
      Set.of(MOVES_GOODS, OF_ANYONE, OTHERS_ONLY, LABELLED, HANDED)),
  CONSIGNMENT_BACK(
      "Consignment back",
      "CB",
      "",
      "buy",
      "goods of others fetched unsold back to their owner",
      Set.of(MOVES_GOODS, OF_ANYONE, OTHERS_ONLY, HANDED)),
  SETTLEMENT(
      "Consignment settlement",
      "SE",
      "",
      "buy",
      "pay out owed statement sold keeper",
      Set.of(VALUED, SETTLES, HANDED)),
  SALES_ORDER(
      "Sales order", "SO", "s", "sell", "so", Set.of(ORDERS, PRICED, HANDED, ASKS_OF_PARTY)),
  DELIVERY(
      "Delivery",
      "D",
      "d",
      "sell",
      "ship send goods",
      Set.of(MOVES_GOODS, SENDS, TAKES, HANDED, BORNE)),
  INVOICE(
      "Invoice",
      "INV",
      "i",
      "sell",
      "sale sell",
      Set.of(MOVES_GOODS, SENDS, TAKES, SELLS, PRICED, HANDED, ASKS_OF_PARTY, BORNE)),
  COUNTER_SALE(
      "Counter sale",
      "CS",
      "",
      "sell",
      "cash sale shop",
      Set.of(MOVES_GOODS, SENDS, TAKES, SELLS, PRICED, HANDED, ASKS_OF_PARTY, COUNTER, BORNE)),
  CUSTOMER_RETURN(
      "Customer return",
      "RC",
      "t",
      "sell",
      "refund credit note exchange brought back",
      Set.of(MOVES_GOODS, VALUED, HANDED, BORNE)),
  CONSIGNMENT_OUT(
      "Consignment out",
      "CO",
      "",
      "sell",
      "ours at a customer stall sale or return",
      Set.of(MOVES_GOODS, ACROSS, HANDED)),
  HANDED_OVER(
      "Handed over",
      "HO",
      "",
      "sell",
      "kept here collected bought stored",
      Set.of(MOVES_GOODS, OF_ANYONE, OTHERS_ONLY, HANDED)),
  CUSTOMER_PAYMENT(
      "Payment from customer", "PC", "m", "sell", "received money paid", Set.of(PAYS, HANDED)),
  TRANSFER(
      "Transfer",
      "T",
      "v",
      "handle",
      "move van shelf another place stock damaged on hold standing condition",
      Set.of(MOVES_GOODS, ACROSS, OF_ANYONE, HANDED)),
  ARRIVAL(
      "Arrival",
      "AR",
      "",
      "handle",
      "transfer received came on the way lost",
      Set.of(MOVES_GOODS, OF_ANYONE, BORNE)),
  REPAIR_OUT(
      "Out for repair",
      "RO",
      "x",
      "handle",
      "mend fix broken service repairer bench workshop",
      Set.of(MOVES_GOODS, ACROSS, OF_ANYONE, HANDED)),
  REPAIR_BACK(
      "Back from repair",
      "RB",
      "",
      "handle",
      "mended fixed repaired came back scrap",
      Set.of(MOVES_GOODS, ANEW, OF_ANYONE, BORNE)),
  TAKEN_IN(
      "Taken in for repair",
      "TI",
      "",
      "handle",
      "customer's own goods mend service workshop",
      Set.of(MOVES_GOODS, OF_ANYONE, OTHERS_ONLY, HANDED)),
  GIVEN_BACK(
      "Given back after repair",
      "GB",
      "",
      "handle",
      "customer's own goods collected mended",
      Set.of(MOVES_GOODS, OF_ANYONE, OTHERS_ONLY, HANDED)),
  STOCK_COUNT(
      "Stock count",
      "K",
      "",
      "handle",
      "stock take inventory physical counting",
      Set.of(MOVES_GOODS, TAKES, COUNTED, BORNE)),
  RECIPE("Recipe", "RE", "e", "handle", "bill of materials kit components batch", Set.of(RECIPES)),
  WORK_ORDER("Work order", "WO", "", "handle", "make build production job request", Set.of(ORDERS)),
  ASSEMBLY(
      "Assembly",
      "AS",
      "u",
      "handle",
      "make build kit produce manufacture bundle recipe",
      Set.of(MOVES_GOODS, MAKES, BORNE)),
  DISASSEMBLY(
      "Disassembly",
      "DA",
      "",
      "handle",
      "take apart break down split unbundle kit",
      Set.of(MOVES_GOODS, MAKES, BORNE)),
  ADJUSTMENT(
      "Adjustment",
      "A",
      "a",
      "handle",
      "breakage loss found shrinkage waste",
      Set.of(MOVES_GOODS, TAKES, BORNE)),
  WRITE_DOWN("Write-down", "WD", "w", "handle", "net realisable value impairment", Set.of(BORNE)),
  START_TRACKING("Start of tracking", "ST", "", "goods", "keep in stock", Set.of(CHANGES_ITEMS)),
  RECOSTING("Recosting", "RK", "", "prove", "put right", Set.of(STAYS, MENDS)),
  JOURNAL(
      "Journal by hand",
      "J",
      "j",
      "prove",
      "manual entry ledger correction",
      Set.of(BY_HAND, BORNE)),
  TAX_RETURN(
      "Tax return",
      "TR",
      "",
      "prove",
      "vat settle office declare",
      Set.of(DECLARES, ASKS_OF_PARTY));

  private final String words;
  private final String prefix;
  private final String key;
  private final String area;
  private final String known;
  private final Set<Trait> traits;

  PaperKind(String words, String prefix, String key, String area, String known, Set<Trait> traits) {
    this.words = words;
    this.prefix = prefix;
    this.key = key;
    this.area = area;
    this.known = known;
    this.traits = traits;
  }

  /** Whether it has a trait. */
  public boolean is(Trait trait) {
    return traits.contains(trait);
  }

  /** Whether no posting may run beside its own: it reads or changes what all others rely on. */
  public boolean alone() {
    return is(CHANGES_ITEMS) || is(DECLARES);
  }

  public String words() {
    return words;
  }

  /** What it is called inside a sentence: {@code bill}, {@code delivery}. */
  public String word() {
    return this == BILL ? "bill" : words.toLowerCase(Locale.ROOT);
  }

  /** Other words people look for it by. */
  public String known() {
    return known;
  }

  /** What its numbers start with. */
  public String prefix() {
    return prefix;
  }

  /** The letter that begins one after {@code n}; empty when no key does. */
  public String key() {
    return key;
  }

  /** The area of the thumb index it belongs to. */
  public String area() {
    return area;
  }

  /** Whom it is from or for; empty for a paper of no single party. */
  public Optional<Party.Kind> side() {
    if (is(DECLARES) || area.equals("buy")) return Optional.of(Party.Kind.SUPPLIER);
    return area.equals("sell") ? Optional.of(Party.Kind.CUSTOMER) : Optional.empty();
  }

  /** Whether it is from or for somebody of this side. */
  public boolean isWith(Party.Kind side) {
    return side().filter(s -> s == side).isPresent();
  }

  /** Whether it orders that something is made. */
  public boolean isToMake() {
    return is(ORDERS) && side().isEmpty();
  }

  /** Its word in addresses: {@code supplier-payment}. */
  public String slug() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /**
   * @throws IllegalArgumentException when no paper has that word
   */
  public static PaperKind ofSlug(String slug) {
    for (PaperKind kind : values()) if (kind.slug().equals(slug)) return kind;
    throw new IllegalArgumentException("No paper is called " + slug);
  }
}
