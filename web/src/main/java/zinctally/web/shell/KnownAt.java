package zinctally.web.shell;

import java.time.Clock;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.ui.Model;
import zinctally.core.papers.read.Days;

/** The moment a page is asked for: what was entered later does not count. */
public final class KnownAt {
  private static final Pattern MOMENT =
      Pattern.compile("(\\d{4}-\\d{2}-\\d{2})[T ](\\d{2}:\\d{2}(:\\d{2}(\\.\\d{1,3})?)?)");

  private KnownAt() {}

  /** Nothing when all that is known now counts; now with a sentence on the page for no moment. */
  public static Optional<LocalDateTime> read(String typed, Clock clock, Model model) {
    String asked = typed.strip();
    if (asked.isEmpty()) return Optional.empty();
    Optional<LocalDateTime> moment = moment(asked, clock);
    if (moment.isEmpty())
      model.addAttribute(
          "wrong",
          "\""
              + (asked.length() > 40 ? asked.substring(0, 40) : asked)
              + "\" is no day or moment; write it as 2026-09-05, or 2026-09-05 14:30. This is what"
              + " is known now.");
    return moment;
  }

  private static Optional<LocalDateTime> moment(String typed, Clock clock) {
    LocalDate today = LocalDate.now(clock);
    Matcher whole = MOMENT.matcher(typed);
    if (!whole.matches())
      return Days.read(typed, today, today)
          .map(d -> d.plusDays(1).atStartOfDay().minus(1, ChronoUnit.MILLIS));
    try {
      LocalTime time = LocalTime.parse(whole.group(2));
      LocalDateTime at = LocalDate.parse(whole.group(1)).atTime(time);
      // a minute or second is meant to its end
      if (whole.group(3) == null) return Optional.of(at.plusMinutes(1).minus(1, ChronoUnit.MILLIS));
      if (whole.group(4) == null) return Optional.of(at.plusSeconds(1).minus(1, ChronoUnit.MILLIS));
      return Optional.of(at);
    } catch (DateTimeException none) {
      return Optional.empty();
    }
  }
}
