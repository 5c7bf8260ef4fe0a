package zinctally.web.paper;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import zinctally.core.ledger.Account;
import zinctally.store.goods.ItemStore;
import zinctally.store.ledger.AccountStore;
import zinctally.store.people.PeopleStore;
import zinctally.store.sell.CustomerStore;
import zinctally.store.setup.SetupStore;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.Say;

/** What could be meant by the letters typed so far. */
@Controller
class SuggestController {
  private static final int MOST = 8;
  private final ItemStore items;
  private final AccountStore accounts;
  private final SetupStore setup;
  private final PeopleStore people;
  private final CustomerStore customers;
  private final Say say;

  SuggestController(
      ItemStore items,
      AccountStore accounts,
      SetupStore setup,
      PeopleStore people,
      CustomerStore customers,
      Say say) {
    this.people = people;
    this.customers = customers;
    this.items = items;
    this.accounts = accounts;
    this.setup = setup;
    this.say = say;
  }

  /**
   * @param value goes into the cell
   */
  record Offer(String value, String words, String aside) {
    static Offer of(String value) {
      return new Offer(value, value, "");
    }
  }

  @GetMapping("/suggest/{source}")
  String suggest(
      @PathVariable String source, @RequestParam(defaultValue = "") String q, Model model) {
    String typed = q.strip();
    model.addAttribute(
        "offers", offers(source, typed.length() > 80 ? typed.substring(0, 80) : typed));
    return "paper/offers";
  }

  private List<Offer> offers(String source, String typed) {
    return switch (source) {
      case "item" ->
          items.search(typed, MOST).stream()
              .map(
                  f ->
                      new Offer(
                          f.code(),
                          f.name(),
                          f.code() + ", " + say.quantity(f.onHand()) + " " + f.unit() + " here"))
              .toList();
      case "account" ->
          like(
              typed,
              accounts.all().stream()
                  .filter(Account::active)
                  .map(a -> new Offer(a.code(), a.name(), a.code() + ", " + a.kind().words())));
      case "came" -> papers(typed, "BILL", "RECEIPT");
      case "ordered" -> papers(typed, "PURCHASE_ORDER", "BILL");
      case "received" -> papers(typed, "RECEIPT", "PURCHASE_ORDER");
      case "returned" -> papers(typed, "SUPPLIER_RETURN");
      case "invoice" -> papers(typed, "INVOICE", "COUNTER_SALE", "DELIVERY");
      case "credit" ->
          customers.credits(typed, MOST).stream()
              .map(
                  c ->
                      new Offer(
                          c.number(),
                          c.number(),
                          c.date() + ", " + c.customer() + ", " + say.money(c.open()) + " open"))
              .toList();
      case "seller" ->
          like(
              typed,
              people.all().stream()
                  .filter(p -> p.active() && !p.initials().isEmpty())
                  .map(p -> new Offer(p.initials(), p.name(), p.initials())));
      case "goes" ->
          like(
              typed,
              Stream.concat(
                  setup.places().stream().map(p -> new Offer(p, p, "a place")),
                  setup.reasons().stream()
                      .filter(SetupStore.Row::active)
                      .map(r -> new Offer(r.name(), r.name(), "written off"))));
      case "to-send" -> papers(typed, "SALES_ORDER", "INVOICE");
      case "sent" -> papers(typed, "DELIVERY", "SALES_ORDER");
      case "return-reason" -> rows(typed, setup.returnReasons());
      case "place" -> like(typed, setup.places().stream().map(Offer::of));
      case "supplier" -> parties("SUPPLIER", typed);
      case "customer" -> parties("CUSTOMER", typed);
      case "open" -> open(typed);
      case "party" -> setup.parties("", typed, MOST).stream().map(Offer::of).toList();
      case "reason" -> rows(typed, setup.reasons());
      case "tax" ->
          like(
              typed,
              setup.taxRates().stream()
                  .filter(SetupStore.Row::active)
                  .map(
                      t ->
                          new Offer(
                              t.code(), t.name(), say.percent(t.percent().stripTrailingZeros()))));
      case "side" ->
          like(
              typed,
              Stream.of("bill", "invoice", "supplier credit", "customer credit").map(Offer::of));
      default -> throw new NotThere("suggestions for " + source);
    };
  }

  /** Those there are first; making a new one is a choice, the last. */
  private List<Offer> parties(String kind, String typed) {
    List<Offer> offers =
        new ArrayList<>(setup.parties(kind, typed, MOST).stream().map(Offer::of).toList());
    boolean there = offers.stream().anyMatch(o -> o.value.equalsIgnoreCase(typed));
    if (!typed.isEmpty() && !there)
      offers.add(new Offer(typed, "New: " + typed, "a new " + kind.toLowerCase(Locale.ROOT)));
    return offers;
  }

  /** Bills and invoices that something is still open of. */
  private List<Offer> open(String typed) {
    return setup.openPapers(typed, MOST).stream()
        .map(p -> new Offer(p.number(), p.number(), p.date() + ", " + p.who() + p.reference()))
        .toList();
  }

  private static List<Offer> rows(String typed, List<SetupStore.Row> rows) {
    return like(typed, rows.stream().filter(SetupStore.Row::active).map(r -> Offer.of(r.name())));
  }

  /** Those whose value or words hold the letters; a value that begins with them comes first. */
  private static List<Offer> like(String typed, Stream<Offer> offers) {
    String letters = typed.toLowerCase(Locale.ROOT);
    return offers
        .filter(o -> (o.value + " " + o.words).toLowerCase(Locale.ROOT).contains(letters))
        .sorted(
            Comparator.comparing(
                (Offer o) -> !o.value.toLowerCase(Locale.ROOT).startsWith(letters)))
        .limit(MOST)
        .toList();
  }

  private List<Offer> papers(String typed, String... kinds) {
    return setup.papers(List.of(kinds), typed, MOST).stream()
        .map(p -> new Offer(p.number(), p.number(), p.date() + ", " + p.who() + p.reference()))
        .toList();
  }
}
