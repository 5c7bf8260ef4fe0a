package zinctally.web.handle;

import java.util.Optional;
import org.springframework.stereotype.Component;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Trait;
import zinctally.core.papers.make.Batch;
import zinctally.store.book.BookCatalogue;
import zinctally.store.make.KnownRecipe;
import zinctally.store.make.RecipeStore;
import zinctally.web.paper.Filling;

/** What goes into what is made, or comes out of it, by its recipe. */
@Component
class ByRecipe implements Filling {
  private final RecipeStore recipes;

  ByRecipe(RecipeStore recipes) {
    this.recipes = recipes;
  }

  @Override
  public Optional<Offered> offered(Draft draft, BookCatalogue book) {
    boolean makes = draft.kind().is(Trait.MAKES) || draft.kind().isToMake();
    if (!makes || !draft.typedRows().isEmpty()) return Optional.empty();
    Optional<Item> item = book.item(draft.field("item"));
    if (item.isEmpty()) return Optional.empty();
    Optional<Quantity> many =
        item.get()
            .units()
            .read(draft.field("quantity"))
            .map(t -> t.quantity())
            .filter(q -> q.signum() > 0);
    return many.flatMap(
        q ->
            recipes
                .on(item.get().id(), book.rules().today(), book)
                .map(r -> offered(draft, r, q, book)));
  }

  private Offered offered(Draft draft, KnownRecipe recipe, Quantity many, BookCatalogue book) {
    String of = recipe.batch().item().units().say(many) + " by " + recipe.number();
    Batch batch = recipe.batch();
    return switch (draft.kind()) {
      case ASSEMBLY -> new Offered("Fill in " + of, RecipeRows.goingIn(batch, many, book));
      case WORK_ORDER -> new Offered("Parts for " + of, RecipeRows.parts(batch, many));
      default -> new Offered("Parts of " + of, RecipeRows.comingOut(batch, many));
    };
  }
}
