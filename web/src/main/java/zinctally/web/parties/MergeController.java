package zinctally.web.parties;

import java.security.Principal;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.papers.Party;
import zinctally.store.book.SetUp;
import zinctally.store.parties.MergeStore;
import zinctally.store.parties.MergeStore.Named;
import zinctally.store.prove.BalanceStore;
import zinctally.store.setup.SetupStore;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.SetsUp;

/** Two suppliers or customers that are one: what would move is shown before it does. */
@Controller
class MergeController {
  private static final int OFFERED = 300;
  private final SetUp setUp;
  private final SetupStore setup;
  private final MergeStore parties;
  private final BalanceStore balances;

  MergeController(SetUp setUp, SetupStore setup, MergeStore parties, BalanceStore balances) {
    this.setUp = setUp;
    this.setup = setup;
    this.parties = parties;
    this.balances = balances;
  }

  private Named party(long id) {
    return parties.find(id).orElseThrow(() -> new NotThere("party " + id));
  }

  /** Where a party's card is. */
  static String card(Named party) {
    return (party.kind() == Party.Kind.SUPPLIER ? "/buy/supplier/" : "/sell/customer/")
        + party.id();
  }

  @SetsUp
  @GetMapping("/parties/{id:\\d+}/merge")
  String ask(@PathVariable long id, @RequestParam(defaultValue = "") String into, Model model) {
    Named from = party(id);
    Optional<Named> other = parties.named(from.kind(), into);
    model.addAttribute("from", from);
    model.addAttribute("typed", into.strip());
    model.addAttribute("back", card(from));
    model.addAttribute("others", setup.parties(from.kind().name(), "", OFFERED));
    if (into.isBlank()) return "parties/merge";
    Optional<String> refusal = parties.refusal(from, other, into.strip());
    model.addAttribute("refusal", refusal.orElse(null));
    if (refusal.isPresent()) return "parties/merge";
    model.addAttribute("into", other.get());
    MergeStore.Has has = parties.has(from.id());
    MergeStore.Has others = parties.has(other.get().id());
    model.addAttribute("has", has);
    model.addAttribute("other", others);
    model.addAttribute("both", has.and(others));
    model.addAttribute("now", balances.now());
    return "parties/merge";
  }

  @SetsUp
  @PostMapping("/parties/{id:\\d+}/merge")
  String merge(
      @PathVariable long id,
      @RequestParam(defaultValue = "") String into,
      Principal who,
      RedirectAttributes after) {
    party(id);
    return setUp.alone(
        () -> {
          Named from = party(id);
          Optional<Named> other = parties.named(from.kind(), into);
          if (parties.refusal(from, other, into).isPresent()) {
            after.addAttribute("into", into);
            return "redirect:/parties/" + id + "/merge";
          }
          parties.merge(from, other.get(), who.getName());
          after.addFlashAttribute(
              "told", from.name() + " is " + other.get().name() + " from now on.");
          return "redirect:" + card(other.get());
        });
  }
}
