package zinctally.web.handle;

import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.make.Batch;
import zinctally.core.papers.make.Needs;
import zinctally.core.units.Units;
import zinctally.store.book.BookCatalogue;
import zinctally.store.book.Catalogues;
import zinctally.store.buy.OrderStore;
import zinctally.store.make.KnownRecipe;
import zinctally.store.make.RecipeStore;
import zinctally.store.paper.DraftStore;
import zinctally.web.paper.Heads;
import zinctally.web.shell.ByKind;
import zinctally.web.shell.May;
import zinctally.web.shell.NotThere;

/** A recipe as a tree: what it needs for so many, what of that is missing, what it costs. */
@Controller
class RecipeController {
  private final RecipeStore recipes;
  private final Catalogues catalogues;
  private final DraftStore drafts;
  private final OrderStore orders;
  private final Heads heads;
  private final Clock clock;

  RecipeController(
      RecipeStore recipes,
      Catalogues catalogues,
      DraftStore drafts,
      OrderStore orders,
      Heads heads,
      Clock clock) {
    this.recipes = recipes;
    this.catalogues = catalogues;
    this.drafts = drafts;
    this.orders = orders;
    this.heads = heads;
    this.clock = clock;
  }

  /** What was asked for; what is wrong with that, empty for nothing. */
  private record Asked(KnownRecipe recipe, Quantity many, String wrong) {}

  private Asked asked(long paper, String typed, BookCatalogue book) {
    KnownRecipe recipe = recipes.of(paper, book).orElseThrow(() -> new NotThere("recipe " + paper));
    Units units = recipe.batch().item().units();
    Optional<Quantity> read =
        units.read(typed).map(Units.Typed::quantity).filter(q -> q.signum() > 0);
    Quantity many = read.orElse(recipe.batch().made());
    String wrong =
        typed.isBlank() || read.isPresent()
            ? ""
            : "\""
                + (typed.length() > 40 ? typed.substring(0, 40) : typed)
                + "\" is not a quantity above zero; this is for a batch.";
    return new Asked(recipe, many, wrong);
  }

  private Needs needs(Asked asked, BookCatalogue book) {
    return recipes.needs(asked.recipe, asked.many, LocalDate.now(clock), book);
  }

  @GetMapping("/handle/recipes/{paper:\\d+}")
  String tree(
      @PathVariable long paper,
      @RequestParam(defaultValue = "") String quantity,
      Model model,
      Principal who) {
    BookCatalogue book = catalogues.open();
    Asked asked = asked(paper, quantity, book);
    Needs needs = needs(asked, book);
    Batch batch = asked.recipe.batch();
    model.addAttribute("recipe", asked.recipe);
    model.addAttribute("item", batch.item());
    model.addAttribute("quantity", batch.item().units().typed(asked.many));
    model.addAttribute("many", batch.item().units().say(asked.many));
    model.addAttribute("wrong", asked.wrong.isEmpty() ? null : asked.wrong);
    model.addAttribute("whole", needs.whole());
    model.addAttribute("toBuy", missing(needs.toBuy()));
    model.addAttribute("toMake", missing(needs.toMake()));
    model.addAttribute("mayMake", May.write(who, PaperKind.ASSEMBLY));
    model.addAttribute("mayOrder", May.write(who, PaperKind.PURCHASE_ORDER));
    return "handle/recipe";
  }

  /** So much of an item is missing. */
  record Missing(Item item, String quantity) {}

  private static List<Missing> missing(Map<Item, Quantity> all) {
    return all.entrySet().stream()
        .map(m -> new Missing(m.getKey(), m.getKey().units().say(m.getValue())))
        .toList();
  }

  /** Begins the assembly of so many. */
  @ByKind
  @PostMapping("/handle/recipes/{paper:\\d+}/make")
  String make(
      @PathVariable long paper, @RequestParam(defaultValue = "") String quantity, Principal who) {
    May.must(May.write(who, PaperKind.ASSEMBLY));
    BookCatalogue book = catalogues.open();
    Asked asked = asked(paper, quantity, book);
    return "redirect:/drafts/" + assembly(asked.recipe, asked.many, book, who);
  }

