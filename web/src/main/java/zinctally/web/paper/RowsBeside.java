package zinctally.web.paper;

import java.time.Clock;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Reading;
import zinctally.core.units.Units;
import zinctally.store.book.BookCatalogue;
import zinctally.store.buy.SupplierStore;
import zinctally.store.goods.ItemStore;
import zinctally.store.sell.CustomerStore;
import zinctally.store.sell.PriceStore;
import zinctally.store.sell.TaxStore;
import zinctally.web.shell.Say;

/** What stands beside each row of a paper: what it is, what is there, what it usually costs. */
@Component
class RowsBeside {
  private static final Set<PaperKind> LEAVES =
      EnumSet.of(PaperKind.DELIVERY, PaperKind.INVOICE, PaperKind.COUNTER_SALE);
  private final ItemStore items;
  private final SupplierStore suppliers;
  private final CustomerStore customers;
  private final PriceStore prices;
  private final TaxStore taxes;
  private final Say say;
  private final Clock clock;

  RowsBeside(
      ItemStore items,
      SupplierStore suppliers,
      CustomerStore customers,
      PriceStore prices,
      TaxStore taxes,
      Say say,
      Clock clock) {
    this.items = items;
    this.suppliers = suppliers;
    this.customers = customers;
    this.prices = prices;
    this.taxes = taxes;
    this.say = say;
    this.clock = clock;
  }

  /**
   * Facts for the line table, filled in beside what was typed.
   *
   * @param beside what stands beside the row, by name
   * @param offered what cells left empty are filled with, by column
   */
  record RowShown(
      int row,
      String name,
      String amount,
      String free,
      Map<String, String> beside,
      Map<String, String> offered,
      boolean tracked) {
    /** Something beside the row; empty for nothing. */
    public String beside(String what) {
      return beside.getOrDefault(what, "");
    }

    /** What a cell left empty is filled with; empty for nothing. */
    public String offered(String column) {
      return offered.getOrDefault(column, "");
    }
  }

  List<RowShown> of(Draft draft, Reading reading, BookCatalogue book) {
    List<Long> ids =
        reading.rows().values().stream()
            .map(Reading.RowFacts::item)
            .filter(id -> id > 0)
            .distinct()
            .toList();
    Map<Long, ItemStore.Free> free =
        items.free(ids, draft.field("place"), draft.kind() == PaperKind.SALES_ORDER).stream()
            .collect(Collectors.toMap(ItemStore.Free::item, f -> f));
    Map<Long, Item> known = book.items(ids);
    Map<Long, Catalogue.LatestCost> last = lastPrices(draft, ids, book);
    Optional<CustomerStore.Card> customer =
        draft.field("customer").isEmpty()
            ? Optional.empty()
            : customers.named(draft.field("customer"));
    Map<Long, String> usual =
        taxes.usual(
            ids, customer.map(CustomerStore.Card::taxRate).orElse(0L), draft.field("place"));
    List<RowShown> shown = new ArrayList<>();
    reading
        .rows()
        .forEach(
            (row, facts) -> {
              Item item = known.get(facts.item());
              shown.add(
                  new RowShown(
                      row,
                      facts.name(),
                      say.money(facts.amount()),
                      here(item, free),
                      facts.beside(),
                      offered(draft, row, item, facts.unit(), book, last, customer, usual),
                      item != null && item.tracked()));
            });
    return shown;
  }

  private static String here(Item item, Map<Long, ItemStore.Free> free) {
    if (item == null || !item.stocked()) return "";
    ItemStore.Free there = free.getOrDefault(item.id(), new ItemStore.Free(item.id(), 0, 0));
    String here = item.units().say(new Quantity(there.here()));
    long elsewhere = there.everywhere() - there.here();
    return elsewhere <= 0
        ? here
        : here + " +" + item.units().say(new Quantity(elsewhere)) + " elsewhere";
  }

