package zinctally.web.goods;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zinctally.core.cost.Method;
import zinctally.core.goods.ItemKind;
import zinctally.core.goods.Tracking;
import zinctally.core.ledger.Account;
import zinctally.store.goods.ItemCard;

/** The folded parts of an item's form, each with what is set in it. */
record ItemParts(Map<String, Part> parts) {
  /**
   * @param set what is set, in words
   * @param open whether something in it is wrong, and so it stands open
   */
  record Part(String heading, String set, boolean open) {}

  static ItemParts of(
      Map<String, String> fields,
      Map<String, String> faults,
      List<ItemCard.Price> lists,
      List<Account> accounts) {
    Said said = new Said(fields, faults);
    Map<String, Part> parts = new LinkedHashMap<>();
    parts.put(
        "kept",
        said.part(
            "How it is kept and costed",
            Stream.of(
                said.choice("kind", ItemKind.STOCKED.name(), k -> ItemKind.valueOf(k).words()),
                said.choice("method", "", m -> m.isEmpty() ? "costed as its group" : costed(m)),
                said.choice("tracking", Tracking.NONE.name(), t -> Tracking.valueOf(t).words()),
                said.text("reorder_point", "reordered at "),
                said.text("reorder_quantity", "by "),
                said.text("standard_cost", "assumed at "),
                said.get("state").equals("off") ? "switched off" : ""),
            "kind",
            "method",
            "tracking",
            "reorder_point",
            "reorder_quantity",
            "standard_cost"));
    parts.put(
        "packs",
        said.part(
            "Packs and barcode",
            Stream.of(
                said.get("pack_name").isEmpty()
                    ? ""
                    : said.get("pack_name") + " of " + said.get("pack_size"),
                said.text("gtin", "barcode ")),
            "pack_name",
            "pack_size",
            "gtin"));
    List<String> prices = new ArrayList<>();
    List<String> priced =
        new ArrayList<>(List.of("tax_rate", "new_list", "new_list_price", "sale_wording"));
    for (ItemCard.Price list : lists) {
      prices.add(said.text("price_" + list.list(), list.listName() + " "));
      priced.add("price_" + list.list());
    }
    prices.add(
        said.get("tax_rate").isEmpty() ? "taxed as the place" : "tax " + said.get("tax_rate"));
    prices.add(said.text("sale_wording", ""));
    parts.put("sold", said.part("Selling", prices.stream(), priced.toArray(String[]::new)));
    parts.put(
        "bought",
        said.part(
            "Buying",
            Stream.of(
                said.text("supplier", "from "),
                said.text("supplier_code", "theirs "),
                said.text("purchase_wording", ""),
                said.text("shelf", "on shelf "),
                said.text("weight", "kg each ")),
            "supplier",
            "supplier_code",
            "purchase_wording",
            "shelf",
            "weight"));
    String[] own = {"stock_account", "sales_account", "cost_account"};
    String named =
        Stream.of(own)
            .map(said::get)
            .flatMap(id -> accounts.stream().filter(a -> ("" + a.id()).equals(id)))
            .map(Account::label)
            .collect(Collectors.joining(", "));
    parts.put(
        "accounts",
        said.part("Accounts", Stream.of(named.isEmpty() ? "as its group" : named), own));
    parts.put("notes", said.part("Notes", Stream.of(said.get("notes")), "notes"));
    return new ItemParts(parts);
  }

  private static String costed(String method) {
    return Method.valueOf(method).words();
  }

  public Part part(String key) {
    return Objects.requireNonNull(parts.get(key));
  }

  /** What is typed, in words. */
  private record Said(Map<String, String> fields, Map<String, String> faults) {
    String get(String name) {
      String value = fields.get(name);
      return value == null ? "" : value.strip();
    }

    String text(String name, String before) {
      return get(name).isEmpty() ? "" : before + get(name);
    }

    String choice(String name, String usual, java.util.function.UnaryOperator<String> words) {
      try {
        return words.apply(get(name).isEmpty() ? usual : get(name));
      } catch (IllegalArgumentException unknown) {
        return "";
      }
    }

    Part part(String heading, Stream<String> set, String... names) {
      return new Part(
          heading,
          set.filter(s -> !s.isEmpty()).collect(Collectors.joining("; ")),
          Stream.of(names).anyMatch(faults::containsKey));
    }
  }
}
