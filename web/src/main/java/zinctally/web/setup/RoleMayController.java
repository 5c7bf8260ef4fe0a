package zinctally.web.setup;

import java.math.BigDecimal;
import java.security.Principal;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.number.Figures;
import zinctally.core.papers.Allowed;
import zinctally.store.people.Person;
import zinctally.store.people.RoleMay;
import zinctally.web.shell.Owns;

/** What the owner lets those do and see who do not do the books. */
@Controller
class RoleMayController {
  private static final BigDecimal ALL_OF_IT = BigDecimal.valueOf(100);
  private final RoleMay roles;

  RoleMayController(RoleMay roles) {
    this.roles = roles;
  }

  @Owns
  @PostMapping("/setup/people/may")
  String give(
      @RequestParam Person.Role role,
      @RequestParam(defaultValue = "false") boolean costs,
      @RequestParam(defaultValue = "false") boolean ledger,
      @RequestParam(defaultValue = "false") boolean anyPrice,
      @RequestParam(defaultValue = "0") String discount,
      @RequestParam(defaultValue = "false") boolean underCost,
      @RequestParam(defaultValue = "false") boolean overLimit,
      @RequestParam(defaultValue = "false") boolean changes,
      Principal who,
      RedirectAttributes after) {
    Optional<BigDecimal> percent =
        Figures.read(discount.replace("%", "").strip())
            .filter(p -> p.signum() >= 0 && p.compareTo(ALL_OF_IT) <= 0 && p.scale() <= 4);
    if (percent.isEmpty())
      return Answer.wrong(
          after, "/people", "\"" + discount + "\" is not a discount from 0 to 100 percent.");
    if (ledger && !costs)
      return Answer.wrong(
          after,
          "/people",
          "The ledger tells what goods cost: give the "
              + role.words()
              + " costs, too, or neither.");
    Allowed selling = new Allowed(anyPrice, percent.get(), underCost, overLimit);
    roles.give(role, new RoleMay.Given(costs, ledger, selling, changes), who.getName());
    after.addFlashAttribute("told", "Kept.");
    return "redirect:/setup/people";
  }
}
