package zinctally.web.goods;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import zinctally.core.goods.ItemKind;
import zinctally.core.ledger.Account;
import zinctally.store.book.BookStore;
import zinctally.store.goods.GroupStore;
import zinctally.store.goods.ItemCard;
import zinctally.store.goods.ItemStore;
import zinctally.store.goods.ItemWriter;
import zinctally.store.goods.StockStore;
import zinctally.store.ledger.AccountStore;
import zinctally.store.sell.TaxStore;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.Shown;

/**
 * What is typed about an item, on its own form or in a table of many, is read, checked and kept
 * here. To be called while nobody else changes items.
 */
@Component
class ItemKeeper {
  private final ItemStore items;
  private final ItemWriter writer;
  private final StockStore stock;
  private final GroupStore groups;
  private final AccountStore accounts;
  private final TaxStore taxes;
  private final BookStore books;

  ItemKeeper(
      ItemStore items,
      ItemWriter writer,
      StockStore stock,
      GroupStore groups,
      AccountStore accounts,
      TaxStore taxes,
      BookStore books) {
    this.items = items;
    this.writer = writer;
    this.stock = stock;
    this.groups = groups;
    this.accounts = accounts;
    this.taxes = taxes;
    this.books = books;
  }

  /**
   * An item as typed.
   *
   * @param typed with what others have changed meanwhile in fields left alone
   * @param faults by field; empty when it can be kept
   */
  record Read(
      ItemCard card,
      ItemWriter.Along along,
      Map<String, String> typed,
      Map<String, String> faults,
      boolean locked) {}

  /** What every item is read against, looked up once for many. */
  record Around(GroupStore.Tree groups, List<Account> accounts, List<ItemCard.Price> lists) {}

  Around around() {
    return new Around(groups.tree(), accounts.all(), items.prices(0));
  }

  /** An item's fields as they are. */
  Map<String, String> fields(long id) {
    return fields(card(id), taxes.ofItem(id));
  }

  /** The fields of many, by id, in their order. */
  Map<Long, Map<String, String>> fields(List<Long> ids) {
    Map<Long, String> rates = taxes.ofItems(ids);
    Map<Long, Map<String, String>> all = new LinkedHashMap<>();
    for (ItemCard card : items.find(ids))
      all.put(card.id(), fields(card, rates.getOrDefault(card.id(), "")));
    return all;
  }

  private Map<String, String> fields(ItemCard card, String rate) {
    Map<String, String> fields = new HashMap<>(ItemForm.fields(card, books.book().coin()));
    fields.put("tax_rate", rate);
    for (ItemCard.Price price : card.prices()) fields.putIfAbsent("price_" + price.list(), "");
    return fields;
  }

  private ItemCard card(long id) {
    return items.find(id).orElseThrow(() -> new NotThere("item " + id));
  }

  /**
   * Reads and checks one.
   *
   * @param id null for a new one
   * @param others codes of items that are made together with it
   */
  Read read(@Nullable Long id, Map<String, String> sent, Set<String> others, Around around) {
    Optional<ItemCard> before = id == null ? Optional.empty() : Optional.of(card(id));
    boolean locked = id != null && items.moved(id);
    Map<String, String> crossed = new HashMap<>();
    Map<String, String> typed =
        id == null
            ? coded(sent, others)
            : Shown.merged(sent, fields(before.get(), taxes.ofItem(id)), crossed);
    ItemForm form = new ItemForm(typed);
    form.faults().putAll(crossed);
    ItemCard card =
        form.read(
            before,
            locked,
            id == null || stock.stock(id).onHand() == 0,
            around.groups(),
            around.accounts(),
            around.lists());
    taken("code", card.code(), card.id(), " has this code already.", form.faults());
    if (!card.gtin().isEmpty())
      taken("gtin", card.gtin(), card.id(), " has this barcode already.", form.faults());
    if (before.isPresent()
        && before.get().kind() != ItemKind.STOCKED
        && card.kind() == ItemKind.STOCKED
        && items.sold(card.id()))
      form.faults()
          .put(
              "kind",
              "It has been sold already: its card has \"Keep it in stock from a date on\", which"
                  + " gives those sales their cost.");
    ItemWriter.Along along = form.along(around.groups(), around.lists());
    return new Read(card, along, typed, form.faults(), locked);
  }

  private void taken(
      String field, String value, long besides, String says, Map<String, String> faults) {
    items.taken(field, value, besides).ifPresent(name -> faults.put(field, name + says));
  }

  /** With a code made from the name when none was typed. */
  private Map<String, String> coded(Map<String, String> sent, Set<String> others) {
    Map<String, String> typed = new HashMap<>(sent);
    String name = sent.getOrDefault("name", "");
    if (sent.getOrDefault("code", "").isBlank() && !name.isBlank())
      typed.put("code", items.freeCode(name, others));
    return typed;
  }

  /**
   * Keeps one that was read without faults.
   *
   * @return its id
   * @throws org.springframework.dao.DuplicateKeyException when its code, barcode, group or price
   *     list was taken in the meantime
   */
  long keep(Read read, String login) {
    long id = writer.save(read.card(), read.along(), login);
    taxes.ofItem(id, read.typed().getOrDefault("tax_rate", ""));
    return id;
  }
}
