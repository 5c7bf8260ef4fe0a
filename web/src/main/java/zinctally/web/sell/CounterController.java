package zinctally.web.sell;

import jakarta.servlet.http.HttpServletRequest;
import java.math.BigDecimal;
import java.security.Principal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.number.Coin;
import zinctally.core.number.Figures;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.Refused;
import zinctally.store.book.BookStore;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.SavedDraft;
import zinctally.store.sell.TillClosing;
import zinctally.store.sell.TillStore;
import zinctally.store.setup.SetupStore;
import zinctally.web.paper.Heads;
import zinctally.web.paper.TypedDraft;
import zinctally.web.paper.Windows;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.Sells;

/** The counter: a till is opened, sold through, counted and closed. */
@Controller
class CounterController {
  private final TillStore tills;
  private final DraftStore drafts;
  private final PaperStore papers;
  private final TillClosing closing;
  private final Heads heads;
  private final SetupStore setup;
  private final BookStore books;
  private final CounterReceipt receipts;
  private final CounterDesk desk;
  private final TypedDraft sent;

  CounterController(
      TillStore tills,
      DraftStore drafts,
      PaperStore papers,
      TillClosing closing,
      Heads heads,
      SetupStore setup,
      BookStore books,
      CounterReceipt receipts,
      CounterDesk desk,
      TypedDraft sent) {
    this.sent = sent;
    this.tills = tills;
    this.drafts = drafts;
    this.papers = papers;
    this.closing = closing;
    this.heads = heads;
    this.setup = setup;
    this.books = books;
    this.receipts = receipts;
    this.desk = desk;
  }

  /** The next customer: an empty sale, or the till to open first. */
  @Sells
  @GetMapping("/counter")
  String next(Model model, Principal who, RedirectAttributes after) {
    Optional<TillStore.Till> till = tills.of(who.getName());
    if (till.isEmpty()) {
      model.addAttribute("places", setup.places());
      return "sell/till-open";
    }
    for (String told : List.of("done", "change"))
      if (model.containsAttribute(told)) after.addFlashAttribute(told, model.getAttribute(told));
    return begin(till.get().place(), who);
  }

  private String begin(String place, Principal who) {
    Map<String, String> fields = new HashMap<>(heads.defaults(PaperKind.COUNTER_SALE));
    fields.put("place", place);
    fields.put("seller", tills.lastSeller(who.getName()));
    Draft sale = new Draft(PaperKind.COUNTER_SALE, fields, List.of());
    tills.dropEmpty(who.getName());
    return "redirect:/drafts/" + drafts.begin(sale, who.getName());
  }

  private static String noCash(String typed, String like) {
    return typed.isBlank()
        ? "How much cash? Write it like " + like + "."
        : "\"" + typed + "\" is no amount of cash; write it like " + like + ".";
  }

  @Sells
  @PostMapping("/counter/open")
  String open(
      @RequestParam String place,
      @RequestParam String amount,
      Principal who,
      RedirectAttributes after) {
    Optional<Long> there = amount(amount);
    if (there.isEmpty() || !setup.places().contains(place)) {
      after.addFlashAttribute("wrong", noCash(amount, "150.00, or 0"));
      after.addFlashAttribute("typed", amount);
      return "redirect:/counter";
    }
    tills.open(place, there.get(), who.getName());
    return "redirect:/counter";
  }

  private Optional<Long> amount(String typed) {
    Coin coin = books.book().coin();
    return Figures.read(typed.strip())
        .filter(a -> a.signum() >= 0 && a.stripTrailingZeros().scale() <= coin.digits())
        .filter(a -> a.compareTo(BigDecimal.valueOf(1_000_000_000)) < 0)
        .map(coin::minor);
  }

  private SavedDraft sale(long id) {
    SavedDraft sale =
        drafts
            .find(id)
            .filter(d -> d.draft().kind() == PaperKind.COUNTER_SALE && d.amends() == 0)
            .orElseThrow(() -> new NotThere("sale " + id));
    Figures.use(sale.draft().form());
    return sale;
  }

  /**
   * What the window has of a sale, kept; when another window has changed the sale meanwhile it is a
   * sale of its own, and the answer is empty.
   */
  private Optional<SavedDraft> kept(
      SavedDraft saved, HttpServletRequest request, Principal who, RedirectAttributes after) {
    Draft typed = sent.read(request, saved);
    Optional<SavedDraft> kept =
        drafts.save(saved.id(), typed, Windows.seen(request), who.getName());
    if (kept.isEmpty() && !saved.draft().equals(typed)) {
      after.addFlashAttribute("apart", drafts.begin(typed, who.getName()));
      after.addFlashAttribute(
          "told",
          saved.savedBy()
              + " has this sale in another window; what stood here is a sale of its own, and nothing"
              + " is posted.");
    }
    return kept;
  }

  private static String apart(RedirectAttributes after) {
    Object id = after.getFlashAttributes().get("apart");
    return id == null ? "redirect:/counter" : "redirect:/drafts/" + id;
  }

  /** Puts a sale aside: it stays as a draft, and the next customer's begins. */
  @Sells
  @PostMapping("/counter/{id:\\d+}/hold")
  String hold(
      @PathVariable long id, HttpServletRequest request, Principal who, RedirectAttributes after) {
    Optional<SavedDraft> kept = kept(sale(id), request, who, after);
    return kept.isEmpty() ? apart(after) : "redirect:/counter";
  }

  /** Posts a sale, prints its receipt and begins the next. */
  @Sells
  @PostMapping("/counter/{id:\\d+}/post")
  String post(
      @PathVariable long id, HttpServletRequest request, Principal who, RedirectAttributes after) {
    Optional<SavedDraft> saved = kept(sale(id), request, who, after);
    if (saved.isEmpty()) return apart(after);
    SavedDraft.Seen seen =
        new SavedDraft.Seen(saved.get().revision(), Windows.seen(request).window());
    try {
      CounterDesk.Done done = desk.sell(saved.get(), seen, who.getName());
      after.addFlashAttribute("done", done.id());
      after.addFlashAttribute("change", done.change());
      return "redirect:/counter";
    } catch (Refused refused) {
      after.addFlashAttribute("refused", true);
      refused.faults().stream()
          .filter(f -> f.cell().equals("card"))
          .findFirst()
          .ifPresent(f -> after.addFlashAttribute("wrong", f.says()));
      return "redirect:/drafts/" + id;
    }
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

  /** A sale's receipt as the printer prints it. */
  @GetMapping("/papers/{id}/receipt")
  ResponseEntity<String> receipt(@PathVariable long id) {
    return papers
        .find(id)
        .filter(p -> p.kind() == PaperKind.COUNTER_SALE)
        .map(
            p ->
                ResponseEntity.ok()
                    .contentType(MediaType.parseMediaType("text/plain;charset=UTF-8"))
                    .body(receipts.of(p)))
        .orElseThrow(() -> new NotThere("a receipt of paper " + id));
  }
}
