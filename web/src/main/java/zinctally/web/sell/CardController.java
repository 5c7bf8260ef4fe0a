package zinctally.web.sell;

import java.security.Principal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.papers.PaperKind;
import zinctally.store.sell.CardPayments;
import zinctally.store.sell.CardPayments.Payment;
import zinctally.store.sell.CardPayments.State;
import zinctally.web.shell.May;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.Sells;

/** What cards were asked for, and settling what stayed between card and book. */
@Controller
class CardController {
  private final CardPayments payments;
  private final CounterDesk desk;

  CardController(CardPayments payments, CounterDesk desk) {
    this.payments = payments;
    this.desk = desk;
  }

  private Payment payment(long id) {
    return payments.find(id).orElseThrow(() -> new NotThere("card payment " + id));
  }

  @GetMapping("/sell/card/{id}")
  String one(@PathVariable long id, Model model, Principal who) {
    model.addAttribute("payment", payment(id));
    model.addAttribute("mayChange", May.write(who, PaperKind.COUNTER_SALE));
    return "sell/card";
  }

  /** Gives back what was charged and not booked. */
  @Sells
  @PostMapping("/sell/card/{id}/back")
  String back(@PathVariable long id, Principal who, RedirectAttributes after) {
    Payment payment = changed(id, who);
    if (payment.unsettled() && desk.giveBack(payment))
      after.addFlashAttribute("told", "It is given back on the card.");
    else
      after.addFlashAttribute(
          "wrong",
          payment(id).state() == State.DUE_BACK
              ? "The reader could not give it back; try later."
              : settledBefore(id));
    return "redirect:/sell/card/" + id;
  }

  /** Somebody has seen to it by hand. */
  @Sells
  @PostMapping("/sell/card/{id}/settled")
  String settled(@PathVariable long id, Principal who, RedirectAttributes after) {
    Payment payment = changed(id, who);
    if (payment.unsettled() && payments.moves(payment, State.BACK))
      after.addFlashAttribute("told", "It counts as given back.");
    else after.addFlashAttribute("wrong", settledBefore(id));
    return "redirect:/sell/card/" + id;
  }

  private String settledBefore(long id) {
    return "Nothing has changed: this payment is " + payment(id).state().words() + " by now.";
  }

  private Payment changed(long id, Principal who) {
    May.must(May.write(who, PaperKind.COUNTER_SALE));
    return payment(id);
  }
}
