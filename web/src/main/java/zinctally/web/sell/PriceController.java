package zinctally.web.sell;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.math.BigDecimal;
import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.goods.Item;
import zinctally.core.number.Coin;
import zinctally.core.number.Figures;
import zinctally.core.price.PriceChange;
import zinctally.core.units.Units;
import zinctally.store.book.BookStore;
import zinctally.store.book.Catalogues;
import zinctally.store.goods.GroupStore;
import zinctally.store.listing.SellListings;
import zinctally.store.sell.PriceStore;
import zinctally.web.listing.AreaPage;
import zinctally.web.shell.May;

/** Prices by list, quantity and date; one is set, or many are changed after a look at them. */
@Controller
class PriceController {
  private final PriceStore prices;
  private final GroupStore groups;
  private final Catalogues catalogues;
  private final BookStore books;
  private final AreaPage page;
  private final Clock clock;

  PriceController(
      PriceStore prices,
      GroupStore groups,
      Catalogues catalogues,
      BookStore books,
      AreaPage page,
      Clock clock) {
    this.prices = prices;
    this.groups = groups;
    this.catalogues = catalogues;
    this.books = books;
    this.page = page;
    this.clock = clock;
  }

  private static void allow(Principal who) {
    if (!May.setUp(who)) throw new ResponseStatusException(HttpStatus.FORBIDDEN);
  }

  @GetMapping("/sell/prices")
  String prices(Model model, HttpServletRequest request, HttpServletResponse response) {
    model.addAttribute("lists", prices.lists());
    model.addAttribute("more", List.of(new AreaPage.Tab("change many", "/sell/prices/many")));
    return page.show(
        SellController.TABS.above("sell/prices"),
        SellListings.prices(BigDecimal.TEN.pow(books.book().coin().digits())),
        model,
        request,
        response);
  }

  /** Sets one price, or takes it away when none is typed. */
  @PostMapping("/sell/prices")
  String set(
      @RequestParam String item,
      @RequestParam long list,
      @RequestParam(defaultValue = "") String from,
      @RequestParam(defaultValue = "") String least,
      @RequestParam(defaultValue = "") String price,
      Principal who,
      RedirectAttributes after) {
    allow(who);
    String wrong = set(item, list, from, least, price, who.getName());
    if (wrong == null) after.addFlashAttribute("told", "Kept.");
    else after.addFlashAttribute("wrong", wrong);
    return "redirect:/sell/prices?filter=" + (wrong == null ? item.strip() : "");
  }

  private String set(
      String item, long list, String from, String least, String price, String login) {
    Optional<Item> found = catalogues.open().item(item);
    if (found.isEmpty()) return "No item has the code or name \"" + item + "\".";
    if (prices.lists().stream().noneMatch(l -> l.id() == list)) return "Which price list?";
    Optional<Units.Typed> many =
        least.isBlank() ? Optional.empty() : found.get().units().read(least);
    if (!least.isBlank() && many.isEmpty())
      return "\"" + least + "\" is not a quantity of " + found.get().name() + ".";
    Optional<BigDecimal> each = price.isBlank() ? Optional.empty() : Figures.read(price);
    if (!price.isBlank() && each.filter(e -> e.signum() >= 0 && e.scale() <= 6).isEmpty())
      return "\"" + price + "\" is not a price; write it like 12.50.";
    try {
      LocalDate day = from.isBlank() ? null : LocalDate.parse(from.strip());
      prices.set(
          found.get().id(),
          list,
          day,
          many.map(m -> m.quantity().micros()).orElse(0L),
          each.orElse(null),
          login);
      return null;
    } catch (DateTimeParseException notADate) {
      return "\"" + from + "\" is not a date; write it as 2026-03-09.";
    }
  }

  @PostMapping("/sell/prices/list")
  String makeList(@RequestParam String name, Principal who, RedirectAttributes after) {
    allow(who);
    if (name.isBlank() || name.length() > 60)
      after.addFlashAttribute("wrong", "A price list has a name of at most 60 letters.");
    else {
      prices.makeList(name.strip());
      after.addFlashAttribute("told", name.strip() + " is made; set its prices or change many.");
    }
    return "redirect:/sell/prices";
  }

  /**
   * One price before and after.
   *
   * @param margin in percent at the present cost; null when that is not known
   */
  record Changed(
      long item,
      String code,
      String name,
      String unit,
      BigDecimal before,
      BigDecimal after,
      BigDecimal margin,
      boolean underCost) {}

