package zinctally.web.ask;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.dao.QueryTimeoutException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.question.Chart;
import zinctally.core.question.How;
import zinctally.core.question.Match;
import zinctally.core.question.Reckoning;
import zinctally.store.people.Person;
import zinctally.store.question.QuestionStore;
import zinctally.store.question.QuestionStore.Kept;
import zinctally.store.question.ReadyQuestions;
import zinctally.store.question.Schedule;
import zinctally.store.question.ScheduleStore;
import zinctally.web.listing.AreaPage;
import zinctally.web.listing.ListingPage;
import zinctally.web.shell.May;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.Sees;
import zinctally.web.shell.SignedIn;

/** Questions: built, asked, kept, shared. */
@Controller
class QuestionController {
  private static final String LIST = "redirect:/ask/questions";
  private final Asking asking;
  private final QuestionStore store;
  private final ScheduleStore schedules;
  private final QuestionPicture picture;
  private final AreaPage page;
  private final ListingPage lists;
  private final Sees sees;

  QuestionController(
      Asking asking,
      QuestionStore store,
      ScheduleStore schedules,
      QuestionPicture picture,
      AreaPage page,
      ListingPage lists,
      Sees sees) {
    this.asking = asking;
    this.store = store;
    this.schedules = schedules;
    this.picture = picture;
    this.page = page;
    this.lists = lists;
    this.sees = sees;
  }

  @GetMapping("/ask/questions")
  String questions(Model model, Principal who) {
    Sees.By by = sees.by(who);
    List<Kept> kept = store.of(who.getName(), May.role(who).name());
    model.addAttribute("own", kept.stream().filter(q -> q.mayChange(who.getName())).toList());
    model.addAttribute("shared", kept.stream().filter(q -> !q.mayChange(who.getName())).toList());
    model.addAttribute(
        "ready",
        ReadyQuestions.ALL.stream()
            .filter(
                r ->
                    asking.subjects(by).stream()
                        .anyMatch(s -> r.asked().startsWith("about=" + s.key() + "&")))
            .toList());
    model.addAttribute("subjects", asking.subjects(by));
    return "ask/questions";
  }

  /** The builder, with what is built so far and its answer. */
  @GetMapping("/ask/build")
  @Nullable String build(
      Model model, Principal who, HttpServletRequest request, HttpServletResponse response) {
    Map<String, String> typed = typed(request);
    Optional<Kept> kept =
        Optional.ofNullable(request.getParameter("of"))
            .filter(id -> id.matches("\\d{1,18}"))
            .flatMap(id -> store.find(Long.parseLong(id)))
            .filter(q -> q.mayChange(who.getName()));
    Optional<Asking.Asked> asked = asking.ask(kept.map(Kept::name).orElse(""), typed, sees.by(who));
    if (asked.isEmpty()) return LIST;
    model.addAttribute("kept", kept.orElse(null));
    return shown(asked.get(), typed, "ask/build", model, who, request, response);
  }

  /** A question that is kept: what it asks first, and its answer. */
  @GetMapping("/ask/question/{id}")
  @Nullable String run(
      @PathVariable long id,
      Model model,
      Principal who,
      HttpServletRequest request,
      HttpServletResponse response) {
    Kept kept = readable(id, who);
    Map<String, String> typed = new LinkedHashMap<>(Asking.read(kept.asked()));
    // what it leaves open is what the address may answer; the rest stands as it was kept
    for (Asked open : open(typed))
      for (String part : List.of(".a", ".b")) {
        String answered = request.getParameter(open.name() + part);
        if (answered != null) typed.put(open.name() + part, answered);
      }
    Asking.Asked asked =
        asking
            .ask(kept.name(), typed, sees.by(who))
            .orElseThrow(() -> new NotThere("subject of question " + id));
    model.addAttribute("kept", kept);
    model.addAttribute("pinned", store.isPinned(id, who.getName()));
    model.addAttribute("schedules", schedules.of(id));
    model.addAttribute("everies", Schedule.Every.values());
    model.addAttribute("open", open(typed).stream().map(o -> o.in(asked)).toList());
    return shown(asked, typed, "ask/question", model, who, request, response);
  }

  /**
   * A condition that is asked when a question is run.
   *
   * @param name before the names of its fields
   * @param second whether it needs two values
   */
  record Asked(String name, String words, boolean second, String a, String b) {
    Asked in(Asking.Asked asked) {
      String column = asked.typed().kept().getOrDefault(name, "");
      return new Asked(
          name, BuilderView.heading(asked.subject(), column) + " " + words, second, a, b);
    }
  }

  private static List<Asked> open(Map<String, String> typed) {
    return typed.keySet().stream()
        .filter(name -> name.matches("if\\.\\d+"))
        .filter(
            name ->
                "?".equals(typed.get(name + ".ask"))
                    || "?".equals(typed.get(name + ".a"))
                    || "?".equals(typed.get(name + ".b")))
        .map(
            name -> {
              Match match = match(typed.getOrDefault(name + ".test", ""));
              return new Asked(
                  name,
                  match.words(),
                  match.needs() > 1,
                  answered(typed.get(name + ".a")),
                  answered(typed.get(name + ".b")));
            })
        .toList();
  }

