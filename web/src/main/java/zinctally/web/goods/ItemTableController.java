package zinctally.web.goods;

import jakarta.servlet.http.HttpServletRequest;
import java.security.Principal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.units.Unit;
import zinctally.store.book.SetUp;
import zinctally.store.goods.GroupStore;
import zinctally.store.goods.ItemCard;
import zinctally.store.goods.ItemStore;
import zinctally.store.listing.Ask;
import zinctally.store.listing.GoodsListings;
import zinctally.store.listing.Listing;
import zinctally.store.listing.ListingStore;
import zinctally.store.listing.Page;
import zinctally.web.listing.ListingPage;
import zinctally.web.shell.SetsUp;
import zinctally.web.shell.Shown;

/** Items made and changed many at a time, in a table: all that is typed is kept, or nothing is. */
@Controller
class ItemTableController {
  private static final int EMPTY = 8;
  private final ListingStore lists;
  private final ListingPage pages;
  private final ItemKeeper keeper;
  private final ItemStore items;
  private final GroupStore groups;
  private final SetUp setUp;

  ItemTableController(
      ListingStore lists,
      ListingPage pages,
      ItemKeeper keeper,
      ItemStore items,
      GroupStore groups,
      SetUp setUp) {
    this.lists = lists;
    this.pages = pages;
    this.keeper = keeper;
    this.items = items;
    this.groups = groups;
    this.setUp = setUp;
  }

  /** A column of the table. */
  record Column(String name, String heading, boolean figure) {}

  private List<Column> columns() {
    List<Column> columns =
        new ArrayList<>(
            List.of(
                new Column("code", "Code", false),
                new Column("name", "Name", false),
                new Column("group", "Group", false),
                new Column("unit", "Counted in", false)));
    for (ItemCard.Price list : items.prices(0))
      if (columns.size() < 6)
        columns.add(new Column("price_" + list.list(), list.listName() + " price", true));
    columns.add(new Column("reorder_point", "Reorder at", true));
    columns.add(new Column("reorder_quantity", "by", true));
    columns.add(new Column("supplier", "Usual supplier", false));
    columns.add(new Column("shelf", "Shelf", false));
    return columns;
  }

  @SetsUp
  @GetMapping("/goods/many")
  String many(HttpServletRequest request, Model model) {
    Listing listing = GoodsListings.items();
    Ask ask = pages.ask(listing, request);
    Page page = lists.page(listing, ask);
    List<Long> ids =
        page.rows().stream()
            .map(r -> ((Number) Objects.requireNonNull(r.get("id"))).longValue())
            .toList();
    List<ItemTable.Row> rows = new ArrayList<>();
    keeper
        .fields(ids)
        .forEach(
            (id, cells) -> {
              cells.put(Shown.FIELD, Shown.write(cells));
              rows.add(new ItemTable.Row(id, cells, Map.of()));
            });
    model.addAttribute("filter", ask.filter());
    model.addAttribute("next", pages.next(page, request).orElse(null));
    return page(new ItemTable(rows), model);
  }

  private String page(ItemTable table, Model model) {
    List<ItemTable.Row> rows = new ArrayList<>(table.rows());
    GroupStore.Tree tree = groups.tree();
    String group = rows.isEmpty() ? "" : rows.get(rows.size() - 1).cells().get("group");
    for (int i = 0; i < EMPTY; i++)
      rows.add(
          new ItemTable.Row(
              0, Map.of("group", group == null ? "" : group, "unit", Unit.EACH.name()), Map.of()));
    model.addAttribute("rows", rows);
    model.addAttribute("columns", columns());
    model.addAttribute("wrongs", table.rows().stream().filter(r -> !r.faults().isEmpty()).count());
    model.addAttribute("groups", tree.inOrder());
    model.addAttribute("units", Unit.values());
    return "goods/many";
  }

  /** What came of it. */
  private record Kept(ItemTable table, int changed, int made) {}

  @SetsUp
  @PostMapping("/goods/many")
  String keep(
      @RequestParam Map<String, String> sent,
      Model model,
      Principal who,
      RedirectAttributes after) {
    ItemTable table = ItemTable.read(sent);
    Kept kept;
    try {
      kept = setUp.alone(() -> kept(table, who.getName()));
    } catch (DuplicateKeyException taken) {
      model.addAttribute("wrong", "A code or barcode was taken meanwhile; nothing was kept.");
      return page(table, model);
    }
    if (kept.table().wrong()) return page(kept.table(), model);
    after.addFlashAttribute(
        "told",
        kept.changed() + kept.made() == 0
            ? "Nothing was changed."
            : counted(kept.changed(), "changed") + ", " + counted(kept.made(), "made") + ".");
    return "redirect:/goods";
  }

  private static String counted(int n, String done) {
    return n + (n == 1 ? " item is " : " items are ") + done;
  }

  private Kept kept(ItemTable table, String login) {
    List<ItemTable.Row> rows = new ArrayList<>();
    List<ItemKeeper.Read> good = new ArrayList<>();
    Set<String> codes = new HashSet<>();
    ItemKeeper.Around around = keeper.around();
    for (ItemTable.Row row : table.rows()) {
      if (row.blank()) continue;
      if (row.id() != 0 && !row.changed()) {
        rows.add(row);
        continue;
      }
      ItemKeeper.Read read = read(row, codes, around);
      if (!codes.add(read.card().code().toUpperCase(Locale.ROOT)))
        read.faults().put("code", "Another row has this code.");
      rows.add(row.wrong(read.faults()));
      good.add(read);
    }
    ItemTable checked = new ItemTable(rows);
    if (checked.wrong()) return new Kept(checked, 0, 0);
    good.forEach(read -> keeper.keep(read, login));
    int made = (int) good.stream().filter(r -> r.card().id() == 0).count();
    return new Kept(checked, good.size() - made, made);
  }

  /** A row's cells over all that the item has besides. */
  private ItemKeeper.Read read(ItemTable.Row row, Set<String> codes, ItemKeeper.Around around) {
    if (row.id() == 0) return keeper.read(null, row.cells(), codes, around);
    Map<String, String> typed =
        new HashMap<>(Shown.read(row.cells().getOrDefault(Shown.FIELD, "")));
    typed.putAll(row.cells());
    return keeper.read(row.id(), typed, codes, around);
  }
}