  /** Begins the work order of so many: its parts are promised to it until they are made. */
  @ByKind
  @PostMapping("/handle/recipes/{paper:\\d+}/order")
  String order(
      @PathVariable long paper, @RequestParam(defaultValue = "") String quantity, Principal who) {
    May.must(May.write(who, PaperKind.WORK_ORDER));
    Asked asked = asked(paper, quantity, catalogues.open());
    return "redirect:/drafts/" + workOrder(asked.recipe, asked.many, who);
  }

  private long workOrder(KnownRecipe recipe, Quantity many, Principal who) {
    Map<String, String> head = head(PaperKind.WORK_ORDER, recipe, many);
    List<Map<String, String>> rows = RecipeRows.parts(recipe.batch(), many);
    return drafts.begin(new Draft(PaperKind.WORK_ORDER, head, rows), who.getName());
  }

  private Map<String, String> head(PaperKind kind, KnownRecipe recipe, Quantity many) {
    Map<String, String> fields = new HashMap<>(heads.defaults(kind));
    if (!recipe.place().isEmpty()) fields.put("place", recipe.place());
    fields.put("item", recipe.batch().item().code());
    fields.put("quantity", recipe.batch().item().units().typed(many));
    return fields;
  }

  private long assembly(KnownRecipe recipe, Quantity many, BookCatalogue book, Principal who) {
    Map<String, String> head = head(PaperKind.ASSEMBLY, recipe, many);
    List<Map<String, String>> rows = RecipeRows.goingIn(recipe.batch(), many, book);
    return drafts.begin(new Draft(PaperKind.ASSEMBLY, head, rows), who.getName());
  }

  /** Drafts what is missing: an order to each supplier, and a work order for what is made here. */
  @ByKind
  @PostMapping("/handle/recipes/{paper:\\d+}/missing")
  String missing(
      @PathVariable long paper,
      @RequestParam(defaultValue = "") String quantity,
      Principal who,
      RedirectAttributes after) {
    May.must(May.write(who, PaperKind.PURCHASE_ORDER) && May.write(who, PaperKind.WORK_ORDER));
    BookCatalogue book = catalogues.open();
    Asked asked = asked(paper, quantity, book);
    Needs needs = needs(asked, book);
    Map<Long, Long> toBuy = new LinkedHashMap<>();
    needs.toBuy().forEach((item, many) -> toBuy.put(item.id(), many.micros()));
    int ordered =
        orders.draftOrders(toBuy, heads.defaults(PaperKind.PURCHASE_ORDER), who.getName()).size();
    Set<String> drafted =
        drafts.open(PaperKind.WORK_ORDER).stream()
            .map(d -> d.field("item").toLowerCase(Locale.ROOT))
            .collect(Collectors.toSet());
    int made = 0;
    for (Map.Entry<Item, Quantity> part : needs.toMake().entrySet()) {
      if (drafted.contains(part.getKey().code().toLowerCase(Locale.ROOT))) continue;
      KnownRecipe of = recipes.on(part.getKey().id(), LocalDate.now(clock), book).orElseThrow();
      workOrder(of, part.getValue(), who);
      made++;
    }
    after.addFlashAttribute(
        "told",
        ordered + made == 0
            ? "Nothing is missing that does not stand in a draft already."
            : "Begun: "
                + count(ordered, "draft of an order", "drafts of orders")
                + " and "
                + count(made, "of a work order", "of work orders")
                + "; they are on the Day page.");
    return "redirect:/handle/recipes/"
        + paper
        + "?quantity="
        + asked.many.decimal().toPlainString();
  }

  private static String count(int n, String one, String many) {
    return n + " " + (n == 1 ? one : many);
  }
}
