package zinctally.web.paper;

import jakarta.servlet.http.HttpServletRequest;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.security.Principal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.number.Coin;
import zinctally.core.number.Figures;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Trait;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Trading;
import zinctally.core.papers.trade.CounterSale;
import zinctally.store.book.BookCatalogue;
import zinctally.store.book.Catalogues;
import zinctally.store.buy.OfferStore;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.PostedPaper;
import zinctally.store.paper.SavedDraft;
import zinctally.store.sell.TillStore;
import zinctally.web.shell.ByKind;
import zinctally.web.shell.May;
import zinctally.web.shell.NotThere;

/** Papers filled from the one before: receipts from orders, bills from receipts, payments. */
@Controller
class GoOnController {
  private final DraftStore drafts;
  private final PaperStore papers;
  private final OpenBeside open;
  private final Catalogues catalogues;
  private final Heads heads;
  private final TillStore tills;
  private final TypedDraft sent;
  private final List<Followed> followed;

  GoOnController(
      DraftStore drafts,
      PaperStore papers,
      OpenBeside open,
      Catalogues catalogues,
      Heads heads,
      TillStore tills,
      TypedDraft sent,
      List<Followed> followed) {
    this.sent = sent;
    this.followed = followed;
    this.drafts = drafts;
    this.papers = papers;
    this.open = open;
    this.catalogues = catalogues;
    this.heads = heads;
    this.tills = tills;
  }

  /** Takes all that an earlier paper waits for into a draft, below what is typed. */
  @ByKind
  @PostMapping("/drafts/{id}/take/{paper}")
  String take(
      @PathVariable long id,
      @PathVariable String paper,
      HttpServletRequest request,
      Principal who,
      RedirectAttributes after) {
    SavedDraft saved = drafts.find(id).orElseThrow(() -> new NotThere("draft " + id));
    PaperKind kind = saved.draft().kind();
    Figures.use(saved.draft().form());
    May.must(May.write(who, saved));
    Draft typed = sent.read(request, saved);
    BookCatalogue book = catalogues.amending(saved.amends());
    List<Map<String, String>> rows = new ArrayList<>(typed.typedRows());
    int first = rows.size();
    for (OfferStore.Offer offer : open.offers(typed, book))
      if (paper.equals("all") || paper.equals(String.valueOf(offer.paper())))
        rows.addAll(rows(typed, offer.number(), book));
    if (paper.equals("usual"))
      open.filling(typed, book).ifPresent(filling -> rows.addAll(filling.rows()));
    Draft taken = new Draft(kind, typed.fields(), rows);
    long into =
        drafts
            .save(id, taken, Windows.seen(request), who.getName())
            .map(SavedDraft::id)
            .orElseGet(() -> apart(taken, saved, who, after));
    return "redirect:/drafts/" + into + "?at=" + first;
  }

  private long apart(Draft taken, SavedDraft there, Principal who, RedirectAttributes after) {
    after.addFlashAttribute(
        "told",
        "This draft was changed in another window meanwhile; what stood here is a draft of its own.");
    return drafts.begin(taken, there.amends(), there.amendsVersion(), who.getName());
  }

  /** Begins a paper that goes on from a posted one. */
  @ByKind
  @PostMapping("/papers/{id}/go-on/{slug}")
  String goOn(
      @PathVariable long id,
      @PathVariable String slug,
      @RequestParam(defaultValue = "with") String goods,
      Principal who,
      RedirectAttributes after) {
    PostedPaper paper = papers.find(id).orElseThrow(() -> new NotThere("paper " + id));
    PaperKind kind = PaperKind.ofSlug(slug);
    May.must(May.write(who, kind) && !paper.isVoid());
    Optional<Followed> by = followed.stream().filter(f -> f.begins(paper, kind)).findFirst();
    if (by.isPresent()) return begun(by.get().from(paper, kind), paper, who, after);
    Map<String, String> fields = new HashMap<>(heads.defaults(kind));
    kind.side().ifPresent(side -> fields.put(side.field(), paper.partyName()));
    if (paper.place() != null) fields.put("place", paper.place());
    fields.put("goods", goods);
    if (kind.isWith(Party.Kind.CUSTOMER)) fields.put("reference", paper.reference());
    if (kind.is(Trait.COUNTER) && !exchange(paper, fields, who.getName())) {
      after.addFlashAttribute("wrong", "Your till is not open; open it at the counter first.");
      return "redirect:/papers/" + id;
    }
    BookCatalogue book = catalogues.open();
    List<Map<String, String>> rows =
        kind.is(Trait.PAYS)
            ? payment(paper, fields, book.rules().coin())
            : rows(new Draft(kind, fields, List.of()), paper.number(), book);
    if (goesUninvoiced(kind) && rows.isEmpty()) {
      after.addFlashAttribute(
          "wrong", "None of it is at " + fields.get("place") + " now; To deliver says what comes.");
      return "redirect:/papers/" + id;
    }
    return "redirect:/drafts/" + drafts.begin(new Draft(kind, fields, rows), who.getName());
  }

