package zinctally.web.sell;

import java.io.IOException;
import java.net.URI;
import java.security.Principal;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.store.sell.CustomerStore;
import zinctally.store.sell.ReminderStore;
import zinctally.web.paper.AccountPdf;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.SetsUp;

/** Reminders: drafted for all who are late, looked at, handed over, marked as sent. */
@Controller
class ReminderController {
  private static final int LONGEST = 2000;
  private final ReminderStore reminders;
  private final CustomerStore customers;
  private final AccountPdf pdfs;

  ReminderController(ReminderStore reminders, CustomerStore customers, AccountPdf pdfs) {
    this.reminders = reminders;
    this.customers = customers;
    this.pdfs = pdfs;
  }

  private ReminderStore.Reminder reminder(long id) {
    return reminders.find(id).orElseThrow(() -> new NotThere("reminder " + id));
  }

  @SetsUp
  @PostMapping("/sell/reminders")
  String draft(Principal who, RedirectAttributes after) {
    int drafted = reminders.draft(who.getName());
    after.addFlashAttribute(
        "told",
        drafted == 0
            ? "Nobody else is late; who is has a draft already."
            : (drafted == 1 ? "One reminder is" : drafted + " reminders are")
                + " drafted; look at them and send them.");
    return "redirect:/sell/reminders";
  }

  @GetMapping("/sell/reminder/{id:\\d+}")
  String show(@PathVariable long id, Model model) {
    ReminderStore.Reminder reminder = reminder(id);
    model.addAttribute("reminder", reminder);
    model.addAttribute("card", customers.card(reminder.customer()).orElseThrow());
    return "sell/reminder";
  }

  @SetsUp
  @PostMapping("/sell/reminder/{id:\\d+}")
  String save(
      @PathVariable long id,
      @RequestParam String words,
      @RequestParam(defaultValue = "keep") String then,
      RedirectAttributes after) {
    reminder(id);
    if (words.length() > LONGEST) {
      after.addFlashAttribute(
          "wrong", "These are " + words.length() + " letters; " + LONGEST + " fit.");
      return "redirect:/sell/reminder/" + id;
    }
    if (then.equals("discard")) {
      reminders.discard(id);
      after.addFlashAttribute("told", "The draft is thrown away.");
      return "redirect:/sell/reminders";
    }
    reminders.keep(id, words.strip());
    if (then.equals("sent") && !reminders.sent(id)) return "redirect:/sell/reminder/" + id;
    after.addFlashAttribute("told", then.equals("sent") ? "Marked as sent." : "Kept.");
    return "redirect:/sell/reminder/" + id;
  }

  @GetMapping("/sell/reminder/{id:\\d+}/pdf")
  ResponseEntity<byte[]> pdf(@PathVariable long id) throws IOException {
    ReminderStore.Reminder reminder = reminder(id);
    if (reminder.dues().isEmpty())
      return ResponseEntity.status(HttpStatus.SEE_OTHER)
          .location(URI.create("/sell/reminder/" + id))
          .build();
    CustomerStore.Card card = customers.card(reminder.customer()).orElseThrow();
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_PDF)
        .headers(
            h ->
                h.setContentDisposition(
                    ContentDisposition.inline().filename("reminder-" + id + ".pdf").build()))
        .body(pdfs.reminder(card, reminder));
  }
}
