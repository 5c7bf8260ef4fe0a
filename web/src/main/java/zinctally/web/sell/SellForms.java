package zinctally.web.sell;

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

/** What papers of selling look like while they are written. */
@Component
class SellForms implements AreaForms {
  private static final Choice STAY = Choice.of("", "go", "here", "stay here for now, as theirs");
  private final Suggestions offered;
  private final Choices choices;

  SellForms(Suggestions offered, Choices choices) {
    this.offered = offered;
    this.choices = choices;
  }

  @Override
  public List<PaperForm> forms() {
    return List.of(
        new PaperForm(
            PaperKind.SALES_ORDER,
            List.of(
                suggest("customer", "Customer", offered.parties(Party.Kind.CUSTOMER)),
                field("reference", "Their reference"),
                date("date", "Order date"),
                date("expected", "Wanted by"),
                choice("place", "Out of", choices.placesThatSell()),
                choice("prices", "Prices", choices.prices()),
                field("notes", "Note to the customer")),
            List.of(
                text("item", "Item", offered.items()),
                figure("quantity", "Quantity").below("free", "free here"),
                figure("price", "Price each").below("list", "listed"),
                figure("discount", "Off %"),
                figure("at", "or at"),
                text("tax", "Tax", offered.taxes()),
                shown("amount", "Amount").below("margin", "margin"))),
        new PaperForm(
            PaperKind.DELIVERY,
            List.of(
                suggest("customer", "Customer", offered.parties(Party.Kind.CUSTOMER)),
                field("reference", "Their reference"),
                date("date", "Goes on"),
                choice("place", "Out of", choices.placesToSellFrom()),
                field("address", "Brought to"),
                field("notes", "Note to the customer"),
                choice("stay", "They", STAY)),
            List.of(
                text(
                    "of",
                    "Order or invoice",
                    offered.papers("to-send", PaperKind.SALES_ORDER, PaperKind.INVOICE)),
                text("item", "Item", offered.items()),
                figure("quantity", "Quantity"),
                shown("awaited", "Still to go"),
                shown("free", "Here now"))),
        new PaperForm(
            PaperKind.INVOICE,
            List.of(
                suggest("customer", "Customer", offered.parties(Party.Kind.CUSTOMER)),
                field("reference", "Their reference"),
                date("date", "Invoice date"),
                date("due", "Due"),
                choice(
                    "goods",
                    "Goods of no delivery",
                    Choice.of(
                        "with",
                        "go with this invoice",
                        "later",
                        "go later",
                        "stay",
                        "stay here for now, as theirs")),
                choice("place", "Out of", choices.placesToSellFrom()),
                choice("prices", "Prices", choices.prices()),
                field("off", "Off the whole")),
            List.of(
                text(
                        "of",
                        "Delivery or order",
                        offered.papers("sent", PaperKind.DELIVERY, PaperKind.SALES_ORDER))
                    .below("awaited", "to invoice"),
                text("item", "Item or account", offered.items()),
                figure("quantity", "Quantity").below("free", "here"),
                figure("price", "Price each").below("list", "listed"),
                figure("discount", "Off %"),
                figure("at", "or at"),
                text("tax", "Tax", offered.taxes()),
                shown("amount", "Amount").below("margin", "margin"))),
        new PaperForm(
            PaperKind.COUNTER_SALE,
            List.of(
                suggest("seller", "Sold by, initials", offered.sellers()),
                suggest("customer", "Customer, if named", offered.parties(Party.Kind.CUSTOMER)),
                choice("place", "Out of", choices.placesToSellFrom()),
                field("off", "Off the whole")),
            List.of(
                text("item", "Scan, code or letters", offered.items()),
                figure("quantity", "Quantity").below("free", "here"),
                figure("price", "Price each").below("list", "listed"),
                figure("discount", "Off %"),
                figure("at", "or at"),
                text("tax", "Tax", offered.taxes()),
                text("place", "From", offered.places()),
                shown("amount", "Amount")),
            List.of(
                field("cash", "Cash given"),
                field("card", "Card"),
                field("voucher", "Voucher"),
                suggest("credit", "Credit note", offered.credits()),
                field("account", "On account"),
                field("times", "of it, parts"),
                field("each", "or each"),
                choice(
                    "every",
                    "every",
                    Choice.of("month", "month", "fortnight", "two weeks", "week", "week")))),
        new PaperForm(
            PaperKind.CUSTOMER_RETURN,
            List.of(
                suggest("customer", "Customer", offered.parties(Party.Kind.CUSTOMER)),
                field("reference", "Their reference"),
                date("date", "Date"),
                choice("place", "Into", choices.places()),
                field("reason", "Note"),
                choice("back", "Money back", choices.moneyBack()),
                choice("till", "Through", choices.tills())),
            List.of(
                text(
                    "paper",
                    "Invoice or delivery",
                    offered.papers(
                        "invoice", PaperKind.INVOICE, PaperKind.COUNTER_SALE, PaperKind.DELIVERY)),
                text("item", "Item", offered.items()),
                figure("quantity", "Quantity").below("free", "here"),
                text("reason", "Reason", offered.returnReasons()),
                text("goods", "Goods go to", offered.goesTo()),
                shown("amount", "Credit"))),
        new PaperForm(
            PaperKind.CUSTOMER_PAYMENT,
            List.of(
                suggest("customer", "Customer", offered.parties(Party.Kind.CUSTOMER)),
                date("date", "Date"),
                choice("money", "Into", choices.money()),
                choice("till", "Through", choices.tills()),
                field("amount", "Money paid"),
                field("reference", "Reference"),
                choice(
                    "rest", "A small rest", Choice.of("", "stays owed", "off", "is written off"))),
            List.of(
                text("paper", "Invoice or credit", offered.open()), figure("amount", "Settles"))));
  }
}
