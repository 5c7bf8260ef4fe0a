package zinctally.web.paper;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import zinctally.web.paper.form.Forms;
import zinctally.web.paper.form.Suggestion;
import zinctally.web.shell.NotThere;

/** What could be meant by the letters typed so far. */
@Controller
class SuggestController {
  private static final int LONGEST = 80;
  private final Forms forms;

  SuggestController(Forms forms) {
    this.forms = forms;
  }

  @GetMapping("/suggest/{source}")
  String suggest(
      @PathVariable String source, @RequestParam(defaultValue = "") String q, Model model) {
    Suggestion suggestion =
        forms.suggestion(source).orElseThrow(() -> new NotThere("suggestions for " + source));
    String typed = q.strip();
    model.addAttribute(
        "offers",
        suggestion.offers().apply(typed.length() > LONGEST ? typed.substring(0, LONGEST) : typed));
    return "paper/offers";
  }
}
