package zinctally.web.house;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.number.Coin;
import zinctally.store.Audit;
import zinctally.store.book.BookStore;
import zinctally.store.house.AtBook;
import zinctally.store.house.Hosted;
import zinctally.store.house.HouseListings;
import zinctally.store.house.HouseStore;
import zinctally.store.house.InHouse;
import zinctally.store.machine.MachineStore;
import zinctally.store.people.PeopleStore;
import zinctally.store.people.Person;
import zinctally.web.listing.ListingPage;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.Owns;
import zinctally.web.shell.Say;
import zinctally.web.shell.Typed;

/** For who keeps the house: its books, a new one, and what each may take. */
@Controller
@InHouse
class KeptBooksController {
  private static final String BACK = "redirect:/books/all";
  private final HouseStore house;
  private final BookStore books;
  private final PeopleStore people;
  private final Invited invited;
  private final Tidying tidying;
  private final MachineStore machine;
  private final Audit audit;
  private final ListingPage lists;
  private final Addresses addresses;
  private final Say say;
  private final Clock clock;

  KeptBooksController(
      HouseStore house,
      BookStore books,
      PeopleStore people,
      Invited invited,
      Tidying tidying,
      MachineStore machine,
      Audit audit,
      ListingPage lists,
      Addresses addresses,
      Say say,
      Clock clock) {
    this.house = house;
    this.books = books;
    this.people = people;
    this.invited = invited;
    this.tidying = tidying;
    this.machine = machine;
    this.audit = audit;
    this.lists = lists;
    this.addresses = addresses;
    this.say = say;
    this.clock = clock;
  }

  /** What is said of a book that is to be made. */
  record New(
      String address, String title, String currency, String cutOver, String name, String login) {}

  @Owns
  @GetMapping("/books/all")
  @Nullable String all(Model model, HttpServletRequest request, HttpServletResponse response) {
    return lists.show(HouseListings.all(), "house/all", model, request, response);
  }

  @Owns
  @GetMapping("/books/new")
  String ask(Model model) {
    String year = LocalDate.now(clock).withDayOfYear(1).toString();
    return asked(new New("", "", "EUR", year, "", ""), Map.of(), model);
  }

  private static String asked(New typed, Map<String, String> faults, Model model) {
    model.addAttribute("typed", typed);
    model.addAttribute("faults", faults);
    return "house/new";
  }

  @Owns
  @PostMapping("/books/new")
  String make(
      @ModelAttribute New typed,
      Model model,
      Principal who,
      HttpServletRequest request,
      RedirectAttributes after) {
    Map<String, String> faults = new LinkedHashMap<>();
    Typed cells =
        new Typed(
            Map.of("title", typed.title, "name", typed.name, "cutOver", typed.cutOver), faults);
    cells.needed("title", 120, "What is the business called?");
    cells.needed("name", 120, "The owner's name, as it should stand beside papers.");
    if (!Hosted.fits(typed.address.strip()))
      faults.put(
          "address", "Two to thirty small letters, digits and dashes, beginning with a letter.");
    if (!Person.isLogin(typed.login))
      faults.put("login", "Two to sixty letters, digits, dots or dashes.");
    Optional<Coin> coin = Coin.named(typed.currency);
    if (coin.isEmpty())
      faults.put("currency", "Three letters of ISO 4217, such as EUR, GBP or JPY.");
    Optional<LocalDate> cutOver = cells.day("cutOver", true, LocalDate.now(clock));
    Hosted book = new Hosted(typed.address.strip(), typed.title.strip(), true, Hosted.Limits.USUAL);
    if (faults.isEmpty() && !made(book, typed, coin.orElseThrow(), cutOver.orElseThrow()))
      faults.put("address", "There is a book at this address already.");
    if (!faults.isEmpty()) return asked(typed, faults, model);
    audit.write(who.getName(), "book", 0, "made a book", book.name());
    String address = addresses.ofBook(request, book.name());
    after.addFlashAttribute("linkFor", typed.name);
    after.addFlashAttribute(
        "link",
        AtBook.in(
            book.database(),
            () -> invited.link(address, people.find(typed.login).orElseThrow(), who.getName())));
    return BACK + "/" + book.name();
  }

  /** Makes a book, or ends making one that was broken off before anybody owned it. */
  private boolean made(Hosted book, New typed, Coin coin, LocalDate cutOver) {
    house.add(book);
    try (AtBook.Stay stay = AtBook.go(book.database())) {
      boolean begun =
          books.begin(typed.title.strip(), coin, cutOver, () -> owned(typed.login, typed.name));
      tidying.seen();
      return begun;
    }
  }

  private boolean owned(String login, String name) {
    if (!people.nobody()) return false;
    invited.add(login, name, Person.Role.OWNER);
    return true;
  }

  @Owns
  @GetMapping("/books/all/{name}")
  String one(@PathVariable String name, Model model, HttpServletRequest request) {
    Hosted book = house.find(name).orElseThrow(() -> new NotThere("book " + name));
    model.addAttribute("hosted", book);
    model.addAttribute("address", addresses.ofBook(request, name));
    AtBook.in(
        book.database(),
        () -> {
          model.addAttribute("takes", say.bytes(machine.database().bytes()));
          model.addAttribute("backup", machine.newestBackup().orElse(null));
          return model.addAttribute("active", people.active());
        });
    return "house/book";
  }

  @Owns
  @PostMapping("/books/all/{name}")
  String change(
      @PathVariable String name,
      @RequestParam(defaultValue = "false") boolean open,
      @RequestParam int people,
      @RequestParam int atOnce,
      @RequestParam int megabytes,
      Principal who,
      RedirectAttributes after) {
    Hosted.Limits limits = new Hosted.Limits(people, atOnce, megabytes);
    if (!limits.sound()) {
      after.addFlashAttribute(
          "wrong",
          "One to a thousand people, one to twenty things at one moment, ten megabytes or more.");
      return BACK + "/" + name;
    }
    if (!house.change(name, open, limits)) throw new NotThere("book " + name);
    audit.write(
        who.getName(),
        "book",
        0,
        "changed what a book may",
        name + (open ? ": open, " : ": closed, ") + limits);
    after.addFlashAttribute("told", "Kept.");
    return BACK + "/" + name;
  }
}
