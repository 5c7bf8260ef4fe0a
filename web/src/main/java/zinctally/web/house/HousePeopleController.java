package zinctally.web.house;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.store.Audit;
import zinctally.store.house.HouseListings;
import zinctally.store.house.InHouse;
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
  private final Invited invited;
  private final Audit audit;
  private final SecondStep second;
  private final Sessions sessions;
  private final ListingPage lists;
  private final Addresses addresses;

  HousePeopleController(
      PeopleStore people,
      Invited invited,
      Audit audit,
      SecondStep second,
      Sessions sessions,
      ListingPage lists,
      Addresses addresses) {
    this.people = people;
    this.invited = invited;
    this.audit = audit;
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
    if (!Person.isLogin(login))
      return wrong(after, "A sign-in has two to sixty letters, digits, dots or dashes.");
    if (name.isBlank() || name.length() > 120)
      return wrong(after, "A name of at most 120 letters is needed.");
    try {
      invited.add(login, name, keeps ? Person.Role.OWNER : Person.Role.READER);
    } catch (DuplicateKeyException taken) {
      return wrong(after, "Somebody signs in as " + login + " already.");
    }
    Person made = people.find(login).orElseThrow();
    audit.write(who.getName(), "person", made.id(), "made", login + said(keeps, true));
    return linked(made, who, request, after);
  }

  private static String said(boolean keeps, boolean active) {
    return (keeps ? ", keeps the house" : "") + (active ? "" : ", off");
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
      Principal who,
      RedirectAttributes after) {
    Person before = person(id);
    Person.Role role = keeps ? Person.Role.OWNER : Person.Role.READER;
    if (!people.change(id, role, active, false)) {
      after.addFlashAttribute("wrong", "One who keeps the house must remain.");
      return BACK + "/" + id;
    }
    audit.write(who.getName(), "person", id, "changed", before.login() + said(keeps, active));
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
        "link", invited.link(addresses.ofHouse(request), person, who.getName()));
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
