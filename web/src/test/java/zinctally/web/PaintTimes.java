package zinctally.web;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.paper.DraftStore;

/**
 * How long a browser takes until it paints: from a key in a bill of 300 lines, and from asking for
 * a page; run by {@code ./zinc-tally bench paint}.
 */
@EnabledIfSystemProperty(named = "zinc.paint", matches = ".+")
class PaintTimes {
  private static final int LINES = 300;
  private static final int KEYS = 60;
  private static final int VISITS = 15;

  /** Milliseconds from each key until what it changed has been painted. */
  private static final String WATCH =
      """
      () => {
        window.painted = [];
        addEventListener("keydown", (key) => requestAnimationFrame(() => {
          const after = new MessageChannel();
          after.port1.onmessage = () => window.painted.push(performance.now() - key.timeStamp);
          after.port2.postMessage(0);
        }), true);
      }
      """;

  @Test
  void keys_and_pages() {
    try (Desk desk = new Desk("demo")) {
      Page page = desk.signedIn("owner");
      String bill = "/drafts/" + bill(desk);
      for (String each : List.of("/", "/goods", bill)) {
        double[] first = new double[VISITS];
        for (int i = 0; i < VISITS; i++) first[i] = firstPaint(page, desk.address + each);
        say("first paint of " + (each.equals(bill) ? "a bill of 300 lines" : each), first, 300);
      }
      page.evaluate(WATCH);
      page.click("[data-cell='rows.150.price']");
      for (int i = 1; i <= KEYS; i++) {
        page.keyboard().press(String.valueOf(i % 10));
        page.waitForFunction("n => window.painted.length >= n", i);
      }
      List<?> painted = (List<?>) page.evaluate("() => window.painted");
      say(
          "a key in a bill of 300 lines, until it is painted",
          painted.stream().mapToDouble(p -> ((Number) p).doubleValue()).toArray(),
          50);
    }
  }

  private static double firstPaint(Page page, String address) {
    page.navigate(address);
    page.waitForFunction(
        "() => performance.getEntriesByName('first-contentful-paint').length === 1");
    return ((Number)
            page.evaluate(
                "() => performance.getEntriesByName('first-contentful-paint')[0].startTime"))
        .doubleValue();
  }

  private static long bill(Desk desk) {
    List<String> codes =
        desk.sql()
            .sql("select code from item where kind = 'STOCKED' and tracking = 'NONE' order by id")
            .query(String.class)
            .list();
    List<Map<String, String>> rows = new ArrayList<>();
    for (int i = 0; i < LINES; i++)
      rows.add(
          Map.of("item", codes.get(i % codes.size()), "quantity", "" + (i + 1), "price", "2.40"));
    return desk.get(DraftStore.class)
        .begin(
            new Draft(
                PaperKind.BILL,
                Map.of("date", "2026-11-20", "supplier", "Orrin Joinery", "their_number", "P-300"),
                rows),
            "owner");
  }

  private static void say(String what, double[] millis, int goal) {
    Arrays.sort(millis);
    System.out.printf(
        "%-52s half %5.0f ms, 95 of 100 %5.0f ms   goal: under %d ms%n",
        what, millis[millis.length / 2], millis[millis.length * 95 / 100], goal);
  }
}
