package zinctally.web.house;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.store.house.HouseListings;
import zinctally.store.house.InHouse;
import zinctally.store.people.PasswordLinks;
import zinctally.store.people.PeopleStore;
import zinctally.store.people.Person;
import zinctally.store.people.SecondStep;
import zinctally.web.listing.ListingPage;
import zinctally.web.people.Sessions;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.Owns;

/** Who may sign in at the house. What they may in a book, the book's owner says there. */
@Controller
@InHouse
class HousePeopleController {
  private static final String BACK = "redirect:/books/people";
  private final PeopleStore people;
  private final PasswordLinks links;
  private final PasswordEncoder hashing;
  private final SecondStep second;
  private final Sessions sessions;
  private final ListingPage lists;
  private final Addresses addresses;

  HousePeopleController(
      PeopleStore people,
      PasswordLinks links,
      PasswordEncoder hashing,
      SecondStep second,
      Sessions sessions,
      ListingPage lists,
      Addresses addresses) {
    this.people = people;
    this.links = links;
    this.hashing = hashing;
    this.second = second;
    this.sessions = sessions;
    this.lists = lists;
    this.addresses = addresses;
  }

  @Owns
  @GetMapping("/books/people")
  @Nullable String all(Model model, HttpServletRequest request, HttpServletResponse response) {
    return lists.show(HouseListings.people(), "house/people", model, request, response);
  }

  @Owns
  @PostMapping("/books/people")
  String add(
      @RequestParam String login,
      @RequestParam String name,
      @RequestParam(defaultValue = "false") boolean keeps,
      Principal who,
      HttpServletRequest request,
      RedirectAttributes after) {
    after.addFlashAttribute("nameTyped", name);
    after.addFlashAttribute("loginTyped", login);
    if (!Person.isLogin(login))
      return wrong(after, "A sign-in has two to sixty letters, digits, dots or dashes.");
    if (name.isBlank() || name.length() > 120)
      return wrong(after, "A name of at most 120 letters is needed.");
    try {
      people.add(
          login,
          name.strip(),
          String.valueOf(hashing.encode(UUID.randomUUID().toString())),
          keeps ? Person.Role.OWNER : Person.Role.READER);
    } catch (DuplicateKeyException taken) {
      return wrong(after, "Somebody signs in as " + login + " already.");
    }
    return linked(people.find(login).orElseThrow(), who, request, after);
  }

  @Owns
  @GetMapping("/books/people/{id}")
  String one(@PathVariable long id, Model model) {
    Person person = person(id);
    model.addAttribute("person", person);
    model.addAttribute("second", second.isOn(person.login()));
    return "house/person";
  }

  @Owns
  @PostMapping("/books/people/{id}")
  String change(
      @PathVariable long id,
      @RequestParam(defaultValue = "false") boolean active,
      @RequestParam(defaultValue = "false") boolean keeps,
      RedirectAttributes after) {
    Person before = person(id);
    Person.Role role = keeps ? Person.Role.OWNER : Person.Role.READER;
    if (!people.change(id, role, active, false)) {
      after.addFlashAttribute("wrong", "One who keeps the house must remain.");
      return BACK + "/" + id;
    }
    if (before.role() != role || before.active() != active) sessions.end(before.login());
    after.addFlashAttribute("told", "Kept.");
    return BACK + "/" + id;
  }

  @Owns
  @PostMapping("/books/people/{id}/link")
  String link(
      @PathVariable long id, Principal who, HttpServletRequest request, RedirectAttributes after) {
    return linked(person(id), who, request, after);
  }

  private String linked(
      Person person, Principal who, HttpServletRequest request, RedirectAttributes after) {
    if (!person.active()) return wrong(after, person.name() + " is off; a link leads nowhere.");
    after.addFlashAttribute("linkFor", person.name());
    after.addFlashAttribute(
        "link",
        addresses.ofHouse(request) + "/new-password?by=" + links.make(person, who.getName()));
    return BACK + "/" + person.id();
  }

  /** For who has lost the device. */
  @Owns
  @PostMapping("/books/people/{id}/without-code")
  String withoutCode(@PathVariable long id, Principal who, RedirectAttributes after) {
    second.end(person(id), who.getName());
    after.addFlashAttribute("told", "The password alone lets in again.");
    return BACK + "/" + id;
  }

  private Person person(long id) {
    return people.find(id).orElseThrow(() -> new NotThere("person " + id));
  }

  private static String wrong(RedirectAttributes after, String says) {
    after.addFlashAttribute("wrong", says);
    return BACK;
  }
}
