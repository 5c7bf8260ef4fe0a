package zinctally.bench.pages;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Goes through all pages of a book by their links, and asks for one page of each shape: of
 * addresses that differ in numbers, days and places in a list only the first is looked at.
 */
final class Walk {
  private static final Pattern LINK = Pattern.compile("(?:href|hx-get)=\"(/[^\"#]*)");
  private static final Pattern LEFT_OUT =
      Pattern.compile(
          "/(css|js|fonts|webjars|sign-out|health|me|images)\\b.*|.*[?&](as|turn)=.*|.*\\.(pdf|xml|svg|csv)"
              + "|.*/(pdf|ubl|labels)\\b.*|/ask/build.*|.*/backups/.*");
  private static final Pattern KEEPS = Pattern.compile("&keep=[^&]*");
  private static final long SLOW = 100_000_000;
  private static final Pattern SORT = Pattern.compile("[?&]sort=-?[^&]*");
  private final Visitor visitor;
  private final int most;
  private final Map<String, List<Long>> took = new LinkedHashMap<>();
  private final List<String> paths = new ArrayList<>();
  private final Map<String, String> refused = new LinkedHashMap<>();

  /**
   * @param most shapes are looked at
   */
  Walk(Visitor visitor, int most) {
    this.visitor = visitor;
    this.most = most;
  }

  /** Nanoseconds each shape took, as often as it was asked for, the first time left out. */
  Map<String, List<Long>> took() {
    return took;
  }

  /** An address of each shape. */
  List<String> paths() {
    return paths;
  }

  /** Addresses that did not answer with a page, and what they answered. */
  Map<String, String> refused() {
    return refused;
  }

  void go(int times) {
    Deque<String> open = new ArrayDeque<>(List.of("/"));
    Set<String> seen = new LinkedHashSet<>(Set.of("/"));
    while (!open.isEmpty() && took.size() < most) {
      String path = open.poll();
      Visitor.Answer first = visitor.get(path);
      if (!first.isPage()) {
        if (first.status() != 302) refused.put(path, "status " + first.status());
        continue;
      }
      List<Long> times1 = new ArrayList<>();
      for (int i = 0; i < times; i++) times1.add(visitor.get(path).nanos());
      took.put(shape(path), times1);
      paths.add(path);
      if (times > 0 && times1.get(times1.size() / 2) > SLOW)
        System.err.println(times1.get(times1.size() / 2) / 1_000_000 + " ms " + path);
      List<String> links = links(first.text());
      if (first.text().contains("name=\"filter\"") && !path.contains("filter="))
        links.add(path + (path.contains("?") ? "&" : "?") + "filter=wax");
      for (String link : links) if (seen.add(shape(link))) open.add(link);
    }
  }

  private static List<String> links(String page) {
    List<String> links = new ArrayList<>();
    Matcher found = LINK.matcher(page);
    while (found.find()) {
      // a heading also keeps its order for next time, which would change every list after it
      String link = KEEPS.matcher(found.group(1).replace("&amp;", "&")).replaceAll("");
      if (LEFT_OUT.matcher(link).matches()) continue;
      links.add(link);
      // sorted the other way round, its last page comes first
      Matcher sort = SORT.matcher(link);
      if (sort.find() && !sort.group().contains("=-"))
        links.add(link.replace(sort.group(), sort.group().replace("sort=", "sort=-")));
    }
    return links;
  }

  /** An address without what tells one row from another. */
  static String shape(String path) {
    return path.replaceAll("after=[^&]*", "after=.")
        .replaceAll("\\d{4}-\\d{2}(-\\d{2})?", "DAY")
        .replaceAll("(filter|find|who|party|item|account|paper|number|name|of|code)=[^&]*", "$1=.")
        .replaceAll("\\d+", "N");
  }
}
