package zinctally.core.papers;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import zinctally.core.cost.Method;
import zinctally.core.goods.Item;
import zinctally.core.goods.ItemGroup;
import zinctally.core.goods.ItemKind;
import zinctally.core.goods.Tracking;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.AccountKind;
import zinctally.core.ledger.Centre;
import zinctally.core.ledger.Role;
import zinctally.core.number.Coin;
import zinctally.core.number.Quantity;
import zinctally.core.papers.back.CreditDue;
import zinctally.core.papers.back.ReturnReason;
import zinctally.core.papers.consign.Terms;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Traded;
import zinctally.core.papers.money.OpenItem;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.stock.Reason;
import zinctally.core.papers.stock.StartTracking;
import zinctally.core.papers.tax.TaxBoxes;
import zinctally.core.papers.tax.TaxDue;
import zinctally.core.papers.trade.Tender;
import zinctally.core.units.Unit;
import zinctally.core.units.Units;

/** A book in memory, as small as a test needs it: what is put into its lists is known. */
public final class SmallBook implements Catalogue {
  public static final LocalDate TODAY = LocalDate.of(2026, 11, 25);
  public static final TaxRate STANDARD = new TaxRate(1, "S", "VAT", new BigDecimal("20"));
  public static final Place BARN = new Place(1, "Barn store");
  public static final Place VAN = new Place(2, "Market van");
  public static final Place WAY = new Place(9, "On the way");
  public static final Standing DAMAGED = new Standing(2, "Damaged", false, false);
  public static final Standing SECONDS = new Standing(5, "Seconds", true, false);
  public static final Party ORRIN = new Party(1, Party.Kind.SUPPLIER, "Orrin Joinery", 14, true);
  public static final Party FENWICK = new Party(2, Party.Kind.CUSTOMER, "Fenwick Garden", 30, true);
  public static final Item HIVE = item(1, "HIVE", Tracking.NONE);
  public static final Item FRAME = item(2, "FRAME", Tracking.NONE);
  public static final Item EXTRACTOR = item(3, "EX", Tracking.SERIAL);
  public static final Item HONEY = item(4, "HONEY", Tracking.LOT);
  public static final Item ADVICE = item(5, "ADVICE", Tracking.NONE).withKind(ItemKind.SERVICE);
  public static final long RENT = 90;
  public static final long COST = 81;
  public static final long SALES = 82;

  public final List<Item> items = new ArrayList<>(List.of(HIVE, FRAME, EXTRACTOR, HONEY, ADVICE));
  public final List<Place> places = new ArrayList<>(List.of(BARN, VAN));
  public final Map<String, Place> went = new HashMap<>();
  public final List<Party> parties = new ArrayList<>(List.of(ORRIN, FENWICK));
  public final Map<Long, LatestCost> costs = new HashMap<>();
  public final Map<Long, Long> limits = new HashMap<>();
  public final List<OpenItem> open = new ArrayList<>();
  public final List<Awaited> awaited = new ArrayList<>();
  public final List<Traded> traded = new ArrayList<>();
  public final List<Kept> kept = new ArrayList<>();
  public final List<CreditDue> credits = new ArrayList<>();
  public final List<StartTracking.Sold> sold = new ArrayList<>();
  public final Map<Long, Worth> worths = new HashMap<>();
  public final Map<Long, List<LateCharge>> charged = new HashMap<>();
  public final Map<String, String> numbersOfTheirs = new HashMap<>();
  public final Map<Long, Allowed.ListPrice> listed = new HashMap<>();
  public final List<Consigned> consigned = new ArrayList<>();
  public final List<Centre> centres = new ArrayList<>();
  public final Map<Long, Centre> centreOfItem = new HashMap<>();
  public final Map<Long, Centre> centreOfPlace = new HashMap<>();
  public final List<TaxDue> taxDue = new ArrayList<>();
  public TaxBoxes taxBoxes = new TaxBoxes(List.of());
  public @Nullable Terms terms;
  public long onHand;
  public @Nullable BigDecimal piecePrice;
  public Promised promised = new Promised(0, 0, "");
  public Free free = new Free(0, 0, 0, null);
  public LocalDate firstOpenDay = LocalDate.of(2025, 1, 1);
  public boolean taxOnSums;
  public long opened;

