package zinctally.bench;

import java.io.File;
import java.io.IOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/**
 * {@code cost} on a big file, against a plain program that writes the same, and one that only reads
 * it with the CSV library.
 */
public final class CostFileBench {
  private static final int ROUNDS = 5;
  private static final String SMALL = "320m";
  private static final String LARGE = "5g";

  private CostFileBench() {}

  /** The program that only reads: its first argument is the file. */
  public static void main(String[] args) throws IOException {
    long cells = 0;
    try (var text = Files.newBufferedReader(Path.of(args[0]), StandardCharsets.UTF_8);
        CSVParser parser = CSVParser.parse(text, CSVFormat.RFC4180)) {
      for (CSVRecord row : parser) cells += row.size();
    }
    System.out.println(cells);
  }

  static void run(int rows, int items) throws Exception {
    Path file = Files.createTempFile("moves", ".csv");
    try {
      write(file, rows, items);
      long[] read = new long[ROUNDS];
      long[] cost = new long[ROUNDS];
      long[] plain = new long[ROUNDS];
      same(file);
      long most = 0;
      for (int round = 0; round < ROUNDS; round++) {
        Run reading = time("zinctally.bench.CostFileBench", SMALL, file, null);
        Run costing = time("zinctally.store.moves.CostCommand", SMALL, file, null);
        plain[round] = time("zinctally.bench.PlainCosts", SMALL, file, null).nanos;
        read[round] = reading.nanos;
        cost[round] = costing.nanos;
        most = Math.max(most, costing.kib);
      }
      String size = rows + " rows, " + items + " items";
      Figures.say("cost, " + size, Figures.seconds(cost), "");
      Figures.say("reading the same file only", Figures.seconds(read), "");
      Figures.say("a plain program writing the same", Figures.seconds(plain), "");
      double ours = Figures.median(cost);
      Figures.say("  time against reading", Figures.ratio(ours / Figures.median(read)), "");
      Figures.say(
          "  time against the plain program",
          Figures.ratio(ours / Figures.median(plain)),
          "goal: under 1.5");
      Figures.say("  most memory at once", most / 1024 + " MiB", "goal: under 400 MiB");
    } finally {
      Files.delete(file);
    }
  }

  /**
   * Of a file that does not fit in memory: once, against reading it and against the plain program,
   * which has memory for all of it.
   */
  static void large(int rows, int items) throws Exception {
    Path file = Files.createTempFile("moves", ".csv");
    Path ours = Files.createTempFile("ours", ".csv");
    Path theirs = Files.createTempFile("theirs", ".csv");
    try {
      write(file, rows, items);
      long read = time("zinctally.bench.CostFileBench", SMALL, file, null).nanos;
      Run cost = time("zinctally.store.moves.CostCommand", SMALL, file, ours.toFile());
      long plain = time("zinctally.bench.PlainCosts", LARGE, file, theirs.toFile()).nanos;
      same(ours, theirs);
      Figures.say("cost, " + rows + " rows, " + items + " items", Figures.seconds(cost.nanos), "");
      Figures.say("  time against reading", Figures.ratio((double) cost.nanos / read), "");
      Figures.say(
          "  time against the plain program with memory for all",
          Figures.ratio((double) cost.nanos / plain),
          "goal: under 1.5");
      Figures.say("  most memory at once", cost.kib / 1024 + " MiB", "goal: under 400 MiB");
    } finally {
      for (Path each : List.of(file, ours, theirs)) Files.delete(each);
    }
  }

  /** Both give the same, or nothing is measured. */
  private static void same(Path file) throws Exception {
    Path ours = Files.createTempFile("ours", ".csv");
    Path theirs = Files.createTempFile("theirs", ".csv");
    try {
      started("zinctally.store.moves.CostCommand", SMALL, file, ours.toFile()).waitFor();
      started("zinctally.bench.PlainCosts", SMALL, file, theirs.toFile()).waitFor();
      same(ours, theirs);
    } finally {
      Files.delete(ours);
      Files.delete(theirs);
    }
  }

  private static void same(Path ours, Path theirs) throws IOException {
    if (Files.size(ours) == 0 || Files.mismatch(ours, theirs) >= 0)
      throw new IllegalStateException("the plain program gives something else");
  }

  private static Process started(String program, String heap, Path file, @Nullable File to)
      throws IOException {
    List<String> command =
        new ArrayList<>(
            List.of(
                ProcessHandle.current().info().command().orElse("java"),
                "-Xmx" + heap,
                "-XX:+UseSerialGC",
                "-cp",
                System.getProperty("java.class.path"),
                program,
                file.toString()));
    return new ProcessBuilder(command)
        .redirectOutput(
            to == null ? ProcessBuilder.Redirect.DISCARD : ProcessBuilder.Redirect.to(to))
        .redirectError(ProcessBuilder.Redirect.INHERIT)
        .start();
  }

  private record Run(long nanos, long kib) {}

  /** Runs a program of its own on the file and watches its resident memory. */
  private static Run time(String program, String heap, Path file, @Nullable File to)
      throws Exception {
    long start = System.nanoTime();
    Process process = started(program, heap, file, to);
    long most = 0;
    Path status = Path.of("/proc/" + process.pid() + "/status");
    while (process.isAlive()) {
      most = Math.max(most, resident(status));
      Thread.sleep(5);
    }
    if (process.exitValue() != 0) throw new IllegalStateException(program + " failed");
    return new Run(System.nanoTime() - start, most);
  }

  private static long resident(Path status) {
    try {
      for (String line : Files.readAllLines(status))
        if (line.startsWith("VmHWM:")) return Long.parseLong(line.replaceAll("\\D", ""));
    } catch (IOException gone) {
      return 0;
    }
    return 0;
  }

  private static void write(Path file, int rows, int items) throws IOException {
    Random dice = new Random(11);
    int[] here = new int[items];
    try (Writer out = Files.newBufferedWriter(file)) {
      out.write("date,item,event,quantity,value,ref,target\r\n");
      for (int row = 0; row < rows; row++) {
        int item = dice.nextInt(items);
        LocalDate date = LocalDate.of(2016, 1, 1).plusDays((long) row * 3650 / rows);
        boolean in = here[item] < 5 || dice.nextInt(4) == 0;
        int quantity = 1 + dice.nextInt(in ? 20 : 5);
        here[item] += in ? quantity : -quantity;
        out.write(date + ",I" + item + (in ? ",in," : ",out,") + quantity + ",");
        out.write((in ? quantity * (1 + dice.nextInt(900)) / 100.0 : "") + ",R" + row + ",\r\n");
      }
    }
  }
}
