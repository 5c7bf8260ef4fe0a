package zinctally.web.shell;

import java.security.Principal;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zinctally.core.papers.PaperKind;
import zinctally.store.find.FindStore;

/** Find or do anything. */
@Controller
class FindController {
  private final FindStore store;

  FindController(FindStore store) {
    this.store = store;
  }

  /**
   * @param post whether following it begins something, and so is sent rather than opened
   */
  record Found(String words, String aside, String href, boolean post) {}

  private static final List<Found> PAGES =
      List.of(
          new Found("Day", "what is waiting", "/", false),
          new Found("Items", "goods", "/goods", false),
          new Found("New item", "goods", "/goods/new", false),
          new Found("Bills", "buy", "/buy", false),
          new Found("What to order", "buy", "/buy/to-order", false),
          new Found("Purchase orders", "buy", "/buy/orders", false),
          new Found("Receipts", "buy", "/buy/receipts", false),
          new Found("Suppliers", "buy", "/buy/suppliers", false),
          new Found("Returns by reason", "buy", "/buy/returns/reasons", false),
          new Found("Repeating purchases", "buy", "/buy/repeating", false),
          new Found("Received, not billed", "prove", "/prove/received", false),
          new Found("Billed, not received", "prove", "/prove/billed", false),
          new Found("Lots and serial numbers", "goods", "/goods/lots", false),
          new Found("Owed to suppliers", "buy", "/buy/open", false),
          new Found("Owed to suppliers, by age", "buy", "/buy/age", false),
          new Found("Invoices", "sell", "/sell", false),
          new Found("Owed by customers", "sell", "/sell/open", false),
          new Found("Adjustments", "handle", "/handle", false),
          new Found("Tie-out", "stock against ledger", "/prove", false),
          new Found("Trial balance", "prove", "/prove/accounts", false),
          new Found("Journal", "prove", "/prove/journal", false),
          new Found("Valuation", "ask", "/ask", false),
          new Found("What is where", "ask", "/ask/places", false),
          new Found("Audit trail", "ask", "/ask/audit", false),
          new Found("Opening", "taking over from the old books", "/opening", false),
          new Found("Set up", "book, accounts, groups, places, tax", "/setup", false));

  @GetMapping("/find")
  String find(@RequestParam(defaultValue = "") String q, Model model, Principal who) {
    String typed = q.strip().toLowerCase(java.util.Locale.ROOT);
    List<Found> found = new ArrayList<>();
    if (!typed.isEmpty()) {
      for (PaperKind kind : PaperKind.values())
        if (("new " + kind.words().toLowerCase(java.util.Locale.ROOT)).contains(typed)
            && May.write(who, kind)
            && kind != PaperKind.OPENING_STOCK)
          found.add(
              new Found(
                  "New " + kind.words().toLowerCase(java.util.Locale.ROOT),
                  "write it",
                  "/papers/new/" + kind.slug(),
                  true));
      PAGES.stream()
          .filter(p -> p.words().toLowerCase(java.util.Locale.ROOT).contains(typed))
          .forEach(found::add);
      store
          .items(typed, 6)
          .forEach(h -> found.add(new Found(h.words(), h.aside(), "/goods/item/" + h.id(), false)));
      store
          .papers(typed, 6)
          .forEach(h -> found.add(new Found(h.words(), h.aside(), "/papers/" + h.id(), false)));
      store
          .suppliers(typed, 3)
          .forEach(
              h -> found.add(new Found(h.words(), h.aside(), "/buy/supplier/" + h.id(), false)));
      store
          .lots(typed, 3)
          .forEach(h -> found.add(new Found(h.words(), h.aside(), "/goods/lot/" + h.id(), false)));
      store
          .accounts(typed, 4)
          .forEach(
              h -> found.add(new Found(h.words(), h.aside(), "/prove/account/" + h.id(), false)));
    }
    model.addAttribute("found", found.size() > 14 ? found.subList(0, 14) : found);
    model.addAttribute("q", q);
    return "found";
  }
}
