package zinctally.web.prove;

import java.security.Principal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.check.CheckRuns;
import zinctally.store.check.Finding;
import zinctally.store.paper.DraftStore;
import zinctally.store.posting.Posting;
import zinctally.web.shell.SetsUp;

/** What the latest check found, and how it is put right. */
@Controller
class CheckController {
  private static final int SHOWN = 20;
  private final CheckRuns runs;
  private final DraftStore drafts;
  private final Posting posting;

  CheckController(CheckRuns runs, DraftStore drafts, Posting posting) {
    this.runs = runs;
    this.drafts = drafts;
    this.posting = posting;
  }

  @GetMapping("/prove/check")
  String show(Model model) {
    Optional<CheckRuns.Run> latest = runs.latest();
    model.addAttribute("run", latest.orElse(null));
    List<Finding> findings = latest.map(r -> runs.findings(r.id())).orElse(List.of());
    model.addAttribute("findings", findings);
    model.addAttribute("recostable", recostable(findings).size());
    model.addAttribute("runs", runs.runs(SHOWN));
    return "prove/check";
  }

  private static List<String> recostable(List<Finding> findings) {
    return findings.stream().flatMap(f -> f.items().stream()).distinct().toList();
  }

  @SetsUp
  @PostMapping("/prove/check")
  String run(RedirectAttributes after) {
    CheckRuns.Run run = runs.run("asked");
    if (run.clean()) after.addFlashAttribute("told", "All " + run.rules() + " rules hold.");
    return "redirect:/prove/check";
  }

  /** Begins the paper that puts right what the latest check found in costs. */
  @SetsUp
  @PostMapping("/prove/check/mend")
  String mend(Principal who) {
    List<String> items =
        recostable(runs.latest().map(r -> runs.findings(r.id())).orElse(List.of()));
    if (items.isEmpty()) return "redirect:/prove/check";
    Draft draft =
        new Draft(
            PaperKind.RECOSTING,
            Map.of("date", posting.today().toString(), "why", "Found by the check"),
            items.stream().map(code -> Map.of("item", code)).toList());
    return "redirect:/drafts/" + drafts.begin(draft, who.getName());
  }
}
