package zinctally.web.ask;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.security.Principal;
import java.time.DateTimeException;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.store.listing.AskListings;
import zinctally.store.question.OutboxStore;
import zinctally.store.question.OutboxStore.Letter;
import zinctally.store.question.QuestionStore;
import zinctally.store.question.Schedule;
import zinctally.store.question.ScheduleStore;
import zinctally.store.question.ScheduleStore.Planned;
import zinctally.web.file.Download;
import zinctally.web.listing.AreaPage;
import zinctally.web.shell.May;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.Owns;
import zinctally.web.shell.SignedIn;

/** Questions that are asked by themselves, and the letters that go out with their answers. */
@Controller
class ScheduleController {
  private static final Pattern ADDRESS = Pattern.compile("[^@\\s,;]+@[^@\\s,;]+\\.[^@\\s,;]+");
  private static final int MOST = 20;
  private final QuestionStore questions;
  private final ScheduleStore schedules;
  private final OutboxStore outbox;
  private final AreaPage page;

  ScheduleController(
      QuestionStore questions, ScheduleStore schedules, OutboxStore outbox, AreaPage page) {
    this.page = page;
    this.questions = questions;
    this.schedules = schedules;
    this.outbox = outbox;
  }

  @SignedIn
  @PostMapping("/ask/question/{id}/send")
  String plan(
      @PathVariable long id,
      @RequestParam Schedule.Every every,
      @RequestParam(defaultValue = "") String day,
      @RequestParam(defaultValue = "07:00") String time,
      @RequestParam(defaultValue = "pdf") String form,
      @RequestParam(defaultValue = "") String to,
      Principal who,
      RedirectAttributes after) {
    QuestionStore.Kept kept = questions.find(id).orElseThrow(() -> new NotThere("question " + id));
    May.must(kept.mayRead(who.getName(), May.role(who).name()));
    List<String> addresses =
        Arrays.stream(to.split("[,;\\s]+")).filter(a -> !a.isEmpty()).distinct().toList();
    Optional<LocalTime> at = time(time);
    Optional<Schedule> when =
        at.flatMap(
            t ->
                Schedule.of(
                    every, day.strip().matches("\\d{1,2}") ? Integer.parseInt(day.strip()) : 0, t));
    String wrong = wrong(addresses, at.isPresent(), when.isPresent(), time, day, form);
    if (!wrong.isEmpty()) {
      after.addFlashAttribute("wrong", wrong);
      return "redirect:/ask/question/" + id;
    }
    schedules.add(new Planned(0, id, when.orElseThrow(), form, addresses, who.getName()));
    after.addFlashAttribute(
        "told",
        "It goes out " + when.orElseThrow().words() + ", to " + String.join(", ", addresses) + ".");
    return "redirect:/ask/question/" + id;
  }

  private static String wrong(
      List<String> addresses,
      boolean time,
      boolean when,
      String typedTime,
      String day,
      String form) {
    if (addresses.isEmpty())
      return "To whom? Write one address or more, like office@wickmere.example.";
    if (addresses.size() > MOST)
      return "At most " + MOST + " addresses; this has " + addresses.size() + ".";
    for (String address : addresses)
      if (!ADDRESS.matcher(address).matches())
        return "\"" + address + "\" is no address; write it like office@wickmere.example.";
    if (!time) return "\"" + typedTime + "\" is no time; write it like 07:00.";
    if (!when)
      return "\"" + day + "\" is no day for that: Monday is 1 and Sunday 7; of a month 1 to 31.";
    return Download.FORMS.contains(form) ? "" : "As what? CSV, XLSX or PDF.";
  }

  private static Optional<LocalTime> time(String typed) {
    try {
      return Optional.of(LocalTime.parse(typed.strip()));
    } catch (DateTimeException none) {
      return Optional.empty();
    }
  }

  @SignedIn
  @PostMapping("/ask/question/{id}/send/{plan}/remove")
  String stop(
      @PathVariable long id, @PathVariable long plan, Principal who, RedirectAttributes after) {
    Planned planned =
        schedules.of(id).stream()
            .filter(p -> p.id() == plan)
            .findFirst()
            .orElseThrow(() -> new NotThere("plan " + plan));
    May.must(planned.login().equalsIgnoreCase(who.getName()) || May.own(who));
    schedules.remove(planned, who.getName());
    after.addFlashAttribute("told", "It is no longer sent.");
    return "redirect:/ask/question/" + id;
  }

  @Owns
  @GetMapping("/ask/outbox")
  @Nullable String letters(Model model, HttpServletRequest request, HttpServletResponse response) {
    return page.under("/ask/outbox", AskListings.letters(), model, request, response);
  }

  @GetMapping("/ask/outbox/{id}")
  String letter(@PathVariable long id, Model model, Principal who) {
    model.addAttribute("letter", readable(id, who));
    return "ask/letter";
  }

  @GetMapping("/ask/outbox/{id}/file")
  void file(@PathVariable long id, Principal who, HttpServletResponse response) throws IOException {
    Letter letter = readable(id, who);
    String form = letter.fileName().substring(letter.fileName().lastIndexOf('.') + 1);
    response.setContentType(Download.type(form));
    response.setHeader(
        HttpHeaders.CONTENT_DISPOSITION,
        ContentDisposition.attachment().filename(letter.fileName()).build().toString());
    response.getOutputStream().write(letter.file());
  }

  /** Letters hold what their sender may read; the owner reads all. */
  private Letter readable(long id, Principal who) {
    Letter letter = outbox.find(id).orElseThrow(() -> new NotThere("letter " + id));
    May.must(letter.login().equalsIgnoreCase(who.getName()) || May.own(who));
    return letter;
  }
}
