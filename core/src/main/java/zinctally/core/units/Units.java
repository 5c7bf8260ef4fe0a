package zinctally.core.units;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zinctally.core.number.Figures;
import zinctally.core.number.Quantity;

/**
 * The units an item is counted in: its base unit with its smaller part, and at most one pack.
 *
 * @param packName such as {@code cs}; empty for none
 * @param packSize base units in a pack, above zero; one when there is no pack
 */
public record Units(Unit base, String packName, Quantity packSize) {
  private static final int LONGEST = 100;
  private static final Pattern TERM =
      Pattern.compile(
          "([+-])?\\s*([0-9][0-9.,'\u2019]*(?:[ \u00a0\u202f][0-9]{3})*(?:,[0-9]+)?|[.,][0-9]+)"
              + "\\s*([\\p{L}][\\p{L}0-9]*)?");

  public static Units of(Unit base) {
    return new Units(base, "", new Quantity(Quantity.ONE));
  }

  public boolean hasPack() {
    return !packName.isEmpty();
  }

  /**
   * A quantity as it was typed.
   *
   * @param quantity in the base unit
   * @param unit the unit the price beside it is for
   */
  public record Typed(Quantity quantity, Shown unit) {}

  /**
   * A unit in which a quantity can be shown.
   *
   * @param size base units in one
   */
  public record Shown(String sign, Quantity size) {}

  public Shown baseShown() {
    return new Shown(base.sign(), new Quantity(Quantity.ONE));
  }

  /** What she may type: base unit, smaller part, pack. */
  public List<Shown> shown() {
    List<Shown> all = new ArrayList<>();
    all.add(baseShown());
    if (base.part() != null) all.add(new Shown(base.part(), smallerPart()));
    if (hasPack()) all.add(new Shown(packName, packSize));
    return all;
  }

  private Quantity smallerPart() {
    return new Quantity(Quantity.ONE / base.parts());
  }

  /**
   * Reads {@code 2.5}, {@code 2 kg 500 g}, {@code 6 cs + 3}, {@code -4}. The price beside it is for
   * the first unit named, the base unit when none is.
   *
   * @return empty when it is not such a quantity, names a unit the item does not have, has more
   *     than six places or does not fit
   */
  public Optional<Typed> read(String text) {
    String bare = text.strip().replace(Figures.MINUS, "-");
    if (bare.length() > LONGEST) return Optional.empty();
    Matcher terms = TERM.matcher(bare);
    BigDecimal sum = BigDecimal.ZERO;
    Shown first = null;
    int end = 0;
    boolean negative = false;
    while (end < bare.length() && terms.find(end) && bare.substring(end, terms.start()).isBlank()) {
      Optional<BigDecimal> number = Figures.read(terms.group(2));
      Optional<Shown> unit = unit(terms.group(3));
      boolean start = end == 0;
      if (number.isEmpty() || unit.isEmpty() || (!start && "-".equals(terms.group(1))))
        return Optional.empty();
      if (!start && terms.group(1) == null && terms.group(3) == null) return Optional.empty();
      if (start) negative = "-".equals(terms.group(1));
      if (first == null) first = unit.get();
      sum = sum.add(inBase(number.get(), terms.group(3), unit.get()));
      end = terms.end();
    }
    if (first == null || !bare.substring(end).isBlank()) return Optional.empty();
    try {
      return Optional.of(new Typed(Quantity.of(negative ? sum.negate() : sum), first));
    } catch (ArithmeticException tooFineOrTooLarge) {
      return Optional.empty();
    }
  }

  private BigDecimal inBase(BigDecimal number, String sign, Shown unit) {
    if (sign != null && base.part() != null && unit.sign().equals(base.part()))
      return number
          .divide(BigDecimal.valueOf(base.parts()), 12, java.math.RoundingMode.HALF_UP)
          .stripTrailingZeros();
    return number.multiply(unit.size().decimal());
  }

  private Optional<Shown> unit(String sign) {
    if (sign == null) return Optional.of(baseShown());
    String wanted = sign.toLowerCase(Locale.ROOT);
    return shown().stream()
        .filter(u -> u.sign().toLowerCase(Locale.ROOT).equals(wanted))
        .findFirst();
  }

  /** As a person would say it: {@code 6 cs + 3}, {@code 2 kg 500 g}, {@code 12}. */
  public String say(Quantity quantity) {
    if (quantity.signum() < 0) return Figures.MINUS + say(quantity.negated());
    if (!hasPack()) return sayBase(quantity);
    BigInteger[] packs = wholeOf(quantity, packSize);
    if (packs[0].signum() == 0) return sayBase(quantity);
    String whole = Figures.grouped(new BigDecimal(packs[0]), 0) + " " + packName;
    Quantity rest = new Quantity(packs[1].longValueExact());
    return rest.signum() == 0 ? whole : whole + " + " + sayBase(rest);
  }

  /** The same for a cell that is typed in: nothing stands between thousands. */
  public String typed(Quantity quantity) {
    return say(quantity)
        .replace(String.valueOf(Figures.form().group()), "")
        .replace(Figures.MINUS, "-");
  }

  /** In the base unit alone: {@code 303}, {@code 2.5 kg}. */
  public String sayInBase(Quantity quantity) {
    String number = Figures.grouped(new BigDecimal(quantity.toString()), 0);
    return base == Unit.EACH ? number : number + " " + base.sign();
  }

  private String sayBase(Quantity quantity) {
    if (base.part() == null || quantity.micros() % smallerPart().micros() != 0)
      return sayInBase(quantity);
    BigInteger[] whole = wholeOf(quantity, new Quantity(Quantity.ONE));
    if (whole[1].signum() == 0) return sayInBase(quantity);
    long parts = whole[1].longValueExact() / smallerPart().micros();
    String small = parts + " " + base.part();
    if (whole[0].signum() == 0) return small;
    return Figures.grouped(new BigDecimal(whole[0]), 0) + " " + base.sign() + " " + small;
  }

  private static BigInteger[] wholeOf(Quantity quantity, Quantity size) {
    return BigInteger.valueOf(quantity.micros())
        .divideAndRemainder(BigInteger.valueOf(size.micros()));
  }
}
