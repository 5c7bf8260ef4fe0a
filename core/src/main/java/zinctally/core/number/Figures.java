package zinctally.core.number;

import java.math.BigDecimal;
import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/** How figures are written for people, and read from what people type. */
public final class Figures {
  public static final String MINUS = "\u2212";
  private static final Pattern PLAIN = Pattern.compile("-?(\\d+(\\.\\d*)?|\\.\\d+)");
  private static final Pattern GROUPED = Pattern.compile("-?\\d{1,3}(,\\d{3})+(\\.\\d*)?");
  private static final int LONGEST = 24;

  private Figures() {}

  /** Thousands in commas, at least {@code places} digits after the point, a real minus sign. */
  public static String grouped(BigDecimal value, int places) {
    DecimalFormat format =
        new DecimalFormat("#,##0", DecimalFormatSymbols.getInstance(Locale.ROOT));
    format.setMinimumFractionDigits(places);
    format.setMaximumFractionDigits(Math.max(places, value.scale()));
    String text = format.format(value.abs());
    return value.signum() < 0 ? MINUS + text : text;
  }

  /**
   * Reads what a person or a spreadsheet would write: {@code 1234.5}, {@code 1,234.50}, a real or
   * plain minus sign, blanks around. Empty when it is no such number; a comma for the decimal point
   * is not guessed at.
   */
  public static Optional<BigDecimal> read(String text) {
    String bare = text.strip().replace(MINUS, "-").replace("\u00a0", "").replace("+", "");
    if (bare.length() > LONGEST) return Optional.empty();
    if (GROUPED.matcher(bare).matches()) return Optional.of(new BigDecimal(bare.replace(",", "")));
    return PLAIN.matcher(bare).matches() ? Optional.of(new BigDecimal(bare)) : Optional.empty();
  }
}
