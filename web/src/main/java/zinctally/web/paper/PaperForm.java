package zinctally.web.paper;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zinctally.core.papers.Fault;
import zinctally.core.papers.PaperKind;

/**
 * Which fields and columns a kind of paper has on the screen.
 *
 * @param feet fields below the lines
 */
public record PaperForm(
    PaperKind kind, List<Field> fields, List<Column> columns, List<Field> feet) {
  PaperForm(PaperKind kind, List<Field> fields, List<Column> columns) {
    this(kind, fields, columns, List.of());
  }

  /** Whether its lines may have to say which lots or serial numbers they move. */
  public boolean numbered() {
    return kind.is(PaperKind.Trait.MOVES_GOODS);
  }

  /** How a field is filled. */
  public enum Input {
    TEXT,
    DATE,
    CHOICE,
    SUGGEST
  }

  /**
   * @param source for a choice: places, money, prices; for a suggestion: item, account, supplier
   *     ...
   */
  public record Field(String name, String label, Input input, String source) {}

  /**
   * @param computed filled by the server, not typed
   * @param below what the server says below the cell; empty for nothing
   * @param says the words after that
   */
  public record Column(
      String name,
      String label,
      boolean figure,
      boolean computed,
      String suggest,
      String below,
      String says) {
    Column(String name, String label, boolean figure, boolean computed, String suggest) {
      this(name, label, figure, computed, suggest, "", "");
    }

    /** The same with something below it. */
    Column below(String what, String words) {
      return new Column(name, label, figure, computed, suggest, what, words);
    }
  }

  private static Field field(String name, String label) {
    return new Field(name, label, Input.TEXT, "");
  }

  private static Field date(String name, String label) {
    return new Field(name, label, Input.DATE, "");
  }

  private static Field choice(String name, String label, String source) {
    return new Field(name, label, Input.CHOICE, source);
  }

  private static Field suggest(String name, String label, String source) {
    return new Field(name, label, Input.SUGGEST, source);
  }

  private static Column text(String name, String label, String suggest) {
    return new Column(name, label, false, false, suggest);
  }

  private static Column figure(String name, String label) {
    return new Column(name, label, true, false, "");
  }

  private static Column shown(String name, String label) {
    return new Column(name, label, true, true, "");
  }

  private static final Map<PaperKind, PaperForm> FORMS =
      forms(
          new PaperForm(
              PaperKind.PURCHASE_ORDER,
              List.of(
                  suggest("supplier", "Supplier", "supplier"),
                  field("reference", "Their reference"),
                  date("date", "Order date"),
                  date("expected", "Expected"),
                  choice("place", "To be brought to", "places"),
                  choice("prices", "Prices", "prices"),
                  field("notes", "Note to the supplier")),
              List.of(
                  text("item", "Item", "item"),
                  figure("quantity", "Quantity"),
                  figure("price", "Price each"),
                  text("tax", "Tax", "tax"),
                  shown("free", "Here now"),
                  shown("amount", "Amount"))),
          new PaperForm(
              PaperKind.RECEIPT,
              List.of(
                  suggest("supplier", "Supplier", "supplier"),
                  field("their_number", "Delivery note"),
                  date("date", "Came on"),
                  choice("place", "Into", "places")),
              List.of(
                  text("of", "Order or bill", "ordered"),
                  text("item", "Item", "item"),
                  figure("quantity", "Quantity"),
                  figure("price", "Price, if other"),
                  shown("awaited", "To come"),
                  shown("free", "Here now"),
                  shown("amount", "Comes in at"))),
          new PaperForm(
              PaperKind.BILL,
              List.of(
                  suggest("supplier", "Supplier", "supplier"),
                  field("their_number", "Their number"),
                  date("date", "Bill date"),
                  date("due", "Due"),
                  choice("goods", "Goods of no receipt", "goods"),
                  choice("charges", "Lines that are no goods", "charges"),
                  choice("place", "Into", "places"),
                  choice("prices", "Prices", "prices")),
              List.of(
                  text("of", "Receipt or order", "received"),
                  text("item", "Item or account", "item"),
                  figure("quantity", "Quantity"),
                  figure("price", "Price each"),
                  text("tax", "Tax", "tax"),
                  shown("awaited", "Awaited"),
                  shown("amount", "Amount"))),
          new PaperForm(
              PaperKind.SALES_ORDER,
              List.of(
                  suggest("customer", "Customer", "customer"),
                  field("reference", "Their reference"),
                  date("date", "Order date"),
                  date("expected", "Wanted by"),
                  choice("place", "Out of", "places"),
                  choice("prices", "Prices", "prices"),
                  field("notes", "Note to the customer")),
              List.of(
                  text("item", "Item", "item"),
                  figure("quantity", "Quantity").below("free", "free here"),
                  figure("price", "Price each").below("list", "listed"),
                  figure("discount", "Off %"),
                  figure("at", "or at"),
                  text("tax", "Tax", "tax"),
                  shown("amount", "Amount").below("margin", "margin"))),
          new PaperForm(
              PaperKind.DELIVERY,
              List.of(
                  suggest("customer", "Customer", "customer"),
                  field("reference", "Their reference"),
                  date("date", "Goes on"),
                  choice("place", "Out of", "places"),
                  field("address", "Brought to"),
                  field("notes", "Note to the customer")),
              List.of(
                  text("of", "Order or invoice", "to-send"),
                  text("item", "Item", "item"),
                  figure("quantity", "Quantity"),
                  shown("awaited", "Still to go"),
                  shown("free", "Here now"))),
          new PaperForm(
              PaperKind.INVOICE,
              List.of(
                  suggest("customer", "Customer", "customer"),
                  field("reference", "Their reference"),
                  date("date", "Invoice date"),
                  date("due", "Due"),
                  choice("goods", "Goods of no delivery", "goods-out"),
                  choice("place", "Out of", "places"),
                  choice("prices", "Prices", "prices"),
                  field("off", "Off the whole")),
              List.of(
                  text("of", "Delivery or order", "sent").below("awaited", "to invoice"),
                  text("item", "Item or account", "item"),
                  figure("quantity", "Quantity").below("free", "here"),
                  figure("price", "Price each").below("list", "listed"),
                  figure("discount", "Off %"),
                  figure("at", "or at"),
                  text("tax", "Tax", "tax"),
                  shown("amount", "Amount").below("margin", "margin"))),
          new PaperForm(
              PaperKind.COUNTER_SALE,
              List.of(
                  suggest("seller", "Sold by, initials", "seller"),
                  suggest("customer", "Customer, if named", "customer"),
                  choice("place", "Out of", "places"),
                  field("off", "Off the whole")),
              List.of(
                  text("item", "Scan, code or letters", "item"),
                  figure("quantity", "Quantity").below("free", "here"),
                  figure("price", "Price each").below("list", "listed"),
                  figure("discount", "Off %"),
                  figure("at", "or at"),
                  text("tax", "Tax", "tax"),
                  text("place", "From", "place"),
                  shown("amount", "Amount")),
              List.of(
                  field("cash", "Cash given"),
                  field("card", "Card"),
                  field("voucher", "Voucher"),
                  suggest("credit", "Credit note", "credit"),
                  field("account", "On account"),
                  field("times", "of it, parts"),
                  field("each", "or each"),
                  choice("every", "every", "every"))),
          new PaperForm(
              PaperKind.ADJUSTMENT,
              List.of(date("date", "Date"), choice("place", "At", "places")),
              List.of(
                  text("item", "Item", "item"),
                  figure("quantity", "Up or down by"),
                  text("reason", "Reason", "reason"),
                  figure("unit_cost", "Unit cost, if found"),
                  text("memo", "Note", ""),
                  shown("free", "Here now"),
                  shown("amount", "Value found"))),
          new PaperForm(
              PaperKind.CHARGE,
              List.of(
                  suggest("supplier", "Billed by", "supplier"),
                  field("their_number", "Their number"),
                  date("date", "Bill date"),
                  date("due", "Due"),
                  field("what", "What for"),
                  field("amount", "Amount without tax"),
                  suggest("tax", "Tax to reclaim", "tax"),
                  choice("spread", "Shared", "spreads")),
              List.of(
                  text("bill", "Bill or receipt of the goods", "came"),
                  text("item", "Item, if not all", "item"),
                  figure("share", "Share, by hand"),
                  shown("amount", "Bears"))),
          goesBack(
              PaperKind.SUPPLIER_RETURN,
              "supplier",
              "Supplier",
              "Out of",
              "Bill or receipt",
              "came"),
          new PaperForm(
              PaperKind.SUPPLIER_CREDIT,
              List.of(
                  suggest("supplier", "Supplier", "supplier"),
                  field("their_number", "Their number"),
                  date("date", "Date")),
              List.of(
                  text("paper", "Return it is for", "returned"),
                  figure("net", "Credited without tax, if not all"),
                  figure("tax_amount", "Tax, if not the same"),
                  shown("amount", "Credit"))),
          goesBack(
              PaperKind.CUSTOMER_RETURN,
              "customer",
              "Customer",
              "Into",
              "Invoice or delivery",
              "invoice"),
          new PaperForm(
              PaperKind.WRITE_DOWN,
              List.of(date("date", "Date")),
              List.of(
                  text("item", "Item", "item"),
                  figure("price", "Expected price"),
                  figure("to_sell", "Cost to sell one"),
                  figure("change", "or change in value"),
                  text("memo", "Note", ""),
                  shown("amount", "Change"))),
          new PaperForm(
              PaperKind.START_TRACKING,
              List.of(
                  suggest("item", "Item", "item"),
                  date("date", "Kept in stock from"),
                  suggest("account", "Against, if not Opening clearing", "account")),
              List.of(
                  text("place", "Place", "place"),
                  figure("quantity", "On hand that morning"),
                  figure("unit_cost", "Unit cost"),
                  shown("amount", "Value"))),
          payment(PaperKind.SUPPLIER_PAYMENT, "supplier", "Supplier", "Out of", "Bill"),
          payment(PaperKind.CUSTOMER_PAYMENT, "customer", "Customer", "Into", "Invoice"),
          new PaperForm(
              PaperKind.RECOSTING,
              List.of(date("date", "Date"), field("why", "Why")),
              List.of(text("item", "Item", "item"))),
          new PaperForm(
              PaperKind.JOURNAL,
              List.of(
                  date("date", "Date"),
                  choice("till", "Through", "tills"),
                  field("override", "Why a control account is touched, if one is")),
              List.of(
                  text("account", "Account", "account"),
                  text("item", "Item, if any", "item"),
                  figure("debit", "Debit"),
                  figure("credit", "Credit"),
                  text("memo", "Note", ""))),
          new PaperForm(
              PaperKind.OPENING_BALANCES,
              List.of(),
              List.of(
                  text("account", "Account", "account"),
                  figure("debit", "Debit"),
                  figure("credit", "Credit"),
                  text("memo", "Note", ""))),
          new PaperForm(
              PaperKind.OPENING_PARTIES,
              List.of(),
              List.of(
                  text("side", "Bill or invoice", "side"),
                  text("party", "From or for", "party"),
                  text("number", "Number", ""),
                  text("date", "Date", ""),
                  text("due", "Due", ""),
                  figure("amount", "Still open"))));

  private static Map<PaperKind, PaperForm> forms(PaperForm... forms) {
    return Stream.of(forms).collect(Collectors.toMap(PaperForm::kind, f -> f));
  }

  private static PaperForm goesBack(
      PaperKind kind, String party, String label, String place, String paper, String source) {
    List<Field> fields =
        new ArrayList<>(
            List.of(
                suggest(party, label, party),
                field("reference", "Their reference"),
                date("date", "Date"),
                choice("place", place, "places"),
                field("reason", "Note")));
    List<Column> columns =
        new ArrayList<>(
            List.of(
                text("paper", paper, source),
                text("item", "Item", "item"),
                figure("quantity", "Quantity").below("free", "here"),
                text("reason", "Reason", "return-reason"),
                shown("amount", "Credit")));
    if (kind == PaperKind.CUSTOMER_RETURN) {
      fields.add(choice("back", "Money back", "money-back"));
      fields.add(choice("till", "Through", "tills"));
      columns.add(4, text("goods", "Goods go to", "goes"));
    }
    return new PaperForm(kind, fields, columns);
  }

  private static PaperForm payment(
      PaperKind kind, String party, String label, String money, String paper) {
    List<Field> fields =
        new ArrayList<>(
            List.of(
                suggest(party, label, party),
                date("date", "Date"),
                choice("money", money, "money"),
                choice("till", "Through", "tills"),
                field("amount", "Money paid"),
                field("reference", "Reference")));
    if (kind == PaperKind.CUSTOMER_PAYMENT) fields.add(choice("rest", "A small rest", "rests"));
    return new PaperForm(
        kind,
        fields,
        List.of(text("paper", paper + " or credit", "open"), figure("amount", "Settles")));
  }

  /**
   * Where a cell is, for people: {@code Line 4, price}. What a line goes on from is called as its
   * column is.
   */
  public String where(String cell) {
    String where = new Fault(cell, "").where();
    return columns.stream()
        .filter(c -> c.name().equals("of") && cell.endsWith(".of"))
        .findFirst()
        .map(c -> where.replaceFirst("of$", c.label().toLowerCase(Locale.ROOT)))
        .orElse(where);
  }

  /** The form of a kind; opening stock has a screen of its own. */
  public static PaperForm of(PaperKind kind) {
    return FORMS.get(kind);
  }
}
