package zinctally.core.number;

import java.math.BigDecimal;
import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * How figures are written for people, and read from what people type, in the form of whoever the
 * work at hand is for. Work that names no form is done in {@link Form#POINT}.
 */
public final class Figures {
  public static final String MINUS = "\u2212";
  private static final int LONGEST = 24;
  private static final ThreadLocal<Form> FORM = ThreadLocal.withInitial(() -> Form.POINT);

  private Figures() {}

  /** The form of the work at hand. */
  public static Form form() {
    return FORM.get();
  }

  /** Does a piece of work in a form. */
  public static <T> T in(Form form, Supplier<T> work) {
    Form before = FORM.get();
    FORM.set(form);
    try {
      return work.get();
    } finally {
      FORM.set(before);
    }
  }

  /** From here on this thread's work is done in a form; null for none of its own. */
  public static void use(@Nullable Form form) {
    if (form == null) FORM.remove();
    else FORM.set(form);
  }

  /** Thousands apart, at least {@code places} decimals, a real minus sign. */
  public static String grouped(BigDecimal value, int places) {
    Form form = FORM.get();
    DecimalFormatSymbols symbols = DecimalFormatSymbols.getInstance(Locale.ROOT);
    symbols.setDecimalSeparator(form.decimal());
    symbols.setGroupingSeparator(form.group());
    DecimalFormat format = new DecimalFormat("#,##0", symbols);
    format.setMinimumFractionDigits(places);
    format.setMaximumFractionDigits(Math.max(places, value.scale()));
    String text = format.format(value.abs());
    return value.signum() < 0 ? MINUS + text : text;
  }

  /** For cells that are typed in: digits, and decimals as far as there are any. */
  public static String plain(BigDecimal value) {
    return (value.scale() < 0 ? value.setScale(0) : value)
        .toPlainString()
        .replace('.', FORM.get().decimal());
  }

  /**
   * Reads what a person or a spreadsheet would write: in {@link Form#POINT} {@code 1234.5} or
   * {@code 1,234.50}; a real or plain minus sign, blanks around. Empty when it is no such number in
   * the form of the work at hand.
   */
  public static Optional<BigDecimal> read(String text) {
    String bare = text.strip().replace(MINUS, "-").replace("+", "");
    if (bare.length() > LONGEST) return Optional.empty();
    Form form = FORM.get();
    return form.read(form == Form.SPACE ? bare : bare.replace("\u00a0", ""));
  }

  /** Whether something in what was typed is taken as thousands that may be meant as a fraction. */
  public static boolean doubtful(String text) {
    return FORM.get().doubts(text);
  }
}
