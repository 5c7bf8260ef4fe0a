package zinctally.web.prove;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import zinctally.core.ledger.Account;
import zinctally.core.number.Money;
import zinctally.core.statement.Borne;
import zinctally.store.book.BookStore;
import zinctally.store.ledger.AccountStore;
import zinctally.store.ledger.CentreStore;
import zinctally.store.listing.StatementListings;
import zinctally.store.statement.BalancesStore;
import zinctally.store.statement.LayoutStore;
import zinctally.web.listing.AreaPage;
import zinctally.web.listing.Asked;
import zinctally.web.shell.DaySpan;
import zinctally.web.shell.NotThere;

/** Lines of one account. */
@Controller
class AccountController {
  private final AccountStore accounts;
  private final BalancesStore balances;
  private final LayoutStore layouts;
  private final CentreStore centres;
  private final BookStore books;
  private final AreaPage page;
  private final Clock clock;

  AccountController(
      AccountStore accounts,
      BalancesStore balances,
      LayoutStore layouts,
      CentreStore centres,
      BookStore books,
      AreaPage page,
      Clock clock) {
    this.accounts = accounts;
    this.balances = balances;
    this.layouts = layouts;
    this.centres = centres;
    this.books = books;
    this.page = page;
    this.clock = clock;
  }

  /** Lines of an account from a day to a day, with what it stood at before and after. */
  @GetMapping("/prove/account/{id}")
  @Nullable String account(
      @PathVariable long id,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    return page.still(request, () -> lines(id, model, request, response));
  }

  private @Nullable String lines(
      long id, Model model, HttpServletRequest request, HttpServletResponse response) {
    Account account =
        accounts.all().stream()
            .filter(a -> a.id() == id)
            .findFirst()
            .orElseThrow(() -> new NotThere("account " + id));
    Asked asked = new Asked(request, model, clock);
    DaySpan days = asked.days(layouts.year());
    Optional<LocalDateTime> known = asked.known();
    Optional<Borne> borne = Borne.of(asked.text("centre"), centres.tree());
    long before = borne.isPresent() ? 0 : standing(days.from().minusDays(1), known, id);
    model.addAttribute(
        "heading", account.label() + borne.map(b -> ", borne by " + b.words()).orElse(""));
    if (borne.isEmpty()) {
      model.addAttribute("before", before);
      model.addAttribute("after", standing(days.to(), known, id));
    }
    model.addAttribute("above", "prove/account");
    return page.under(
        "/prove/accounts",
        StatementListings.account(
            id, days.from(), days.to(), before, known, borne, books.book().centres()),
        model,
        request,
        response);
  }

  private long standing(LocalDate day, Optional<LocalDateTime> known, long account) {
    return balances.balances().at(day, known).getOrDefault(account, Money.ZERO).minor();
  }
}
