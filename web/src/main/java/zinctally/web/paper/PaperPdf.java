package zinctally.web.paper;

import java.io.IOException;
import java.math.BigDecimal;
import java.text.Bidi;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;
import zinctally.core.number.Coin;
import zinctally.core.number.Figures;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.PaperKind.Trait;
import zinctally.core.papers.Party;
import zinctally.store.book.BookStore;
import zinctally.store.buy.OrderStore;
import zinctally.store.buy.SupplierStore;
import zinctally.store.goods.LotStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.PaperText;
import zinctally.store.paper.PostedPaper;
import zinctally.store.sell.CustomerStore;
import zinctally.store.sell.ReminderStore;
import zinctally.store.sell.StatementStore;
import zinctally.store.setup.LookStore;
import zinctally.web.shell.PdfPages;
import zinctally.web.shell.Say;

/** Papers to hand over as PDF: in the book's look and the customer's language. */
@Component
public class PaperPdf {
  private final PdfPages pages;
  private final BookStore books;
  private final LookStore looks;
  private final OrderStore orders;
  private final PaperText texts;
  private final PaperStore papers;
  private final SupplierStore suppliers;
  private final CustomerStore customers;
  private final Say say;

  PaperPdf(
      PdfPages pages,
      BookStore books,
      LookStore looks,
      OrderStore orders,
      PaperText texts,
      PaperStore papers,
      SupplierStore suppliers,
      CustomerStore customers,
      Say say) {
    this.pages = pages;
    this.books = books;
    this.looks = looks;
    this.orders = orders;
    this.texts = texts;
    this.papers = papers;
    this.suppliers = suppliers;
    this.customers = customers;
    this.say = say;
  }

  /** A posted paper as it is handed over. */
  byte[] handed(PostedPaper paper) throws IOException {
    return handed(paper, looks.look());
  }

  /** The same in a look that is not kept yet. */
  public byte[] handed(PostedPaper paper, LookStore.Look look) throws IOException {
    boolean buying = paper.kind().is(Trait.ORDERS) && paper.kind().isWith(Party.Kind.SUPPLIER);
    Draft text = texts.read(paper.id(), paper.version(), paper.kind());
    Optional<CustomerStore.Card> customer =
        buying ? Optional.empty() : customers.card(paper.party());
    String language = customer.map(CustomerStore.Card::language).orElse("en");
    Context context = context(look, language, paper.number());
    Map<String, String> w = PaperWords.in(language);
    context.setVariable("paper", paper);
    context.setVariable("buying", buying);
    context.setVariable("in", new InWords(w));
    context.setVariable("priced", paper.kind().is(Trait.PRICED));
    boolean withTax = text.field("prices").equals("included");
    context.setVariable("withTax", withTax);
    context.setVariable("valued", valued(paper.kind()));
    context.setVariable("credits", paper.kind().is(Trait.VALUED));
    context.setVariable("notes", text.field("notes"));
    context.setVariable("codes", buying ? suppliers.codes(paper.party()) : Map.of());
    String address =
        buying
            ? suppliers.card(paper.party()).map(SupplierStore.Card::address).orElse("")
            : customer.map(CustomerStore.Card::address).orElse("");
    List<Fact> facts = new ArrayList<>();
    facts.add(new Fact(w.get("to"), named(paper.partyName(), address)));
    List<String> brought =
        buying && paper.place() != null ? List.of(paper.place()) : lines(text.field("address"));
    if (!brought.isEmpty()) facts.add(new Fact(w.get("brought"), brought));
    facts.add(new Fact(w.get("date"), List.of(paper.date().toString())));
    if (paper.due() != null) facts.add(new Fact(w.get("due"), List.of(paper.due().toString())));
    orders
        .head(paper.id())
        .map(OrderStore.Head::expected)
        .ifPresent(
            day ->
                facts.add(
                    new Fact(w.get(buying ? "expected" : "wanted"), List.of(day.toString()))));
    if (!paper.reference().isEmpty())
      facts.add(new Fact(w.get("reference"), List.of(paper.reference())));
    if (!text.field("off").isEmpty()) facts.add(new Fact(w.get("off"), List.of(text.field("off"))));
    facts.addAll(goesOnFrom(paper, w));
    context.setVariable("facts", inReadingOrder(w, facts));
    context.setVariable("taxes", taxes(paper, w));
    context.setVariable("toPay", toPay(paper, w));
    context.setVariable("paid", paid(paper, text, w));
    List<Column> columns = new ArrayList<>();
    if (look.shows("code"))
      columns.add(new Column("code", w.get(buying ? "theirs" : "code"), false));
    columns.add(new Column("item", w.get("item"), false));
    columns.add(new Column("quantity", w.get("quantity"), true));
    if (paper.kind().is(Trait.PRICED)) columns.add(new Column("price", w.get("price"), true));
    if (paper.kind().is(Trait.PRICED) && look.shows("tax"))
      columns.add(new Column("tax", w.get("tax"), false));
    if (valued(paper.kind()))
      columns.add(
          new Column(
              "amount",
              books.book().coin().code() + (withTax ? ", " + w.get("with.tax") : ""),
              true));
    context.setVariable("columns", inReadingOrder(w, columns));
    return pages.of("paper/handed", context);
  }

