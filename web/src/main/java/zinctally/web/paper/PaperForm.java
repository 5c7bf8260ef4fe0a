package zinctally.web.paper;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zinctally.core.papers.PaperKind;

/** Which fields and columns a kind of paper has on the screen. */
public record PaperForm(PaperKind kind, List<Field> fields, List<Column> columns) {
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
   */
  public record Column(
      String name, String label, boolean figure, boolean computed, String suggest) {}

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
              PaperKind.BILL,
              List.of(
                  suggest("supplier", "Supplier", "supplier"),
                  field("their_number", "Their number"),
                  date("date", "Bill date"),
                  date("due", "Due"),
                  choice("place", "Into", "places"),
                  choice("prices", "Prices", "prices")),
              List.of(
                  text("item", "Item or account", "item"),
                  figure("quantity", "Quantity"),
                  figure("price", "Price each"),
                  text("tax", "Tax", "tax"),
                  shown("free", "Here now"),
                  shown("amount", "Amount"))),
          new PaperForm(
              PaperKind.INVOICE,
              List.of(
                  suggest("customer", "Customer", "customer"),
                  field("reference", "Their reference"),
                  date("date", "Invoice date"),
                  date("due", "Due"),
                  choice("place", "Out of", "places"),
                  choice("prices", "Prices", "prices")),
              List.of(
                  text("item", "Item or account", "item"),
                  figure("quantity", "Quantity"),
                  figure("price", "Price each"),
                  figure("discount", "Off %"),
                  text("tax", "Tax", "tax"),
                  shown("free", "Free here"),
                  shown("amount", "Amount"))),
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
                  text("bill", "Bill the goods came with", "bill"),
                  text("item", "Item, if not all", "item"),
                  figure("share", "Share, by hand"),
                  shown("amount", "Bears"))),
          goesBack(PaperKind.SUPPLIER_RETURN, "supplier", "Supplier", "Out of", "Bill", "bill"),
          goesBack(PaperKind.CUSTOMER_RETURN, "customer", "Customer", "Into", "Invoice", "invoice"),
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
              PaperKind.JOURNAL,
              List.of(
                  date("date", "Date"),
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
    return new PaperForm(
        kind,
        List.of(
            suggest(party, label, party),
            field("reference", "Their reference"),
            date("date", "Date"),
            choice("place", place, "places"),
            field("reason", "Reason")),
        List.of(
            text("paper", paper, source),
            text("item", "Item", "item"),
            figure("quantity", "Quantity"),
            shown("free", "Here now"),
            shown("amount", "Credit")));
  }

  private static PaperForm payment(
      PaperKind kind, String party, String label, String money, String paper) {
    return new PaperForm(
        kind,
        List.of(
            suggest(party, label, party),
            date("date", "Date"),
            choice("money", money, "money"),
            field("amount", "Amount"),
            field("reference", "Reference")),
        List.of(text("paper", paper + " it pays", "open"), figure("amount", "Pays")));
  }

  /** The form of a kind; opening stock has a screen of its own. */
  public static PaperForm of(PaperKind kind) {
    return FORMS.get(kind);
  }
}
