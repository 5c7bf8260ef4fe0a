package zinctally.web.handle;

import static zinctally.web.paper.form.PaperForm.choice;
import static zinctally.web.paper.form.PaperForm.date;
import static zinctally.web.paper.form.PaperForm.field;
import static zinctally.web.paper.form.PaperForm.figure;
import static zinctally.web.paper.form.PaperForm.shown;
import static zinctally.web.paper.form.PaperForm.text;

import java.util.List;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;
import zinctally.web.paper.form.AreaForms;
import zinctally.web.paper.form.Choices;
import zinctally.web.paper.form.PaperForm;
import zinctally.web.paper.form.Suggestions;

/** What papers of handling look like while they are written. */
@Component
class HandleForms implements AreaForms {
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
            List.of(date("date", "Date"), choice("place", "At", choices.places())),
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
                choice("place", "At", choices.places()),
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
                choice("place", "From", choices.places()),
                choice("into", "Into", choices.whichPlace()),
                field("notes", "Note on the paper")),
            List.of(
                text("item", "Item", offered.items()),
                figure("quantity", "Quantity"),
                text("memo", "Note"),
                shown("free", "Here now"))),
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
