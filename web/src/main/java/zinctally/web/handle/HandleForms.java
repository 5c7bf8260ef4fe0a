package zinctally.web.handle;

import static zinctally.web.paper.form.PaperForm.choice;
import static zinctally.web.paper.form.PaperForm.date;
import static zinctally.web.paper.form.PaperForm.field;
import static zinctally.web.paper.form.PaperForm.figure;
import static zinctally.web.paper.form.PaperForm.shown;
import static zinctally.web.paper.form.PaperForm.suggest;
import static zinctally.web.paper.form.PaperForm.text;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.make.Sharing;
import zinctally.web.paper.form.AreaForms;
import zinctally.web.paper.form.Choice;
import zinctally.web.paper.form.Choices;
import zinctally.web.paper.form.PaperForm;
import zinctally.web.paper.form.Suggestions;

/** What papers of handling look like while they are written. */
@Component
class HandleForms implements AreaForms {
  private static final Choice SHARING =
      Choice.of(
          Arrays.stream(Sharing.values())
              .flatMap(s -> Stream.of(s.word(), s.words()))
              .toArray(String[]::new));
  private final Suggestions offered;
  private final Choices choices;

  HandleForms(Suggestions offered, Choices choices) {
    this.offered = offered;
    this.choices = choices;
  }

