package zinctally.web.setup;

import java.io.IOException;
import java.security.Principal;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.AccountKind;
import zinctally.core.ledger.Role;
import zinctally.core.papers.opening.Sheet;
import zinctally.store.book.SetUp;
import zinctally.store.ledger.AccountStore;
import zinctally.store.ledger.ChartOfAccounts;
import zinctally.store.opening.SheetReader;
import zinctally.store.sell.TaxStore;
import zinctally.store.setup.SetupStore;
import zinctally.web.shell.SetsUp;

/** The chart of accounts. */
@Controller
class ChartController {
  private static final String PAGE = "/accounts";
  private final SetUp setUp;
  private final AccountStore accounts;
  private final ChartOfAccounts chart;
  private final SetupStore tables;
  private final TaxStore taxes;
  private final Trail trail;

  ChartController(
      SetUp setUp,
      AccountStore accounts,
      ChartOfAccounts chart,
      SetupStore tables,
      TaxStore taxes,
      Trail trail) {
    this.setUp = setUp;
    this.accounts = accounts;
    this.chart = chart;
    this.tables = tables;
    this.taxes = taxes;
    this.trail = trail;
  }

  @GetMapping("/setup/accounts")
  String accounts(Model model) {
    model.addAttribute("accounts", accounts.all());
    model.addAttribute("rates", tables.taxRatesInUse());
    model.addAttribute("usualTax", taxes.ofAccounts());
    model.addAttribute("kinds", AccountKind.values());
    model.addAttribute("roles", Role.values());
    return "setup/accounts";
  }

  @SetsUp
  @PostMapping("/setup/accounts")
  String saveAccount(
      @RequestParam long id,
      @RequestParam String code,
      @RequestParam String name,
      @RequestParam AccountKind kind,
      @RequestParam Role role,
      @RequestParam(defaultValue = "") String tax,
      @RequestParam(defaultValue = "false") boolean active,
      Principal who,
      RedirectAttributes after) {
    Account account = new Account(id, code.strip(), name.strip(), kind, role, active || id == 0);
    return Answer.tried(
        setUp,
        after,
        PAGE,
        () -> {
          Optional<Account> before =
              accounts.all().stream().filter(a -> a.id() == account.id()).findFirst();
          chart.save(account);
          taxes.ofAccount(account.code(), tax);
          trail.leave(who, "account", account.id(), before, Optional.of(account));
        });
  }

  @SetsUp
  @PostMapping("/setup/accounts/file")
  String replaceChart(
      @RequestParam MultipartFile file,
      @RequestParam(defaultValue = "false") boolean replace,
      Principal who,
      RedirectAttributes after)
      throws IOException {
    String name = String.valueOf(file.getOriginalFilename());
    Sheet sheet;
    try {
      sheet = SheetReader.file(name, file.getBytes());
    } catch (SheetReader.Unreadable refused) {
      return Answer.wrong(after, PAGE, String.valueOf(refused.getMessage()));
    }
    return Answer.told(
        setUp,
        after,
        PAGE,
        () -> {
          String told = chart.take(sheet, replace) + " accounts are in the chart.";
          trail.leave(who, "chart", 0, Optional.empty(), Optional.of(name + ": " + told));
          return told;
        });
  }
}
