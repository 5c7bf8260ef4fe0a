package zinctally.web.prove;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import zinctally.core.ledger.Account;
import zinctally.core.number.Money;
import zinctally.core.statement.Balances;
import zinctally.store.book.BookStore;
import zinctally.store.ledger.AccountStore;
import zinctally.store.listing.StatementListings;
import zinctally.store.prove.BridgeStore;
import zinctally.store.prove.TieOutStore;
import zinctally.store.statement.BalancesStore;
import zinctally.store.statement.LayoutStore;
import zinctally.web.listing.AreaPage;
import zinctally.web.listing.Asked;
import zinctally.web.picture.ChartPicture;
import zinctally.web.picture.LinePicture;
import zinctally.web.shell.DaySpan;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.Say;

/** Stock book against ledger, and the ledger itself. */
@Controller
class ProveController {
  private final TieOutStore tieOut;
  private final AccountStore accounts;
  private final BalancesStore balances;
  private final LayoutStore layouts;
  private final BookStore books;
  private final BridgeStore bridges;
  private final AreaPage page;
  private final Say say;
  private final Clock clock;

  ProveController(
      TieOutStore tieOut,
      AccountStore accounts,
      BalancesStore balances,
      LayoutStore layouts,
      BookStore books,
      BridgeStore bridges,
      AreaPage page,
      Say say,
      Clock clock) {
    this.balances = balances;
    this.layouts = layouts;
    this.books = books;
    this.bridges = bridges;
    this.tieOut = tieOut;
    this.accounts = accounts;
    this.page = page;
    this.say = say;
    this.clock = clock;
  }

  /** A group's sums, with its items when it is opened. */
  record GroupLine(long id, String name, long book, long ledger, int items) {}

  @GetMapping("/prove")
  String tieOut(
      @RequestParam(required = false) Long group, Model model, HttpServletRequest request) {
    Asked asked = new Asked(request, model, clock);
    LocalDate at = asked.date();
    Optional<LocalDateTime> known = asked.known();
    List<TieOutStore.ItemLine> items = tieOut.byItem(at, known);
    Map<Long, GroupLine> groups = new LinkedHashMap<>();
    for (TieOutStore.ItemLine item : items) {
      String name = item.groupName() == null ? "No item named" : item.groupName();
      groups.merge(
          item.group(),
          new GroupLine(item.group(), name, item.book(), item.ledger(), 1),
          (a, b) ->
              new GroupLine(
                  a.id(), name, a.book() + b.book(), a.ledger() + b.ledger(), a.items() + 1));
    }
    long book = items.stream().mapToLong(TieOutStore.ItemLine::book).sum();
    long ledger = items.stream().mapToLong(TieOutStore.ItemLine::ledger).sum();
    List<TieOutStore.DayLine> days = tieOut.days(at);
    LocalDate first = books.book().cutOver();
    LocalDate last = at.isAfter(asked.today()) ? at : asked.today();
    model.addAttribute("first", first);
    model.addAttribute("last", last);
    model.addAttribute("lastDay", ChronoUnit.DAYS.between(first, last));
    model.addAttribute("day", Math.max(0, ChronoUnit.DAYS.between(first, at)));
    model.addAttribute("groups", groups.values());
    model.addAttribute("opened", group);
    model.addAttribute(
        "items", items.stream().filter(i -> group != null && i.group() == group).toList());
    model.addAttribute("bookSum", book);
    model.addAttribute("ledgerSum", ledger);
    model.addAttribute("itemCount", items.stream().filter(i -> i.item() != 0).count());
    model.addAttribute("byAccount", tieOut.byAccount(at, known));
    model.addAttribute("byHand", tieOut.byHand(at, "STOCK"));
    model.addAttribute("controls", known.isPresent() ? List.of() : tieOut.controls(at));
    model.addAttribute("days", days);
    long most = days.stream().mapToLong(d -> Math.max(d.book(), d.ledger())).max().orElse(0);
    long least = days.stream().mapToLong(d -> Math.min(d.book(), d.ledger())).min().orElse(0);
    long room = Math.max(1, (most - least) / 8);
    model.addAttribute(
        "bookLine",
        LinePicture.of(
            days.stream().map(TieOutStore.DayLine::book).toList(),
            least - room,
            most + room,
            760,
            120));
    model.addAttribute(
        "ledgerLine",
        LinePicture.of(
            days.stream().map(TieOutStore.DayLine::ledger).toList(),
            least - room,
            most + room,
            760,
            120));
    return request.getHeader("HX-Request") == null ? "prove/tie-out" : "prove/tie-parts :: parts";
  }

  /** Where the value of stock came from and went, from a day to a day. */
  @GetMapping("/prove/bridge")
  String bridge(Model model, HttpServletRequest request) {
    Asked asked = new Asked(request, model, clock);
    DaySpan days = asked.days(layouts.year().start(asked.today()));
    List<BridgeStore.Step> steps = bridges.bridge(days.from(), days.to());
    model.addAttribute("steps", steps);
    model.addAttribute(
        "picture",
        ChartPicture.bridge(
            steps.stream().map(BridgeStore.Step::words).toList(),
            steps.stream().map(s -> BigDecimal.valueOf(s.amount())).toList(),
            v -> say.money(v.longValue())));
    return "prove/bridge";
  }

  /** Lines of an account from a day to a day, with what it stood at before and after. */
  @GetMapping("/prove/account/{id}")
  @Nullable String account(
      @PathVariable long id,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    Account account =
        accounts.all().stream()
            .filter(a -> a.id() == id)
            .findFirst()
            .orElseThrow(() -> new NotThere("account " + id));
    Asked asked = new Asked(request, model, clock);
    DaySpan days = asked.days(layouts.year().start(asked.today()));
    Optional<LocalDateTime> known = asked.known();
    Balances at = balances.balances();
    long before = minor(at.at(days.from().minusDays(1), known), id);
    model.addAttribute("heading", account.label());
    model.addAttribute("before", before);
    model.addAttribute("after", minor(at.at(days.to(), known), id));
    model.addAttribute("above", "prove/account");
    return page.under(
        "/prove/accounts",
        StatementListings.account(id, days.from(), days.to(), before, known),
        model,
        request,
        response);
  }

  private static long minor(Map<Long, Money> balances, long account) {
    return balances.getOrDefault(account, Money.ZERO).minor();
  }
}
