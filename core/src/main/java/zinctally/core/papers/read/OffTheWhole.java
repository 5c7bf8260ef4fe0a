package zinctally.core.papers.read;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Reads what comes off the whole of a paper, an amount or percent. */
final class OffTheWhole {
  private OffTheWhole() {}

  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

  /**
   * @param sum minor units of all lines
   * @return minor units; zero when nothing is typed, or something wrong
   */
  static long read(Reader in, long sum) {
    String typed = in.draft.field("off");
    if (typed.isEmpty() || sum == 0) return 0;
    boolean percent = typed.endsWith("%");
    BigDecimal read =
        in.amount(
            "off",
            percent ? typed.substring(0, typed.length() - 1).strip() : typed,
            percent ? 4 : in.book.rules().coin().digits());
    if (read == null) return 0;
    BigDecimal most = percent ? HUNDRED : in.book.rules().coin().decimal(sum);
    if (read.signum() < 0 || read.compareTo(most) > 0) {
      in.fault(
          "off",
          "Between 0 and "
              + (percent ? "100 %" : in.say(sum) + ", which is all of it,")
              + " can come off the whole.");
      return 0;
    }
    if (!percent) return in.book.rules().coin().minor(read);
    return BigDecimal.valueOf(sum)
        .multiply(read)
        .divide(HUNDRED, 0, RoundingMode.HALF_UP)
        .longValueExact();
  }
}