  /** Whether it says what things cost; goods that only go say nothing of it. */
  private static boolean valued(PaperKind kind) {
    return !kind.is(Trait.SENDS) || kind.is(Trait.SELLS);
  }

  /** The order, delivery note or invoice that a paper goes on from, each under its name. */
  private List<Fact> goesOnFrom(PostedPaper paper, Map<String, String> w) {
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
        .map(e -> new Fact(e.getKey(), e.getValue().stream().limit(6).toList()))
        .toList();
  }

  /** Quantities and units in the paper's language. */
  public record InWords(Map<String, String> words) {
    public String quantity(PostedPaper.Line line) {
      return PaperWords.quantity(words, line.quantity(), line.measure().rec20());
    }

    public String unit(PostedPaper.Line line) {
      return PaperWords.unit(words, line.unit());
    }
  }

  /** A payment as its payer or payee is told of it: what it settles, and what is left over. */
  byte[] payment(PostedPaper paper, List<PaperStore.Settled> settles) throws IOException {
    boolean received = paper.kind().isWith(Party.Kind.CUSTOMER);
    Optional<CustomerStore.Card> customer =
        received ? customers.card(paper.party()) : Optional.empty();
    String address =
        received
            ? customer.map(CustomerStore.Card::address).orElse("")
            : suppliers.card(paper.party()).map(SupplierStore.Card::address).orElse("");
    String language = customer.map(CustomerStore.Card::language).orElse("en");
    Context context = context(looks.look(), language, paper.number());
    Map<String, String> w = PaperWords.in(language);
    context.setVariable("heading", w.get(paper.kind().name()) + " " + paper.number());
    context.setVariable("words", looks.look().words(paper.kind().name()));
    List<Fact> facts = new ArrayList<>();
    facts.add(new Fact(w.get("to"), named(paper.partyName(), address)));
    facts.add(new Fact(w.get("date"), List.of(paper.date().toString())));
    if (!paper.reference().isEmpty())
      facts.add(new Fact(w.get("reference"), List.of(paper.reference())));
    context.setVariable("facts", inReadingOrder(w, facts));
    context.setVariable(
        "columns",
        inReadingOrder(
            w,
            List.of(
                new Column("paper", w.get("paid"), false),
                new Column("date", w.get("date"), false),
                new Column("amount", w.get("amount") + ", " + books.book().coin().code(), true))));
    List<Map<String, String>> rows = new ArrayList<>();
    long left = paper.total();
    for (PaperStore.Settled settled : settles) {
      left -= settled.amount();
      String theirs = settled.named().isEmpty() ? "" : ", " + settled.named();
      rows.add(paid(settled.number() + theirs, settled.dated().toString(), settled.amount()));
    }
    if (left != 0) rows.add(paid(w.get("ahead"), "", left));
    rows.add(paid(w.get("total"), "", paper.total()));
    context.setVariable("rows", rows);
    return pages.of("paper/account", context);
  }

  private Map<String, String> paid(String paper, String date, long amount) {
    return Map.of("paper", paper, "date", date, "amount", say.money(amount));
  }

  /** One way in which something was paid, or will be. */
  public record Paid(String words, String amount) {}

  /** Tax of one rate. */
  public record TaxSum(String words, String amount) {}

