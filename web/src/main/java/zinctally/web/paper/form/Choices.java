package zinctally.web.paper.form;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import zinctally.store.consign.ConsignStore;
import zinctally.store.sell.TillStore;
import zinctally.store.setup.PlaceStore;
import zinctally.store.setup.SetupStore;

/** Choices that depend on how the book is set up. */
@Component
public class Choices {
  private final SetupStore setup;
  private final PlaceStore places;
  private final TillStore tills;
  private final ConsignStore consigned;

  Choices(SetupStore setup, PlaceStore places, TillStore tills, ConsignStore consigned) {
    this.consigned = consigned;
    this.setup = setup;
    this.places = places;
    this.tills = tills;
  }

  public Choice places() {
    return Choice.from(() -> words(Map.of(), places.inUse(), p -> p));
  }

  /** A place that somebody has to name: none is taken for granted. */
  public Choice whichPlace() {
    return Choice.from(() -> words(Map.of("", ""), places.plain(), p -> p));
  }

  /** Where goods of ours are that may be sold. */
  public Choice placesThatSell() {
    return Choice.from(() -> words(Map.of(), places.thatSell(), p -> p));
  }

  /** Where goods are that can be sold at once: ours, and suppliers' on consignment. */
  public Choice placesToSellFrom() {
    return Choice.from(() -> words(Map.of(), with(places.thatSell()), p -> p));
  }

  /** Where goods are that can be found or lost: ours, and suppliers' on consignment. */
  public Choice placesToPutRight() {
    return Choice.from(() -> words(Map.of(), with(places.inUse()), p -> p));
  }

  /** Those, and where suppliers have goods here. */
  private List<String> with(List<String> ours) {
    return Stream.concat(ours.stream(), places.ofSuppliers().stream()).toList();
  }

  /** A place itself, whatever the standing of what comes there. */
  public Choice plainPlaces() {
    return Choice.from(() -> words(Map.of(), places.plain(), p -> p));
  }

  /** Where goods are, those of others too. */
  public Choice anyPlace() {
    return Choice.from(
        () ->
            words(
                Map.of(),
                Stream.concat(places.inUse().stream(), places.ofOthers().stream()).toList(),
                p -> p));
  }

  /**
   * A standing of goods.
   *
   * @param none what it is while none is named
   */
  public Choice standings(String none) {
    return Choice.from(() -> words(Map.of("", none), places.standingsInUse(), s -> s));
  }

  /** A place that is the paper's own while none is named; asked only where there are more. */
  public Choice samePlace() {
    return new Choice(() -> words(Map.of("", "the same place"), places.inUse(), p -> p), 2);
  }

  public Choice money() {
    return Choice.from(() -> words(Map.of(), setup.moneyAccounts(), m -> m));
  }

  /** Whether goods are ordered on consignment; asked only where that is agreed with anybody. */
  public Choice consigned() {
    return new Choice(
        () -> {
          Map<String, String> ways = new LinkedHashMap<>(Map.of("", "bought"));
          if (consigned.anythingAgreed()) ways.put("yes", "taken on consignment");
          return ways;
        },
        1);
  }

  public Choice prices() {
    return Choice.of("excluded", "without tax", "included", "with tax");
  }

  /** Where money that is given back comes from, or that none is. */
  public Choice moneyBack() {
    return Choice.from(
        () -> words(Map.of("", "no, credit"), setup.moneyAccounts(), m -> "from " + m));
  }

  /** The till that money goes through; asked only where more than one is open. */
  public Choice tills() {
    return new Choice(
        () -> words(Map.of("", "the till that is open"), tills.openPlaces(), p -> "till at " + p),
        2);
  }

  private static Map<String, String> words(
      Map<String, String> first, List<String> values, UnaryOperator<String> says) {
    Map<String, String> words = new LinkedHashMap<>(first);
    values.forEach(v -> words.put(v, says.apply(v)));
    return words;
  }
}
