package zinctally.web.shell;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import org.springframework.ui.Model;

/** The days a page is asked for, both ends with them. */
public record Days(LocalDate from, LocalDate to) {
  /**
   * What is asked for; the usual days, with a sentence on the page, when it is no stretch of days.
   */
  public static Days read(
      String from, String to, LocalDate usualFrom, LocalDate usualTo, Model model) {
    try {
      LocalDate first = from.isBlank() ? usualFrom : LocalDate.parse(from.strip());
      LocalDate last = to.isBlank() ? usualTo : LocalDate.parse(to.strip());
      if (!first.isAfter(last)) return new Days(first, last);
      model.addAttribute(
          "wrong", first + " is after " + last + "; these are the days from " + usualFrom + " on.");
    } catch (DateTimeParseException notADate) {
      model.addAttribute(
          "wrong", "Days are written as 2026-03-09; these are from " + usualFrom + " on.");
    }
    return new Days(usualFrom, usualTo);
  }
}
