package zinctally.web.shell;

import jakarta.servlet.http.HttpServletRequest;
import java.security.Principal;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.thymeleaf.context.LazyContextVariable;
import zinctally.core.papers.PaperKind;
import zinctally.store.book.Book;
import zinctally.store.book.BookStore;
import zinctally.store.check.CheckRuns;
import zinctally.store.house.AtBook;
import zinctally.store.people.Person;
import zinctally.store.prove.BalanceStore;

/** What stands round every page: the book, the balance, the thumb index, who is here. */
@ControllerAdvice(annotations = Controller.class)
class Shell {
  private final BookStore books;
  private final BalanceStore balances;
  private final CheckRuns checks;
  private final Say say;
  private final Sees sees;
  private final Clock clock;

  Shell(BookStore books, BalanceStore balances, CheckRuns checks, Say say, Sees sees, Clock clock) {
    this.books = books;
    this.balances = balances;
    this.checks = checks;
    this.say = say;
    this.sees = sees;
    this.clock = clock;
  }

  /** A leaf of the thumb index. */
  record Leaf(String area, String name, String says, String href) {
    /** Led elsewhere, when it is the leaf of that area. */
    Leaf or(String of, String elsewhere) {
      return area.equals(of) ? new Leaf(area, name, says, elsewhere) : this;
    }
  }

  private static final List<Leaf> INDEX =
      List.of(
          new Leaf("day", "Day", "what waits", "/"),
          new Leaf("goods", "Goods", "items, costs", "/goods"),
          new Leaf("buy", "Buy", "orders, bills", "/buy"),
          new Leaf("sell", "Sell", "orders, cash", "/sell"),
          new Leaf("handle", "Handle", "adjust, count", "/handle"),
          new Leaf("prove", "Prove", "tie out, ledger", "/prove"),
          new Leaf("ask", "Ask", "lists, values", "/ask"));

  private static final Leaf OWN_BOOKS = new Leaf("books", "Books", "yours", "/books");

  /** What there is at a house, for who keeps it. */
  private static final List<Leaf> KEEPS =
      List.of(
          OWN_BOOKS,
          new Leaf("all", "All", "limits", "/books/all"),
          new Leaf("people", "People", "who signs in", "/books/people"));

  private static List<Leaf> by(@Nullable Principal principal) {
    return May.own(principal) ? KEEPS : List.of(OWN_BOOKS);
  }

  private static final List<PaperKind> NEW =
      Stream.of(PaperKind.values()).filter(k -> !k.key().isEmpty()).toList();

  @ModelAttribute
  void around(Model model, HttpServletRequest request, Principal principal) {
    model.addAttribute("who", principal == null ? "" : principal.getName());
    if (AtBook.house()) {
      model.addAttribute("atHouse", true);
      model.addAttribute("index", by(principal));
      return;
    }
    Sees.By by = sees.by(principal);
    model.addAttribute("seesCosts", by.costs());
    model.addAttribute("seesLedger", by.given().ledger());
    model.addAttribute("mayAmend", by.given().changes());
    model.addAttribute(
        "index",
        INDEX.stream()
            .map(
                l ->
                    by.page(l.href())
                        ? l
                        : l.or("ask", "/ask/places").or("handle", "/handle/counts"))
            .filter(l -> by.page(l.href()))
            .toList());
    model.addAttribute("newPapers", NEW.stream().filter(k -> May.write(principal, k)).toList());
    model.addAttribute("mayWrite", May.role(principal) != Person.Role.READER);
    model.addAttribute("maySetUp", May.setUp(principal));
    model.addAttribute("mayOwn", May.own(principal));
    if (request.getHeader("HX-Request") != null || principal == null) return;
    Lazy<Book> book = new Lazy<>(books::find);
    model.addAttribute("book", book);
    model.addAttribute(
        "beam", new Lazy<>(() -> Optional.ofNullable(book.getValue()).map(b -> beam())));
  }

  private Beam beam() {
    return Beam.of(
        balances.now(), balances.apartByHand(), checks.latest(), LocalDateTime.now(clock), say);
  }

  /** Asked when a page shows it: what only leads to another page asks for nothing. */
  private static final class Lazy<T> extends LazyContextVariable<@Nullable T> {
    private final Supplier<Optional<T>> asked;

    Lazy(Supplier<Optional<T>> asked) {
      this.asked = asked;
    }

    @Override
    protected @Nullable T loadValue() {
      return asked.get().orElse(null);
    }
  }
}
