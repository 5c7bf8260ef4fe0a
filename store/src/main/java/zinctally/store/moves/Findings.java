package zinctally.store.moves;

import java.io.PrintStream;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/** What is said of a file's lines, in their order; of very much, the first. */
final class Findings {
  private static final int MOST = 10_000;
  private final String name;
  private final Map<Integer, Set<String>> byLine = new TreeMap<>();
  private int kept;
  private long more;

  Findings(String name) {
    this.name = name;
  }

  /**
   * @param line 0 for the whole file
   */
  void add(int line, String says) {
    if (kept == MOST) more++;
    else if (byLine.computeIfAbsent(line, l -> new LinkedHashSet<>()).add(says)) kept++;
  }

  boolean on(int line) {
    return byLine.containsKey(line);
  }

  boolean any() {
    return kept > 0;
  }

  void print(PrintStream to) {
    byLine.forEach(
        (line, all) ->
            all.forEach(says -> to.println(name + (line == 0 ? "" : ":" + line) + ": " + says)));
    if (more > 0) to.println(name + ": " + more + " more like these");
  }
}
