package zinctally.web.picture;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * Figures drawn to a scale that is said, with a zero line, and each value to be read at its mark.
 *
 * @param legend names of the series, where there are two or more
 * @param ticks values along the axis on the left
 * @param right values along the one on the right, of series that are of another kind; none without
 * @param end where the axes end on the right
 * @param zero where nothing stands, down from the top
 */
public record ChartPicture(
    int width,
    int height,
    List<Tick> ticks,
    List<Tick> right,
    double end,
    List<Mark> bars,
    List<Line> lines,
    List<Label> labels,
    List<Legend> legend,
    double zero) {
  private static final int LEFT = 84;
  private static final int RIGHT = 12;
  private static final int RIGHT_AXIS = 64;
  private static final int TOP = 10;
  private static final int BOTTOM = 46;
  private static final int MOST_LABELS = 14;
  private static final int LONGEST = 14;

  /** A value of the axis. */
  public record Tick(double y, String words) {}

  /**
   * A value.
   *
   * @param series counted from zero
   * @param says what it is and of what
   */
  public record Mark(double x, double y, double width, double height, int series, String says) {}

  /** A line through values. */
  public record Line(String points, int series, List<Mark> marks) {}

  /** Words under the axis. */
  public record Label(double x, String words) {}

  /** What a series is called. */
  public record Legend(int series, String words) {}

  /** Values of one kind, one for each place along the axis. */
  public record Series(String name, List<BigDecimal> values) {}

  /** Bars that stand beside each other, one for each place. */
  public static ChartPicture bars(
      List<String> places, List<Series> series, Function<BigDecimal, String> say) {
    return new Making(places, series, say, List.of(), say).bars();
  }

  /** Lines from place to place. */
  public static ChartPicture lines(
      List<String> places, List<Series> series, Function<BigDecimal, String> say) {
    return new Making(places, series, say, List.of(), say).lines();
  }

  /**
   * The same with lines of another kind beside them, which have an axis of their own.
   *
   * @param beside such as percent
   */
  public static ChartPicture lines(
      List<String> places,
      List<Series> series,
      Function<BigDecimal, String> say,
      List<Series> beside,
      Function<BigDecimal, String> sayBeside) {
    return new Making(places, series, say, beside, sayBeside).lines();
  }

  /**
   * Steps from one value to another: the first and the last stand on the ground, the others begin
   * where the one before them ended.
   */
  public static ChartPicture bridge(
      List<String> places, List<BigDecimal> steps, Function<BigDecimal, String> say) {
    List<BigDecimal> ends = new ArrayList<>();
    BigDecimal at = BigDecimal.ZERO;
    for (int i = 0; i < steps.size(); i++) {
      at = i == steps.size() - 1 ? steps.get(i) : at.add(steps.get(i));
      ends.add(at);
    }
    return new Making(places, List.of(new Series("", ends)), say, List.of(), say).bridge(steps);
  }

  /** A picture while it is made. */
  private static final class Making {
    private static final int WIDTH = 820;
    private static final int HEIGHT = 300;
    private final List<String> places;
    private final List<Series> series;
    private final List<Series> beside;
    private final Axis left;
    private final Axis right;

    Making(
        List<String> places,
        List<Series> series,
        Function<BigDecimal, String> say,
        List<Series> beside,
        Function<BigDecimal, String> sayBeside) {
      this.places = places;
      this.series = series;
      this.beside = beside;
      this.left = axis(series, say);
      this.right = axis(beside, sayBeside);
    }

    private static Axis axis(List<Series> of, Function<BigDecimal, String> say) {
      List<BigDecimal> values = of.stream().flatMap(s -> s.values.stream()).toList();
      return new Axis(values, TOP, HEIGHT - TOP - BOTTOM, say);
    }

    private double y(BigDecimal value) {
      return left.y(value);
    }

    private double end() {
      return WIDTH - (beside.isEmpty() ? RIGHT : RIGHT_AXIS);
    }

    private double wide() {
      return (end() - LEFT) / Math.max(1, places.size());
    }

    private double middle(int place) {
      return LEFT + wide() * (place + 0.5);
    }

    private boolean several() {
      return series.size() + beside.size() > 1;
    }

    private String says(int place, Series s, Axis axis, BigDecimal value) {
      return places.get(place) + (several() ? ", " + s.name : "") + ": " + axis.said(value);
    }

    ChartPicture bars() {
      List<Mark> bars = new ArrayList<>();
      double each = wide() * 0.8 / series.size();
      double zero = y(BigDecimal.ZERO);
      for (int s = 0; s < series.size(); s++)
        for (int p = 0; p < places.size(); p++) {
          BigDecimal value = series.get(s).values.get(p);
          double y = y(value);
          bars.add(
              new Mark(
                  LEFT + wide() * (p + 0.1) + each * s,
                  Math.min(y, zero),
                  Math.max(1, each - 1),
                  Math.abs(zero - y),
                  s,
                  says(p, series.get(s), left, value)));
        }
      return picture(bars, List.of());
    }

    ChartPicture bridge(List<BigDecimal> steps) {
      List<BigDecimal> ends = series.get(0).values;
      List<Mark> bars = new ArrayList<>();
      for (int p = 0; p < places.size(); p++) {
        boolean stands = p == 0 || p == places.size() - 1;
        double from = y(stands ? BigDecimal.ZERO : ends.get(p - 1));
        double to = y(ends.get(p));
        int colour = stands ? 0 : steps.get(p).signum() < 0 ? 3 : 2;
        bars.add(
            new Mark(
                LEFT + wide() * (p + 0.12),
                Math.min(from, to),
                wide() * 0.76,
                Math.max(1, Math.abs(from - to)),
                colour,
                places.get(p) + ": " + left.said(steps.get(p))));
      }
      return picture(bars, List.of());
    }

    ChartPicture lines() {
      List<Line> lines = new ArrayList<>();
      for (Series s : series) lines.add(line(s, lines.size(), left));
      for (Series s : beside) lines.add(line(s, lines.size(), right));
      return picture(List.of(), lines);
    }

    private Line line(Series s, int number, Axis axis) {
      StringBuilder points = new StringBuilder();
      List<Mark> marks = new ArrayList<>();
      for (int p = 0; p < places.size(); p++) {
        BigDecimal value = s.values.get(p);
        points.append(String.format(Locale.ROOT, "%.1f,%.1f ", middle(p), axis.y(value)));
        marks.add(new Mark(middle(p), axis.y(value), 0, 0, number, says(p, s, axis, value)));
      }
      return new Line(points.toString().strip(), number, marks);
    }

    private ChartPicture picture(List<Mark> bars, List<Line> lines) {
      List<Label> labels = new ArrayList<>();
      int every = (places.size() + MOST_LABELS - 1) / MOST_LABELS;
      for (int p = 0; p < places.size(); p += Math.max(1, every)) {
        String words = places.get(p);
        labels.add(
            new Label(
                middle(p),
                words.length() > LONGEST ? words.substring(0, LONGEST - 1) + "\u2026" : words));
      }
      List<Legend> legend = new ArrayList<>();
      if (several())
        for (Series s : Stream.concat(series.stream(), beside.stream()).toList())
          legend.add(new Legend(legend.size(), s.name));
      return new ChartPicture(
          WIDTH,
          HEIGHT,
          left.ticks(),
          beside.isEmpty() ? List.of() : right.ticks(),
          end(),
          bars,
          lines,
          labels,
          legend,
          y(BigDecimal.ZERO));
    }
  }
}
