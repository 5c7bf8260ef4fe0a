package zinctally.web.shell;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Optional;
import org.springframework.ui.Model;
import zinctally.core.papers.read.Days;

/** The date a page is asked for. */
public final class AtDate {
  private AtDate() {}

  /** Today when none is given; today with a sentence on the page when it is no date. */
  public static LocalDate read(String typed, Clock clock, Model model) {
    LocalDate today = LocalDate.now(clock);
    if (typed.isBlank()) return today;
    Optional<LocalDate> day = Days.read(typed, today, today);
    if (day.isPresent()) return day.get();
    String kept = typed.length() > 40 ? typed.substring(0, 40) : typed;
    model.addAttribute(
        "wrong", "\"" + kept + "\" is not a date; write it as 2026-03-09. This is as of today.");
    return today;
  }
}