  /** Tax by rate: what it is on, and how much; empty where no line bears any. */
  private List<TaxSum> taxes(PostedPaper paper, Map<String, String> w) {
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
  private List<Paid> paid(PostedPaper paper, Draft text, Map<String, String> w) {
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
  private String toPay(PostedPaper paper, Map<String, String> w) {
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

  /** What a customer owed, was charged and paid. */
  public byte[] statement(CustomerStore.Card card, StatementStore.Statement statement)
      throws IOException {
    Context context = context(looks.look(), card.language(), card.name());
    Map<String, String> w = PaperWords.in(card.language());
    context.setVariable("heading", w.get("STATEMENT"));
    context.setVariable("words", "");
    context.setVariable(
        "facts",
        inReadingOrder(
            w,
            List.of(
                new Fact(w.get("to"), named(card.name(), card.address())),
                new Fact(
                    w.get("date"),
                    List.of(statement.from() + " " + w.get("until") + " " + statement.to())))));
    context.setVariable(
        "columns",
        inReadingOrder(
            w,
            List.of(
                new Column("date", w.get("date"), false),
                new Column("paper", w.get("paper"), false),
                new Column("amount", w.get("amount"), true),
                new Column("owed", w.get("owed") + ", " + books.book().coin().code(), true))));
    List<Map<String, String>> rows = new ArrayList<>();
    rows.add(row(statement.from(), w.get("before"), "", say.money(statement.before())));
    for (StatementStore.Line line : statement.lines())
      rows.add(
          row(
              line.date(),
              line.number() + (line.reference().isEmpty() ? "" : ", " + line.reference()),
              say.money(line.amount()),
              say.money(line.after())));
    rows.add(row(statement.to(), w.get("after"), "", say.money(statement.after())));
    context.setVariable("rows", rows);
    return pages.of("paper/account", context);
  }

  /** What a customer owes past its date. */
  public byte[] reminder(CustomerStore.Card card, ReminderStore.Reminder reminder)
      throws IOException {
    Context context = context(looks.look(), card.language(), card.name());
    Map<String, String> w = PaperWords.in(card.language());
    context.setVariable("heading", w.get("REMINDER"));
    context.setVariable("words", reminder.words());
    context.setVariable(
        "facts",
        inReadingOrder(w, List.of(new Fact(w.get("to"), named(card.name(), card.address())))));
    context.setVariable(
        "columns",
        inReadingOrder(
            w,
            List.of(
                new Column("paper", w.get("paper"), false),
                new Column("date", w.get("date"), false),
                new Column("due", w.get("due"), false),
                new Column("open", w.get("owed") + ", " + books.book().coin().code(), true))));
    List<Map<String, String>> rows = new ArrayList<>();
    for (ReminderStore.Due due : reminder.dues())
      rows.add(
          Map.of(
              "paper", due.number(),
              "date", due.date().toString(),
              "due", due.due().toString(),
              "open", say.money(due.open())));
    rows.add(
        Map.of("paper", w.get("total"), "date", "", "due", "", "open", say.money(reminder.sum())));
    context.setVariable("rows", rows);
    return pages.of("paper/account", context);
  }

  /** Where a numbered piece came from and whom it went to; no cost stands on it. */
  public byte[] slip(LotStore.Card piece) throws IOException {
    Optional<LotStore.Step> came =
        piece.steps().stream().filter(s -> s.quantity() > 0 && !s.takenBack()).findFirst();
    Optional<LotStore.Step> went =
        piece.steps().stream()
            .filter(s -> s.quantity() < 0 && !s.takenBack() && s.partyName() != null)
            .reduce((first, last) -> last)
            .filter(s -> piece.onHand() == 0);
    String language =
        went.flatMap(s -> customers.card(s.party())).map(CustomerStore.Card::language).orElse("en");
    Map<String, String> w = PaperWords.in(language);
    List<Fact> facts = new ArrayList<>();
    facts.add(new Fact(w.get("item"), List.of(piece.itemName(), piece.itemCode())));
    facts.add(new Fact(w.get("serial"), List.of(piece.code())));
    came.ifPresent(
        s -> {
          if (s.partyName() != null) facts.add(new Fact(w.get("came"), List.of(s.partyName())));
          facts.add(new Fact(w.get("came.on"), List.of(s.date().toString())));
        });
    went.ifPresent(
        s -> {
          facts.add(new Fact(w.get("sold"), List.of(s.partyName(), s.number())));
          facts.add(new Fact(w.get("sold.on"), List.of(s.date().toString())));
        });
    Context context = context(looks.look(), language, piece.code());
    context.setVariable("facts", facts);
    return pages.of("paper/slip", context);
  }

  private static Map<String, String> row(LocalDate date, String paper, String amount, String owed) {
    return Map.of("date", date.toString(), "paper", paper, "amount", amount, "owed", owed);
  }

  /** Something above the lines: a label, and what stands under it. */
  public record Fact(String label, List<String> lines) {}

  /**
   * @param figure whether it stands at the far side
   */
  public record Column(String name, String label, boolean figure) {}

  /** From the right for a language that is read so: tables are always laid out from the left. */
  private static <T> List<T> inReadingOrder(Map<String, String> words, List<T> cells) {
    if (words.get("dir").equals("ltr")) return cells;
    List<T> turned = new ArrayList<>(cells);
    Collections.reverse(turned);
    return turned;
  }

  /** A name and its address, which may begin with the name. */
  private static List<String> named(String name, String address) {
    List<String> all = new ArrayList<>(List.of(name));
    lines(address).stream().filter(line -> !line.equals(name)).forEach(all::add);
    return all;
  }

  private Context context(LookStore.Look look, String language, String title) {
    Context context = new Context();
    context.setVariable("w", PaperWords.in(language));
    context.setVariable("title", title);
    context.setVariable("look", look);
    context.setVariable("book", books.book());
    context.setVariable("own", new OwnWords());
    context.setVariable("say", say);
    context.setVariable(
        "logo",
        looks
            .logo()
            .map(
                l ->
                    "data:" + l.type() + ";base64," + Base64.getEncoder().encodeToString(l.bytes()))
            .orElse(null));
    return context;
  }

  /** Words of the book's own, in whatever language its papers are. */
  public record OwnWords() {
    /** Where the words begin: from their first letter that is read in a direction. */
    public String direction(String words) {
      return new Bidi(words, Bidi.DIRECTION_DEFAULT_LEFT_TO_RIGHT).baseIsLeftToRight()
          ? "ltr"
          : "rtl";
    }
  }

  private static List<String> lines(String address) {
    return Arrays.stream(address.split(",")).map(String::strip).filter(l -> !l.isEmpty()).toList();
  }
}
