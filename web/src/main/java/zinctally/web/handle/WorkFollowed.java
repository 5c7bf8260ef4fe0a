package zinctally.web.handle;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.store.book.BookCatalogue;
import zinctally.store.book.Catalogues;
import zinctally.store.goods.WhereaboutsStore;
import zinctally.store.make.KnownRecipe;
import zinctally.store.make.RecipeStore;
import zinctally.store.paper.PostedPaper;
import zinctally.web.paper.Followed;
import zinctally.web.paper.Heads;
import zinctally.web.paper.ItemRow;

/**
 * Work orders for what sales orders and invoices sent ahead wait for, and assemblies of what work
 * orders wait for.
 */
@Component
class WorkFollowed implements Followed {
  private final Catalogues catalogues;
  private final RecipeStore recipes;
  private final WhereaboutsStore whereabouts;
  private final Heads heads;

  WorkFollowed(
      Catalogues catalogues, RecipeStore recipes, WhereaboutsStore whereabouts, Heads heads) {
    this.catalogues = catalogues;
    this.recipes = recipes;
    this.whereabouts = whereabouts;
    this.heads = heads;
  }

  @Override
  public boolean begins(PostedPaper from, PaperKind kind) {
    return kind == PaperKind.WORK_ORDER || kind == PaperKind.ASSEMBLY;
  }

  /** A sales order is offered to be made only where something of it is made here. */
  @Override
  public boolean offers(PostedPaper from) {
    if (from.kind().side().isEmpty()) return true;
    BookCatalogue book = catalogues.open();
    return promised(from, book).stream().anyMatch(a -> recipe(a, book).isPresent());
  }

  @Override
  public List<Draft> from(PostedPaper from, PaperKind kind) {
    BookCatalogue book = catalogues.open();
    return kind == PaperKind.ASSEMBLY ? assembly(from, book) : workOrders(from, book);
  }

  private static List<Awaited> promised(PostedPaper order, BookCatalogue book) {
    return book.awaited(order.number()).stream()
        .filter(a -> a.openQuantity() > 0)
        .filter(a -> a.what() == Awaits.PROMISED_GOODS || ahead(a))
        .toList();
  }

  /** Invoiced before it goes, and promised by no order. */
  private static boolean ahead(Awaited line) {
    return line.what() == Awaits.INVOICED_GOODS && line.order().paper() == 0;
  }

  private Optional<KnownRecipe> recipe(Awaited line, BookCatalogue book) {
    return recipes.on(line.item().id(), book.rules().today(), book);
  }

  /** One for each line that is made here: what is here, or to be made already, need not be made. */
  private List<Draft> workOrders(PostedPaper order, BookCatalogue book) {
    List<Draft> begun = new ArrayList<>();
    for (Awaited line : promised(order, book)) {
      Optional<KnownRecipe> recipe = recipe(line, book);
      WhereaboutsStore.Parts parts = whereabouts.parts(line.item().id());
      // what is invoiced ahead is promised by nothing else
      long free = parts.free() - (ahead(line) ? line.openQuantity() : 0);
      long missing = Math.min(line.openQuantity(), -free - parts.onOrder());
      if (recipe.isEmpty() || missing <= 0) continue;
      Quantity many = new Quantity(missing);
      Map<String, String> fields = new HashMap<>(heads.defaults(PaperKind.WORK_ORDER));
      String at = recipe.get().place();
      if (!at.isEmpty()) fields.put("place", at);
      else if (order.place() != null) fields.put("place", order.place());
      fields.put("item", line.item().code());
      fields.put("quantity", line.item().units().typed(many));
      fields.put("order", order.number());
      begun.add(
          new Draft(PaperKind.WORK_ORDER, fields, RecipeRows.parts(recipe.get().batch(), many)));
    }
    return begun;
  }

  /** What is left of a work order, with the work its recipe adds. */
  private List<Draft> assembly(PostedPaper order, BookCatalogue book) {
    List<Awaited> waits = book.awaited(order.number());
    Optional<Awaited> result =
        waits.stream()
            .filter(a -> a.what() == Awaits.TO_BE_MADE && a.openQuantity() > 0)
            .findFirst();
    if (result.isEmpty()) return List.of();
    Quantity many = new Quantity(result.get().openQuantity());
    List<Map<String, String>> rows = new ArrayList<>();
    for (Awaited part : waits)
      if (part.what() == Awaits.PROMISED_PARTS && part.openQuantity() > 0)
        rows.add(ItemRow.of(part.item(), new Quantity(part.openQuantity())));
    recipe(result.get(), book).ifPresent(r -> rows.addAll(RecipeRows.work(r.batch(), many, book)));
    Map<String, String> fields = new HashMap<>(heads.defaults(PaperKind.ASSEMBLY));
    if (order.place() != null) fields.put("place", order.place());
    fields.put("item", result.get().item().code());
    fields.put("quantity", result.get().item().units().typed(many));
    fields.put("work_order", order.number());
    return List.of(new Draft(PaperKind.ASSEMBLY, fields, rows));
  }
}
