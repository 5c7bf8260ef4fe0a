package zinctally.web.people;

import jakarta.servlet.http.HttpServletRequest;
import java.security.Principal;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.Objects;
import java.util.Optional;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.store.people.PeopleStore;
import zinctally.store.people.Person;
import zinctally.store.people.SecondStep;
import zinctally.web.shell.NewPassword;
import zinctally.web.shell.Say;
import zinctally.web.shell.SignedIn;

/** What a person does about his own sign-in: another password, and where he is signed in. */
@Controller
class MeController {
  private final PeopleStore people;
  private final PasswordEncoder hashing;
  private final Sessions sessions;
  private final PresentPassword present;
  private final SecondStep second;
  private final Say say;
  private final Clock clock;

  MeController(
      PeopleStore people,
      PasswordEncoder hashing,
      Sessions sessions,
      PresentPassword present,
      SecondStep second,
      Say say,
      Clock clock) {
    this.people = people;
    this.hashing = hashing;
    this.sessions = sessions;
    this.present = present;
    this.second = second;
    this.say = say;
    this.clock = clock;
  }

  /** A session in words. */
  record Shown(String since, String last, boolean here) {}

  @GetMapping("/me")
  String me(Model model, Principal who, HttpServletRequest request) {
    model.addAttribute(
        "sessions",
        sessions.of(who.getName(), here(request)).stream()
            .map(s -> new Shown(moment(s.since()), moment(s.last()), s.here()))
            .toList());
    model.addAttribute("second", second.isOn(who.getName()));
    return "people/me";
  }

  private String moment(Instant at) {
    return say.moment(LocalDateTime.ofInstant(at, clock.getZone()));
  }

  private static String here(HttpServletRequest request) {
    return request.getSession().getId();
  }

  @SignedIn
  @PostMapping("/me/password")
  String password(
      @RequestParam String now,
      @RequestParam String next,
      Principal who,
      HttpServletRequest request,
      RedirectAttributes after) {
    Person person = people.find(who.getName()).orElseThrow();
    Optional<String> fault = present.fault(person, now, request);
    if (fault.isPresent()) return wrong(after, fault.get());
    Optional<String> weak = NewPassword.fault(next, person.login(), person.name());
    if (weak.isPresent()) return wrong(after, "The new one: " + weak.get());
    people.password(person, Objects.requireNonNull(hashing.encode(next)), person.login());
    sessions.endOthers(person.login(), here(request));
    after.addFlashAttribute(
        "told", "Your password is changed; you are signed out everywhere else.");
    return "redirect:/me";
  }

  private static String wrong(RedirectAttributes after, String says) {
    after.addFlashAttribute("wrong", says);
    return "redirect:/me";
  }

  @SignedIn
  @PostMapping("/me/elsewhere")
  String elsewhere(Principal who, HttpServletRequest request, RedirectAttributes after) {
    sessions.endOthers(who.getName(), here(request));
    after.addFlashAttribute("told", "You are signed out everywhere else.");
    return "redirect:/me";
  }
}
