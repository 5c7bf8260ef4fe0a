package zinctally.web.paper;

import java.io.IOException;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;
import zinctally.core.number.Coin;
import zinctally.core.number.Figures;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Trait;
import zinctally.store.book.BookStore;
import zinctally.store.buy.OrderStore;
import zinctally.store.buy.SupplierStore;
import zinctally.store.consign.ConsignStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.PaperText;
import zinctally.store.paper.PostedPaper;
import zinctally.store.sell.CustomerStore;
import zinctally.store.setup.LookStore;
import zinctally.web.shell.PdfPages;
import zinctally.web.shell.Say;

/** Papers to hand over as PDF: in the book's look and the customer's language. */
@Component
public class PaperPdf {
  private final PdfPages pages;
  private final Letter letter;

  private final BookStore books;

  private final LookStore looks;

  private final OrderStore orders;

  private final PaperText texts;

  private final PaperStore papers;

  private final SupplierStore suppliers;

  private final CustomerStore customers;

  private final ConsignStore consigned;
  private final Say say;

  PaperPdf(
      PdfPages pages,
      Letter letter,
      BookStore books,
      LookStore looks,
      OrderStore orders,
      PaperText texts,
      PaperStore papers,
      SupplierStore suppliers,
      CustomerStore customers,
      ConsignStore consigned,
      Say say) {
    this.pages = pages;
    this.letter = letter;
    this.books = books;
    this.looks = looks;
    this.orders = orders;
    this.texts = texts;
    this.papers = papers;
    this.suppliers = suppliers;
    this.customers = customers;
    this.consigned = consigned;
    this.say = say;
  }

  /** A posted paper as it is handed over. */
  byte[] handed(PostedPaper paper) throws IOException {
    return handed(paper, looks.look());
  }

  /** The same in a look that is not kept yet. */
  public byte[] handed(PostedPaper paper, LookStore.Look look) throws IOException {
    boolean buying = paper.kind().is(Trait.ORDERS) && paper.kind().isWith(Party.Kind.SUPPLIER);
    boolean settles = paper.kind().is(Trait.SETTLES);
    boolean ofSupplier = paper.kind().isWith(Party.Kind.SUPPLIER);
    Draft text = texts.read(paper.id(), paper.version(), paper.kind());
    Optional<CustomerStore.Card> customer =
        ofSupplier ? Optional.empty() : customers.card(paper.party());
    String language =
        customer
            .map(CustomerStore.Card::language)
            .or(() -> suppliers.card(paper.party()).map(SupplierStore.Card::language))
            .orElse("en");
    Context context = letter.context(look, language, paper.number());
    Words w = PaperWords.in(language);
    context.setVariable("paper", paper);
    context.setVariable("buying", buying);
    context.setVariable("noted", noted(paper.kind()));
    context.setVariable("in", new InWords(w));
    context.setVariable("priced", paper.kind().is(Trait.PRICED));
    boolean withTax = text.field("prices").equals("included");
    context.setVariable("withTax", withTax);
    context.setVariable("valued", valued(paper.kind()));
    context.setVariable("credits", paper.kind().is(Trait.VALUED) && !settles);
    context.setVariable("sold", settles ? consigned.soldFor(paper.id()) : Map.of());
    context.setVariable("notes", text.field("notes"));
    context.setVariable("codes", buying ? suppliers.codes(paper.party()) : Map.of());
    String address =
        ofSupplier
            ? suppliers.card(paper.party()).map(SupplierStore.Card::address).orElse("")
            : customer.map(CustomerStore.Card::address).orElse("");
    List<Letter.Fact> facts = new ArrayList<>();
    if (paper.kind().is(Trait.ACROSS)) {
      facts.add(new Letter.Fact(w.get("from"), List.of(Objects.requireNonNull(paper.place()))));
      facts.add(new Letter.Fact(w.get("to"), List.of(into(paper))));
    } else facts.add(new Letter.Fact(w.get("to"), Letter.named(paper.partyName(), address)));
    List<String> brought =
        buying && paper.place() != null
            ? List.of(paper.place())
            : Letter.lines(text.field("address"));
    if (!brought.isEmpty()) facts.add(new Letter.Fact(w.get("brought"), brought));
    facts.add(new Letter.Fact(w.get("date"), List.of(paper.date().toString())));
    if (paper.due() != null)
      facts.add(
          new Letter.Fact(
              w.get(paper.kind().side().isEmpty() ? "back" : "due"),
              List.of(paper.due().toString())));
    orders
        .head(paper.id())
        .map(OrderStore.Head::expected)
        .ifPresent(
            day ->
                facts.add(
                    new Letter.Fact(
                        w.get(buying ? "expected" : "wanted"), List.of(day.toString()))));
    if (!paper.reference().isEmpty())
      facts.add(new Letter.Fact(w.get("reference"), List.of(paper.reference())));
    if (!text.field("off").isEmpty())
      facts.add(new Letter.Fact(w.get("off"), List.of(text.field("off"))));
    facts.addAll(goesOnFrom(paper, w));
    context.setVariable("facts", Letter.inReadingOrder(w, facts));
    context.setVariable("taxes", taxes(paper, w));
    context.setVariable("toPay", toPay(paper, w));
    context.setVariable("paid", paid(paper, text, w));
    List<Letter.Column> columns = new ArrayList<>();
    if (look.shows("code"))
      columns.add(new Letter.Column("code", w.get(buying ? "theirs" : "code"), false));
    columns.add(new Letter.Column("item", w.get("item"), false));
    if (settles) columns.add(new Letter.Column("sold", w.get("sold.on"), false));
    columns.add(new Letter.Column("quantity", w.get("quantity"), true));
    if (settles) columns.add(new Letter.Column("soldfor", w.get("sold.for"), true));
    if (paper.kind().is(Trait.PRICED))
      columns.add(new Letter.Column("price", w.get("price"), true));
    if (paper.kind().is(Trait.PRICED) && look.shows("tax"))
      columns.add(new Letter.Column("tax", w.get("tax"), false));
    if (valued(paper.kind()))
      columns.add(
          new Letter.Column(
              "amount",
              books.book().coin().code() + (withTax ? ", " + w.get("with.tax") : ""),
              true));
    context.setVariable("columns", Letter.inReadingOrder(w, columns));
    return pages.of("paper/handed", context);
  }