  private static Item item(long id, String code, Tracking tracking) {
    return new Item(
        id,
        code,
        "The " + code.toLowerCase(),
        ItemKind.STOCKED,
        new Units(Unit.EACH, "box", new Quantity(12 * Quantity.ONE)),
        Method.FIFO,
        80,
        SALES,
        COST,
        "",
        "",
        true,
        tracking,
        null);
  }

  /** What is read of a draft. */
  public Reading read(Written draft) {
    return new DraftReader(this).read(draft.draft());
  }

  /** The paper of a draft in which nothing is wrong. */
  public Paper paper(Written draft) {
    Reading reading = read(draft);
    if (!reading.faults().isEmpty()) throw new AssertionError(reading.faults().toString());
    return reading.paper().orElseThrow();
  }

  public Plan plan(Written draft) {
    return paper(draft).plan(this);
  }

  /** What is wrong with a draft, each as {@code cell: sentence}. */
  public List<String> faults(Written draft) {
    return read(draft).faults().stream().map(f -> f.cell() + ": " + f.says()).toList();
  }

  public List<String> notes(Written draft) {
    return read(draft).notes().stream().map(Fault::says).toList();
  }

  /** Minor units that a plan moves on an account, debit above zero. */
  public static long on(Plan plan, long account) {
    return plan.lines().stream()
        .filter(l -> l.account() == account)
        .mapToLong(l -> l.amount().minor())
        .sum();
  }

  public static long on(Plan plan, Role role) {
    return on(plan, id(role));
  }

  /** By how much what is known of a plan's entry is out of balance with the goods it brings in. */
  public static long apart(Plan plan) {
    long goods =
        plan.events().stream().filter(e -> e.contra() == 0).mapToLong(e -> e.value().minor()).sum();
    return goods + plan.lines().stream().mapToLong(l -> l.amount().minor()).sum();
  }

  private static long id(Role role) {
    return 100 + role.ordinal();
  }

  @Override
  public Rules rules() {
    return new Rules(Coin.of("GBP"), LocalDate.of(2025, 1, 1), firstOpenDay, TODAY, taxOnSums);
  }

  @Override
  public Optional<Item> item(String typed) {
    return items.stream()
        .filter(i -> i.code().equalsIgnoreCase(typed) || i.name().equalsIgnoreCase(typed))
        .findFirst();
  }

  @Override
  public Optional<Account> account(String typed) {
    return switch (typed) {
      case "7000" -> Optional.of(account(RENT));
      case "1200" -> Optional.of(account(Role.MONEY));
      case "1299" ->
          Optional.of(new Account(99, "1299", "Old bank", AccountKind.ASSET, Role.MONEY, false));
      case "1400" -> Optional.of(account(Role.STOCK));
      default -> Optional.empty();
    };
  }

  @Override
  public Account account(long id) {
    if (id >= 100) return account(Role.values()[(int) id - 100]);
    return new Account(id, "7000", "Rent", AccountKind.EXPENSE, Role.NONE, true);
  }

  @Override
  public Account account(Role role) {
    return new Account(id(role), "9" + role.ordinal(), role.words(), role.kind(), role, true);
  }

  @Override
  public Optional<Party> party(Party.Kind kind, String name) {
    return parties.stream()
        .filter(p -> p.kind() == kind && p.name().equalsIgnoreCase(name))
        .findFirst();
  }

  @Override
  public Optional<Place> place(String name) {
    return places.stream().filter(p -> name.equalsIgnoreCase(p.name())).findFirst();
  }

