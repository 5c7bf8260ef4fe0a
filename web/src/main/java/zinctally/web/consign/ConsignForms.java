package zinctally.web.consign;

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

/** What papers of consignment look like while they are written. */
@Component
class ConsignForms implements AreaForms {
  private final Suggestions offered;
  private final Choices choices;

  ConsignForms(Suggestions offered, Choices choices) {
    this.offered = offered;
    this.choices = choices;
  }

  @Override
  public List<PaperForm> forms() {
    return List.of(agreement(), in(), back(), settlement(), out(), handedOver());
  }

  private PaperForm agreement() {
    return new PaperForm(
        PaperKind.AGREEMENT,
        List.of(
            suggest("supplier", "With", offered.parties(Party.Kind.SUPPLIER)),
            date("date", "From"),
            choice(
                "discounts",
                "Discounts are borne by",
                Choice.of("both", "both, as the shares are", "ours", "us", "theirs", "them")),
            choice("losses", "What is lost here, by", Choice.of("ours", "us", "theirs", "them")),
            choice("shares", "Shares are", Choice.of("theirs", "theirs", "ours", "ours")),
            field("notes", "Note")),
        List.of(
            text("item", "Item or group; empty for everything", offered.itemsAndGroups()),
            figure("cost", "Cost each"),
            figure("share", "or share %"),
            figure("least", "at least, each")));
  }

  private PaperForm in() {
    return new PaperForm(
        PaperKind.CONSIGNMENT_IN,
        List.of(
            suggest("supplier", "Supplier", offered.parties(Party.Kind.SUPPLIER)),
            field("their_number", "Delivery note"),
            date("date", "Came on"),
            choice("place", "Into", choices.plainPlaces()),
            field("notes", "Note on the paper")),
        List.of(
            text("of", "Order", offered.papers("consigned", PaperKind.PURCHASE_ORDER)),
            text("item", "Item", offered.items()),
            figure("quantity", "Quantity"),
            figure("price", "Price, of its own"),
            text("memo", "Note"),
            shown("owed", "When sold, is owed")));
  }

  private PaperForm back() {
    return new PaperForm(
        PaperKind.CONSIGNMENT_BACK,
        List.of(
            suggest("supplier", "Supplier", offered.parties(Party.Kind.SUPPLIER)),
            date("date", "Goes on"),
            choice("place", "Out of", choices.plainPlaces()),
            field("notes", "Note on the paper")),
        List.of(
            text("item", "Item", offered.items()),
            figure("quantity", "Quantity"),
            text("memo", "Note")));
  }

  private PaperForm settlement() {
    return new PaperForm(
        PaperKind.SETTLEMENT,
        List.of(
            suggest("supplier", "With", offered.parties(Party.Kind.SUPPLIER)),
            field("their_number", "Their number, if they bill it"),
            date("date", "Date"),
            date("due", "Due"),
            field("notes", "Note on the paper")),
        List.of(
            text(
                "of",
                "Sold with",
                offered.papers(
                    "sold", PaperKind.INVOICE, PaperKind.COUNTER_SALE, PaperKind.DELIVERY)),
            text("item", "Item", offered.items()),
            figure("quantity", "Quantity"),
            shown("owed", "Owed"),
            figure("amount", "Settled at, if other"),
            text("tax", "Tax", offered.taxes())));
  }

  private PaperForm out() {
    return new PaperForm(
        PaperKind.CONSIGNMENT_OUT,
        List.of(
            suggest("customer", "Customer", offered.parties(Party.Kind.CUSTOMER)),
            date("date", "Goes on"),
            choice("place", "From", choices.plainPlaces()),
            field("notes", "Note on the paper")),
        List.of(
            text("item", "Item", offered.items()),
            figure("quantity", "Quantity").below("free", "free here"),
            text("memo", "Note")));
  }

  private PaperForm handedOver() {
    return new PaperForm(
        PaperKind.HANDED_OVER,
        List.of(
            suggest("customer", "Customer", offered.parties(Party.Kind.CUSTOMER)),
            date("date", "Date"),
            choice("place", "Kept at", choices.plainPlaces()),
            field("notes", "Note on the paper")),
        List.of(
            text("item", "Item", offered.items()),
            figure("quantity", "Quantity"),
            text("memo", "Note")));
  }
}
