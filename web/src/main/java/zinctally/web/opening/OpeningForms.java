package zinctally.web.opening;

import static zinctally.web.paper.form.PaperForm.figure;
import static zinctally.web.paper.form.PaperForm.text;

import java.util.List;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;
import zinctally.web.paper.form.AreaForms;
import zinctally.web.paper.form.PaperForm;
import zinctally.web.paper.form.Suggestions;

/** What papers of the opening look like while they are written. */
@Component
class OpeningForms implements AreaForms {
  private final Suggestions offered;

  OpeningForms(Suggestions offered) {
    this.offered = offered;
  }

  @Override
  public List<PaperForm> forms() {
    return List.of(
        new PaperForm(
            PaperKind.OPENING_BALANCES,
            List.of(),
            List.of(
                text("account", "Account", offered.accounts()),
                figure("debit", "Debit"),
                figure("credit", "Credit"),
                text("memo", "Note"))),
        new PaperForm(
            PaperKind.OPENING_PARTIES,
            List.of(),
            List.of(
                text("side", "Bill or invoice", offered.sides()),
                text("party", "From or for", offered.anyParty()),
                text("number", "Number"),
                text("date", "Date"),
                text("due", "Due"),
                figure("amount", "Still open"))));
  }
}
