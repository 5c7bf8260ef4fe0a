package zinctally.core.units;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Base units offered, with their codes of UN/ECE Recommendation 20 and their smaller part. The
 * codes are from memory of the Recommendation's list.
 */
public enum Unit {
  EACH("each", "H87", null, 1),
  KILOGRAM("kg", "KGM", "g", 1000),
  GRAM("g", "GRM", null, 1),
  TONNE("t", "TNE", "kg", 1000),
  LITRE("l", "LTR", "ml", 1000),
  METRE("m", "MTR", "cm", 100),
  SQUARE_METRE("m2", "MTK", null, 1),
  HOUR("h", "HUR", "min", 60),
  PAIR("pair", "PR", null, 1),
  SET("set", "SET", null, 1),
  DOZEN("dozen", "DZN", null, 1);

  private final String sign;
  private final String rec20;
  private final @Nullable String part;
  private final int parts;

  Unit(String sign, String rec20, @Nullable String part, int parts) {
    this.sign = sign;
    this.rec20 = rec20;
    this.part = part;
    this.parts = parts;
  }

  public String sign() {
    return sign;
  }

  /** Code of UN/ECE Recommendation 20. */
  public String rec20() {
    return rec20;
  }

  /** The smaller part's sign, or null. */
  public @Nullable String part() {
    return part;
  }

  /** How many of the smaller part make one. */
  public int parts() {
    return parts;
  }

  /** Whether it is counted, in whole pieces, and not measured. */
  public boolean counted() {
    return this == EACH || this == PAIR || this == SET || this == DOZEN;
  }

  /** By sign, name or Recommendation 20 code, whatever the case. */
  public static Optional<Unit> read(String text) {
    String wanted = text.strip().toLowerCase(Locale.ROOT);
    return Arrays.stream(values())
        .filter(
            u ->
                u.sign.equals(wanted)
                    || u.rec20.toLowerCase(Locale.ROOT).equals(wanted)
                    || u.name().toLowerCase(Locale.ROOT).replace('_', ' ').equals(wanted)
                    || (u == EACH
                        && (wanted.equals("pc") || wanted.equals("pcs") || wanted.equals("ea"))))
        .findFirst();
  }
}
