package zinctally.web.setup;

import java.security.Principal;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.papers.tax.TaxBox;
import zinctally.store.book.SetUp;
import zinctally.store.tax.TaxBoxStore;
import zinctally.web.shell.SetsUp;

/** The boxes of the tax return. */
@Controller
class TaxBoxesController {
  private static final String PAGE = "/tax-boxes";
  private final SetUp setUp;
  private final TaxBoxStore boxes;
  private final Trail trail;

  TaxBoxesController(SetUp setUp, TaxBoxStore boxes, Trail trail) {
    this.setUp = setUp;
    this.boxes = boxes;
    this.trail = trail;
  }

  @GetMapping("/setup/tax-boxes")
  String show(Model model) {
    List<TaxBoxStore.Placed> all = boxes.boxes();
    model.addAttribute("boxes", all);
    model.addAttribute("after", all.size() + 1);
    model.addAttribute("counts", TaxBox.Counts.values());
    return "setup/tax-boxes";
  }

  @SetsUp
  @PostMapping("/setup/tax-boxes")
  String save(
      @RequestParam long id,
      @RequestParam String place,
      @RequestParam String code,
      @RequestParam String words,
      @RequestParam TaxBox.Counts counts,
      @RequestParam(defaultValue = "") String of,
      Principal who,
      RedirectAttributes after) {
    if (!place.strip().matches("\\d{1,3}"))
      return Answer.wrong(after, PAGE, "\"" + place + "\" is no place; write it as 1, 2, 3.");
    TaxBox box = new TaxBox(code.strip(), words.strip(), counts, of.strip());
    return tried(
        () -> {
          Optional<TaxBoxStore.Placed> before = one(b -> b.id() == id);
          boxes.save(id, Integer.parseInt(place.strip()), box);
          trail.leave(who, "tax box", id, before, one(b -> b.box().equals(box)));
        },
        after);
  }

  @SetsUp
  @PostMapping("/setup/tax-boxes/remove")
  String remove(@RequestParam long id, Principal who, RedirectAttributes after) {
    return tried(
        () -> {
          Optional<TaxBoxStore.Placed> gone = one(b -> b.id() == id);
          if (gone.isEmpty()) return;
          boxes.remove(id);
          trail.leave(who, "tax box", id, gone, Optional.empty());
        },
        after);
  }

  private Optional<TaxBoxStore.Placed> one(Predicate<TaxBoxStore.Placed> which) {
    return boxes.boxes().stream().filter(which).findFirst();
  }

  private String tried(Runnable change, RedirectAttributes after) {
    return Answer.tried(setUp, after, PAGE, change);
  }
}
