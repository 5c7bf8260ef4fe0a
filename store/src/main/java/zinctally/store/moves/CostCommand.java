package zinctally.store.moves;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.PrintStream;
import java.math.BigDecimal;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import zinctally.core.cost.Method;
import zinctally.core.moves.Costing;
import zinctally.core.moves.Moves;
import zinctally.core.number.Quantity;

/**
 * {@code cost MOVES.csv|- [--method fifo|average|lifo] [--digits 2] [--summary]}: costs of a
 * movement file, without application or database, so that anyone can check them.
 */
public final class CostCommand {
  private static final String PIPED = "-";
  private static final Room ROOM = new Room(1 << 20, Path.of(System.getProperty("java.io.tmpdir")));

  /**
   * What may be used.
   *
   * @param rows in memory; more are worked out in files
   * @param folder where those are, a folder of their own
   */
  record Room(int rows, Path folder) {}

  private CostCommand() {}

  public static void main(String[] args) {
    System.exit(run(args, ROOM, System.in, System.out, System.err));
  }

  /**
   * @param in what {@code -} reads
   * @return 0 when done, 2 when the file or the call is wrong or there is no room for it; then
   *     nothing is written to {@code out}
   */
  static int run(String[] args, Room room, InputStream in, PrintStream out, PrintStream err) {
    String file = null;
    Method method = Method.FIFO;
    int digits = 2;
    boolean summary = false;
    for (int i = 0; i < args.length; i++) {
      boolean more = i + 1 < args.length;
      Method named = more ? method(args[i + 1]) : null;
      if (args[i].equals("--summary")) summary = true;
      else if (args[i].equals("--method") && named != null) {
        method = named;
        i++;
      } else if (args[i].equals("--digits") && more && args[i + 1].matches("[0-6]"))
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
    Findings faults = new Findings(name);
    Findings warnings = new Findings(name);
    try (Rows rows = new Rows(room);
        InputStream bytes = piped ? in : Files.newInputStream(path)) {
      MoveFile read = new MoveFile(text(bytes), method, digits, rows, faults);
      rows.kept().link(faults);
      Costs costs = costs(read, rows, digits, summary);
      if (!faults.any())
        for (int part = 0; part < rows.kept().parts(); part++)
          work(read, rows.kept(), part, costs, faults, warnings, digits);
      faults.print(err);
      if (faults.any()) return 2;
      costs.write(out);
      warnings.print(err);
      return 0;
    } catch (CharacterCodingException notText) {
      err.println(file + ": not readable as UTF-8 text");
      return 2;
    } catch (IOException broken) {
      err.println(file + ": not worked out, " + broken.getMessage());
      return 2;
    }
  }

  private static Costs costs(MoveFile read, Rows rows, int digits, boolean summary) {
    if (summary) return new CostSums(read.items, read.methods, digits, rows.kept().parts());
    Aside files = rows.files();
    return files == null
        ? new CostRows(read.items, digits)
        : new CostRowsAside(files, read.items, digits);
  }

  /** Works a part of the items out; what has faults is not taken into the result. */
  private static void work(
      MoveFile read,
      Kept rows,
      int part,
      Costs costs,
      Findings faults,
      Findings warnings,
      int digits)
      throws IOException {
    Moves moves = rows.part(part);
    List<Method> methods = new ArrayList<>();
    for (int item = part; item < read.methods.size(); item += rows.parts())
      methods.add(read.methods.get(item));
    Costing costing = new Costing(moves, methods);
    costing.faults().forEach((row, says) -> faults.add(moves.line(row), says));
    costing
        .uncovered()
        .forEach(
            (row, open) ->
                warnings.add(
                    moves.line(row),
                    "warning: "
                        + new Quantity(open.quantity())
                        + " of this out is not covered and stands at a provisional cost of "
                        + BigDecimal.valueOf(open.value(), digits).toPlainString()));
    if (!faults.any()) costs.take(part, moves, costing);
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
}
