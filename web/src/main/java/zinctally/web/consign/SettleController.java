package zinctally.web.consign;

import java.security.Principal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.book.BookCatalogue;
import zinctally.store.book.Catalogues;
import zinctally.store.buy.SupplierStore;
import zinctally.store.consign.ConsignStore;
import zinctally.store.paper.DraftStore;
import zinctally.web.paper.Heads;
import zinctally.web.paper.ItemRow;
import zinctally.web.shell.ByKind;
import zinctally.web.shell.May;
import zinctally.web.shell.NotThere;

/** Drafts a settlement of all that a supplier is owed for. */
@Controller
class SettleController {
  private final SupplierStore suppliers;
  private final ConsignStore consigned;
  private final Catalogues catalogues;
  private final DraftStore drafts;
  private final Heads heads;

  SettleController(
      SupplierStore suppliers,
      ConsignStore consigned,
      Catalogues catalogues,
      DraftStore drafts,
      Heads heads) {
    this.suppliers = suppliers;
    this.consigned = consigned;
    this.catalogues = catalogues;
    this.drafts = drafts;
    this.heads = heads;
  }

  @ByKind
  @PostMapping("/buy/supplier/{id:\\d+}/settle")
  String settle(@PathVariable long id, Principal who, RedirectAttributes after) {
    May.must(May.write(who, PaperKind.SETTLEMENT));
    SupplierStore.Card card = suppliers.card(id).orElseThrow(() -> new NotThere("supplier " + id));
    BookCatalogue book = catalogues.open();
    List<ConsignStore.Owed> owed = consigned.owed(id, book.rules().today());
    if (owed.isEmpty()) {
      after.addFlashAttribute("wrong", "Nothing is owed to " + card.name() + " for what was sold.");
      return "redirect:/buy/supplier/" + id;
    }
    Map<String, String> fields = new HashMap<>(heads.defaults(PaperKind.SETTLEMENT));
    fields.put("supplier", card.name());
    fields.put("due", book.rules().today().plusDays(card.termsDays()).toString());
    Map<Long, Item> items =
        book.items(owed.stream().map(ConsignStore.Owed::item).distinct().toList());
    List<Map<String, String>> rows =
        owed.stream()
            .map(
                one ->
                    ItemRow.of(
                        Objects.requireNonNull(items.get(one.item())),
                        new Quantity(one.micros()),
                        one.number()))
            .toList();
    return "redirect:/drafts/"
        + drafts.begin(new Draft(PaperKind.SETTLEMENT, fields, rows), who.getName());
  }
}