  /** Where goods go that only go elsewhere. */
  private static String into(PostedPaper paper) {
    return paper.lines().stream()
        .map(PostedPaper.Line::place)
        .filter(Objects::nonNull)
        .findFirst()
        .orElse("");
  }

  /**
   * Whether what is written of a line is a note beside its item, and not what the item is called.
   */
  private static boolean noted(PaperKind kind) {
    return kind.side().isEmpty() || kind.is(Trait.OF_ANYONE) || kind.is(Trait.ACROSS);
  }

  /** Whether it says what things cost; goods that only go say nothing of it. */
  private static boolean valued(PaperKind kind) {
    return kind.is(Trait.PRICED) || kind.is(Trait.VALUED);
  }

  /** The order, delivery note or invoice that a paper goes on from, each under its name. */
  private List<Letter.Fact> goesOnFrom(PostedPaper paper, Words w) {
    Map<String, List<String>> earlier = new LinkedHashMap<>();
    papers
        .goesOnFrom(paper.id())
        .forEach(
            e ->
                Optional.ofNullable(w.get("of." + e.kind().name()))
                    .ifPresent(
                        label ->
                            earlier
                                .computeIfAbsent(label, l -> new ArrayList<>())
                                .add(e.number() + ", " + e.date())));
    return earlier.entrySet().stream()
        .map(e -> new Letter.Fact(e.getKey(), e.getValue().stream().limit(6).toList()))
        .toList();
  }

  /** Quantities and units in the paper's language. */
  public record InWords(Words words) {
    public String quantity(PostedPaper.Line line) {
      return PaperWords.quantity(words, line.quantity(), line.measure().rec20());
    }

    public String unit(PostedPaper.Line line) {
      return PaperWords.unit(words, line.unit());
    }
  }

  /** One way in which something was paid, or will be. */
  public record Paid(String words, String amount) {}

  /** Tax of one rate. */
  public record TaxSum(String words, String amount) {}

  /** Tax by rate: what it is on, and how much; empty where no line bears any. */
  private List<TaxSum> taxes(PostedPaper paper, Words w) {
    return paper.taxes().stream()
        .map(
            t ->
                new TaxSum(
                    w.get("tax")
                        + " "
                        + say.percent(t.percent())
                        + " "
                        + w.get("on")
                        + " "
                        + say.money(t.net()),
                    say.money(t.tax())))
        .toList();
  }

  /** How a counter sale was paid: each tender, what is due later, what came back of the cash. */
  private List<Paid> paid(PostedPaper paper, Draft text, Words w) {
    List<Paid> paid = new ArrayList<>();
    for (PostedPaper.Booking tender : paper.payments())
      paid.add(
          new Paid(
              w.getOrDefault("tender." + tender.memo(), tender.memo()),
              say.money(tender.amount())));
    if (paper.kind().is(Trait.COUNTER))
      for (PostedPaper.Due due : paper.dues())
        paid.add(new Paid(w.get("due") + " " + due.due(), say.money(due.amount())));
    long change = change(paper, text, books.book().coin());
    if (change > 0) paid.add(new Paid(w.get("change"), say.money(change)));
    return paid;
  }

  /** What was handed back of the cash that a counter sale's text says was given, minor units. */
  public static long change(PostedPaper sale, Draft text, Coin coin) {
    Optional<BigDecimal> given = Figures.in(text.form(), () -> Figures.read(text.field("cash")));
    if (given.isEmpty()) return 0;
    long taken =
        sale.payments().stream()
            .filter(p -> p.memo().equals("cash"))
            .mapToLong(PostedPaper.Booking::amount)
            .sum();
    return Math.max(0, coin.rounded(given.get()) - taken);
  }

  /** What is to be paid, by when and where to; null when nothing is. */
  private @Nullable String toPay(PostedPaper paper, Words w) {
    long open = paper.dues().stream().mapToLong(PostedPaper.Due::open).sum();
    if (!paper.kind().is(Trait.SELLS) || paper.kind().is(Trait.COUNTER) || open <= 0) return null;
    String bank = books.book().bank();
    return w.get("pay")
        + " "
        + books.book().coin().code()
        + " "
        + say.money(open)
        + (paper.due() == null ? "" : ", " + w.get("by") + " " + paper.due())
        + (bank.isEmpty() ? "" : ", " + w.get("payto") + " " + bank);
  }
}
