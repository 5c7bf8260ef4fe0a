package zinctally.bench;

import java.util.Arrays;
import java.util.Locale;

/** Prints what was measured. */
final class Figures {
  private Figures() {}

  /** A line of the report. */
  static void say(String what, String figure, String goal) {
    System.out.printf("%-66s %14s   %s%n", what, figure, goal);
  }

  static String seconds(double nanos) {
    return String.format(Locale.ROOT, "%.3f s", nanos / 1e9);
  }

  static String millis(double nanos) {
    return String.format(Locale.ROOT, "%.2f ms", nanos / 1e6);
  }

  static String ratio(double ratio) {
    return String.format(Locale.ROOT, "%.2f", ratio);
  }

  static long median(long... nanos) {
    long[] sorted = nanos.clone();
    Arrays.sort(sorted);
    return sorted[sorted.length / 2];
  }
}
