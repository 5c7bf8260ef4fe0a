package zinctally.web.people;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.nio.charset.StandardCharsets;
import java.security.Principal;
import java.util.List;
import java.util.Optional;
import org.apache.commons.codec.binary.Base32;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.springframework.web.util.UriUtils;
import zinctally.store.people.PeopleStore;
import zinctally.store.people.Person;
import zinctally.store.people.SecondStep;
import zinctally.web.picture.QrPicture;
import zinctally.web.shell.SignedIn;

/** One's own second step of signing in. */
@Controller
class SecondStepController {
  static final String PAGE = "/me/second";
  private static final String NEW = "new secret";
  private final PeopleStore people;
  private final SecondStep second;
  private final PresentPassword present;

  SecondStepController(PeopleStore people, SecondStep second, PresentPassword present) {
    this.people = people;
    this.second = second;
    this.present = present;
  }

  private Person person(Principal who) {
    return people.find(who.getName()).orElseThrow();
  }

  @GetMapping(PAGE)
  String second(Model model, Principal who, HttpServletRequest request) {
    boolean on = second.isOn(who.getName());
    model.addAttribute("on", on);
    model.addAttribute("demanded", second.demanded().contains(person(who).role()));
    if (!on) offer(model, who, request.getSession());
    return "people/second";
  }

  /** The secret stays the same while the page is open, so that a mistyped code can be mended. */
  private void offer(Model model, Principal who, HttpSession session) {
    if (!(session.getAttribute(NEW) instanceof byte[]))
      session.setAttribute(NEW, second.newSecret());
    String secret =
        new Base32().encodeToString((byte[]) session.getAttribute(NEW)).replace("=", "");
    String name = UriUtils.encode("Zinc Tally:" + who.getName(), StandardCharsets.UTF_8);
    model.addAttribute(
        "picture",
        QrPicture.of("otpauth://totp/" + name + "?secret=" + secret + "&issuer=Zinc%20Tally"));
    model.addAttribute("secret", secret.replaceAll("(.{4})(?=.)", "$1 "));
  }

  /** On once the device has shown that it has the secret; the spare codes are shown this once. */
  @SignedIn
  @PostMapping(PAGE)
  String begin(
      @RequestParam(defaultValue = "") String code,
      Model model,
      Principal who,
      HttpServletRequest request,
      RedirectAttributes after) {
    HttpSession session = request.getSession();
    List<String> spare =
        session.getAttribute(NEW) instanceof byte[] secret && !second.isOn(who.getName())
            ? second.begin(person(who), secret, code.replaceAll("\\s", ""))
            : List.of();
    if (spare.isEmpty())
      return wrong(
          after,
          "That is not the code it shows now. Is the time on the device right? Try the next.");
    session.removeAttribute(NEW);
    session.removeAttribute(HalfIn.DEMANDED);
    model.addAttribute("spare", spare);
    return "people/spare";
  }

  @SignedIn
  @PostMapping(PAGE + "/off")
  String end(
      @RequestParam(defaultValue = "") String now,
      Principal who,
      HttpServletRequest request,
      RedirectAttributes after) {
    Person person = person(who);
    if (second.demanded().contains(person.role()))
      return wrong(
          after, "The owner demands a second step of every " + person.role().words() + ".");
    Optional<String> fault = present.fault(person, now, request);
    if (fault.isPresent()) return wrong(after, fault.get());
    second.end(person, person.login());
    after.addFlashAttribute("told", "You sign in with your password alone.");
    return "redirect:/me";
  }

  private static String wrong(RedirectAttributes after, String says) {
    after.addFlashAttribute("wrong", says);
    return "redirect:" + PAGE;
  }
}
