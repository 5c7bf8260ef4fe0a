package zinctally.web.handle;

import java.security.Principal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.store.book.BookCatalogue;
import zinctally.store.book.Catalogues;
import zinctally.store.make.KnownRecipe;
import zinctally.store.make.RecipeStore;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.PostedPaper;
import zinctally.web.paper.Heads;
import zinctally.web.shell.ByKind;
import zinctally.web.shell.May;
import zinctally.web.shell.NotThere;

/** Work orders that are gone on with. */
@Controller
class WorkOrderController {
  private final PaperStore papers;
  private final Catalogues catalogues;
  private final RecipeStore recipes;
  private final DraftStore drafts;
  private final Heads heads;

  WorkOrderController(
      PaperStore papers,
      Catalogues catalogues,
      RecipeStore recipes,
      DraftStore drafts,
      Heads heads) {
    this.papers = papers;
    this.catalogues = catalogues;
    this.recipes = recipes;
    this.drafts = drafts;
    this.heads = heads;
  }

  /** Begins the assembly of what is left of a work order, with the work its recipe adds. */
  @ByKind
  @PostMapping("/papers/{id:\\d+}/make")
  String make(@PathVariable long id, Principal who) {
    May.must(May.write(who, PaperKind.ASSEMBLY));
    PostedPaper order = papers.find(id).orElseThrow(() -> new NotThere("work order " + id));
    BookCatalogue book = catalogues.open();
    List<Awaited> waits = book.awaited(order.number());
    Awaited result =
        waits.stream()
            .filter(a -> a.what() == Awaits.TO_BE_MADE && a.openQuantity() > 0)
            .findFirst()
            .orElseThrow(() -> new NotThere("anything left to make of " + order.number()));
    Quantity many = new Quantity(result.openQuantity());
    List<Map<String, String>> rows = new ArrayList<>();
    for (Awaited part : waits)
      if (part.what() == Awaits.PROMISED_PARTS && part.openQuantity() > 0)
        rows.add(RecipeRows.row(part.item(), new Quantity(part.openQuantity())));
    Optional<KnownRecipe> recipe = recipes.on(result.item().id(), book.rules().today(), book);
    recipe.ifPresent(r -> rows.addAll(RecipeRows.work(r.batch(), many, book)));
    Map<String, String> fields = new HashMap<>(heads.defaults(PaperKind.ASSEMBLY));
    if (order.place() != null) fields.put("place", order.place());
    fields.put("item", result.item().code());
    fields.put("quantity", result.item().units().typed(many));
    fields.put("work_order", order.number());
    return "redirect:/drafts/"
        + drafts.begin(new Draft(PaperKind.ASSEMBLY, fields, rows), who.getName());
  }
}
