package zinctally.web.sell;

import java.math.BigDecimal;
import java.security.Principal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.number.Coin;
import zinctally.core.number.Figures;
import zinctally.store.Refused;
import zinctally.store.book.BookStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.sell.TillClosing;
import zinctally.store.sell.TillStore;
import zinctally.store.setup.PlaceStore;
import zinctally.store.setup.SetupStore;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.Sells;

/** The till of whoever is at the counter: opened, put in and taken out of, counted and closed. */
@Controller
class TillController {
  private final TillStore tills;
  private final PaperStore papers;
  private final TillClosing closing;
  private final SetupStore setup;
  private final PlaceStore places;
  private final BookStore books;

  TillController(
      TillStore tills,
      PaperStore papers,
      TillClosing closing,
      SetupStore setup,
      PlaceStore places,
      BookStore books) {
    this.tills = tills;
    this.papers = papers;
    this.closing = closing;
    this.setup = setup;
    this.places = places;
    this.books = books;
  }

  @Sells
  @PostMapping("/counter/open")
  String open(
      @RequestParam String place,
      @RequestParam String amount,
      Principal who,
      RedirectAttributes after) {
    Optional<Long> there = amount(amount);
    if (there.isEmpty() || !places.plain().contains(place)) {
      after.addFlashAttribute("wrong", noCash(amount, "150.00, or 0"));
      after.addFlashAttribute("typed", amount);
      return "redirect:/counter";
    }
    tills.open(place, there.get(), who.getName());
    return "redirect:/counter";
  }

  @Sells
  @GetMapping("/counter/till")
  String till(Model model, Principal who) {
    Optional<TillStore.Till> till = tills.of(who.getName());
    if (till.isEmpty()) return "redirect:/counter";
    model.addAttribute("till", till.get());
    model.addAttribute("movements", tills.movements(till.get().id()));
    model.addAttribute("accounts", otherAccounts());
    if (!model.containsAttribute("move")) model.addAttribute("move", Map.of());
    return "sell/till";
  }

  /** Where the till's money may come from or go to, banks first. */
  private List<String> otherAccounts() {
    String cash = tills.account("CASH");
    return setup.tillAccounts().stream().filter(a -> !a.startsWith(cash + " ")).toList();
  }

  /** Puts money into the till, takes some out or to the bank: a paper of its own. */
  @Sells
  @PostMapping("/counter/move")
  String move(
      @RequestParam String what,
      @RequestParam String account,
      @RequestParam String amount,
      @RequestParam(defaultValue = "") String words,
      Principal who,
      RedirectAttributes after) {
    TillStore.Till till = tills.of(who.getName()).orElseThrow(() -> new NotThere("an open till"));
    Optional<Long> minor = amount(amount).filter(a -> a > 0);
    if (minor.isEmpty() || words.length() > 200 || !otherAccounts().contains(account)) {
      after.addFlashAttribute(
          "wrong",
          minor.isEmpty()
              ? noCash(amount, "150.00")
              : "Words are at most 200 letters, and the account is one of those offered.");
      return again(what, account, amount, words, after);
    }
    boolean in = what.equals("in");
    String said =
        words.isBlank()
            ? Map.of("in", "Put in", "out", "Taken out").getOrDefault(what, "Taken to the bank")
            : words.strip();
    try {
      long paper =
          closing.move(till, in ? minor.get() : -minor.get(), account, said, who.getName());
      after.addFlashAttribute("told", papers.find(paper).orElseThrow().number() + " is posted.");
    } catch (Refused refused) {
      after.addFlashAttribute("wrong", refused.faults().get(0).says());
      return again(what, account, amount, words, after);
    }
    return "redirect:/counter/till";
  }

  private static String again(
      String what, String account, String amount, String words, RedirectAttributes after) {
    after.addFlashAttribute(
        "move", Map.of("what", what, "account", account, "amount", amount, "words", words));
    return "redirect:/counter/till";
  }

  /** Closes the till; what was counted more or less is booked. */
  @Sells
  @PostMapping("/counter/close")
  String close(@RequestParam String counted, Principal who, RedirectAttributes after) {
    TillStore.Till till = tills.of(who.getName()).orElseThrow(() -> new NotThere("an open till"));
    Optional<Long> there = amount(counted);
    if (there.isEmpty()) {
      after.addFlashAttribute("wrong", noCash(counted, "412.50"));
      after.addFlashAttribute("typed", counted);
      return "redirect:/counter/till";
    }
    try {
      long gap = closing.close(till.id(), there.get(), who.getName());
      after.addFlashAttribute("told", told(gap));
      return "redirect:/sell/tills";
    } catch (Refused refused) {
      after.addFlashAttribute("wrong", refused.faults().get(0).says());
      after.addFlashAttribute("typed", counted);
      return "redirect:/counter/till";
    }
  }

  private String told(long gap) {
    return gap == 0
        ? "The till is closed; it holds what it should."
        : "The till is closed. "
            + books.book().coin().say(Math.abs(gap))
            + (gap < 0 ? " is missing" : " is over")
            + " and stands on Till differences.";
  }

  private static String noCash(String typed, String like) {
    return typed.isBlank()
        ? "How much cash? Write it like " + like + "."
        : "\"" + typed + "\" is no amount of cash; write it like " + like + ".";
  }

  private Optional<Long> amount(String typed) {
    Coin coin = books.book().coin();
    return Figures.read(typed.strip())
        .filter(a -> a.signum() >= 0 && a.stripTrailingZeros().scale() <= coin.digits())
        .filter(a -> a.compareTo(BigDecimal.valueOf(1_000_000_000)) < 0)
        .map(coin::minor);
  }
}
