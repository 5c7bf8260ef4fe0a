package zinctally.web.buy;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.ledger.Account;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Trait;
import zinctally.store.book.BookStore;
import zinctally.store.book.Catalogues;
import zinctally.store.book.SetUp;
import zinctally.store.buy.OfferStore;
import zinctally.store.buy.SupplierStore;
import zinctally.store.ledger.AccountStore;
import zinctally.store.listing.BuyListings;
import zinctally.store.listing.PartyListings;
import zinctally.store.parties.MergeStore;
import zinctally.store.prove.AgeStore;
import zinctally.store.setup.SetupStore;
import zinctally.web.consign.ConsignedCard;
import zinctally.web.listing.ListingPage;
import zinctally.web.paper.PaperWords;
import zinctally.web.picture.AgePicture;
import zinctally.web.shell.May;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.SetsUp;
import zinctally.web.shell.Shown;
import zinctally.web.shell.Typed;

/** A supplier's card: what is known of it, what is open with it, its papers and its items. */
@Controller
class SupplierController {
  private final SetUp setUp;
  private final SupplierStore suppliers;
  private final OfferStore offers;
  private final AgeStore ages;
  private final AccountStore accounts;
  private final SetupStore tables;
  private final Catalogues catalogues;
  private final BookStore books;
  private final MergeStore parties;
  private final ConsignedCard consigned;
  private final ListingPage lists;
  private final Clock clock;

  SupplierController(
      SetUp setUp,
      SupplierStore suppliers,
      OfferStore offers,
      AgeStore ages,
      AccountStore accounts,
      SetupStore tables,
      Catalogues catalogues,
      BookStore books,
      MergeStore parties,
      ConsignedCard consigned,
      ListingPage lists,
      Clock clock) {
    this.setUp = setUp;
    this.suppliers = suppliers;
    this.offers = offers;
    this.ages = ages;
    this.accounts = accounts;
    this.tables = tables;
    this.catalogues = catalogues;
    this.books = books;
    this.parties = parties;
    this.consigned = consigned;
    this.lists = lists;
    this.clock = clock;
  }

  private SupplierStore.Card card(long id) {
    return suppliers.card(id).orElseThrow(() -> new NotThere("supplier " + id));
  }

  @GetMapping("/buy/supplier/{id:\\d+}")
  @Nullable String show(
      @PathVariable long id,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    long into = parties.find(id).map(MergeStore.Named::into).orElse(0L);
    if (into != 0) return "redirect:/buy/supplier/" + into;
    SupplierStore.Card card = card(id);
    model.addAttribute("names", parties.namesOf(id));
    AgeStore.Owed owed = ages.owed(Party.Kind.SUPPLIER, id, LocalDate.now(clock));
    model.addAttribute("card", card);
    model.addAttribute("owed", owed);
    model.addAttribute("ages", AgePicture.of(owed.parts(), 286, 60));
    model.addAttribute("toCome", offers.offers(PaperKind.RECEIPT, id));
    model.addAttribute(
        "toBill",
        offers.offers(PaperKind.BILL, id).stream()
            .filter(o -> !o.kind().is(Trait.ORDERS))
            .toList());
    model.addAttribute("credits", offers.offers(PaperKind.SUPPLIER_CREDIT, id));
    model.addAttribute(
        "accountName",
        accounts.all().stream()
            .filter(a -> a.id() == card.account())
            .map(Account::label)
            .findFirst()
            .orElse(""));
    model.addAttribute(
        "begins",
        List.of(
                PaperKind.PURCHASE_ORDER,
                PaperKind.RECEIPT,
                PaperKind.BILL,
                PaperKind.CONSIGNMENT_IN,
                PaperKind.SUPPLIER_PAYMENT)
            .stream()
            .filter(k -> May.write(request.getUserPrincipal(), k))
            .toList());
    consigned.ofSupplier(id, LocalDate.now(clock), model);
    model.addAttribute("maySettle", May.write(request.getUserPrincipal(), PaperKind.SETTLEMENT));
    return lists.show(PartyListings.ofParty(id), "buy/supplier", model, request, response);
  }

  @GetMapping("/buy/supplier/{id:\\d+}/items")
  @Nullable String items(
      @PathVariable long id,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    SupplierStore.Card card = card(id);
    model.addAttribute("card", card);
    return lists.show(
        BuyListings.supplierItems(id, books.book().coin()),
        "buy/supplier-items",
        model,
        request,
        response);
  }

