package zinctally.web.setup;

import java.security.Principal;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.ledger.Account;
import zinctally.core.statement.Activity;
import zinctally.core.statement.Layout;
import zinctally.core.statement.Part;
import zinctally.core.statement.Section;
import zinctally.store.book.SetUp;
import zinctally.store.statement.LayoutStore;
import zinctally.web.shell.SetsUp;

/** Headings of the statements, the accounts under them, and the month the year begins in. */
@Controller
class SectionsController {
  private static final String PAGE = "/sections";
  private final SetUp setUp;
  private final LayoutStore layouts;
  private final Trail trail;

  SectionsController(SetUp setUp, LayoutStore layouts, Trail trail) {
    this.setUp = setUp;
    this.layouts = layouts;
    this.trail = trail;
  }

  /** A month of the year, and its name. */
  record Named(int number, String name) {}

  /** A heading with its number among those under the same one, and how deep it stands. */
  record Placed(Section section, int place, int depth) {}

  @GetMapping("/setup/sections")
  String sections(Model model) {
    Layout layout = layouts.layout();
    model.addAttribute("sections", placed(layout.sections()));
    model.addAttribute("accounts", layout.accounts());
    model.addAttribute("sectionOf", layout.sectionOf());
    model.addAttribute("parts", Part.values());
    model.addAttribute("activities", Activity.values());
    model.addAttribute("yearFrom", layouts.year().from().getValue());
    model.addAttribute(
        "months",
        Arrays.stream(Month.values())
            .map(m -> new Named(m.getValue(), m.getDisplayName(TextStyle.FULL, Locale.ENGLISH)))
            .toList());
    return "setup/sections";
  }

  private static List<Placed> placed(List<Section> sections) {
    List<Placed> placed = new ArrayList<>();
    for (Part part : Part.values()) under(sections, part, 0, 0, placed);
    return placed;
  }

  private static void under(
      List<Section> sections, Part part, long parent, int depth, List<Placed> placed) {
    int place = 0;
    for (Section section : sections)
      if (section.part() == part && section.parent() == parent) {
        placed.add(new Placed(section, ++place, depth));
        under(sections, part, section.id(), depth + 1, placed);
      }
  }

  @SetsUp
  @PostMapping("/setup/sections")
  String save(
      @RequestParam long id,
      @RequestParam Part part,
      @RequestParam(defaultValue = "0") long parent,
      @RequestParam(defaultValue = "1") String place,
      @RequestParam String name,
      @RequestParam Activity activity,
      @RequestParam(defaultValue = "") String subtotal,
      Principal who,
      RedirectAttributes after) {
    if (!place.strip().matches("\\d{1,3}"))
      return Answer.wrong(after, PAGE, "\"" + place + "\" is no place; write it as 1, 2, 3.");
    Section section = new Section(id, part, parent, name.strip(), activity, subtotal.strip());
    return tried(
        () -> {
          Optional<Section> before = one(id);
          layouts.save(section, Integer.parseInt(place.strip()));
          trail.leave(who, "heading", id, before, Optional.of(section));
        },
        after);
  }

  @SetsUp
  @PostMapping("/setup/sections/remove")
  String remove(@RequestParam long id, Principal who, RedirectAttributes after) {
    return tried(
        () -> {
          Optional<Section> gone = one(id);
          if (gone.isEmpty()) return;
          layouts.remove(gone.get());
          trail.leave(who, "heading", id, gone, Optional.empty());
        },
        after);
  }

  /** Puts accounts under headings; those that are not sent stay where they are. */
  @SetsUp
  @PostMapping("/setup/sections/accounts")
  String place(@RequestParam Map<String, String> sent, Principal who, RedirectAttributes after) {
    return tried(
        () -> {
          Layout layout = layouts.layout();
          Map<String, Section> known = new HashMap<>();
          layout.sections().forEach(s -> known.put(String.valueOf(s.id()), s));
          for (Account account : layout.accounts()) {
            String to = sent.get("a" + account.id());
            String is = String.valueOf(layout.sectionOf().getOrDefault(account.id(), 0L));
            if (to == null || to.equals(is)) continue;
            Optional<Section> under = Optional.ofNullable(known.get(to));
            layouts.place(account, under);
            trail.leave(
                who,
                "account",
                account.id(),
                Optional.ofNullable(known.get(is)).map(Section::name),
                under.map(Section::name));
          }
        },
        after);
  }

  @SetsUp
  @PostMapping("/setup/sections/year")
  String year(@RequestParam int month, Principal who, RedirectAttributes after) {
    if (month < 1 || month > 12)
      return Answer.wrong(after, PAGE, "A year begins in one of its twelve months.");
    return tried(
        () -> {
          Month before = layouts.year().from();
          layouts.yearFrom(Month.of(month));
          trail.leave(who, "book", 1, Optional.of(before), Optional.of(Month.of(month)));
        },
        after);
  }

  private String tried(Runnable change, RedirectAttributes after) {
    return Answer.tried(setUp, after, PAGE, change);
  }

  private Optional<Section> one(long id) {
    return layouts.sections().stream().filter(s -> s.id() == id).findFirst();
  }
}
