package zinctally.web.prove;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import zinctally.core.ledger.Account;
import zinctally.store.ledger.AccountStore;
import zinctally.store.listing.ProveListings;
import zinctally.store.prove.TieOutStore;
import zinctally.web.listing.AreaPage;
import zinctally.web.picture.LinePicture;
import zinctally.web.shell.AtDate;
import zinctally.web.shell.NotThere;

/** Stock book against ledger, and the ledger itself. */
@Controller
class ProveController {
  private final TieOutStore tieOut;
  private final AccountStore accounts;
  private final AreaPage page;
  private final Clock clock;

  ProveController(TieOutStore tieOut, AccountStore accounts, AreaPage page, Clock clock) {
    this.tieOut = tieOut;
    this.accounts = accounts;
    this.page = page;
    this.clock = clock;
  }

  /** A group's sums, with its items when it is opened. */
  record GroupLine(long id, String name, long book, long ledger, int items) {}

  @GetMapping("/prove")
  String tieOut(
      @RequestParam(defaultValue = "") String date,
      @RequestParam(required = false) Long group,
      Model model) {
    LocalDate at = AtDate.read(date, clock, model);
    List<TieOutStore.ItemLine> items = tieOut.byItem(at);
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
    model.addAttribute("date", at);
    model.addAttribute("groups", groups.values());
    model.addAttribute("opened", group);
    model.addAttribute(
        "items", items.stream().filter(i -> group != null && i.group() == group).toList());
    model.addAttribute("bookSum", book);
    model.addAttribute("ledgerSum", ledger);
    model.addAttribute("itemCount", items.stream().filter(i -> i.item() != 0).count());
    model.addAttribute("byAccount", tieOut.byAccount(at));
    model.addAttribute("byHand", tieOut.byHand(at, "STOCK"));
    model.addAttribute("controls", tieOut.controls(at));
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
    return "prove/tie-out";
  }

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
    model.addAttribute("heading", account.label());
    return page.under("/prove/accounts", ProveListings.account(id), model, request, response);
  }
}
