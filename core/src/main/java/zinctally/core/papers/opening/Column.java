package zinctally.core.papers.opening;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What a column of an opening stock sheet can hold, and the headings by which it is known. */
public enum Column {
  CODE(
      "Code",
      "code",
      "item code",
      "item",
      "sku",
      "article",
      "article no",
      "item no",
      "number",
      "part no"),
  NAME("Name", "name", "item name", "description", "title"),
  GROUP("Group", "group", "item group", "category", "class", "department"),
  UNIT("Unit", "unit", "uom", "base unit", "measure", "unit of measure"),
  QUANTITY(
      "Quantity",
      "quantity",
      "qty",
      "on hand",
      "stock",
      "quantity on hand",
      "qty on hand",
      "count"),
  UNIT_COST(
      "Unit cost", "unit cost", "cost", "average cost", "avg cost", "cost price", "cost each"),
  VALUE(
      "Total value",
      "value",
      "total value",
      "total",
      "stock value",
      "asset value",
      "amount",
      "total cost"),
  PRICE(
      "Selling price",
      "selling price",
      "price",
      "sales price",
      "retail price",
      "retail",
      "list price"),
  PLACE("Place", "place", "location", "store", "warehouse", "site"),
  NUMBERS(
      "Lots or serial numbers",
      "lots or serial numbers",
      "serial numbers",
      "serial number",
      "serials",
      "lots",
      "lot");

  private final String words;
  private final List<String> headings;

  Column(String words, String... headings) {
    this.words = words;
    this.headings = List.of(headings);
  }

  public String words() {
    return words;
  }

  /** Its word in drafts: {@code unit_cost}. */
  public String key() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** The column a heading speaks of, if it is one of those known. */
  public static Optional<Column> matching(String heading) {
    String bare =
        heading
            .strip()
            .toLowerCase(Locale.ROOT)
            .replaceAll("[_.()*:-]", " ")
            .replaceAll("\\s+", " ")
            .strip();
    return Arrays.stream(values()).filter(c -> c.headings.contains(bare)).findFirst();
  }

  /** Whether a column of this key holds figures. */
  static boolean isNumber(String key) {
    return Arrays.stream(values())
        .filter(c -> c.key().equals(key))
        .anyMatch(c -> c == QUANTITY || c == UNIT_COST || c == VALUE || c == PRICE);
  }
}
