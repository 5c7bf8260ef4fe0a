package zinctally.web.house;

import jakarta.servlet.http.HttpServletRequest;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zinctally.store.house.InHouse;
import zinctally.store.people.PeopleStore;
import zinctally.store.people.Person;
import zinctally.web.people.SignInController;
import zinctally.web.shell.NewPassword;

/** The first visit to a house that nobody keeps yet. */
@Controller
@InHouse
class FirstKeeperController {
  private final PeopleStore people;
  private final PasswordEncoder hashing;

  FirstKeeperController(PeopleStore people, PasswordEncoder hashing) {
    this.people = people;
    this.hashing = hashing;
  }

  @GetMapping(SignInController.FIRST_KEEPER)
  String ask(Model model, HttpServletRequest request) {
    if (!people.nobody()) return "redirect:/";
    return asked("", "", Map.of(), model, request);
  }

  private static String asked(
      String name,
      String login,
      Map<String, String> faults,
      Model model,
      HttpServletRequest request) {
    model.addAttribute("elsewhere", SignInController.fromElsewhere(request));
    model.addAttribute("name", name);
    model.addAttribute("login", login);
    model.addAttribute("faults", faults);
    return "house/first";
  }

  @PostMapping(SignInController.FIRST_KEEPER)
  String begin(
      @RequestParam String name,
      @RequestParam String login,
      @RequestParam String password,
      Model model,
      HttpServletRequest request) {
    if (!people.nobody()) return "redirect:/";
    Map<String, String> faults = new LinkedHashMap<>();
    if (name.isBlank() || name.length() > 120) faults.put("name", "Your name.");
    if (!Person.isLogin(login))
      faults.put("login", "Two to sixty letters, digits, dots or dashes.");
    NewPassword.fault(password, login, name).ifPresent(says -> faults.put("password", says));
    if (!faults.isEmpty() || SignInController.fromElsewhere(request))
      return asked(name, login, faults, model, request);
    return people.first(login, name.strip(), Objects.requireNonNull(hashing.encode(password)))
        ? "redirect:/sign-in?made"
        : "redirect:/sign-in";
  }
}
