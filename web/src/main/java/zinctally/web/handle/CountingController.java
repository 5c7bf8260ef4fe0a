package zinctally.web.handle;

import java.io.IOException;
import java.security.Principal;
import java.util.Arrays;
import java.util.List;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.store.Refused;
import zinctally.store.count.CountLine;
import zinctally.store.count.CountLines;
import zinctally.store.count.CountLines.Which;
import zinctally.store.count.CountSheet;
import zinctally.store.count.CountSheets;
import zinctally.store.count.Counting;
import zinctally.store.count.Scanned;
import zinctally.store.setup.SetupStore;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.Sells;
import zinctally.web.shell.SetsUp;

/** Counting on a sheet: by scan, by typing beside each line, or a whole list at once. */
@Controller
class CountingController {
  private static final int PAGE = 100;
  private static final int LONGEST_SPOT = 40;
  private final CountSheets sheets;
  private final CountLines lines;
  private final Counting counting;
  private final Scanned scanned;
  private final CountPaste paste;
  private final SetupStore setup;

  CountingController(
      CountSheets sheets,
      CountLines lines,
      Counting counting,
      Scanned scanned,
      CountPaste paste,
      SetupStore setup) {
    this.sheets = sheets;
    this.lines = lines;
    this.counting = counting;
    this.scanned = scanned;
    this.paste = paste;
    this.setup = setup;
  }

  private CountSheet sheet(long id) {
    return sheets.find(id).orElseThrow(() -> new NotThere("count " + id));
  }

  private CountLine line(long sheet, long line) {
    return lines
        .find(sheet, line)
        .orElseThrow(() -> new NotThere("line " + line + " of count " + sheet));
  }

  /** The sheet, a part at a time. */
  @GetMapping("/handle/counts/{id:\\d+}")
  String show(
      @PathVariable long id,
      @RequestParam(defaultValue = "all") String which,
      @RequestParam(defaultValue = "") String find,
      @RequestParam(defaultValue = "0") int from,
      Model model) {
    Which shown =
        Arrays.stream(Which.values())
            .filter(w -> w.name().equalsIgnoreCase(which))
            .findFirst()
            .orElse(Which.ALL);
    int first = Math.max(0, from);
    List<CountLine> part = lines.page(id, shown, find, first, PAGE + 1);
    top(id, model);
    model.addAttribute("which", shown);
    model.addAttribute("whiches", Which.values());
    model.addAttribute("find", find);
    model.addAttribute("lines", part.subList(0, Math.min(PAGE, part.size())));
    model.addAttribute("before", first == 0 ? null : Math.max(0, first - PAGE));
    model.addAttribute("next", part.size() > PAGE ? first + PAGE : null);
    return "handle/count";
  }

  private void top(long id, Model model) {
    model.addAttribute("sheet", sheet(id));
    model.addAttribute("progress", sheets.progress(id));
  }

  /** Something scanned or typed at the top: it is added, and comes on the sheet if need be. */
  @Sells
  @PostMapping("/handle/counts/{id:\\d+}/scan")
  String scan(
      @PathVariable long id,
      @RequestParam String what,
      @RequestParam(defaultValue = "") String quantity,
      @RequestParam(defaultValue = "") String spot,
      Model model,
      Principal who) {
    return answer(
        id,
        "handle/count-parts :: scanned",
        model,
        () -> counting.enter(id, scanned.read(what, quantity, cut(spot)), who.getName()));
  }

  /** Something typed beside its line. */
  @Sells
  @PostMapping("/handle/counts/{id:\\d+}/lines/{line:\\d+}")
  String enter(
      @PathVariable long id,
      @PathVariable long line,
      @RequestParam(defaultValue = "") String quantity,
      Model model,
      Principal who) {
    CountLine of = line(id, line);
    model.addAttribute("line", of);
    model.addAttribute("typed", quantity);
    return answer(
        id,
        "handle/count-parts :: entered",
        model,
        () ->
            counting.enter(
                id,
                new Counting.Counted(
                    of.item(), of.lot(), Scanned.quantity(of.units(), quantity), "", null),
                who.getName()));
  }

  private static String cut(String spot) {
    return spot.length() > LONGEST_SPOT ? spot.substring(0, LONGEST_SPOT) : spot;
  }

  private String answer(long id, String view, Model model, Supplier<CountLine> entered) {
    try {
      model.addAttribute("line", entered.get());
      model.addAttribute("added", true);
    } catch (Refused refused) {
      model.addAttribute("fault", CountController.says(refused));
      if (model.getAttribute("line") instanceof CountLine at)
        model.addAttribute("wrongAt", at.id());
    }
    top(id, model);
    return view;
  }

  /** A list that was written on paper, or in another program, typed, pasted or in a file. */
  @Sells
  @PostMapping("/handle/counts/{id:\\d+}/paste")
  String paste(
      @PathVariable long id,
      @RequestParam(defaultValue = "") String list,
      @RequestParam(defaultValue = "") String at,
      @RequestParam(required = false) @Nullable MultipartFile file,
      Principal who,
      RedirectAttributes after)
      throws IOException {
    CountSheet sheet = sheet(id);
    try {
      String lines = file == null || file.isEmpty() ? list : CountPaste.lines(file);
      int taken = paste.take(sheet, lines, at, who.getName());
      after.addFlashAttribute("told", taken + (taken == 1 ? " line is" : " lines are") + " added.");
    } catch (Refused refused) {
      return CountController.wrong(refused, "/handle/counts/" + id, after);
    }
    return "redirect:/handle/counts/" + id;
  }

  /** One line: each entry, and what can be done about it. */
  @GetMapping("/handle/counts/{id:\\d+}/lines/{line:\\d+}")
  String entries(@PathVariable long id, @PathVariable long line, Model model, Principal who) {
    top(id, model);
    model.addAttribute("line", line(id, line));
    model.addAttribute("entries", lines.entries(line));
    model.addAttribute("reasons", setup.reasons().stream().filter(SetupStore.Row::active).toList());
    return "handle/count-line";
  }

  @Sells
  @PostMapping("/handle/counts/{id:\\d+}/lines/{line:\\d+}/entries/{entry:\\d+}/back")
  String takeBack(
      @PathVariable long id,
      @PathVariable long line,
      @PathVariable long entry,
      Principal who,
      RedirectAttributes after) {
    return done(id, line, after, () -> counting.takeBack(id, line, entry, who.getName()));
  }

  @Sells
  @PostMapping("/handle/counts/{id:\\d+}/lines/{line:\\d+}/again")
  String again(@PathVariable long id, @PathVariable long line, RedirectAttributes after) {
    return done(id, line, after, () -> counting.again(id, line));
  }

  @SetsUp
  @PostMapping("/handle/counts/{id:\\d+}/lines/{line:\\d+}/accept")
  String accept(
      @PathVariable long id, @PathVariable long line, Principal who, RedirectAttributes after) {
    return done(id, line, after, () -> counting.accept(id, line, who.getName()));
  }

  @SetsUp
  @PostMapping("/handle/counts/{id:\\d+}/lines/{line:\\d+}/reason")
  String because(
      @PathVariable long id,
      @PathVariable long line,
      @RequestParam(required = false) Long reason,
      RedirectAttributes after) {
    return done(id, line, after, () -> counting.because(id, line, reason));
  }

  private static String done(long id, long line, RedirectAttributes after, Runnable work) {
    String page = "/handle/counts/" + id + "/lines/" + line;
    try {
      work.run();
    } catch (Refused refused) {
      return CountController.wrong(refused, page, after);
    }
    return "redirect:" + page;
  }
}
