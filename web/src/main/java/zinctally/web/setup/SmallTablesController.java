package zinctally.web.setup;

import java.math.BigDecimal;
import java.security.Principal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Predicate;
import java.util.function.Supplier;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.ledger.Account;
import zinctally.store.book.SetUp;
import zinctally.store.ledger.AccountStore;
import zinctally.store.setup.SetupStore;
import zinctally.web.shell.SetsUp;
import zinctally.web.shell.Typed;

/** Tax rates, reasons for adjustments and for returns. */
@Controller
class SmallTablesController {
  private static final int LONGEST = 80;
  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);
  private final SetUp setUp;
  private final AccountStore accounts;
  private final SetupStore setup;
  private final Trail trail;

  SmallTablesController(SetUp setUp, AccountStore accounts, SetupStore setup, Trail trail) {
    this.setUp = setUp;
    this.trail = trail;
    this.accounts = accounts;
    this.setup = setup;
  }

  @GetMapping("/setup/tax")
  String tax(Model model) {
    return small(model, "tax", setup.taxRates());
  }

  @GetMapping("/setup/reasons")
  String reasons(Model model) {
    return small(model, "reasons", setup.reasons());
  }

  @GetMapping("/setup/return-reasons")
  String returnReasons(Model model) {
    return small(model, "return-reasons", setup.returnReasons());
  }

  @SetsUp
  @PostMapping("/setup/return-reasons")
  String saveReturnReason(
      @RequestParam long id,
      @RequestParam String name,
      @RequestParam(defaultValue = "false") boolean active,
      Principal who,
      RedirectAttributes after) {
    return kept(
        after,
        "/return-reasons",
        who,
        id,
        name,
        setup::returnReasons,
        () -> {
          setup.saveReturnReason(id, name.strip(), active);
          return true;
        });
  }

  /**
   * @param rows of the table
   * @param save says whether it could be
   */
  private String kept(
      RedirectAttributes after,
      String page,
      Principal who,
      long id,
      String name,
      Supplier<List<SetupStore.Row>> rows,
      BooleanSupplier save) {
    return setUp.alone(
        () ->
            Answer.kept(
                after,
                page,
                name,
                LONGEST,
                () -> {
                  Optional<SetupStore.Row> before = row(rows, r -> r.id() == id);
                  if (!save.getAsBoolean()) return;
                  Optional<SetupStore.Row> now = row(rows, r -> r.name().equals(name.strip()));
                  trail.leave(who, page.substring(1), id, before, now);
                }));
  }

  private static Optional<SetupStore.Row> row(
      Supplier<List<SetupStore.Row>> rows, Predicate<SetupStore.Row> which) {
    return rows.get().stream().filter(which).findFirst();
  }

  private String small(Model model, String tab, List<SetupStore.Row> rows) {
    List<SetupStore.Row> all = new ArrayList<>(rows);
    all.add(new SetupStore.Row(0, "", "", null, 0, true));
    model.addAttribute("tab", tab);
    model.addAttribute("rows", all);
    model.addAttribute("accounts", accounts.all());
    return "setup/small";
  }

  @SetsUp
  @PostMapping("/setup/tax")
  String saveTax(
      @RequestParam long id,
      @RequestParam String code,
      @RequestParam String name,
      @RequestParam String percent,
      @RequestParam(defaultValue = "false") boolean active,
      Principal who,
      RedirectAttributes after) {
    Map<String, String> faults = new LinkedHashMap<>();
    Typed typed = new Typed(Map.of("code", code, "percent", percent), faults);
    String notRate = "\"" + percent + "\" is not a rate; write percent between 0 and 100.";
    typed.needed("percent", 20, notRate);
    Optional<BigDecimal> rate =
        typed.number(
            "percent", 20, Typed.amount(3, 4).and(p -> p.compareTo(HUNDRED) <= 0), notRate);
    String known = typed.needed("code", 20, "A rate needs a code.");
    if (!faults.isEmpty()) return Answer.wrong(after, "/tax", faults);
    boolean[] done = {true};
    String page =
        kept(
            after,
            "/tax",
            who,
            id,
            name,
            setup::taxRates,
            () -> done[0] = setup.saveTaxRate(id, known, name.strip(), rate.orElseThrow(), active));
    if (done[0]) return page;
    return Answer.wrong(
        after, "/tax", "Papers have used this rate; switch it off and make a new one.");
  }

  @SetsUp
  @PostMapping("/setup/reasons")
  String saveReason(
      @RequestParam long id,
      @RequestParam String name,
      @RequestParam long account,
      @RequestParam(defaultValue = "false") boolean active,
      Principal who,
      RedirectAttributes after) {
    Optional<Account> bears = accounts.all().stream().filter(a -> a.id() == account).findFirst();
    if (bears.isEmpty() || bears.get().role().control())
      return Answer.wrong(
          after, "/reasons", "Which account bears it? One that is no control account.");
    return kept(
        after,
        "/reasons",
        who,
        id,
        name,
        setup::reasons,
        () -> {
          setup.saveReason(id, name.strip(), account, active);
          return true;
        });
  }
}