  private static String answered(@Nullable String value) {
    return value == null || value.equals("?") ? "" : value;
  }

  private static Match match(String name) {
    return Arrays.stream(Match.values())
        .filter(m -> m.name().equals(name))
        .findFirst()
        .orElse(Match.HOLDS);
  }

  private @Nullable String shown(
      Asking.Asked asked,
      Map<String, String> typed,
      String template,
      Model model,
      Principal who,
      HttpServletRequest request,
      HttpServletResponse response) {
    model.addAttribute(ListingPage.OWN_ORDER, true);
    model.addAttribute("subject", asked.subject());
    model.addAttribute("subjects", asking.subjects(sees.by(who)));
    model.addAttribute("faults", asked.answer().faults());
    model.addAttribute("divides", asked.answer().divides());
    model.addAttribute("form", BuilderView.of(asked.subject(), typed));
    model.addAttribute("hows", How.values());
    model.addAttribute("matches", Match.values());
    model.addAttribute("reckonings", Reckoning.values());
    model.addAttribute("charts", Chart.values());
    model.addAttribute("roles", Person.Role.values());
    model.addAttribute("heading", asked.answer().listing().name());
    model.addAttribute("address", asked.kept());
    model.addAttribute(
        "picture", picture.of(asked.question().chart(), asked.answer().listing()).orElse(null));
    page.tabs("/ask/questions", model, request);
    return lists.show(asked.answer().listing(), template, model, request, response);
  }

  /** A question that takes too long is given up, and says so. */
  @ExceptionHandler(QueryTimeoutException.class)
  String tooLong(Model model) {
    model.addAttribute("title", "This question takes too long");
    model.addAttribute(
        "says",
        "It was given up after half a minute, and nothing goes on. Ask about fewer days, or leave"
            + " out what looks at other rows.");
    return "ask/too-long";
  }

  // what is kept

  @SignedIn
  @PostMapping("/ask/questions")
  String save(HttpServletRequest request, Principal who, RedirectAttributes after) {
    Map<String, String> typed = typed(request);
    Optional<Asking.Asked> asked = asking.ask("", typed, sees.by(who));
    if (asked.isEmpty()) return LIST;
    String name = text(request, "save.name").strip();
    String back = "redirect:/ask/build?" + asked.get().kept();
    if (name.isEmpty() || name.length() > 120) {
      after.addFlashAttribute(
          "wrong", "A question that is kept needs a name of at most 120 letters.");
      return back;
    }
    String of = text(request, "of");
    boolean anew = !of.matches("\\d{1,18}") || request.getParameter("copy") != null;
    List<String> roles =
        Arrays.stream(Person.Role.values())
            .map(Person.Role::name)
            .filter(r -> request.getParameter("share." + r) != null)
            .toList();
    Optional<Long> id =
        saved(
            new Kept(
                anew ? 0 : Long.parseLong(of), who.getName(), name, asked.get().kept(), roles));
    if (id.isEmpty()) {
      after.addFlashAttribute(
          "wrong",
          "You have a question called \"" + name + "\" already; give this one another name.");
      return back;
    }
    after.addFlashAttribute("told", "Kept.");
    return "redirect:/ask/question/" + id.get();
  }

  /** Empty also when another window was quicker with the same name. */
  private Optional<Long> saved(Kept question) {
    try {
      return store.save(question);
    } catch (DuplicateKeyException taken) {
      return Optional.empty();
    }
  }

  @SignedIn
  @PostMapping("/ask/question/{id}/pin")
  String pin(
      @PathVariable long id, @RequestParam(defaultValue = "false") boolean on, Principal who) {
    readable(id, who);
    store.pin(id, who.getName(), on);
    return "redirect:/ask/question/" + id;
  }

  @SignedIn
  @PostMapping("/ask/question/{id}/remove")
  String remove(@PathVariable long id, Principal who, RedirectAttributes after) {
    Kept kept = own(id, who);
    store.remove(kept);
    after.addFlashAttribute("told", kept.name() + " is thrown away.");
    return LIST;
  }

  private Kept readable(long id, Principal who) {
    Kept kept = store.find(id).orElseThrow(() -> new NotThere("question " + id));
    May.must(kept.mayRead(who.getName(), May.role(who).name()));
    return kept;
  }

  private Kept own(long id, Principal who) {
    Kept kept = store.find(id).orElseThrow(() -> new NotThere("question " + id));
    May.must(kept.mayChange(who.getName()));
    return kept;
  }

  private static Map<String, String> typed(HttpServletRequest request) {
    Map<String, String> typed = new LinkedHashMap<>();
    request.getParameterMap().forEach((name, values) -> typed.put(name, values[0]));
    return typed;
  }

  private static String text(HttpServletRequest request, String name) {
    String value = request.getParameter(name);
    return value == null ? "" : value;
  }
}
