package zinctally.web.paper;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;
import zinctally.store.book.BookStore;
import zinctally.store.posting.Posting;
import zinctally.store.sell.TillStore;
import zinctally.store.setup.SetupStore;

/** What a choice on a paper offers, and what a new paper starts with. */
@Component
public class Choices {
  private final SetupStore setup;
  private final TillStore tills;
  private final BookStore books;
  private final Posting posting;

  Choices(SetupStore setup, BookStore books, Posting posting, TillStore tills) {
    this.tills = tills;
    this.setup = setup;
    this.books = books;
    this.posting = posting;
  }

  /** Offered values with their words, by source. */
  Map<String, Map<String, String>> lists() {
    Map<String, Map<String, String>> lists = new HashMap<>();
    lists.put("places", same(setup.places()));
    lists.put("money", same(setup.moneyAccounts()));
    Map<String, String> prices = new LinkedHashMap<>();
    prices.put("excluded", "without tax");
    prices.put("included", "with tax");
    lists.put("prices", prices);
    Map<String, String> spreads = new LinkedHashMap<>();
    spreads.put("value", "by value");
    spreads.put("quantity", "by quantity");
    spreads.put("weight", "by weight");
    spreads.put("hand", "by hand");
    Map<String, String> goods = new LinkedHashMap<>();
    goods.put("with", "come with this bill");
    goods.put("later", "come later");
    lists.put("goods", goods);
    Map<String, String> goodsOut = new LinkedHashMap<>();
    goodsOut.put("with", "go with this invoice");
    goodsOut.put("later", "go later");
    lists.put("goods-out", goodsOut);
    Map<String, String> back = new LinkedHashMap<>();
    back.put("", "no, credit");
    setup.moneyAccounts().forEach(m -> back.put(m, "from " + m));
    lists.put("money-back", back);
    Map<String, String> through = new LinkedHashMap<>();
    through.put("", "the till that is open");
    tills.openPlaces().forEach(place -> through.put(place, "till at " + place));
    lists.put("tills", through);
    Map<String, String> rests = new LinkedHashMap<>();
    rests.put("", "stays owed");
    rests.put("off", "is written off");
    lists.put("rests", rests);
    Map<String, String> every = new LinkedHashMap<>();
    every.put("month", "month");
    every.put("fortnight", "two weeks");
    every.put("week", "week");
    lists.put("every", every);
    Map<String, String> charges = new LinkedHashMap<>();
    charges.put("expense", "are expenses");
    charges.put("value", "cost of goods, by value");
    charges.put("quantity", "cost of goods, by quantity");
    charges.put("weight", "cost of goods, by weight");
    lists.put("charges", charges);
    lists.put("spreads", spreads);
    return lists;
  }

  private static Map<String, String> same(List<String> names) {
    Map<String, String> map = new LinkedHashMap<>();
    names.forEach(n -> map.put(n, n));
    return map;
  }

  /** What the head of a new paper holds before anything is typed. */
  public Map<String, String> defaults(PaperKind kind) {
    Map<String, String> fields = new HashMap<>();
    fields.put("date", posting.today().toString());
    setup.places().stream().findFirst().ifPresent(p -> fields.put("place", p));
    setup.moneyAccounts().stream().findFirst().ifPresent(m -> fields.put("money", m));
    fields.put("prices", books.book().pricesIncludeTax() ? "included" : "excluded");
    return fields;
  }
}
