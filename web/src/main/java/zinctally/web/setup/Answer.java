package zinctally.web.setup;

import org.springframework.dao.DuplicateKeyException;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What a set-up page answers once something was sent to it. */
final class Answer {
  private Answer() {}

  static String wrong(RedirectAttributes after, String page, String says) {
    after.addFlashAttribute("wrong", says);
    return "redirect:/setup" + page;
  }

  static String kept(
      RedirectAttributes after, String page, String name, int longest, Runnable save) {
    if (name.isBlank() || name.length() > longest)
      return wrong(after, page, "A name of at most " + longest + " letters is needed.");
    try {
      save.run();
    } catch (DuplicateKeyException twice) {
      return wrong(after, page, "There is one called " + name.strip() + " already.");
    }
    after.addFlashAttribute("told", "Kept.");
    return "redirect:/setup" + page;
  }
}
