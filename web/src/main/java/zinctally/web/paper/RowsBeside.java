package zinctally.web.paper;

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
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Reading;
import zinctally.core.papers.Trait;
import zinctally.core.papers.read.Days;
import zinctally.store.book.BookCatalogue;
import zinctally.store.book.ListPrices;
import zinctally.store.buy.SupplierStore;
import zinctally.store.goods.StockStore;
import zinctally.store.sell.CustomerStore;
import zinctally.store.sell.TaxStore;
import zinctally.web.shell.Say;

/** What stands beside each row of a paper: what it is, what is there, what it usually costs. */
@Component
class RowsBeside {

  private final StockStore stock;

  private final SupplierStore suppliers;

  private final CustomerStore customers;

  private final ListPrices prices;

  private final TaxStore taxes;

  private final RowOffers offers;
  private final Say say;

  private final Clock clock;

  RowsBeside(
      StockStore stock,
      SupplierStore suppliers,
      CustomerStore customers,
      ListPrices prices,
      TaxStore taxes,
      RowOffers offers,
      Say say,
      Clock clock) {
    this.stock = stock;
    this.suppliers = suppliers;
    this.customers = customers;
    this.prices = prices;
    this.taxes = taxes;
    this.offers = offers;
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
   * @param before the version that this one is to follow: what stands empty there is offered
   *     nothing
   */
  List<RowShown> of(
      Draft draft, Optional<Draft> before, Reading reading, BookCatalogue book, Part part) {
    Map<Integer, Reading.RowFacts> rows = new TreeMap<>(reading.rows());
    rows.keySet().removeIf(row -> !part.holds(row));
    AskedOfRows asked = asked(draft, before, rows, book);
    List<RowShown> shown = new ArrayList<>();
    rows.forEach((row, facts) -> shown.add(shown(row, facts, asked)));
    return shown;
  }

  private AskedOfRows asked(
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
    return new AskedOfRows(
        draft,
        before,
        book,
        book.items(ids),
        free(draft, rows.keySet(), ids),
        lastPrices(draft, ids, book),
        customer,
        usual(draft, rows.values(), ids, customer),
        AskedOfRows.selling(draft)
            ? prices.listed(ids, customer.map(CustomerStore.Card::priceList).orElse(0L), day(draft))
            : new ListPrices.Listed(Map.of()));
  }

  /** What is free at each place that rows are to come from. */
  private Map<String, Map<Long, StockStore.Free>> free(
      Draft draft, Collection<Integer> rows, List<Long> ids) {
    Map<String, Map<Long, StockStore.Free>> free = new HashMap<>();
    for (int row : rows)
      free.computeIfAbsent(
          AskedOfRows.place(draft, row),
          place ->
              stock
                  .free(ids, place, draft.kind().is(Trait.ORDERS) && AskedOfRows.selling(draft))
                  .stream()
                  .collect(Collectors.toMap(StockStore.Free::item, f -> f)));
    return free;
  }

  private LocalDate day(Draft draft) {
    LocalDate today = LocalDate.now(clock);
    return Days.read(draft.field("date"), today, today).orElse(today);
  }

  private RowShown shown(int row, Reading.RowFacts facts, AskedOfRows asked) {
    Item item = asked.items().get(facts.item());
    Map<String, String> beside = new HashMap<>(facts.beside());
    beside.put("list", offers.list(row, item, facts.unit(), asked));
    return new RowShown(
        row,
        facts.name(),
        say.money(facts.amount()),
        here(item, asked.free().getOrDefault(AskedOfRows.place(asked.draft(), row), Map.of()))
            + theirs(item, row, asked),
        beside,
        offers.offered(row, facts, item, asked),
        item != null && item.tracked());
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
    return taxes.usual(
        items, accounts, party, AskedOfRows.selling(draft) ? draft.field("place") : "");
  }

  private static String here(@Nullable Item item, Map<Long, StockStore.Free> free) {
    if (item == null || !item.stocked()) return "";
    StockStore.Free there = free.getOrDefault(item.id(), new StockStore.Free(item.id(), 0, 0));
    String here = item.units().say(new Quantity(there.here()));
    long elsewhere = there.everywhere() - there.here();
    return elsewhere <= 0
        ? here
        : here + " +" + item.units().say(new Quantity(elsewhere)) + " elsewhere";
  }

  /** What suppliers have of it there on consignment, where it could be sold. */
  private static String theirs(@Nullable Item item, int row, AskedOfRows asked) {
    if (item == null || !asked.draft().kind().is(Trait.SENDS)) return "";
    long micros =
        asked
            .book()
            .place(AskedOfRows.place(asked.draft(), row))
            .filter(Place::isPlain)
            .map(p -> asked.book().consigned(item.id(), p))
            .orElse(List.of())
            .stream()
            .mapToLong(Catalogue.Consigned::micros)
            .sum();
    return micros == 0 ? "" : " +" + item.units().say(new Quantity(micros)) + " of others";
  }

  /** What the supplier asked last, by item. */
  private Map<Long, Catalogue.LatestCost> lastPrices(
      Draft draft, List<Long> items, BookCatalogue book) {
    return book.party(Party.Kind.SUPPLIER, draft.field("supplier"))
        .map(p -> suppliers.lastPrices(p.id(), items))
        .orElse(Map.of());
  }
}
