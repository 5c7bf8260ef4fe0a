package zinctally.web.buy;

import java.math.BigDecimal;
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
import zinctally.core.papers.Repetition;
import zinctally.core.papers.Trait;
import zinctally.store.buy.RepeatStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.PaperText;
import zinctally.store.paper.PostedPaper;
import zinctally.web.paper.TypedDraft;
import zinctally.web.shell.May;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.SetsUp;
import zinctally.web.shell.Typed;

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
    if (!paper.kind().is(Trait.REPEATS)) throw new NotThere("a repetition of " + paper.number());
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
    Typed cells = new Typed(typed, faults);
    LocalDate today = LocalDate.now(clock);
    String title = cells.needed("title", 200, "What is it called? At most 200 letters.");
    Optional<LocalDate> start = cells.day("start", true, today);
    Optional<LocalDate> until = cells.day("until", false, today);
    if (start.isPresent() && until.filter(u -> u.isBefore(start.get())).isPresent())
      cells.fault("until", "That is before the first day.");
    if (start.filter(s -> s.isBefore(today.minusYears(1))).isPresent())
      cells.fault("start", "That is more than a year ago; is the year right?");
    Optional<BigDecimal> times =
        cells.number(
            "times",
            3,
            Typed.amount(3, 0).and(n -> n.signum() > 0),
            "How many times? A number from 1 to 999, or nothing.");
    Repetition.Every every = cells.choice(Repetition.Every.class, "every", Repetition.Every.MONTH);
    if (!faults.isEmpty()) return form(paper, typed, faults, model);
    repeats.add(
        of,
        title,
        TypedDraft.asItStood(texts.read(of, paper.version(), paper.kind())),
        new Repetition(
            every,
            start.orElseThrow(),
            until.orElse(null),
            times.map(BigDecimal::intValueExact).orElse(null)),
        who.getName());
    after.addFlashAttribute(
        "told",
        title + " repeats from " + start.get() + " on; each time it waits as a draft on Day.");
    return "redirect:/buy/repeating";
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
