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
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.question.Chart;
import zinctally.core.question.How;
import zinctally.core.question.Match;
import zinctally.core.question.Reckoning;
import zinctally.store.listing.AskListings;
import zinctally.store.listing.Listing;
import zinctally.store.people.Person;
import zinctally.store.question.QuestionStore;
import zinctally.store.question.QuestionStore.Kept;
import zinctally.store.question.ReadyQuestions;
import zinctally.store.question.Schedule;
import zinctally.store.question.ScheduleStore;
import zinctally.store.question.Subject;
import zinctally.web.file.OnPaper;
import zinctally.web.listing.AreaPage;
import zinctally.web.listing.ListingPage;
import zinctally.web.picture.ChartPicture;
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
  @Nullable String questions(
      Model model, Principal who, HttpServletRequest request, HttpServletResponse response) {
    List<Subject> subjects = asking.subjects(sees.by(who));
    List<String> keys = subjects.stream().map(s -> "about=" + s.key() + "&").toList();
    model.addAttribute("subjects", subjects);
    model.addAttribute(
        "ready",
        ReadyQuestions.ALL.stream()
            .filter(r -> keys.stream().anyMatch(r.asked()::startsWith))
            .toList());
    model.addAttribute("above", "ask/begin");
    Listing kept = AskListings.questions(who.getName(), May.role(who).name());
    return page.under("/ask/questions", kept, model, request, response);
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
    Map<String, String> typed =
        OpenValues.answered(Asking.read(kept.asked()), request::getParameter);
    Asking.Asked asked =
        asking
            .ask(kept.name(), typed, sees.by(who))
            .orElseThrow(() -> new NotThere("subject of question " + id));
    model.addAttribute("kept", kept);
    model.addAttribute("pinned", store.isPinned(id, who.getName()));
    model.addAttribute("schedules", schedules.of(id));
    model.addAttribute("everies", Schedule.Every.values());
    model.addAttribute("open", OpenValues.of(typed, asked::heading));
    model.addAttribute(ListingPage.ON_PAPER, OnPaper.read(name -> typed.getOrDefault(name, "")));
    return shown(asked, typed, "ask/question", model, who, request, response);
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
    page.tabs("/ask/questions", model, request);
    Listing listing = asked.answer().listing();
    String shown = lists.show(listing, template, model, request, response);
    if (template.equals(shown)) model.addAttribute("picture", drawn(asked, model));
    return shown;
  }

  @SuppressWarnings("unchecked")
  private @Nullable ChartPicture drawn(Asking.Asked asked, Model model) {
    return model.getAttribute(ListingPage.ROWS) instanceof List<?> rows
        ? picture
            .of(
                asked.question().chart(),
                asked.answer().listing(),
                (List<Map<String, Object>>) rows)
            .orElse(null)
        : null;
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
