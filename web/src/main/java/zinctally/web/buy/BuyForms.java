package zinctally.web.buy;

import static zinctally.web.paper.form.PaperForm.choice;
import static zinctally.web.paper.form.PaperForm.date;
import static zinctally.web.paper.form.PaperForm.field;
import static zinctally.web.paper.form.PaperForm.figure;
import static zinctally.web.paper.form.PaperForm.shown;
import static zinctally.web.paper.form.PaperForm.suggest;
import static zinctally.web.paper.form.PaperForm.text;

import java.util.List;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.web.paper.form.AreaForms;
import zinctally.web.paper.form.Choice;
import zinctally.web.paper.form.Choices;
import zinctally.web.paper.form.PaperForm;
import zinctally.web.paper.form.Suggestions;

/** What papers of buying look like while they are written. */
@Component
class BuyForms implements AreaForms {
  private final Suggestions offered;
  private final Choices choices;

  BuyForms(Suggestions offered, Choices choices) {
    this.offered = offered;
    this.choices = choices;
  }

  @Override
  public List<PaperForm> forms() {
    return List.of(
        new PaperForm(
            PaperKind.PURCHASE_ORDER,
            List.of(
                suggest("supplier", "Supplier", offered.parties(Party.Kind.SUPPLIER)),
                field("reference", "Their reference"),
                date("date", "Order date"),
                date("expected", "Expected"),
                choice("place", "To be brought to", choices.places()),
                choice("consigned", "Goods are", choices.consigned()),
                choice("prices", "Prices", choices.prices()),
                field("notes", "Note to the supplier")),
            List.of(
                text("item", "Item", offered.items()),
                figure("quantity", "Quantity"),
                figure("price", "Price each"),
                text("tax", "Tax", offered.taxes()),
                shown("free", "Here now"),
                shown("amount", "Amount"))),
        new PaperForm(
            PaperKind.RECEIPT,
            List.of(
                suggest("supplier", "Supplier", offered.parties(Party.Kind.SUPPLIER)),
                field("their_number", "Delivery note"),
                date("date", "Came on"),
                choice("place", "Into", choices.places())),
            List.of(
                text(
                    "of",
                    "Order or bill",
                    offered.papers("ordered", PaperKind.PURCHASE_ORDER, PaperKind.BILL)),
                text("item", "Item", offered.items()),
                figure("quantity", "Quantity"),
                figure("price", "Price, if other"),
                shown("awaited", "To come"),
                shown("free", "Here now"),
                shown("amount", "Comes in at"))),
        new PaperForm(
            PaperKind.BILL,
            List.of(
                suggest("supplier", "Supplier", offered.parties(Party.Kind.SUPPLIER)),
                field("their_number", "Their number"),
                date("date", "Bill date"),
                date("due", "Due"),
                choice(
                    "goods",
                    "Goods of no receipt",
                    Choice.of("with", "come with this bill", "later", "come later")),
                choice(
                    "charges",
                    "Lines that are no goods",
                    Choice.of(
                        "expense",
                        "are expenses",
                        "value",
                        "cost of goods, by value",
                        "quantity",
                        "cost of goods, by quantity",
                        "weight",
                        "cost of goods, by weight")),
                choice("place", "Into", choices.places()),
                choice("prices", "Prices", choices.prices())),
            List.of(
                text(
                    "of",
                    "Receipt or order",
                    offered.papers("received", PaperKind.RECEIPT, PaperKind.PURCHASE_ORDER)),
                text("item", "Item or account", offered.items()),
                figure("quantity", "Quantity"),
                figure("price", "Price each"),
                text("tax", "Tax", offered.taxes()),
                shown("awaited", "Awaited"),
                shown("amount", "Amount"))),
        new PaperForm(
            PaperKind.CHARGE,
            List.of(
                suggest("supplier", "Billed by", offered.parties(Party.Kind.SUPPLIER)),
                field("their_number", "Their number"),
                date("date", "Bill date"),
                date("due", "Due"),
                field("what", "What for"),
                field("amount", "Amount without tax"),
                suggest("tax", "Tax to reclaim", offered.taxes()),
                choice(
                    "spread",
                    "Shared",
                    Choice.of(
                        "value",
                        "by value",
                        "quantity",
                        "by quantity",
                        "weight",
                        "by weight",
                        "hand",
                        "by hand"))),
            List.of(
                text(
                    "bill",
                    "Bill or receipt of the goods",
                    offered.papers("came", PaperKind.BILL, PaperKind.RECEIPT)),
                text("item", "Item, if not all", offered.items()),
                figure("share", "Share, by hand"),
                shown("amount", "Bears"))),
        new PaperForm(
            PaperKind.SUPPLIER_RETURN,
            List.of(
                suggest("supplier", "Supplier", offered.parties(Party.Kind.SUPPLIER)),
                field("reference", "Their reference"),
                date("date", "Date"),
                choice("place", "Out of", choices.places()),
                field("reason", "Note")),
            List.of(
                text(
                    "paper",
                    "Bill or receipt",
                    offered.papers("came", PaperKind.BILL, PaperKind.RECEIPT)),
                text("item", "Item", offered.items()),
                figure("quantity", "Quantity").below("free", "here"),
                text("reason", "Reason", offered.returnReasons()),
                shown("amount", "Credit"))),
        new PaperForm(
            PaperKind.SUPPLIER_CREDIT,
            List.of(
                suggest("supplier", "Supplier", offered.parties(Party.Kind.SUPPLIER)),
                field("their_number", "Their number"),
                date("date", "Date")),
            List.of(
                text(
                    "paper",
                    "Return it is for",
                    offered.papers("returned", PaperKind.SUPPLIER_RETURN)),
                figure("net", "Credited without tax, if not all"),
                figure("tax_amount", "Tax, if not the same"),
                shown("amount", "Credit"))),
        new PaperForm(
            PaperKind.SUPPLIER_PAYMENT,
            List.of(
                suggest("supplier", "Supplier", offered.parties(Party.Kind.SUPPLIER)),
                date("date", "Date"),
                choice("money", "Out of", choices.money()),
                choice("till", "Through", choices.tills()),
                field("amount", "Money paid"),
                field("reference", "Reference")),
            List.of(text("paper", "Bill or credit", offered.open()), figure("amount", "Settles"))));
  }
}
