package zinctally.web.house;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.store.house.AtBook;
import zinctally.store.house.Hosted;
import zinctally.store.house.HouseListings;
import zinctally.store.house.HouseStore;
import zinctally.store.house.InHouse;
import zinctally.store.house.KeyStore;
import zinctally.store.people.PeopleStore;
import zinctally.store.people.Person;
import zinctally.store.people.Secret;
import zinctally.web.listing.ListingPage;
import zinctally.web.people.PresentPassword;
import zinctally.web.people.SignInDoor;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.SignedIn;

/** Somebody's books: going into one, and a key to one more. */
@Controller
@InHouse
class HouseController {
  static final String PAGE = "/books";
  private static final String BACK = "redirect:/books";
  private final HouseStore house;
  private final KeyStore keys;
  private final PeopleStore people;
  private final PresentPassword present;
  private final String unknown;
  private final ListingPage lists;
  private final Addresses addresses;

  HouseController(
      HouseStore house,
      KeyStore keys,
      PeopleStore people,
      PresentPassword present,
      PasswordEncoder hashing,
      ListingPage lists,
      Addresses addresses) {
    this.house = house;
    this.keys = keys;
    this.people = people;
    this.present = present;
    this.unknown = Objects.requireNonNull(hashing.encode(Secret.fresh()));
    this.lists = lists;
    this.addresses = addresses;
  }

  @GetMapping(PAGE)
  @Nullable String books(
      Model model, Principal who, HttpServletRequest request, HttpServletResponse response) {
    return lists.show(HouseListings.of(who.getName()), "house/books", model, request, response);
  }

  /** Into a book, with a ticket that is good once and for a moment. */
  @GetMapping("/books/open/{id}")
  String open(
      @PathVariable long id, Principal who, HttpServletRequest request, RedirectAttributes after) {
    KeyStore.Key key = key(who, id);
    Optional<Hosted> book = house.find(key.book()).filter(Hosted::open);
    if (book.isEmpty()) return wrong(after, "This book is closed; nobody is let in.");
    Optional<Person> person =
        AtBook.in(book.get().database(), () -> people.find(key.login())).filter(Person::active);
    if (person.isEmpty())
      return wrong(after, key.login() + " may not sign in there any more; ask the book's owner.");
    if (!key.fits(person.get().password()))
      return wrong(
          after,
          "The password of "
              + key.login()
              + " there was changed. Add the book again with the new.");
    return "redirect:"
        + addresses.ofBook(request, key.book())
        + SignInDoor.LED
        + "?by="
        + keys.ticket(key);
  }

  /** A key to a book, for who knows a sign-in and its password there. */
  @SignedIn
  @PostMapping("/me/books")
  String add(
      @RequestParam String book,
      @RequestParam String login,
      @RequestParam String password,
      Principal who,
      HttpServletRequest request,
      RedirectAttributes after) {
    after.addFlashAttribute("bookTyped", book);
    after.addFlashAttribute("loginTyped", login);
    Optional<Hosted> hosted = Optional.of(book.strip()).filter(Hosted::fits).flatMap(house::find);
    if (hosted.isEmpty() || !hosted.get().open())
      return wrong(
          after,
          "No open book stands at "
              + book.strip()
              + ". It is the first word of the book's own address.");
    Person there =
        AtBook.in(hosted.get().database(), () -> people.find(login))
            .filter(Person::active)
            .orElse(nobody(login));
    Optional<String> fault =
        AtBook.in(
            hosted.get().database(),
            () ->
                present.fault(
                    there,
                    password,
                    request,
                    "That sign-in and password do not go together in that book."));
    if (fault.isPresent()) return wrong(after, fault.get());
    keys.keep(me(who), hosted.get().name(), there.login(), there.password());
    after.addFlashAttribute("told", hosted.get().title() + " is among your books.");
    after.addFlashAttribute("bookTyped", "");
    after.addFlashAttribute("loginTyped", "");
    return BACK;
  }

  /** Asked for as anybody, so that it takes as long to be told that there is nobody. */
  private Person nobody(String login) {
    return new Person(0, login, "", unknown, Person.Role.READER, false, false, "", "");
  }

  @GetMapping("/books/keys/{id}")
  String ask(@PathVariable long id, Principal who, Model model) {
    KeyStore.Key key = key(who, id);
    model.addAttribute("key", key);
    model.addAttribute("hosted", house.find(key.book()).orElseThrow());
    return "house/let-go";
  }

  @SignedIn
  @PostMapping("/me/books/let-go")
  String letGo(@RequestParam long id, Principal who, RedirectAttributes after) {
    keys.drop(me(who), id);
    after.addFlashAttribute("told", "It is among your books no more. Nothing in it has changed.");
    return BACK;
  }

  private KeyStore.Key key(Principal who, long id) {
    return keys.find(me(who), id).orElseThrow(() -> new NotThere("key " + id));
  }

  private long me(Principal who) {
    return people.find(who.getName()).orElseThrow().id();
  }

  private static String wrong(RedirectAttributes after, String says) {
    after.addFlashAttribute("wrong", says);
    return BACK;
  }
}
