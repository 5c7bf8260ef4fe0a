package zinctally.core.papers;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.goods.ItemGroup;
import zinctally.core.goods.Lot;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.Centre;
import zinctally.core.ledger.Role;
import zinctally.core.number.Coin;
import zinctally.core.number.Share;
import zinctally.core.papers.back.CreditDue;
import zinctally.core.papers.back.ReturnReason;
import zinctally.core.papers.consign.Terms;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Traded;
import zinctally.core.papers.money.OpenItem;
import zinctally.core.papers.stock.Reason;
import zinctally.core.papers.stock.StartTracking;
import zinctally.core.papers.tax.TaxBoxes;
import zinctally.core.papers.tax.TaxDue;
import zinctally.core.papers.trade.Tender;

/**
 * What the book knows, for reading what was typed. Lookups take a code or a whole name, any case.
 */
public interface Catalogue {
  /** Rules of the book. */
  Rules rules();

  Optional<Item> item(String typed);

  Optional<Account> account(String typed);

  Account account(long id);

  /** The account in a role of which there is one. */
  Account account(Role role);

  Optional<Party> party(Party.Kind kind, String name);

  Optional<Place> place(String name);

  Optional<Standing> standing(String name);

  /**
   * A place for goods in a standing and of an owner; not made yet when none have been there.
   *
   * @param owner null for ours
   */
  Place as(Place place, Standing standing, @Nullable Party owner);

  /**
   * Where a repairer works; not made yet when nothing has been there.
   *
   * @param who null for the bench of the house
   */
  Place repairer(@Nullable Party who);

  /** Where the goods of the posted paper with this number were to go, as its first line says. */
  Optional<Place> wentTo(String paperNumber);

  /** Where goods are that were sent from one place to another and are not there yet. */
  Place onTheWay();

  /** Where a customer keeps goods of ours; not made yet when none have been there. */
  Place atCustomer(Party who);

  /** Goods of an item that suppliers have on consignment at a place, what came first first. */
  List<Consigned> consigned(long item, Place place);

  /**
   * @param at the place, as that supplier's
   * @param micros millionths there
   * @param before millionths of them that the version before took, which are among these
   */
  record Consigned(Place at, long micros, long before) {}

  /** Millionths that can leave a place from a day on. */
  long onHand(long item, Place place, LocalDate from);

  /** What is agreed with a supplier about an item, or its groups, on a day; empty for nothing. */
  Optional<Terms> terms(long supplier, long item, LocalDate on);

  /** A group of items. */
  Optional<ItemGroup> group(String name);

  Optional<TaxRate> taxRate(String code);

  /** Whether the book has cost centres. */
  boolean hasCentres();

  Optional<Centre> centre(String name);

  /**
   * The cost centre that usually bears what an item, at a place, earns and costs: its group's, else
   * the place's.
   */
  Optional<Centre> usualCentre(@Nullable Item item, @Nullable Place place);

  /** The boxes of the tax return. */
  TaxBoxes taxBoxes();

  /**
   * What no tax return has declared yet up to a day, by account and rate.
   *
   * @param from what is of earlier days is late
   */
  List<TaxDue> taxDue(LocalDate from, LocalDate to);

  Optional<Reason> reason(String name);

  /** The account that bears small rests that customers do not pay. */
  Account smallRests();

  /** The account that takes a kind of payment over the counter. */
  Account tender(Tender.Kind kind);

  /** The login of whoever has these initials. */
  Optional<String> seller(String initials);

  /** What a party has open, oldest first. */
  List<OpenItem> openItems(long party);

  /** Latest known cost of goods: minor units for a quantity in millionths; empty when never had. */
  Optional<LatestCost> latestCost(long item);

  /** What goods on hand cost, else the latest known cost; empty when never had. */
  Optional<LatestCost> presentCost(long item);

  /**
   * What so many millionths of an item are sold to a customer for on a day; empty without a price.
   */
  Optional<Allowed.ListPrice> listPrice(
      Item item, long customer, long micros, LocalDate on, @Nullable TaxRate rate);

  /** Minor units a customer may owe; empty for no limit. */
  Optional<Long> creditLimit(long party);

  /**
   * An item that is made with the paper: stocked when it is bought; not kept in stock, until that
   * is chosen, when it is sold.
   *
   * @param id below zero
   */
  Item newItem(long id, String name, Party.Kind side);

