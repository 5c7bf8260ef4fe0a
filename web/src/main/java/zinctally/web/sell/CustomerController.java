package zinctally.web.sell;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.math.BigDecimal;
import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zinctally.core.number.Coin;
import zinctally.core.number.Figures;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Trait;
import zinctally.store.book.BookStore;
import zinctally.store.book.SetUp;
import zinctally.store.buy.OfferStore;
import zinctally.store.listing.PartyListings;
import zinctally.store.parties.MergeStore;
import zinctally.store.prove.AgeStore;
import zinctally.store.sell.CustomerStore;
import zinctally.store.sell.PriceStore;
import zinctally.store.sell.StatementStore;
import zinctally.store.setup.SetupStore;
import zinctally.web.consign.ConsignedCard;
import zinctally.web.listing.ListingPage;
import zinctally.web.paper.AccountPdf;
import zinctally.web.paper.PaperWords;
import zinctally.web.picture.AgePicture;
import zinctally.web.shell.AtDate;
import zinctally.web.shell.May;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.SetsUp;
import zinctally.web.shell.Shown;
import zinctally.web.shell.Typed;

/** A customer's card: what is known of them, what is open with them, their papers, a statement. */
@Controller
class CustomerController {
  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);
  private final SetUp setUp;
  private final CustomerStore customers;
  private final OfferStore offers;
  private final AgeStore ages;
  private final PriceStore prices;
  private final SetupStore setup;
  private final StatementStore statements;
  private final AccountPdf pdfs;
  private final BookStore books;
  private final MergeStore parties;
  private final ConsignedCard consigned;
  private final ListingPage lists;
  private final Clock clock;

  CustomerController(
      SetUp setUp,
      CustomerStore customers,
      OfferStore offers,
      AgeStore ages,
      PriceStore prices,
      SetupStore setup,
      StatementStore statements,
      AccountPdf pdfs,
      BookStore books,
      MergeStore parties,
      ConsignedCard consigned,
      ListingPage lists,
      Clock clock) {
    this.setUp = setUp;
    this.customers = customers;
    this.offers = offers;
    this.ages = ages;
    this.prices = prices;
    this.setup = setup;
    this.statements = statements;
    this.pdfs = pdfs;
    this.books = books;
    this.parties = parties;
    this.consigned = consigned;
    this.lists = lists;
    this.clock = clock;
  }

  private CustomerStore.Card card(long id) {
    return customers.card(id).orElseThrow(() -> new NotThere("customer " + id));
  }

  @GetMapping("/sell/customer/{id:\\d+}")
  @Nullable String show(
      @PathVariable long id,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    long into = parties.find(id).map(MergeStore.Named::into).orElse(0L);
    if (into != 0) return "redirect:/sell/customer/" + into;
    CustomerStore.Card card = card(id);
    model.addAttribute("names", parties.namesOf(id));
    LocalDate today = LocalDate.now(clock);
    AgeStore.Owed owed = ages.owed(Party.Kind.CUSTOMER, id, today);
    model.addAttribute("card", card);
    model.addAttribute("owed", owed);
    model.addAttribute("ages", AgePicture.of(owed.parts(), 286, 60));
    model.addAttribute("toGo", offers.offers(PaperKind.DELIVERY, id));
    model.addAttribute(
        "toInvoice",
        offers.offers(PaperKind.INVOICE, id).stream()
            .filter(o -> !o.kind().is(Trait.ORDERS))
            .toList());
    model.addAttribute(
        "listName",
        prices.lists().stream()
            .filter(l -> card.priceList() == 0 || l.id() == card.priceList())
            .map(PriceStore.PriceList::name)
            .findFirst()
            .orElse(""));
    model.addAttribute("taxName", rateName(card.taxRate()));
    model.addAttribute("from", today.withDayOfMonth(1).minusMonths(2));
    model.addAttribute("to", today);
    model.addAttribute(
        "begins",
        List.of(
                PaperKind.SALES_ORDER,
                PaperKind.DELIVERY,
                PaperKind.INVOICE,
                PaperKind.CUSTOMER_PAYMENT)
            .stream()
            .filter(k -> May.write(request.getUserPrincipal(), k))
            .toList());
    consigned.ofCustomer(id, model);
    return lists.show(PartyListings.ofParty(id), "sell/customer", model, request, response);
  }

  private String rateName(long rate) {
    return setup.taxRates().stream()
        .filter(r -> r.id() == rate)
        .map(r -> r.code() + ", " + r.name())
        .findFirst()
        .orElse("");
  }

  /** What was owed, charged and paid between two days, to hand over. */
  @GetMapping("/sell/customer/{id:\\d+}/statement")
  ResponseEntity<byte[]> statement(
      @PathVariable long id,
      @RequestParam(defaultValue = "") String from,
      @RequestParam(defaultValue = "") String to,
      Model model)
      throws IOException {
    CustomerStore.Card card = card(id);
    LocalDate last = AtDate.read(to, clock, model);
    LocalDate first = from.isEmpty() ? last.withDayOfMonth(1) : AtDate.read(from, clock, model);
    if (first.isAfter(last)) first = last.withDayOfMonth(1);
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_PDF)
        .headers(
            h ->
                h.setContentDisposition(
                    ContentDisposition.inline().filename("statement-" + id + ".pdf").build()))
        .body(pdfs.statement(card, statements.of(id, first, last)));
  }

  @SetsUp
  @GetMapping("/sell/customer/new")
  String begin(Model model) {
    return form(null, Map.of("terms", "30", "state", "on"), Map.of(), model);
  }

  @SetsUp
  @GetMapping("/sell/customer/{id:\\d+}/change")
  String change(@PathVariable long id, Model model) {
    return form(id, fields(id), Map.of(), model);
  }

  private Map<String, String> fields(long id) {
    CustomerStore.Card card = card(id);
    Map<String, String> fields = new HashMap<>();
    fields.put("name", card.name());
    fields.put("terms", String.valueOf(card.termsDays()));
    fields.put("list", String.valueOf(card.priceList()));
    fields.put("discount", card.discount().signum() == 0 ? "" : Figures.plain(card.discount()));
    fields.put(
        "limit", card.creditLimit() == null ? "" : books.book().coin().plain(card.creditLimit()));
    fields.put("tax", String.valueOf(card.taxRate()));
    fields.put("address", card.address());
    fields.put("places", card.places());
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
    model.addAttribute("lists", prices.lists());
    model.addAttribute("languages", PaperWords.languages());
    model.addAttribute("rates", setup.taxRatesInUse());
    return "sell/customer-form";
  }

  @SetsUp
  @PostMapping({"/sell/customer/new", "/sell/customer/{id:\\d+}/change"})
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
    Coin coin = books.book().coin();
    CustomerStore.Card card =
        new CustomerStore.Card(
            id == null ? 0 : id,
            cells.needed("name", 120, "What are they called? A name is enough."),
            cells.whole(
                "terms", 3, "Days from an invoice's date until it is due: a number such as 30."),
            cells.id("list").orElse(0L),
            cells
                .number(
                    "discount",
                    12,
                    Typed.amount(3, 4).and(percent -> percent.compareTo(HUNDRED) <= 0),
                    "Percent off every price, between 0 and 100.")
                .orElse(BigDecimal.ZERO),
            cells
                .number(
                    "limit",
                    20,
                    Typed.amount(12, coin.digits()),
                    "An amount such as 1500, or nothing for no limit.")
                .map(coin::minor)
                .orElse(null),
            cells.id("tax").orElse(0L),
            cells.text("address", 500),
            cells.text("places", 2000),
            cells.text("email", 200),
            cells.text("phone", 60),
            cells.text("tax_number", 60),
            cells.text("notes", 2000),
            PaperWords.known(typed.getOrDefault("language", "")),
            cells.isOn("state"));
    if (!faults.isEmpty()) return form(id, typed, faults, model);
    Optional<Long> kept = customers.save(card, who.getName());
    if (kept.isPresent()) return "redirect:/sell/customer/" + kept.get();
    faults.put("name", "There is a customer called " + card.name() + " already.");
    return form(id, typed, faults, model);
  }
}
