package zinctally.web.goods;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zinctally.core.cost.Method;
import zinctally.core.goods.Gtin;
import zinctally.core.goods.ItemKind;
import zinctally.core.goods.Tracking;
import zinctally.core.ledger.Account;
import zinctally.core.number.Coin;
import zinctally.core.number.Figures;
import zinctally.core.number.Quantity;
import zinctally.core.units.Unit;
import zinctally.core.units.Units;
import zinctally.store.goods.GroupStore;
import zinctally.store.goods.ItemCard;
import zinctally.store.goods.ItemWriter;
import zinctally.web.shell.Typed;

/** What was typed about an item, and what is wrong with it. */
final class ItemForm {
  private final Map<String, String> typed;
  private final Map<String, String> faults = new LinkedHashMap<>();
  private final Typed cells;

  ItemForm(Map<String, String> typed) {
    this.typed = typed;
    cells = new Typed(typed, faults);
  }

  Map<String, String> faults() {
    return faults;
  }

  /**
   * @param before the item as it is; empty for a new one
   * @param locked whether it has moved, so that what would falsify its history stays
   * @param empty whether none is on hand
   */
  ItemCard read(
      Optional<ItemCard> before,
      boolean locked,
      boolean empty,
      GroupStore.Tree groups,
      List<Account> accounts,
      List<ItemCard.Price> lists) {
    String code = cells.needed("code", 40, "An item needs a code of its own.");
    String name = cells.needed("name", 120, "What is it called?");
    long group = cells.id("group").orElse(groups.top().id());
    if (groups.group(group) == null) group = groups.top().id();
    String named = typed.getOrDefault("group", "");
    if (!named.isBlank() && cells.id("group").isEmpty())
      cells.fault("group", "There is no group called " + named.strip() + ".");
    ItemKind kind = cells.choice(ItemKind.class, "kind", ItemKind.STOCKED);
    Method method =
        typed.getOrDefault("method", "").isEmpty()
            ? groups.method(group)
            : cells.choice(Method.class, "method", groups.method(group));
    if (method == Method.LIFO)
      cells.fault("method", "Last in, first out is for comparison only; IAS 2 does not allow it.");
    Tracking tracking = cells.choice(Tracking.class, "tracking", Tracking.NONE);
    if (kind != ItemKind.STOCKED && tracking != Tracking.NONE)
      cells.fault("tracking", "Only what is kept in stock is told apart.");
    if (tracking == Tracking.SERIAL && typed.getOrDefault("method", "").isEmpty())
      method = Method.SPECIFIC;
    if ((method == Method.SPECIFIC) != (tracking == Tracking.SERIAL))
      cells.fault(
          "method",
          tracking == Tracking.SERIAL
              ? "What has serial numbers costs what it cost itself: by specific identification."
              : "Specific identification is for what is told apart by serial number.");
    Unit base = cells.choice(Unit.class, "unit", Unit.EACH);
    Units units = new Units(base, pack(base), packSize());
    String gtin = cells.text("gtin", 14);
    if (!gtin.isEmpty() && !Gtin.isRight(gtin))
      cells.fault(
          "gtin",
          gtin.matches("\\d{8}|\\d{12,14}")
              ? "The last digit does not fit the others; it should be "
                  + Gtin.checkDigit(gtin.substring(0, gtin.length() - 1))
                  + "."
              : "A barcode number has 8, 12, 13 or 14 digits.");
    long stock = account("stock_account", accounts, "STOCK");
    long sales = account("sales_account", accounts, "");
    long cost = account("cost_account", accounts, "");
    if (before.isPresent() && locked && tracking != before.get().tracking() && !empty)
      cells.fault(
          "tracking",
          "This changes only while none is on hand: what is here has to be told apart, or not, from"
              + " the start.");
    if (before.isPresent() && locked) keep(before.get(), kind, method, base, stock, group, groups);
    return new ItemCard(
        before.map(ItemCard::id).orElse(0L),
        code,
        name,
        kind,
        group,
        method,
        units,
        stock,
        sales,
        cost,
        cells.text("sale_wording", 200),
        cells.text("purchase_wording", 200),
        cells.text("supplier", 120),
        cells.text("supplier_code", 60),
        gtin,
        cells.text("shelf", 40),
        cells.quantity("reorder_point", units),
        cells.quantity("reorder_quantity", units),
        price("standard_cost").orElse(null),
        cells.text("notes", 2000),
        cells.isOn("state"),
        tracking,
        price("weight").orElse(null),
        prices(lists));
  }

  /** A group and a price list to be made together with the item. */
  ItemWriter.Along along(GroupStore.Tree groups, List<ItemCard.Price> lists) {
    String group = cells.text("new_group", 80);
    if (!group.isEmpty() && groups.named(group).isPresent())
      cells.fault("new_group", "There is a group called " + group + " already; choose it above.");
    String list = cells.text("new_list", 60);
    if (lists.stream().anyMatch(l -> l.listName().equalsIgnoreCase(list)))
      cells.fault("new_list", "There is a price list called " + list + " already.");
    Optional<BigDecimal> price = price("new_list_price");
    if (list.isEmpty() && price.isPresent())
      cells.fault("new_list", "What is the list called that this price stands in?");
    return new ItemWriter.Along(group, list, price.orElse(null));
  }

