package zinctally.web.setup;

import java.io.IOException;
import java.math.BigDecimal;
import java.security.Principal;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.cost.Method;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.AccountKind;
import zinctally.core.ledger.Role;
import zinctally.core.number.Coin;
import zinctally.core.number.Figures;
import zinctally.core.opening.Sheet;
import zinctally.store.book.Book;
import zinctally.store.book.BookStore;
import zinctally.store.goods.GroupStore;
import zinctally.store.ledger.AccountStore;
import zinctally.store.ledger.ChartOfAccounts;
import zinctally.store.opening.OpeningStore;
import zinctally.store.opening.SheetReader;
import zinctally.store.people.PeopleStore;
import zinctally.store.people.Person;
import zinctally.store.setup.SetupStore;

/** Setting up the book. A refusal changes nothing and says why. */
@Controller
class SetupController {
  private final BookStore books;
  private final AccountStore accounts;
  private final ChartOfAccounts chart;
  private final GroupStore groups;
  private final SetupStore setup;
  private final PeopleStore people;
  private final OpeningStore opening;
  private final PasswordEncoder hashing;

  SetupController(
      BookStore books,
      AccountStore accounts,
      ChartOfAccounts chart,
      GroupStore groups,
      SetupStore setup,
      PeopleStore people,
      OpeningStore opening,
      PasswordEncoder hashing) {
    this.books = books;
    this.accounts = accounts;
    this.chart = chart;
    this.groups = groups;
    this.setup = setup;
    this.people = people;
    this.opening = opening;
    this.hashing = hashing;
  }

  private static String wrong(RedirectAttributes after, String page, String says) {
    after.addFlashAttribute("wrong", says);
    return "redirect:/setup" + page;
  }

  @GetMapping("/setup")
  String book(Model model) {
    model.addAttribute("tab", "book");
    model.addAttribute("begun", books.begun());
    model.addAttribute("steps", opening.firstSteps());
    return "setup/book";
  }

