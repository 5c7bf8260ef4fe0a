package zinctally.web.setup;

import java.io.IOException;
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
import zinctally.core.opening.Sheet;
import zinctally.store.ledger.AccountStore;
import zinctally.store.ledger.ChartOfAccounts;
import zinctally.store.opening.SheetReader;

/** The chart of accounts. */
@Controller
class ChartController {
  private final AccountStore accounts;
  private final ChartOfAccounts chart;

  ChartController(AccountStore accounts, ChartOfAccounts chart) {
    this.accounts = accounts;
    this.chart = chart;
  }

  @GetMapping("/setup/accounts")
  String accounts(Model model) {
    model.addAttribute("tab", "accounts");
    model.addAttribute("accounts", accounts.all());
    model.addAttribute("kinds", AccountKind.values());
    model.addAttribute("roles", Role.values());
    return "setup/accounts";
  }

  @PostMapping("/setup/accounts")
  String saveAccount(
      @RequestParam long id,
      @RequestParam String code,
      @RequestParam String name,
      @RequestParam AccountKind kind,
      @RequestParam Role role,
      @RequestParam(defaultValue = "false") boolean active,
      RedirectAttributes after) {
    try {
      chart.save(new Account(id, code.strip(), name.strip(), kind, role, active || id == 0));
    } catch (ChartOfAccounts.Wrong refused) {
      return Answer.wrong(after, "/accounts", refused.getMessage());
    }
    after.addFlashAttribute("told", "Kept.");
    return "redirect:/setup/accounts";
  }

  @PostMapping("/setup/accounts/file")
  String replaceChart(
      @RequestParam MultipartFile file,
      @RequestParam(defaultValue = "false") boolean replace,
      RedirectAttributes after)
      throws IOException {
    try {
      Sheet sheet = SheetReader.file(String.valueOf(file.getOriginalFilename()), file.getBytes());
      after.addFlashAttribute("told", chart.take(sheet, replace) + " accounts are in the chart.");
    } catch (SheetReader.Unreadable | ChartOfAccounts.Wrong refused) {
      return Answer.wrong(after, "/accounts", refused.getMessage());
    }
    return "redirect:/setup/accounts";
  }
}
