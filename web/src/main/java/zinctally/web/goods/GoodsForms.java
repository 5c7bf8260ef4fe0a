package zinctally.web.goods;

import static zinctally.web.paper.form.PaperForm.date;
import static zinctally.web.paper.form.PaperForm.figure;
import static zinctally.web.paper.form.PaperForm.shown;
import static zinctally.web.paper.form.PaperForm.suggest;
import static zinctally.web.paper.form.PaperForm.text;

import java.util.List;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;
import zinctally.web.paper.form.AreaForms;
import zinctally.web.paper.form.PaperForm;
import zinctally.web.paper.form.Suggestions;

/** What papers about an item look like while they are written. */
@Component
class GoodsForms implements AreaForms {
  private final Suggestions offered;

  GoodsForms(Suggestions offered) {
    this.offered = offered;
  }

  @Override
  public List<PaperForm> forms() {
    return List.of(
        new PaperForm(
            PaperKind.START_TRACKING,
            List.of(
                suggest("item", "Item", offered.items()),
                date("date", "Kept in stock from"),
                suggest("account", "Against, if not Opening clearing", offered.accounts())),
            List.of(
                text("place", "Place", offered.places()),
                figure("quantity", "On hand that morning"),
                figure("unit_cost", "Unit cost"),
                shown("amount", "Value"))));
  }
}
