package zinctally.core.papers.consign;

import java.math.BigDecimal;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import zinctally.core.number.Coin;
import zinctally.core.number.Quantity;
import zinctally.core.number.Share;

/**
 * What is owed for consigned goods once they are sold: a cost for each, or a share of the price.
 *
 * @param each for one base unit; null when it is a share
 * @param percent of the price, theirs; null when it is a cost for each
 * @param least for one base unit, whatever the share comes to; null for none
 * @param discounts who bears what comes off a price
 * @param lossOurs whether we bear what is lost or broken here
 */
public record Terms(
    @Nullable BigDecimal each,
    @Nullable BigDecimal percent,
    @Nullable BigDecimal least,
    Discounts discounts,
    boolean lossOurs) {
  /** A hundred percent, with the four places a percentage may have. */
  private static final long WHOLE = 1_000_000;

  /** Who bears what comes off a price. */
  public enum Discounts {
    BOTH("both, as the shares are"),
    OURS("us"),
    THEIRS("them");

    private final String words;

    Discounts(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }

    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /** Whether a price must be known to say what is owed. */
  public boolean ofPrice() {
    return percent != null;
  }

  /**
   * Minor units that are owed.
   *
   * @param micros millionths sold
   * @param gross minor units they would have brought without discount, without tax
   * @param net minor units they brought without tax
   * @throws ArithmeticException when it does not fit
   */
  public long cost(Coin coin, long micros, long gross, long net) {
    BigDecimal many = new Quantity(micros).decimal();
    long owed = each != null ? coin.rounded(each.multiply(many)) : share(gross, net);
    return least == null ? owed : Math.max(owed, coin.rounded(least.multiply(many)));
  }

  private long share(long gross, long net) {
    long part =
        percent == null
            ? 0
            : percent.movePointRight(4).setScale(0).unscaledValue().longValueExact();
    return switch (discounts) {
      case BOTH -> Share.of(net, part, WHOLE);
      case OURS -> Share.of(gross, part, WHOLE);
      case THEIRS -> Math.max(0, Share.of(gross, part, WHOLE) - (gross - net));
    };
  }

  /** In words: {@code 40 % of the price, at least 2.00 each}. */
  public String says(Coin coin) {
    String owed =
        each != null
            ? coin.price(each).toPlainString() + " each"
            : percent == null
                ? ""
                : percent.stripTrailingZeros().toPlainString() + " % of the price";
    return least == null
        ? owed
        : owed + ", at least " + coin.price(least).toPlainString() + " each";
  }
}
