package zinctally.store.sell;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import zinctally.core.number.Coin;
import zinctally.core.price.PriceChange;
import zinctally.store.book.BookStore;

/** Many prices of a list changed at once, after a look at what would become of them. */
@Service
public class PriceChanges {
  private final PriceStore prices;
  private final BookStore books;

  PriceChanges(PriceStore prices, BookStore books) {
    this.prices = prices;
    this.books = books;
  }

  /**
   * What is to be changed.
   *
   * @param group with all groups under it; zero for all items
   * @param from the day from which the new prices count
   */
  public record Wanted(long list, long group, LocalDate from, PriceChange change) {}

  /**
   * One price before and after, for one base unit.
   *
   * @param before null for none
   * @param margin in percent at the present cost; null when that is not known
   */
  public record Changed(
      long item,
      String code,
      String name,
      String unit,
      @Nullable BigDecimal before,
      BigDecimal after,
      @Nullable BigDecimal margin,
      boolean underCost) {}

  /** All that would change. */
  public record Preview(List<Changed> changed) {
    /** By which it is told whether these are still the same changes. */
    public String sum() {
      return changed.size()
          + "/"
          + changed.stream()
              .map(Changed::after)
              .reduce(BigDecimal.ZERO, BigDecimal::add)
              .stripTrailingZeros()
              .toPlainString();
    }
  }

  /** Every price that would come out otherwise. */
  public Preview preview(Wanted wanted) {
    Coin coin = books.book().coin();
    List<Changed> changed = new ArrayList<>();
    for (PriceStore.Priced p : prices.priced(wanted.list(), wanted.group(), wanted.from())) {
      BigDecimal cost = p.cost() == null ? null : coin.each(p.cost(), p.costMicros());
      wanted
          .change()
          .of(p.price(), cost)
          .filter(fresh -> p.price() == null || fresh.compareTo(p.price()) != 0)
          .ifPresent(fresh -> changed.add(changed(p, fresh, cost)));
    }
    return new Preview(changed);
  }

  private static Changed changed(PriceStore.Priced p, BigDecimal fresh, @Nullable BigDecimal cost) {
    @Nullable BigDecimal margin =
        cost == null || fresh.signum() == 0
            ? null
            : fresh
                .subtract(cost)
                .multiply(BigDecimal.valueOf(100))
                .divide(fresh, 1, RoundingMode.HALF_UP);
    boolean under = cost != null && fresh.compareTo(cost) < 0;
    return new Changed(p.item(), p.code(), p.name(), p.unit(), p.price(), fresh, margin, under);
  }

  /**
   * Sets the prices that were looked at, all or none.
   *
   * @param seen the sum of the preview that was looked at
   * @return how many; zero, with nothing changed, when they would come out otherwise by now
   */
  @Transactional
  public int change(Wanted wanted, String seen, String login) {
    Preview now = preview(wanted);
    if (!now.sum().equals(seen)) return 0;
    prices.setAll(
        wanted.list(),
        wanted.from(),
        now.changed().stream().map(c -> new PriceStore.Fresh(c.item(), c.after())).toList(),
        login);
    return now.changed().size();
  }
}
