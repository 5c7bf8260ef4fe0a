package zinctally.web.ask;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import zinctally.core.question.Chart;
import zinctally.store.listing.Listing;
import zinctally.store.listing.Listing.Column;
import zinctally.store.listing.Listing.Type;
import zinctally.web.picture.ChartPicture;
import zinctally.web.picture.ChartPicture.Series;
import zinctally.web.shell.Say;

/** Draws what a question comes to: the rows that its page shows, in their order. */
@Component
class QuestionPicture {
  private static final int MOST_BARS = 40;
  private static final int MOST_LINES = 8;
  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);
  private final Say say;

  QuestionPicture(Say say) {
    this.say = say;
  }

  Optional<ChartPicture> of(Chart chart, Listing listing, List<Map<String, Object>> rows) {
    List<Column> figures =
        listing.shown().stream().filter(c -> c.type().figure() && c.type() != Type.NUMBER).toList();
    if (figures.isEmpty())
      figures = listing.shown().stream().filter(c -> c.type().figure()).toList();
    if (chart == Chart.NONE || figures.isEmpty() || rows.isEmpty()) return Optional.empty();
    Type type = figures.get(0).type();
    List<Column> same = figures.stream().filter(c -> c.type() == type).toList();
    return Optional.of(
        switch (chart) {
          case BARS -> bars(listing, rows, same.subList(0, 1), type);
          case SHARE -> shares(listing, rows, same.get(0));
          default ->
              same.size() > 4
                  ? along(listing, rows, same, type)
                  : rowsAlong(listing, rows, same, type);
        });
  }

  private ChartPicture bars(
      Listing listing, List<Map<String, Object>> rows, List<Column> figures, Type type) {
    List<Map<String, Object>> some = rows.subList(0, Math.min(MOST_BARS, rows.size()));
    return ChartPicture.bars(places(listing, some), series(some, figures), v -> said(type, v));
  }

  /** Rows from left to right, a line for each figure; percentages have an axis of their own. */
  private ChartPicture rowsAlong(
      Listing listing, List<Map<String, Object>> rows, List<Column> figures, Type type) {
    List<Column> percent =
        type == Type.PERCENT
            ? List.of()
            : listing.shown().stream().filter(c -> c.type() == Type.PERCENT).toList();
    return ChartPicture.lines(
        places(listing, rows),
        series(rows, figures),
        v -> said(type, v),
        series(rows, percent),
        v -> said(Type.PERCENT, v));
  }

  /** Figures that stand side by side from left to right, a line for each row. */
  private ChartPicture along(
      Listing listing, List<Map<String, Object>> rows, List<Column> figures, Type type) {
    List<Column> sides = figures.subList(0, figures.size() - 1); // the last is what they come to
    List<Map<String, Object>> some = rows.subList(0, Math.min(MOST_LINES, rows.size()));
    List<String> names = places(listing, some);
    List<Series> series = new ArrayList<>();
    for (int r = 0; r < some.size(); r++) {
      Map<String, Object> row = some.get(r);
      series.add(
          new Series(names.get(r), sides.stream().map(c -> value(row.get(c.key()))).toList()));
    }
    return ChartPicture.lines(
        sides.stream().map(Column::heading).toList(), series, v -> said(type, v));
  }

  private ChartPicture shares(Listing listing, List<Map<String, Object>> rows, Column figure) {
    BigDecimal all =
        rows.stream().map(r -> value(r.get(figure.key()))).reduce(BigDecimal.ZERO, BigDecimal::add);
    List<BigDecimal> shares =
        rows.stream()
            .map(r -> value(r.get(figure.key())))
            .map(
                v ->
                    all.signum() == 0
                        ? BigDecimal.ZERO
                        : v.multiply(HUNDRED).divide(all, 1, RoundingMode.HALF_UP))
            .toList();
    int some = Math.min(MOST_BARS, rows.size());
    return ChartPicture.bars(
        places(listing, rows.subList(0, some)),
        List.of(new Series(figure.heading(), shares.subList(0, some))),
        v -> said(Type.PERCENT, v));
  }

  private static List<Series> series(List<Map<String, Object>> rows, List<Column> figures) {
    return figures.stream()
        .map(c -> new Series(c.heading(), rows.stream().map(r -> value(r.get(c.key()))).toList()))
        .toList();
  }

  private static List<String> places(Listing listing, List<Map<String, Object>> rows) {
    List<Column> words = listing.shown().stream().filter(c -> !c.type().figure()).limit(2).toList();
    return rows.stream()
        .map(
            r ->
                String.join(
                    ", ",
                    words.stream()
                        .map(c -> r.get(c.key()) == null ? "" : String.valueOf(r.get(c.key())))
                        .toList()))
        .toList();
  }

  private static BigDecimal value(@Nullable Object value) {
    return value instanceof Number n ? new BigDecimal(n.toString()) : BigDecimal.ZERO;
  }

  private String said(Type type, BigDecimal value) {
    return switch (type) {
      case MONEY -> say.money(value.longValue());
      case QUANTITY -> say.quantity(value.longValue());
      case PERCENT -> say.share(value);
      case PRICE -> say.price(value);
      default -> value.stripTrailingZeros().toPlainString();
    };
  }
}
