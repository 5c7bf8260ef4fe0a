package zinctally.web.people;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.springframework.core.env.Environment;
import org.springframework.core.env.Profiles;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.util.matcher.IpAddressMatcher;
import org.springframework.security.web.util.matcher.OrRequestMatcher;
import org.springframework.security.web.util.matcher.RequestMatcher;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import zinctally.core.number.Coin;
import zinctally.store.book.BookStore;
import zinctally.store.house.AtBook;
import zinctally.store.people.PeopleStore;
import zinctally.store.people.Person;
import zinctally.web.prove.Checks;
import zinctally.web.shell.NewPassword;
import zinctally.web.shell.Typed;

/** Signing in, and the first visit to an empty book. */
@Controller
public class SignInController {
  /** Where a house that nobody keeps yet gets its keeper. */
  public static final String FIRST_KEEPER = "/books/first";

  private static final RequestMatcher LOOPBACK =
      new OrRequestMatcher(new IpAddressMatcher("127.0.0.0/8"), new IpAddressMatcher("::1"));
  private final PeopleStore people;
  private final BookStore books;
  private final PasswordEncoder hashing;
  private final Checks checks;
  private final Clock clock;
  private final boolean demo;

  SignInController(
      PeopleStore people,
      BookStore books,
      PasswordEncoder hashing,
      Checks checks,
      Clock clock,
      Environment environment) {
    this.checks = checks;
    this.clock = clock;
    this.people = people;
    this.books = books;
    this.hashing = hashing;
    this.demo = environment.acceptsProfiles(Profiles.of("demo"));
  }

  /** What the first visitor says. */
  record First(
      String book, String currency, String cutOver, String name, String login, String password) {}

  @GetMapping("/sign-in")
  String signIn(Model model) {
    if (people.nobody()) return "redirect:" + (AtBook.house() ? FIRST_KEEPER : "/first");
    model.addAttribute("demo", demo);
    return "people/sign-in";
  }

  /**
   * Whoever makes the first sign-in owns the book; so it is made at the machine it lies on.
   *
   * @param request as it came, or as the named proxy says it came
   */
  public static boolean fromElsewhere(HttpServletRequest request) {
    return !LOOPBACK.matches(request) && !request.getRemoteAddr().equals(request.getLocalAddr());
  }

  @GetMapping("/first")
  String first(Model model, HttpServletRequest request) {
    if (!people.nobody()) return "redirect:/";
    if (fromElsewhere(request)) return "people/first";
    String year = LocalDate.now(clock).withDayOfYear(1).toString();
    model.addAttribute("first", new First("", "EUR", year, "", "", ""));
    model.addAttribute("faults", Map.of());
    return "people/first";
  }

  @PostMapping("/first")
  String begin(@ModelAttribute First first, Model model, HttpServletRequest request) {
    if (!people.nobody()) return "redirect:/";
    if (fromElsewhere(request)) return "people/first";
    Map<String, String> faults = new LinkedHashMap<>();
    Typed typed =
        new Typed(
            Map.of("book", first.book(), "name", first.name(), "cutOver", first.cutOver()), faults);
    typed.needed("book", 120, "What is the business called?");
    typed.needed("name", 120, "Your name, as it should stand beside papers.");
    if (!Person.isLogin(first.login()))
      faults.put("login", "Two to sixty letters, digits, dots or dashes.");
    NewPassword.fault(first.password(), first.login(), first.name())
        .ifPresent(says -> faults.put("password", says));
    Optional<Coin> coin = Coin.named(first.currency());
    if (coin.isEmpty())
      faults.put("currency", "Three letters of ISO 4217, such as EUR, GBP or JPY.");
    Optional<LocalDate> cutOver = typed.day("cutOver", true, LocalDate.now(clock));
    if (!faults.isEmpty()) {
      model.addAttribute("first", first);
      model.addAttribute("faults", faults);
      return "people/first";
    }
    if (!books.begin(
        first.book().strip(), coin.orElseThrow(), cutOver.orElseThrow(), () -> owner(first)))
      return "redirect:/sign-in";
    checks.soon("start");
    return "redirect:/sign-in?made";
  }

  private boolean owner(First first) {
    if (!people.nobody()) return false;
    people.add(
        first.login(),
        first.name().strip(),
        Objects.requireNonNull(hashing.encode(first.password())),
        Person.Role.OWNER);
    return true;
  }
}
