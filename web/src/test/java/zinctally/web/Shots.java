package zinctally.web;

import com.microsoft.playwright.Page;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.paper.DraftStore;
import zinctally.store.sell.TillStore;

/** Takes the pictures in docs/screenshots from the demo book; run by {@code ./zinc-tally shots}. */
@EnabledIfSystemProperty(named = "zinc.shots", matches = ".+")
class Shots {
  @Test
  void every_main_view_has_its_picture() {
    Path folder = Path.of(System.getProperty("zinc.shots"));
    try (Desk desk = new Desk("demo")) {
      Page page = desk.signedIn("owner");
      Map<String, String> views = new LinkedHashMap<>();
      views.put("day", "/");
      views.put("goods", "/goods");
      views.put("item", "/goods/item/1");
      views.put("bill", "/drafts/" + id(desk, "select max(id) from draft where paper_id is null"));
      views.put(
          "recipe",
          "/handle/recipes/"
              + id(desk, "select id from paper where number = 'RE-2025-0002'")
              + "?quantity=200");
      views.put("repair", "/drafts/" + repaired(desk));
      views.put(
          "supplier",
          "/buy/supplier/"
              + id(desk, "select min(id) from party where name = 'Hana Birch, keeper'"));
      views.put(
          "invoice",
          "/papers/"
              + id(
                  desk, "select max(id) from paper where kind = 'INVOICE' and number like '%242'"));
      views.put("tie-out", "/prove?date=2026-11-20");
      views.put("consigned", "/buy/consigned");
      views.put(
          "why",
          "/papers/"
              + id(
                  desk,
                  "select e.paper_id from cost_event e join paper p on p.id = e.paper_id"
                      + " join cost_entry n on n.event_id = e.id where p.kind = 'INVOICE'"
                      + " and p.state = 'POSTED' and e.kind = 'OUT' and not e.gone"
                      + " group by e.paper_id order by count(*) desc, e.paper_id limit 1")
              + "/why");
      views.put("shelf", "/goods/shelf");
      views.put("opening", "/opening");
      views.put("counter", "/drafts/" + counter(desk));
      views.put(
          "count", "/handle/counts/" + id(desk, "select max(id) from count_sheet") + "?which=left");
      views.put(
          "customer",
          "/sell/customer/"
              + id(
                  desk,
                  "select id from party where name = 'Fenwick Garden' and kind = 'CUSTOMER'"));
      views.put(
          "question",
          "/ask/build?about=stock&see.1=value&see.2=quantity&by.1=group&by.2=place&summary=on&chart=BARS");
      views.put("balance", "/prove/balance?beside=MONTH_BEFORE");
      views.put("lot", "/goods/lot/" + id(desk, "select id from lot where code = 'EX-0062'"));
      views.forEach(
          (name, path) -> {
            page.navigate(desk.address + path);
            page.evaluate("document.activeElement.blur(); document.fonts.ready");
            page.waitForTimeout(300);
            page.screenshot(new Page.ScreenshotOptions().setPath(folder.resolve(name + ".png")));
          });
    }
  }

  /** A customer at the counter, about to pay. */
  private static long counter(Desk desk) {
    desk.get(TillStore.class).open("Shop", 15000, "owner");
    Map<String, String> fields =
        Map.of(
            "date",
            "2026-11-23",
            "place",
            "Shop",
            "prices",
            "included",
            "seller",
            "TA",
            "cash",
            "60");
    return desk.get(DraftStore.class)
        .begin(
            new Draft(
                PaperKind.COUNTER_SALE,
                fields,
                List.of(
                    Map.of("item", "BRU-01", "quantity", "2", "price", "5.76", "tax", "S"),
                    Map.of("item", "GLV-09", "price", "22.20", "tax", "S"),
                    Map.of("item", "SMP-01", "price", "7.08", "tax", "S"))),
            "owner");
  }

  /** An extractor that is back from repair, with what mending it costs. */
  private static long repaired(Desk desk) {
    Map<String, String> fields =
        Map.of(
            "repair", "RO-2026-0005",
            "date", "2026-11-20",
            "into", "Barn store",
            "cost", "goods",
            "account", "6300");
    Map<String, String> row =
        Map.of("item", "EXT-04", "quantity", "1", "charge", "80", "memo", "new motor");
    return desk.get(DraftStore.class)
        .begin(new Draft(PaperKind.REPAIR_BACK, fields, List.of(row)), "owner");
  }

  private static long id(Desk desk, String query) {
    return desk.sql().sql(query).query(Long.class).single();
  }
}
