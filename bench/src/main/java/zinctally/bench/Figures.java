package zinctally.bench;

import java.lang.management.ManagementFactory;
import java.util.Arrays;
import java.util.Locale;
import java.util.LongSummaryStatistics;

/** Prints what was measured. */
final class Figures {
  private Figures() {}

  /** A line of the report. */
  static void say(String what, String figure, String goal) {
    System.out.printf("%-66s %30s   %s%n", what, figure, goal);
  }

  static String seconds(double nanos) {
    return String.format(Locale.ROOT, "%.3f s", nanos / 1e9);
  }

  /** The one in the middle of several rounds, with the fastest and the slowest. */
  static String seconds(long... rounds) {
    return spread(1e9, "%.3f s (%.3f to %.3f)", rounds);
  }

  /** The same of rounds of so many, for one of them. */
  static String each(int many, long... rounds) {
    return spread(1e6 * many, "%.2f ms (%.2f to %.2f)", rounds);
  }

  private static String spread(double unit, String words, long... rounds) {
    LongSummaryStatistics all = Arrays.stream(rounds).summaryStatistics();
    return String.format(
        Locale.ROOT, words, median(rounds) / unit, all.getMin() / unit, all.getMax() / unit);
  }

  /**
   * What waits for a processor, on the average of a minute: above zero, something else runs, too.
   */
  static String load() {
    return String.format(
        Locale.ROOT,
        "load %.2f",
        ManagementFactory.getOperatingSystemMXBean().getSystemLoadAverage());
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