  @Override
  public List<PaperForm> forms() {
    return List.of(
        new PaperForm(
            PaperKind.ADJUSTMENT,
            List.of(date("date", "Date"), choice("place", "At", choices.placesToPutRight())),
            List.of(
                text("item", "Item", offered.items()),
                figure("quantity", "Up or down by"),
                text("reason", "Reason", offered.reasons()),
                figure("unit_cost", "Unit cost, if found"),
                text("memo", "Note"),
                shown("free", "Here now"),
                shown("amount", "Value found"))),
        new PaperForm(
            PaperKind.STOCK_COUNT,
            List.of(
                date("date", "Day of the count"),
                choice("place", "At", choices.placesToPutRight()),
                field("sheet", "Count sheet")),
            List.of(
                text("item", "Item", offered.items()),
                figure("expected", "Book held"),
                figure("counted", "Counted"),
                shown("apart", "Apart"),
                text("reason", "Reason, if known", offered.reasons()),
                figure("unit_cost", "Unit cost, if over"),
                text("memo", "Note"),
                shown("amount", "Value over"))),
        new PaperForm(
            PaperKind.TRANSFER,
            List.of(
                date("date", "Date"),
                choice("place", "From", choices.anyPlace()),
                choice("into", "Into", choices.whichPlace()),
                choice("standing", "Standing there", choices.standings("as it is")),
                choice(
                    "sent", "Are there", Choice.of("", "at once", "yes", "when they are received")),
                field("notes", "Note on the paper")),
            List.of(
                text("item", "Item", offered.items()),
                figure("quantity", "Quantity"),
                text("memo", "Note"),
                shown("free", "Here now"))),
        new PaperForm(
            PaperKind.ARRIVAL,
            List.of(
                date("date", "Date"),
                suggest("transfer", "Sent with", offered.papers("transfer", PaperKind.TRANSFER)),
                choice("into", "Came to", choices.plainPlaces())),
            List.of(
                text("item", "Item", offered.items()),
                figure("quantity", "Quantity"),
                text("reason", "Reason, if it is lost", offered.reasons()),
                text("memo", "Note"))),
        new PaperForm(
            PaperKind.REPAIR_OUT,
            List.of(
                date("date", "Date"),
                suggest("repairer", "Repairer, if not here", offered.parties(Party.Kind.SUPPLIER)),
                choice("place", "From", choices.anyPlace()),
                date("back_by", "Back by"),
                field("expected", "Expected cost"),
                field("notes", "Note on the paper")),
            List.of(
                text("item", "Item", offered.items()),
                figure("quantity", "Quantity"),
                text("memo", "What is wrong"),
                shown("free", "Here now"))),
        new PaperForm(
            PaperKind.REPAIR_BACK,
            List.of(
                date("date", "Date"),
                suggest("repair", "Went out with", offered.papers("repair", PaperKind.REPAIR_OUT)),
                choice("into", "Comes to", choices.plainPlaces()),
                choice(
                    "cost",
                    "Mending is",
                    Choice.of("", "an expense", "goods", "part of their cost")),
                suggest("account", "Known cost taken from", offered.accounts())),
            List.of(
                text("item", "Item", offered.items()),
                figure("quantity", "Quantity"),
                text("standing", "Standing, if not good", offered.standings()),
                text("reason", "Reason, if it is scrap", offered.reasons()),
                figure("charge", "Mending cost"),
                text("memo", "Note"))),
        new PaperForm(
            PaperKind.TAKEN_IN,
            List.of(
                suggest("customer", "Customer", offered.parties(Party.Kind.CUSTOMER)),
                date("date", "Date"),
                choice("place", "Kept at", choices.plainPlaces()),
                date("back_by", "Promised for"),
                field("notes", "Note on the paper")),
            List.of(
                text("item", "Item", offered.items()),
                figure("quantity", "Quantity"),
                text("memo", "What is wrong"))),
        new PaperForm(
            PaperKind.GIVEN_BACK,
            List.of(
                suggest("customer", "Customer", offered.parties(Party.Kind.CUSTOMER)),
                date("date", "Date"),
                choice("place", "Kept at", choices.plainPlaces()),
                field("notes", "Note on the paper")),
            List.of(
                text("item", "Item", offered.items()),
                figure("quantity", "Quantity"),
                text("memo", "Note"))),
        new PaperForm(
            PaperKind.RECIPE,
            List.of(
                date("date", "From"),
                suggest("item", "What is made", offered.items()),
                field("quantity", "How many a batch gives"),
                choice("place", "Made at", choices.whichPlace())),
            List.of(
                text("item", "Component, or account for work", offered.items()),
                figure("quantity", "In a batch"),
                figure("waste", "Waste %"),
                figure("batch", "Work for a batch"),
                figure("piece", "or for each"),
                text("memo", "Note"),
                shown("amount", "Present cost"))),
        new PaperForm(
            PaperKind.WORK_ORDER,
            List.of(
                date("date", "Date"),
                suggest("item", "What is to be made", offered.items()),
                field("quantity", "How many"),
                date("expected", "Wanted by"),
                choice("place", "Made at", choices.places()),
                suggest(
                    "order",
                    "For sales order",
                    offered.papers("sales-order", PaperKind.SALES_ORDER, PaperKind.INVOICE)),
                field("notes", "Note")),
            List.of(
                text("item", "Component", offered.items()),
                figure("quantity", "Goes in"),
                text("memo", "Note"),
                shown("free", "Free here"))),
        new PaperForm(
            PaperKind.ASSEMBLY,
            List.of(
                date("date", "Date"),
                suggest("item", "What is made", offered.items()),
                field("quantity", "How many"),
                field("numbers", "Its lots or serial numbers"),
                choice("place", "Made at", choices.places()),
                choice("into", "Comes to", choices.samePlace()),
                suggest(
                    "work_order",
                    "Of work order",
                    offered.papers("work-order", PaperKind.WORK_ORDER))),
            List.of(
                text("item", "Component, or account for work", offered.items()),
                figure("quantity", "Goes in"),
                figure("amount", "Work added"),
                text("memo", "Note"),
                shown("free", "Here now"))),
        new PaperForm(
            PaperKind.DISASSEMBLY,
            List.of(
                date("date", "Date"),
                suggest("item", "What is taken apart", offered.items()),
                field("quantity", "How many"),
                field("numbers", "Its lots or serial numbers"),
                choice("place", "At", choices.places()),
                choice("into", "Parts come to", choices.samePlace()),
                choice("sharing", "Cost is shared by", SHARING)),
            List.of(
                text("item", "Part, or account for work", offered.items()),
                figure("quantity", "Comes out"),
                figure("share", "Share or value each"),
                figure("amount", "Own value, or work"),
                text("memo", "Note"))),
        new PaperForm(
            PaperKind.WRITE_DOWN,
            List.of(date("date", "Date")),
            List.of(
                text("item", "Item", offered.items()),
                figure("price", "Expected price"),
                figure("to_sell", "Cost to sell one"),
                figure("change", "or change in value"),
                text("memo", "Note"),
                shown("amount", "Change"))));
  }
}