  @GetMapping("/sell/prices/many")
  String many(@RequestParam Map<String, String> asked, Model model, Principal who) {
    allow(who);
    form(asked, model);
    if (asked.containsKey("percent")) changed(asked, model);
    return "sell/prices-many";
  }

  private void form(Map<String, String> asked, Model model) {
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
  }

  /** The new prices; none, with a sentence on the page, when what is asked cannot be done. */
  private List<Changed> changed(Map<String, String> asked, Model model) {
    Optional<BigDecimal> percent = Figures.read(asked.getOrDefault("percent", "").replace("%", ""));
    Optional<BigDecimal> step = Figures.read(asked.getOrDefault("step", ""));
    Optional<BigDecimal> under = Figures.read(asked.getOrDefault("under", "0"));
    if (percent.filter(p -> p.abs().compareTo(BigDecimal.valueOf(1000)) <= 0).isEmpty()
        || step.filter(s -> s.signum() > 0).isEmpty()
        || under.filter(u -> u.signum() >= 0 && u.compareTo(step.get()) < 0).isEmpty()) {
      model.addAttribute(
          "wrong",
          "By how many percent, rounded to what? Such as 5, to 0.05; what is taken off is less than"
              + " that step.");
      return List.of();
    }
    PriceChange change =
        new PriceChange(
            "cost".equals(asked.get("basis")) ? PriceChange.Basis.COST : PriceChange.Basis.PRICE,
            percent.get(),
            step.get(),
            under.get());
    Coin coin = books.book().coin();
    List<Changed> changed = new ArrayList<>();
    for (PriceStore.Priced p :
        prices.priced(number(asked, "list"), number(asked, "group"), from(asked))) {
      BigDecimal cost = p.cost() == null ? null : coin.each(p.cost(), p.costMicros());
      change
          .of(p.price(), cost)
          .filter(fresh -> p.price() == null || fresh.compareTo(p.price()) != 0)
          .ifPresent(
              fresh ->
                  changed.add(
                      new Changed(
                          p.item(),
                          p.code(),
                          p.name(),
                          p.unit(),
                          p.price(),
                          fresh,
                          margin(fresh, cost),
                          cost != null && fresh.compareTo(cost) < 0)));
    }
    model.addAttribute("changed", changed);
    model.addAttribute("sum", sum(changed));
    return changed;
  }

  private static BigDecimal margin(BigDecimal price, BigDecimal cost) {
    if (cost == null || price.signum() == 0) return null;
    return price
        .subtract(cost)
        .multiply(BigDecimal.valueOf(100))
        .divide(price, 1, java.math.RoundingMode.HALF_UP);
  }

  private long number(Map<String, String> asked, String field) {
    String value = asked.getOrDefault(field, "0");
    long read = value.matches("\\d{1,18}") ? Long.parseLong(value) : 0;
    return field.equals("list") && read == 0 ? prices.lists().get(0).id() : read;
  }

  private LocalDate from(Map<String, String> asked) {
    try {
      return LocalDate.parse(asked.getOrDefault("from", ""));
    } catch (DateTimeParseException notADate) {
      return LocalDate.now(clock);
    }
  }

  /** Sets the prices that were looked at, unless they would come out otherwise by now. */
  @PostMapping("/sell/prices/many")
  String change(
      @RequestParam Map<String, String> asked,
      Model model,
      Principal who,
      RedirectAttributes after) {
    allow(who);
    List<Changed> changed = changed(asked, model);
    if (changed.isEmpty() || !sum(changed).equals(asked.get("sum"))) {
      form(asked, model);
      model.addAttribute(
          "wrong",
          "Nothing was changed: prices or costs have moved since you looked. This is how it would be"
              + " now.");
      return "sell/prices-many";
    }
    prices.setAll(
        number(asked, "list"),
        from(asked),
        changed.stream().map(c -> new PriceStore.Fresh(c.item(), c.after())).toList(),
        who.getName());
    after.addFlashAttribute(
        "told", changed.size() + " prices are set from " + from(asked) + " on.");
    return "redirect:/sell/prices";
  }

  /** By which it is told whether these are still the same changes. */
  static String sum(List<Changed> changed) {
    return changed.size()
        + "/"
        + changed.stream()
            .map(Changed::after)
            .reduce(BigDecimal.ZERO, BigDecimal::add)
            .stripTrailingZeros()
            .toPlainString();
  }
}
