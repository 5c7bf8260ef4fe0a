package zinctally.web.buy;

import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Repetition;
import zinctally.core.papers.read.Days;
import zinctally.store.buy.RepeatStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.PaperText;
import zinctally.store.paper.PostedPaper;
import zinctally.web.paper.TypedDraft;
import zinctally.web.shell.May;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.SetsUp;

/** Purchases that repeat: set from a posted bill or order, stopped by hand. */
@Controller
class RepeatController {
  private final RepeatStore repeats;
  private final PaperStore papers;
  private final PaperText texts;
  private final Clock clock;

  RepeatController(RepeatStore repeats, PaperStore papers, PaperText texts, Clock clock) {
    this.repeats = repeats;
    this.papers = papers;
    this.texts = texts;
    this.clock = clock;
  }

  private PostedPaper paper(long id, Principal who) {
    PostedPaper paper = papers.find(id).orElseThrow(() -> new NotThere("paper " + id));
    if (!paper.kind().is(PaperKind.Trait.REPEATS))
      throw new NotThere("a repetition of " + paper.number());
    May.must(May.write(who, paper.kind()));
    return paper;
  }

  @GetMapping("/buy/repeating/new")
  String begin(@RequestParam long of, Model model, Principal who) {
    PostedPaper paper = paper(of, who);
    String first = paper.date().plusMonths(1).toString();
    return form(
        paper,
        Map.of(
            "title",
            paper.kind().words() + ", " + paper.partyName(),
            "every",
            Repetition.Every.MONTH.name(),
            "start",
            first),
        Map.of(),
        model);
  }

  private String form(
      PostedPaper paper, Map<String, String> fields, Map<String, String> faults, Model model) {
    model.addAttribute("paper", paper);
    model.addAttribute("fields", fields);
    model.addAttribute("faults", faults);
    model.addAttribute("everies", Repetition.Every.values());
    return "buy/repeat";
  }

  @SetsUp
  @PostMapping("/buy/repeating/new")
  String add(
      @RequestParam long of,
      @RequestParam Map<String, String> typed,
      Model model,
      Principal who,
      RedirectAttributes after) {
    PostedPaper paper = paper(of, who);
    Map<String, String> faults = new LinkedHashMap<>();
    String title = typed.getOrDefault("title", "").strip();
    if (title.isEmpty() || title.length() > 200)
      faults.put("title", "What is it called? At most 200 letters.");
    LocalDate start = day(typed, "start", true, faults);
    LocalDate until = day(typed, "until", false, faults);
    if (start != null && until != null && until.isBefore(start))
      faults.put("until", "That is before the first day.");
    if (start != null && start.isBefore(LocalDate.now(clock).minusYears(1)))
      faults.put("start", "That is more than a year ago; is the year right?");
    String times = typed.getOrDefault("times", "").strip();
    if (!times.isEmpty() && !times.matches("[1-9]\\d{0,2}"))
      faults.put("times", "How many times? A number from 1 to 999, or nothing.");
    Repetition.Every every = Repetition.Every.MONTH;
    try {
      every = Repetition.Every.valueOf(typed.getOrDefault("every", ""));
    } catch (IllegalArgumentException unknown) {
      faults.put("every", "One of those offered.");
    }
    if (!faults.isEmpty()) return form(paper, typed, faults, model);
    Integer count = times.isEmpty() ? null : Integer.valueOf(times);
    repeats.add(
        of,
        title,
        TypedDraft.asItStood(texts.read(of, paper.version(), paper.kind())),
        new Repetition(every, start, until, count),
        who.getName());
    after.addFlashAttribute(
        "told", title + " repeats from " + start + " on; each time it waits as a draft on Day.");
    return "redirect:/buy/repeating";
  }

  private LocalDate day(
      Map<String, String> typed, String field, boolean wanted, Map<String, String> faults) {
    String value = typed.getOrDefault(field, "").strip();
    if (value.isEmpty() && !wanted) return null;
    LocalDate today = LocalDate.now(clock);
    Optional<LocalDate> day = Days.read(value, today, today);
    if (day.isEmpty())
      faults.put(field, "\"" + value + "\" is not a date; write it as 2026-03-09.");
    return day.orElse(null);
  }

  @GetMapping("/buy/repeating/{id:\\d+}")
  String show(@PathVariable long id, Model model, Principal who) {
    RepeatStore.Repeat repeat =
        repeats.find(id).orElseThrow(() -> new NotThere("repetition " + id));
    model.addAttribute("repeat", repeat);
    model.addAttribute("mayStop", May.write(who, repeat.text().kind()) && repeat.next() != null);
    return "buy/repeating";
  }

  @SetsUp
  @PostMapping("/buy/repeating/{id:\\d+}/stop")
  String stop(@PathVariable long id, Principal who, RedirectAttributes after) {
    RepeatStore.Repeat repeat =
        repeats.find(id).orElseThrow(() -> new NotThere("repetition " + id));
    May.must(May.write(who, repeat.text().kind()));
    repeats.stop(id);
    after.addFlashAttribute("told", repeat.title() + " repeats no more.");
    return "redirect:/buy/repeating";
  }
}
