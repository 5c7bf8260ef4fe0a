package zinctally.web.picture;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.LongFunction;
import org.jspecify.annotations.Nullable;
import zinctally.core.number.Quantity;
import zinctally.store.goods.StockTimeStore.Change;
import zinctally.store.goods.StockTimeStore.Why;

/**
 * An item's stock over time: how much was there as a stepped line; below it what came and what was
 * sold week by week, on the same scale of time; marks where it was ordered and counted.
 *
 * @param reorder where the reorder point stands; null for none
 */
public record StockTimePicture(
    String line,
    List<Tick> levels,
    List<Tick> weekly,
    List<Tick> months,
    List<Week> weeks,
    List<Mark> ordered,
    List<Mark> counted,
    @Nullable Double reorder) {
  public static final int LEFT = 64;
  public static final int WIDTH = 780;
  public static final int TOP = 10;
  public static final int FOOT = 190;
  public static final int MIDDLE = 258;
  public static final int HEIGHT = 320;
  private static final double ALONG = WIDTH - LEFT - 6;
  private static final double HALF = 40;

  /** A value beside an axis. */
  public record Tick(double at, String says) {}

  /** Something that happened on a day. */
  public record Mark(double x, double y, String says) {}

  /**
   * A week, and what it came to.
   *
   * @param level at its end
   */
  public record Week(
      LocalDate from,
      double x,
      double width,
      long came,
      long sold,
      long other,
      long level,
      double cameHigh,
      double soldHigh) {}

  /**
   * @param now millionths that are there now
   * @param changes since the first day
   * @param ordered days of orders
   * @param counted days on which it was counted
   * @param reorder millionths; null for none
   * @param say a quantity of the item
   */
  public static StockTimePicture of(
      LocalDate from,
      LocalDate to,
      long now,
      List<Change> changes,
      List<LocalDate> ordered,
      List<LocalDate> counted,
      @Nullable Long reorder,
      LongFunction<String> say) {
    TreeMap<LocalDate, Long> days = new TreeMap<>();
    for (Change c : changes) days.merge(c.day(), c.quantity(), Long::sum);
    long start = now - days.values().stream().mapToLong(Long::longValue).sum();
    TreeMap<LocalDate, Long> levels = new TreeMap<>();
    levels.put(from, start);
    long level = start;
    for (Map.Entry<LocalDate, Long> day : days.entrySet())
      levels.put(day.getKey(), level += day.getValue());
    long most = levels.values().stream().mapToLong(Long::longValue).max().orElse(0);
    Scale scale = Scale.of(Math.max(most, reorder == null ? 0 : reorder), Quantity.ONE, 4);
    Days along = new Days(from, to);
    List<Week> weeks = weeks(along, changes, levels);
    long week = weeks.stream().mapToLong(w -> Math.max(w.came, w.sold)).max().orElse(0);
    Scale moved = Scale.of(week, Quantity.ONE, 2);
    return new StockTimePicture(
        line(along, levels, scale),
        scale.ticks().stream().map(t -> new Tick(y(scale, t), say.apply(t))).toList(),
        List.of(
            new Tick(MIDDLE - HALF, say.apply(moved.most())),
            new Tick(MIDDLE, say.apply(0)),
            new Tick(MIDDLE + HALF, say.apply(moved.most()))),
        months(along),
        weeks.stream()
            .map(
                w ->
                    new Week(
                        w.from,
                        w.x,
                        w.width,
                        w.came,
                        w.sold,
                        w.other,
                        w.level,
                        moved.at(w.came, HALF),
                        moved.at(w.sold, HALF)))
            .toList(),
        ordered.stream().map(d -> new Mark(along.x(d), FOOT, "Ordered on " + d)).toList(),
        counted.stream()
            .map(
                d ->
                    new Mark(
                        along.x(d), y(scale, Math.max(0, level(levels, d))), "Counted on " + d))
            .toList(),
        reorder == null ? null : y(scale, reorder));
  }

  private static long level(TreeMap<LocalDate, Long> levels, LocalDate day) {
    Map.Entry<LocalDate, Long> at = levels.floorEntry(day);
    return at == null ? 0 : at.getValue();
  }

  private static double y(Scale scale, long value) {
    return FOOT - scale.at(value, FOOT - TOP);
  }

  /** Days from left to right. */
  private record Days(LocalDate from, LocalDate to) {
    double x(LocalDate day) {
      double all = Math.max(1, ChronoUnit.DAYS.between(from, to));
      return LEFT + ALONG * Math.max(0, ChronoUnit.DAYS.between(from, day)) / all;
    }
  }

  private static String line(Days along, TreeMap<LocalDate, Long> levels, Scale scale) {
    StringBuilder points = new StringBuilder();
    double y = 0;
    boolean first = true;
    for (Map.Entry<LocalDate, Long> at : levels.entrySet()) {
      double x = along.x(at.getKey());
      if (!first) points.append(String.format(Locale.ROOT, "%.1f,%.1f ", x, y));
      y = y(scale, Math.max(0, at.getValue()));
      points.append(String.format(Locale.ROOT, "%.1f,%.1f ", x, y));
      first = false;
    }
    return points.append(String.format(Locale.ROOT, "%.1f,%.1f", along.x(along.to), y)).toString();
  }

  private static List<Tick> months(Days along) {
    List<Tick> months = new ArrayList<>();
    long all = ChronoUnit.MONTHS.between(along.from, along.to) + 1;
    for (LocalDate month = along.from.withDayOfMonth(1);
        !month.isAfter(along.to);
        month = month.plusMonths(Math.max(1, all / 8)))
      if (!month.isBefore(along.from))
        months.add(new Tick(along.x(month), month.toString().substring(0, 7)));
    return months;
  }

  private static List<Week> weeks(
      Days along, List<Change> changes, TreeMap<LocalDate, Long> levels) {
    List<Week> weeks = new ArrayList<>();
    LocalDate monday = along.from.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    for (; !monday.isAfter(along.to); monday = monday.plusWeeks(1)) {
      LocalDate first = monday;
      LocalDate next = monday.plusWeeks(1);
      long came = 0;
      long sold = 0;
      long other = 0;
      for (Change c : changes) {
        if (c.day().isBefore(first) || !c.day().isBefore(next)) continue;
        if (c.why() == Why.CAME) came += c.quantity();
        else if (c.why() == Why.SOLD) sold -= c.quantity();
        else other += c.quantity();
      }
      double x = along.x(first);
      weeks.add(
          new Week(
              first,
              x,
              Math.max(1, along.x(next) - x),
              came,
              sold,
              other,
              level(levels, next.minusDays(1)),
              0,
              0));
    }
    return weeks;
  }
}
