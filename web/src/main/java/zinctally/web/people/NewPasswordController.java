package zinctally.web.people;

import java.util.Objects;
import java.util.Optional;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zinctally.store.people.PasswordLinks;
import zinctally.web.shell.NewPassword;

/** A new password by a link from the owner, for who has forgotten his. */
@Controller
class NewPasswordController {
  static final String PAGE = "/new-password";
  private final PasswordLinks links;
  private final PasswordEncoder hashing;
  private final Sessions sessions;

  NewPasswordController(PasswordLinks links, PasswordEncoder hashing, Sessions sessions) {
    this.links = links;
    this.hashing = hashing;
    this.sessions = sessions;
  }

  @GetMapping(PAGE)
  String ask(@RequestParam(defaultValue = "") String by, Model model) {
    model.addAttribute("login", links.whose(by).orElse(null));
    model.addAttribute("by", by);
    return "people/new-password";
  }

  @PostMapping(PAGE)
  String set(@RequestParam String by, @RequestParam String next, Model model) {
    Optional<String> whose = links.whose(by);
    Optional<String> weak = NewPassword.fault(next, whose.orElse(""), "");
    if (whose.isPresent() && weak.isPresent()) {
      model.addAttribute("fault", weak.get());
      return ask(by, model);
    }
    Optional<String> login = links.use(by, Objects.requireNonNull(hashing.encode(next)));
    if (login.isEmpty()) return ask(by, model);
    sessions.end(login.get());
    return "redirect:/sign-in?renewed";
  }
}
