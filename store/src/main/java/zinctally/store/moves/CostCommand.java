package zinctally.store.moves;

import java.io.BufferedReader;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.io.PrintStream;
import java.io.Writer;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Method;
import zinctally.core.moves.Costing;
import zinctally.core.number.Quantity;

/**
 * {@code cost MOVES.csv|- [--method fifo|average|lifo] [--digits 2] [--summary]}: costs of a
 * movement file, without application or database, so that anyone can check them.
 */
public final class CostCommand {
  private static final String PIPED = "-";

  private CostCommand() {}

  public static void main(String[] args) throws IOException {
    System.exit(run(args, System.in, System.out, System.err));
  }

  /**
   * @param in what {@code -} reads
   * @return 0 when done, 2 when the file or the call is wrong; then nothing is written to {@code
   *     out}
   * @throws IOException when {@code out} cannot be written
   */
  static int run(String[] args, InputStream in, PrintStream out, PrintStream err)
      throws IOException {
    String file = null;
    Method method = Method.FIFO;
    int digits = 2;
    boolean summary = false;
    for (int i = 0; i < args.length; i++) {
      boolean more = i + 1 < args.length;
      if (args[i].equals("--summary")) summary = true;
      else if (args[i].equals("--method") && more && method(args[i + 1]) != null)
        method = method(args[++i]);
      else if (args[i].equals("--digits") && more && args[i + 1].matches("[0-6]"))
        digits = Integer.parseInt(args[++i]);
      else if (file == null && !args[i].startsWith("--")) file = args[i];
      else return usage(err);
    }
    if (file == null) return usage(err);
    boolean piped = file.equals(PIPED);
    Path path = Path.of(file);
    String unread = piped ? "" : unread(path);
    if (!unread.isEmpty()) {
      err.println(file + ": " + unread);
      return 2;
    }
    String name = piped ? "standard input" : path.getFileName().toString();
    MoveFile read;
    try (InputStream bytes = piped ? in : Files.newInputStream(path)) {
      read = new MoveFile(name, text(bytes), method, digits);
    } catch (IOException broken) {
      err.println(file + ": not readable as UTF-8 text");
      return 2;
    }
    if (!read.faults.isEmpty()) {
      read.faults.forEach(err::println);
      return 2;
    }
    Costing costing = new Costing(read.moves, read.methods);
    if (!costing.faults().isEmpty()) {
      costing
          .faults()
          .forEach((row, says) -> err.println(name + ":" + read.moves.line(row) + ": " + says));
      return 2;
    }
    if (summary) summary(read, costing, out, digits);
    else new CostRows(read, costing, digits).write(out);
    int places = digits;
    costing
        .uncovered()
        .forEach(
            (row, open) ->
                err.println(
                    name
                        + ":"
                        + read.moves.line(row)
                        + ": warning: "
                        + new Quantity(open.quantity())
                        + " of this out is not covered and stands at a provisional cost of "
                        + money(open.value(), places)));
    return 0;
  }

  /** Why a file cannot be read; empty when it can. */
  private static String unread(Path path) {
    if (!Files.exists(path)) return "there is no such file";
    if (Files.isDirectory(path)) return "this is a folder; name the movement file in it";
    return Files.isReadable(path) ? "" : "this file may not be read by who runs this";
  }

  /** What is not UTF-8 is refused, never read as something else. */
  private static BufferedReader text(InputStream bytes) {
    return new BufferedReader(
        new InputStreamReader(bytes, StandardCharsets.UTF_8.newDecoder()), 1 << 16);
  }

  private static int usage(PrintStream err) {
    err.println("usage: cost MOVES.csv|- [--method fifo|average|lifo] [--digits 2] [--summary]");
    return 2;
  }

  static @Nullable Method method(String typed) {
    return switch (typed.toLowerCase(Locale.ROOT)) {
      case "fifo" -> Method.FIFO;
      case "average" -> Method.AVERAGE;
      case "lifo" -> Method.LIFO;
      default -> null;
    };
  }

  private static String money(long minor, int digits) {
    return BigDecimal.valueOf(minor, digits).toPlainString();
  }

  private static void summary(MoveFile file, Costing costing, PrintStream out, int digits)
      throws IOException {
    Writer writer =
        new BufferedWriter(new OutputStreamWriter(out, StandardCharsets.UTF_8), 1 << 16);
    CSVPrinter csv = new CSVPrinter(writer, CSVFormat.RFC4180);
    int items = file.items.size();
    long[] onHand = new long[items];
    long[] worth = new long[items];
    long[] cost = new long[items];
    for (int row = 0; row < file.moves.size(); row++) {
      int item = file.moves.item(row);
      EventKind kind = file.moves.kind(row);
      onHand[item] += costing.quantity(row);
      worth[item] += costing.value(row);
      if (kind == EventKind.OUT || kind == EventKind.BACK) cost[item] -= costing.value(row);
    }
    csv.printRecord("item", "method", "on_hand", "worth", "cost_out");
    for (int item = 0; item < items; item++)
      csv.printRecord(
          file.items.get(item),
          file.methods.get(item).name().toLowerCase(Locale.ROOT),
          new Quantity(onHand[item]),
          money(worth[item], digits),
          money(cost[item], digits));
    csv.flush();
  }
}