  @PostMapping("/setup")
  String saveBook(
      @RequestParam String name,
      @RequestParam String currency,
      @RequestParam String cutOver,
      @RequestParam(defaultValue = "false") boolean pricesIncludeTax,
      RedirectAttributes after) {
    Book now = books.book();
    if (name.isBlank() || name.length() > 120)
      return wrong(after, "", "The book needs a name of at most 120 letters.");
    try {
      Coin coin = Coin.of(currency);
      LocalDate date = LocalDate.parse(cutOver);
      if (books.begun() && !coin.equals(now.coin()))
        return wrong(
            after, "", "The currency stays " + now.coin().code() + ": papers are posted in it.");
      if (books.begun() && !date.equals(now.cutOver()))
        return wrong(
            after, "", "The cut-over date stays " + now.cutOver() + ": papers are posted since.");
      books.save(name.strip(), coin, date, pricesIncludeTax);
    } catch (IllegalArgumentException unknown) {
      return wrong(
          after,
          "",
          "\"" + currency + "\" is no currency of ISO 4217; write three letters such as EUR.");
    } catch (DateTimeException notADate) {
      return wrong(after, "", "\"" + cutOver + "\" is not a date; write it as 2026-01-01.");
    }
    after.addFlashAttribute("told", "Kept.");
    return "redirect:/setup";
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
      return wrong(after, "/accounts", refused.getMessage());
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
      return wrong(after, "/accounts", refused.getMessage());
    }
    return "redirect:/setup/accounts";
  }

  @GetMapping("/setup/groups")
  String groups(Model model) {
    GroupStore.Tree tree = groups.tree();
    model.addAttribute("tab", "groups");
    model.addAttribute("tree", tree);
    model.addAttribute("methods", List.of(Method.FIFO, Method.AVERAGE));
    model.addAttribute("accounts", accounts.all());
    return "setup/groups";
  }

  @PostMapping("/setup/groups")
  String saveGroup(
      @RequestParam long id,
      @RequestParam long parent,
      @RequestParam String name,
      @RequestParam String method,
      @RequestParam long stockAccount,
      @RequestParam long salesAccount,
      @RequestParam long costAccount,
      RedirectAttributes after) {
    GroupStore.Tree tree = groups.tree();
    if (name.isBlank() || name.length() > 80)
      return wrong(after, "/groups", "A group needs a name of at most 80 letters.");
    Method costing = method.isEmpty() ? null : Method.valueOf(method);
    if (id != 0 && parent != 0 && tree.within(parent, id))
      return wrong(after, "/groups", "A group cannot stand below itself.");
    boolean top = id == tree.top().id();
    if (!top && tree.group(parent) == null)
      return wrong(after, "/groups", "Below which group does it stand?");
    if (top && (costing == null || stockAccount == 0 || salesAccount == 0 || costAccount == 0))
      return wrong(
          after, "/groups", "The top group leaves nothing open: method and all three accounts.");
    if (id != 0) {
      long was = tree.stockAccount(id);
      long is = stockAccount != 0 ? stockAccount : tree.stockAccount(parent);
      boolean below =
          tree.inOrder().stream().anyMatch(g -> tree.within(g.id(), id) && groups.moved(g.id()));
      if (was != is && below)
        return wrong(
            after,
            "/groups",
            "The stock account of "
                + name
                + " stays: its goods have movements that are booked there.");
    }
    try {
      var group =
          new GroupStore.Group(
              id, top ? 0 : parent, name.strip(), costing, stockAccount, salesAccount, costAccount);
      if (id == 0) groups.add(group);
      else groups.change(group);
    } catch (DuplicateKeyException twice) {
      return wrong(after, "/groups", "There is a group called " + name.strip() + " already.");
    }
    after.addFlashAttribute("told", "Kept.");
    return "redirect:/setup/groups";
  }

  @GetMapping("/setup/places")
  String places(Model model) {
    return small(model, "places", setup.allPlaces());
  }

  @GetMapping("/setup/tax")
  String tax(Model model) {
    return small(model, "tax", setup.taxRates());
  }

  @GetMapping("/setup/reasons")
  String reasons(Model model) {
    return small(model, "reasons", setup.reasons());
  }

  private String small(Model model, String tab, List<SetupStore.Row> rows) {
    List<SetupStore.Row> all = new ArrayList<>(rows);
    all.add(new SetupStore.Row(0, "", "", null, 0, true));
    model.addAttribute("tab", tab);
    model.addAttribute("rows", all);
    model.addAttribute("accounts", accounts.all());
    return "setup/small";
  }

  @PostMapping("/setup/places")
  String savePlace(
      @RequestParam long id,
      @RequestParam String name,
      @RequestParam(defaultValue = "false") boolean active,
      RedirectAttributes after) {
    return kept(after, "/places", name, 80, () -> setup.savePlace(id, name.strip(), active));
  }

  @PostMapping("/setup/tax")
  String saveTax(
      @RequestParam long id,
      @RequestParam String code,
      @RequestParam String name,
      @RequestParam String percent,
      @RequestParam(defaultValue = "false") boolean active,
      RedirectAttributes after) {
    Optional<BigDecimal> rate = Figures.read(percent.replace("%", ""));
    if (rate.isEmpty()
        || rate.get().signum() < 0
        || rate.get().compareTo(BigDecimal.valueOf(100)) > 0
        || rate.get().scale() > 4)
      return wrong(
          after, "/tax", "\"" + percent + "\" is not a rate; write percent between 0 and 100.");
    if (code.isBlank() || code.length() > 20)
      return wrong(after, "/tax", "A rate needs a code of at most 20 letters.");
    boolean[] done = {true};
    String page =
        kept(
            after,
            "/tax",
            name,
            80,
            () -> done[0] = setup.saveTaxRate(id, code.strip(), name.strip(), rate.get(), active));
    if (done[0]) return page;
    return wrong(after, "/tax", "Papers have used this rate; switch it off and make a new one.");
  }

  @PostMapping("/setup/reasons")
  String saveReason(
      @RequestParam long id,
      @RequestParam String name,
      @RequestParam long account,
      @RequestParam(defaultValue = "false") boolean active,
      RedirectAttributes after) {
    Optional<Account> bears = accounts.all().stream().filter(a -> a.id() == account).findFirst();
    if (bears.isEmpty() || bears.get().role().control())
      return wrong(after, "/reasons", "Which account bears it? One that is no control account.");
    return kept(
        after, "/reasons", name, 80, () -> setup.saveReason(id, name.strip(), account, active));
  }

  private static String kept(
      RedirectAttributes after, String page, String name, int longest, Runnable save) {
    if (name.isBlank() || name.length() > longest)
      return wrong(after, page, "A name of at most " + longest + " letters is needed.");
    try {
      save.run();
    } catch (DuplicateKeyException twice) {
      return wrong(after, page, "There is one called " + name.strip() + " already.");
    }
    after.addFlashAttribute("told", "Kept.");
    return "redirect:/setup" + page;
  }

  @GetMapping("/setup/people")
  String people(Model model) {
    model.addAttribute("tab", "people");
    model.addAttribute("people", people.all());
    model.addAttribute("roles", Person.Role.values());
    return "setup/people";
  }

  @PostMapping("/setup/people")
  String addPerson(
      @RequestParam String login,
      @RequestParam String name,
      @RequestParam String password,
      @RequestParam Person.Role role,
      RedirectAttributes after) {
    if (!login.matches("[A-Za-z0-9._-]{2,60}"))
      return wrong(after, "/people", "A sign-in has two to sixty letters, digits, dots or dashes.");
    if (password.length() < 10)
      return wrong(after, "/people", "A password has at least ten characters.");
    return kept(
        after,
        "/people",
        name,
        120,
        () -> people.add(login, name.strip(), hashing.encode(password), role));
  }

  @PostMapping("/setup/people/change")
  String changePerson(
      @RequestParam long id,
      @RequestParam Person.Role role,
      @RequestParam(defaultValue = "false") boolean active,
      Principal who,
      RedirectAttributes after) {
    if (!people.change(id, role, active))
      return wrong(after, "/people", "One owner who can sign in must remain.");
    after.addFlashAttribute("told", "Kept.");
    return "redirect:/setup/people";
  }
}
