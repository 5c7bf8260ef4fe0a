package zinctally.core.statement;

import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;

/** Moments up to which entries count. */
public final class Known {
  private static final DateTimeFormatter EXACT =
      DateTimeFormatter.ofPattern("yyyy-MM-dd'T'HH:mm:ss.SSS");

  /** Later than every entry: all that is known now. */
  public static final LocalDateTime NOW = LocalDateTime.of(9999, 12, 31, 0, 0);

  private Known() {}

  /** A moment to the millisecond, as addresses have it. */
  public static String said(LocalDateTime moment) {
    return EXACT.format(moment);
  }
}
