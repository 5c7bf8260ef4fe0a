package zinctally.store.book;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import zinctally.core.goods.Item;
import zinctally.core.goods.ItemKind;
import zinctally.core.papers.Allowed;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.consign.Terms;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Traded;
import zinctally.core.papers.stock.StartTracking;
import zinctally.core.units.Unit;
import zinctally.core.units.Units;
import zinctally.store.goods.GroupStore;

/** What the book knows of goods: items, what they cost and fetch, where they are and wait. */
abstract class GoodsCatalogue implements Catalogue {
  final ItemLookup items;
  final PlaceLookup places;
  private final ListPrices prices;
  private final long amends;
  private final LotLookup lots;
  private final CostLookup costs;
  private final PromiseLookup promises;
  private final AwaitedLookup earlier;
  private final TradedLookup traded;
  private final RecipeLookup recipes;
  private final ConsignLookup consigned;
  private final Map<String, List<Awaited>> awaited = new HashMap<>();

  GoodsCatalogue(JdbcClient sql, GroupStore.Tree groups, ListPrices prices, long amends) {
    this.prices = prices;
    this.amends = amends;
    items = new ItemLookup(sql, groups, amends != 0);
    places = new PlaceLookup(sql);
    lots = new LotLookup(sql);
    costs = new CostLookup(sql, amends);
    promises = new PromiseLookup(sql, amends);
    earlier = new AwaitedLookup(sql, amends, items::of);
    traded = new TradedLookup(sql, amends, items::of, earlier);
    recipes = new RecipeLookup(sql, amends);
    consigned = new ConsignLookup(sql, amends, places);
  }

  @Override
  public Item newItem(long id, String name, Party.Kind side) {
    Item item = newItem(id, "", name, "", Units.of(Unit.EACH));
    return side == Party.Kind.SUPPLIER ? item : item.withKind(ItemKind.NOT_STOCKED);
  }

  @Override
  public Optional<String> goesInto(long item, long other) {
    return recipes.way(item, other);
  }

  @Override
  public Optional<LatestCost> presentCost(long item) {
    return costs.present(item, items.known());
  }

  @Override
  public Optional<Allowed.ListPrice> listPrice(
      Item item, long customer, long micros, LocalDate on, @Nullable TaxRate rate) {
    return prices.of(item.id(), customer, micros, on, rate);
  }

  @Override
  public Worth worth(long item, LocalDate date) {
    return costs.worth(item, date);
  }

  @Override
  public List<Traded> traded(String paperNumber) {
    return traded.traded(paperNumber);
  }

  @Override
  public Map<Long, List<LateCharge>> chargedAfter(LocalDate date, Collection<Long> arrivals) {
    return costs.chargedAfter(date, arrivals);
  }

  @Override
  public List<Awaited> awaited(String paperNumber) {
    return earlier.awaited(paperNumber);
  }

  @Override
  public List<Awaited> awaited(Awaits what, long party, long item) {
    return awaited.computeIfAbsent(what + " " + party, k -> earlier.awaited(what, party)).stream()
        .filter(a -> a.item().id() == item)
        .toList();
  }

  @Override
  public List<Kept> lots(long item, Collection<String> codes) {
    return lots.named(item, codes, amends);
  }

  @Override
  public Optional<BigDecimal> piecePrice(long item, Collection<String> codes) {
    return lots.price(item, codes);
  }

  @Override
  public List<Kept> lotsAt(long item, long place, int atMost) {
    return lots.at(item, place, atMost, amends);
  }

  /** See {@link ItemLookup#hold}. */
  public void hold(Collection<Long> ids) {
    items.hold(ids);
  }

  /** See {@link ItemLookup#fetch}. */
  public void fetch(Collection<String> codes, boolean onlyCodes) {
    items.fetch(codes, onlyCodes);
  }

  @Override
  public Optional<Item> item(String typed) {
    return items.item(typed);
  }

  /** Items by id, for those who have only that. */
  public Map<Long, Item> items(Collection<Long> ids) {
    return items.of(ids);
  }

  /** An item that is not made yet, with what its group, or the top group, gives it. */
  public Item newItem(long id, String code, String name, String group, Units units) {
    return items.newItem(id, code, name, group, units);
  }

  @Override
  public List<Consigned> consigned(long item, Place place) {
    return consigned.consigned(item, place, items.known());
  }

  @Override
  public long onHand(long item, Place place, LocalDate from) {
    return consigned.onHand(item, place.id(), from);
  }

  @Override
  public Optional<Terms> terms(long supplier, long item, LocalDate on) {
    return consigned.terms(supplier, item, on);
  }

  /** Millionths of an item at a place. */
  public long here(long item, long place) {
    return promises.here(item, place);
  }

  @Override
  public Free free(long item, long place) {
    return promises.free(item, place);
  }

  @Override
  public Promised promised(long item, long place, long order) {
    return promises.promised(item, place, order, items.known());
  }

  @Override
  public long opened(long item) {
    return costs.opened(item, rules().cutOver());
  }

  @Override
  public List<StartTracking.Sold> soldSince(long item, LocalDate date) {
    return costs.soldSince(item, date);
  }

  @Override
  public Optional<LatestCost> latestCost(long item) {
    return costs.latest(item);
  }
}