  /** What a supplier calls one of our items. */
  @SetsUp
  @PostMapping("/buy/supplier/{id:\\d+}/items")
  String theirCode(
      @PathVariable long id,
      @RequestParam String item,
      @RequestParam String code,
      RedirectAttributes after) {
    var found = catalogues.open().item(item);
    if (found.isEmpty())
      after.addFlashAttribute("wrong", "No item has the code or name \"" + item + "\".");
    else if (code.length() > 60) after.addFlashAttribute("wrong", "A code may be 60 letters long.");
    else {
      suppliers.theirCode(card(id).id(), found.get().id(), code.strip());
      after.addFlashAttribute("told", "Kept.");
    }
    return "redirect:/buy/supplier/" + id + "/items";
  }

  @SetsUp
  @GetMapping("/buy/supplier/new")
  String begin(Model model) {
    return form(null, Map.of("terms", "30", "state", "on"), Map.of(), model);
  }

  @SetsUp
  @GetMapping("/buy/supplier/{id:\\d+}/change")
  String change(@PathVariable long id, Model model) {
    return form(id, fields(id), Map.of(), model);
  }

  private Map<String, String> fields(long id) {
    SupplierStore.Card card = card(id);
    Map<String, String> fields = new HashMap<>();
    fields.put("name", card.name());
    fields.put("terms", String.valueOf(card.termsDays()));
    fields.put("account", String.valueOf(card.account()));
    fields.put("tax", String.valueOf(card.taxRate()));
    fields.put("address", card.address());
    fields.put("email", card.email());
    fields.put("phone", card.phone());
    fields.put("tax_number", card.taxNumber());
    fields.put("notes", card.notes());
    fields.put("language", card.language());
    fields.put("state", card.active() ? "on" : "off");
    return fields;
  }

  private String form(
      @Nullable Long id, Map<String, String> fields, Map<String, String> faults, Model model) {
    model.addAttribute("id", id);
    model.addAttribute("shown", id == null ? "" : Shown.write(fields(id)));
    model.addAttribute("fields", fields);
    model.addAttribute("faults", faults);
    model.addAttribute(
        "accounts",
        accounts.all().stream().filter(a -> a.active() && !a.role().control()).toList());
    model.addAttribute("rates", tables.taxRatesInUse());
    model.addAttribute("languages", PaperWords.languages());
    return "buy/supplier-form";
  }

  @SetsUp
  @PostMapping({"/buy/supplier/new", "/buy/supplier/{id:\\d+}/change"})
  String save(
      @PathVariable(required = false) Long id,
      @RequestParam Map<String, String> typed,
      Model model,
      Principal who) {
    return setUp.alone(() -> kept(id, typed, model, who));
  }

  private String kept(Long id, Map<String, String> sent, Model model, Principal who) {
    Map<String, String> faults = new LinkedHashMap<>();
    Map<String, String> typed = id == null ? sent : Shown.merged(sent, fields(id), faults);
    Typed cells = new Typed(typed, faults);
    long usual = cells.id("account").orElse(0L);
    if (usual != 0
        && accounts.all().stream().noneMatch(a -> a.id() == usual && !a.role().control()))
      cells.fault("account", "An account that is no control account.");
    SupplierStore.Card card =
        new SupplierStore.Card(
            id == null ? 0 : id,
            cells.needed("name", 120, "What is it called? A name is enough."),
            cells.whole(
                "terms", 3, "Days from a bill's date until it is due: a number such as 30."),
            usual,
            cells.id("tax").orElse(0L),
            cells.text("address", 500),
            cells.text("email", 200),
            cells.text("phone", 60),
            cells.text("tax_number", 60),
            cells.text("notes", 2000),
            PaperWords.known(typed.getOrDefault("language", "")),
            cells.isOn("state"));
    if (!faults.isEmpty()) return form(id, typed, faults, model);
    Optional<Long> kept = suppliers.save(card, who.getName());
    if (kept.isPresent()) return "redirect:/buy/supplier/" + kept.get();
    faults.put("name", "There is a supplier called " + card.name() + " already.");
    return form(id, typed, faults, model);
  }
}
