package zinctally.web.goods;

import java.security.Principal;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.goods.Item;
import zinctally.store.book.Catalogues;
import zinctally.store.book.SetUp;
import zinctally.store.goods.ItemCard;
import zinctally.store.goods.ItemMerges;
import zinctally.store.goods.ItemStore;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.SetsUp;

/** Two items that are one: the names of the one lead to the other. */
@Controller
class ItemMergeController {
  private final SetUp setUp;
  private final ItemStore items;
  private final ItemMerges merges;
  private final Catalogues catalogues;

  ItemMergeController(SetUp setUp, ItemStore items, ItemMerges merges, Catalogues catalogues) {
    this.setUp = setUp;
    this.items = items;
    this.merges = merges;
    this.catalogues = catalogues;
  }

  private ItemCard card(long id) {
    return items.find(id).orElseThrow(() -> new NotThere("item " + id));
  }

  private Optional<ItemCard> named(String typed) {
    return catalogues.open().item(typed).map(Item::id).flatMap(items::find);
  }

  private Optional<String> refusal(ItemCard from, Optional<ItemCard> into, String typed) {
    if (into.isEmpty())
      return Optional.of("No item has the code, barcode or name \"" + typed.strip() + "\".");
    return merges.refusal(from, into.get());
  }

  @SetsUp
  @GetMapping("/goods/item/{id:\\d+}/merge")
  String ask(@PathVariable long id, @RequestParam(defaultValue = "") String into, Model model) {
    ItemCard from = card(id);
    Optional<ItemCard> other = named(into);
    Optional<String> refusal = into.isBlank() ? Optional.empty() : refusal(from, other, into);
    model.addAttribute("from", from);
    model.addAttribute("typed", into.strip());
    model.addAttribute("refusal", refusal.orElse(null));
    model.addAttribute("into", refusal.isEmpty() ? other.orElse(null) : null);
    return "goods/merge";
  }

  @SetsUp
  @PostMapping("/goods/item/{id:\\d+}/merge")
  String merge(
      @PathVariable long id,
      @RequestParam(defaultValue = "") String into,
      Principal who,
      RedirectAttributes after) {
    return setUp.alone(
        () -> {
          ItemCard from = card(id);
          Optional<ItemCard> other = named(into);
          if (refusal(from, other, into).isPresent()) {
            after.addAttribute("into", into);
            return "redirect:/goods/item/" + id + "/merge";
          }
          merges.merge(from, other.get(), who.getName());
          after.addFlashAttribute(
              "told", from.code() + " leads to " + other.get().code() + " from now on.");
          return "redirect:/goods/item/" + other.get().id();
        });
  }
}
