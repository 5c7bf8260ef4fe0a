package zinctally.web.setup;

import java.security.Principal;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.springframework.web.util.UriComponentsBuilder;
import zinctally.core.number.Form;
import zinctally.store.book.SetUp;
import zinctally.store.house.HouseStore;
import zinctally.store.people.PasswordLinks;
import zinctally.store.people.PeopleStore;
import zinctally.store.people.Person;
import zinctally.store.people.RoleMay;
import zinctally.store.people.SecondStep;
import zinctally.web.people.Sessions;
import zinctally.web.shell.NewPassword;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.Owns;

/** Who may sign in, and as what. */
@Controller
class PeopleController {
  private final SetUp setUp;
  private final PeopleStore people;
  private final PasswordEncoder hashing;
  private final PasswordLinks links;
  private final Sessions sessions;
  private final SecondStep second;
  private final RoleMay may;
  private final Trail trail;
  private final ObjectProvider<HouseStore> house;

  PeopleController(
      SetUp setUp,
      PeopleStore people,
      PasswordEncoder hashing,
      PasswordLinks links,
      Sessions sessions,
      SecondStep second,
      RoleMay may,
      Trail trail,
      ObjectProvider<HouseStore> house) {
    this.house = house;
    this.may = may;
    this.second = second;
    this.setUp = setUp;
    this.people = people;
    this.hashing = hashing;
    this.links = links;
    this.sessions = sessions;
    this.trail = trail;
  }

  @Owns
  @GetMapping("/setup/people")
  String people(Model model) {
    model.addAttribute("people", people.all());
    model.addAttribute("roles", Person.Role.values());
    model.addAttribute("forms", Form.values());
    model.addAttribute("demanded", second.demanded());
    model.addAttribute("on", second.whoseIsOn());
    Map<Person.Role, RoleMay.Given> given = new LinkedHashMap<>();
    RoleMay.SAID_FOR.forEach(role -> given.put(role, may.of(role)));
    model.addAttribute("given", given);
    return "setup/people";
  }

  @Owns
  @PostMapping("/setup/people")
  String addPerson(
      @RequestParam String login,
      @RequestParam String name,
      @RequestParam String password,
      @RequestParam Person.Role role,
      RedirectAttributes after) {
    if (!Person.isLogin(login))
      return Answer.wrong(
          after, "/people", "A sign-in has two to sixty letters, digits, dots or dashes.");
    Optional<String> weak = NewPassword.fault(password, login, name);
    if (weak.isPresent()) return Answer.wrong(after, "/people", "Password: " + weak.get());
    return setUp.alone(() -> added(login, name, password, role, after));
  }

  private String added(
      String login, String name, String password, Person.Role role, RedirectAttributes after) {
    Optional<String> full = full();
    if (full.isPresent()) return Answer.wrong(after, "/people", full.get());
    return Answer.kept(
        after,
        "/people",
        name,
        120,
        () ->
            people.add(
                login, name.strip(), Objects.requireNonNull(hashing.encode(password)), role));
  }

  /** Why nobody more may sign in, where a house says how many may. */
  private Optional<String> full() {
    return Optional.ofNullable(house.getIfAvailable())
        .flatMap(HouseStore::here)
        .map(book -> book.limits().people())
        .filter(most -> people.active() >= most)
        .map(
            most ->
                "No more than "
                    + most
                    + " may sign in to this book, and as many do. Switch one off first, or ask who"
                    + " keeps the house for more.");
  }

  @Owns
  @PostMapping("/setup/people/change")
  String changePerson(
      @RequestParam long id,
      @RequestParam Person.Role role,
      @RequestParam(defaultValue = "false") boolean active,
      @RequestParam(defaultValue = "false") boolean maySellShort,
      @RequestParam(defaultValue = "") String initials,
      @RequestParam(defaultValue = "") String figures,
      Principal who,
      RedirectAttributes after) {
    if (!initials.strip().matches("\\p{L}{0,6}"))
      return Answer.wrong(after, "/people", "Initials are up to six letters.");
    return setUp.alone(
        () -> changed(id, role, active, maySellShort, initials, figures, who, after));
  }

  private String changed(
      long id,
      Person.Role role,
      boolean active,
      boolean maySellShort,
      String initials,
      String figures,
      Principal who,
      RedirectAttributes after) {
    if (!initials.isBlank()
        && people.all().stream()
            .anyMatch(p -> p.id() != id && p.initials().equalsIgnoreCase(initials.strip())))
      return Answer.wrong(after, "/people", "Someone else has the initials " + initials + ".");
    Person before = people.find(id).orElseThrow(() -> new NotThere("person " + id));
    Optional<String> full = active && !before.active() ? full() : Optional.empty();
    if (full.isPresent()) return Answer.wrong(after, "/people", full.get());
    if (!people.change(id, role, active, maySellShort))
      return Answer.wrong(after, "/people", "One owner who can sign in must remain.");
    people.initials(id, initials.strip());
    people.figures(id, figures.isEmpty() ? "" : Form.of(figures).name());
    trail.leave(
        who, "person", id, Optional.of(said(before)), people.find(id).map(PeopleController::said));
    if (before.role() != role || before.active() != active) sessions.end(before.login());
    after.addFlashAttribute("told", "Kept.");
    return "redirect:/setup/people";
  }

  private static String said(Person person) {
    return person.login()
        + ", "
        + person.role().words()
        + (person.active() ? "" : ", off")
        + (person.maySellShort() ? ", may sell short" : "")
        + (person.initials().isEmpty() ? "" : ", " + person.initials());
  }

  /** Of whom a code is demanded after the password; who has none sets it up at the next sign-in. */
  @Owns
  @PostMapping("/setup/people/second")
  String demand(
      @RequestParam(required = false) Set<Person.Role> role,
      Principal who,
      RedirectAttributes after) {
    Set<Person.Role> before = second.demanded();
    Set<Person.Role> roles = role == null ? Set.of() : new TreeSet<>(role);
    second.demand(roles);
    trail.leave(
        who, "second step", 0, Optional.of(before.toString()), Optional.of(roles.toString()));
    people.all().stream()
        .filter(p -> roles.contains(p.role()) && !second.isOn(p.login()))
        .filter(p -> !p.login().equals(who.getName()))
        .forEach(p -> sessions.end(p.login()));
    after.addFlashAttribute("told", "Kept.");
    return "redirect:/setup/people";
  }

  /** For who has lost the device: the password alone lets in again. */
  @Owns
  @PostMapping("/setup/people/second/off")
  String withoutDevice(@RequestParam long id, Principal who, RedirectAttributes after) {
    Person person = people.find(id).orElseThrow(() -> new NotThere("person " + id));
    second.end(person, who.getName());
    after.addFlashAttribute("told", person.name() + " signs in with the password alone.");
    return "redirect:/setup/people";
  }

  /** A link that the owner hands over, for who has forgotten a password. */
  @Owns
  @PostMapping("/setup/people/link")
  String link(
      @RequestParam long id, Principal who, UriComponentsBuilder here, RedirectAttributes after) {
    Person person = people.find(id).orElseThrow(() -> new NotThere("person " + id));
    if (!person.active())
      return Answer.wrong(
          after, "/people", person.name() + " is switched off; a link would lead nowhere.");
    String secret = links.make(person, who.getName());
    after.addFlashAttribute("linkFor", person.name());
    after.addFlashAttribute(
        "link", here.path("/new-password").queryParam("by", secret).build().toUriString());
    return "redirect:/setup/people";
  }
}
