package zinctally.web.paper.form;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import zinctally.core.ledger.Account;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.store.goods.GroupStore;
import zinctally.store.goods.ItemStore;
import zinctally.store.ledger.AccountStore;
import zinctally.store.ledger.CentreStore;
import zinctally.store.people.PeopleStore;
import zinctally.store.sell.CustomerStore;
import zinctally.store.setup.PlaceStore;
import zinctally.store.setup.SetupStore;
import zinctally.web.shell.Say;

/** What cells of papers offer. */
@Component
public class Suggestions {
  private static final int MOST = 8;
  private final ItemStore items;
  private final AccountStore accounts;
  private final SetupStore setup;
  private final PlaceStore places;
  private final PeopleStore people;
  private final CustomerStore customers;
  private final GroupStore groups;
  private final CentreStore centres;
  private final Say say;

  Suggestions(
      ItemStore items,
      AccountStore accounts,
      SetupStore setup,
      PlaceStore places,
      PeopleStore people,
      CustomerStore customers,
      GroupStore groups,
      CentreStore centres,
      Say say) {
    this.items = items;
    this.accounts = accounts;
    this.setup = setup;
    this.places = places;
    this.people = people;
    this.customers = customers;
    this.groups = groups;
    this.centres = centres;
    this.say = say;
  }

  public Suggestion items() {
    return new Suggestion(
        "item",
        typed ->
            items.search(typed, MOST).stream()
                .map(
                    f ->
                        new Offer(
                            f.code(),
                            f.name(),
                            f.code() + ", " + say.quantity(f.here()) + " " + f.unit() + " here"))
                .toList());
  }

  /** Cost centres in use. */
  Suggestion centres() {
    return new Suggestion(
        "centre",
        typed -> centres.named(typed, MOST).stream().map(c -> new Offer(c, c, "")).toList());
  }

  /** Items, and groups of them. */
  public Suggestion itemsAndGroups() {
    Suggestion items = items();
    return new Suggestion(
        "item-or-group",
        typed ->
            Stream.concat(
                    items.offers().apply(typed).stream(),
                    like(
                        typed,
                        groups.tree().inOrder().stream()
                            .map(g -> new Offer(g.name(), g.name(), "a group")))
                        .stream())
                .limit(MOST)
                .toList());
  }

  public Suggestion accounts() {
    return new Suggestion(
        "account",
        typed ->
            like(
                typed,
                accounts.all().stream()
                    .filter(Account::active)
                    .map(a -> new Offer(a.code(), a.name(), a.code() + ", " + a.kind().words()))));
  }

  /** Posted papers of some kinds. */
  public Suggestion papers(String key, PaperKind... kinds) {
    List<String> names = Stream.of(kinds).map(PaperKind::name).toList();
    return new Suggestion(
        key,
        typed ->
            setup.papers(names, typed, MOST).stream()
                .map(
                    p ->
                        new Offer(
                            p.number(), p.number(), p.date() + ", " + p.who() + p.reference()))
                .toList());
  }

  /** Credit notes that something is open of. */
  public Suggestion credits() {
    return new Suggestion(
        "credit",
        typed ->
            customers.credits(typed, MOST).stream()
                .map(
                    c ->
                        new Offer(
                            c.number(),
                            c.number(),
                            c.date() + ", " + c.customer() + ", " + say.money(c.open()) + " open"))
                .toList());
  }

  /** Who sells, by initials. */
  public Suggestion sellers() {
    return new Suggestion(
        "seller",
        typed ->
            like(
                typed,
                people.all().stream()
                    .filter(p -> p.active() && !p.initials().isEmpty())
                    .map(p -> new Offer(p.initials(), p.name(), p.initials()))));
  }

  /** Where goods go that came back: a place, or a reason to write them off. */
  public Suggestion goesTo() {
    return new Suggestion(
        "goes",
        typed ->
            like(
                typed,
                Stream.concat(
                    Stream.concat(
                        places.plain().stream().map(p -> new Offer(p, p, "a place")),
                        places.standingsInUse().stream()
                            .skip(1)
                            .map(s -> new Offer(s, s, "a standing"))),
                    setup.reasons().stream()
                        .filter(SetupStore.Row::active)
                        .map(r -> new Offer(r.name(), r.name(), "written off")))));
  }

  public Suggestion returnReasons() {
    return new Suggestion("return-reason", typed -> rows(typed, setup.returnReasons()));
  }

  public Suggestion reasons() {
    return new Suggestion("reason", typed -> rows(typed, setup.reasons()));
  }

  /** Standings that goods can be in. */
  public Suggestion standings() {
    return new Suggestion(
        "standing", typed -> like(typed, places.standingsInUse().stream().map(Offer::of)));
  }

  public Suggestion places() {
    return new Suggestion(
        "place",
        typed ->
            like(
                typed,
                Stream.concat(places.inUse().stream(), places.ofSuppliers().stream())
                    .map(Offer::of)));
  }

  public Suggestion parties(Party.Kind side) {
    return new Suggestion(side.field(), typed -> parties(side.name(), typed));
  }

  public Suggestion anyParty() {
    return new Suggestion(
        "party", typed -> setup.parties("", typed, MOST).stream().map(Offer::of).toList());
  }

  public Suggestion taxes() {
    return new Suggestion(
        "tax",
        typed ->
            like(
                typed,
                setup.taxRates().stream()
                    .filter(SetupStore.Row::active)
                    .map(
                        t ->
                            new Offer(
                                t.code(),
                                t.name(),
                                say.percent(
                                    Objects.requireNonNull(t.percent()).stripTrailingZeros())))));
  }

  /** What an opening line is: owed to suppliers, by customers, or credit of either. */
  public Suggestion sides() {
    return new Suggestion(
        "side",
        typed ->
            like(
                typed,
                Stream.of("bill", "invoice", "supplier credit", "customer credit").map(Offer::of)));
  }

  /** Bills and invoices that something is still open of. */
  public Suggestion open() {
    return new Suggestion(
        "open",
        typed ->
            setup.openPapers(typed, MOST).stream()
                .map(
                    p ->
                        new Offer(
                            p.number(), p.number(), p.date() + ", " + p.who() + p.reference()))
                .toList());
  }

  /** Those there are first; making a new one is a choice, the last. */
  private List<Offer> parties(String kind, String typed) {
    List<Offer> offers =
        new ArrayList<>(setup.parties(kind, typed, MOST).stream().map(Offer::of).toList());
    boolean there = offers.stream().anyMatch(o -> o.value().equalsIgnoreCase(typed));
    if (!typed.isEmpty() && !there)
      offers.add(new Offer(typed, "New: " + typed, "a new " + kind.toLowerCase(Locale.ROOT)));
    return offers;
  }

  private static List<Offer> rows(String typed, List<SetupStore.Row> rows) {
    return like(typed, rows.stream().filter(SetupStore.Row::active).map(r -> Offer.of(r.name())));
  }

  /** Those whose value or words hold the letters; a value that begins with them comes first. */
  private static List<Offer> like(String typed, Stream<Offer> offers) {
    String letters = typed.toLowerCase(Locale.ROOT);
    return offers
        .filter(o -> (o.value() + " " + o.words()).toLowerCase(Locale.ROOT).contains(letters))
        .sorted(
            Comparator.comparing(
                (Offer o) -> !o.value().toLowerCase(Locale.ROOT).startsWith(letters)))
        .limit(MOST)
        .toList();
  }
}