  /** What an item stands at, at the end of a day. */
  Worth worth(long item, LocalDate date);

  /** Millionths of the base unit that other papers than the one amended have opened of an item. */
  long opened(long item);

  /**
   * @param onHand millionths
   * @param worth minor units
   * @param writtenDown minor units by which that is under cost
   */
  record Worth(long onHand, long worth, long writtenDown) {}

  /**
   * Whether an item goes, by recipes, into another, through any number of steps: the way there in
   * words, from what goes into the other; empty when it does not.
   */
  Optional<String> goesInto(long item, long other);

  /**
   * Lines of the posted paper with this number that moved goods; none when there is no such paper.
   */
  List<Traded> traded(String paperNumber);

  /** Charges of after a day on goods that came in, by the cost event they came in with. */
  Map<Long, List<LateCharge>> chargedAfter(LocalDate date, Collection<Long> arrivals);

  /**
   * @param number the charging paper's
   */
  record LateCharge(String number, LocalDate date) {}

  /**
   * What the lines of the posted paper with this number wait for; of an order, also what receipts
   * and bills that go on from it wait for. None when there is no such paper.
   */
  List<Awaited> awaited(String paperNumber);

  /** What is still awaited of a party for an item, oldest first. */
  List<Awaited> awaited(Awaits what, long party, long item);

  /** Another posted paper of a kind from a party that bears their number, in words. */
  Optional<String> sameNumber(PaperKind kind, long party, String theirNumber);

  Optional<ReturnReason> returnReason(String name);

  /** The lots or serial numbers of an item with these codes, as far as there are any. */
  List<Kept> lots(long item, Collection<String> codes);

  /** Lots or serial numbers of an item at a place, earliest expiry first. */
  List<Kept> lotsAt(long item, long place, int atMost);

  /**
   * @param at millionths by place
   * @param arrival the cost event a serial number came in with last; zero for none
   * @param since the day on which some of it first came
   * @param whereabouts where it is, or with which paper it went, in words
   */
  record Kept(
      Lot lot, Map<Long, Long> at, long arrival, @Nullable LocalDate since, String whereabouts) {
    public long onHand() {
      return at.values().stream().mapToLong(Long::longValue).sum();
    }
  }

  /**
   * What pieces with these numbers are sold for, each the same; empty when no such price is said.
   */
  Optional<BigDecimal> piecePrice(long item, Collection<String> codes);

  /** What is free of an item, promises taken off. */
  Free free(long item, long place);

  /**
   * @param here millionths at the place
   * @param everywhere millionths there and at all places whose goods are for sale
   * @param onOrder millionths still to come
   * @param expected when the next of them should come; null when not known
   */
  record Free(long here, long everywhere, long onOrder, LocalDate expected) {}

  /**
   * What of an item at a place is promised to sales orders that were written before another.
   *
   * @param order the other order's paper; zero for goods that go without one, to which all come
   *     first
   */
  Promised promised(long item, long place, long order);

  /**
   * @param here millionths at the place
   * @param micros millionths promised
   * @param first the oldest of those orders, in words; empty for none
   */
  record Promised(long here, long micros, String first) {}

  /** A return to supplier that waits for its credit note. */
  Optional<CreditDue> creditDue(long party, String returnNumber);

  /** Lines of invoices of a date or later that sold an item which moved no stock. */
  List<StartTracking.Sold> soldSince(long item, LocalDate date);

  /**
   * @param value minor units
   * @param micros millionths of the base unit
   */
  record LatestCost(long value, long micros) {
    /** Minor units that so many millionths cost at it. */
    public long of(long some) {
      return Share.of(value, some, micros);
    }
  }

  /**
   * @param cutOver the books' first day
   * @param firstOpenDay no paper may be dated before it
   * @param today the day of writing
   * @param taxOnSums whether tax is rounded on the sum of each rate instead of line by line
   */
  record Rules(
      Coin coin, LocalDate cutOver, LocalDate firstOpenDay, LocalDate today, boolean taxOnSums) {
    /** Why the books cannot be opened with a paper; empty when they can. */
    public Optional<Fault> openingClosed() {
      if (!cutOver.isBefore(firstOpenDay)) return Optional.empty();
      return Optional.of(
          Fault.whole(
              "An opening is of "
                  + cutOver
                  + ", and that month is closed; the first open day is "
                  + firstOpenDay
                  + ". The owner can open it again under Prove, Periods."));
    }
  }
}