  @Override
  public Optional<Standing> standing(String name) {
    return Stream.of(Standing.GOOD, DAMAGED, SECONDS)
        .filter(s -> name.equalsIgnoreCase(s.name()))
        .findFirst();
  }

  @Override
  public Place as(Place place, Standing standing, @Nullable Party owner) {
    return Stream.concat(places.stream(), Stream.of(WAY))
        .filter(p -> p.at() == place.at() && place.at() != 0)
        .filter(p -> p.standing().equals(standing) && Objects.equals(p.owner(), owner))
        .findFirst()
        .orElseGet(() -> place.fresh(standing, owner));
  }

  @Override
  public Place repairer(@Nullable Party who) {
    return Place.fresh(who);
  }

  @Override
  public Place atCustomer(Party who) {
    return Place.freshAt(who);
  }

  @Override
  public List<Consigned> consigned(long item, Place place) {
    return consigned;
  }

  @Override
  public long onHand(long item, Place place, LocalDate from) {
    return onHand;
  }

  @Override
  public Optional<Terms> terms(long supplier, long item, LocalDate on) {
    return Optional.ofNullable(terms);
  }

  @Override
  public Optional<ItemGroup> group(String name) {
    return name.equals("Jars") ? Optional.of(new ItemGroup(7, "Jars")) : Optional.empty();
  }

  @Override
  public Optional<Place> wentTo(String paperNumber) {
    return Optional.ofNullable(went.get(paperNumber));
  }

  @Override
  public boolean hasCentres() {
    return !centres.isEmpty();
  }

  @Override
  public Optional<Centre> centre(String name) {
    return centres.stream().filter(c -> c.name().equalsIgnoreCase(name)).findFirst();
  }

  @Override
  public Optional<Centre> usualCentre(@Nullable Item item, @Nullable Place place) {
    return Optional.ofNullable(item == null ? null : centreOfItem.get(item.id()))
        .or(() -> Optional.ofNullable(place == null ? null : centreOfPlace.get(place.id())));
  }

  @Override
  public TaxBoxes taxBoxes() {
    return taxBoxes;
  }

  @Override
  public List<TaxDue> taxDue(LocalDate from, LocalDate to) {
    return taxDue;
  }

  @Override
  public Optional<TaxRate> taxRate(String code) {
    return code.equals("S") ? Optional.of(STANDARD) : Optional.empty();
  }

  @Override
  public Optional<Reason> reason(String name) {
    return name.equals("Broken") ? Optional.of(new Reason(1, "Broken", RENT)) : Optional.empty();
  }

  @Override
  public Account smallRests() {
    return account(RENT);
  }

  @Override
  public Account tender(Tender.Kind kind) {
    return account(60 + kind.ordinal());
  }

  @Override
  public Optional<String> seller(String initials) {
    return initials.equals("MW") ? Optional.of("counter") : Optional.empty();
  }

  @Override
  public List<OpenItem> openItems(long party) {
    return open.stream().filter(o -> o.party() == party).toList();
  }

  @Override
  public Optional<LatestCost> latestCost(long item) {
    return Optional.ofNullable(costs.get(item));
  }

  @Override
  public Optional<LatestCost> presentCost(long item) {
    return latestCost(item);
  }

  @Override
  public Place onTheWay() {
    return WAY;
  }

  @Override
  public Optional<String> goesInto(long item, long other) {
    return Optional.empty();
  }

  @Override
  public Optional<Allowed.ListPrice> listPrice(
      Item item, long customer, long micros, LocalDate on, TaxRate rate) {
    return Optional.ofNullable(listed.get(item.id()));
  }

  @Override
  public Optional<Long> creditLimit(long party) {
    return Optional.ofNullable(limits.get(party));
  }

  @Override
  public Item newItem(long id, String name, Party.Kind side) {
    return item(id, name, Tracking.NONE);
  }

  @Override
  public Worth worth(long item, LocalDate date) {
    return worths.getOrDefault(item, new Worth(0, 0, 0));
  }

  @Override
  public long opened(long item) {
    return opened;
  }

