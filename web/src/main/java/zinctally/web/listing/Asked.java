package zinctally.web.listing;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Objects;
import java.util.Optional;
import org.springframework.ui.Model;
import zinctally.core.papers.read.Days;
import zinctally.core.statement.BookYear;
import zinctally.web.shell.AtDate;
import zinctally.web.shell.DaySpan;
import zinctally.web.shell.KnownAt;

/** What a list is asked for besides its filters. What cannot be read is said on the page. */
public record Asked(HttpServletRequest request, Model model, Clock clock) {
  private static final String DATE = "date";
  private static final String DAYS = "days";

  public LocalDate today() {
    return LocalDate.now(clock);
  }

  /** The day at whose end it is looked at: the one asked for, else today. */
  public LocalDate date() {
    if (!model.containsAttribute(DATE))
      model.addAttribute(DATE, AtDate.read(text(DATE), clock, model));
    return (LocalDate) Objects.requireNonNull(model.getAttribute(DATE));
  }

  /** The days asked for; by default those from a day on. */
  public DaySpan days(LocalDate usualFrom) {
    if (!model.containsAttribute(DAYS))
      model.addAttribute(DAYS, DaySpan.read(text("from"), text("to"), usualFrom, today(), model));
    return (DaySpan) Objects.requireNonNull(model.getAttribute(DAYS));
  }

  /** The days asked for; by default those from the beginning of the year that the last is in. */
  public DaySpan days(BookYear year) {
    return days(year.start(Days.read(text("to"), today(), today()).orElse(today())));
  }

  /** The moment up to which entries count; empty for all that is known now. */
  public Optional<LocalDateTime> known() {
    model.addAttribute("knownTyped", text("known"));
    Optional<LocalDateTime> known = KnownAt.read(text("known"), clock, model);
    known.ifPresent(k -> model.addAttribute("known", k));
    return known;
  }

  /** What stands in the address under a name; nothing when it does not. */
  public String text(String name) {
    String value = request.getParameter(name);
    return value == null ? "" : value;
  }
}