  /** What the supplier asked last, by item. */
  private Map<Long, Catalogue.LatestCost> lastPrices(
      Draft draft, List<Long> items, BookCatalogue book) {
    return book.party(Party.Kind.SUPPLIER, draft.field("supplier"))
        .map(p -> suppliers.lastPrices(p.id(), items))
        .orElse(Map.of());
  }

  /** What cells left empty are offered; nothing is looked up for those that are filled. */
  private Map<String, String> offered(
      Draft draft,
      int row,
      Item item,
      String unit,
      BookCatalogue book,
      Map<Long, Catalogue.LatestCost> last,
      Optional<CustomerStore.Card> customer,
      Map<Long, String> usual) {
    Map<String, String> offered = new HashMap<>();
    if (item == null) return offered;
    if (LEAVES.contains(draft.kind()) && draft.cell(row, "numbers").isEmpty())
      offered.put("numbers", lots(draft, row, item, book));
    boolean selling = draft.kind().sells() || draft.kind() == PaperKind.SALES_ORDER;
    if (draft.cell(row, "price").isEmpty())
      offered.put(
          "price",
          selling
              ? price(draft, row, item, unit, book, customer)
              : cost(draft.kind(), item, unit, book, last));
    if (!selling) return offered;
    if (draft.cell(row, "tax").isEmpty()) offered.put("tax", usual.getOrDefault(item.id(), ""));
    boolean plain = draft.cell(row, "discount").isEmpty() && draft.cell(row, "at").isEmpty();
    if (plain && draft.cell(row, "of").isEmpty())
      customer
          .filter(c -> c.discount().signum() > 0)
          .ifPresent(c -> offered.put("discount", c.discount().toPlainString()));
    return offered;
  }

  /** The lots a line would be taken from, those that expire first before others. */
  private String lots(Draft draft, int row, Item item, BookCatalogue book) {
    String typed = draft.cell(row, "quantity");
    boolean one = typed.isEmpty() && draft.kind() == PaperKind.COUNTER_SALE;
    return item.units()
        .read(one ? "1" : typed)
        .map(t -> new Picked(items, book, draft.field("place")).lots(item, t.quantity().micros()))
        .orElse("");
  }

  private static Quantity size(Item item, String unit) {
    return item.units().shown().stream()
        .filter(u -> u.sign().equals(unit))
        .map(Units.Shown::size)
        .findFirst()
        .orElse(item.units().baseShown().size());
  }

  /** The price of the customer's list on the paper's day for as many as are typed. */
  private String price(
      Draft draft,
      int row,
      Item item,
      String unit,
      BookCatalogue book,
      Optional<CustomerStore.Card> customer) {
    long micros =
        item.units().read(draft.cell(row, "quantity")).map(t -> t.quantity().micros()).orElse(0L);
    LocalDate on;
    try {
      on = LocalDate.parse(draft.field("date"));
    } catch (DateTimeParseException notYet) {
      on = LocalDate.now(clock);
    }
    int digits = book.rules().coin().digits();
    return prices
        .price(item.id(), customer.map(CustomerStore.Card::priceList).orElse(0L), on, micros)
        .map(p -> p.multiply(size(item, unit).decimal()).stripTrailingZeros())
        .map(p -> (p.scale() < digits ? p.setScale(digits) : p).toPlainString())
        .orElse("");
  }

  /** What the supplier asked last, else the latest cost, for the unit shown. */
  private String cost(
      PaperKind kind,
      Item item,
      String unit,
      BookCatalogue book,
      Map<Long, Catalogue.LatestCost> last) {
    if (kind != PaperKind.BILL && kind != PaperKind.PURCHASE_ORDER) return "";
    return Optional.ofNullable(last.get(item.id()))
        .or(() -> book.latestCost(item.id()))
        .map(c -> say.each(c.value(), c.micros(), size(item, unit).micros()))
        .orElse("");
  }
}
