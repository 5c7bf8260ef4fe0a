package zinctally.web.goods;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.security.Principal;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.cost.Method;
import zinctally.core.goods.ItemKind;
import zinctally.core.goods.Tracking;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.AccountKind;
import zinctally.core.ledger.Role;
import zinctally.core.number.Quantity;
import zinctally.core.units.Unit;
import zinctally.core.units.Units;
import zinctally.store.book.BookStore;
import zinctally.store.book.SetUp;
import zinctally.store.consign.TheirLadders;
import zinctally.store.goods.GroupStore;
import zinctally.store.goods.ItemCard;
import zinctally.store.goods.ItemMerges;
import zinctally.store.goods.ItemStore;
import zinctally.store.goods.LadderStore;
import zinctally.store.goods.StockStore;
import zinctally.store.goods.WhereaboutsStore;
import zinctally.store.ledger.AccountStore;
import zinctally.store.listing.GoodsListings;
import zinctally.store.make.RecipeStore;
import zinctally.store.setup.SetupStore;
import zinctally.web.listing.AreaPage;
import zinctally.web.picture.LadderPicture;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.Say;
import zinctally.web.shell.SetsUp;
import zinctally.web.shell.Shown;

/** Items: the list, the card, making and changing one. */
@Controller
class GoodsController {
  private static final int MOVEMENTS = 40;
  private final ItemStore items;
  private final StockStore stocks;
  private final ItemMerges merges;
  private final GroupStore groups;
  private final AccountStore accounts;
  private final LadderStore ladders;
  private final TheirLadders theirs;
  private final BookStore books;
  private final AreaPage page;
  private final Say say;

  private final ItemKeeper keeper;
  private final SetupStore setup;
  private final WhereaboutsStore whereabouts;
  private final SetUp setUp;
  private final RecipeStore recipes;

  GoodsController(
      ItemStore items,
      StockStore stocks,
      ItemMerges merges,
      GroupStore groups,
      AccountStore accounts,
      LadderStore ladders,
      TheirLadders theirs,
      BookStore books,
      AreaPage page,
      Say say,
      ItemKeeper keeper,
      SetupStore setup,
      WhereaboutsStore whereabouts,
      SetUp setUp,
      RecipeStore recipes) {
    this.recipes = recipes;
    this.setUp = setUp;
    this.keeper = keeper;
    this.setup = setup;
    this.whereabouts = whereabouts;
    this.items = items;
    this.stocks = stocks;
    this.merges = merges;
    this.groups = groups;
    this.accounts = accounts;
    this.ladders = ladders;
    this.theirs = theirs;
    this.books = books;
    this.page = page;
    this.say = say;
  }

  private ItemCard card(long id) {
    return items.find(id).orElseThrow(() -> new NotThere("item " + id));
  }

  /** A price beside what the goods cost now. */
  record PriceShown(String list, String price, String margin, String markup, boolean underCost) {}

  @GetMapping("/goods/item/{id}")
  String item(@PathVariable long id, Model model) {
    ItemCard card = card(id);
    StockStore.Stock stock = stocks.stock(id);
    GroupStore.Tree tree = groups.tree();
    model.addAttribute("card", card);
    model.addAttribute("groupName", Objects.requireNonNull(tree.group(card.group())).name());
    model.addAttribute("stock", stock);
    model.addAttribute("recipes", recipes.mentions(id));
    model.addAttribute("leadsTo", merges.into(id).orElse(null));
    model.addAttribute("names", merges.of(id));
    model.addAttribute("onHand", card.units().say(new Quantity(stock.onHand())));
    model.addAttribute("places", stock.places().stream().map(StockStore.AtPlace::place).toList());
    model.addAttribute("parts", WhereaboutsController.Part.of(card.units(), whereabouts.parts(id)));
    model.addAttribute("prices", prices(card, stock));
    model.addAttribute("movements", stocks.movements(id, MOVEMENTS));
    model.addAttribute("units", card.units());
    List<LadderStore.Rung> rungs = ladders.ladder(id, card.method(), 8);
    model.addAttribute("rungs", rungs);
    model.addAttribute("ladder", LadderPicture.of(rungs, card.units(), say));
    model.addAttribute(
        "theirs", theirs.of(id, 6).stream().map(t -> Theirs.of(t, card.units())).toList());
    return "goods/item";
  }

  /** Goods of another owner, as they are shown. */
  record Theirs(String owner, String here, List<LadderStore.Rung> rungs, LadderPicture ladder) {
    static Theirs of(TheirLadders.Theirs theirs, Units units) {
      return new Theirs(
          theirs.owner(),
          units.say(new Quantity(theirs.here())),
          theirs.rungs(),
          LadderPicture.of(theirs.rungs(), units));
    }
  }

