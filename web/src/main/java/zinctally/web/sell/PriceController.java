package zinctally.web.sell;

import java.math.BigDecimal;
import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.goods.Item;
import zinctally.core.number.Figures;
import zinctally.core.number.Quantity;
import zinctally.core.papers.read.Days;
import zinctally.core.price.PriceChange;
import zinctally.store.book.Catalogues;
import zinctally.store.goods.GroupStore;
import zinctally.store.sell.PriceChanges;
import zinctally.store.sell.PriceStore;
import zinctally.web.shell.SetsUp;
import zinctally.web.shell.Typed;

/** Prices by list, quantity and date; one is set, or many are changed after a look at them. */
@Controller
class PriceController {
  private static final BigDecimal MOST_PERCENT = BigDecimal.valueOf(1000);
  private final PriceStore prices;
  private final PriceChanges changes;
  private final GroupStore groups;
  private final Catalogues catalogues;
  private final Clock clock;

  PriceController(
      PriceStore prices,
      PriceChanges changes,
      GroupStore groups,
      Catalogues catalogues,
      Clock clock) {
    this.prices = prices;
    this.changes = changes;
    this.groups = groups;
    this.catalogues = catalogues;
    this.clock = clock;
  }

  /** Sets one price, or takes it away when none is typed. */
  @SetsUp
  @PostMapping("/sell/prices")
  String set(
      @RequestParam String item,
      @RequestParam long list,
      @RequestParam(defaultValue = "") String from,
      @RequestParam(defaultValue = "") String least,
      @RequestParam(defaultValue = "") String price,
      Principal who,
      RedirectAttributes after) {
    String wrong = set(item, list, from, least, price, who.getName());
    if (wrong == null) {
      after.addFlashAttribute("told", "Kept.");
      after.addAttribute("filter", item.strip());
      return "redirect:/sell/prices";
    }
    after.addFlashAttribute("wrong", wrong);
    return "redirect:/sell/prices";
  }

  /** What is wrong with it; null when the price is set. */
  private @Nullable String set(
      String item, long list, String from, String least, String price, String login) {
    Optional<Item> found = catalogues.open().item(item);
    if (found.isEmpty()) return "No item has the code or name \"" + item + "\".";
    if (prices.lists().stream().noneMatch(l -> l.id() == list)) return "Which price list?";
    Map<String, String> faults = new LinkedHashMap<>();
    Typed typed = new Typed(Map.of("from", from, "least", least, "price", price), faults);
    Quantity many = typed.quantity("least", found.get().units());
    Optional<BigDecimal> each =
        typed.number(
            "price",
            30,
            Typed.amount(12, 6),
            "\"" + price + "\" is not a price; write it like 12.50.");
    Optional<LocalDate> day = typed.day("from", false, LocalDate.now(clock));
    if (!faults.isEmpty()) return faults.values().iterator().next();
    prices.set(
        found.get().id(),
        list,
        day.orElse(null),
        many == null ? 0 : many.micros(),
        each.orElse(null),
        login);
    return null;
  }

  @SetsUp
  @PostMapping("/sell/prices/list")
  String makeList(@RequestParam String name, Principal who, RedirectAttributes after) {
    if (name.isBlank() || name.length() > 60)
      after.addFlashAttribute("wrong", "A price list has a name of at most 60 letters.");
    else {
      prices.makeList(name.strip(), who.getName());
      after.addFlashAttribute("told", name.strip() + " is made; set its prices or change many.");
    }
    return "redirect:/sell/prices";
  }

  /** Says whether a list's prices hold their tax. */
  @SetsUp
  @PostMapping("/sell/prices/list/tax")
  String withTax(
      @RequestParam long list,
      @RequestParam boolean withTax,
      Principal who,
      RedirectAttributes after) {
    prices.withTax(list, withTax, who.getName());
    after.addFlashAttribute("told", "Kept.");
    return "redirect:/sell/prices";
  }

  @SetsUp
  @GetMapping("/sell/prices/many")
  String many(@RequestParam Map<String, String> asked, Model model) {
    if (asked.containsKey("percent"))
      wanted(asked, model).ifPresent(w -> model.addAttribute("preview", changes.preview(w)));
    return form(asked, model);
  }

  private String form(Map<String, String> asked, Model model) {
    Map<String, String> fields = new LinkedHashMap<>();
    fields.put("from", LocalDate.now(clock).toString());
    fields.put("step", "0.05");
    fields.put("under", "0");
    fields.put("basis", "price");
    fields.put("percent", "");
    fields.putAll(asked);
    model.addAttribute("fields", fields);
    model.addAttribute("lists", prices.lists());
    model.addAttribute("groups", groups.tree().inOrder());
    return "sell/prices-many";
  }

  /** What is asked for; empty, with a sentence on the page, when it cannot be done. */
  private Optional<PriceChanges.Wanted> wanted(Map<String, String> asked, Model model) {
    Optional<BigDecimal> percent = Figures.read(asked.getOrDefault("percent", "").replace("%", ""));
    Optional<BigDecimal> step = Figures.read(asked.getOrDefault("step", ""));
    Optional<BigDecimal> under = Figures.read(asked.getOrDefault("under", "0"));
    if (percent.filter(p -> p.abs().compareTo(MOST_PERCENT) <= 0).isEmpty()
        || step.filter(s -> s.signum() > 0).isEmpty()
        || under.filter(u -> u.signum() >= 0 && u.compareTo(step.get()) < 0).isEmpty()) {
      model.addAttribute(
          "wrong",
          "By how many percent, rounded to what? Such as 5, to 0.05; what is taken off is less than"
              + " that step.");
      return Optional.empty();
    }
    PriceChange.Basis basis =
        "cost".equals(asked.get("basis")) ? PriceChange.Basis.COST : PriceChange.Basis.PRICE;
    LocalDate today = LocalDate.now(clock);
    String from = asked.getOrDefault("from", "").strip();
    Optional<LocalDate> day = Days.read(from, today, today);
    if (day.isEmpty())
      model.addAttribute(
          "wrong", "\"" + from + "\" is not a date; from when? Write it as 2026-03-09.");
    return day.map(
        d ->
            new PriceChanges.Wanted(
                number(asked, "list"),
                number(asked, "group"),
                d,
                new PriceChange(basis, percent.get(), step.get(), under.get())));
  }

  private long number(Map<String, String> asked, String field) {
    String value = asked.getOrDefault(field, "0");
    long read = value.matches("\\d{1,18}") ? Long.parseLong(value) : 0;
    return field.equals("list") && read == 0 ? prices.lists().get(0).id() : read;
  }

  /** Sets the prices that were looked at, unless they would come out otherwise by now. */
  @SetsUp
  @PostMapping("/sell/prices/many")
  String change(
      @RequestParam Map<String, String> asked,
      Model model,
      Principal who,
      RedirectAttributes after) {
    Optional<PriceChanges.Wanted> wanted = wanted(asked, model);
    if (wanted.isEmpty()) return form(asked, model);
    int set = changes.change(wanted.get(), asked.getOrDefault("sum", ""), who.getName());
    if (set == 0) {
      model.addAttribute("preview", changes.preview(wanted.get()));
      model.addAttribute(
          "wrong",
          "Nothing was changed: prices or costs have moved since you looked. This is how it would be"
              + " now.");
      return form(asked, model);
    }
    after.addFlashAttribute("told", set + " prices are set from " + wanted.get().from() + " on.");
    return "redirect:/sell/prices";
  }
}
