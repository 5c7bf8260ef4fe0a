package zinctally.web.prove;

import static zinctally.web.paper.form.PaperForm.choice;
import static zinctally.web.paper.form.PaperForm.date;
import static zinctally.web.paper.form.PaperForm.field;
import static zinctally.web.paper.form.PaperForm.figure;
import static zinctally.web.paper.form.PaperForm.suggest;
import static zinctally.web.paper.form.PaperForm.text;

import java.util.List;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.web.paper.form.AreaForms;
import zinctally.web.paper.form.Choices;
import zinctally.web.paper.form.PaperForm;
import zinctally.web.paper.form.Suggestions;

/** What papers of the ledger look like while they are written. */
@Component
class ProveForms implements AreaForms {
  private final Suggestions offered;
  private final Choices choices;

  ProveForms(Suggestions offered, Choices choices) {
    this.offered = offered;
    this.choices = choices;
  }

  @Override
  public List<PaperForm> forms() {
    return List.of(
        new PaperForm(
            PaperKind.TAX_RETURN,
            List.of(
                suggest("supplier", "Office", offered.parties(Party.Kind.SUPPLIER)),
                field("their_number", "Its number"),
                date("date", "Date"),
                date("due", "Due"),
                date("from", "Days from"),
                date("to", "to"),
                field("pay", "To pay; - to get back")),
            List.of()),
        new PaperForm(
            PaperKind.RECOSTING,
            List.of(date("date", "Date"), field("why", "Why")),
            List.of(text("item", "Item", offered.items()))),
        new PaperForm(
            PaperKind.JOURNAL,
            List.of(
                date("date", "Date"),
                choice("till", "Through", choices.tills()),
                field("override", "Why a control account is touched, if one is")),
            List.of(
                text("account", "Account", offered.accounts()),
                text("item", "Item, if any", offered.items()),
                figure("debit", "Debit"),
                figure("credit", "Credit"),
                text("memo", "Note"))));
  }
}
