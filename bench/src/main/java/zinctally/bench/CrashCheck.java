package zinctally.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import zinctally.store.check.CheckStore;
import zinctally.store.check.Finding;

/** After a crash: all that must hold holds, and nothing acknowledged is lost. */
public final class CrashCheck {
  private CrashCheck() {}

  /**
   * Arguments: the file with what was acknowledged, and the book. Ends with status 1 on a fault.
   */
  public static void main(String[] args) throws Exception {
    BenchBook book = BenchBook.lasting(args[1]);
    List<String> faults = new ArrayList<>();
    for (Finding finding : book.get(CheckStore.class).findings())
      if (!finding.holds()) faults.add(finding.what() + ": " + finding.faults());
    Map<Long, String> states = new HashMap<>();
    book.sql()
        .sql("select id, state from paper")
        .query((row, n) -> states.put(row.getLong(1), row.getString(2)))
        .list();
    List<String> acknowledged = Files.readAllLines(Path.of(args[0]));
    for (String line : acknowledged) {
      String[] words = line.split(" ");
      String state = states.get(Long.parseLong(words[1]));
      if (state == null) faults.add("lost: " + line);
      else if (words[0].equals("void") && !state.equals("VOID")) faults.add("not void: " + line);
    }
    faults.forEach(System.out::println);
    System.out.println(
        acknowledged.size()
            + " acknowledged, "
            + states.size()
            + " papers, "
            + faults.size()
            + " faults");
    System.exit(faults.isEmpty() ? 0 : 1);
  }
}