  @GetMapping("/goods/item/{id}/movements")
  @Nullable String movements(
      @PathVariable long id,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    model.addAttribute("heading", card(id).name() + ", movements");
    return page.under("/goods", GoodsListings.movements(id), model, request, response);
  }

  private List<PriceShown> prices(ItemCard card, StockStore.Stock stock) {
    BigDecimal cost =
        stock.onHand() > 0 ? books.book().coin().each(stock.worth(), stock.onHand()) : null;
    return card.prices().stream()
        .filter(p -> p.price() != null)
        .map(
            p -> {
              BigDecimal price = p.price();
              if (cost == null || cost.signum() <= 0 || price == null || price.signum() <= 0)
                return new PriceShown(p.listName(), say.price(price), "", "", false);
              BigDecimal gain = price.subtract(cost).movePointRight(2);
              return new PriceShown(
                  p.listName(),
                  say.price(price),
                  say.share(gain.divide(price, 1, RoundingMode.HALF_UP)),
                  say.share(gain.divide(cost, 1, RoundingMode.HALF_UP)),
                  gain.signum() < 0);
            })
        .toList();
  }

  @GetMapping("/goods/new")
  String fresh(@RequestParam(required = false) Long like, Model model) {
    Map<String, String> fields = new HashMap<>();
    if (like != null) {
      fields.putAll(ItemForm.fields(card(like), say.coin()));
      fields.remove("code");
      fields.remove("gtin");
    }
    return form(model, null, fields, Map.of(), false);
  }

  @GetMapping("/goods/item/{id}/change")
  String change(@PathVariable long id, Model model) {
    return form(model, id, keeper.fields(id), Map.of(), items.moved(id));
  }

  @SetsUp
  @PostMapping("/goods/new")
  String make(
      @RequestParam Map<String, String> typed,
      Model model,
      Principal who,
      RedirectAttributes after) {
    return setUp.alone(() -> kept(null, typed, model, who, after));
  }

  @SetsUp
  @PostMapping("/goods/item/{id}/change")
  String save(
      @PathVariable Long id,
      @RequestParam Map<String, String> typed,
      Model model,
      Principal who,
      RedirectAttributes after) {
    return setUp.alone(() -> kept(id, typed, model, who, after));
  }

  private String kept(
      @Nullable Long id,
      Map<String, String> sent,
      Model model,
      Principal who,
      RedirectAttributes after) {
    ItemKeeper.Read read = keeper.read(id, sent, Set.of(), keeper.around());
    if (!read.faults().isEmpty())
      return form(model, id, read.typed(), read.faults(), read.locked());
    long saved;
    try {
      saved = keeper.keep(read, who.getName());
    } catch (DuplicateKeyException taken) {
      read.faults()
          .put("code", "Someone else has just taken this code, barcode, group or price list.");
      return form(model, id, read.typed(), read.faults(), read.locked());
    }
    if (sent.containsKey("next")) {
      after.addFlashAttribute("told", read.card().name() + " is made. Here is the next.");
      return "redirect:/goods/new?like=" + saved;
    }
    return "redirect:/goods/item/" + saved;
  }

  private String form(
      Model model,
      @Nullable Long id,
      Map<String, String> fields,
      Map<String, String> faults,
      boolean locked) {
    GroupStore.Tree tree = groups.tree();
    model.addAttribute("id", id);
    model.addAttribute("shown", id == null ? "" : Shown.write(keeper.fields(id)));
    model.addAttribute("fields", fields);
    model.addAttribute("faults", faults);
    model.addAttribute("locked", locked);
    model.addAttribute("groups", tree.inOrder());
    model.addAttribute("tree", tree);
    model.addAttribute("kinds", ItemKind.values());
    model.addAttribute("methods", List.of(Method.FIFO, Method.AVERAGE, Method.SPECIFIC));
    model.addAttribute("trackings", Tracking.values());
    model.addAttribute("unitsOffered", Arrays.asList(Unit.values()));
    List<Account> all = accounts.all();
    List<ItemCard.Price> lists = items.prices(0);
    model.addAttribute("accountsFor", accountsFor(all));
    model.addAttribute("lists", lists);
    model.addAttribute("parts", ItemParts.of(fields, faults, lists, all));
    model.addAttribute("rates", setup.taxRates());
    return "goods/form";
  }

  private static Map<String, List<Account>> accountsFor(List<Account> all) {
    return Map.of(
        "STOCK", all.stream().filter(a -> a.role() == Role.STOCK).toList(),
        "SALES", all.stream().filter(a -> a.kind() == AccountKind.INCOME).toList(),
        "COST", all.stream().filter(a -> a.kind() == AccountKind.EXPENSE).toList());
  }
}