  @Override
  public List<Traded> traded(String paperNumber) {
    return traded.stream().filter(t -> t.number().equalsIgnoreCase(paperNumber)).toList();
  }

  @Override
  public Map<Long, List<LateCharge>> chargedAfter(LocalDate date, Collection<Long> arrivals) {
    return charged;
  }

  @Override
  public List<Awaited> awaited(String paperNumber) {
    return awaited.stream()
        .filter(
            a ->
                a.number().equalsIgnoreCase(paperNumber)
                    || a.order().number().equalsIgnoreCase(paperNumber))
        .toList();
  }

  @Override
  public List<Awaited> awaited(Awaits what, long party, long item) {
    return awaited.stream()
        .filter(a -> a.what() == what && a.party() == party && a.item().id() == item)
        .toList();
  }

  @Override
  public Optional<String> sameNumber(PaperKind kind, long party, String theirNumber) {
    return Optional.ofNullable(numbersOfTheirs.get(theirNumber));
  }

  @Override
  public Optional<ReturnReason> returnReason(String name) {
    return name.equals("Wrong size")
        ? Optional.of(new ReturnReason(1, "Wrong size"))
        : Optional.empty();
  }

  @Override
  public List<Kept> lots(long item, Collection<String> codes) {
    List<String> wanted = codes.stream().map(String::toLowerCase).toList();
    return kept.stream()
        .filter(k -> k.lot().item() == item && wanted.contains(k.lot().code().toLowerCase()))
        .toList();
  }

  @Override
  public Optional<BigDecimal> piecePrice(long item, Collection<String> codes) {
    return Optional.ofNullable(piecePrice);
  }

  @Override
  public List<Kept> lotsAt(long item, long place, int atMost) {
    return kept.stream()
        .filter(k -> k.lot().item() == item && k.at().getOrDefault(place, 0L) > 0)
        .limit(atMost)
        .toList();
  }

  @Override
  public Free free(long item, long place) {
    return free;
  }

  @Override
  public Promised promised(long item, long place, long order) {
    return promised;
  }

  @Override
  public Optional<CreditDue> creditDue(long party, String returnNumber) {
    return credits.stream().filter(c -> c.number().equalsIgnoreCase(returnNumber)).findFirst();
  }

  @Override
  public List<StartTracking.Sold> soldSince(long item, LocalDate date) {
    return sold;
  }

  /** A draft being written. */
  public static final class Written {
    private final PaperKind kind;
    private final Map<String, String> fields = new HashMap<>();
    private final List<Map<String, String>> rows = new ArrayList<>();

    private Written(PaperKind kind) {
      this.kind = kind;
      fields.put("date", "2026-11-20");
      fields.put("place", BARN.name());
      kind.side()
          .ifPresent(
              s -> fields.put(s.field(), s == Party.Kind.SUPPLIER ? ORRIN.name() : FENWICK.name()));
    }

    /** Of the 20th of November 2026, at the barn store, of Orrin Joinery or for Fenwick Garden. */
    public static Written of(PaperKind kind) {
      return new Written(kind);
    }

    public Written with(String field, String typed) {
      fields.put(field, typed);
      return this;
    }

    /** A row by column and what is typed there, one after the other. */
    public Written line(String... cells) {
      Map<String, String> row = new HashMap<>();
      for (int i = 0; i < cells.length; i += 2) row.put(cells[i], cells[i + 1]);
      rows.add(row);
      return this;
    }

    /** What it asks is answered with yes. */
    public Written agreed(SmallBook book) {
      String answers =
          String.join(" ", book.read(this).faults().stream().map(Fault::question).toList());
      return with(Draft.AGREED, fields.getOrDefault(Draft.AGREED, "") + " " + answers);
    }

    Draft draft() {
      return new Draft(kind, fields, rows);
    }

    @Override
    public String toString() {
      return Arrays.asList(kind, fields, rows).toString();
    }
  }
}
