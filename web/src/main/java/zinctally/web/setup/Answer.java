package zinctally.web.setup;

import java.util.Map;
import java.util.function.Supplier;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.store.NotKept;
import zinctally.store.book.SetUp;

/** What a set-up page answers once something was sent to it. */
final class Answer {
  private Answer() {}

  /** Makes a change alone in the book, or says why not and changes nothing. */
  static String tried(SetUp setUp, RedirectAttributes after, String page, Runnable change) {
    return told(
        setUp,
        after,
        page,
        () -> {
          change.run();
          return "Kept.";
        });
  }

  /** The same, and tells what came of it. */
  static String told(SetUp setUp, RedirectAttributes after, String page, Supplier<String> change) {
    try {
      after.addFlashAttribute("told", setUp.alone(change));
      return "redirect:/setup" + page;
    } catch (NotKept refused) {
      return wrong(after, page, String.valueOf(refused.getMessage()));
    }
  }

  static String wrong(RedirectAttributes after, String page, String says) {
    after.addFlashAttribute("wrong", says);
    return "redirect:/setup" + page;
  }

  /** Says what is wrong first. */
  static String wrong(RedirectAttributes after, String page, Map<String, String> faults) {
    return wrong(after, page, faults.values().iterator().next());
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
