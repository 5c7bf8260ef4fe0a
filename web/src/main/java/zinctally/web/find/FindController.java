package zinctally.web.find;

import java.security.Principal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zinctally.core.papers.PaperKind;
import zinctally.store.find.FindStore;
import zinctally.web.listing.Areas;
import zinctally.web.paper.form.Forms;
import zinctally.web.shell.May;
import zinctally.web.shell.Sees;

/** Find or do anything. */
@Controller
class FindController {
  private static final int MOST = 14;
  private final FindStore store;
  private final Areas areas;
  private final Forms forms;

  private final Sees sees;

  FindController(FindStore store, Areas areas, Forms forms, Sees sees) {
    this.sees = sees;
    this.forms = forms;
    this.store = store;
    this.areas = areas;
  }

  /**
   * @param post whether following it begins something, and so is sent rather than opened
   */
  record Found(String words, String aside, String href, boolean post) {}

  @GetMapping("/find")
  String find(@RequestParam(defaultValue = "") String q, Model model, Principal who) {
    String typed = q.strip().toLowerCase(Locale.ROOT);
    List<Found> found = new ArrayList<>();
    if (!typed.isEmpty()) {
      begin(typed, who).forEach(found::add);
      pages(typed, who).forEach(found::add);
      if (May.setUp(who)) makes(typed).forEach(found::add);
      store
          .items(typed, 6)
          .forEach(h -> found.add(new Found(h.words(), h.aside(), "/goods/item/" + h.id(), false)));
      store
          .papers(typed, 6)
          .forEach(h -> found.add(new Found(h.words(), h.aside(), "/papers/" + h.id(), false)));
      store
          .suppliers(typed, 3)
          .forEach(
              h -> found.add(new Found(h.words(), h.aside(), "/buy/supplier/" + h.id(), false)));
      store
          .lots(typed, 3)
          .forEach(h -> found.add(new Found(h.words(), h.aside(), "/goods/lot/" + h.id(), false)));
      store
          .accounts(typed, 4)
          .forEach(
              h -> found.add(new Found(h.words(), h.aside(), "/prove/account/" + h.id(), false)));
    }
    model.addAttribute("found", found.size() > MOST ? found.subList(0, MOST) : found);
    model.addAttribute("q", q);
    return "found";
  }

  private Stream<Found> begin(String typed, Principal who) {
    return Arrays.stream(PaperKind.values())
        .filter(k -> forms.has(k) && May.write(who, k))
        .filter(k -> holds("new " + k.words() + " " + k.known(), typed))
        .map(k -> new Found("New " + k.word(), "write it", "/papers/new/" + k.slug(), true));
  }

  /** Those first whose name begins with what is typed. */
  private Stream<Found> pages(String typed, Principal who) {
    Sees.By by = sees.by(who);
    return areas
        .places()
        .filter(p -> p.page().may().test(who) && by.page(p.page().address()))
        .filter(
            p ->
                holds(
                    String.join(
                        " ", p.page().tab(), p.group().name(), p.area().name(), p.page().known()),
                    typed))
        .sorted(
            Comparator.comparing(p -> !p.page().tab().toLowerCase(Locale.ROOT).startsWith(typed)))
        .map(
            p ->
                new Found(
                    p.page().tab(),
                    p.area().name().toLowerCase(Locale.ROOT),
                    p.page().address(),
                    false));
  }

  private Stream<Found> makes(String typed) {
    return areas
        .places()
        .flatMap(
            p ->
                p.page().makes().stream()
                    .filter(m -> holds(m.words() + " " + p.page().known(), typed))
                    .map(
                        m ->
                            new Found(
                                m.words(),
                                p.area().name().toLowerCase(Locale.ROOT),
                                m.href(),
                                false)));
  }

  /** Whether each typed word begins some word. */
  private static boolean holds(String words, String typed) {
    List<String> all = List.of(words.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+"));
    return Arrays.stream(typed.split("[^\\p{L}\\p{N}]+"))
        .allMatch(t -> all.stream().anyMatch(w -> w.startsWith(t)));
  }
}
