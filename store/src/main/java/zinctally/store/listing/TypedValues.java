package zinctally.store.listing;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.Year;
import java.time.YearMonth;
import java.util.Optional;
import zinctally.core.number.Coin;
import zinctally.core.number.Figures;
import zinctally.core.number.Quantity;
import zinctally.core.papers.read.Days;
import zinctally.store.listing.Listing.Type;

/** Reads what was typed for a column as the column is stored. */
public record TypedValues(Coin coin, LocalDate today) {
  /**
   * A value.
   *
   * @param last whether a month or year means its last day
   */
  public Optional<Object> read(Type type, String typed, boolean last) {
    return switch (type) {
      case DATE, TIME -> day(typed, last).map(d -> (Object) d);
      case MONEY ->
          figure(typed).filter(f -> f.scale() <= coin.digits()).map(f -> (Object) coin.minor(f));
      case QUANTITY ->
          figure(typed)
              .filter(f -> f.scale() <= Quantity.PLACES)
              .map(f -> (Object) Quantity.of(f).micros());
      case PERCENT -> figure(typed.replace("%", "")).map(f -> (Object) f);
      case PRICE, NUMBER -> figure(typed).map(f -> (Object) f);
      default -> Optional.of(typed);
    };
  }

  /** What would be right, in a few words. */
  public static String right(Type type) {
    return switch (type) {
      case DATE, TIME -> "a date or a month, like 2026-03";
      case TEXT, TREND, HIDDEN -> "some words";
      default -> "a figure, like 12.50";
    };
  }

  private static Optional<BigDecimal> figure(String typed) {
    return Figures.read(typed).filter(f -> f.precision() - f.scale() <= 12);
  }

  private Optional<LocalDate> day(String typed, boolean last) {
    if (typed.matches("\\d{4}")) {
      Year year = Year.parse(typed);
      return Optional.of(last ? year.atMonth(12).atEndOfMonth() : year.atDay(1));
    }
    if (typed.matches("\\d{4}-(0[1-9]|1[0-2])")) {
      YearMonth month = YearMonth.parse(typed);
      return Optional.of(last ? month.atEndOfMonth() : month.atDay(1));
    }
    return Days.read(typed, today, today);
  }
}
