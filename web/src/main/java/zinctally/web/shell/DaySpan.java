package zinctally.web.shell;

import java.time.LocalDate;
import java.util.Optional;
import org.springframework.ui.Model;
import zinctally.core.papers.read.Days;

/** The days a page is asked for, both ends with them. */
public record DaySpan(LocalDate from, LocalDate to) {
  /**
   * What is asked for; the usual days, with a sentence on the page, when it is no stretch of days.
   *
   * @param today also the last of the usual days
   */
  public static DaySpan read(
      String from, String to, LocalDate usualFrom, LocalDate today, Model model) {
    Optional<LocalDate> first = day(from, usualFrom, today);
    Optional<LocalDate> last = day(to, today, today);
    if (first.isEmpty() || last.isEmpty())
      model.addAttribute(
          "wrong", "Days are written as 2026-03-09; these are from " + usualFrom + " on.");
    else if (first.get().isAfter(last.get()))
      model.addAttribute(
          "wrong",
          first.get()
              + " is after "
              + last.get()
              + "; these are the days from "
              + usualFrom
              + " on.");
    else return new DaySpan(first.get(), last.get());
    return new DaySpan(usualFrom, today);
  }

  private static Optional<LocalDate> day(String typed, LocalDate usual, LocalDate today) {
    return typed.isBlank() ? Optional.of(usual) : Days.read(typed, today, today);
  }
}