  private void keep(
      ItemCard before,
      ItemKind kind,
      Method method,
      Unit base,
      long stock,
      long group,
      GroupStore.Tree groups) {
    String because = " stays: the item has movements, and their costs were worked out with it.";
    if (kind != before.kind()) cells.fault("kind", "The kind" + because);
    if (method != before.method()) cells.fault("method", "The costing method" + because);
    if (base != before.units().base()) cells.fault("unit", "The base unit" + because);
    long was =
        before.stockAccount() == 0 ? groups.stockAccount(before.group()) : before.stockAccount();
    long is = stock == 0 ? groups.stockAccount(group) : stock;
    if (was != is)
      cells.fault(
          stock == before.stockAccount() ? "group" : "stock_account",
          "The stock account" + because);
  }

  private String pack(Unit base) {
    String name = cells.text("pack_name", 12);
    if (!name.isEmpty() && !name.matches("\\p{L}[\\p{L}0-9]*"))
      cells.fault("pack_name", "Letters, such as cs or box.");
    if (name.equalsIgnoreCase(base.sign()) || name.equalsIgnoreCase(String.valueOf(base.part())))
      cells.fault("pack_name", name + " is a unit already.");
    return name;
  }

  private Quantity packSize() {
    String size = cells.text("pack_size", 20);
    if (cells.text("pack_name", 12).isEmpty()) return new Quantity(Quantity.ONE);
    Optional<BigDecimal> read = Figures.read(size);
    if (read.isEmpty()
        || read.get().signum() <= 0
        || read.get().stripTrailingZeros().scale() > 6
        || read.get().precision() > 12) {
      cells.fault("pack_size", "How many base units are in a pack? A number above zero.");
      return new Quantity(Quantity.ONE);
    }
    return Quantity.of(read.get().stripTrailingZeros().setScale(6));
  }

  private List<ItemCard.Price> prices(List<ItemCard.Price> lists) {
    List<ItemCard.Price> prices = new ArrayList<>();
    for (ItemCard.Price list : lists) {
      price("price_" + list.list())
          .ifPresent(p -> prices.add(new ItemCard.Price(list.list(), list.listName(), p)));
    }
    return prices;
  }

  private Optional<BigDecimal> price(String key) {
    return cells.number(
        key,
        24,
        Typed.amount(15, 6).and(price -> price.precision() <= 15),
        "\"" + typed.get(key) + "\" is not a price; write it like 12.50.");
  }

  private long account(String name, List<Account> accounts, String role) {
    Optional<Long> id = cells.id(name);
    if (id.isEmpty() || id.get() == 0) return 0;
    Optional<Account> account = accounts.stream().filter(a -> a.id() == id.get()).findFirst();
    if (account.isEmpty() || role.isEmpty() == account.get().role().control()) {
      cells.fault(
          name,
          role.isEmpty()
              ? "An account that is no control account."
              : "An account for stock on hand.");
      return 0;
    }
    return account.get().id();
  }

  /** A card as it stands in the form's fields. */
  static Map<String, String> fields(ItemCard card, Coin coin) {
    Map<String, String> fields = new HashMap<>();
    fields.put("code", card.code());
    fields.put("name", card.name());
    fields.put("kind", card.kind().name());
    fields.put("group", String.valueOf(card.group()));
    fields.put("method", card.method().name());
    fields.put("unit", card.units().base().name());
    fields.put("pack_name", card.units().packName());
    fields.put(
        "pack_size",
        card.units().hasPack()
            ? Figures.plain(card.units().packSize().decimal().stripTrailingZeros())
            : "");
    fields.put("stock_account", String.valueOf(card.stockAccount()));
    fields.put("sales_account", String.valueOf(card.salesAccount()));
    fields.put("cost_account", String.valueOf(card.costAccount()));
    fields.put("sale_wording", card.saleWording());
    fields.put("purchase_wording", card.purchaseWording());
    fields.put("supplier", card.supplier());
    fields.put("supplier_code", card.supplierCode());
    fields.put("gtin", card.gtin());
    fields.put("shelf", card.shelf());
    fields.put(
        "reorder_point",
        card.reorderPoint() == null ? "" : card.units().typed(card.reorderPoint()));
    fields.put(
        "reorder_quantity",
        card.reorderQuantity() == null ? "" : card.units().typed(card.reorderQuantity()));
    fields.put(
        "standard_cost",
        card.standardCost() == null ? "" : Figures.plain(coin.price(card.standardCost())));
    fields.put("notes", card.notes());
    fields.put("tracking", card.tracking().name());
    fields.put(
        "weight", card.weight() == null ? "" : Figures.plain(card.weight().stripTrailingZeros()));
    fields.put("state", card.active() ? "on" : "off");
    for (ItemCard.Price price : card.prices())
      if (price.price() != null)
        fields.put("price_" + price.list(), Figures.plain(coin.price(price.price())));
    return fields;
  }
}
