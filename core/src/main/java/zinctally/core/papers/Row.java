package zinctally.core.papers;

import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.papers.back.ReturnReason;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Flow;

/**
 * A line of a paper as it is kept, whatever the paper.
 *
 * @param line where it stands, from zero
 * @param item null for none
 * @param account the account's id; null for none
 * @param place null for none
 * @param wording may be empty
 * @param quantity null for none
 * @param unit the unit its price is for; may be empty
 * @param price for one of the unit; null for none
 * @param discount percent off that price
 * @param net minor units without tax
 * @param tax minor units
 * @param rate null for none
 * @param from the earlier line it goes on from
 * @param reason why it goes or comes back; null for none
 */
public record Row(
    int line,
    @Nullable Item item,
    @Nullable Long account,
    @Nullable Place place,
    String wording,
    @Nullable Quantity quantity,
    String unit,
    @Nullable BigDecimal price,
    BigDecimal discount,
    long net,
    long tax,
    @Nullable TaxRate rate,
    From from,
    @Nullable ReturnReason reason) {
  /**
   * An earlier paper's line.
   *
   * @param paper the paper's id; zero for none
   */
  public record From(long paper, int line) {
    static final From NOTHING = new From(0, 0);

    public static From of(Flow flow) {
      Awaited of = flow.source();
      return of == null ? NOTHING : new From(of.paper(), of.line());
    }

    /** Whether there is one. */
    public boolean isThere() {
      return paper != 0;
    }
  }

  /** A line of no more than an item; what else there is follows. */
  public static Row of(int line, @Nullable Item item) {
    return new Row(
        line,
        item,
        null,
        null,
        "",
        null,
        "",
        null,
        BigDecimal.ZERO,
        0,
        0,
        null,
        From.NOTHING,
        null);
  }

  public Row at(@Nullable Place there) {
    return new Row(
        line, item, account, there, wording, quantity, unit, price, discount, net, tax, rate, from,
        reason);
  }

  public Row on(@Nullable Long id) {
    return new Row(
        line, item, id, place, wording, quantity, unit, price, discount, net, tax, rate, from,
        reason);
  }

  public Row worded(String words) {
    return new Row(
        line, item, account, place, words, quantity, unit, price, discount, net, tax, rate, from,
        reason);
  }

  public Row of(Quantity many, String each) {
    return new Row(
        line, item, account, place, wording, many, each, price, discount, net, tax, rate, from,
        reason);
  }

  /**
   * @param one null when not known
   * @param off percent
   */
  public Row priced(@Nullable BigDecimal one, BigDecimal off) {
    return new Row(
        line, item, account, place, wording, quantity, unit, one, off, net, tax, rate, from,
        reason);
  }

  public Row worth(long minor) {
    return worth(minor, 0, null);
  }

  public Row worth(long without, long taxed, @Nullable TaxRate at) {
    return new Row(
        line, item, account, place, wording, quantity, unit, price, discount, without, taxed, at,
        from, reason);
  }

  public Row from(From earlier) {
    return new Row(
        line, item, account, place, wording, quantity, unit, price, discount, net, tax, rate,
        earlier, reason);
  }

  public Row because(@Nullable ReturnReason why) {
    return new Row(
        line, item, account, place, wording, quantity, unit, price, discount, net, tax, rate, from,
        why);
  }
}
