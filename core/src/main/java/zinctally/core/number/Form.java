package zinctally.core.number;

import java.math.BigDecimal;
import java.util.Collection;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** In which form figures are written: what stands before decimals, and what between thousands. */
public enum Form {
  POINT('.', ','),
  COMMA(',', '.'),
  /** Thousands stand apart by a space that does not break. */
  SPACE(',', '\u00a0'),
  APOSTROPHE('.', '\'');

  private static final Pattern EITHER = Pattern.compile("[1-9]\\d{0,2}[.,]\\d{3}");
  private static final Pattern SEPARATED = Pattern.compile("\\d[\\d.,'\u2019\u00a0\u202f ]*");
  private final char decimal;
  private final char group;
  private final Pattern plain;
  private final Pattern grouped;
  private final Pattern doubtful;

  Form(char decimal, char group) {
    this.decimal = decimal;
    this.group = group;
    String point = Pattern.quote(String.valueOf(decimal));
    String thousands =
        group == '\u00a0'
            ? "[ \u00a0\u202f]"
            : group == '\'' ? "['\u2019]" : Pattern.quote("" + group);
    plain = Pattern.compile("-?(\\d+(" + point + "\\d*)?|" + point + "\\d+)");
    grouped = Pattern.compile("-?[1-9]\\d{0,2}(" + thousands + "\\d{3})+(" + point + "\\d*)?");
    doubtful =
        Pattern.compile(
            "(?<![\\d.,])[1-9]\\d{0,2}" + Pattern.quote("" + group) + "\\d{3}(?![\\d.,])");
  }

  /** What stands before the decimals. */
  public char decimal() {
    return decimal;
  }

  /** What stands between thousands. */
  public char group() {
    return group;
  }

  /** An amount in this form, for choosing: {@code 1,234.50}. */
  public String sample() {
    return "1" + group + "234" + decimal + "50";
  }

  /** The form of a name; {@link #POINT} for none. */
  public static Form of(String name) {
    for (Form form : values()) if (form.name().equals(name)) return form;
    return POINT;
  }

  /** Reads a number without blanks around; {@code 0,333} is never thousands. */
  Optional<BigDecimal> read(String text) {
    if (grouped.matcher(text).matches())
      return Optional.of(new BigDecimal(ungrouped(text).replace(decimal, '.')));
    return plain.matcher(text).matches()
        ? Optional.of(new BigDecimal(text.replace(decimal, '.')))
        : Optional.empty();
  }

  private String ungrouped(String text) {
    return switch (this) {
      case SPACE -> text.replaceAll("[ \u00a0\u202f]", "");
      case APOSTROPHE -> text.replaceAll("['\u2019]", "");
      default -> text.replace(String.valueOf(group), "");
    };
  }

  /**
   * Whether something in a text is read as thousands here and would be a fraction to others, as
   * {@code 1,250}.
   */
  boolean doubts(String text) {
    return (group == '.' || group == ',') && doubtful.matcher(text).find();
  }

  /** Whether a number may be thousands or a fraction while its form is not known. */
  public static boolean mayBeTwo(String text) {
    return EITHER.matcher(text.strip().replaceFirst("^[-\u2212+]", "")).matches();
  }

  /**
   * What the figures of a whole file say of their form.
   *
   * @param form empty when none of them tells
   * @param mixed whether they contradict each other
   */
  public record Found(Optional<Form> form, boolean mixed) {}

  /** Finds the form in which all figures of a file are written. */
  public static Found found(Collection<String> cells) {
    @Nullable Form one = null;
    for (String cell : cells) {
      Form told = told(cell.strip().replaceFirst("^[-\u2212+]", ""));
      if (told == null) continue;
      boolean samePoint = one != null && one.decimal == told.decimal;
      if (one != null && !samePoint) return new Found(Optional.of(one), true);
      if (one == null || told == SPACE || told == APOSTROPHE) one = told;
    }
    return new Found(Optional.ofNullable(one), false);
  }

  /** What one figure tells; null for nothing. */
  private static @Nullable Form told(String text) {
    if (!SEPARATED.matcher(text).matches() || EITHER.matcher(text).matches()) return null;
    int point = text.lastIndexOf('.');
    int comma = text.lastIndexOf(',');
    boolean apostrophe = text.indexOf('\'') >= 0 || text.indexOf('\u2019') >= 0;
    if (apostrophe) return APOSTROPHE;
    boolean space = text.matches(".*\\d[ \u00a0\u202f]\\d.*");
    if (point < 0 && comma < 0) return space ? SPACE : null;
    if (point >= 0 && comma >= 0) return point > comma ? POINT : COMMA;
    int last = Math.max(point, comma);
    boolean several = text.indexOf(text.charAt(last)) != last;
    boolean commaTells = comma >= 0;
    if (several) return commaTells ? POINT : COMMA;
    return commaTells ? (space ? SPACE : COMMA) : POINT;
  }
}
