package zinctally.web.paper;

import jakarta.servlet.http.HttpServletRequest;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.security.Principal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.server.ResponseStatusException;
import zinctally.core.number.Coin;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Awaited;
import zinctally.core.papers.Awaits;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.units.Units;
import zinctally.store.book.BookCatalogue;
import zinctally.store.book.Catalogues;
import zinctally.store.buy.OfferStore;
import zinctally.store.buy.SupplierStore;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.PostedPaper;
import zinctally.store.paper.SavedDraft;
import zinctally.web.shell.May;
import zinctally.web.shell.NotThere;

/** Papers filled from the one before: receipts from orders, bills from receipts, payments. */
@Controller
class GoOnController {
  private final DraftStore drafts;
  private final PaperStore papers;
  private final OfferStore offers;
  private final Catalogues catalogues;
  private final Choices choices;
  private final SupplierStore suppliers;

  GoOnController(
      DraftStore drafts,
      PaperStore papers,
      OfferStore offers,
      Catalogues catalogues,
      Choices choices,
      SupplierStore suppliers) {
    this.drafts = drafts;
    this.papers = papers;
    this.offers = offers;
    this.catalogues = catalogues;
    this.choices = choices;
    this.suppliers = suppliers;
  }

  /** Takes all that an earlier paper waits for into a draft, below what is typed. */
  @PostMapping("/drafts/{id}/take/{paper}")
  String take(
      @PathVariable long id,
      @PathVariable String paper,
      HttpServletRequest request,
      Principal who) {
    SavedDraft saved = drafts.find(id).orElseThrow(() -> new NotThere("draft " + id));
    PaperKind kind = saved.draft().kind();
    if (!May.write(who, kind)) throw new ResponseStatusException(HttpStatus.FORBIDDEN);
    Draft typed = DraftController.typed(request, kind);
    boolean selling = kind == PaperKind.INVOICE;
    BookCatalogue book = catalogues.amending(saved.amends());
    List<OfferStore.Offer> offered =
        book.party(
                selling ? Party.Kind.CUSTOMER : Party.Kind.SUPPLIER,
                typed.field(selling ? "customer" : "supplier"))
            .map(p -> offers.offers(kind, p.id()))
            .orElse(List.of());
    List<Map<String, String>> rows = new ArrayList<>(typed.rows());
    while (!rows.isEmpty() && typed.blank(rows.size() - 1)) rows.remove(rows.size() - 1);
    int first = rows.size();
    for (OfferStore.Offer offer : offered)
      if (paper.equals("all") || paper.equals(String.valueOf(offer.paper())))
        rows.addAll(rows(kind, offer.number(), book));
    if (paper.equals("usual"))
      book.party(Party.Kind.SUPPLIER, typed.field("supplier"))
          .flatMap(p -> suppliers.card(p.id()))
          .filter(c -> c.account() != 0)
          .ifPresent(c -> rows.add(Map.of("item", book.account(c.account()).code())));
    drafts.save(id, new Draft(kind, typed.fields(), rows), who.getName());
    return "redirect:/drafts/" + id + "?at=" + first;
  }

  /** Begins a paper that goes on from a posted one. */
  @PostMapping("/papers/{id}/go-on/{slug}")
  String goOn(@PathVariable long id, @PathVariable String slug, Principal who) {
    PostedPaper paper = papers.find(id).orElseThrow(() -> new NotThere("paper " + id));
    PaperKind kind = PaperKind.ofSlug(slug);
    if (!May.write(who, kind) || paper.isVoid())
      throw new ResponseStatusException(HttpStatus.FORBIDDEN);
    Map<String, String> fields = new HashMap<>(choices.defaults(kind));
    fields.put(kind == PaperKind.INVOICE ? "customer" : "supplier", paper.partyName());
    if (paper.place() != null) fields.put("place", paper.place());
    BookCatalogue book = catalogues.open();
    List<Map<String, String>> rows =
        kind == PaperKind.SUPPLIER_PAYMENT
            ? payment(paper, fields, book.rules().coin())
            : rows(kind, paper.number(), book);
    return "redirect:/drafts/" + drafts.begin(new Draft(kind, fields, rows), who.getName());
  }

  private static List<Map<String, String>> payment(
      PostedPaper paper, Map<String, String> fields, Coin coin) {
    List<Map<String, String>> rows = new ArrayList<>();
    long sum = 0;
    for (PostedPaper.Due due : paper.dues()) {
      if (due.open() >= 0) continue;
      rows.add(Map.of("paper", due.number(), "amount", coin.plain(-due.open())));
      sum -= due.open();
    }
    fields.put("amount", coin.plain(sum));
    return rows;
  }

  private static List<Map<String, String>> rows(PaperKind kind, String number, BookCatalogue book) {
    if (kind == PaperKind.SUPPLIER_CREDIT) return List.of(Map.of("paper", number));
    List<Awaited> awaited = book.awaited(number);
    List<Map<String, String>> rows = new ArrayList<>();
    for (Awaited line : awaited) {
      if (!line.number().equalsIgnoreCase(number)) continue;
      long open = line.openQuantity();
      boolean receiving = kind == PaperKind.RECEIPT;
      boolean wanted =
          receiving
              ? line.what() == Awaits.ORDERED_GOODS || line.what() == Awaits.BILLED_GOODS
              : line.what() == Awaits.RECEIVED_BILL
                  || line.what() == Awaits.ORDERED_BILL
                  || line.what() == Awaits.PROMISED_INVOICE;
      if (!wanted) continue;
      if (line.what() == Awaits.ORDERED_BILL) open -= here(awaited, line.line());
      if (open <= 0) continue;
      Map<String, String> row = new HashMap<>();
      row.put("of", number);
      row.put("item", line.item().code());
      Units units = line.item().units();
      row.put("quantity", units.say(new Quantity(open)));
      if (!receiving) {
        row.put("price", price(line, row.get("quantity"), book.rules().coin()));
        if (line.rate() != null) row.put("tax", line.rate().code());
      }
      rows.add(row);
    }
    return rows;
  }

  /** Millionths of an order's line that have come and wait for their bill. */
  private static long here(List<Awaited> awaited, int line) {
    return awaited.stream()
        .filter(a -> a.what() == Awaits.RECEIVED_BILL && a.order().line() == line)
        .mapToLong(a -> Math.max(0, a.openQuantity()))
        .sum();
  }

  /** What is expected for one of the unit that the quantity is said in, without tax. */
  private static String price(Awaited line, String quantity, Coin coin) {
    boolean received = line.what() == Awaits.RECEIVED_BILL;
    if (!received && line.price() == null) return "";
    long value = received ? line.openValue() : line.net();
    long micros = received ? line.openQuantity() : line.quantity();
    Quantity size =
        line.item()
            .units()
            .read(quantity)
            .map(t -> t.unit().size())
            .orElse(new Quantity(Quantity.ONE));
    BigDecimal each =
        coin.decimal(value)
            .multiply(BigDecimal.valueOf(size.micros()))
            .divide(BigDecimal.valueOf(micros), 6, RoundingMode.HALF_UP)
            .stripTrailingZeros();
    return (each.scale() < coin.digits() ? each.setScale(coin.digits()) : each).toPlainString();
  }

  /** A posted paper by its number, as sentences name it. */
  @GetMapping("/papers/number/{number}")
  String byNumber(@PathVariable String number) {
    return papers
        .byNumber(number)
        .map(id -> "redirect:/papers/" + id)
        .orElseThrow(() -> new NotThere("paper " + number));
  }
}
