package zinctally.web.handle;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.number.Quantity;
import zinctally.store.Refused;
import zinctally.store.count.CountClosing;
import zinctally.store.count.CountLines;
import zinctally.store.count.CountListings;
import zinctally.store.count.CountSheet;
import zinctally.store.count.CountSheets;
import zinctally.store.count.Scope;
import zinctally.store.goods.GroupStore;
import zinctally.store.setup.PlaceStore;
import zinctally.web.listing.AreaPage;
import zinctally.web.shell.May;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.Say;
import zinctally.web.shell.SetsUp;
import zinctally.web.shell.Typed;

/** Count sheets: drawn, looked at, closed, given up. */
@Controller
class CountController {
  private static final int MOST_LISTED = 20_000;
  private final AreaPage page;
  private final CountSheets sheets;
  private final CountLines lines;
  private final CountClosing closing;
  private final PlaceStore places;
  private final GroupStore groups;
  private final Say say;
  private final Clock clock;

  CountController(
      AreaPage page,
      CountSheets sheets,
      CountLines lines,
      CountClosing closing,
      PlaceStore places,
      GroupStore groups,
      Say say,
      Clock clock) {
    this.page = page;
    this.sheets = sheets;
    this.lines = lines;
    this.closing = closing;
    this.places = places;
    this.groups = groups;
    this.say = say;
    this.clock = clock;
  }

  @SetsUp
  @GetMapping("/handle/counts/new")
  String blank(Model model) {
    Map<String, String> fields = new HashMap<>();
    fields.put("date", LocalDate.now(clock).toString());
    fields.put("blind", "on");
    return form(fields, Map.of(), model);
  }

  private String form(Map<String, String> fields, Map<String, String> faults, Model model) {
    model.addAttribute("fields", fields);
    model.addAttribute("faults", faults);
    model.addAttribute("scopes", Scope.values());
    model.addAttribute("places", countable());
    model.addAttribute(
        "groups", groups.tree().inOrder().stream().map(GroupStore.Group::name).toList());
    return "handle/count-new";
  }

  @SetsUp
  @PostMapping("/handle/counts")
  String begin(@RequestParam Map<String, String> typed, Model model, Principal who) {
    Map<String, String> faults = new LinkedHashMap<>();
    CountSheets.Wanted wanted = wanted(new Typed(typed, faults), faults);
    if (!faults.isEmpty()) return form(typed, faults, model);
    try {
      return "redirect:/handle/counts/" + sheets.begin(wanted, who.getName());
    } catch (Refused refused) {
      refused.faults().forEach(f -> faults.put(f.cell(), f.says()));
      return form(typed, faults, model);
    }
  }

  private CountSheets.Wanted wanted(Typed cells, Map<String, String> faults) {
    LocalDate today = LocalDate.now(clock);
    LocalDate date = cells.day("date", true, today).orElse(today);
    if (date.isAfter(today)) cells.fault("date", "What will be there cannot be counted yet.");
    Scope scope = cells.choice(Scope.class, "scope", Scope.ALL);
    String value = cells.text("value", MOST_LISTED);
    if (scope.named() && value.isEmpty() && !faults.containsKey("value"))
      cells.fault("value", "Which one?");
    String place = cells.text("place", 120);
    if (!countable().contains(place)) cells.fault("place", "Which place?");
    Optional<Quantity> quantity =
        cells
            .number("quantity", 12, Typed.amount(9, 6), "A number from zero, or nothing.")
            .map(Quantity::of);
    Optional<Long> worth =
        cells
            .number(
                "worth",
                14,
                Typed.amount(11, say.coin().digits()),
                "An amount from zero, or nothing.")
            .map(n -> say.coin().rounded(n));
    return new CountSheets.Wanted(
        place,
        date,
        scope,
        value,
        new CountSheet.Rules(
            cells.text("blind", 5).equals("on"),
            cells.text("other", 5).equals("on"),
            quantity.orElse(null),
            worth.orElse(null)));
  }

  private CountSheet sheet(long id) {
    return sheets.find(id).orElseThrow(() -> new NotThere("count " + id));
  }

  /** All lines as a list; who counts blind does not see it while it is counted on. */
  @GetMapping("/handle/counts/{id:\\d+}/lines")
  @Nullable String list(
      @PathVariable long id,
      Model model,
      Principal who,
      HttpServletRequest request,
      HttpServletResponse response) {
    CountSheet sheet = sheet(id);
    May.must(May.setUp(who) || !sheet.open() || !sheet.rules().blind());
    model.addAttribute("heading", "Count " + id + ", " + sheet.placeName());
    return page.under("/handle/counts", CountListings.lines(id), model, request, response);
  }

  /** What is apart, what it is worth, and what was not counted. */
  @SetsUp
  @GetMapping("/handle/counts/{id:\\d+}/close")
  String apart(@PathVariable long id, Model model) {
    model.addAttribute("sheet", sheet(id));
    model.addAttribute("progress", sheets.progress(id));
    model.addAttribute("sums", lines.sums(id));
    model.addAttribute("bars", CountPicture.of(lines.apart(id)));
    return "handle/count-close";
  }

  @SetsUp
  @PostMapping("/handle/counts/{id:\\d+}/close")
  String close(
      @PathVariable long id,
      @RequestParam(defaultValue = "") String rest,
      Principal who,
      RedirectAttributes after) {
    CountSheet sheet = sheet(id);
    Optional<CountClosing.Uncounted> uncounted =
        Arrays.stream(CountClosing.Uncounted.values())
            .filter(u -> u.name().equals(rest))
            .findFirst();
    try {
      Optional<Long> draft = closing.close(sheet.id(), uncounted, who.getName());
      if (draft.isPresent()) return "redirect:/drafts/" + draft.get();
      after.addFlashAttribute("told", "All that was counted agrees with the book; it is done.");
      return "redirect:/handle/counts/" + id;
    } catch (Refused refused) {
      return wrong(refused, "/handle/counts/" + id + "/close", after);
    }
  }

  @SetsUp
  @PostMapping("/handle/counts/{id:\\d+}/stop")
  String stop(@PathVariable long id, Principal who, RedirectAttributes after) {
    return turned(id, after, () -> sheets.stop(id, who.getName()));
  }

  @SetsUp
  @PostMapping("/handle/counts/{id:\\d+}/open")
  String reopen(@PathVariable long id, Principal who, RedirectAttributes after) {
    return turned(id, after, () -> sheets.reopen(id, who.getName()));
  }

  private static String turned(long id, RedirectAttributes after, Runnable turn) {
    try {
      turn.run();
    } catch (Refused refused) {
      return wrong(refused, "/handle/counts/" + id, after);
    }
    return "redirect:/handle/counts/" + id;
  }

  static String wrong(Refused refused, String page, RedirectAttributes after) {
    after.addFlashAttribute("wrong", says(refused));
    return "redirect:" + page;
  }

  static String says(Refused refused) {
    return String.join(" ", refused.faults().stream().map(f -> f.says()).toList());
  }

  /** Places of ours, and where others have goods here. */
  private List<String> countable() {
    return Stream.concat(places.inUse().stream(), places.ofOthers().stream()).toList();
  }
}
