package zinctally.web.paper;

import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;
import zinctally.core.papers.Party;
import zinctally.store.book.BookStore;
import zinctally.store.buy.SupplierStore;
import zinctally.store.paper.PostedPaper;
import zinctally.store.paper.SettledStore;
import zinctally.store.sell.CustomerStore;
import zinctally.store.sell.ReminderStore;
import zinctally.store.sell.StatementStore;
import zinctally.store.setup.LookStore;
import zinctally.web.shell.PdfPages;
import zinctally.web.shell.Say;

/** Payments, statements and reminders as PDF, in the book's look and the party's language. */
@Component
public class AccountPdf {
  private final PdfPages pages;
  private final Letter letter;
  private final BookStore books;
  private final LookStore looks;
  private final SupplierStore suppliers;
  private final CustomerStore customers;
  private final Say say;

  AccountPdf(
      PdfPages pages,
      Letter letter,
      BookStore books,
      LookStore looks,
      SupplierStore suppliers,
      CustomerStore customers,
      Say say) {
    this.pages = pages;
    this.letter = letter;
    this.books = books;
    this.looks = looks;
    this.suppliers = suppliers;
    this.customers = customers;
    this.say = say;
  }

  /** A payment as its payer or payee is told of it: what it settles, and what is left over. */
  byte[] payment(PostedPaper paper, List<SettledStore.Settled> settles) throws IOException {
    boolean received = paper.kind().isWith(Party.Kind.CUSTOMER);
    Optional<CustomerStore.Card> customer =
        received ? customers.card(paper.party()) : Optional.empty();
    String address =
        received
            ? customer.map(CustomerStore.Card::address).orElse("")
            : suppliers.card(paper.party()).map(SupplierStore.Card::address).orElse("");
    String language = customer.map(CustomerStore.Card::language).orElse("en");
    Context context = letter.context(looks.look(), language, paper.number());
    Words w = PaperWords.in(language);
    context.setVariable("heading", w.get(paper.kind().name()) + " " + paper.number());
    context.setVariable("words", looks.look().words(paper.kind().name()));
    List<Letter.Fact> facts = new ArrayList<>();
    facts.add(new Letter.Fact(w.get("to"), Letter.named(paper.partyName(), address)));
    facts.add(new Letter.Fact(w.get("date"), List.of(paper.date().toString())));
    if (!paper.reference().isEmpty())
      facts.add(new Letter.Fact(w.get("reference"), List.of(paper.reference())));
    context.setVariable("facts", Letter.inReadingOrder(w, facts));
    context.setVariable(
        "columns",
        Letter.inReadingOrder(
            w,
            List.of(
                new Letter.Column("paper", w.get("paid"), false),
                new Letter.Column("date", w.get("date"), false),
                new Letter.Column(
                    "amount", w.get("amount") + ", " + books.book().coin().code(), true))));
    List<Map<String, String>> rows = new ArrayList<>();
    long left = paper.total();
    for (SettledStore.Settled settled : settles) {
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

  /** What a customer owed, was charged and paid. */
  public byte[] statement(CustomerStore.Card card, StatementStore.Statement statement)
      throws IOException {
    Context context = letter.context(looks.look(), card.language(), card.name());
    Words w = PaperWords.in(card.language());
    context.setVariable("heading", w.get("STATEMENT"));
    context.setVariable("words", "");
    context.setVariable(
        "facts",
        Letter.inReadingOrder(
            w,
            List.of(
                new Letter.Fact(w.get("to"), Letter.named(card.name(), card.address())),
                new Letter.Fact(
                    w.get("date"),
                    List.of(statement.from() + " " + w.get("until") + " " + statement.to())))));
    context.setVariable(
        "columns",
        Letter.inReadingOrder(
            w,
            List.of(
                new Letter.Column("date", w.get("date"), false),
                new Letter.Column("paper", w.get("paper"), false),
                new Letter.Column("amount", w.get("amount"), true),
                new Letter.Column(
                    "owed", w.get("owed") + ", " + books.book().coin().code(), true))));
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
    Context context = letter.context(looks.look(), card.language(), card.name());
    Words w = PaperWords.in(card.language());
    context.setVariable("heading", w.get("REMINDER"));
    context.setVariable("words", reminder.words());
    context.setVariable(
        "facts",
        Letter.inReadingOrder(
            w, List.of(new Letter.Fact(w.get("to"), Letter.named(card.name(), card.address())))));
    context.setVariable(
        "columns",
        Letter.inReadingOrder(
            w,
            List.of(
                new Letter.Column("paper", w.get("paper"), false),
                new Letter.Column("date", w.get("date"), false),
                new Letter.Column("due", w.get("due"), false),
                new Letter.Column(
                    "open", w.get("owed") + ", " + books.book().coin().code(), true))));
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

  private static Map<String, String> row(LocalDate date, String paper, String amount, String owed) {
    return Map.of("date", date.toString(), "paper", paper, "amount", amount, "owed", owed);
  }
}
