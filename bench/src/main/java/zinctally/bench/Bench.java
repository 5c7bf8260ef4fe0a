package zinctally.bench;

import java.util.Arrays;
import java.util.HashSet;
import java.util.Set;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/**
 * {@code bench [--full] [core] [posting] [late] [bill] [scan] [count] [making] [seal] [valuation]
 * [question] [cost]}: measures, as ratios within one run where another program can be measured
 * beside.
 */
public final class Bench {
  private Bench() {}

  public static void main(String[] args) throws Exception {
    Set<String> wanted = new HashSet<>(Arrays.asList(args));
    boolean full = wanted.remove("--full");
    boolean all = wanted.isEmpty();
    System.out.println(
        "Java "
            + System.getProperty("java.version")
            + ", "
            + Runtime.getRuntime().availableProcessors()
            + " processors, "
            + Figures.load()
            + (full ? ", full size" : ""));
    if (all || wanted.contains("core"))
      new Runner(new OptionsBuilder().include(PoolBench.class.getSimpleName()).build()).run();
    if (all || wanted.contains("posting")) PostingBench.run(full ? 1000 : 100);
    if (all || wanted.contains("late")) LateBillBench.run(10_000);
    if (all || wanted.contains("bill")) BillBench.run(300);
    if (all || wanted.contains("scan")) ScanBench.run(300);
    if (all || wanted.contains("count")) CountBench.run(full ? 5_000 : 1_000);
    if (all || wanted.contains("making")) MakingBench.run(200, 1_000);
    if (all || wanted.contains("seal")) SealBench.run(full ? 1_000_000 : 100_000);
    if (all || wanted.contains("valuation"))
      ValuationBench.run(full ? 50_000 : 5_000, full ? 5_000_000 : 500_000);
    if (all || wanted.contains("question"))
      QuestionBench.run(full ? 50_000 : 5_000, full ? 5_000_000 : 500_000);
    if (all || wanted.contains("cost")) CostFileBench.run(1_000_000, 10_000);
    if (full && (all || wanted.contains("cost"))) CostFileBench.large(10_000_000, 50_000);
    System.out.println("at the end " + Figures.load());
  }
}
