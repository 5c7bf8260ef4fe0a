package zinctally.web.paper;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import zinctally.core.goods.Item;
import zinctally.core.number.Figures;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.PaperKind.Trait;
import zinctally.core.papers.Party;
import zinctally.core.papers.Reading;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.read.Days;
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

  /**
   * What is asked once for all rows of a draft.
   *
   * @param last what the supplier asked last, by item
   */
  private record Asked(
      Draft draft,
      Optional<Draft> before,
      BookCatalogue book,
      Map<Long, Item> items,
      Map<String, Map<Long, ItemStore.Free>> free,
      Map<Long, Catalogue.LatestCost> last,
      Optional<CustomerStore.Card> customer,
      TaxStore.Usual taxes,
      PriceStore.Listed prices) {
    /** Whether a cell is empty and not meant so, or was filled in and follows what is offered. */
    boolean follows(int row, String column) {
      List<String> filled = List.of(draft.cell(row, TypedDraft.FILLED).split(" "));
      if (filled.contains(column)) return true;
      return draft.cell(row, column).isEmpty()
          && !filled.contains(TypedDraft.LEFT_EMPTY + column)
          && !stoodEmpty(row, column);
    }

    private boolean stoodEmpty(int row, String column) {
      return before
          .filter(b -> row < b.rows().size() && !b.cell(row, "item").isEmpty())
          .filter(b -> b.cell(row, "item").equals(draft.cell(row, "item")))
          .filter(b -> b.cell(row, column).isEmpty())
          .isPresent();
    }

    boolean selling() {
      return RowsBeside.selling(draft);
    }
  }

  /**
   * @param before the version that this one is to follow: what stands empty there is offered
   *     nothing
   */
  List<RowShown> of(
      Draft draft, Optional<Draft> before, Reading reading, BookCatalogue book, Part part) {
    Map<Integer, Reading.RowFacts> rows = new TreeMap<>(reading.rows());
    rows.keySet().removeIf(row -> !part.holds(row));
    Asked asked = asked(draft, before, rows, book);
    List<RowShown> shown = new ArrayList<>();
    rows.forEach((row, facts) -> shown.add(shown(row, facts, asked)));
    return shown;
  }

  private Asked asked(
      Draft draft,
      Optional<Draft> before,
      Map<Integer, Reading.RowFacts> rows,
      BookCatalogue book) {
    List<Long> ids =
        rows.values().stream().map(Reading.RowFacts::item).filter(id -> id > 0).distinct().toList();
    Optional<CustomerStore.Card> customer =
        draft.field("customer").isEmpty()
            ? Optional.empty()
            : customers.named(draft.field("customer"));
    return new Asked(
        draft,
        before,
        book,
        book.items(ids),
        free(draft, rows.keySet(), ids),
        lastPrices(draft, ids, book),
        customer,
        usual(draft, rows.values(), ids, customer),
        selling(draft)
            ? prices.listed(ids, customer.map(CustomerStore.Card::priceList).orElse(0L), day(draft))
            : new PriceStore.Listed(Map.of()));
  }

  /** Where the goods of a row are to come from: the row's place, else the paper's. */
  private static String place(Draft draft, int row) {
    String own = row < draft.rows().size() ? draft.cell(row, "place") : "";
    return own.isEmpty() ? draft.field("place") : own;
  }

  /** What is free at each place that rows are to come from. */
  private Map<String, Map<Long, ItemStore.Free>> free(
      Draft draft, Collection<Integer> rows, List<Long> ids) {
    Map<String, Map<Long, ItemStore.Free>> free = new HashMap<>();
    for (int row : rows)
      free.computeIfAbsent(
          place(draft, row),
          place ->
              items.free(ids, place, draft.kind().is(Trait.ORDERS) && selling(draft)).stream()
                  .collect(Collectors.toMap(ItemStore.Free::item, f -> f)));
    return free;
  }

  private LocalDate day(Draft draft) {
    LocalDate today = LocalDate.now(clock);
    return Days.read(draft.field("date"), today, today).orElse(today);
  }

  private RowShown shown(int row, Reading.RowFacts facts, Asked asked) {
    Item item = asked.items.get(facts.item());
    Map<String, String> beside = new HashMap<>(facts.beside());
    beside.put("list", list(row, item, facts.unit(), asked));
    return new RowShown(
        row,
        facts.name(),
        say.money(facts.amount()),
        here(item, asked.free.getOrDefault(place(asked.draft, row), Map.of())),
        beside,
        offered(row, facts, item, asked),
        item != null && item.tracked());
  }

  private static boolean selling(Draft draft) {
    return draft.kind().is(Trait.PRICED) && draft.kind().isWith(Party.Kind.CUSTOMER);
  }

  /** What lines usually bear: a place's rate is for what is sold there. */
  private TaxStore.Usual usual(
      Draft draft,
      Collection<Reading.RowFacts> rows,
      List<Long> items,
      Optional<CustomerStore.Card> customer) {
    List<Long> accounts =
        rows.stream().map(Reading.RowFacts::account).filter(id -> id > 0).distinct().toList();
    long party =
        draft.field("supplier").isEmpty()
            ? customer.map(CustomerStore.Card::taxRate).orElse(0L)
            : suppliers.taxRate(draft.field("supplier"));
    return taxes.usual(items, accounts, party, selling(draft) ? draft.field("place") : "");
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
  private Map<String, String> offered(int row, Reading.RowFacts facts, Item item, Asked asked) {
    Map<String, String> offered = new HashMap<>();
    PaperKind kind = asked.draft.kind();
    if (kind.is(Trait.PRICED) && asked.follows(row, "tax"))
      offered.put(
          "tax",
          item == null ? asked.taxes.ofAccount(facts.account()) : asked.taxes.ofItem(item.id()));
    if (item == null) return offered;
    if (kind.is(Trait.SENDS) && asked.follows(row, "numbers"))
      offered.put("numbers", lots(asked.draft, row, item, asked.book));
    if (asked.follows(row, "price"))
      offered.put(
          "price",
          asked.selling()
              ? price(row, item, facts.unit(), asked)
              : cost(kind, item, facts.unit(), asked));
    if (!asked.selling()) return offered;
    boolean plain = asked.follows(row, "discount") && asked.draft.cell(row, "at").isEmpty();
    if (plain && asked.draft.cell(row, "of").isEmpty())
      asked
          .customer
          .filter(c -> c.discount().signum() > 0)
          .ifPresent(c -> offered.put("discount", Figures.plain(c.discount())));
    return offered;
  }

  /** What the list says, when another price is typed; empty when it says the same. */
  private String list(int row, Item item, String unit, Asked asked) {
    if (!asked.selling() || item == null || asked.follows(row, "price")) return "";
    String list = price(row, item, unit, asked);
    Optional<BigDecimal> typed = Figures.read(asked.draft.cell(row, "price"));
    boolean same =
        list.isEmpty()
            || typed.isEmpty()
            || Figures.read(list).filter(l -> l.compareTo(typed.get()) == 0).isPresent();
    return same ? "" : list;
  }

  /** The lots a line would be taken from, those that expire first before others. */
  private String lots(Draft draft, int row, Item item, BookCatalogue book) {
    String typed = draft.cell(row, "quantity");
    boolean one = typed.isEmpty() && draft.kind().is(PaperKind.Trait.COUNTER);
    return item.units()
        .read(one ? "1" : typed)
        .map(t -> new Picked(book, place(draft, row)).lots(item, t.quantity().micros()))
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
  private String price(int row, Item item, String unit, Asked asked) {
    Draft draft = asked.draft;
    long micros =
        item.units().read(draft.cell(row, "quantity")).map(t -> t.quantity().micros()).orElse(0L);
    int digits = asked.book.rules().coin().digits();
    boolean paperWithTax = "included".equals(draft.field("prices"));
    String code = draft.cell(row, "tax");
    return asked
        .prices
        .price(item.id(), micros)
        .map(
            p ->
                p.withTax() == paperWithTax
                    ? p.price()
                    : converted(
                        p.price(),
                        asked.book.taxRate(code.isEmpty() ? asked.taxes.ofItem(item.id()) : code),
                        paperWithTax))
        .map(p -> p.multiply(size(item, unit).decimal()).stripTrailingZeros())
        .map(p -> Figures.plain(p.scale() < digits ? p.setScale(digits) : p))
        .orElse("");
  }

  /** A price without tax as one with it, or the other way round; the same when no rate is known. */
  private static BigDecimal converted(BigDecimal price, Optional<TaxRate> rate, boolean withTax) {
    if (rate.isEmpty()) return price;
    BigDecimal factor = BigDecimal.ONE.add(rate.get().percent().movePointLeft(2));
    return withTax
        ? price.multiply(factor).setScale(4, RoundingMode.HALF_UP)
        : price.divide(factor, 4, RoundingMode.HALF_UP);
  }

  /** What the supplier asked last, else the latest cost, for the unit shown. */
  private String cost(PaperKind kind, Item item, String unit, Asked asked) {
    if (!kind.is(Trait.PRICED) || !kind.isWith(Party.Kind.SUPPLIER)) return "";
    return Optional.ofNullable(asked.last.get(item.id()))
        .or(() -> asked.book.latestCost(item.id()))
        .map(c -> say.each(c.value(), c.micros(), size(item, unit).micros()))
        .orElse("");
  }
}