  private String begun(
      List<Draft> all, PostedPaper paper, Principal who, RedirectAttributes after) {
    if (all.isEmpty()) {
      after.addFlashAttribute("wrong", "Nothing is left to do of " + paper.number() + ".");
      return "redirect:/papers/" + paper.id();
    }
    List<Long> begun = all.stream().map(d -> drafts.begin(d, who.getName())).toList();
    if (begun.size() > 1)
      after.addFlashAttribute(
          "told", "This is one of " + begun.size() + " drafts; the others are on the Day page.");
    return "redirect:/drafts/" + begun.get(0);
  }

  /** Pays for other goods with what came back, over an open till; false when none is. */
  private boolean exchange(PostedPaper back, Map<String, String> fields, String login) {
    Optional<TillStore.Till> till = tills.of(login);
    if (till.isEmpty()) return false;
    fields.put("place", till.get().place());
    back.dues().stream()
        .filter(d -> d.open() < 0)
        .findFirst()
        .ifPresent(d -> fields.put("credit", d.number()));
    if (back.partyName().equals(CounterSale.NOBODY)) fields.remove("customer");
    return true;
  }

  /** Goods leave before anybody is asked for money: only what is here can go. */
  private static boolean goesUninvoiced(PaperKind kind) {
    return kind.is(Trait.SENDS) && !kind.is(Trait.PRICED);
  }

  private static List<Map<String, String>> payment(
      PostedPaper paper, Map<String, String> fields, Coin coin) {
    List<Map<String, String>> rows = new ArrayList<>();
    long sum = 0;
    for (PostedPaper.Due due : paper.dues()) {
      if (due.open() == 0) continue;
      String name = paper.dues().size() == 1 ? paper.number() : due.number();
      rows.add(Map.of("paper", name, "amount", coin.plain(Math.abs(due.open()))));
      sum += Math.abs(due.open());
    }
    fields.put("amount", coin.plain(sum));
    return rows;
  }

  /** Of goods to send, as many as are at the place, lots that expire first before others. */
  private List<Map<String, String>> rows(Draft into, String number, BookCatalogue book) {
    PaperKind kind = into.kind();
    boolean withTax = "included".equals(into.field("prices"));
    if (Trading.broughtBy(kind).isEmpty() && !kind.is(Trait.SELLS))
      return List.of(Map.of("paper", number));
    List<Awaited> awaited =
        book.awaited(number).stream()
            .filter(line -> Trading.broughtBy(kind).contains(line.what()))
            .toList();
    Picked picked = new Picked(book, into.field("place"));
    List<Map<String, String>> rows = new ArrayList<>();
    for (Awaited line : awaited) {
      if (!line.number().equalsIgnoreCase(number)) continue;
      long open = line.openQuantity() - moved(awaited, line);
      Map<String, String> row = new HashMap<>();
      if (goesUninvoiced(kind)) {
        open = picked.take(line.item(), open, line.order().paper());
        row.put("numbers", picked.lots(line.item(), open));
      }
      if (open <= 0) continue;
      row.put("of", number);
      row.put("item", line.item().code());
      row.put("quantity", line.item().units().typed(new Quantity(open)));
      if (kind.is(Trait.PRICED)) {
        row.put("price", price(line, row.get("quantity"), withTax, book.rules().coin()));
        if (line.rate() != null) row.put("tax", line.rate().code());
      }
      rows.add(row);
    }
    return rows;
  }

  /** Millionths of an order's line that have moved and wait for their bill or invoice. */
  private static long moved(List<Awaited> awaited, Awaited ordered) {
    if (ordered.what() != Awaits.ORDERED_BILL && ordered.what() != Awaits.PROMISED_INVOICE)
      return 0;
    return awaited.stream()
        .filter(a -> a.what() == Awaits.RECEIVED_BILL || a.what() == Awaits.SENT_INVOICE)
        .filter(a -> a.order().line() == ordered.line())
        .mapToLong(a -> Math.max(0, a.openQuantity()))
        .sum();
  }

  /** What is expected for one of the unit that the quantity is said in. */
  private static String price(Awaited line, String quantity, boolean withTax, Coin coin) {
    boolean sent = line.what() == Awaits.SENT_INVOICE;
    boolean received = line.what() == Awaits.RECEIVED_BILL;
    if (sent ? line.order().paper() == 0 : !received && line.price() == null) return "";
    long net = sent ? line.order().net() : received ? line.openValue() : line.net();
    long value = withTax && line.rate() != null ? net + line.rate().onNet(net) : net;
    long micros = sent ? line.order().quantity() : received ? line.openQuantity() : line.quantity();
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
    return Figures.plain(each.scale() < coin.digits() ? each.setScale(coin.digits()) : each);
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
